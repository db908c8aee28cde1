import type { Roster } from '@skelby/core/pages/pages';
import type { PrefetchPage, SameAsBefore } from '@skelby/core/pages/prefetch';
import type { QueryClient } from '@tanstack/react-query';
import { ApiProblem, get, NoConnection } from '../../shared/api/client';
import { keep, kept } from '../../shared/storage/storage';
import { outbox } from '../outbox/use-outbox';

const SINGLE = ['today', 'roster', 'flights', 'experience', 'rule', 'sessions', 'drills'] as const;
const MANY = ['weakness', 'occurrence', 'debrief', 'pilot'] as const;
const EVERY_MS = 120_000;
const AFTER_FIRST_PAGE_MS = 2_500;

/** What the server called what this phone took along. */
const VERSION = 'carried';
const DROPPED = 'forgotten.dropped';

/** Drops every page that this phone keeps, but for who is signed in; what is on the screen is read anew. */
export function dropKept(client: QueryClient): Promise<void> {
  client.removeQueries({ predicate: (query) => query.queryKey[0] !== 'me' && !query.isActive() });
  return client.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'me' });
}

/** Once a pilot was forgotten every page goes: where the name stands in them nobody can tell. */
export function dropForgotten(client: QueryClient, { pilots }: Pick<Roster, 'pilots'>): void {
  const dropped = kept<readonly string[]>(DROPPED) ?? [];
  if (kept('me') === null) return;
  const forgotten = pilots.filter(({ forgottenAt }) => forgottenAt).map(({ id }) => id);
  if (forgotten.every((id) => dropped.includes(id))) return;
  void dropKept(client);
  keep(DROPPED, forgotten);
}

/** Reads it all and lays it where the screens look. */
async function prefetch(client: QueryClient, isStopped: () => boolean): Promise<void> {
  // What is sent while this is on its way may not be in the answer.
  const readAt = Date.now();
  const had = hasAll(client) ? kept<string>(VERSION) : null;
  const all = await get<PrefetchPage | SameAsBefore>(`/carry?reps=lately${had ? `&since=${had}` : ''}`);
  // Signed out while it was on its way: nothing of it stays here.
  if (all.same || isStopped()) return;
  dropForgotten(client, all.roster);
  const lay = (key: readonly string[], data: unknown) => {
    // A page may have been read by itself meanwhile.
    if ((client.getQueryState(key)?.dataUpdatedAt ?? 0) < readAt)
      client.setQueryData(key, data, { updatedAt: readAt });
  };
  for (const name of SINGLE) lay([name], all[name]);
  for (const name of MANY) for (const [id, page] of Object.entries(all[name])) lay([name, id], page);
  await outbox.forgetSent(readAt);
  if (all.version) keep(VERSION, all.version);
}

/** Whether what was taken along is still there: a browser may have emptied one shelf and not the other. */
const hasAll = (client: QueryClient): boolean =>
  SINGLE.every((name) => client.getQueryData([name]) !== undefined);

/**
 * Keeps this phone ready to walk out of signal: soon after the first page, every few minutes, and when it is
 * looked at again.
 * @returns stops it
 */
export function keepPrefetching(client: QueryClient): () => void {
  let last = 0;
  let stopped = false;
  const again = () => {
    if (stopped || document.visibilityState === 'hidden' || Date.now() - last < EVERY_MS) return;
    last = Date.now();
    prefetch(client, () => stopped || kept('me') === null).catch((error: unknown) => {
      if (!(error instanceof NoConnection || error instanceof ApiProblem)) throw error;
      // Out of reach: what was carried before stays, and the next round tries again.
      last = 0;
    });
  };
  const first = setTimeout(again, AFTER_FIRST_PAGE_MS);
  const timer = setInterval(again, EVERY_MS);
  window.addEventListener('online', again);
  document.addEventListener('visibilitychange', again);
  return () => {
    stopped = true;
    clearTimeout(first);
    clearInterval(timer);
    window.removeEventListener('online', again);
    document.removeEventListener('visibilitychange', again);
  };
}
