import type { AnyObjectSchema, Schema } from 'yup';
import type { DrillVersion } from '../drills/school-book';
import { isOwnDrillId } from '../drills/school-book';
import { ownDrillShape, standardShape } from '../schemas/drill';
import { command } from './command';
import * as handles from './handles';

export type DrillVersionFields = DrillVersion['fields'] & { readonly base: number; readonly reason: string };

/** A new version of a drill's standard, or of a drill that the school wrote itself. */
export const saveDrillVersion = command(handles.saveDrillVersion, {
  schema: ({ drillId }): Schema<DrillVersionFields> => {
    const shape: AnyObjectSchema = isOwnDrillId(drillId) ? ownDrillShape : standardShape;
    return shape as unknown as Schema<DrillVersionFields>;
  },
});
