import type { confirmCause as command } from '@skelby/core/commands/confirm-cause';
import { confirm } from '../facts/confirmation';
import type { Handler } from './handler';

/** The trainer's word on the cause, given without a debrief. */
export const confirmCause: Handler<typeof command> = (school, { keys: { id }, fields }) =>
  confirm(school, id, fields);
