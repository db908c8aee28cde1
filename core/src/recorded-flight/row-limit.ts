import { sentence } from '../vocabulary/said';
import { RecordingProblem } from './recording-problem';

/** An hour and a half at 200 lines a second. */
const MOST_ROWS = 1_080_000;

/** @throws RecordingProblem where a file has more lines than are read */
export function assertRows(count: number): void {
  if (count > MOST_ROWS) throw new RecordingProblem(sentence('recording.rows', { most: MOST_ROWS }));
}
