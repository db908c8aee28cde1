import type Router from '@koa/router';
import { countLessons, type Lesson } from '@skelby/core/ranking/learn';
import { type Experience, NO_EXPERIENCE } from '@skelby/core/ranking/experience';
import { type Model, modelWith } from '@skelby/core/ranking/model';
import { answersOf, type Evidence } from '@skelby/core/evidence/evidence';
import { craftFacts, type CraftRecord, USUAL_CRAFT } from '@skelby/core/flying/craft-facts';
import { switchShape } from '@skelby/core/shapes/ranking';
import type { SchoolTx } from '../db/in-school';
import { bodyOf } from '../http/body';
import type { InTheirSchool } from '../http/in-their-school';
import { recordEvent } from './events';

interface ExperienceRow {
  readonly enabled: boolean;
  readonly lessons: number;
  readonly counts: Experience;
  readonly changedAt: string;
}

const row = ({ tx }: SchoolTx) => tx('experiences').first('enabled', 'lessons', 'counts', 'changed_at') as Promise<ExperienceRow | undefined>;

export async function experienceOf(school: SchoolTx): Promise<Pick<ExperienceRow, 'enabled' | 'lessons' | 'counts'>> {
  const { enabled = true, lessons = 0, counts = NO_EXPERIENCE } = (await row(school)) ?? {};
  return { enabled, lessons, counts };
}

/** Counts anew what the school's closed debriefs teach. Called in the transaction that changes one, after its occurrence is locked. */
export async function refreshExperience(school: SchoolTx): Promise<void> {
  const { tx, schoolId } = school;
  // One at a time: two trainers who close at once would each miss the other's.
  await tx.raw('select pg_advisory_xact_lock(hashtext(?))', [`experience ${schoolId}`]);
  const { rows } = await tx.raw(`
    select d.findings->>'primary' as cause, d.findings->'evidence' as evidence, to_jsonb(c) as craft
      from (select distinct on (occurrence_id) * from debriefs order by occurrence_id, number desc) d
      join occurrences o on o.school_id = d.school_id and o.id = d.occurrence_id and o.withdrawn_at is null
      left join craft c on c.school_id = o.school_id and c.id = o.craft_id
     where d.state = 'closed' and d.teaches`) as { rows: { cause: string; evidence: Evidence; craft: Record<string, unknown> | null }[] };
  const lessons: Lesson[] = rows.map(({ cause, evidence, craft }) => ({ cause, known: answersOf(evidence), craft: craftFacts(craft ? recordIn(craft) : USUAL_CRAFT) }));
  const fields = { lessons: lessons.length, counts: JSON.stringify(countLessons(lessons)), changedAt: tx.raw('clock_timestamp()') };
  await tx('experiences').insert({ schoolId, id: schoolId, ...fields }).onConflict(['school_id', 'id']).merge(fields);
}

/** A craft's row as JSON carries the database's own names. */
const recordIn = (craft: Record<string, unknown>): CraftRecord =>
  Object.fromEntries(Object.entries(craft).map(([name, value]) => [name.replace(/_([a-z])/g, (_, letter: string) => letter.toUpperCase()), value])) as unknown as CraftRecord;

const STARTING = modelWith();
const MOST_KEPT = 100;
/** A school's model takes longer to make than a ranking does; kept until its counts change. */
const models = new Map<string, { readonly changedAt: string; readonly model: Model }>();

/** The weights a school ranks by: its own experience added, unless it is switched off. */
export async function modelOf(school: SchoolTx): Promise<Model> {
  const own = await row(school);
  if (!own?.enabled || own.lessons === 0) return STARTING;
  const kept = models.get(school.schoolId);
  if (kept?.changedAt === own.changedAt) return kept.model;
  const model = modelWith(own.counts);
  models.delete(school.schoolId);
  models.set(school.schoolId, { changedAt: own.changedAt, model });
  if (models.size > MOST_KEPT) models.delete(models.keys().next().value!);
  return model;
}

export async function switchExperience(school: SchoolTx, body: unknown): Promise<unknown> {
  const { enabled } = await switchShape.validate(body, { abortEarly: false });
  const { tx, schoolId } = school;
  const before = await experienceOf(school);
  await tx('experiences').insert({ schoolId, id: schoolId, enabled, counts: JSON.stringify(NO_EXPERIENCE) }).onConflict(['school_id', 'id']).merge({ enabled, changedAt: tx.raw('clock_timestamp()') });
  if (before.enabled !== enabled) await recordEvent(school, { action: enabled ? 'switched-on' : 'switched-off', subject: 'experience', subjectId: schoolId });
  return experienceOf(school);
}

export function experienceRoutes(router: Router, inSchool: InTheirSchool): void {
  router.get('/experience', inSchool((school) => experienceOf(school)));
  router.put('/experience', inSchool((school, ctx) => switchExperience(school, bodyOf(ctx))));
}
