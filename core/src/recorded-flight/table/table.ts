/** A file as columns, before anybody knows what they mean. */
export interface Table {
  readonly length: number;
  readonly columns: readonly Column[];
}

/** What stands in a column: numbers, moments as written by ISO 8601 (s since 1970), the hour (s of the day), or words. */
export type ColumnKind = 'number' | 'instant' | 'clock' | 'words';

export interface Column {
  readonly name: string;
  /** As it stands in the header; null: none. */
  readonly unit: string | null;
  readonly kind: ColumnKind;
  /** Numbers, moments in s, or places in `words`; NaN where there is nothing. */
  readonly values: Float64Array;
  /** Distinct words in the order in which they turned up; empty unless the kind is words. */
  readonly words: readonly string[];
}

/** The finite values of a column, in order. */
export const finiteOf = (values: Float64Array): Float64Array => values.filter(Number.isFinite);

/** So many rows show how columns hang together. */
const ENOUGH_ROWS = 20_000;

/** Some rows of a long table, one after so many others. */
export function thinnedTable(table: Table): Table {
  const every = Math.floor(table.length / ENOUGH_ROWS);
  if (every < 2) return table;
  const length = Math.ceil(table.length / every);
  const some = (values: Float64Array): Float64Array => {
    const out = new Float64Array(length);
    for (let i = 0; i < length; i += 1) out[i] = values[i * every]!;
    return out;
  };
  return { length, columns: table.columns.map((each) => ({ ...each, values: some(each.values) })) };
}

/** Quantile of the finite values, by sorting a sample of enough rows. @returns NaN where there is none */
export function quantileOf(values: Float64Array, share: number): number {
  const step = Math.max(1, Math.floor(values.length / ENOUGH_ROWS));
  const looked = new Float64Array(Math.ceil(values.length / step));
  let count = 0;
  for (let i = 0; i < values.length; i += step)
    if (Number.isFinite(values[i]!)) {
      looked[count] = values[i]!;
      count += 1;
    }
  if (count === 0) return NaN;
  const sample = looked.subarray(0, count).sort();
  return sample[Math.min(sample.length - 1, Math.floor(share * sample.length))]!;
}
