import type { Stamp } from '@skelby/core/sync/batch';

/** Something done on this phone that the server is to carry out once. */
export interface Waiting {
  /** Made here, in the order of making; the server does each key once. */
  readonly key: string;
  /** Account that made it: nobody else's session sends it. */
  readonly accountId: string;
  readonly path: string;
  readonly body: Readonly<Record<string, unknown>>;
  /** The field of the body that this phone's clock filled in. */
  readonly stamp: Stamp | null;
  /** What it is, for the trainer. */
  readonly what: string;
  /** When the server had taken it, ms since 1970: shown until what is read from there holds it. */
  readonly sentAt?: number;
  /** Why the server would not take it; it stays until the trainer decides. */
  readonly refused?: Refusal;
}

interface Refusal {
  readonly status: number;
  readonly detail: string;
  /** What is stored instead, where somebody else changed the same thing. */
  readonly theirs?: Readonly<Record<string, unknown>>;
  readonly by?: string | null;
  /** Added to the body, it goes through all the same. */
  readonly override?: Readonly<Record<string, unknown>>;
}

export const isToSend = (item: Waiting): boolean => item.refused === undefined && item.sentAt === undefined;

/** Changes that what was read at `readAt` cannot hold yet. */
export const notYetIn = (items: readonly Waiting[], readAt: number): readonly Waiting[] =>
  items.filter((item) => item.refused === undefined && (item.sentAt === undefined || item.sentAt >= readAt));

/** Not with the server: waiting, or refused and still to be decided. */
export const isUnsent = (item: Waiting): boolean => item.sentAt === undefined;
