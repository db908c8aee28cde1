import { flownShape } from '../schemas/flown';
import { command } from './command';
import * as handles from './handles';

/** Puts what a recorded flight answers beside an entry, or what a later edition of the readers answers in its place. */
export const keepFlown = command(handles.keepFlown, { schema: flownShape });
