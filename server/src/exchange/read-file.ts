import { PassThrough, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { COLUMNS, fromCells } from '@skelby/core/exchange/occurrence-record';
import { CsvError, parse } from 'csv-parse';
import streamJson from 'stream-json';
import Pick from 'stream-json/filters/Pick.js';
import StreamArray from 'stream-json/streamers/StreamArray.js';
import { passesByItself, Problem } from '../problem/problem';

/**
 * One entry of a file: what it says, or why it cannot be read. `line` is the CSV's first line of it, or its
 * place in the JSON list.
 */
export type ImportedEntry =
  | { readonly line: number; readonly raw: unknown }
  | { readonly line: number; readonly column: string; readonly message: string };

/** Runs a file through its parser; an error of either ends the other. */
function through(file: Readable, ...parts: readonly NodeJS.ReadWriteStream[]): AsyncIterable<unknown> {
  const last = new PassThrough({ objectMode: true });
  (pipeline as (...streams: unknown[]) => Promise<void>)(file, ...parts, last).catch((error: Error) =>
    last.destroy(error),
  );
  return last;
}

const named = new Set<string>(COLUMNS);

function headProblem(head: readonly string[]): string | null {
  const strange = head.find((name) => !named.has(name));
  if (strange !== undefined)
    return `There is no column "${strange}": the columns are listed in docs/occurrences.md.`;
  const twice = head.find((name, i) => head.indexOf(name) !== i);
  if (twice !== undefined) return `Column "${twice}" stands there twice: take one out.`;
  const wanted = ['pilot', 'kind', 'day', 'happened_at', 'logged_cause'].find((name) => !head.includes(name));
  return wanted === undefined ? null : `Column "${wanted}" is missing: add it.`;
}

/** The lines of a CSV file by RFC 4180, with a header. */
export async function* readCsv(file: Readable): AsyncGenerator<ImportedEntry> {
  const csv = parse({ bom: true, info: true, relaxColumnCount: true, skipEmptyLines: true });
  let head: readonly string[] | null = null;
  let lines = 0;
  try {
    for await (const item of through(file, csv)) {
      const { record, info } = item as { record: string[]; info: { lines: number } };
      const line = lines + 1;
      lines = info.lines;
      if (head === null) {
        head = record.map((name) => name.trim());
        const problem = headProblem(head);
        if (problem !== null)
          throw new Problem(422, 'Not accepted', problem, {
            errors: [{ field: 'header', message: problem }],
          });
      } else if (record.length !== head.length) {
        yield {
          line,
          column: '',
          message: `The line has ${record.length} cells and the header ${head.length}: mend its commas and quotes.`,
        };
      } else {
        const names = head;
        yield { line, raw: fromCells(Object.fromEntries(record.map((cell, i) => [names[i]!, cell]))) };
      }
    }
  } catch (error) {
    if (!(error instanceof CsvError)) throw error;
    throw new Problem(
      422,
      'Not accepted',
      `Line ${lines + 1} cannot be read as CSV: ${error.message}. Mend its quotes.`,
      { errors: [{ field: `line ${lines + 1}`, message: error.message }] },
    );
  }
  if (head === null)
    throw new Problem(422, 'Not accepted', 'The file is empty: it needs a header and at least one line.', {
      errors: [{ field: 'header', message: 'The file is empty.' }],
    });
}

/** The entries of a JSON file as docs/occurrences.schema.json has it, one by one. */
export async function* readJson(file: Readable): AsyncGenerator<ImportedEntry> {
  let line = 0;
  try {
    for await (const item of through(
      file,
      streamJson.parser(),
      Pick.pick({ filter: 'occurrences' }),
      StreamArray.streamArray(),
    )) {
      line += 1;
      yield { line, raw: (item as { value: unknown }).value };
    }
  } catch (error) {
    if (error instanceof Problem || passesByItself(error)) throw error;
    throw new Problem(
      422,
      'Not accepted',
      `The file cannot be read as JSON after entry ${line}: ${(error as Error).message}`,
      { errors: [{ field: `entry ${line + 1}`, message: (error as Error).message }] },
    );
  }
  if (line === 0)
    throw new Problem(
      422,
      'Not accepted',
      'The file has no list "occurrences", or it is empty: see docs/occurrences.schema.json.',
      { errors: [{ field: 'occurrences', message: 'No entries.' }] },
    );
}
