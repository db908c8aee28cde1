import { ApiProblem, NoConnection } from '../api/client';
import { Outbox, type Waiting } from './outbox';

/** What a trainer types in the field reaches the server once, in order, whatever the signal does. */

const shelf = new Map<string, string>();
beforeEach(() => {
  shelf.clear();
  jest.useFakeTimers();
  const storage = { getItem: (key: string) => shelf.get(key) ?? null, setItem: (key: string, value: string) => { shelf.set(key, value); }, removeItem: (key: string) => { shelf.delete(key); } };
  // Object.keys(localStorage) lists its keys, as a browser's does.
  Object.defineProperty(globalThis, 'localStorage', {
    configurable: true,
    value: new Proxy(storage, { ownKeys: () => [...shelf.keys()], getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true, value: '' }) }),
  });
});
afterEach(() => jest.useRealTimers());

const rep = (n: number) => ({ path: `/reps/${n}`, body: { n }, what: `rep ${n}` });

/** A server that can be out of reach. */
class Field {
  readonly taken: string[] = [];
  signal = true;
  answer: ((path: string) => Error | null) = () => null;

  readonly send = async (path: string): Promise<void> => {
    if (!this.signal) throw new NoConnection();
    const error = this.answer(path);
    if (error) throw error;
    this.taken.push(path);
  };
}

const waitingIn = (outbox: Outbox): string[] => outbox.waiting().map((item: Waiting) => item.path);

test('with signal, an entry is sent at once and leaves the phone', async () => {
  const field = new Field();
  const outbox = new Outbox(field.send);
  outbox.use('hanne');
  outbox.add(rep(1));
  await outbox.flush();
  expect(field.taken).toEqual(['/reps/1']);
  expect([...shelf.keys()]).toEqual([]);
});

test('without signal, entries wait on the phone, outlive a refresh, and go out in the order they were made', async () => {
  const field = new Field();
  field.signal = false;
  const before = new Outbox(field.send);
  before.use('hanne');
  for (const n of [1, 2, 3]) before.add(rep(n));
  await before.flush();
  expect(waitingIn(before)).toEqual(['/reps/1', '/reps/2', '/reps/3']);

  const afterRefresh = new Outbox(field.send);
  expect(waitingIn(afterRefresh)).toEqual(['/reps/1', '/reps/2', '/reps/3']);
  field.signal = true;
  afterRefresh.use('hanne');
  await afterRefresh.flush();
  expect(field.taken).toEqual(['/reps/1', '/reps/2', '/reps/3']);
  expect(waitingIn(afterRefresh)).toEqual([]);
});

test('it tries again by itself, less and less often', async () => {
  const field = new Field();
  field.signal = false;
  const outbox = new Outbox(field.send);
  outbox.use('hanne');
  outbox.add(rep(1));
  expect(outbox.held()).toBe(false); // on its way, not yet held back
  await outbox.flush();
  expect(outbox.held()).toBe(true);
  await jest.advanceTimersByTimeAsync(2_000);
  expect(field.taken).toEqual([]);
  field.signal = true;
  await jest.advanceTimersByTimeAsync(3_999);
  expect(field.taken).toEqual([]);
  await jest.advanceTimersByTimeAsync(1);
  expect(field.taken).toEqual(['/reps/1']);
  expect(outbox.held()).toBe(false);
});

test('a server that is down or busy is waited for; nothing is dropped', async () => {
  const field = new Field();
  field.answer = () => new ApiProblem(503, 'Stopping.');
  const outbox = new Outbox(field.send);
  outbox.use('hanne');
  outbox.add(rep(1));
  await outbox.flush();
  expect(outbox.waiting()[0]?.refused).toBeUndefined();
  field.answer = () => null;
  await jest.advanceTimersByTimeAsync(2_000);
  expect(field.taken).toEqual(['/reps/1']);
});

test('what the server refuses stays, with its reason, and does not hold up the rest', async () => {
  const field = new Field();
  field.answer = (path) => (path === '/reps/1' ? new ApiProblem(422, 'Side must be one of left, right.') : null);
  const outbox = new Outbox(field.send);
  outbox.use('hanne');
  outbox.add(rep(1));
  outbox.add(rep(2));
  await outbox.flush();
  expect(field.taken).toEqual(['/reps/2']);
  expect(outbox.waiting()).toMatchObject([{ path: '/reps/1', refused: 'Side must be one of left, right.' }]);
  outbox.discard(outbox.waiting()[0]!.key);
  expect(waitingIn(outbox)).toEqual([]);
});

test('a session that has ended stops the sending and keeps the entry', async () => {
  const field = new Field();
  field.answer = () => new ApiProblem(401, 'Sign in to go on.');
  const outbox = new Outbox(field.send);
  const signedOut = jest.fn();
  outbox.onSignedOut = signedOut;
  outbox.use('hanne');
  outbox.add(rep(1));
  await outbox.flush();
  expect(signedOut).toHaveBeenCalledTimes(1);
  expect(waitingIn(outbox)).toEqual(['/reps/1']);
});

test('one trainer\'s entries are never sent in another\'s name', async () => {
  const field = new Field();
  field.signal = false;
  const outbox = new Outbox(field.send);
  outbox.use('hanne');
  outbox.add(rep(1));
  await outbox.flush();
  field.signal = true;
  outbox.use('marek');
  await outbox.flush();
  expect(field.taken).toEqual([]);
  expect(waitingIn(outbox)).toEqual(['/reps/1']);
});

test('nothing can be added while nobody is signed in', () => {
  expect(() => new Outbox(new Field().send).add(rep(1))).toThrow('Nobody is signed in');
});
