import type { BodyOf } from '../commands/command';
import {
  announceTests,
  callOffTests,
  changePlan,
  confirmRepError,
  moveWeakness,
  savePilot,
  stampWeakness,
  takeConfirmationBack,
  takeRepBack,
} from '../commands/handles';
import { causeOf } from '../causes/causes';
import { liveMoves } from '../clearance/standing';
import type { RecordedRep, WeaknessMove, WeaknessPage } from '../pages/pages';
import { decidingAmong } from '../plan/key-drills';
import { type Asked, bodyIf } from './asked';
import { failuresToKeep } from './page';
import type { WeaknessSurroundings } from './surroundings';

export const move = (
  made: Pick<WeaknessMove, 'id' | 'kind' | 'at'> & Partial<WeaknessMove>,
): WeaknessMove => ({
  reason: null,
  undoes: null,
  by: null,
  occurrenceId: null,
  ...made,
});

/** The confirmation that an occurrence brought is undone, and the occurrence leaves the weakness. */
export function withoutOccurrence(
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

function withPilot(page: WeaknessPage, fields: BodyOf<typeof savePilot>): WeaknessPage {
  if (page.stamps?.length) return { ...page, pilot: { ...page.pilot, ...fields } };
  // A copy of an older version has no stamp: what was flown is judged once more as the pilot was.
  return {
    ...page,
    weakness: { ...page.weakness, failedAt: failuresToKeep(page) },
    pilot: { ...page.pilot, ...fields },
  };
}

/** What a command may change of one weakness. */
export interface Here {
  readonly page: WeaknessPage;
  readonly ids: ReadonlySet<string>;
  readonly around: WeaknessSurroundings;
}

/** The page after a command of one kind; null where the command is of another. */
export type Step = (asked: Asked, here: Here) => WeaknessPage | null;

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
  // What an older version does not know of it does not change either.
  const { at, mode, windLimitMps, holdOff = stamps.at(-1)?.holdOff ?? false, reason } = stamp.body;
  if (!ids.has(stamp.keys.id) || stamps.some((each) => each.at === at)) return page;
  return {
    ...page,
    stamps: [...stamps, { at, mode, windLimitMps, holdOff, reason, toldBy: 'trainer', by: null }],
  };
};

const bySet: Step = (asked, { page, ids }) => {
  const announced = bodyIf(announceTests, asked);
  if (!announced) return null;
  const sets = page.testSets ?? [];
  const { id: weaknessId, setId: id } = announced.keys;
  if (!ids.has(weaknessId) || sets.some((each) => each.id === id)) return page;
  const testSets = [...sets, { ...announced.body, id, calledOffAt: null }];
  return { ...page, testSets: testSets.sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0)) };
};

const byCalledOff: Step = (asked, { page, ids }) => {
  const off = bodyIf(callOffTests, asked);
  if (!off) return null;
  if (!ids.has(off.keys.id)) return page;
  const testSets = (page.testSets ?? []).map((set) =>
    set.id === off.keys.setId && set.calledOffAt === null ? { ...set, calledOffAt: off.body.at } : set,
  );
  return { ...page, testSets };
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

/** What each command but a confirmation and a rep changes. */
export const STEPS: readonly Step[] = [
  byRepTakenBack,
  byRepErrorConfirmed,
  byPlan,
  byStamp,
  bySet,
  byCalledOff,
  byMove,
  byConfirmationTakenBack,
  byPilot,
];
