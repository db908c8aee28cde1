/** Files on their way into a school, as the server answers with them. */

export interface ImportReport {
  readonly rows: number;
  readonly good: number;
  /** Entries whose key the school has already; they are left as they are. */
  readonly already: number;
  readonly bad: number;
  /** The first of what is wrong, line by line. */
  readonly problems: readonly { readonly line: number; readonly column: string; readonly message: string }[];
  readonly newPilots: readonly string[];
  readonly saved: boolean;
}

/** Waiting and working it goes on; looked over it waits for somebody; else it is over. */
export const IMPORT_STATES = [
  'waiting',
  'working',
  'looked-over',
  'brought-in',
  'stopped',
  'failed',
] as const;
export type ImportState = (typeof IMPORT_STATES)[number];

/** A file on its way in. */
export interface ImportPage {
  readonly id: string;
  readonly name: string;
  readonly format: 'csv' | 'json';
  readonly state: ImportState;
  /** Whether it is brought in, or only looked over. */
  readonly saves: boolean;
  /** How much of it has been read, 0 to 1. */
  readonly share: number;
  readonly report: ImportReport;
  /** Why it failed. */
  readonly problem: string | null;
}
