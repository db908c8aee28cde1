import type { Track } from '../vocabulary/training';
import { type MethodQuestion, type Methods, USUAL_METHODS } from '../methods/methods';
import { causeOf, type CauseId } from '../causes/causes';
import { drillOf, isDrillId, type DrillId } from '../drills/drills';
import { allBefore, depthOf } from '../drills/prerequisites';
import type { FlightMode } from '../vocabulary/flying';
import { type Said, sentence } from '../vocabulary/said';
import { type Circumstances, leftOutFor, weighedFor } from './circumstances';
import { askedByMethod, type MethodDrill, orderByMethod, takenEarly } from './by-method';
import { type AskedDrill, askedByAnswers, type ToldReason } from './remedies';
import { decidingAmong, keyDrillsFor, suits } from './key-drills';

export const PLAN_AT_LEAST = 2;
export const PLAN_AT_MOST = 4;
/** A trainer may widen a plan up to here: beyond it nobody gets through it in a season. */
export const PLAN_CEILING = 6;

/** What is known of a pilot beside the mode. */
export interface KnownOfPilot extends Circumstances {
  readonly track?: Track;
  /** How the pilot is taught where instructors differ; absent: not known, and the usual way. */
  readonly methods?: Methods;
  /** Drills that the pilot has met at least once; absent: not known, and nothing is put in before. */
  readonly met?: readonly string[];
  /** Cause of the chain's first link that training can break, where it is another than the weakness's own. */
  readonly link?: CauseId | null;
  /** Answers of its debriefs that the plan hangs on. */
  readonly told?: readonly ToldReason[];
}

/** How a pilot is taught: by a copy of an older version, by the track alone. */
const methodsOf = ({ methods, track }: KnownOfPilot): Methods =>
  methods ?? { ...USUAL_METHODS, assistance: track ?? USUAL_METHODS.assistance };

export type WhyInPlan =
  | { readonly because: 'key' }
  | { readonly because: 'link'; readonly causeId: CauseId }
  | { readonly because: 'told'; readonly told: ToldReason }
  | { readonly because: 'method'; readonly question: MethodQuestion }
  | { readonly because: 'before'; readonly drillId: DrillId }
  | { readonly because: 'no-flying' }
  | { readonly because: 'widens' };

export interface PlannedDrill {
  readonly drillId: DrillId;
  readonly why: WhyInPlan;
}

/** Supporting drills that the answers ask for beside these key drills. */
const askedBeside = (causeId: CauseId, mode: FlightMode, key: readonly DrillId[], known: KnownOfPilot) =>
  askedByAnswers(
    causeId,
    known.told ?? [],
    (id) => suits(id, mode) && !key.includes(id) && leftOutFor(id, known) === null,
  );

/** The same for what the way of teaching asks for. */
const taughtBeside = (causeId: CauseId, mode: FlightMode, key: readonly DrillId[], known: KnownOfPilot) =>
  askedByMethod(causeId, known.methods).filter(
    ({ drillId }) => suits(drillId, mode) && !key.includes(drillId) && leftOutFor(drillId, known) === null,
  );

/** Drills beside the deciding ones that have a reason of their own. */
interface AskedFor {
  readonly asked: readonly AskedDrill[];
  readonly taught: readonly MethodDrill[];
}

const askedFor = (...of: Parameters<typeof askedBeside>): AskedFor => ({
  asked: askedBeside(...of),
  taught: taughtBeside(...of),
});

/** Why a drill has its place beside these key drills. */
function whyInPlan(drillId: DrillId, key: readonly DrillId[], { asked, taught }: AskedFor): WhyInPlan {
  if (key.includes(drillId)) return { because: 'key' };
  const answer = asked.find((each) => each.drillId === drillId);
  if (answer) return { because: 'told', told: answer.told };
  const method = taught.find((each) => each.drillId === drillId);
  if (method) return { because: 'method', question: method.question };
  const leadsTo = key.find((id) => allBefore(id).has(drillId));
  if (leadsTo) return { because: 'before', drillId: leadsTo };
  return drillOf(drillId).kind === 'flown' ? { because: 'widens' } : { because: 'no-flying' };
}

/** More than ever comes before a drill: what is said on the ground comes before what is flown. */
const DEEPEST = 100;

