import { exerciseOf } from '../../assessment/exercises';
import { sceneOf } from '../../choreography/scenes';
import type { Mark } from '../../choreography/scene';
import { type DrillId, drillOf } from '../../drills/drills';
import { solidsOfMarks } from '../../simulator/practice';
import type { Solid } from '../../simulator/world';
import { type FieldPlace, inField, type Placement } from './placement';

/** Two posts of a gate as they stand in the field. */
export type GatePosts = readonly [FieldPlace, FieldPlace];

/** The gates that a drill is flown through and judged by; others only stand there. */
function gatesIn(drillId: DrillId): readonly Mark[] {
  const course = exerciseOf(drillId, drillOf(drillId).sides[0] ?? null);
  if (!course?.standards.some(({ of }) => of === 'gap')) return [];
  return (sceneOf(drillId)?.marks ?? []).filter(({ is, deep }) => is === 'gate' && !deep);
}

export const hasGates = (drillId: DrillId): boolean => gatesIn(drillId).length > 0;

/** The gates of a drill set up in the field: in the axes of the drill, and where those may lie. */
export interface FieldGates {
  readonly solids: readonly Solid[];
  /** A gate can be flown through from either side. */
  readonly placements: readonly [Placement, Placement];
}

/** A post is pointed at or stood beside to within so much, m (common practice: an arm's length). */
export const POST_SD_M = 0.2;

/**
 * The gates of a drill, the first between two posts that are known, the others as the drill has them behind it: as wide
 * as the posts stand apart, the middle as high as the drill says.
 * @returns null for a drill without gates, or posts that stand on one another
 */
export function gatesBetween(drillId: DrillId, [one, other]: GatePosts): FieldGates | null {
  const gates = gatesIn(drillId);
  const wideM = Math.hypot(other.x - one.x, other.y - one.y);
  const [first] = gates;
  if (!first || wideM < 4 * POST_SD_M) return null;
  const middle = { x: (one.x + other.x) / 2, y: (one.y + other.y) / 2 };
  const across = (Math.atan2(other.x - one.x, other.y - one.y) * 180) / Math.PI;
  const facing = (towardDeg: number): Placement => {
    const away = inField({ x: 0, y: 0, towardDeg }, first);
    return { x: middle.x - away.x, y: middle.y - away.y, towardDeg };
  };
  const asMarked = (gate: Mark): Mark => {
    const [width, height] = [gate.width!, gate.height!];
    const middleM = Math.max(height, width) - width / 2;
    return { ...gate, width: wideM, height: middleM + wideM / 2 };
  };
  return {
    solids: solidsOfMarks(gates.map(asMarked)),
    placements: [facing(across - 90), facing(across + 90)],
  };
}
