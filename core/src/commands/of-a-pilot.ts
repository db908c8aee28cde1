import { type InferType, object, string } from 'yup';
import { isCauseId, type CauseId } from '../causes/causes';
import { choice, day, instant, key, text } from '../schemas/fields';
import { command } from './command';
import * as handles from './handles';
import { repShape } from './record-rep';
import { fieldSaid } from '../schemas/field-said';
import { seenShape } from '../schemas/records';

/** What a pilot may do with a private link. */

const ownRepShape = repShape.omit([
  'weaknessId',
  'purpose',
  'flownOn',
  'level',
  'sessionId',
  'lateReason',
  'judgedBy',
]);
export type OwnRepFields = InferType<typeof ownRepShape>;

/** What a pilot flies alone is practice on the simulator: which weakness it belongs to, the plans say. */
export const recordOwnRep = command(handles.recordOwnRep, {
  schema: ownRepShape,
});

const nearMissShape = object({
  causeId: string<CauseId>()
    .strict()
    .defined(fieldSaid('near-miss.missing'))
    .test('cause', fieldSaid('near-miss.not-listed'), (value) => isCauseId(value ?? '')),
  note: text('what-happened', 800).min(3, fieldSaid('near-miss.too-short')),
  happenedAt: instant('time'),
  day: day('day'),
  seen: seenShape,
}).noUnknown();

export type NearMissFields = InferType<typeof nearMissShape>;

/** A near-miss told by the pilot; the trainer debriefs it. */
export const tellNearMiss = command(handles.tellNearMiss, {
  schema: nearMissShape,
});

/** What a pilot says of a weakness: that what it restricts was read, or that it happened otherwise. */
export const SAYS = ['read', 'otherwise'] as const;
export type Says = (typeof SAYS)[number];

const ownViewShape = object({
  weaknessId: key('weakness'),
  says: choice<Says>('says', SAYS),
  words: text('what-happened', 800).when('says', {
    is: 'otherwise',
    then: (words) => words.min(3, fieldSaid('near-miss.too-short')),
  }),
  at: instant('time'),
}).noUnknown();

export type OwnViewFields = InferType<typeof ownViewShape>;

/** The pilot's own word beside the trainer's: it stands in the history, and moves nothing. */
export const sayOfWeakness = command(handles.sayOfWeakness, {
  schema: ownViewShape,
});
