import { messageWords } from '@skelby/copy/say';
import type { Said } from '@skelby/core/vocabulary/said';
import { ValidationError } from 'yup';
import { Busy } from '../db/share';

export interface FieldError {
  readonly field: string;
  readonly message: string;
}

/** What went wrong, as a problem document (RFC 9457). */
export class Problem extends Error {
  readonly errors: readonly FieldError[];
  /** What else the answer holds. */
  readonly more: Readonly<Record<string, unknown>>;

  constructor(
    readonly status: number,
    readonly title: string,
    readonly detail: string,
    { errors = [], more = {} }: Partial<Pick<Problem, 'errors' | 'more'>> = {},
  ) {
    super(detail);
    this.errors = errors;
    this.more = more;
  }
}

export const notFound = (what: string) =>
  new Problem(404, 'Not found', `There is no such ${what} in your school.`);
/** @param wrong in words, or as a rule decided it */
export function badField(field: string, wrong: string | Said): Problem {
  const message = messageWords(wrong);
  return new Problem(422, 'Not accepted', message, { errors: [{ field, message }] });
}
export const conflict = (wrong: string | Said) => new Problem(409, 'Conflict', messageWords(wrong));

const fieldErrors = (error: ValidationError): FieldError[] =>
  (error.inner.length > 0 ? error.inner : [error]).map((each) => ({
    field: each.path ?? '',
    message: messageWords(each.message),
  }));

const FOREIGN_KEY = '23503';

/**
 * PostgreSQL's codes for what passes by itself: lost connections, locks and serialization, resources,
 * cancelled or shut down.
 */
const PASSES = /^(08|40|53|57)|^55P03$/;

/** Whether the same request, sent again a little later, may well go through. */
export const passesByItself = (error: unknown): boolean =>
  error instanceof Busy ||
  (error instanceof Error &&
    (error.name === 'KnexTimeoutError' ||
      ('code' in error && typeof error.code === 'string' && PASSES.test(error.code))));

/** Told where the fault is ours. */
export const OUR_MISTAKE = new Problem(
  500,
  'Our mistake',
  'Something went wrong here. Nothing was changed; try again.',
);
export const BUSY = new Problem(
  503,
  'Busy',
  'The server has much to do just now. Nothing was changed; it is tried again by itself.',
);

export const NO_ROOM = new Problem(
  503,
  'No room',
  'The disk of the server is full. Nothing was changed, and what waits on this phone waits on: tell whoever runs the server to make room.',
);

const DISK_FULL = new Set(['53100', 'ENOSPC', 'EDQUOT']);

/** Whether the database, or the folder for files that come in, has no room left. */
const isOutOfRoom = (error: unknown): boolean =>
  error instanceof Error && 'code' in error && DISK_FULL.has(String(error.code));

/** Told where a row refers to one that is not there. */
function lostReference(error: unknown): Problem | null {
  if (!(error instanceof Error && 'code' in error && error.code === FOREIGN_KEY)) return null;
  const constraint = 'constraint' in error ? String(error.constraint) : '';
  const field = /_(pilot|craft|site|weakness|occurrence)_id/.exec(constraint)?.[1] ?? 'reference';
  return new Problem(
    422,
    'Not accepted',
    `There is no such ${field} in your school: pick one from the list.`,
    {
      errors: [
        { field: `${field}Id`, message: `There is no such ${field} in your school: pick one from the list.` },
      ],
    },
  );
}

/** Whether whoever sent it has gone. */
const hasHungUp = (error: unknown): boolean =>
  error instanceof Error &&
  'code' in error &&
  (error.code === 'ERR_STREAM_PREMATURE_CLOSE' || error.code === 'ECONNRESET');

/** Node's codes for what zlib cannot unpack. */
const isBadCompression = (error: unknown): boolean =>
  typeof error === 'object' &&
  error !== null &&
  'code' in error &&
  typeof error.code === 'string' &&
  error.code.startsWith('Z_');

export function problemOf(error: unknown): Problem | null {
  if (error instanceof Problem) return error;
  if (error instanceof ValidationError) {
    const errors = fieldErrors(error);
    return new Problem(422, 'Not accepted', errors.map((each) => each.message).join(' '), { errors: errors });
  }
  const lost = lostReference(error);
  if (lost) return lost;
  if (
    error instanceof Error &&
    'status' in error &&
    typeof error.status === 'number' &&
    error.status >= 400 &&
    error.status < 500
  ) {
    const detail =
      error.status === 413
        ? 'The request is too large: send at most 64 kB.'
        : `The request could not be read: ${error.message}.`;
    return new Problem(error.status, 'Bad request', detail);
  }
  if (isBadCompression(error))
    return new Problem(400, 'Bad request', 'The request could not be read: it is not compressed as it says.');
  if (hasHungUp(error)) return new Problem(400, 'Broke off', 'The request broke off before its end.');
  if (isOutOfRoom(error)) return NO_ROOM;
  if (passesByItself(error)) return BUSY;
  return null;
}
