import type { AnyObjectSchema } from 'yup';

/** The record's fields that its shape knows, out of a row that may hold more. */
export const fieldsOf = (row: object, shape: AnyObjectSchema): Record<string, unknown> =>
  Object.fromEntries(Object.keys(shape.fields).map((name) => [name, (row as Record<string, unknown>)[name]]));
