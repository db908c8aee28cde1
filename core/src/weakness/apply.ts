import { type CauseId, causeOf } from '../causes/causes';
import type { ClearingRule } from '../clearance/clearing-rule';
import type { OpeningStamp } from '../clearance/facts';
import { liveMoves } from '../clearance/standing';
import type { BodyOf } from '../commands/command';
import type { DrillId } from '../drills/drills';
import {
  changePlan,
  confirmRepError,
  moveWeakness,
  recordRep,
  type saveDebrief,
  savePilot,
  stampWeakness,
  takeConfirmationBack,
  takeRepBack,
} from '../commands/handles';
import { linkToBreak } from '../debrief/chain';
import type { Findings } from '../debrief/findings';
import { rankOfSeverity } from '../debrief/severity';
import type { Occurrence, Pilot, RecordedRep, WeaknessMove, WeaknessPage } from '../pages/pages';
import { decidingAmong } from '../plan/key-drills';
import { type KnownOfPilot, proposePlan } from '../plan/propose-plan';
import { type Asked, bodyIf, type Confirmation, confirmationIn } from './asked';
import { moveOfConfirmation, opensAnew } from './move-of-confirmation';
import { RunOfReps } from './run-of-reps';
import { clearanceOfPage, factsOfPage, failuresToKeep, workedOut } from './page';

/** What a confirmation looks up beside the weakness itself. */
export interface WeaknessSurroundings {
  /** The rule by which a weakness opened now is cleared. */
  readonly rule: ClearingRule | undefined;
  readonly occurrence: (id: string) => Occurrence | undefined;
  readonly pilot: (id: string) => Pilot | undefined;
  readonly known: (pilotId: string) => KnownOfPilot;
  /** Whose weakness this is, as far as it is known. */
  readonly pilotOfWeakness: (weaknessId: string) => string | undefined;
  /** All reps of a pilot that are known here, for whichever weakness they were flown. */
  readonly repsOfPilot: (pilotId: string) => readonly RecordedRep[];
}

const move = (made: Pick<WeaknessMove, 'id' | 'kind' | 'at'> & Partial<WeaknessMove>): WeaknessMove => ({
  reason: null,
  undoes: null,
  by: null,
  occurrenceId: null,
  ...made,
});

const stampOf = ({ mode, windLimitMps }: Pilot, at: string): OpeningStamp => ({ at, mode, windLimitMps });

/** The page of a weakness that a confirmation opens; undefined where too little is known of its pilot. */
function opened(
  { occurrenceId, causeId, weaknessId, planId, at, findings }: Confirmation,
  around: WeaknessSurroundings,
): WeaknessPage | undefined {
  const occurrence = around.occurrence(occurrenceId);
  const pilot = occurrence && around.pilot(occurrence.pilotId);
  if (!pilot || !around.rule) return undefined;
  const known = { ...around.known(pilot.id), ...fromDebrief(findings) };
  const drillIds = proposePlan(causeId, pilot.mode, known).map((planned) => planned.drillId);
  return {
    weakness: {
      id: weaknessId,
      pilotId: pilot.id,
      causeId,
      state: 'open',
      checkFrom: null,
      checkPassed: false,
      signedEarly: false,
      rungs: [0, 0, 0, 0, 0],
      openedAt: at,
      failedAt: [],
    },
    known,
    pilot,
    rule: around.rule,
    moves: [],
    stamps: [stampOf(pilot, at)],
    plans: [
      { id: planId, drillIds, decides: decidingAmong(causeOf(causeId), drillIds), reason: '', madeAt: at },
    ],
    reps: [],
    occurrences: [],
  };
}

/** What a debrief adds to a plan. */
export interface FromDebrief {
  /** Cause of the chain's first link that training can break, where it names one. */
  readonly link: CauseId | null;
  /** How bad it may end next time, 1 to 5. */
  readonly severity: number | null;
}

export const fromDebrief = (findings: Findings | null): FromDebrief => ({
  link: findings ? linkToBreak(findings.chain) : null,
  severity: findings ? rankOfSeverity(findings.potential) : null,
});

