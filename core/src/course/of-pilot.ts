import { restricts } from '../clearance/open-states';
import { USUAL_METHODS } from '../methods/methods';
import type { PilotPage } from '../pages/pages';
import { windLimitUnder } from '../restrictions/restrictions';
import { type CourseStanding, courseStanding } from './course-standing';
import { type CourseLesson, type LessonLimits, courseBy } from './lessons';

/** Where a pilot stands on the course, by what was said there and what was shown before. */
export const courseOfPilot = ({
  course = [],
  known,
  pilot: { shown },
}: Pick<PilotPage, 'course' | 'pilot' | 'known'>): CourseStanding =>
  courseStanding(courseBy(known?.methods ?? USUAL_METHODS), course, shown);

/** What holds in a lesson for this pilot: of two limits of wind the smaller one, restrictions included. */
export const limitsOfPilot = (
  { limits }: CourseLesson,
  { pilot, weaknesses }: Pick<PilotPage, 'pilot' | 'weaknesses'>,
): LessonLimits => ({
  ...limits,
  windMps: Math.min(limits.windMps, windLimitUnder(weaknesses.filter(restricts), pilot.windLimitMps)),
});
