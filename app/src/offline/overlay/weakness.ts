import type { ClearingRule } from '@skelby/core/clearance/clearing-rule';
import { proposePlan } from '@skelby/core/plan/propose-plan';
import type { QueryClient } from '@tanstack/react-query';
import type {
  Occurrence,
  OccurrenceOfPilot,
  RecordedRep,
  Roster,
  WeaknessMove,
  WeaknessPage,
} from '../../shared/api/types';
import { changePlan } from '@skelby/core/commands/change-plan';
import { moveWeakness } from '@skelby/core/commands/move-weakness';
import { recordRep } from '@skelby/core/commands/record-rep';
import { takeRepBack } from '@skelby/core/commands/take-rep-back';
import { type Confirmed, confirmed, done } from '../outbox/commands';
import type { Waiting } from '../outbox/waiting';
import { occurrenceWith } from './occurrence';

/** What else this phone holds, for a weakness that was opened on it. */
export interface Around {
  readonly roster: Roster | undefined;
  readonly rule: ClearingRule | undefined;
  readonly occurrence: (id: string) => Occurrence | undefined;
}

/** What this phone holds of the rest, from what it has read and done. */
export const around = (
  client: QueryClient,
  roster: Roster | undefined,
  waiting: readonly Waiting[],
): Around => ({
  roster,
  rule: client.getQueryData<ClearingRule>(['rule']),
  occurrence: (id) =>
    occurrenceWith(id, client.getQueryData<OccurrenceOfPilot>(['occurrence', id]), waiting, roster),
});

/** The page of a weakness that only this phone knows of yet. */
function opened(id: string, by: Confirmed, around: Around): WeaknessPage | undefined {
  const occurrence = around.occurrence(by.occurrenceId);
  const pilot = around.roster?.pilots.find((each) => each.id === occurrence?.pilotId);
  if (!occurrence || !pilot || !around.rule) return undefined;
  return {
    weakness: {
      id,
      pilotId: pilot.id,
      causeId: by.causeId,
      state: 'open',
      checkFrom: null,
      checkPassed: false,
      rungs: [0, 0, 0, 0, 0],
      openedAt: by.at,
    },
    known: { track: pilot.track, windLimitMps: pilot.windLimitMps },
    pilot,
    rule: around.rule,
    moves: [],
    reps: [],
    occurrences: [],
    plans: [
      {
        id: by.planId,
        drillIds: proposePlan(by.causeId, pilot.mode, { track: pilot.track }).map(
          (planned) => planned.drillId,
        ),
        reason: '',
        madeAt: by.at,
      },
    ],
  };
}

/** The server's reps with those flown here, and without those taken back here. */
export function repsWith(
  weaknessIds: ReadonlySet<string>,
  reps: readonly RecordedRep[],
  waiting: readonly Waiting[],
): readonly RecordedRep[] {
  const known = new Set(reps.map((rep) => rep.id));
  const taken = new Set(done(takeRepBack, waiting).map((each) => each.keys.id));
  const added = done(recordRep, waiting)
    .filter(({ keys: { id }, body }) => weaknessIds.has(body.weaknessId) && !known.has(id))
    .map(({ keys: { id }, body }) => ({ ...body, id, takenBack: false }) as RecordedRep);
  if (added.length === 0 && taken.size === 0) return reps;
  return [...reps, ...added].map((rep) => (taken.has(rep.id) ? { ...rep, takenBack: true } : rep));
}

/** A weakness as it stands on this phone. `id` is the key it is asked for by; it may be known by another. */
export function weaknessWith(
  id: string,
  read: WeaknessPage | undefined,
  waiting: readonly Waiting[],
  around: Around,
): WeaknessPage | undefined {
  const ids = new Set([id, ...(read ? [read.weakness.id] : [])]);
  const openings = confirmed(waiting).filter((each) => ids.has(each.weaknessId));
  const page = read ?? (openings[0] ? opened(id, openings[0], around) : undefined);
  if (!page) return undefined;
  const known = new Set(page.moves.map((move) => move.id));
  const wasOver =
    page.weakness.state === 'watch' ||
    page.weakness.state === 'closed' ||
    page.weakness.state === 'ready-for-check';
  const moves: WeaknessMove[] = [
    ...openings.map((each, i) => ({
      id: each.moveId,
      kind:
        i === 0 && !read
          ? ('opened' as const)
          : wasOver
            ? ('reopened' as const)
            : ('occurrence-added' as const),
      at: each.at,
      reason: null,
      undoes: null,
      by: null,
      occurrenceId: each.occurrenceId,
    })),
    ...done(moveWeakness, waiting)
      .filter((each) => ids.has(each.keys.id))
      .map(({ keys: { moveId }, body: { kind, at, reason, undoes } }) => ({
        id: moveId,
        kind,
        at,
        reason: reason || null,
        undoes: undoes ?? null,
        by: null,
        occurrenceId: null,
      })),
  ].filter((move) => !known.has(move.id));
  const plans = done(changePlan, waiting)
    .filter((each) => ids.has(each.keys.id) && !page.plans.some((plan) => plan.id === each.keys.planId))
    .map(({ keys: { planId }, body: { drillIds, reason }, madeAt }) => ({
      id: planId,
      drillIds: drillIds as string[],
      reason,
      madeAt,
    }));
  const brought = openings
    .filter((each) => !page.occurrences.some((row) => row.id === each.occurrenceId))
    .flatMap((each) => around.occurrence(each.occurrenceId) ?? []);
  const reps = repsWith(ids, page.reps, waiting);
  if (moves.length + plans.length + brought.length === 0 && reps === page.reps) return page;
  return {
    ...page,
    moves: [...page.moves, ...moves],
    plans: [...plans.reverse(), ...page.plans],
    occurrences: [...brought, ...page.occurrences],
    reps,
  };
}
