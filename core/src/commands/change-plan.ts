import { type InferType, object } from 'yup';
import { drillIds, text } from '../schemas/fields';
import { command } from './command';
import * as handles from './handles';

export const planShape = object({ drillIds: drillIds('Drills'), reason: text('Reason', 300) }).noUnknown();
export type PlanFields = InferType<typeof planShape>;

/** Puts a plan of drills in force; earlier ones stay in the history. */
export const changePlan = command(handles.changePlan, {
  schema: planShape,
});
