import type { Exercise } from '../../assessment/exercise';
import type { FlightMeasureId } from '../../assessment/measures/measures';
import { type Score, type ScoredValue, scoreLog, scoreParts, partsOf } from '../../assessment/score';
import { type FlightLog, LOG_COLUMNS, type LogEvent } from '../../flight-log/flight-log';
import type { CraftModel } from '../../simulator/craft-model';
import { beginningOf } from '../../geometry/path';
import { Random } from '../../simulator/random';
import { asFlightLog } from '../as-flight-log';
import { findEvents } from '../events/find-events';
import type { FlightEventName } from '../events/flight-event';
import type { SmoothFlight } from '../smoothing/smooth-flight';
import { bestPlacements } from './best-placement';
import { drawnLog, filledLog, type JudgedPart } from './drawn-log';
import { type FieldGates, POST_SD_M } from './field-gates';
import { placed, type Placement } from './placement';

/** What a recorded flight says of a rep: where its own doubt decides, nothing. */
export const FIELD_VERDICTS = ['met', 'missed', 'cannot-tell'] as const;
export type FieldVerdict = (typeof FIELD_VERDICTS)[number];

/** One condition of the standard, as it was flown in the field. */
export interface FieldValue extends ScoredValue {
  /** 95 % of what it may have been lie within so much of it. */
  readonly plusMinus: number;
  readonly says: 'ok' | 'not' | 'cannot-tell';
}

/** Why nobody can tell. */
export type FieldDoubt =
  /** Within its ± it was either. */
  | 'within-doubt'
  /** Something of the standard was not recorded. */
  | 'not-recorded'
  /** The part ends before the drill does. */
  | 'cut-short'
  /** Nobody said where the marks were: they were put where they fit best. */
  | 'marks-fitted';

export interface FieldRep {
  readonly fromS: number;
  readonly toS: number;
  readonly verdict: FieldVerdict;
  readonly doubt: FieldDoubt | null;
  readonly values: readonly FieldValue[];
  /** Conditions that the flight says nothing of. */
  readonly unmeasured: readonly FlightMeasureId[];
  readonly recorded: number | null;
  readonly distanceM: number | null;
}

export interface FieldReps {
  readonly placement: Placement;
  readonly reps: readonly FieldRep[];
}

interface FieldDrill {
  readonly course: Exercise;
  readonly craft: CraftModel;
  /** Null: nobody marked where it was set up. */
  readonly placement: Placement | null;
  /** Where its gates stand, marked by two posts: it is set up by them. Absent: nobody marked them. */
  readonly gates?: FieldGates | null;
}

const DRAWS = 32;
/** Of the draws, so many may say otherwise. */
const MAY_DIFFER = 1;
/** What was not recorded is tried with so many different things. */
const [FILLS, FIRST_FILL] = [3, 7_919];
const ALIKE = 1e-9;
const POSTS_SEED = 104_729;

const MEANS: Readonly<Partial<Record<FlightEventName, LogEvent['is']>>> = {
  hit: 'crash',
  'tipped-over': 'crash',
  landing: 'landed',
};

/** What is found of a crash or a landing, for whoever follows a drill. */
function withEvents(log: FlightLog, flight: SmoothFlight): FlightLog {
  const events = findEvents(flight).flatMap(({ is, atS }): LogEvent[] => {
    const means = MEANS[is];
    return means ? [{ is: means, t: atS }] : [];
  });
  return { ...log, events };
}

function partIn(flight: SmoothFlight, fromS: number, toS: number, { stages }: Exercise): JudgedPart {
  const whole = withEvents(asFlightLog(flight), flight);
  const from = Math.max(0, Math.floor(fromS * flight.hz));
  const to = Math.min(whole.length, Math.ceil(toS * flight.hz) + 1);
  return {
    flight,
    from,
    heightM: beginningOf(stages[0]!.path)[2],
    log: {
      length: to - from,
      events: whole.events.filter(({ t }) => t >= fromS && t <= toS),
      columns: Object.fromEntries(
        LOG_COLUMNS.map((column) => [column, whole.columns[column].subarray(from, to)]),
      ) as unknown as FlightLog['columns'],
    },
  };
}

const lineOf = ({ columns, length }: FlightLog, t: number): number => {
  let i = 0;
  while (i < length - 1 && columns.t[i]! < t - 1e-9) i += 1;
  return i;
};

/** A rep of a log from a moment on. */
function scoreFrom(log: FlightLog, fromS: number, { course, craft, gates }: FieldDrill): Score {
  return scoreParts(partsOf(log, { course, craft, solids: gates?.solids ?? [] }, lineOf(log, fromS)), course);
}

const keyOf = ({ of, isLeast }: Pick<ScoredValue, 'of' | 'isLeast'>): string => `${of} ${isLeast}`;

/** Conditions whose figure moves with what was not recorded. */
function movedBy(scores: readonly Score[]): ReadonlySet<string> {
  const [first, ...others] = scores.map(
    ({ values }) => new Map(values.map((each) => [keyOf(each), each.value])),
  );
  const moved = [...first!].filter(([key, value]) =>
    others.some(
      (each) => !(Math.abs((each.get(key) ?? NaN) - value) <= ALIKE * Math.max(1, Math.abs(value))),
    ),
  );
  return new Set(moved.map(([key]) => key));
}

/** What nearly all draws say of one condition. */
const agreedOn = (ok: number, of: number): FieldValue['says'] => {
  // A draw in which it could not be measured speaks neither way.
  if (of < DRAWS - MAY_DIFFER) return 'cannot-tell';
  return ok >= of - MAY_DIFFER ? 'ok' : ok <= MAY_DIFFER ? 'not' : 'cannot-tell';
};

