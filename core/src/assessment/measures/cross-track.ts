import { greatest } from './over-samples';
import { measure } from './measure';

/** Off the mark or the line, over the ground. */
export const crossTrack = measure({
  unit: 'm',
  label: 'Off the mark or line',
  missReason: 'off-the-mark',
  of: greatest((segment, i) => segment.offsets[i]!.crossTrackM),
});
