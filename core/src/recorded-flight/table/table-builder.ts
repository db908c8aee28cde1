import { sentence } from '../../vocabulary/said';
import { RecordingProblem } from '../recording-problem';
import { cellOf } from './cell';
import type { Column, ColumnKind, Table } from './table';
import { type Title, titleOf } from './title';
import { assertRows } from '../row-limit';

/** More than any recorder writes; a file with more is something else. */
const MOST_COLUMNS = 400;
/** Lines looked at for a header before the first line of figures. */
const MOST_BEFORE = 200;
/** More different words in a column than this are remarks, not states. */
const MOST_WORDS = 64;
const FIRST_ROOM = 4_096;

const isFigures = (cells: readonly string[]): boolean => {
  const read = cells.map(cellOf).filter((cell) => cell !== null);
  return read.length > 1 && read.filter(({ kind }) => kind !== 'words').length >= read.length / 2;
};

/** One column while it grows: the kind that most of its cells have is its kind. */
class GrowingColumn {
  private values = new Float64Array(FIRST_ROOM);
  private kinds: Record<ColumnKind, number> = { number: 0, instant: 0, clock: 0, words: 0 };
  private readonly words = new Map<string, number>();

  constructor(private readonly title: Title) {}

  put(row: number, raw: string | undefined): void {
    if (row >= this.values.length) {
      const wider = new Float64Array(this.values.length * 2);
      wider.set(this.values);
      this.values = wider;
    }
    const cell = raw === undefined ? null : cellOf(raw);
    if (cell === null) this.values[row] = NaN;
    else if (cell.kind === 'words') this.values[row] = this.wordAt(raw!.trim());
    else {
      this.kinds[cell.kind] += 1;
      this.values[row] = cell.value;
    }
  }

  private wordAt(text: string): number {
    this.kinds.words += 1;
    const known = this.words.get(text);
    if (known !== undefined) return known;
    if (this.words.size >= MOST_WORDS) return NaN;
    this.words.set(text, this.words.size);
    return this.words.size - 1;
  }

  done(length: number): Column {
    const kind = (Object.entries(this.kinds) as [ColumnKind, number][]).reduce((most, each) =>
      each[1] > most[1] ? each : most,
    )[0];
    return {
      ...this.title,
      kind,
      values: this.values.slice(0, length),
      words: kind === 'words' ? [...this.words.keys()] : [],
    };
  }
}

/**
 * Builds a table row by row. What stands before the header (remarks, a preamble) is passed over: the header is the last
 * row of words before the first row of figures.
 */
export class TableBuilder {
  private header: readonly string[] | null = null;
  private before = 0;
  private columns: GrowingColumn[] | null = null;
  private count = 0;

  /** @throws RecordingProblem where it is no table of a flight */
  row(cells: readonly string[]): void {
    if (cells.length === 1 && cells[0]!.trim() === '') return;
    if (cells.length > MOST_COLUMNS)
      throw new RecordingProblem(
        sentence('recording.columns', { columns: cells.length, most: MOST_COLUMNS }),
      );
    if (this.columns === null) {
      this.begin(cells);
      if (this.columns === null) return;
    }
    assertRows(this.count + 1);
    const columns = this.columns as readonly GrowingColumn[];
    for (let i = 0; i < columns.length; i += 1) columns[i]!.put(this.count, cells[i]);
    this.count += 1;
  }

  /** A header, something before it, or the first figures. */
  private begin(cells: readonly string[]): void {
    if (cells[0]!.startsWith('#')) return;
    this.before += 1;
    if (this.before > MOST_BEFORE) throw new RecordingProblem(sentence('recording.no-figures'));
    if (!isFigures(cells)) {
      this.header = cells;
      return;
    }
    if (this.header === null || this.header.length < cells.length - 1)
      throw new RecordingProblem(sentence('recording.no-header'));
    this.columns = this.header.map((title) => new GrowingColumn(titleOf(title)));
  }

  /** @throws RecordingProblem where there is nothing in it */
  done(): Table {
    if (this.columns === null) throw new RecordingProblem(sentence('recording.no-figures'));
    return { length: this.count, columns: this.columns.map((column) => column.done(this.count)) };
  }
}
