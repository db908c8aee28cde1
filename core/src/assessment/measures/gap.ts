import { worst } from './over-samples';
import { gateCrossings } from './gate-crossings';
import { measure } from './measure';

/** Off the middle of a gate as a share of the room to its frame; the worst of all gates. */
export const gap = measure({
  unit: '%',
  label: 'Off the middle, of the room',
  missReason: 'off-the-mark',
  of: (segment) =>
    worst(
      gateCrossings(segment).map(({ offX, offZ, roomX, roomZ, atS }) => ({
        value: Math.max(offX / roomX, offZ / roomZ),
        atS,
      })),
    ),
});
