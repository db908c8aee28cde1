import { sentence } from '../../vocabulary/said';
import { assignByName } from '../mapping/by-name';
import { RecordingProblem } from '../recording-problem';
import type { Column, Table } from '../table/table';

interface NamedTable {
  readonly name: string;
  readonly table: Table;
}

const PLACES = new Set(['latitude', 'longitude', 'east', 'north']);

/** How much of a place a topic tells, with a line for as many moments as it can. */
const placeIn = ({ table }: NamedTable): number => {
  const fields = assignByName(table).filter(({ field }) => PLACES.has(field));
  return fields.length >= 2 ? fields.length + Math.min(0.99, table.length / 1e6) : 0;
};

/** The last figure that was told at or before each moment. */
function heldAt(times: Float64Array, from: Float64Array, { values }: Column): Float64Array {
  let at = 0;
  return times.map((t) => {
    while (at + 1 < from.length && from[at + 1]! <= t + 1e-9) at += 1;
    return from[at]! <= t + 1e-9 ? values[at]! : NaN;
  });
}

/**
 * Topics that were each written at their own moments as one table, at the moments of the one that tells places.
 * @throws RecordingProblem where none does
 */
export function mergedTopics(topics: readonly NamedTable[]): Table {
  const main = topics.reduce((a, b) => (placeIn(b) > placeIn(a) ? b : a));
  if (placeIn(main) === 0) throw new RecordingProblem(sentence('recording.no-place'));
  const times = main.table.columns[0]!.values;
  const others = topics
    .filter((topic) => topic !== main)
    .flatMap(({ table }) =>
      table.columns
        .slice(1)
        .map((each) => ({ ...each, values: heldAt(times, table.columns[0]!.values, each) })),
    );
  return { length: main.table.length, columns: [...main.table.columns, ...others] };
}