const RANK: Readonly<Record<WhyInPlan['because'], number>> = {
  key: 0,
  link: 1,
  told: 1,
  method: 1.2,
  before: 2,
  'no-flying': 3,
  widens: 4,
};
/** Hazardous or worse: what is said and done on the ground comes before what is flown. */
const GRAVE = 4;
/** Minor or less: the plan stays short. */
const SLIGHT = 2;

/**
 * Which drills are taken first when not all find room: what the pilot's own flying asks for moves up past its
 * neighbours.
 */
function rankOf({ drillId, why }: PlannedDrill, known: KnownOfPilot): number {
  if (why.because === 'key') return RANK.key;
  const rank = why.because === 'no-flying' && (known.severity ?? 0) >= GRAVE ? RANK.link : RANK[why.because];
  return weighedFor(drillId, known) ? rank - 1.5 : rank;
}

/** The key drills of the chain's first breakable link, where it is another cause: its first one. */
function linkedDrills(
  causeId: CauseId,
  mode: FlightMode,
  { link = null }: KnownOfPilot,
): readonly PlannedDrill[] {
  if (link === null || link === causeId) return [];
  return keyDrillsFor(causeOf(link), mode)
    .filter((id) => !causeOf(causeId).drills.includes(id))
    .slice(0, 1)
    .map((drillId) => ({ drillId, why: { because: 'link', causeId: link } }));
}

/** Every drill that may stand in the plan: the cause's own, what answers ask for, and the link's. */
function candidatesFor(
  { causeId, mode }: { readonly causeId: CauseId; readonly mode: FlightMode },
  { asked, taught }: AskedFor,
  known: KnownOfPilot,
  of: (drillId: DrillId) => PlannedDrill,
): PlannedDrill[] {
  const own = causeOf(causeId).drills.filter((id) => suits(id, mode));
  const others = [...asked, ...taught].map(({ drillId }) => drillId).filter((id) => !own.includes(id));
  const linked = linkedDrills(causeId, mode, known).filter(({ drillId }) => !others.includes(drillId));
  return [...own, ...others]
    .map(of)
    .concat(linked)
    .filter(
      ({ drillId, why }) =>
        why.because === 'key' || why.because === 'link' || leftOutFor(drillId, known) === null,
    );
}

/** What comes right before the drills that are flown and was never met. */
const neverMet = (ids: readonly DrillId[], met: readonly string[], mode: FlightMode): readonly DrillId[] =>
  ids
    .map(drillOf)
    .filter(({ kind }) => kind === 'flown')
    .flatMap(({ after }) => after)
    .filter((id) => !met.includes(id) && suits(id, mode));

/** Adds drills that are not there yet, until so many are. */
function addUpTo(most: number, ids: DrillId[], more: readonly DrillId[]): void {
  for (const id of more) if (ids.length < most && !ids.includes(id)) ids.push(id);
}

/** More than ever comes before a drill that is taken as soon as it can be. */
const EARLY = DEEPEST - 1;

/**
 * The order of the lesson: spoken and ground drills first, then by how many drills come before; what is taught early as
 * soon as those before it stand, and of two alike the one that the way of teaching puts first.
 */
function inLessonOrder(planned: readonly PlannedDrill[], methods: Methods): readonly PlannedDrill[] {
  const place = ({ drillId }: PlannedDrill) => {
    if (drillOf(drillId).kind !== 'flown') return depthOf(drillId);
    return takenEarly(drillId, methods) ? EARLY : DEEPEST + depthOf(drillId);
  };
  const order = ({ drillId }: PlannedDrill) => orderByMethod(drillId, methods);
  const left = [...planned].sort((a, b) => place(a) - place(b) || order(a) - order(b));
  const taken: PlannedDrill[] = [];
  while (left.length > 0) {
    const next = left.findIndex(
      ({ drillId }) => !left.some((other) => allBefore(drillId).has(other.drillId)),
    );
    taken.push(...left.splice(next, 1));
  }
  return taken;
}

/**
 * Two to four drills for a weakness: the key drills, then what breaks the chain at its first link and what the answers
 * of the debrief ask for, then what the way of teaching asks for, then what leads to them, then what
 * needs no flying, then what widens them, moved up where the pilot's places and winds ask for it and left out
 * where the craft, the places, the
 * wind limit or the pilot's level make it of no use; a short plan for a slight matter. Up to six where a
 * drill's own prerequisite was never met and is put in. In the order of the
 * lesson.
 */
