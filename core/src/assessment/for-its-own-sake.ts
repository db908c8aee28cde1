import type { Mark } from '../choreography/scene';
import type { PathPoint } from '../geometry/path';
import { type PracticeSetUp, solidsOfMarks } from '../simulator/practice';
import type { PilotedMode } from '../simulator/control/control';
import type { FlightMode } from '../vocabulary/flying';
import { type Exercise, free, leg, type GateOpening } from './exercise';
import type { Segment } from './segment';

/** Flown for its own sake: nothing is judged, and nothing counts. */
export const OWN_SAKE_FLIGHTS = ['free', 'lap'] as const;
export type OwnSakeFlight = (typeof OWN_SAKE_FLIGHTS)[number];

const WIDE_M = 3;
const HIGH_M = 3.4;
const THROUGH_M = HIGH_M - WIDE_M / 2;
const AT_MOST_S = 20 * 60;
/** Slow, so that nobody is hurried out of a lap. */
const UNHURRIED_MPS = 0.3;

const gateAt = (x: number, y: number, facingDeg: number): GateOpening => ({
  at: [x, y, THROUGH_M],
  facingDeg,
  wideM: WIDE_M,
});
/** Once round, the pilot outside of it: east in front, north, west, south. The first is start and finish. */
export const LAP_GATES: readonly GateOpening[] = [
  gateAt(0, 14, 90),
  gateAt(12, 22, 0),
  gateAt(0, 30, 270),
  gateAt(-12, 22, 180),
];

const LAP_START: PathPoint = [-9, 14, THROUGH_M];

const markOf = ({ at: [x, y], facingDeg }: GateOpening): Mark => ({
  ...{ is: 'gate', x, y, width: WIDE_M, height: HIGH_M },
  deep: facingDeg % 180 === 90,
});

const through = (says: Parameters<typeof leg>[0], from: PathPoint, opening: GateOpening) =>
  leg(says, from, opening.at, { until: { is: 'through', opening }, speedMps: UNHURRIED_MPS });

const [START, ...OTHERS] = LAP_GATES as readonly [GateOpening, ...GateOpening[]];

const COURSES: Readonly<Record<OwnSakeFlight, Exercise>> = {
  free: {
    stages: [free('yours-to-fly', [0, 12, 3], { is: 'for', seconds: AT_MOST_S })],
    standards: [],
  },
  lap: {
    stages: [
      through('through-the-first-gate-the-clock-starts', LAP_START, START),
      ...OTHERS.map((gate, nth) => through('next-gate', LAP_GATES[nth]!.at, gate)),
      through('through-the-first-gate-again', OTHERS.at(-1)!.at, START),
    ],
    standards: [],
  },
};

const modeOf = (mode: FlightMode): PilotedMode => (mode === 'programmed' ? 'position-hold' : mode);

/** How it is set up and flown. */
export function ownSakeFlight(
  id: OwnSakeFlight,
  mode: FlightMode,
): { readonly setUp: PracticeSetUp; readonly course: Exercise } {
  const marks = id === 'lap' ? LAP_GATES.map(markOf) : [];
  const [x, y, z] = id === 'lap' ? LAP_START : ([0, 10, 0] as const);
  return {
    course: COURSES[id],
    setUp: {
      ...{ marks, solids: solidsOfMarks(marks), windFromDeg: 0, jets: [], mode: modeOf(mode) },
      start: { x, y, z, headingDeg: id === 'lap' ? START.facingDeg : 0 },
    },
  };
}

/** How long a lap took, s: from the first gate to the first gate; null where it was not flown to its end. */
export function lapSeconds(
  segments: readonly Pick<Segment, 'samples'>[],
  isFinished: boolean,
): number | null {
  const [begun, ended] = [segments[1]?.samples[0], segments.at(-1)?.samples.at(-1)];
  return isFinished && begun && ended ? ended.t - begun.t : null;
}
