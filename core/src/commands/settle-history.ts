import { type InferType, object } from 'yup';
import { day } from '../schemas/fields';
import { command } from './command';
import * as handles from './handles';

const settlingShape = object({ until: day('day') }).noUnknown();
export type SettlingFields = InferType<typeof settlingShape>;

/** What happened up to a day, and nobody has begun to debrief, is history: it asks for no debrief any more. */
export const settleHistory = command(handles.settleHistory, { schema: settlingShape });
/** Takes one such settling back: what it settled is to be debriefed again. */
export const undoSettling = command(handles.undoSettling, { schema: object().noUnknown() });
