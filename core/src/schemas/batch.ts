import { array, mixed, number, object, type ObjectSchema, string } from 'yup';
import { type Batch, BATCH_AT_MOST, type BatchCommand, STAMPS } from '../sync/batch';
import { choiceOrNone, instant, key, keyOrNone } from './fields';
import { fieldSaid } from './field-said';

const MINUTES_PER_DAY = 1440;

/** What was done without signal, in the order in which it was done. */
export const batchShape = object({
  sentAt: instant('=sentAt'),
  minutesAheadOfUtc: number()
    .strict()
    .integer()
    .min(-MINUTES_PER_DAY)
    .max(MINUTES_PER_DAY)
    .defined(fieldSaid('batch.minutes-missing')),
  phone: keyOrNone('=phone'),
  account: keyOrNone('account'),
  commands: array(
    object({
      key: key('key'),
      path: string()
        .strict()
        .defined(fieldSaid('batch.path-missing'))
        .matches(/^\/[\w/-]+$/, { message: fieldSaid('batch.no-path') })
        .max(200),
      stamp: choiceOrNone('=stamp', STAMPS),
      body: mixed<BatchCommand['body']>()
        .defined(fieldSaid('batch.body-missing'))
        .test(
          'object',
          fieldSaid('batch.no-body'),
          (value) => typeof value === 'object' && value !== null && !Array.isArray(value),
        ),
    }).noUnknown(),
  )
    .defined(fieldSaid('batch.commands-missing'))
    .max(BATCH_AT_MOST, fieldSaid('batch.too-many', { most: BATCH_AT_MOST })),
}).noUnknown() as unknown as ObjectSchema<Batch>;
