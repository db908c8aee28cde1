import { firstWhere, sinceStart, noseToPathDeg } from './over-samples';
import { measure } from './measure';

const LOOKS_AHEAD_DEG = 60;

/** Set off where the nose does not look. */
export const blindMoves = measure({
  unit: 'count',
  label: 'Moved where the nose did not look',
  missReason: 'nose',
  of: (segment) => {
    const blind = firstWhere(segment, (s) => (noseToPathDeg(s) ?? 0) > LOOKS_AHEAD_DEG);
    return { value: blind ? 1 : 0, atS: blind?.t ?? sinceStart(segment) };
  },
});
