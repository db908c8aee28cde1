import { object } from 'yup';
import { command } from './command';
import * as handles from './handles';

/** Ends a pilot's private link. */
export const revokeLink = command(handles.revokeLink, {
  schema: object({}),
});
