import type { BatchAnswer } from '@skelby/core/sync/batch';
import { ApiProblem, NoConnection } from '../../shared/api/client';
import { Outbox } from './outbox';
import type { Shelf } from '../../shared/storage/shelf';
import { isToSend, notYetIn, type Waiting } from './waiting';
import { entriesIn, fileOf } from './waiting-file';

/** What a trainer does in the field reaches the server once, in order, whatever the signal does. */

/** A phone: what is on its shelf outlives the page. */
class Phone implements Shelf<Waiting> {
  readonly items = new Map<string, Waiting>();
  full = false;

  readonly all = () => Promise.resolve([...this.items.values()]);
  readonly put = (key: string, item: Waiting) => {
    if (this.full) return Promise.reject(new Error('QuotaExceededError'));
    this.items.set(key, item);
    return Promise.resolve();
  };
  readonly drop = (key: string) => {
    this.items.delete(key);
    return Promise.resolve();
  };
  readonly clear = () => {
    this.items.clear();
    return Promise.resolve();
  };
}

interface Sent {
  readonly commands: readonly {
    readonly key: string;
    readonly path: string;
    readonly body: Readonly<Record<string, unknown>>;
  }[];
}

/** A server that does each key once, and can be out of reach. */
class Field {
  readonly taken: string[] = [];
  private readonly keys = new Set<string>();
  requests = 0;
  signal = true;
  /** The answer is lost on its way back. */
  answerLost = false;
  problem: Error | null = null;
  refuse: (path: string) => {
    status: number;
    detail: string;
    theirs?: Record<string, unknown>;
    override?: Record<string, unknown>;
  } | null = () => null;

  readonly send = (_path: string, body: unknown): Promise<BatchAnswer> => {
    this.requests += 1;
    if (!this.signal) return Promise.reject(new NoConnection());
    if (this.problem) return Promise.reject(this.problem);
    const results = (body as Sent).commands.map(({ key, path, body: { basedOn } }) => {
      const refused = basedOn === 'theirs' ? null : this.refuse(path);
      if (refused) return { key, done: false as const, ...refused };
      if (!this.keys.has(key)) {
        this.keys.add(key);
        this.taken.push(path);
      }
      return { key, done: true as const };
    });
    return this.answerLost
      ? Promise.reject(new NoConnection())
      : Promise.resolve({ results, clockAheadS: 0 });
  };
}

const rep = (n: number) => ({ path: `/reps/${n}`, body: { n }, what: `rep ${n}` });
const toSend = (outbox: Outbox): string[] =>
  outbox
    .state()
    .items.filter(isToSend)
    .map((item) => item.path);

let phone: Phone;
let field: Field;
const opened = (account: string | null = 'hanne'): Outbox => {
  const outbox = new Outbox(field.send, phone, () => 'phone');
  outbox.use(account);
  return outbox;
};

beforeEach(() => {
  jest.useFakeTimers();
  phone = new Phone();
  field = new Field();
});
afterEach(() => jest.useRealTimers());

test('with signal an entry is sent at once, and is forgotten once what is read from the server holds it', async () => {
  const outbox = opened();
  await outbox.add(rep(1));
  await outbox.flush();
  expect(field.taken).toEqual(['/reps/1']);
  const [sent] = outbox.state().items;
  expect(notYetIn(outbox.state().items, sent!.sentAt! - 1)).toHaveLength(1); // a page read before still shows it
  expect(notYetIn(outbox.state().items, sent!.sentAt! + 1)).toHaveLength(0);
  await outbox.forgetSent(sent!.sentAt! + 1);
  expect(phone.items.size).toBe(0);
});

test('without signal entries wait on the phone, outlive a refresh, and go out in the order they were made', async () => {
  field.signal = false;
  const before = opened();
  for (const n of [1, 2, 3]) await before.add(rep(n));
  await before.flush();
  expect(toSend(before)).toEqual(['/reps/1', '/reps/2', '/reps/3']);

  field.signal = true;
  const afterRefresh = opened();
  await afterRefresh.flush();
  expect(field.taken).toEqual(['/reps/1', '/reps/2', '/reps/3']);
  expect(toSend(afterRefresh)).toEqual([]);
});

