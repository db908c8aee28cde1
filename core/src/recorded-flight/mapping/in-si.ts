import type { Table } from '../table/table';
import { type RecordedField, QUANTITY_OF, unitOf } from './fields';
import type { MappedColumn, Mapping } from './mapping';

/** A column's figures in SI. */
export function inSi(table: Table, { at, field, unit, sign }: MappedColumn): Float64Array {
  const { values } = table.columns[at]!;
  const { factor, middle = 0, within } = unitOf(QUANTITY_OF[field], unit) ?? { factor: 1 };
  if (factor === 1 && middle === 0 && sign === 1) return values;
  const [by, out] = [sign * factor, new Float64Array(values.length)];
  for (let i = 0; i < values.length; i += 1) out[i] = by * (values[i]! - middle);
  if (within)
    for (let i = 0; i < out.length; i += 1) out[i] = Math.min(within[1], Math.max(within[0], out[i]!));
  return out;
}

/** The figures of a field in SI; null where no column means it. */
export function fieldInSi(table: Table, mapping: Mapping, field: RecordedField): Float64Array | null {
  const mapped = mapping.columns.find((each) => each.field === field);
  return mapped ? inSi(table, mapped) : null;
}
