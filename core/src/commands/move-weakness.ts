import { type InferType, object } from 'yup';
import { choice, day, instant, keyOrNone, text } from '../schemas/fields';
import { command } from './command';
import * as handles from './handles';

export const TRAINER_MOVES = ['signed', 'signed-early', 'closed', 'undone'] as const;

const moveShape = object({
  kind: choice('move', TRAINER_MOVES),
  undoes: keyOrNone('move-to-undo'),
  at: instant('time'),
  day: day('day'),
  reason: text('reason', 300),
}).noUnknown();
export type MoveFields = InferType<typeof moveShape>;

/** Signs a weakness off, ends its watch, or undoes either. */
export const moveWeakness = command(handles.moveWeakness, {
  schema: moveShape,
});