test('two thousand entries go out in order, a hundred at a time at most, none twice and none left', async () => {
  field.signal = false;
  const outbox = opened();
  await Promise.all(Array.from({ length: 2_000 }, (_, i) => outbox.add(rep(i))));
  await outbox.flush();
  field.signal = true;
  field.requests = 0;
  await outbox.flush();
  expect(field.taken).toEqual(Array.from({ length: 2_000 }, (_, i) => `/reps/${i}`));
  expect(field.requests).toBe(20);
  expect(toSend(outbox)).toEqual([]);
});

test('an answer lost on its way back: the batch is sent again, and is there once', async () => {
  field.answerLost = true;
  const outbox = opened();
  await outbox.add(rep(1));
  await outbox.add(rep(2));
  await outbox.flush();
  expect(toSend(outbox)).toHaveLength(2);
  field.answerLost = false;
  await outbox.flush();
  expect(field.taken).toEqual(['/reps/1', '/reps/2']);
  expect(toSend(outbox)).toEqual([]);
});

test('it tries again by itself, less and less often', async () => {
  field.signal = false;
  const outbox = opened();
  expect(outbox.state().held).toBe(false);
  await outbox.add(rep(1));
  await outbox.flush();
  expect(outbox.state().held).toBe(true);
  await jest.advanceTimersByTimeAsync(2_000);
  field.signal = true;
  await jest.advanceTimersByTimeAsync(1_000);
  expect(field.taken).toEqual([]);
  await jest.advanceTimersByTimeAsync(7_500);
  expect(field.taken).toEqual(['/reps/1']);
  expect(outbox.state().held).toBe(false);
});

test('a server that is down, busy or in pieces is waited for; nothing is dropped', async () => {
  const outbox = opened();
  field.problem = new ApiProblem(503, 'Stopping.');
  await outbox.add(rep(1));
  await outbox.flush();
  expect(toSend(outbox)).toEqual(['/reps/1']);
  field.problem = null;
  await outbox.flush();
  expect(field.taken).toEqual(['/reps/1']);
});

test('what the server refuses stays, with its reason, and does not hold up the rest', async () => {
  field.refuse = (path) =>
    path === '/reps/1' ? { status: 422, detail: 'Side must be one of left, right.' } : null;
  const outbox = opened();
  await outbox.add(rep(1));
  await outbox.add(rep(2));
  await outbox.flush();
  expect(field.taken).toEqual(['/reps/2']);
  const refused = outbox.state().items.find((item) => item.refused);
  expect(refused).toMatchObject({ path: '/reps/1', refused: { detail: 'Side must be one of left, right.' } });
  await outbox.discard(refused!.key);
  expect(outbox.state().items.some((item) => item.refused)).toBe(false);
});

test('a request that cannot be read is taken apart: only the entry at fault is refused', async () => {
  const outbox = opened(null);
  outbox.use('hanne');
  const good = field.send;
  const picky = new Outbox(
    (path, body) =>
      (body as Sent).commands.some((each) => each.path === '/reps/2')
        ? Promise.reject(new ApiProblem(422, 'path must be an address.'))
        : good(path, body),
    phone,
    () => 'phone',
  );
  picky.use('hanne');
  for (const n of [1, 2, 3]) await picky.add(rep(n));
  await picky.flush();
  expect(field.taken).toEqual(['/reps/1', '/reps/3']);
  expect(
    picky
      .state()
      .items.filter((item) => item.refused)
      .map((item) => item.path),
  ).toEqual(['/reps/2']);
});

test("changed by somebody else: both versions are there, and insisting sends one's own", async () => {
  field.refuse = () => ({
    status: 409,
    detail: 'Changed.',
    theirs: { note: 'Theirs.' },
    override: { basedOn: 'theirs' },
  });
  const outbox = opened();
  await outbox.add({ path: '/pilots/p', body: { note: 'Mine.', basedOn: 'mine' }, what: 'pilot' });
  await outbox.flush();
  const [item] = outbox.state().items;
  expect(item?.refused).toMatchObject({ theirs: { note: 'Theirs.' } });
  await outbox.insist(item!.key);
  await outbox.flush();
  expect(field.taken).toEqual(['/pilots/p']);
});

