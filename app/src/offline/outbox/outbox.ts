import { Listeners } from '../../shared/storage/listeners';
import { OneAtATime } from '../../shared/storage/one-at-a-time';
import { BATCH_AT_MOST, type BatchAnswer } from '@skelby/core/sync/batch';
import { v7 as uuid } from 'uuid';
import { ApiProblem, NoConnection, postFor } from '../../shared/api/client';
import { keep, kept } from '../../shared/storage/storage';
import { answeredWith, firstOf } from './batches';
import { type Shelf, shelfIn } from '../../shared/storage/shelf';
import { isToSend, type Waiting } from './waiting';

/**
 * What is done in the field waits here until the server has it. Each entry is put on the phone's shelf before it is
 * sent, so that a refresh, a dropped connection or a second tab loses nothing; the server does each key once, so that
 * sending one twice is harmless.
 */

const FIRST_RETRY_MS = 2_000;
const LONGEST_RETRY_MS = 60_000;
const MAY_PASS = new Set([408, 425, 429]);

/** What was sent is built on something that has changed since: what is shown is old, and news may come late. */
const OVERTAKEN = 409;

/** Whether trying again later can help. */
export const willPass = (error: ApiProblem): boolean => error.status >= 500 || MAY_PASS.has(error.status);

export type Send = (path: string, body: unknown) => Promise<BatchAnswer>;

export interface OutboxState {
  /** Whether the shelf has been looked at: before that, nothing here does not mean that nothing waits. */
  readonly isRead: boolean;
  readonly items: readonly Waiting[];
  /** Whether the last try found no way through: what is merely on its way is not worth a word. */
  readonly held: boolean;
  /** Keys of entries that this phone has no room to keep: only the open page has them. */
  readonly unkept: ReadonlySet<string>;
  /** By how much the server found this phone's clock ahead, in seconds; 0: near enough. */
  readonly clockAheadS: number;
}

const EMPTY: OutboxState = { isRead: false, items: [], held: false, unkept: new Set(), clockAheadS: 0 };

export class Outbox {
  private readonly listeners = new Listeners();
  private now: OutboxState = EMPTY;
  private accountId: string | null = null;
  private timer: ReturnType<typeof setTimeout> | null = null;
  private retryMs = FIRST_RETRY_MS;
  /** An entry may be added just as the last pass ends: it gets one of its own. */
  private readonly sending = new OneAtATime('skelby.outbox', async () => {
    await this.read();
    await this.sendAll();
  });
  private channel: BroadcastChannel | null = null;
  /** Entries whose form is still there to show a refusal. */
  private readonly answering = new Map<string, (refusal: ApiProblem | null) => void>();
  private readonly late = new Set<() => void>();
  private readonly putting = new Set<string>();
  /** Called after the server has taken something, or holds something newer than what was sent. */
  onDelivered: () => void = () => {};
  onSignedOut: () => void = () => {};

  constructor(
    private readonly send: Send = (path, body) => postFor<BatchAnswer>(path, body),
    private readonly shelf: Shelf<Waiting> = shelfIn<Waiting>('skelby-outbox'),
    private readonly phone: () => string = thisPhone,
  ) {}

  /** Starts sending for whoever is signed in; null stops it. */
  use(accountId: string | null): void {
    this.accountId = accountId;
    if (accountId) void this.flush();
    else if (this.timer) {
      clearTimeout(this.timer);
      this.timer = null;
    }
  }

  start(): () => void {
    const online = () => {
      this.retryMs = FIRST_RETRY_MS;
      void this.flush();
    };
    window.addEventListener('online', online);
    this.channel = 'BroadcastChannel' in globalThis ? new BroadcastChannel('skelby.outbox') : null;
    // Another tab has added, sent or dropped something.
    if (this.channel) this.channel.onmessage = () => void this.read();
    void this.read();
    return () => {
      window.removeEventListener('online', online);
      this.channel?.close();
      this.channel = null;
    };
  }