function withConfirmation(
  page: WeaknessPage,
  made: Confirmation,
  around: WeaknessSurroundings,
): WeaknessPage {
  // Confirmed already, it brings nothing new.
  if (page.occurrences.some(({ id }) => id === made.occurrenceId)) return page;
  if (page.moves.some(({ id }) => id === made.moveId)) return page;
  const isNew = page.moves.length === 0;
  const before = isNew ? null : clearanceOfPage(page);
  const kind = moveOfConfirmation(before?.state ?? null);
  const anew = before !== null && opensAnew(page.rule, before);
  const occurrence = around.occurrence(made.occurrenceId);
  const confirmed = occurrence && {
    ...occurrence,
    confirmedCauseId: made.causeId,
    weaknessId: page.weakness.id,
  };
  return {
    ...page,
    rule: anew ? (around.rule ?? page.rule) : page.rule,
    stamps: anew ? [...(page.stamps ?? []), stampOf(page.pilot, made.at)] : page.stamps,
    moves: [...page.moves, move({ id: made.moveId, kind, at: made.at, occurrenceId: made.occurrenceId })],
    occurrences: confirmed
      ? [confirmed, ...page.occurrences.filter(({ id }) => id !== confirmed.id)].sort((a, b) =>
          b.happenedAt.localeCompare(a.happenedAt),
        )
      : page.occurrences,
  };
}

/** The confirmation that an occurrence brought is undone, and the occurrence leaves the weakness. */
function withoutOccurrence(
  page: WeaknessPage,
  occurrenceId: string,
  undone: { readonly id: string; readonly at: string; readonly reason: string },
): WeaknessPage {
  if (page.moves.some(({ id }) => id === undone.id)) return page;
  const live = new Set(liveMoves(page.moves).map(({ id }) => id));
  const brought = page.moves.find((each) => each.occurrenceId === occurrenceId && live.has(each.id));
  return {
    ...page,
    moves: brought ? [...page.moves, move({ ...undone, kind: 'undone', undoes: brought.id })] : page.moves,
    occurrences: page.occurrences.filter(({ id }) => id !== occurrenceId),
  };
}

const DECIDED_OTHERWISE = 'The debrief named another cause.';

function withPilot(page: WeaknessPage, fields: BodyOf<typeof savePilot>): WeaknessPage {
  if (page.stamps?.length) return { ...page, pilot: { ...page.pilot, ...fields } };
  // A copy of an older version has no stamp: what was flown is judged once more as the pilot was.
  return {
    ...page,
    weakness: { ...page.weakness, failedAt: failuresToKeep(factsOfPage(page)) },
    pilot: { ...page.pilot, ...fields },
  };
}

/** Drills that decide, or decided under an earlier plan or stamp. */
const decidingIn = (page: WeaknessPage): readonly DrillId[] => {
  const { deciding, keyDrills } = factsOfPage(page);
  return [...new Set([...keyDrills, ...(deciding ?? []).flatMap((each) => each.keyDrills)])];
};

/** Whether a rep counts here: flown for this weakness, or for another of the pilot's with a drill that decides in both. */
function concerns(page: WeaknessPage, ids: ReadonlySet<string>, around: WeaknessSurroundings) {
  const { pilotId } = page.weakness;
  return ({ weaknessId, drillId }: BodyOf<typeof recordRep>): boolean =>
    ids.has(weaknessId) ||
    (around.pilotOfWeakness(weaknessId) === pilotId && decidingIn(page).includes(drillId));
}

/** What a command may change of one weakness. */
interface Here {
  readonly page: WeaknessPage;
  readonly ids: ReadonlySet<string>;
  readonly around: WeaknessSurroundings;
}

/** The page after a command of one kind; null where the command is of another. */
type Step = (asked: Asked, here: Here) => WeaknessPage | null;

const byConfirmation: Step = (asked, { page, ids, around }) => {
  const confirmation = confirmationIn(asked);
  if (!confirmation) return null;
  const { occurrenceId, causeId, undoId, at } = confirmation;
  if (ids.has(confirmation.weaknessId) && causeId === page.weakness.causeId)
    return withConfirmation(page, confirmation, around);
  const isHere = page.occurrences.some(({ id }) => id === occurrenceId);
  if (!isHere || !undoId || causeId === page.weakness.causeId) return page;
  const { reason } = asked.body as BodyOf<typeof saveDebrief>;
  return withoutOccurrence(page, occurrenceId, { id: undoId, at, reason: reason || DECIDED_OTHERWISE });
};

const withRep = (page: WeaknessPage, id: string, part: Partial<RecordedRep>): WeaknessPage =>
  page.reps.some((each) => each.id === id)
    ? { ...page, reps: page.reps.map((each) => (each.id === id ? { ...each, ...part } : each)) }
    : page;

const byRepTakenBack: Step = (asked, { page }) => {
  const taken = bodyIf(takeRepBack, asked);
  return taken && withRep(page, taken.keys.id, { takenBack: true });
};

const byRepErrorConfirmed: Step = (asked, { page }) => {
  const confirmed = bodyIf(confirmRepError, asked);
  return confirmed && withRep(page, confirmed.keys.id, { takenBackConfirmed: true });
};

