import type { CourseFact } from '@skelby/core/course/course-facts';
import { courseStanding, factsThatStand } from '@skelby/core/course/course-standing';
import { courseBy } from '@skelby/core/course/lessons';
import type { DrillId } from '@skelby/core/drills/drills';
import { methodsFor, type OwnMethods } from '@skelby/core/methods/methods';
import type { CoursePage } from '@skelby/core/pages/course';
import type { PilotPortalPage } from '@skelby/core/pages/portal';
import type { Track } from '@skelby/core/vocabulary/training';
import { rowsOf } from '../db/rows-of';
import type { SchoolTx } from '../db/in-school';
import { rowsBy } from '../facts/by';
import { methodsOfSchool } from '../facts/methods';

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
  readonly track: Track;
  readonly methods: OwnMethods;
}

/** Where each pilot of the school stands on the course. */
export async function coursePage(school: SchoolTx): Promise<CoursePage> {
  const ofSchool = await methodsOfSchool(school);
  const pilots = await rowsOf<PilotRow>(
    school.tx,
    school
      .tx('pilots')
      .whereNull('forgotten_at')
      .orderBy('name')
      .select('id', 'name', 'shown', 'track', 'methods'),
  );
  const facts = rowsBy(
    await courseFactsOf(
      school,
      pilots.map(({ id }) => id),
    ),
    ({ pilotId }) => pilotId,
  );
  return {
    pilots: pilots.map(({ id, name, shown, ...taught }) => {
      const said = facts(id);
      const { lessons, now, begun } = courseStanding(courseBy(methodsFor(ofSchool, taught)), said, shown);
      return {
        ...{ id, name, begun, now, lessonId: now === null ? null : lessons[now]!.lesson.id },
        lastDay: factsThatStand(said).at(-1)?.day ?? null,
        parts: lessons.map(({ parts }) => parts.length),
        shown: lessons.map(({ parts }) => parts.filter(({ shownBy }) => shownBy !== null).length),
      };
    }),
  };
}

/** How a pilot is taught the course, and what was shown before anything was counted here. */
export type TaughtPilot = Pick<PilotRow, 'shown' | 'track' | 'methods'>;

/** Where one pilot stands, with what was said there. */
export async function courseOf(school: SchoolTx, pilotId: string, { shown, ...taught }: TaughtPilot) {
  const [ofSchool, facts] = await Promise.all([methodsOfSchool(school), courseFactsOf(school, [pilotId])]);
  return courseStanding(courseBy(methodsFor(ofSchool, taught)), facts, shown);
}

/** The lesson that comes next for a pilot on the course; null where nothing was said there, or all is shown. */
export async function courseNow(
  school: SchoolTx,
  pilotId: string,
  taught: TaughtPilot,
): Promise<NonNullable<PilotPortalPage['course']> | null> {
  const { lessons, now, begun } = await courseOf(school, pilotId, taught);
  if (!begun || now === null) return null;
  const { lesson, parts } = lessons[now]!;
  return { lessonId: lesson.id, nth: now, of: lessons.length, parts };
}
