import type { Mark } from '../choreography/scene';
import { movementOf, sceneOf } from '../choreography/scenes';
import type { Side } from '../drills/drill';
import { drillOf, type DrillId } from '../drills/drills';
import type { FlightMode } from '../vocabulary/flying';
import type { Jet } from './gusts-dryden';
import type { PilotedMode } from './control/control';
import type { Start } from './simulated-flight';
import { gate, type Solid } from './world';

/** A drill as it is set up to be flown here. The pilot stands at 0, 0, looking north. */
export interface PracticeSetUp {
  readonly start: Start;
  readonly marks: readonly Mark[];
  readonly solids: readonly Solid[];
  /** Where the wind should come from, degrees clockwise from north. */
  readonly windFromDeg: number;
  /** Streams of air that belong to it. */
  readonly jets: readonly Jet[];
  readonly mode: PilotedMode;
}

/** What blows across a drill. */
const JETS: Readonly<Partial<Record<DrillId, readonly Jet[]>>> = {
  'airflow-step': [{ x: 0, y: 19.8, z: 2.5, towardDeg: 180, speedMps: 6, radiusM: 1.5, reachM: 16 }],
};

const POST_RADIUS_M = 0.06;
const WALL_THICK_M = 0.2;
const USUAL_POST_M = 3;
const USUAL_HIGH_M = 3;
const USUAL_WIDE_M = 2;

/** A box as wide as its mark, so thick the other way. */
function slab(
  { x, y, width = USUAL_WIDE_M, deep = false }: Mark,
  { z, highM, thickM }: { readonly z: number; readonly highM: number; readonly thickM: number },
): Solid {
  const [alongM, acrossM] = deep ? [width, thickM] : [thickM, width];
  return { solid: 'box', x, y, z, alongM, acrossM, highM, turnedDeg: 0 };
}

/** What of a mark stands in the way. Paint and pads do not. */
const solidsOf = (mark: Mark): readonly Solid[] =>
  mark.soft ? hardSolidsOf(mark).map((solid) => ({ ...solid, soft: true })) : hardSolidsOf(mark);

function hardSolidsOf(mark: Mark): readonly Solid[] {
  const { x, y, width = USUAL_WIDE_M, height = USUAL_HIGH_M, deep = false } = mark;
  switch (mark.is) {
    case 'post':
      return [{ solid: 'pole', x, y, fromM: 0, toM: mark.height ?? USUAL_POST_M, radiusM: POST_RADIUS_M }];
    case 'gate':
      return gate([x, y, Math.max(height, width) - width / 2], deep ? 90 : 0, width);
    case 'wall':
      return [slab(mark, { z: height / 2, highM: height, thickM: WALL_THICK_M })];
    case 'roof':
      return [slab(mark, { z: height, highM: WALL_THICK_M, thickM: WALL_THICK_M * 20 })];
    case 'mark':
    case 'pad':
      return [];
  }
}

/** What of a field's marks stands in the way. */
export const solidsOfMarks = (marks: readonly Mark[]): readonly Solid[] => marks.flatMap(solidsOf);

/** What the drill is flown in here: hold off, by hand, or as the pilot flies. */
function modeFor(drillId: DrillId, pilotMode: FlightMode): PilotedMode {
  const { assistance } = drillOf(drillId);
  if (assistance === 'manual') return pilotMode === 'rate' ? 'rate' : 'self-level';
  if (assistance === 'hold-off') return 'height-hold';
  return pilotMode === 'programmed' ? 'position-hold' : pilotMode;
}

/**
 * Sets a drill up, on one of its sides where it has them.
 * @returns null for a drill that is not flown with the sticks, or that the simulator is of no use for
 */
export function practiceOf(drillId: DrillId, side: Side | null, pilotMode: FlightMode): PracticeSetUp | null {
  const scene = sceneOf(drillId);
  if (!scene || drillOf(drillId).simulator === 'no-use') return null;
  const { moments, windFromDeg, isMirrored } = movementOf(drillId, side);
  const { x, y, z, noseDeg } = moments[0]!;
  const marks = isMirrored ? scene.marks.map((mark) => ({ ...mark, x: -mark.x })) : scene.marks;
  return {
    start: { x, y, z, headingDeg: noseDeg },
    marks,
    solids: solidsOfMarks(marks),
    windFromDeg,
    jets: JETS[drillId] ?? [],
    mode: modeFor(drillId, pilotMode),
  };
}