  /**
   * Takes an entry and sets out to send it. It can be seen in the outbox at once, and is on the shelf when
   * the promise settles.
   */
  add(item: Pick<Waiting, 'path' | 'body' | 'what'> & Partial<Pick<Waiting, 'stamp'>>): Promise<void> {
    if (!this.accountId) throw new Error('Nobody is signed in: nothing can be kept for sending.');
    return this.takeIn([{ stamp: null, ...item, key: uuid(), accountId: this.accountId }]);
  }

  /**
   * Adds an entry and waits a moment for the server's word on it.
   * @returns whether it was sent or waits for signal
   * @throws ApiProblem when the server refuses it: it is dropped, since whoever asked still has it on the
   *   screen
   */
  async deliver(item: Parameters<Outbox['add']>[0], withinMs: number): Promise<'sent' | 'waiting'> {
    if (!this.accountId) throw new Error('Nobody is signed in: nothing can be kept for sending.');
    const key = uuid();
    const answer = new Promise<ApiProblem | null>((resolve) => {
      this.answering.set(key, resolve);
    });
    await this.takeIn([{ stamp: null, ...item, key, accountId: this.accountId }]);
    let late = () => {};
    const timeUp = new Promise<'late'>((resolve) => {
      late = () => resolve('late');
      this.late.add(late);
    });
    const timer = setTimeout(late, withinMs);
    const inTime = await Promise.race([answer, timeUp]);
    clearTimeout(timer);
    this.late.delete(late);
    this.answering.delete(key);
    if (inTime === 'late') return 'waiting';
    if (inTime) {
      await this.discard(key);
      throw inTime;
    }
    return 'sent';
  }

  /** Takes over the entries of a file from another phone, under their own keys. */
  async takeOver(items: readonly Pick<Waiting, 'key' | 'path' | 'body' | 'what' | 'stamp'>[]): Promise<void> {
    const { accountId } = this;
    if (!accountId) throw new Error('Nobody is signed in: nothing can be kept for sending.');
    await this.takeIn(
      items.map(({ key, path, body, what, stamp }) => ({ key, path, body, what, stamp, accountId })),
    );
  }

  async discard(key: string): Promise<void> {
    await this.shelf.drop(key);
    this.tellWith({
      items: this.now.items.filter((item) => item.key !== key),
      unkept: without(this.now.unkept, key),
    });
    this.channel?.postMessage('changed');
  }

  /** Sends a refused entry again, with what makes it go through. */
  async insist(key: string): Promise<void> {
    const item = this.now.items.find((each) => each.key === key);
    if (!item?.refused?.override) return;
    const { refused, ...rest } = item;
    await this.takeIn([{ ...rest, body: { ...rest.body, ...refused.override } }]);
  }

  /** Forgets what was sent before `readAt`: what has been read since holds it. */
  async forgetSent(readAt: number): Promise<void> {
    for (const item of this.now.items)
      if (item.sentAt !== undefined && item.sentAt < readAt) await this.discard(item.key);
  }

  /** Empties the shelf, whatever is on it. */
  async wipe(): Promise<void> {
    await this.shelf.clear();
    this.tellWith(EMPTY);
    this.channel?.postMessage('changed');
  }

  /** Sends what waits, in the order it was made, until it is through or the connection is not. */
  flush(): Promise<void> {
    return this.sending.run();
  }

  /** Reads the shelf again; what is on its way there, or had no room there, stays as it is here. */
  async read(): Promise<void> {
    const kept = await this.shelf.all();
    const newer = this.now.items.filter(
      (item) => this.putting.has(item.key) || this.now.unkept.has(item.key),
    );
    const keys = new Set(newer.map((item) => item.key));
    const items = inOrder([...kept.filter((item) => !keys.has(item.key)), ...newer]);
    this.tellWith({ isRead: true, items });
  }

  readonly subscribe = this.listeners.subscribe;

  readonly state = (): OutboxState => this.now;

  private async takeIn(items: readonly Waiting[]): Promise<void> {
    const keys = new Set(items.map((item) => item.key));
    this.tellWith({ items: inOrder([...this.now.items.filter((item) => !keys.has(item.key)), ...items]) });
    await Promise.all(items.map((item) => this.keep(item)));
    this.channel?.postMessage('changed');
    void this.flush();
  }

