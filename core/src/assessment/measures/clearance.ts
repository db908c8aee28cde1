import { least } from './over-samples';
import { measure } from './measure';

/** Least height over a wall while over it. */
export const clearance = measure({
  unit: 'm',
  label: 'Cleared by',
  missReason: 'height',
  of: (segment) => {
    const walls = segment.solids.filter((each) => each.solid === 'box');
    return least((_, __, s) => {
      const wall = walls.find((each) => Math.abs(s.y - each.y) < each.alongM / 2 + segment.craft.spanM / 2);
      return wall ? s.z - (wall.z + wall.highM / 2) : null;
    })(segment);
  },
});
