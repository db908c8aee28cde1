import { newestFirst } from '@skelby/core/vocabulary/flown-order';
import {
  logOccurrence,
  recordCourseFact,
  recordRep,
  saveFlight,
  takeRepBack,
} from '@skelby/core/commands/handles';
import type {
  Flight,
  Occurrence,
  PilotPage,
  RecordedRep,
  RepValue,
  Roster,
  RosterPilot,
  WeaknessPage,
} from '@skelby/core/pages/pages';
import { done } from '../outbox/commands';
import { notYetIn, type Waiting } from '../outbox/waiting';
import type { Kept } from './kept';
import { occurredNow } from './occurred';
import { occurrenceOver, stepOfOccurrence } from './occurrence';
import { byDay, rosterOver, rowsWith } from './roster';
import { linesOver, surroundingsOf } from './weakness';

type Counted = PilotPage['reps'][number];

const FLIGHTS_SHOWN = 30;

const blank = (pilot: RosterPilot): PilotPage => ({
  pilot,
  weaknesses: [],
  occurrences: [],
  reps: [],
  flown: { flights: 0, packs: 0, minutes: 0, since: null },
  flights: [],
  links: [],
});

/** What a page is laid over with: all that is kept, all that was done here, and what the page does not know yet. */
interface Over {
  readonly kept: Kept;
  readonly items: readonly Waiting[];
  readonly waiting: readonly Waiting[];
}

function occurrencesWith(
  { kept, items, waiting }: Over,
  pilotId: string,
  rows: readonly Occurrence[],
): readonly Occurrence[] {
  const logged = done(logOccurrence, waiting).map(({ keys }) => keys.id);
  const known = new Map(rows.map((row) => [row.id, row]));
  return [...new Set([...known.keys(), ...logged])]
    .flatMap((id) => {
      const row = waiting.reduce(
        (now, item) => stepOfOccurrence<Occurrence>(id, now, item),
        known.get(id) ?? (occurrenceOver(kept, items, id) as Occurrence | undefined),
      );
      return row?.pilotId === pilotId ? [row] : [];
    })
    .sort((a, b) => b.happenedAt.localeCompare(a.happenedAt));
}

/** Values of a line with that of a rep put in, or taken out. */
function valuesWith(
  values: Counted['values'] = [],
  { id, flownAt, met, measure }: Pick<RecordedRep, 'id' | 'flownAt' | 'met' | 'measure'>,
  by: 1 | -1,
): readonly RepValue[] {
  const others = values.filter((each) => each.id !== id);
  if (by === -1 || measure === null || measure === undefined) return others;
  return [...others, { id, flownAt, met, value: measure }].sort(newestFirst);
}

/** Reps by drill and purpose, with those flown and taken back here. */
function repsWith(
  { kept, items, waiting }: Over,
  pilotId: string,
  rows: readonly Counted[],
): readonly Counted[] {
  const { pilotOfWeakness } = surroundingsOf(kept, items);
  const added = done(recordRep, waiting).filter(({ body }) => pilotOfWeakness(body.weaknessId) === pilotId);
  const read = new Map<string, RecordedRep>();
  for (const { data } of kept.all<WeaknessPage>('weakness'))
    if (data.pilot.id === pilotId) for (const rep of data.reps) read.set(rep.id, rep);
  const taken = new Set(done(takeRepBack, waiting).map(({ keys }) => keys.id));
  const counts = new Map(rows.map((row) => [`${row.drillId} ${row.purpose}`, row]));
  const count = (rep: RecordedRep, by: 1 | -1) => {
    const name = `${rep.drillId} ${rep.purpose}`;
    const { drillId, purpose } = rep;
    const before = counts.get(name) ?? { drillId, purpose, reps: 0, met: 0, lastDay: rep.day };
    const lastDay = by === 1 && rep.day > before.lastDay ? rep.day : before.lastDay;
    counts.delete(name);
    const next = {
      ...before,
      reps: before.reps + by,
      met: before.met + (rep.met ? by : 0),
      lastDay,
      values: valuesWith(before.values, rep, by),
    };
    if (next.reps > 0) counts.set(name, next);
  };
  for (const { keys, body } of added)
    if (!taken.has(keys.id)) count({ ...body, id: keys.id, takenBack: false } as RecordedRep, 1);
  const addedIds = new Set(added.map(({ keys }) => keys.id));
  for (const id of taken) {
    const rep = read.get(id);
    if (rep && !rep.takenBack && !addedIds.has(id)) count(rep, -1);
  }
  const moved = new Set(added.map(({ body }) => `${body.drillId} ${body.purpose}`));
  const nameOf = ({ drillId, purpose }: Counted) => `${drillId} ${purpose}`;
  const all = [...counts.values()];
  // What was flown last stands first.
  return [
    ...all.filter((row) => moved.has(nameOf(row))).reverse(),
    ...rows.flatMap((row) => (moved.has(nameOf(row)) ? [] : (counts.get(nameOf(row)) ?? []))),
  ];
}