export function proposePlan(
  causeId: CauseId,
  mode: FlightMode,
  known: KnownOfPilot = {},
): readonly PlannedDrill[] {
  const { met } = known;
  const methods = methodsOf(known);
  const key = keyDrillsFor(causeOf(causeId), mode);
  const asked = askedFor(causeId, mode, key, known);
  const of = (drillId: DrillId): PlannedDrill => ({ drillId, why: whyInPlan(drillId, key, asked) });
  const atMost = (known.severity ?? PLAN_AT_MOST) <= SLIGHT ? PLAN_AT_MOST - 1 : PLAN_AT_MOST;
  const picked = candidatesFor({ causeId, mode }, asked, known, of)
    .sort(
      (a, b) =>
        rankOf(a, known) - rankOf(b, known) ||
        orderByMethod(a.drillId, methods) - orderByMethod(b.drillId, methods),
    )
    .slice(0, atMost);
  const ids = picked.map(({ drillId }) => drillId);
  if (met) addUpTo(PLAN_CEILING, ids, neverMet(ids, met, mode));
  addUpTo(
    PLAN_AT_LEAST,
    ids,
    key.flatMap((drillId) => [...allBefore(drillId)]),
  );
  picked.push(...ids.slice(picked.length).map(of));
  return inLessonOrder(picked, methods);
}

/** Drills of the cause that the proposal leaves out, each with what speaks against it for this pilot. */
export function leftOutOf(
  causeId: CauseId,
  mode: FlightMode,
  known: KnownOfPilot,
): readonly { readonly drillId: DrillId; readonly why: NonNullable<ReturnType<typeof leftOutFor>> }[] {
  const planned = new Set(proposePlan(causeId, mode, known).map((each) => each.drillId));
  return causeOf(causeId)
    .drills.filter((id) => suits(id, mode) && !planned.has(id))
    .flatMap((drillId) => {
      const why = leftOutFor(drillId, known);
      return why ? [{ drillId, why }] : [];
    });
}

/** Why a drill stands in a plan of this weakness. */
export const whyPlanned = (
  drillId: DrillId,
  {
    causeId,
    mode,
    key,
  }: { readonly causeId: CauseId; readonly mode: FlightMode; readonly key: readonly DrillId[] },
  known: KnownOfPilot,
): WhyInPlan => whyInPlan(drillId, key, askedFor(causeId, mode, key, known));

/** What is wrong with a trainer's own plan, said so that it can be mended; null when nothing is. */
export function planProblem(causeId: CauseId, mode: FlightMode, drillIds: readonly DrillId[]): Said | null {
  const unknown = drillIds.find((id) => !isDrillId(id));
  if (unknown !== undefined) return sentence('plan.unknown-drill', { id: unknown });
  if (new Set(drillIds).size !== drillIds.length) return sentence('plan.drill-twice');
  if (drillIds.length > PLAN_CEILING)
    return sentence('plan.too-many', { most: PLAN_CEILING, over: drillIds.length - PLAN_CEILING });
  const key = keyDrillsFor(causeOf(causeId), mode);
  if (!drillIds.some((id) => key.includes(id))) {
    return sentence('plan.none-decides', { drills: key });
  }
  return null;
}

/** Whether a plan is what would be proposed, so that no reason is asked for. */
export const isProposal = (
  causeId: CauseId,
  mode: FlightMode,
  drillIds: readonly DrillId[],
  known: KnownOfPilot = {},
): boolean =>
  proposePlan(causeId, mode, known)
    .map((planned) => planned.drillId)
    .join() === drillIds.join();

/**
 * The deciding drills of a plan for a pilot who flies in this mode.
 * @param decides those that were kept with the plan when it was made; null: as the cause has them now
 */
export const keyDrillsOfPlan = (
  causeId: CauseId,
  mode: FlightMode,
  drillIds: readonly DrillId[],
  decides: readonly DrillId[] | null = null,
): readonly DrillId[] =>
  (decides ?? decidingAmong(causeOf(causeId), drillIds)).filter(
    (id) => drillIds.includes(id) && suits(id, mode),
  );
