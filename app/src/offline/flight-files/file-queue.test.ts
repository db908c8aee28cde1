/** @jest-environment jsdom */
import type { Shelf } from '../../shared/storage/shelf';
import { type Answered, FileQueue, type WaitingFile } from './file-queue';
import { filesWaiting } from './files-waiting';

/** Files wait for signal, one after the other, and none of them holds up another or goes out under another's name. */

const file = (id: string, accountId = 'hanne'): WaitingFile => ({
  ...{ id, name: `${id}.csv`, packed: new Blob([id]), pilotId: null, flightId: null, accountId },
});

/** A shelf in memory. */
function shelfOf(
  there: readonly WaitingFile[] = [],
): Shelf<WaitingFile> & { readonly on: Map<string, WaitingFile> } {
  const on = new Map(there.map((each) => [each.id, each]));
  return {
    on,
    all: () => Promise.resolve([...on.values()]),
    put: (key, item) => {
      on.set(key, item);
      return Promise.resolve();
    },
    drop: (key) => {
      on.delete(key);
      return Promise.resolve();
    },
    clear: () => {
      on.clear();
      return Promise.resolve();
    },
  };
}

const settled = async () => {
  for (let i = 0; i < 20; i += 1) await Promise.resolve();
};

/** Answers by the file's key, in turn; the last again and again. */
function school(answers: Readonly<Record<string, readonly Answered[]>>) {
  const asked: string[] = [];
  return {
    asked,
    send: ({ id }: WaitingFile): Promise<Answered> => {
      const told = answers[id] ?? ['taken'];
      const nth = asked.filter((each) => each === id).length;
      asked.push(id);
      return Promise.resolve(told[Math.min(nth, told.length - 1)]!);
    },
  };
}

beforeEach(() => {
  jest.useFakeTimers();
});
afterEach(() => jest.useRealTimers());

test('what is taken leaves the phone; without signal it stays and is sent again, at longer and longer times', async () => {
  const shelf = shelfOf();
  const { asked, send } = school({ a: ['later', 'later', 'taken'] });
  const queue = new FileQueue(send, shelf);
  queue.start('hanne');
  await queue.add(file('a'));
  await settled();
  expect([asked.length, shelf.on.size, filesWaiting()]).toEqual([1, 1, 1]);
  await jest.advanceTimersByTimeAsync(5_000);
  expect(asked).toHaveLength(2);
  await jest.advanceTimersByTimeAsync(9_000);
  expect(asked).toHaveLength(2);
  await jest.advanceTimersByTimeAsync(1_000);
  expect([asked.length, shelf.on.size, filesWaiting()]).toEqual([3, 0, 0]);
});

test('one that is refused is kept with why, and the next goes through; sent once more or let go', async () => {
  const shelf = shelfOf();
  const { asked, send } = school({ a: [{ refused: 'No room.' }, 'taken'], c: [{ refused: 'Too large.' }] });
  const queue = new FileQueue(send, shelf);
  queue.start('hanne');
  for (const id of ['a', 'b', 'c']) await queue.add(file(id));
  await settled();
  expect(queue.files().map(({ id, refused }) => [id, refused])).toEqual([
    ['a', 'No room.'],
    ['c', 'Too large.'],
  ]);
  expect(shelf.on.get('a')?.refused).toBe('No room.');
  await queue.again('a');
  await settled();
  await queue.discard('c');
  expect([queue.files(), shelf.on.size, filesWaiting()]).toEqual([[], 0, 0]);
  expect(asked).toEqual(['a', 'b', 'c', 'a']);
});

test('after a reload it goes on, and what another trainer read here waits for their own sign-in', async () => {
  const shelf = shelfOf([file('a'), file('b', 'marek')]);
  const { asked, send } = school({});
  const queue = new FileQueue(send, shelf);
  const stop = queue.start('hanne');
  await settled();
  expect(asked).toEqual(['a']);
  expect([...shelf.on.keys()]).toEqual(['b']);
  stop();
  queue.start('marek');
  await settled();
  expect([asked, shelf.on.size]).toEqual([['a', 'b'], 0]);
});

test('no room on the phone is told to whoever adds it, and nothing is half kept', async () => {
  const full = { ...shelfOf(), put: () => Promise.reject(new DOMException('full', 'QuotaExceededError')) };
  const { asked, send } = school({});
  const queue = new FileQueue(send, full);
  queue.start('hanne');
  await expect(queue.add(file('a'))).rejects.toThrow('full');
  await settled();
  expect([asked, queue.files()]).toEqual([[], []]);
});
