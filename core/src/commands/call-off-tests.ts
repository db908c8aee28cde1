import { type InferType, object } from 'yup';
import { instant } from '../schemas/fields';
import { command } from './command';
import * as handles from './handles';

const callOffShape = object({ at: instant('time') }).noUnknown();
export type CallOffFields = InferType<typeof callOffShape>;

/** What was announced and not yet flown is called off. */
export const callOffTests = command(handles.callOffTests, { schema: callOffShape });
