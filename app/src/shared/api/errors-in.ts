import { ApiProblem } from './client';

/** What is wrong with a form that was sent: field by field, or as a whole where no field is named. */
export function errorsIn(error: Error | null): {
  readonly of: (field: string) => string | undefined;
  readonly whole: string | null;
} {
  const errors = error instanceof ApiProblem ? error.errors : [];
  return {
    of: (field) => errors.find((each) => each.field === field)?.message,
    whole: error && errors.length === 0 ? error.message : null,
  };
}
