import { atEnd } from './over-samples';
import { measure } from './measure';

/** From where the part began to where it stands. */
export const stoppedIn = measure({
  unit: 'm',
  label: 'Stopped in',
  missReason: 'too-late',
  of: atEnd((segment, s) => Math.hypot(s.x - segment.samples[0]!.x, s.y - segment.samples[0]!.y)),
});
