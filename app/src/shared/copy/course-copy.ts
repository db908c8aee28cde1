import { drillWords } from '@skelby/copy/drills';
import type { CoursePart, CourseStanding, CourseShownBy } from '@skelby/core/course/course-standing';
import { COURSE_LANDS_AT_PERCENT, type LessonLimits } from '@skelby/core/course/lessons';
import type { Day } from '@skelby/core/vocabulary/day';
import type { Speaking } from '../api/use-units';
import { plural, SIDE_WORDS } from './copy';
import { sayDay } from './dates';

export const partName = ({ drillId, side }: Pick<CoursePart, 'drillId' | 'side'>): string =>
  drillWords(drillId).name + (side ? `, ${SIDE_WORDS[side].toLowerCase()}` : '');

const BY_WORDS: Readonly<Record<CourseShownBy, string>> = {
  'seen-before': 'Seen before',
  'one-test': 'Shown in one test',
  reps: 'Shown',
};

/** Where a drill of a lesson stands. */
export function partWords(
  { shownBy, shownOn, reps, met, toGo, simulatorFirst }: CoursePart,
  says: (day: Day) => string = sayDay,
): string {
  if (shownBy) return shownOn ? `${BY_WORDS[shownBy]} ${says(shownOn)}` : BY_WORDS[shownBy];
  if (simulatorFirst && reps === 0) return 'On the simulator first';
  if (reps === 0) return `Not flown yet: ${toGo} met in a row would do`;
  return `${met} of ${reps} met: ${toGo === 1 ? 'one more met' : `${toGo} more in a row`} would do`;
}

/** What holds on the way. */
export const limitWords = ({ windMps, outM, upM }: LessonLimits, { say }: Speaking): string =>
  [
    `Wind up to ${say(windMps, 'm/s')}`,
    outM === null ? null : `${say(outM, 'm')} out`,
    upM === null ? null : `${say(upM, 'm')} up`,
    'in sight',
    `landed at ${COURSE_LANDS_AT_PERCENT} %`,
  ]
    .filter(Boolean)
    .join(' · ');

/** How many lessons are shown, in words. */
export function standingLine({ lessons, now }: CourseStanding): string {
  if (now === null) return `All ${plural(lessons.length, 'lesson')} shown`;
  const shown = lessons.filter((lesson) => lesson.shown).length;
  return `${shown} of ${plural(lessons.length, 'lesson')} shown`;
}
