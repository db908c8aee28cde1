/** Kinds of entries in the history, each with what it is about. */
export const HISTORY_KINDS = {
  reps: ['rep', 'test-set'],
  weaknesses: ['weakness', 'plan', 'occurrence'],
  records: ['pilot', 'craft', 'site', 'flight', 'session', 'drill', 'school', 'experience'],
  access: ['account', 'link', 'token', 'file'],
} as const;
export type HistoryKind = keyof typeof HISTORY_KINDS;

export interface HistoryEntry {
  readonly id: string;
  /** Instant at which the server took it, ISO 8601. */
  readonly at: string;
  readonly action: string;
  readonly subject: string;
  readonly subjectId: string;
  readonly pilotId: string | null;
  readonly pilotName: string | null;
  /** Null: nobody with an account, as by a private link. */
  readonly by: string | null;
  readonly reason: string | null;
  /** For a rep, when it was flown as the phone says. */
  readonly flownAt: string | null;
}

export interface HistoryPage {
  readonly entries: readonly HistoryEntry[];
  readonly hasMore: boolean;
}
