import { type InferType, object, string } from 'yup';
import { isCauseId, type CauseId } from '../causes/causes';
import { day, instant, text } from '../schemas/fields';
import { command } from './command';
import * as handles from './handles';
import { repShape } from './record-rep';

/** What a pilot may do with a private link. */

const ownRepShape = repShape.omit(['weaknessId', 'purpose', 'flownOn', 'level', 'sessionId']);
export type OwnRepFields = InferType<typeof ownRepShape>;

/** What a pilot flies alone is practice on the simulator: which weakness it belongs to, the plans say. */
export const recordOwnRep = command(handles.recordOwnRep, {
  schema: ownRepShape,
});

const nearMissShape = object({
  causeId: string<CauseId>()
    .strict()
    .defined('What it was like is missing: pick one.')
    .test('cause', 'What it was like is not on the list: pick one.', (value) => isCauseId(value ?? '')),
  note: text('What happened', 800).min(3, 'What happened is too short: say it in a few words.'),
  happenedAt: instant('Time'),
  day: day('Day'),
}).noUnknown();

export type NearMissFields = InferType<typeof nearMissShape>;

/** A near-miss told by the pilot; the trainer debriefs it. */
export const tellNearMiss = command(handles.tellNearMiss, {
  schema: nearMissShape,
});
