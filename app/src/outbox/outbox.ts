import { v7 as uuid } from 'uuid';
import { ApiProblem, NoConnection, put } from '../api/client';
import { forget, isKept, keep, kept, keptNames } from '../storage';

/**
 * Writes made in the field wait here until the server has them. Each is kept on the phone under a
 * key of its own before it is sent, so that a refresh, a dropped connection or a second tab loses
 * nothing; sending one twice is harmless, since the key in its path was made here.
 */
export interface Waiting {
  readonly key: string;
  /** Account that made it: nobody else's session sends it. */
  readonly accountId: string;
  readonly path: string;
  readonly body: Readonly<Record<string, unknown>>;
  /** What it is, for the trainer. */
  readonly what: string;
  /** Why the server would not take it; it stays until the trainer discards it. */
  readonly refused?: string;
}

const START = 'outbox.';
const FIRST_RETRY_MS = 2_000;
const LONGEST_RETRY_MS = 60_000;
const MAY_PASS = new Set([408, 425, 429]);

const isFinal = (error: unknown): error is ApiProblem =>
  error instanceof ApiProblem && error.status >= 400 && error.status < 500 && error.status !== 401 && !MAY_PASS.has(error.status);

export class Outbox {
  private readonly listeners = new Set<() => void>();
  private snapshot: readonly Waiting[] = [];
  private accountId: string | null = null;
  private timer: ReturnType<typeof setTimeout> | null = null;
  private retryMs = FIRST_RETRY_MS;
  private sending: Promise<void> | null = null;
  private askedAgain = false;
  private isHeld = false;
  /** Called after the server has taken something. */
  onDelivered: () => void = () => {};
  onSignedOut: () => void = () => {};

  constructor(private readonly send: (path: string, body: unknown) => Promise<unknown> = put) {
    this.read();
  }

  /** Starts sending for whoever is signed in; null stops it. */
  use(accountId: string | null): void {
    this.accountId = accountId;
    if (accountId) void this.flush();
  }

  start(): () => void {
    const online = () => { this.retryMs = FIRST_RETRY_MS; void this.flush(); };
    const storage = (event: StorageEvent) => { if (isKept(event.key, START)) this.read(); };
    window.addEventListener('online', online);
    window.addEventListener('storage', storage);
    return () => {
      window.removeEventListener('online', online);
      window.removeEventListener('storage', storage);
    };
  }

  add(item: Pick<Waiting, 'path' | 'body' | 'what'>): void {
    if (!this.accountId) throw new Error('Nobody is signed in: nothing can be kept for sending.');
    const key = uuid();
    keep(START + key, { ...item, key, accountId: this.accountId });
    this.read();
    void this.flush();
  }

  discard(key: string): void {
    forget(START + key);
    this.read();
  }

  /** Sends what waits, in the order it was made, until it is through or the connection is not. */
  flush(): Promise<void> {
    this.askedAgain = true;
    this.sending ??= this.sendWhileAsked().finally(() => { this.sending = null; });
    return this.sending;
  }

  /** An entry may be added just as the last pass ends: whoever asks meanwhile gets another pass. */
  private async sendWhileAsked(): Promise<void> {
    while (this.askedAgain) {
      this.askedAgain = false;
      await this.sendAll();
    }
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => { this.listeners.delete(listener); };
  };

  readonly waiting = (): readonly Waiting[] => this.snapshot;

  /** Whether the last try found no way through: what is merely on its way is not worth a word. */
  readonly held = (): boolean => this.isHeld;

  private async sendAll(): Promise<void> {
    if (this.timer) { clearTimeout(this.timer); this.timer = null; }
    for (;;) {
      const next = this.snapshot.find((item) => !item.refused && item.accountId === this.accountId);
      if (!next) return;
      try {
        await this.send(next.path, next.body);
      } catch (error) {
        if (isFinal(error)) {
          keep(START + next.key, { ...next, refused: error.message });
          this.read();
          continue;
        }
        if (error instanceof ApiProblem && error.status === 401) { this.onSignedOut(); return; }
        if (!(error instanceof ApiProblem) && !(error instanceof NoConnection)) throw error;
        this.later();
        return;
      }
      this.retryMs = FIRST_RETRY_MS;
      this.isHeld = false;
      this.discard(next.key);
      this.onDelivered();
    }
  }

  private later(): void {
    this.isHeld = true;
    this.tell();
    this.timer = setTimeout(() => void this.flush(), this.retryMs);
    this.retryMs = Math.min(this.retryMs * 2, LONGEST_RETRY_MS);
  }

  private read(): void {
    this.snapshot = keptNames(START).map((name) => kept<Waiting>(name)).filter((item) => item !== null);
    this.tell();
  }

  private tell(): void {
    for (const listener of this.listeners) listener();
  }
}
