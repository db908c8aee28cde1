import { worst } from './over-samples';
import { gateCrossings } from './gate-crossings';
import { measure } from './measure';

/** Off the middle of a gate, sideways or up; the worst of all gates. */
export const gapOffset = measure({
  unit: 'm',
  label: 'Off the middle',
  missReason: 'off-the-mark',
  of: (segment) =>
    worst(gateCrossings(segment).map(({ offX, offZ, atS }) => ({ value: Math.max(offX, offZ), atS }))),
});
