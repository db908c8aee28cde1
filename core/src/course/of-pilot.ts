import { restricts } from '../clearance/open-states';
import type { PilotPage } from '../pages/pages';
import { windLimitUnder } from '../restrictions/restrictions';
import { type CourseStanding, courseStanding } from './course-standing';
import { type CourseLesson, type LessonLimits, USUAL_COURSE } from './lessons';

/** Where a pilot stands on the course, by what was said there and what was shown before. */
export const courseOfPilot = ({
  course = [],
  pilot: { shown },
}: Pick<PilotPage, 'course' | 'pilot'>): CourseStanding => courseStanding(USUAL_COURSE, course, shown);

/** What holds in a lesson for this pilot: of two limits of wind the smaller one, restrictions included. */
export const limitsOfPilot = (
  { limits }: CourseLesson,
  { pilot, weaknesses }: Pick<PilotPage, 'pilot' | 'weaknesses'>,
): LessonLimits => ({
  ...limits,
  windMps: Math.min(limits.windMps, windLimitUnder(weaknesses.filter(restricts), pilot.windLimitMps)),
});