const byPlan: Step = (asked, { page, ids }) => {
  const plan = bodyIf(changePlan, asked);
  if (!plan) return null;
  const { planId: id } = plan.keys;
  if (!ids.has(plan.keys.id) || page.plans.some((each) => each.id === id)) return page;
  const { drillIds, reason, at } = plan.body;
  const decides = decidingAmong(causeOf(page.weakness.causeId), drillIds);
  const plans = [{ id, drillIds, decides, reason, madeAt: at ?? asked.madeAt }, ...page.plans];
  return { ...page, plans: plans.sort((a, b) => (a.madeAt < b.madeAt ? 1 : a.madeAt > b.madeAt ? -1 : 0)) };
};

const byStamp: Step = (asked, { page, ids }) => {
  const stamp = bodyIf(stampWeakness, asked);
  if (!stamp) return null;
  const stamps = page.stamps ?? [];
  const { at, mode, windLimitMps, reason } = stamp.body;
  if (!ids.has(stamp.keys.id) || stamps.some((each) => each.at === at)) return page;
  return { ...page, stamps: [...stamps, { at, mode, windLimitMps, reason, toldBy: 'trainer', by: null }] };
};

const byMove: Step = (asked, { page, ids }) => {
  const made = bodyIf(moveWeakness, asked);
  if (!made) return null;
  const { moveId: id } = made.keys;
  if (!ids.has(made.keys.id) || page.moves.some((each) => each.id === id)) return page;
  const { kind, at, reason, undoes } = made.body;
  const moves = [...page.moves, move({ id, kind, at, reason: reason || null, undoes: undoes ?? null })];
  return { ...page, moves };
};

const byConfirmationTakenBack: Step = (asked, { page }) => {
  const back = bodyIf(takeConfirmationBack, asked);
  if (!back) return null;
  return page.occurrences.some(({ id }) => id === back.keys.id)
    ? withoutOccurrence(page, back.keys.id, { ...back.body, id: back.body.moveId })
    : page;
};

const byPilot: Step = (asked, { page }) => {
  const edited = bodyIf(savePilot, asked);
  return edited?.keys.id === page.pilot.id ? withPilot(page, edited.body) : null;
};

const STEPS: readonly Step[] = [
  byConfirmation,
  byRepTakenBack,
  byRepErrorConfirmed,
  byPlan,
  byStamp,
  byMove,
  byConfirmationTakenBack,
  byPilot,
];

/** One command's effect on one weakness; the very page where it has none. */
function step(
  page: WeaknessPage,
  asked: Asked,
  ids: ReadonlySet<string>,
  around: WeaknessSurroundings,
): WeaknessPage {
  for (const by of STEPS) {
    const after = by(asked, { page, ids, around });
    if (after) return after;
  }
  return page;
}

/** A rep counts wherever its drill decides: a new plan brings in those of other weaknesses, and leaves others out. */
function withRepsThatDecide(
  page: WeaknessPage,
  ids: ReadonlySet<string>,
  around: WeaknessSurroundings,
): WeaknessPage {
  const { pilotId } = page.weakness;
  const deciding = decidingIn(page);
  const isHere = ({ weaknessId, drillId }: RecordedRep) => ids.has(weaknessId) || deciding.includes(drillId);
  const known = new Set(page.reps.map(({ id }) => id));
  const brought = around.repsOfPilot(pilotId).filter((rep) => !known.has(rep.id));
  return { ...page, reps: [...page.reps, ...brought].filter(isHere) };
}

/**
 * A weakness after commands that were asked for since it was read, in the order in which they were made.
 * @param id the key it is asked for by; it may be known by another
 * @param page as it was read; undefined where only these commands know of it
 * @returns the very page where none of them concerns it; undefined where there is nothing to tell
 */
export function applyToWeakness(
  id: string,
  page: WeaknessPage | undefined,
  commands: readonly Asked[],
  around: WeaknessSurroundings,
): WeaknessPage | undefined {
  const ids = new Set([id, ...(page ? [page.weakness.id] : [])]);
  let now = page;
  const run = new RunOfReps(page?.reps ?? []);
  for (const asked of commands) {
    const rep = now && bodyIf(recordRep, asked);
    if (now && rep) {
      if (concerns(now, ids, around)(rep.body)) run.add(rep.keys.id, rep.body);
      continue;
    }
    if (!now) {
      const confirmation = confirmationIn(asked);
      if (!confirmation || !ids.has(confirmation.weaknessId)) continue;
      now = opened(confirmation, around);
      if (!now) return undefined;
    }
    now = step(run.onto(now), asked, ids, around);
  }
  if (!now) return undefined;
  const after = run.onto(now);
  return after === page ? page : workedOut(withRepsThatDecide(after, ids, around));
}