test('a screen that waits for the word hears of a refusal, and the entry is not kept twice', async () => {
  field.refuse = () => ({ status: 422, detail: 'Reason is empty.' });
  const outbox = opened();
  await expect(outbox.deliver(rep(1), 5_000)).rejects.toThrow('Reason is empty.');
  expect(outbox.state().items).toEqual([]);
});

test('what was overtaken has the page read anew what overtook it; another refusal does not', async () => {
  let [read, status] = [0, 409];
  const outbox = opened();
  outbox.onDelivered = () => (read += 1);
  field.refuse = () => ({ status, detail: 'No.' });
  await expect(outbox.deliver(rep(1), 1_000)).rejects.toThrow('No.');
  expect(read).toBe(1);
  status = 422;
  await expect(outbox.deliver(rep(2), 1_000)).rejects.toThrow('No.');
  expect(read).toBe(1);
});

test('without signal a screen that waits for the word goes on at once', async () => {
  field.signal = false;
  await expect(opened().deliver(rep(1), 60_000)).resolves.toBe('waiting');
});

test('a phone that is full says so, drops nothing, and sends it all the same', async () => {
  field.signal = false;
  const outbox = opened();
  phone.full = true;
  await outbox.add(rep(1));
  await outbox.flush();
  expect([...outbox.state().unkept]).toHaveLength(1);
  expect(toSend(outbox)).toEqual(['/reps/1']);
  phone.full = false;
  field.signal = true;
  await outbox.flush();
  expect(field.taken).toEqual(['/reps/1']);
  expect([...outbox.state().unkept]).toEqual([]);
});

test('a session that has ended stops the sending and keeps the entry', async () => {
  field.problem = new ApiProblem(401, 'Sign in to go on.');
  const outbox = opened();
  const signedOut = jest.fn();
  outbox.onSignedOut = signedOut;
  await outbox.add(rep(1));
  await outbox.flush();
  expect(signedOut).toHaveBeenCalled();
  expect(toSend(outbox)).toEqual(['/reps/1']);
});

test("one trainer's entries are never sent in another's name, and nothing can be added while nobody is signed in", async () => {
  field.signal = false;
  const outbox = opened();
  await outbox.add(rep(1));
  await outbox.flush();
  field.signal = true;
  outbox.use('marek');
  await outbox.flush();
  expect(field.taken).toEqual([]);
  expect(() => opened(null).add(rep(1))).toThrow('Nobody is signed in');
});

test('what waits can be carried to another phone as a file; sent from both, it is there once', async () => {
  field.signal = false;
  const first = opened();
  for (const n of [1, 2]) await first.add(rep(n));
  await first.flush();
  const file = fileOf(first.state().items, '2026-03-03T10:00:00.000Z');
  field.signal = true;
  const second = new Outbox(field.send, new Phone(), () => 'phone');
  second.use('marek');
  // Keys and paths here are short: the file is checked for the real ones below.
  await second.takeOver((JSON.parse(file) as { entries: Parameters<Outbox['takeOver']>[0] }).entries);
  await second.flush();
  await first.flush();
  expect(field.taken).toEqual(['/reps/1', '/reps/2']);
});

test('a file that is something else is refused in words', async () => {
  await expect(entriesIn('not json')).rejects.toThrow('pick one that was saved on this page');
  await expect(entriesIn('{"format":"other"}')).rejects.toThrow('pick one that was saved on this page');
  const outbox = opened();
  field.signal = false;
  await outbox.add(rep(7));
  await expect(entriesIn(fileOf(outbox.state().items, new Date().toISOString()))).resolves.toMatchObject([
    { path: '/reps/7', what: 'rep 7', body: { n: 7 } },
  ]);
});
