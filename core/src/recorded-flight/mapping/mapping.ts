import type { FlightMode } from '../../vocabulary/flying';
import type { RecordedField } from './fields';

/** What a choice was made by. */
export type MappedBy = 'header' | 'range' | 'physics' | 'recipe' | 'hand';

/** What one column of a file means. */
export interface MappedColumn {
  /** Its place in the table. */
  readonly at: number;
  readonly field: RecordedField;
  /** Id of a unit of the field's quantity. */
  readonly unit: string;
  /** −1: it counts the other way, down instead of up say. */
  readonly sign: 1 | -1;
  readonly because: MappedBy;
}

/** What a word in the mode column means; null: nothing that is known. */
export type ModeWords = Readonly<Record<string, FlightMode | null>>;

export interface Mapping {
  readonly columns: readonly MappedColumn[];
  readonly modes: ModeWords;
}

export const mappedTo = ({ columns }: Mapping, field: RecordedField): MappedColumn | null =>
  columns.find((each) => each.field === field) ?? null;
