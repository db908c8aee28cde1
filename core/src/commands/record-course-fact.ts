import { type InferType, object } from 'yup';
import { MISS_REASONS } from '../clearance/facts';
import { COURSE_FACTS } from '../course/course-facts';
import { SIDES } from '../drills/drill';
import { choice, choiceOrNone, day, instant, keyOrNone, text, yesNo } from '../schemas/fields';
import { sentence } from '../vocabulary/said';
import { WIND_BANDS } from '../vocabulary/wind-band';
import { command } from './command';
import { dayFits, firstRefusal, type FitsDrill, missFits, placeFits, sideFits } from './fits-drill';
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

const LEAST_REASON = 3;

/** What was shown before has been seen by somebody, and what is taken back has its why. */
const reasonFits: FitsDrill<CourseFactFields> = ({ kind, reason }) =>
  (kind === 'shown' || kind === 'taken-back') && reason.length < LEAST_REASON
    ? { field: 'reason', said: sentence(kind === 'shown' ? 'course.seen-by-missing' : 'field.reason-empty') }
    : null;

const takenBackFits: FitsDrill<CourseFactFields> = ({ kind, factId }) =>
  (kind === 'taken-back') === (factId !== null)
    ? null
    : { field: 'factId', said: sentence('course.what-is-taken-back') };

/** Each side is shown on its own; only what was shown before may be said of all of them. */
const sideIsTold: FitsDrill<CourseFactFields> = ({ kind, side }, { id, sides }) =>
  side === null && sides.length > 0 && (kind === 'rep' || kind === 'test')
    ? { field: 'side', said: sentence('rep.other-side', { sides, drill: id }) }
    : null;

const shownIsMet: FitsDrill<CourseFactFields> = ({ kind, met }) =>
  kind === 'shown' && !met ? { field: 'met', said: sentence('course.shown-is-met') } : null;

const shownOnCraft: FitsDrill<CourseFactFields> = ({ kind, flownOn }) =>
  flownOn === 'simulator' && (kind === 'test' || kind === 'shown')
    ? { field: 'flownOn', said: sentence('course.shown-on-the-craft') }
    : null;

const FITS: readonly FitsDrill<CourseFactFields>[] = [
  reasonFits,
  takenBackFits,
  sideFits,
  sideIsTold,
  shownIsMet,
  missFits,
  placeFits,
  shownOnCraft,
  ({ day: on, at }) => dayFits(on, at),
];

/** Says one thing of a pilot on the course. */
export const recordCourseFact = command(handles.recordCourseFact, {
  schema: courseFactShape,
  rule: (fact) => firstRefusal(fact, FITS),
});
