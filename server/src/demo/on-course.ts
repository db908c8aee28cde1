import { recordCourseFact } from '@skelby/core/commands/record-course-fact';
import { shownApart } from '@skelby/core/course/course-standing';
import { USUAL_COURSE } from '@skelby/core/course/lessons';
import { drillOf, type DrillId } from '@skelby/core/drills/drills';
import type { Side } from '@skelby/core/drills/drill';
import type { SeasonBook } from './season-book';

/** Pilots of the demo who are on the course: one in its third lesson by counted attempts, one nearly through, one done. */

interface CourseDay {
  readonly book: SeasonBook;
  readonly pilotId: string;
  readonly daysAgo: number;
}

/** Each drill of a lesson, or each of its sides. */
const partsOf = (lesson: number): readonly (readonly [DrillId, Side | null])[] =>
  USUAL_COURSE.lessons[lesson]!.drillIds.flatMap((id) =>
    shownApart(drillOf(id)).map((side) => [id, side] as const),
  );

const tell = ({ book, pilotId, daysAgo }: CourseDay, minute: number, part: object) =>
  book.carryOut(
    recordCourseFact,
    { id: pilotId, factId: book.key() },
    {
      ...{
        kind: 'rep',
        side: null,
        met: true,
        missReason: null,
        flownOn: 'craft',
        band: 'calm',
        factId: null,
      },
      ...{ reason: '', day: book.ago(daysAgo), at: book.at(book.ago(daysAgo), minute) },
      ...part,
    },
    'course',
  );

/** Attempts at every part of a lesson, "1" met and "0" missed. */
async function attempts(day: CourseDay, lesson: number, results: string): Promise<void> {
  let minute = 0;
  for (const [drillId, side] of partsOf(lesson))
    for (const result of results) {
      await tell(day, (minute += 1), { drillId, side, met: result === '1' });
    }
}

/** Shown in one test, as by somebody who flies already. */
async function inOneTest(day: CourseDay, lesson: number): Promise<void> {
  let minute = 0;
  for (const [drillId, side] of partsOf(lesson))
    await tell(day, (minute += 2), { drillId, side, kind: 'test' });
}

const seenBefore = async (day: CourseDay, lesson: number): Promise<void> => {
  for (const drillId of USUAL_COURSE.lessons[lesson]!.drillIds)
    await tell(day, 1, { drillId, kind: 'shown', reason: 'Flew it with the valley team last year' });
};

/** @param pilots in the order of the roster, at least nine */
export async function putOnCourse(book: SeasonBook, pilots: readonly string[]): Promise<void> {
  const [elin, nia, davit] = [pilots[5]!, pilots[7]!, pilots[8]!];
  await attempts({ book, pilotId: davit, daysAgo: 20 }, 0, '1111111');
  await attempts({ book, pilotId: davit, daysAgo: 13 }, 1, '0111111111');
  const now: CourseDay = { book, pilotId: davit, daysAgo: 3 };
  for (const [i, met] of [...'1101111111'].entries())
    await tell(now, i, { drillId: 'hover-check', met: met === '1' });
  for (const [i, met] of [...'01011'].entries())
    await tell(now, 20 + i, {
      drillId: 'tail-in-hover',
      met: met === '1',
      missReason: met === '1' ? null : 'off-the-mark',
    });
  for (const lesson of [0, 1, 2, 3, 4]) await seenBefore({ book, pilotId: elin, daysAgo: 30 }, lesson);
  await inOneTest({ book, pilotId: elin, daysAgo: 10 }, 5);
  for (const lesson of USUAL_COURSE.lessons.keys())
    await (lesson < 6
      ? seenBefore({ book, pilotId: nia, daysAgo: 60 }, lesson)
      : inOneTest({ book, pilotId: nia, daysAgo: 50 }, lesson));
  await book.catchUp();
}
