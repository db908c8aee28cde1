import { array, type InferType, mixed, number, object, string } from 'yup';
import { choiceOrNone, instant, key } from '../shapes/fields';

/** The field of a command that the phone's own clock filled in. */
export const STAMPS = ['flownAt', 'happenedAt', 'at'] as const;
export type Stamp = (typeof STAMPS)[number];

/** At most so many commands go out at once. */
export const BATCH_AT_MOST = 100;

const MINUTES_PER_DAY = 1440;

/** What was done without signal, in the order in which it was done. Carrying out a command's key a second time does nothing. */
export const batchShape = object({
  /** What the phone's clock says at the moment of sending. */
  sentAt: instant('sentAt'),
  /** Minutes by which the phone's own time is ahead of UTC. */
  minutesAheadOfUtc: number().strict().integer().min(-MINUTES_PER_DAY).max(MINUTES_PER_DAY).defined('minutesAheadOfUtc is missing: give a whole number of minutes.'),
  commands: array(object({
    key: key('Key'),
    /** Address under /api that would be PUT to. */
    path: string().strict().defined('path is missing: give the address to write to.').matches(/^\/[\w/-]+$/, 'path must be an address under /api, such as /reps/….').max(200),
    stamp: choiceOrNone('stamp', STAMPS),
    body: mixed<Readonly<Record<string, unknown>>>().defined('body is missing.').test('object', 'body must be an object.', (value) => typeof value === 'object' && value !== null && !Array.isArray(value)),
  }).noUnknown()).defined('commands is missing: give a list.').max(BATCH_AT_MOST, `commands is too long: send at most ${BATCH_AT_MOST} at once.`),
}).noUnknown();
export type Batch = InferType<typeof batchShape>;
export type Command = Batch['commands'][number];

export type CommandResult =
  | { readonly key: string; readonly done: true }
  | { readonly key: string; readonly done: false; readonly status: number; readonly detail: string; readonly theirs?: Readonly<Record<string, unknown>>; readonly by?: string | null; readonly override?: Readonly<Record<string, unknown>> };

export interface BatchAnswer {
  readonly results: readonly CommandResult[];
  /** By how much the phone's clock was ahead of the server's, in seconds; 0 when it was near enough. */
  readonly clockAheadS: number;
}
