import type { CourseFact } from '@skelby/core/course/course-facts';
import { courseStanding, factsThatStand } from '@skelby/core/course/course-standing';
import { USUAL_COURSE } from '@skelby/core/course/lessons';
import type { DrillId } from '@skelby/core/drills/drills';
import type { CoursePage } from '@skelby/core/pages/course';
import type { PilotPortalPage } from '@skelby/core/pages/portal';
import { rowsOf } from '../db/rows-of';
import type { SchoolTx } from '../db/in-school';
import { rowsBy } from '../facts/by';

type FactRow = CourseFact & { readonly pilotId: string };

/** What was said of pilots on the course, oldest first. */
export const courseFactsOf = ({ tx }: SchoolTx, ids: readonly string[]): Promise<readonly FactRow[]> =>
  rowsOf<FactRow>(
    tx,
    tx('course_facts')
      .whereRaw('pilot_id = any(?::uuid[])', [[...ids]])
      .orderBy(['at', 'id'])
      .select(
        ...[
          'pilot_id',
          'id',
          'kind',
          'drill_id',
          'side',
          'met',
          'miss_reason',
          'flown_on',
          'band',
          'fact_id',
        ],
        ...['reason', 'day', 'at'],
      ),
  );

interface PilotRow {
  readonly id: string;
  readonly name: string;
  readonly shown: readonly DrillId[];
}

/** Where each pilot of the school stands on the course. */
export async function coursePage(school: SchoolTx): Promise<CoursePage> {
  const pilots = await rowsOf<PilotRow>(
    school.tx,
    school.tx('pilots').whereNull('forgotten_at').orderBy('name').select('id', 'name', 'shown'),
  );
  const facts = rowsBy(
    await courseFactsOf(
      school,
      pilots.map(({ id }) => id),
    ),
    ({ pilotId }) => pilotId,
  );
  return {
    pilots: pilots.map(({ id, name, shown }) => {
      const said = facts(id);
      const { lessons, now, begun } = courseStanding(USUAL_COURSE, said, shown);
      return {
        ...{ id, name, begun, now },
        lastDay: factsThatStand(said).at(-1)?.day ?? null,
        parts: lessons.map(({ parts }) => parts.length),
        shown: lessons.map(({ parts }) => parts.filter(({ shownBy }) => shownBy !== null).length),
      };
    }),
  };
}

/** The lesson that comes next for a pilot on the course; null where nothing was said there, or all is shown. */
export async function courseNow(
  school: SchoolTx,
  pilotId: string,
  before: readonly DrillId[],
): Promise<NonNullable<PilotPortalPage['course']> | null> {
  const { lessons, now, begun } = courseStanding(
    USUAL_COURSE,
    await courseFactsOf(school, [pilotId]),
    before,
  );
  if (!begun || now === null) return null;
  const { lesson, parts } = lessons[now]!;
  return { lessonId: lesson.id, nth: now, of: lessons.length, parts };
}
