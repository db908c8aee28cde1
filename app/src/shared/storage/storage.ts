import { Listeners } from './listeners';

/** What this phone keeps for itself. Written at once, so that a refresh a moment later finds it. */

const PREFIX = 'skelby.';

const roomListeners = new Listeners();
let isWithoutRoom = false;
/** Length of the shortest text that was refused, until one as long is taken. */
let leastRefused = Infinity;

/** Whether the last thing that was to be kept was not: no room, or a browser that keeps nothing for this page. */
export const noRoom = { subscribe: roomListeners.subscribe, now: (): boolean => isWithoutRoom };

function tellRoom(without: boolean): void {
  if (without === isWithoutRoom) return;
  isWithoutRoom = without;
  roomListeners.tell();
}

const REFUSALS = ['QuotaExceededError', 'NS_ERROR_DOM_QUOTA_REACHED', 'SecurityError'];
const isRefusal = (error: unknown): boolean => error instanceof DOMException && REFUSALS.includes(error.name);

/** One of the browser's own; null where it keeps nothing for this page, which asking for it already says. */
function shelfOf(which: 'localStorage' | 'sessionStorage'): Storage | null {
  try {
    return window[which];
  } catch (error) {
    if (!isRefusal(error)) throw error;
    return null;
  }
}
const shelf = () => shelfOf('localStorage');
/** What lasts as long as the tab. */
export const tabShelf = () => shelfOf('sessionStorage');

/** What the browser did not take: this page goes on with it for as long as it is open. */
const inMemory = new Map<string, string>();

/** Keeps it; where the browser does not, only while the page is open, which `noRoom` then says. */
export function keep(name: string, value: unknown): void {
  const text = JSON.stringify(value);
  const isKept = puts(name, text);
  if (isKept) inMemory.delete(name);
  else inMemory.set(name, text);
  // What is shorter than what had no room says nothing of the room there is.
  if (!isKept) leastRefused = Math.min(leastRefused, text.length);
  else if (text.length >= leastRefused) leastRefused = Infinity;
  tellRoom(leastRefused < Infinity);
}

function puts(name: string, text: string): boolean {
  try {
    const there = shelf();
    there?.setItem(PREFIX + name, text);
    return there !== null;
  } catch (error) {
    if (!isRefusal(error)) throw error;
    return false;
  }
}

export function kept<T>(name: string): T | null {
  const text = inMemory.get(name) ?? shelf()?.getItem(PREFIX + name) ?? null;
  if (text === null) return null;
  try {
    return JSON.parse(text) as T;
  } catch {
    // Half-written by a browser that was killed: as good as not there.
    forget(name);
    return null;
  }
}

/** Names of everything that is kept under a beginning. */
export const namesUnder = (start: string): readonly string[] =>
  [
    ...new Set([
      ...inMemory.keys(),
      ...Object.keys(shelf() ?? {})
        .filter((name) => name.startsWith(PREFIX))
        .map((name) => name.slice(PREFIX.length)),
    ]),
  ].filter((name) => name.startsWith(start));

export function forget(name: string): void {
  inMemory.delete(name);
  shelf()?.removeItem(PREFIX + name);
}

/** Tells when another tab forgets what is kept under a name. @returns stops telling */
export function whenForgottenElsewhere(name: string, tell: () => void): () => void {
  const look = ({ key, newValue }: StorageEvent) => {
    if (key === null || (key === PREFIX + name && newValue === null)) tell();
  };
  window.addEventListener('storage', look);
  return () => window.removeEventListener('storage', look);
}

/** Leaves nothing behind. */
export function forgetAll(): void {
  for (const name of namesUnder('')) forget(name);
}
