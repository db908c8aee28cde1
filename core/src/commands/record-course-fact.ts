import { type InferType, object } from 'yup';
import { MISS_REASONS } from '../clearance/facts';
import { COURSE_FACTS } from '../course/course-facts';
import { type Drill, SIDES } from '../drills/drill';
import { type DrillId, drillOf } from '../drills/drills';
import { choice, choiceOrNone, day, instant, keyOrNone, text, yesNo } from '../schemas/fields';
import { daysBetween } from '../vocabulary/day';
import { sentence } from '../vocabulary/said';
import { WIND_BANDS } from '../vocabulary/wind-band';
import { command, type FieldRefusal } from './command';
import * as handles from './handles';
import { drillId } from './record-rep';

const courseFactShape = object({
  kind: choice('kind', COURSE_FACTS),
  drillId: drillId('drill'),
  side: choiceOrNone('side', SIDES),
  met: yesNo('met'),
  missReason: choiceOrNone('why-missed', MISS_REASONS),
  flownOn: choice('flown-on', ['craft', 'simulator'] as const),
  band: choice('wind-band', WIND_BANDS),
  factId: keyOrNone('key'),
  reason: text('reason', 300),
  day: day('day'),
  at: instant('time'),
}).noUnknown();
export type CourseFactFields = InferType<typeof courseFactShape>;

/** One thing that may not fit; null when it does. */
type Fits = (fact: CourseFactFields, drill: Drill<DrillId>) => FieldRefusal | null;

const LEAST_REASON = 3;

/** What was shown before has been seen by somebody, and what is taken back has its why. */
const reasonFits: Fits = ({ kind, reason }) =>
  (kind === 'shown' || kind === 'taken-back') && reason.length < LEAST_REASON
    ? { field: 'reason', said: sentence(kind === 'shown' ? 'course.seen-by-missing' : 'field.reason-empty') }
    : null;

const takenBackFits: Fits = ({ kind, factId }) =>
  (kind === 'taken-back') === (factId !== null)
    ? null
    : { field: 'factId', said: sentence('course.what-is-taken-back') };

/** Each side is shown on its own; only what was shown before may be said of all of them. */
const courseSideFits: Fits = ({ kind, side }, { id, sides }) => {
  if (side !== null && !sides.includes(side))
    return {
      field: 'side',
      said:
        sides.length === 0
          ? sentence('rep.no-sides', { drill: id })
          : sentence('rep.other-side', { sides, drill: id }),
    };
  return side === null && sides.length > 0 && (kind === 'rep' || kind === 'test')
    ? { field: 'side', said: sentence('rep.other-side', { sides, drill: id }) }
    : null;
};

const metFits: Fits = ({ kind, met, missReason }) => {
  if (kind === 'shown' && !met) return { field: 'met', said: sentence('course.shown-is-met') };
  return met && missReason !== null
    ? { field: 'missReason', said: sentence('rep.met-without-reason') }
    : null;
};

const onWhatFits: Fits = ({ kind, flownOn }, { id, simulator }) => {
  if (flownOn !== 'simulator') return null;
  if (simulator === 'no-use')
    return { field: 'flownOn', said: sentence('rep.not-on-simulator', { drill: id }) };
  return kind === 'test' || kind === 'shown'
    ? { field: 'flownOn', said: sentence('course.shown-on-the-craft') }
    : null;
};

const courseDayFits: Fits = ({ day: on, at }) =>
  Math.abs(daysBetween(on, at.slice(0, 10))) <= 1
    ? null
    : { field: 'day', said: sentence('rep.day-not-of-time') };

const FITS: readonly Fits[] = [reasonFits, takenBackFits, courseSideFits, metFits, onWhatFits, courseDayFits];

/** Why it does not fit its drill; null when it does. */
function courseProblem(fact: CourseFactFields): FieldRefusal | null {
  const drill = drillOf(fact.drillId);
  for (const fits of FITS) {
    const problem = fits(fact, drill);
    if (problem) return problem;
  }
  return null;
}

/** Says one thing of a pilot on the course. */
export const recordCourseFact = command(handles.recordCourseFact, {
  schema: courseFactShape,
  rule: courseProblem,
});
