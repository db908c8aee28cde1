import { Listeners } from '../storage/listeners';

/** What was thrown away last on the page that is open, and how it comes back. */
interface Thrown {
  /** As a whole sentence without its full stop: "Nose-in hover left out". */
  readonly what: string;
  readonly bringBack: () => void;
}

const listeners = new Listeners();
let thrown: Thrown | null = null;

const set = (next: Thrown | null): void => {
  if (next === thrown) return;
  thrown = next;
  listeners.tell();
};

/** Offers to bring back what has just been thrown away: the one way for all pages. */
export const offerUndo = (what: string, bringBack: () => void): void => set({ what, bringBack });

export const lastThrow = {
  subscribe: listeners.subscribe,
  now: (): Thrown | null => thrown,
  /** The page was left: what it threw away stays so. */
  clear: (): void => set(null),
  bringBack: (): void => {
    const was = thrown;
    set(null);
    was?.bringBack();
  },
};
