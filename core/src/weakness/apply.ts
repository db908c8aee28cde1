import type { Side } from '../drills/drill';
import { reasonsTold, type ToldReason } from '../plan/remedies';
import { sidesTold } from './sides-told';
import { type CauseId, causeOf } from '../causes/causes';
import type { OpeningStamp } from '../clearance/facts';
import type { BodyOf } from '../commands/command';
import type { DrillId } from '../drills/drills';
import { recordRep, type saveDebrief } from '../commands/handles';
import { linkToBreak } from '../debrief/chain';
import type { Findings } from '../debrief/findings';
import { rankOfSeverity } from '../debrief/severity';
import type { Pilot, RecordedRep, WeaknessPage } from '../pages/pages';
import { decidingAmong } from '../plan/key-drills';
import { proposePlan } from '../plan/propose-plan';
import { type Asked, bodyIf, type Confirmation, confirmationIn } from './asked';
import { moveOfConfirmation, opensAnew } from './move-of-confirmation';
import { type Step, move, STEPS, withoutOccurrence } from './steps';
import type { WeaknessSurroundings } from './surroundings';
import { RunOfReps } from './run-of-reps';
import { clearanceOfPage, factsOfPage, workedOut } from './page';

const stampOf = ({ mode, windLimitMps, holdOff = false }: Pilot, at: string): OpeningStamp => ({
  at,
  mode,
  windLimitMps,
  holdOff,
});

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
    testSets: [],
    occurrences: [],
  };
}

/** What a debrief adds to a plan. */
export interface FromDebrief {
  /** Cause of the chain's first link that training can break, where it names one. */
  readonly link: CauseId | null;
  /** How bad it may end next time, 1 to 5. */
  readonly severity: number | null;
  /** Sides of drills on which it happened; null: not told. */
  readonly happenedOn: readonly Side[] | null;
  /** Answers that a plan hangs on. */
  readonly told: readonly ToldReason[];
}

export const fromDebrief = (findings: Findings | null): FromDebrief => ({
  link: findings ? linkToBreak(findings.chain) : null,
  severity: findings ? rankOfSeverity(findings.potential) : null,
  happenedOn: findings ? sidesTold(findings.evidence) : null,
  told: findings ? reasonsTold(findings.evidence) : [],
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
    moves: [
      ...page.moves,
      move({
        id: made.moveId,
        kind,
        at: made.at,
        occurrenceId: made.occurrenceId,
        happenedOn: fromDebrief(made.findings).happenedOn,
      }),
    ],
    occurrences: confirmed
      ? [confirmed, ...page.occurrences.filter(({ id }) => id !== confirmed.id)].sort((a, b) =>
          b.happenedAt.localeCompare(a.happenedAt),
        )
      : page.occurrences,
  };
}

const DECIDED_OTHERWISE = 'The debrief named another cause.';

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

/** One command's effect on one weakness; the very page where it has none. */
function step(
  page: WeaknessPage,
  asked: Asked,
  ids: ReadonlySet<string>,
  around: WeaknessSurroundings,
): WeaknessPage {
  for (const by of [byConfirmation, ...STEPS]) {
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
