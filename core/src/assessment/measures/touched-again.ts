import { sinceStart, MOVE } from './over-samples';
import { deflection, handsOff } from '../segment';
import { measure } from './measure';

/** Took the sticks again before the part was over. */
export const touchedAgain = measure({
  unit: 'count',
  label: 'Took the sticks again',
  missReason: 'wrong-first-move',
  of: (segment) => {
    const off = segment.samples.findIndex(handsOff);
    const again =
      off < 0
        ? null
        : (segment.samples.slice(off).find((s) => deflection(s) > MOVE || Math.abs(s.yaw) > MOVE) ?? null);
    return { value: again ? 1 : 0, atS: again?.t ?? sinceStart(segment) };
  },
});