/** What was said on the course, with what was said here. */
const courseWith = (
  waiting: readonly Waiting[],
  pilotId: string,
  facts: NonNullable<PilotPage['course']> = [],
): NonNullable<PilotPage['course']> => [
  ...facts,
  ...done(recordCourseFact, waiting).flatMap(({ keys, body }) =>
    keys.id === pilotId && !facts.some(({ id }) => id === keys.factId) ? [{ ...body, id: keys.factId }] : [],
  ),
];

function flownWith(
  flown: PilotPage['flown'],
  before: readonly Flight[],
  added: readonly Flight[],
): PilotPage['flown'] {
  return added.reduce((sum, flight) => {
    const was = before.find(({ id }) => id === flight.id);
    const since = sum.since === null || flight.day < sum.since ? flight.day : sum.since;
    return {
      flights: sum.flights + (was ? 0 : 1),
      packs: sum.packs + flight.packs - (was?.packs ?? 0),
      minutes: sum.minutes + flight.minutes - (was?.minutes ?? 0),
      since,
    };
  }, flown);
}

/** Everything about one pilot, with what was done on this phone; also of one who was added on it. */
export function pilotOver(kept: Kept, items: readonly Waiting[], id: string): PilotPage | undefined {
  const read = kept.get<PilotPage>('pilot', id);
  const pilot = rosterOver(kept, items)?.pilots.find((each: Roster['pilots'][number]) => each.id === id);
  const page = read?.data ?? (pilot && blank(pilot));
  if (!page) return undefined;
  const waiting = notYetIn(items, read?.readAt ?? 0);
  if (waiting.length === 0) return read?.data;
  const changed = done(saveFlight, waiting).filter(
    ({ keys, body }) => body.pilotId === id || page.flights.some((flight) => flight.id === keys.id),
  );
  const flights = rowsWith<Flight>(page.flights, changed);
  const occurrences = occurrencesWith({ kept, items, waiting }, id, page.occurrences);
  const touched = flights.filter((flight) => changed.some(({ keys }) => keys.id === flight.id));
  return {
    ...page,
    pilot: pilot ? { ...page.pilot, ...pilot } : page.pilot,
    weaknesses: linesOver(
      kept,
      items,
      { data: page.weaknesses, readAt: read?.readAt ?? 0 },
      ({ weakness }) => weakness.pilotId === id,
    )
      .filter((line) => line.pilotId === id)
      .sort((a, b) => b.openedAt.localeCompare(a.openedAt)),
    occurrences,
    occurred: occurredNow(page, occurrences),
    reps: repsWith({ kept, items, waiting }, id, page.reps),
    flown: flownWith(page.flown, page.flights, touched),
    flights: [...flights].sort(byDay).slice(0, FLIGHTS_SHOWN),
    course: courseWith(waiting, id, page.course),
  };
}
