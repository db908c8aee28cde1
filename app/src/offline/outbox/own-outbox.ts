import type { BatchAnswer, CommandResult } from '@skelby/core/sync/batch';
import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { ApiProblem, isOfAccount, putAs } from '../../shared/api/client';
import { Outbox, type OutboxState, willPass } from './outbox';
import { shelfIn } from '../../shared/storage/shelf';
import type { Waiting } from './waiting';

/** What tells whose entries are whose: an account, or as much of a link as does; the link itself is not kept on the phone. */
export const whoseBy = (token: string): string => (isOfAccount(token) ? token : token.slice(0, 8));

/** Sends one after the other as the holder of a link: behind a link there is no batch. */
export const sendAs =
  (token: () => string, put = putAs) =>
  async (_path: string, body: unknown): Promise<BatchAnswer> => {
    const { commands } = body as { readonly commands: readonly Pick<Waiting, 'key' | 'path' | 'body'>[] };
    const results: CommandResult[] = [];
    for (const { key, path, body: fields } of commands) {
      try {
        await put(token(), path, fields);
        results.push({ key, done: true });
      } catch (error) {
        if (error instanceof ApiProblem && !willPass(error))
          results.push({ key, done: false, status: error.status, detail: error.message });
        else if (results.length === 0) throw error;
        else break;
      }
    }
    return { results, clockAheadS: 0 };
  };

let holding = '';
/** What a pilot flew with their own link waits here until the server has it. */
export const ownOutbox = new Outbox(
  sendAs(() => holding),
  shelfIn<Waiting>('skelby-own'),
);

/** Sends what waits for this link, now and whenever there is signal. Once a page. */
export function useOwnSending(token: string | null): void {
  useEffect(() => {
    if (!token) return undefined;
    holding = token;
    ownOutbox.onDelivered = () => void ownOutbox.forgetSent(Infinity);
    const stop = ownOutbox.start();
    ownOutbox.use(whoseBy(token));
    return stop;
  }, [token]);
}

/** What of this link's has not gone through. */
export function useOwnWaiting(token: string | null): OutboxState {
  const state = useSyncExternalStore(ownOutbox.subscribe, ownOutbox.state);
  return useMemo(
    () => ({
      ...state,
      items: token ? state.items.filter((item) => item.accountId === whoseBy(token)) : [],
    }),
    [state, token],
  );
}

/** Takes what waits for a pilot who signs out off the phone; what waits for links stays. */
export async function wipeOwn(token: string): Promise<void> {
  await ownOutbox.read();
  for (const item of ownOutbox.state().items)
    if (item.accountId === whoseBy(token)) await ownOutbox.discard(item.key);
}
