import type { Roster } from '../../shared/api/types';
import { saveCraft, savePilot, saveSite } from '@skelby/core/commands/save-records';
import { done } from '../outbox/commands';
import type { Waiting } from '../outbox/waiting';

/** Rows with those added and changed here. */
function rowsWith<T extends { readonly id: string }>(
  rows: readonly T[],
  changes: readonly {
    readonly keys: { readonly id: string };
    readonly body: Readonly<Record<string, unknown>>;
  }[],
): readonly T[] {
  if (changes.length === 0) return rows;
  const changed = new Map(rows.map((row) => [row.id, row]));
  for (const {
    keys: { id },
    body,
  } of changes)
    changed.set(id, { ...changed.get(id), ...body, id } as unknown as T);
  return [...changed.values()];
}

/** Pilots, craft and sites with what was written on this phone. */
export function rosterWith(roster: Roster | undefined, waiting: readonly Waiting[]): Roster | undefined {
  if (!roster || waiting.length === 0) return roster;
  const [pilots, craft, sites] = [
    done(savePilot, waiting),
    done(saveCraft, waiting),
    done(saveSite, waiting),
  ];
  if (pilots.length + craft.length + sites.length === 0) return roster;
  return {
    pilots: rowsWith(roster.pilots, pilots),
    craft: rowsWith(roster.craft, craft),
    sites: rowsWith(roster.sites, sites),
  };
}
