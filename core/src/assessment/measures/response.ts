import { firstWhere, after, wantedPush, MOVE } from './over-samples';
import { deflection, pushOf } from '../segment';
import { type Sample } from '../../flight-log/flight-log';
import { measure } from './measure';

/** Until the first move the right way. */
export const response = measure({
  unit: 's',
  label: 'First right move after',
  missReason: 'too-late',
  of: (segment) => {
    const right = (s: Sample) => {
      const [px, py] = pushOf(s);
      const [wx, wy] = wantedPush(segment, s);
      return deflection(s) > MOVE && px * wx + py * wy > 0;
    };
    return after(segment, firstWhere(segment, right));
  },
});
