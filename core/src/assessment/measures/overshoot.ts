import { greatest } from './over-samples';
import { lengthOf } from '../../geometry/path';
import { measure } from './measure';

/** Past the end of the way. */
export const overshoot = measure({
  unit: 'm',
  label: 'Overshoot',
  missReason: 'too-late',
  of: greatest((segment, i) => Math.max(0, segment.offsets[i]!.alongTrackM - lengthOf(segment.stage.path))),
});