/** A figure with how far it may be off, by the draws. */
function valueWith(value: ScoredValue, drawn: readonly Score[]): FieldValue {
  const same = drawn.flatMap(({ values }) => values.filter((each) => keyOf(each) === keyOf(value)));
  const off = same.map((each) => Math.abs(each.value - value.value)).sort((a, b) => a - b);
  return {
    ...value,
    plusMinus: off[Math.ceil(0.95 * off.length) - 1] ?? 0,
    says: agreedOn(same.filter(({ ok }) => ok).length, same.length),
  };
}

interface Judged {
  readonly verdict: FieldVerdict;
  readonly doubt: FieldDoubt | null;
}

function verdictOf(met: number, isCut: boolean, unmeasured: number): Judged {
  if (met <= MAY_DIFFER && !isCut) return { verdict: 'missed', doubt: null };
  if (isCut) return { verdict: 'cannot-tell', doubt: 'cut-short' };
  if (unmeasured > 0) return { verdict: 'cannot-tell', doubt: 'not-recorded' };
  return met >= DRAWS - MAY_DIFFER
    ? { verdict: 'met', doubt: null }
    : { verdict: 'cannot-tell', doubt: 'within-doubt' };
}

/** Where it may have been set up as well: posts are pointed at by hand. */
function beside(placement: Placement, { gates }: FieldDrill, seed: number): Placement {
  if (!gates) return placement;
  const random = new Random(POSTS_SEED + seed);
  const { x, y } = placement;
  return { ...placement, x: x + POST_SD_M * random.normal(), y: y + POST_SD_M * random.normal() };
}

function judgeRep(part: JudgedPart, fromS: number, drill: FieldDrill, placement: Placement): FieldRep {
  const { course } = drill;
  const score = (log: FlightLog) => scoreFrom(placed(log, placement), fromS, drill);
  const fills = Array.from({ length: FILLS }, (_, i) => score(filledLog(part, FIRST_FILL * (i + 1))));
  const central = fills[0]!;
  const moved = movedBy(fills);
  const known = (values: readonly ScoredValue[]) => values.filter((each) => !moved.has(keyOf(each)));
  const unmeasured = course.standards
    .filter(({ of, byHandOnly }) => !byHandOnly && !known(central.values).some((each) => each.of === of))
    .map(({ of }) => of);
  const drawn = Array.from({ length: DRAWS }, (_, i) =>
    scoreFrom(placed(drawnLog(part, i + 1), beside(placement, drill, i + 1)), fromS, drill),
  );
  const isMet = ({ over, values }: Score) => over === 'finished' && known(values).every(({ ok }) => ok);
  const isCut = central.over === 'stopped' && known(central.values).every(({ ok }) => ok);
  return {
    ...{ fromS: central.fromS, toS: central.toS },
    ...verdictOf(drawn.filter(isMet).length, isCut, unmeasured.length),
    values: known(central.values).map((value) => valueWith(value, drawn)),
    unmeasured: [...new Set(unmeasured)],
    recorded: unmeasured.some((each) => each === course.recorded?.of) ? null : central.recorded,
    distanceM: central.distanceM,
  };
}

/** What the flight as it was smoothed says, without its doubt: enough to compare where the marks may have stood. */
const centralAt = (
  part: JudgedPart,
  { course, craft, gates }: FieldDrill,
  placement: Placement,
): readonly Score[] =>
  scoreLog(placed(filledLog(part, FIRST_FILL), placement), course, craft, gates?.solids ?? []);

const judgedAt = (part: JudgedPart, drill: FieldDrill, placement: Placement): readonly FieldRep[] =>
  centralAt(part, drill, placement).map(({ fromS }) => judgeRep(part, fromS, drill, placement));

/** How much of a standard was kept. */
const keptOf = ({ met, over, values }: Score): number =>
  (met ? 2 : 0) +
  (over === 'finished' ? 1 : 0) +
  values.filter(({ ok }) => ok).length / Math.max(1, values.length);

/** Where marks were only fitted, a miss at every place they may have stood is one, and nothing is met. */
function fittedTo(reps: readonly FieldRep[], missedEverywhere: boolean): readonly FieldRep[] {
  return reps.map((rep) =>
    rep.verdict === 'met' || (rep.verdict === 'missed' && !missedEverywhere)
      ? { ...rep, verdict: 'cannot-tell', doubt: 'marks-fitted' }
      : rep,
  );
}

/**
 * The reps of a drill in a part of a recorded flight, judged by the same assessment as on the simulator: met or missed
 * where nearly all of what the flight may have been says so, else nothing.
 * @param part s from the beginning of the flight
 * @returns null where the part is too short to place anything in
 */
export function judgeReps(
  flight: SmoothFlight,
  part: { readonly fromS: number; readonly toS: number },
  drill: FieldDrill,
): FieldReps | null {
  const judged = partIn(flight, part.fromS, part.toS, drill.course);
  if (drill.placement && !drill.gates)
    return { placement: drill.placement, reps: judgedAt(judged, drill, drill.placement) };
  const among = drill.gates ? drill.gates.placements : bestPlacements(judged.log, drill.course);
  const tried = among.map((placement) => ({ placement, scores: centralAt(judged, drill, placement) }));
  const [first, ...others] = tried;
  if (!first) return null;
  const worth = ({ scores }: typeof first) => scores.reduce((sum, score) => sum + keptOf(score), 0);
  const { placement } = others.reduce((a, b) => (worth(b) > worth(a) ? b : a), first);
  if (drill.gates) return { placement, reps: judgedAt(judged, drill, placement) };
  const missedEverywhere = tried.every(({ scores }) => scores.every(({ met }) => !met));
  return { placement, reps: fittedTo(judgedAt(judged, drill, placement), missedEverywhere) };
}
