import { type InferType, object } from 'yup';
import { choiceOrNone, day, instant, whole } from '../schemas/fields';
import { SIDES } from '../drills/drill';
import { drillOf, mayDecide } from '../drills/drills';
import { command, type FieldRefusal } from './command';
import * as handles from './handles';
import { drillId } from './record-rep';

/** The most tests that are announced at once. */
export const MOST_ANNOUNCED = 12;

const setShape = object({
  drillId: drillId('Drill'),
  side: choiceOrNone('Side', SIDES),
  number: whole('Number of tests', 1, MOST_ANNOUNCED),
  day: day('Day'),
  at: instant('Time'),
}).noUnknown();
export type TestSetFields = InferType<typeof setShape>;

function setProblem(set: TestSetFields): FieldRefusal | null {
  const drill = drillOf(set.drillId);
  if (!mayDecide(drill))
    return { field: 'drillId', message: `${drill.name} is not flown: it has no tests to announce.` };
  if (drill.sides.length > 0 ? !drill.sides.includes(set.side!) : set.side !== null)
    return {
      field: 'side',
      message:
        drill.sides.length > 0
          ? `Side must be one of ${drill.sides.join(', ')} for ${drill.name}.`
          : `${drill.name} has no sides: leave Side empty.`,
    };
  return null;
}

/**
 * So many tests are announced to the pilot before the first of them. Each is met, missed, or called off before it
 * begins; one that gets no result is missed.
 */
export const announceTests = command(handles.announceTests, { schema: setShape, rule: setProblem });
