import { saveCraft, saveFlight, savePilot, saveSite } from '@skelby/core/commands/handles';
import type { Flight, Roster } from '@skelby/core/pages/pages';
import { done } from '../outbox/commands';
import { notYetIn, type Waiting } from '../outbox/waiting';
import type { Kept } from './kept';

interface Change {
  readonly keys: { readonly id: string };
  readonly body: Readonly<Record<string, unknown>>;
}

/** Rows with those added and changed here. */
export function rowsWith<T extends { readonly id: string }>(
  rows: readonly T[],
  changes: readonly Change[],
): readonly T[] {
  if (changes.length === 0) return rows;
  const changed = new Map(rows.map((row) => [row.id, row]));
  for (const { keys, body } of changes) {
    const { basedOn, ...fields } = body;
    changed.set(keys.id, { revision: 1, ...changed.get(keys.id), ...fields, id: keys.id } as unknown as T);
  }
  return [...changed.values()];
}

/** Pilots, craft and sites with what was written on this phone. */
export function rosterOver(kept: Kept, items: readonly Waiting[]): Roster | undefined {
  const read = kept.get<Roster>('roster');
  if (!read) return undefined;
  const waiting = notYetIn(items, read.readAt);
  const [pilots, craft, sites] = [
    done(savePilot, waiting),
    done(saveCraft, waiting),
    done(saveSite, waiting),
  ];
  if (pilots.length + craft.length + sites.length === 0) return read.data;
  return {
    ...read.data,
    pilots: rowsWith(read.data.pilots, pilots),
    craft: rowsWith(read.data.craft, craft),
    sites: rowsWith(read.data.sites, sites),
  };
}

/** Newest day first, then the last entered. */
export const byDay = (a: Flight, b: Flight): number =>
  a.day === b.day ? (a.id < b.id ? 1 : -1) : a.day < b.day ? 1 : -1;

/** Flights with those written on this phone. */
export function flightsOver(kept: Kept, items: readonly Waiting[]): readonly Flight[] | undefined {
  const read = kept.get<readonly Flight[]>('flights');
  if (!read) return undefined;
  const waiting = notYetIn(items, read.readAt);
  if (waiting.length === 0) return read.data;
  const names = new Map(rosterOver(kept, items)?.pilots.map(({ id, name }) => [id, name]));
  return rowsWith(read.data, done(saveFlight, waiting))
    .map((flight) => ({ ...flight, pilotName: names.get(flight.pilotId) ?? flight.pilotName ?? '' }))
    .sort(byDay);
}
