/** A recorder's file that the school keeps. */
export interface FlightFile {
  /** From the SHA-256 of the file; see `keyOfHash`. */
  readonly id: string;
  readonly name: string;
  /** Of the file itself. */
  readonly bytes: number;
  readonly keptBytes: number;
  readonly pilotId: string | null;
  /** Among what was flown, where it was added there. */
  readonly flightId: string | null;
  readonly madeAt: string;
}

export interface FlightFilesPage {
  /** The newest. */
  readonly files: readonly FlightFile[];
  readonly all: number;
  /** What all of them take, and what they may take. */
  readonly keptBytes: number;
  readonly mostBytes: number;
  /** After so many months a file goes. */
  readonly months: number;
}

/** A file may have so many bytes, unpacked. */
export const FLIGHT_FILE_MOST_BYTES = 150 * 1024 * 1024;
