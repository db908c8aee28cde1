import { switchShape } from '../schemas/ranking';
import { methodsShape } from '../schemas/methods';
import { unitsShape } from '../schemas/records';
import { command } from './command';
import * as handles from './handles';
import { quantityOrNone } from '../schemas/fields';
import { fieldSaid } from '../schemas/field-said';
import { object } from 'yup';

/** What is set at a desk, and never waits for signal. */
export const setUnits = command(handles.setUnits, { schema: unitsShape });
/** How the school teaches where instructors differ. */
export const setMethods = command(handles.setMethods, { schema: methodsShape });
/** How long records of pilots are kept after they last flew, null: until they are forgotten by hand; and flight files. */
export const setRetention = command(handles.setRetention, {
  schema: object({
    keepYears: quantityOrNone('kept-for', 1, 30).integer(fieldSaid('retention.no-whole-years')),
    /** Months that flight files are kept after they came in; null: as it was. */
    flightMonths: quantityOrNone('files-kept-for', 1, 120, 'months').integer(
      fieldSaid('retention.no-whole-months'),
    ),
  }).noUnknown(),
});
export const switchExperience = command(handles.switchExperience, {
  schema: switchShape,
});
