import { toCamel } from './connection';

/** An instant as PostgreSQL writes it into JSON. */
const INSTANT = /^\d{4,}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d+)?[+-]\d\d(:\d\d)?$/;

/** Columns of instants: a text may look like one. */
const isInstant = (name: string): boolean =>
  name === 'at' ||
  name === 'before' ||
  name === 'in_force_from' ||
  name === 'second_since' ||
  name.endsWith('_at');

const value = (name: string, kept: unknown): unknown =>
  typeof kept === 'string' && isInstant(name) && INSTANT.test(kept) ? new Date(kept).toISOString() : kept;

/** Rows that came as JSON, named and typed as those that come as rows; what JSON itself holds is left alone. */
export const fromJson = <Row>(rows: readonly Row[]): readonly Row[] =>
  rows.map(
    (row) =>
      Object.fromEntries(
        Object.entries(row as object).map(([name, kept]) => [toCamel(name), value(name, kept)]),
      ) as Row,
  );
