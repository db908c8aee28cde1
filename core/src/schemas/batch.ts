import { array, mixed, number, object, type ObjectSchema, string } from 'yup';
import { type Batch, BATCH_AT_MOST, type BatchCommand, STAMPS } from '../sync/batch';
import { choiceOrNone, instant, key, keyOrNone } from './fields';

const MINUTES_PER_DAY = 1440;

/** What was done without signal, in the order in which it was done. */
export const batchShape = object({
  sentAt: instant('sentAt'),
  minutesAheadOfUtc: number()
    .strict()
    .integer()
    .min(-MINUTES_PER_DAY)
    .max(MINUTES_PER_DAY)
    .defined('minutesAheadOfUtc is missing: give a whole number of minutes.'),
  phone: keyOrNone('phone'),
  commands: array(
    object({
      key: key('Key'),
      path: string()
        .strict()
        .defined('path is missing: give the address to write to.')
        .matches(/^\/[\w/-]+$/, 'path must be an address under /api, such as /reps/….')
        .max(200),
      stamp: choiceOrNone('stamp', STAMPS),
      body: mixed<BatchCommand['body']>()
        .defined('body is missing.')
        .test(
          'object',
          'body must be an object.',
          (value) => typeof value === 'object' && value !== null && !Array.isArray(value),
        ),
    }).noUnknown(),
  )
    .defined('commands is missing: give a list.')
    .max(BATCH_AT_MOST, `commands is too long: send at most ${BATCH_AT_MOST} at once.`),
}).noUnknown() as unknown as ObjectSchema<Batch>;
