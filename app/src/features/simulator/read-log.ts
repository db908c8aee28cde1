import { fileTooLarge, FlightLogReader, lineWithoutEnd, MOST_BYTES } from '@skelby/core/flight-log/reading';
import { parse } from 'papaparse';

/** Read at a time. A longer line is no line of a log. */
const CHUNK_BYTES = 1 << 20;

/**
 * Reads a file row by row, a piece at a time.
 * @returns the reader with all of it, for its track
 * @throws FlightLogError at the first fault
 */
export function readLog(file: File): Promise<FlightLogReader> {
  return new Promise((resolve, reject) => {
    if (file.size > MOST_BYTES) {
      reject(fileTooLarge(file.size));
      return;
    }
    const reader = new FlightLogReader();
    let [line, pieces] = [0, 0];
    let fault: unknown = null;
    parse<string[]>(file, {
      chunkSize: CHUNK_BYTES,
      chunk: ({ data: rows }, parser) => {
        pieces += 1;
        try {
          if (rows.length === 0 && pieces * CHUNK_BYTES < file.size) throw lineWithoutEnd(line + 1);
          for (const row of rows) {
            line += 1;
            reader.row(row, line);
          }
        } catch (error) {
          fault ??= error;
          parser.abort();
        }
      },
      complete: () => {
        if (fault === null) resolve(reader);
        else reject(fault);
      },
      error: reject,
    });
  });
}
