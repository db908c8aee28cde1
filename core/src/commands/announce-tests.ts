import { type InferType, object } from 'yup';
import { choiceOrNone, day, instant, whole } from '../schemas/fields';
import { SIDES } from '../drills/drill';
import { drillOf, mayDecide } from '../drills/drills';
import { sentence } from '../vocabulary/said';
import { command, type FieldRefusal } from './command';
import * as handles from './handles';
import { drillId } from './record-rep';

/** The most tests that are announced at once. */
export const MOST_ANNOUNCED = 12;

const setShape = object({
  drillId: drillId('drill'),
  side: choiceOrNone('side', SIDES),
  number: whole('number-of-tests', 1, MOST_ANNOUNCED),
  day: day('day'),
  at: instant('time'),
}).noUnknown();
export type TestSetFields = InferType<typeof setShape>;

function setProblem(set: TestSetFields): FieldRefusal | null {
  const drill = drillOf(set.drillId);
  if (!mayDecide(drill)) return { field: 'drillId', said: sentence('tests.not-flown', { drill: drill.id }) };
  if (drill.sides.length > 0 ? !drill.sides.includes(set.side!) : set.side !== null)
    return {
      field: 'side',
      said:
        drill.sides.length > 0
          ? sentence('rep.other-side', { sides: drill.sides, drill: drill.id })
          : sentence('rep.no-sides', { drill: drill.id }),
    };
  return null;
}

/**
 * So many tests are announced to the pilot before the first of them. Each is met, missed, or called off before it
 * begins; one that gets no result is missed.
 */
export const announceTests = command(handles.announceTests, { schema: setShape, rule: setProblem });