  private async keep(item: Waiting): Promise<void> {
    this.putting.add(item.key);
    try {
      await this.shelf.put(item.key, item);
      if (this.now.unkept.has(item.key)) this.tellWith({ unkept: without(this.now.unkept, item.key) });
    } catch {
      // No room: the open page still has it and sends it, and the trainer is told.
      this.tellWith({ unkept: new Set([...this.now.unkept, item.key]) });
    } finally {
      this.putting.delete(item.key);
    }
  }

  private change(changed: ReadonlyMap<string, Waiting>): Promise<unknown> {
    this.tellWith({ items: this.now.items.map((item) => changed.get(item.key) ?? item) });
    return Promise.all([...changed.values()].map((item) => this.keep(item)));
  }

  private async sendAll(): Promise<void> {
    if (this.timer) {
      clearTimeout(this.timer);
      this.timer = null;
    }
    let atMost = BATCH_AT_MOST;
    for (;;) {
      const batch = firstOf(
        this.now.items.filter((item) => isToSend(item) && item.accountId === this.accountId),
        atMost,
      );
      if (batch.length === 0) return;
      try {
        await this.settle(
          batch,
          await this.send('/sync', {
            sentAt: new Date().toISOString(),
            minutesAheadOfUtc: -new Date().getTimezoneOffset(),
            phone: this.phone(),
            account: this.accountId,
            commands: batch.map(({ key, path, body, stamp }) => ({ key, path, body, stamp })),
          }),
        );
        atMost = BATCH_AT_MOST;
      } catch (error) {
        if (error instanceof ApiProblem && error.status === 401) {
          this.onSignedOut();
          return;
        }
        if (error instanceof NoConnection || (error instanceof ApiProblem && willPass(error))) {
          this.later();
          return;
        }
        if (!(error instanceof ApiProblem)) throw error;
        // One of them cannot be read: alone, each shows whether it is the one.
        if (batch.length > 1) {
          atMost = 1;
          continue;
        }
        await this.settle(batch, {
          results: [{ key: batch[0]!.key, done: false, status: error.status, detail: error.message }],
          clockAheadS: this.now.clockAheadS,
        });
      }
    }
  }

  /** Notes what the server said to each entry. */
  private async settle(batch: readonly Waiting[], { results, clockAheadS }: BatchAnswer): Promise<void> {
    this.retryMs = FIRST_RETRY_MS;
    const sentAt = Date.now();
    const said = new Map(results.map((result) => [result.key, result]));
    await this.change(
      new Map(batch.map((item) => [item.key, answeredWith(item, said.get(item.key), sentAt)])),
    );
    this.tellWith({ held: false, clockAheadS });
    for (const item of batch) {
      const result = said.get(item.key);
      if (result)
        this.answering.get(item.key)?.(
          result.done
            ? null
            : new ApiProblem(result.status, result.detail, [], {
                theirs: result.theirs,
                by: result.by,
                override: result.override,
              }),
        );
    }
    this.channel?.postMessage('changed');
    if (results.some((result) => result.done || result.status === OVERTAKEN)) this.onDelivered();
  }

  private later(): void {
    this.tellWith({ held: true });
    // Whoever waits for a word on the screen need not wait for the next try.
    for (const late of this.late) late();
    this.late.clear();
    this.timer = setTimeout(() => void this.flush(), this.retryMs);
    this.retryMs = Math.min(this.retryMs * 2, LONGEST_RETRY_MS);
  }

  private tellWith(part: Partial<OutboxState>): void {
    this.now = { ...this.now, ...part };
    this.listeners.tell();
  }
}

const inOrder = (items: readonly Waiting[]): readonly Waiting[] =>
  [...items].sort((a, b) => (a.key < b.key ? -1 : a.key > b.key ? 1 : 0));

/** A key for this phone, the same in every tab until somebody signs out. */
function thisPhone(): string {
  const known = kept<string>('phone');
  if (known !== null) return known;
  const key = uuid();
  keep('phone', key);
  return key;
}

const without = (keys: ReadonlySet<string>, key: string): ReadonlySet<string> =>
  new Set([...keys].filter((each) => each !== key));
