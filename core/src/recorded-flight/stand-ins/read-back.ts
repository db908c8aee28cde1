import papa from 'papaparse';
import { delimiterOf } from '../table/delimiter';
import { TableBuilder } from '../table/table-builder';
import type { Table } from '../table/table';

/** So much of a text shows what stands between its cells. */
const HEAD = 8_192;
/** Read in pieces of so much, as an app does. */
const CHUNK = 1 << 20;

/** A whole text as a table, for tests and measurements: an app reads its files piece by piece. */
export function tableOfCsv(text: string): Table {
  const builder = new TableBuilder();
  papa.parse<string[]>(text, {
    delimiter: delimiterOf(text.slice(0, HEAD)),
    chunkSize: CHUNK,
    chunk: ({ data }: papa.ParseResult<string[]>) => data.forEach((row) => builder.row(row)),
    complete: () => undefined,
  });
  return builder.done();
}
