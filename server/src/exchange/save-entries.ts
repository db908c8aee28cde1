import { type Experience, NO_EXPERIENCE } from '@skelby/core/ranking/experience';
import { withLesson } from '@skelby/core/ranking/learn';
import { BEGINNER_WIND_LIMIT_MPS } from '@skelby/core/vocabulary/wind-band';
import { v7 as uuid } from 'uuid';
import type { SchoolTx } from '../db/in-school';
import { learn, lessonIn } from '../facts/experience';
import type { EntryCheck, GoodRow, Known } from './check-entries';

/** Those of the rows whose key the school does not have yet. */
export async function freshAmong({ tx }: SchoolTx, rows: readonly GoodRow[]): Promise<readonly GoodRow[]> {
  const ids = rows.map(({ record }) => record.id);
  const there = new Set((await tx('occurrences').whereIn('id', ids).pluck('id')) as string[]);
  return rows.filter(({ record }) => !there.has(record.id));
}

/** Saves rows that the school does not have, with the pilots they name and what their debriefs teach. */
export async function saveRows(
  school: SchoolTx,
  fresh: readonly GoodRow[],
  there: Known,
  { newPilots }: Pick<EntryCheck, 'newPilots'>,
): Promise<void> {
  if (fresh.length === 0) return;
  await addPilots(school, fresh, there, newPilots);
  await addOccurrences(school, fresh);
  await addDebriefs(school, fresh, there);
}

async function addPilots(
  { tx, schoolId }: SchoolTx,
  fresh: readonly GoodRow[],
  there: Known,
  newPilots: EntryCheck['newPilots'],
): Promise<void> {
  const named = new Set(fresh.map(({ pilotId }) => pilotId));
  const pilots = [...newPilots].filter(([, id]) => named.has(id) && !there.pilotKeys.has(id));
  if (pilots.length === 0) return;
  await tx('pilots').insert(
    pilots.map(([name, id]) => ({
      schoolId,
      id,
      name,
      stickLayout: 2,
      mode: 'position-hold',
      windLimitMps: BEGINNER_WIND_LIMIT_MPS,
      note: 'Added from a file: check mode, sticks and wind limit.',
    })),
  );
  for (const [, id] of pilots) there.pilotKeys.add(id);
}

async function addOccurrences(
  { tx, schoolId, accountId }: SchoolTx,
  fresh: readonly GoodRow[],
): Promise<void> {
  await tx('occurrences').insert(
    fresh.map(({ record, pilotId, craftId, siteId }) => ({
      schoolId,
      id: record.id,
      pilotId,
      kind: record.kind,
      causeId: record.causeId,
      note: record.note,
      craftId,
      siteId,
      windMps: record.windMps,
      happenedAt: record.happenedAt,
      day: record.day,
      loggedBy: accountId,
      confirmedCauseId: record.confirmedCauseId,
      confirmedAt: record.confirmedCauseId === null ? null : record.happenedAt,
      importedAt: tx.fn.now(),
      withdrawnReason: record.withdrawnReason,
      withdrawnAt: record.withdrawnReason === null ? null : tx.fn.now(),
    })),
  );
}

async function addDebriefs(school: SchoolTx, fresh: readonly GoodRow[], there: Known): Promise<void> {
  const { tx, schoolId, accountId } = school;
  const debriefs = fresh.filter(({ record }) => record.debrief !== null);
  if (debriefs.length === 0) return;
  const taught = debriefs.map((row) => lessonOf(row, there));
  await tx('debriefs').insert(
    debriefs.map(({ record }, i) => {
      const { state, ...findings } = record.debrief!;
      const lesson = taught[i]!;
      return {
        schoolId,
        id: uuid(),
        occurrenceId: record.id,
        number: 1,
        state,
        findings: JSON.stringify(findings),
        lesson: lesson && JSON.stringify(lesson),
        at: record.happenedAt,
        accountId,
      };
    }),
  );
  const lessons = taught.filter((lesson) => lesson !== null);
  if (lessons.length === 0) return;
  const learnt = lessons.reduce((sum: Experience, lesson) => withLesson(sum, lesson), NO_EXPERIENCE);
  await learn(school, learnt, null, lessons.length);
}

/** Whether it went with a ranking is not known, so only a pick of the trainer's own that stood teaches. */
function lessonOf({ record, craftId }: GoodRow, there: Known): Experience | null {
  const { state, ...findings } = record.debrief!;
  if (state !== 'closed' || findings.primary !== findings.ownPick) return null;
  return lessonIn(findings, craftId === null ? null : there.records.get(craftId)!);
}
