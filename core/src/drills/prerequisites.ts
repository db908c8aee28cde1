import { DRILLS, drillOf, type DrillId, type HouseDrillId } from './drills';

const depths = new Map<string, number>();

/**
 * How many drills stand before this one on the longest way from a first lesson: 0 for a drill that
 * needs nothing.
 * @throws RangeError when the id is unknown or the prerequisites run in a circle
 */
export function depthOf(drillId: DrillId, path: readonly DrillId[] = []): number {
  const known = depths.get(drillId);
  if (known !== undefined) return known;
  if (path.includes(drillId))
    throw new RangeError(`Prerequisites run in a circle: ${[...path, drillId].join(' → ')}.`);
  const before = drillOf(drillId).after.map((id) => depthOf(id, [...path, drillId]));
  const depth = before.length === 0 ? 0 : 1 + Math.max(...before);
  depths.set(drillId, depth);
  return depth;
}

/** Drills that come before another: what a pilot who flies already may have shown elsewhere. In lesson order. */
export const COMES_BEFORE: readonly HouseDrillId[] = DRILLS.filter(({ id }) =>
  DRILLS.some(({ after }) => after.includes(id)),
)
  .map(({ id }) => id)
  .sort((a, b) => depthOf(a) - depthOf(b));

/** Every drill that comes before this one, direct or not. */
export function allBefore(drillId: DrillId): ReadonlySet<DrillId> {
  const found = new Set<DrillId>();
  const visit = (id: DrillId) => {
    for (const before of drillOf(id).after)
      if (!found.has(before)) {
        found.add(before);
        visit(before);
      }
  };
  visit(drillId);
  return found;
}
