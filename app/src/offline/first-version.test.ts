/** @jest-environment jsdom */
import { applyToWeakness } from '@skelby/core/weakness/apply';
import { provideArithmetic } from './overlay/arithmetic';
import 'fake-indexeddb/auto';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { commandAt } from '@skelby/core/commands/commands';
import type { BatchAnswer } from '@skelby/core/sync/batch';
import { renderHook } from '@testing-library/react-native';
import { createStore, set } from 'idb-keyval';
import { useLogDraft } from '../shared/forms/log-draft';
import { useDraft } from '../shared/storage/use-draft';
import type { Kept, Read } from './overlay/kept';
import { pilotOver } from './overlay/pilot';
import { todayOver } from './overlay/today';
import { weaknessOver } from './overlay/weakness';
import { Outbox } from './outbox/outbox';
import { shelfIn } from '../shared/storage/shelf';
import type { Waiting } from './outbox/waiting';

provideArithmetic({ applyToWeakness });

/** A phone that the first version left behind: what waits on it is delivered, and what was begun goes on. */

const json = <T>(name: string) =>
  JSON.parse(readFileSync(path.join(__dirname, '../../../fixtures/v1', name), 'utf8')) as T;
const entries = json<[string, Waiting][]>('outbox.json');
const local = json<Record<string, string>>('local-storage.json');

test('every entry of its outbox is read, is a command of today, and goes out in order, once', async () => {
  const store = createStore('skelby-outbox', 'items');
  for (const [key, entry] of entries) await set(key, entry, store);
  const sent: { key: string; path: string }[] = [];
  const outbox = new Outbox(
    (_path, body) => {
      const { commands } = body as { commands: { key: string; path: string }[] };
      sent.push(...commands);
      return Promise.resolve<BatchAnswer>({
        results: commands.map(({ key }) => ({ key, done: true })),
        clockAheadS: 0,
      });
    },
    shelfIn<Waiting>('skelby-outbox'),
    () => 'phone',
  );
  outbox.use(entries[0]![1].accountId);
  await outbox.flush();
  await outbox.flush();
  expect(sent.map(({ key }) => key)).toEqual(entries.map(([key]) => key).sort());
  for (const { path: to } of sent) expect([to, commandAt(to)?.command.by]).toEqual([to, 'trainer']);
});

test('the entry that was being logged is offered again, and so is the miss that waited for its reason', () => {
  for (const [name, value] of Object.entries(local)) localStorage.setItem(name, value);
  const { result } = renderHook(() => useLogDraft());
  const begun = JSON.parse(local['skelby.draft.log']!) as object;
  // Under a key of its own: an old tab that is still open may send the first.
  expect(result.current.draft).toMatchObject({ ...begun, id: expect.any(String) as string });
  const counter = Object.keys(local).find((name) => name.startsWith('skelby.counter.'))!;
  const { result: counting } = renderHook(() =>
    useDraft({ name: counter.slice('skelby.'.length), begin: () => ({ missedAt: '' }) }),
  );
  expect(counting.current.draft.missedAt).toMatch(/^2026-/);
});

test('the pages it kept are read, with what waits laid over them', () => {
  const [[, text]] = json<[[string, string]]>('kept-pages.json');
  const { clientState } = JSON.parse(text) as {
    clientState: { queries: { queryKey: string[]; state: { data: unknown; dataUpdatedAt: number } }[] };
  };
  const pages = new Map(
    clientState.queries.map(({ queryKey, state }) => [
      queryKey.join(' '),
      { data: state.data, readAt: state.dataUpdatedAt },
    ]),
  );
  const readBefore: Kept = {
    get: <T>(...name: readonly string[]) => pages.get(name.join(' ')) as Read<T> | undefined,
    all: <T>(kind: string) =>
      [...pages].flatMap(([name, page]) => (name.startsWith(`${kind} `) ? [page as Read<T>] : [])),
  };
  const items = entries.map(([, entry]) => entry);
  const opening = items.find(({ path: to }) => to.endsWith('/confirmation'))!.body as { weaknessId: string };
  expect(todayOver(readBefore, items, '2026-11-29')!.weaknesses.map(({ id }) => id)).toContain(
    opening.weaknessId,
  );
  expect(weaknessOver(readBefore, items, opening.weaknessId)!.reps).toHaveLength(3);
  for (const name of pages.keys()) {
    const [kind, id] = name.split(' ');
    if (kind === 'weakness') expect(weaknessOver(readBefore, items, id!)!.moves.length).toBeGreaterThan(0);
    if (kind === 'pilot') expect(pilotOver(readBefore, items, id!)!.pilot.id).toBe(id);
  }
});
