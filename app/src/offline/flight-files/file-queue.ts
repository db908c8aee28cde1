import { Listeners } from '../../shared/storage/listeners';
import { OneAtATime } from '../../shared/storage/one-at-a-time';
import { forget, keep } from '../../shared/storage/storage';
import { type Shelf, shelfIn } from '../../shared/storage/shelf';
import { FILES_WAITING, FILES_SHELF } from './files-waiting';

/** A recorder's file on its way to the school, packed. */
export interface WaitingFile {
  /** From its SHA-256: the same file twice is one. */
  readonly id: string;
  readonly name: string;
  readonly packed: Blob;
  readonly pilotId: string | null;
  readonly flightId: string | null;
  /** Whoever read it: another who is signed in here does not send it. */
  readonly accountId: string;
  /** Why the school does not take it; it stays until it is let go, or sent once more. */
  readonly refused?: string;
}

/** How the school answered: taken, refused for good, or not reached. */
export type Answered = 'taken' | 'later' | { readonly refused: string };

const FIRST_RETRY_MS = 5_000;
const LONGEST_RETRY_MS = 5 * 60_000;
const LONGEST_SEND_MS = 10 * 60_000;
/** 409: what it belongs to is still on its way. */
const MAY_PASS = new Set([401, 408, 409, 425, 429]);

const addressOf = ({ id, name, pilotId, flightId }: WaitingFile): string => {
  const asked = new URLSearchParams({ name });
  if (pilotId) asked.set('pilot', pilotId);
  if (flightId) asked.set('flight', flightId);
  return `/api/flight-files/${id}?${asked.toString()}`;
};

async function sendFile(file: WaitingFile): Promise<Answered> {
  let response: Response;
  try {
    response = await fetch(addressOf(file), {
      method: 'PUT',
      credentials: 'same-origin',
      headers: { 'Content-Type': 'application/gzip', 'X-Account': file.accountId },
      body: file.packed,
      signal: AbortSignal.timeout(LONGEST_SEND_MS),
    });
  } catch {
    // No signal, or it broke off: it is sent again.
    return 'later';
  }
  if (response.ok) return 'taken';
  if (response.status >= 500 || MAY_PASS.has(response.status)) return 'later';
  const { detail } = (await response.json().catch(() => ({}))) as { detail?: string };
  return { refused: detail ?? `The server answered ${response.status}.` };
}

/**
 * Flight files wait here until the school has them, one after the other, beside the outbox: entries never wait for a file
 * of megabytes.
 */
export class FileQueue {
  private readonly listeners = new Listeners();
  private now: readonly WaitingFile[] = [];
  private accountId: string | null = null;
  private timer: ReturnType<typeof setTimeout> | null = null;
  private retryMs = FIRST_RETRY_MS;
  private readonly sending = new OneAtATime('skelby.files', () => this.sendAll());

  constructor(
    private readonly send: (file: WaitingFile) => Promise<Answered> = sendFile,
    private readonly shelf: Shelf<WaitingFile> = shelfIn<WaitingFile>(FILES_SHELF),
  ) {}

  readonly subscribe = this.listeners.subscribe;
  readonly files = (): readonly WaitingFile[] => this.now;

  /** Reads what waits, and sends for whoever is signed in. @returns stops it */
  start(accountId: string): () => void {
    this.accountId = accountId;
    const online = () => {
      this.retryMs = FIRST_RETRY_MS;
      void this.flush();
    };
    window.addEventListener('online', online);
    void this.shelf.all().then((all) => {
      const here = new Set(this.now.map(({ id }) => id));
      this.tell([...all.filter(({ id }) => !here.has(id)), ...this.now]);
      void this.flush();
    });
    return () => {
      window.removeEventListener('online', online);
      if (this.timer) clearTimeout(this.timer);
      this.timer = null;
      // Whoever signs in next reads the shelf anew.
      this.accountId = null;
      this.now = [];
    };
  }

  /** Takes a file in and sets out to send it. @throws where this phone has no room for it */
  async add(file: WaitingFile): Promise<void> {
    this.accountId = file.accountId;
    await this.shelf.put(file.id, file);
    this.tell([...this.now.filter(({ id }) => id !== file.id), file]);
    void this.flush();
  }

  /** Lets it go: it is not sent. */
  async discard(id: string): Promise<void> {
    await this.shelf.drop(id);
    this.tell(this.now.filter((each) => each.id !== id));
  }

  /** Sends what was refused once more. */
  async again(id: string): Promise<void> {
    const file = this.now.find((each) => each.id === id);
    if (!file) return;
    const { refused: _, ...rest } = file;
    await this.add(rest);
  }

  /** Sends one after the other, until all are through or the connection is not. */
  flush(): Promise<void> {
    return this.sending.run();
  }

  private next(): WaitingFile | undefined {
    return this.now.find(({ accountId, refused }) => accountId === this.accountId && !refused);
  }

  private async sendAll(): Promise<void> {
    for (let file = this.next(); file; file = this.next()) {
      const answered = await this.send(file);
      if (answered === 'later') {
        this.later();
        return;
      }
      this.retryMs = FIRST_RETRY_MS;
      if (answered === 'taken') await this.discard(file.id);
      else await this.refuse(file, answered.refused);
    }
  }

  private async refuse(file: WaitingFile, why: string): Promise<void> {
    const refused = { ...file, refused: why };
    await this.shelf.put(file.id, refused);
    this.tell(this.now.map((each) => (each.id === file.id ? refused : each)));
  }

  private later(): void {
    if (this.timer) clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.flush(), this.retryMs);
    this.retryMs = Math.min(2 * this.retryMs, LONGEST_RETRY_MS);
  }

  private tell(files: readonly WaitingFile[]): void {
    this.now = files;
    // What a fresh page looks at to know that there is something to send.
    if (files.length > 0) keep(FILES_WAITING, files.length);
    else forget(FILES_WAITING);
    this.listeners.tell();
  }
}
