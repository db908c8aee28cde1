import { recordRep, takeRepBack } from '@skelby/core/commands/handles';
import type {
  PilotPage,
  RecordedRep,
  RosterPilot,
  TodayList,
  WeaknessLine,
  WeaknessPage,
} from '@skelby/core/pages/pages';
import { type Asked, confirmationIn } from '@skelby/core/weakness/asked';
import type { WeaknessSurroundings } from '@skelby/core/weakness/surroundings';
import { done, madeAt } from '../outbox/commands';
import { notYetIn, type Waiting } from '../outbox/waiting';
import { arithmetic } from './arithmetic';
import { type Kept, type Read, ruleOf } from './kept';
import { occurrenceOver } from './occurrence';
import { rosterOver } from './roster';

/** Entries of the outbox as what was asked for. */
const askedIn = (items: readonly Waiting[]): readonly Asked[] =>
  items.map(({ key, path, body }) => ({ path, body, madeAt: madeAt(key) }));

/** Whose each weakness is, from every page that this phone has read and from what was confirmed on it. */
function pilotsOfWeaknesses(kept: Kept, items: readonly Waiting[]): ReadonlyMap<string, string> {
  const pilotOf = new Map<string, string>();
  for (const { data } of kept.all<WeaknessPage>('weakness'))
    pilotOf.set(data.weakness.id, data.weakness.pilotId);
  for (const { data } of kept.all<PilotPage>('pilot'))
    for (const line of data.weaknesses) pilotOf.set(line.id, data.pilot.id);
  for (const line of kept.get<TodayList>('today')?.data.weaknesses ?? []) pilotOf.set(line.id, line.pilotId);
  for (const asked of askedIn(items)) {
    const made = confirmationIn(asked);
    const pilotId = made && occurrenceOver(kept, items, made.occurrenceId)?.pilotId;
    if (pilotId) pilotOf.set(made.weaknessId, pilotId);
  }
  return pilotOf;
}

/** Every rep of a pilot that this phone has read or counted, each once. */
function repsOfPilot(
  kept: Kept,
  items: readonly Waiting[],
  pilotId: string,
  pilotOf: ReadonlyMap<string, string>,
): readonly RecordedRep[] {
  const reps = new Map<string, RecordedRep>();
  for (const { data } of kept.all<WeaknessPage>('weakness'))
    if (data.weakness.pilotId === pilotId) for (const rep of data.reps) reps.set(rep.id, rep);
  for (const { keys, body } of done(recordRep, items))
    if (pilotOf.get(body.weaknessId) === pilotId && !reps.has(keys.id))
      reps.set(keys.id, { ...body, id: keys.id, takenBack: false } as RecordedRep);
  for (const { keys } of done(takeRepBack, items)) {
    const rep = reps.get(keys.id);
    if (rep) reps.set(keys.id, { ...rep, takenBack: true });
  }
  return [...reps.values()];
}

/** What a weakness looks up beside itself, from what this phone has read and done. */
export function surroundingsOf(kept: Kept, items: readonly Waiting[]): WeaknessSurroundings {
  const pilots = new Map(rosterOver(kept, items)?.pilots.map((pilot: RosterPilot) => [pilot.id, pilot]));
  const pilotOf = pilotsOfWeaknesses(kept, items);
  return {
    rule: ruleOf(kept),
    occurrence: (id) => occurrenceOver(kept, items, id),
    pilot: (id) => pilots.get(id),
    known: (id) => {
      const { track, windLimitMps } = pilots.get(id) ?? {};
      return { ...kept.get<PilotPage>('pilot', id)?.data.known, track, windLimitMps };
    },
    pilotOfWeakness: (id) => pilotOf.get(id),
    repsOfPilot: (pilotId) => repsOfPilot(kept, items, pilotId, pilotOf),
  };
}

/** A weakness as it stands on this phone. */
export function weaknessOver(
  kept: Kept,
  items: readonly Waiting[],
  id: string,
  around: WeaknessSurroundings = surroundingsOf(kept, items),
): WeaknessPage | undefined {
  const read = kept.get<WeaknessPage>('weakness', id);
  const worked = arithmetic();
  if (!worked) return read?.data;
  return worked.applyToWeakness(id, read?.data, askedIn(notYetIn(items, read?.readAt ?? 0)), around);
}

/**
 * Lines of a list with those that something was done about here worked out anew, and those opened here. A page
 * that was read after the list knows better than its line.
 * @param list as it was read
 * @param wanted which weaknesses belong into the list
 */
export function linesOver<T extends WeaknessLine>(
  kept: Kept,
  items: readonly Waiting[],
  list: Read<readonly T[]>,
  wanted: (page: WeaknessPage) => boolean,
): readonly (T | WeaknessPage['weakness'])[] {
  const around = surroundingsOf(kept, items);
  const confirmed = askedIn(items).flatMap((asked) => confirmationIn(asked)?.weaknessId ?? []);
  const known = new Map(list.data.map((line) => [line.id, line]));
  const ids = new Set([
    ...known.keys(),
    ...kept.all<WeaknessPage>('weakness').map(({ data }) => data.weakness.id),
    ...confirmed,
  ]);
  return [...ids].flatMap((id) => {
    const line = known.get(id);
    const page = weaknessOver(kept, items, id, around);
    const read = kept.get<WeaknessPage>('weakness', id);
    const tellsNothingNew = page === read?.data && (read?.readAt ?? 0) <= list.readAt;
    if (!page || tellsNothingNew) return line ?? [];
    if (page.weakness.id !== id && known.has(page.weakness.id)) return [];
    return wanted(page) ? [{ ...line, ...page.weakness }] : [];
  });
}
