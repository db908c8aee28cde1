interface Flown {
  readonly id: string;
  /** Instant, ISO 8601. */
  readonly flownAt: string;
}

/** The order in which reps were flown; of two at one instant the one whose key was made first. */
export const flownOrder = (a: Flown, b: Flown): number =>
  a.flownAt < b.flownAt ? -1 : a.flownAt > b.flownAt ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0;

export const newestFirst = (a: Flown, b: Flown): number => flownOrder(b, a);
