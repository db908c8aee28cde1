import { array, mixed, number, object, string } from 'yup';
import { FLIGHT_MODES, type FlightMode } from '../../vocabulary/flying';
import type { Column, Table } from '../table/table';
import { FIELDS, type RecordedField, QUANTITY_OF, UNITS_OF } from './fields';
import type { Mapping } from './mapping';

/** How a recorder's columns are read, to be kept and passed on: a small JSON file. */
export interface Recipe {
  readonly format: 'skelby-recipe';
  readonly version: 1;
  readonly name: string;
  readonly columns: readonly {
    readonly column: string;
    readonly field: RecordedField;
    readonly unit: string;
    readonly sign: 1 | -1;
  }[];
  readonly modes: Readonly<Record<string, FlightMode | null>>;
}

const MOST_COLUMNS = 400;
const MOST_NAME = 120;

const isUnit = (field: string | undefined, unit: string | undefined): boolean =>
  FIELDS.includes(field as RecordedField) &&
  UNITS_OF[QUANTITY_OF[field as RecordedField]].some(({ id }) => id === unit);

export const recipeShape = object({
  format: string().oneOf(['skelby-recipe']).required(),
  version: number().oneOf([1]).required(),
  name: string().trim().max(MOST_NAME).required(),
  columns: array(
    object({
      column: string().max(MOST_NAME).required(),
      field: string()
        .oneOf([...FIELDS])
        .required(),
      unit: string()
        .max(20)
        .defined()
        .test('unit', 'unit', (unit, { parent }) => isUnit((parent as { field?: string }).field, unit)),
      sign: number().oneOf([1, -1]).required(),
    }).noUnknown(),
  )
    .max(MOST_COLUMNS)
    .required(),
  modes: mixed<Record<string, FlightMode | null>>()
    .required()
    .test('modes', 'modes', (modes) =>
      Object.values((modes ?? {}) as object).every(
        (mode) => mode === null || FLIGHT_MODES.includes(mode as FlightMode),
      ),
    ),
}).noUnknown();

/** A mapping under a name, by what the columns are called. */
export const recipeOf = (
  name: string,
  { columns }: { readonly columns: readonly Pick<Column, 'name'>[] },
  mapping: Mapping,
): Recipe => ({
  ...{ format: 'skelby-recipe', version: 1, name },
  columns: mapping.columns.map(({ at, field, unit, sign }) => ({
    column: columns[at]!.name,
    ...{ field, unit, sign },
  })),
  modes: mapping.modes,
});

/** Whether a file has every column of a recipe, so that it may be this recorder's. */
export const fitsRecipe = (table: Table, { columns }: Recipe): boolean =>
  columns.length > 0 && columns.every(({ column }) => table.columns.some(({ name }) => name === column));

/** What a recipe makes of a file; columns that are not there are left out. */
export function mappingBy(recipe: Recipe, table: Table): Mapping {
  const columns = recipe.columns.flatMap(({ column, field, unit, sign }) => {
    const at = table.columns.findIndex(({ name }) => name === column);
    return at < 0 ? [] : [{ at, field, unit, sign, because: 'recipe' as const }];
  });
  return { columns, modes: recipe.modes };
}
