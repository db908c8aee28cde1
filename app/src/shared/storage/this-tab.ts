import { v7 as uuid } from 'uuid';
import { forget, keep, kept, namesUnder, tabShelf } from './storage';

/** A tab says that it is there so often; one that has not for longer is gone. */
const SAYS_EVERY_MS = 2_000;
const GONE_AFTER_MS = 5_000;
const NAME = 'skelby.tab';

const signOf = (tab: string) => `tab.${tab}`;

/** Whether a tab with drafts of its own is still there. A tab that closes takes its sign away; one that sleeps may seem gone. */
export function isThere(tab: string): boolean {
  const said = kept<number>(signOf(tab));
  if (said === null) return false;
  const isFresh = Date.now() - said < GONE_AFTER_MS;
  if (!isFresh) forget(signOf(tab));
  return isFresh;
}

/** Says at once that this tab is there, as it keeps its first draft. */
export const sayHere = (): void => keep(signOf(thisTab()), Date.now());

let id: string | null = null;

/** A copy of a tab is given the same memory: while the first is there the copy is another tab. */
function knownId(): string {
  const known = tabShelf()?.getItem(NAME);
  return known && !isThere(known) ? known : uuid();
}

function sayThere(tab: string): void {
  const say = () => {
    const hasDrafts = namesUnder('').some((name) => name.endsWith(`@${tab}`));
    if (hasDrafts) keep(signOf(tab), Date.now());
    else forget(signOf(tab));
  };
  say();
  const timer: unknown = setInterval(say, SAYS_EVERY_MS);
  // Under Node.js, in tests, the timer keeps nobody waiting.
  (timer as { unref?: () => void }).unref?.();
  window.addEventListener('pagehide', () => forget(signOf(tab)));
  window.addEventListener('pageshow', say);
}

/** This tab, by a name that outlives a reload. It says that it is there while it has drafts. */
export function thisTab(): string {
  if (id === null) {
    id = knownId();
    tabShelf()?.setItem(NAME, id);
    sayThere(id);
  }
  return id;
}
