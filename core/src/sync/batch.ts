/** What passes between a phone and the server when the phone hands over what was done without signal. */

/** The field of a command that the phone's own clock filled in. */
export const STAMPS = ['flownAt', 'happenedAt', 'at'] as const;
export type Stamp = (typeof STAMPS)[number];

/** At most so many commands go out at once. */
export const BATCH_AT_MOST = 100;

/** Something to be done once: carrying out its key a second time does nothing. */
export interface BatchCommand {
  readonly key: string;
  /** Address under /api that would be PUT to. */
  readonly path: string;
  readonly stamp: Stamp | null;
  readonly body: Readonly<Record<string, unknown>>;
}

export interface Batch {
  /** What the phone's clock says at the moment of sending, ISO 8601. */
  readonly sentAt: string;
  /** Minutes by which the phone's own time is ahead of UTC. */
  readonly minutesAheadOfUtc: number;
  /** Key that the phone gave itself; an app older than the server has none. */
  readonly phone: string | null;
  /** Whose it is; an app older than the server does not say. Another may be signed in by now. */
  readonly account?: string | null;
  /** In the order in which they were done. */
  readonly commands: readonly BatchCommand[];
}

export type CommandResult =
  | { readonly key: string; readonly done: true }
  | {
      readonly key: string;
      readonly done: false;
      readonly status: number;
      readonly detail: string;
      readonly theirs?: Readonly<Record<string, unknown>>;
      readonly by?: string | null;
      readonly override?: Readonly<Record<string, unknown>>;
    };

export interface BatchAnswer {
  readonly results: readonly CommandResult[];
  /** By how much the phone's clock was ahead of the server's, in seconds; 0 when it was near enough. */
  readonly clockAheadS: number;
}
