import type { Findings } from '@skelby/core/debrief/findings';
import { lessonOf, withLesson } from '@skelby/core/ranking/learn';
import { type Experience, NO_EXPERIENCE } from '@skelby/core/ranking/experience';
import { type Model, modelWith } from '@skelby/core/ranking/model';
import { answersOf } from '@skelby/core/evidence/evidence';
import { craftFacts, type CraftRecord, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';

interface ExperienceRow {
  readonly enabled: boolean;
  readonly lessons: number;
  readonly counts: Experience;
  readonly changedAt: string;
}

const row = async ({ tx }: SchoolTx): Promise<ExperienceRow | undefined> =>
  (
    await rowsOf<ExperienceRow>(tx, tx('experiences').select('enabled', 'lessons', 'counts', 'changed_at'))
  )[0];

export async function experienceOf(
  school: SchoolTx,
): Promise<Pick<ExperienceRow, 'enabled' | 'lessons' | 'counts'>> {
  const { enabled = true, lessons = 0, counts = NO_EXPERIENCE } = (await row(school)) ?? {};
  return { enabled, lessons, counts };
}

/** What a closed debrief teaches; null for nothing. */
export const lessonIn = (findings: Findings, craft: CraftRecord | null): Experience | null =>
  findings.primary === null
    ? null
    : lessonOf({
        cause: findings.primary,
        known: answersOf(findings.evidence),
        craft: craftFacts(craft ?? USUAL_CRAFT),
      });

/**
 * Learns and unlearns. Called in the transaction that saves the versions whose lessons these are, after their
 * occurrence is locked.
 * @param count how many occurrences teach more (or fewer) than before
 */
export async function learn(
  school: SchoolTx,
  learnt: Experience | null,
  unlearnt: Experience | null,
  count = (learnt ? 1 : 0) - (unlearnt ? 1 : 0),
): Promise<void> {
  if (!learnt && !unlearnt) return;
  const { tx, schoolId } = school;
  // One at a time: two trainers who close at once would each miss the other's.
  await tx.raw('select pg_advisory_xact_lock(hashtext(?))', [`experience ${schoolId}`]);
  const before = await experienceOf(school);
  const without = unlearnt ? withLesson(before.counts, unlearnt, -1) : before.counts;
  const counts = JSON.stringify(learnt ? withLesson(without, learnt) : without);
  const fields = { lessons: before.lessons + count, counts, changedAt: tx.raw('clock_timestamp()') };
  await tx('experiences')
    .insert({ schoolId, id: schoolId, ...fields })
    .onConflict(['school_id', 'id'])
    .merge(fields);
}

const STARTING = modelWith();
const MOST_KEPT = 100;
/** A school's model takes longer to make than a ranking does; kept until its counts change. */
const models = new Map<string, { readonly changedAt: string; readonly model: Model }>();

/** The weights a school ranks by: its own experience added, unless it is switched off. */
export async function modelOf(school: SchoolTx): Promise<Model> {
  // The counts are long: they are read only when they have changed.
  const own = (await school.tx('experiences').first('enabled', 'lessons', 'changed_at')) as
    Omit<ExperienceRow, 'counts'> | undefined;
  if (!own?.enabled || own.lessons === 0) return STARTING;
  const kept = models.get(school.schoolId);
  if (kept?.changedAt === own.changedAt) return kept.model;
  const model = modelWith((await experienceOf(school)).counts);
  models.delete(school.schoolId);
  models.set(school.schoolId, { changedAt: own.changedAt, model });
  if (models.size > MOST_KEPT) models.delete(models.keys().next().value!);
  return model;
}
