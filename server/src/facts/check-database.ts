import { clearanceOf } from '@skelby/core/clearance/clearance';
import { inLists } from '@skelby/core/clearance/in-lists';
import type { Knex } from 'knex';
import { holding } from './checkpoints';
import { readKept } from './read-kept';
import { loadFacts } from './weakness-facts';
import { inSchool } from '../db/in-school';

/** A weakness whose row in the lists says something else than its facts do. */
interface Difference {
  readonly school: string;
  readonly weaknessId: string;
  readonly field: string;
  readonly kept: unknown;
  readonly workedOut: unknown;
}

export interface Checked {
  readonly weaknesses: number;
  readonly differences: readonly Difference[];
}

/** As JSON keeps it, so that a number, a day and nothing compare as they are stored. */
const plain = (value: unknown): string => JSON.stringify(value ?? null);

/** Works every weakness of every school out anew from its facts, and says where the lists differ. Nothing is changed. */
export async function checkDatabase(db: Knex): Promise<Checked> {
  const schools = (await db('schools').select('id', 'name').orderBy('name')) as {
    id: string;
    name: string;
  }[];
  let weaknesses = 0;
  const differences: Difference[] = [];
  for (const { id: schoolId, name } of schools)
    await inSchool(db, { schoolId, accountId: null }, async (school) => {
      const rows = (await school.tx('weaknesses').orderBy('id')) as Record<string, unknown>[];
      weaknesses += rows.length;
      for (const row of rows) {
        const weaknessId = row['id'] as string;
        const facts = await loadFacts(school, weaknessId);
        const clearance = clearanceOf(facts);
        const workedOut: Record<string, unknown> = {
          ...inLists(clearance),
          signedEarly: clearance.signedEarly,
        };
        for (const [field, value] of Object.entries(workedOut))
          if (plain(row[field]) !== plain(value))
            differences.push({ school: name, weaknessId, field, kept: row[field], workedOut: value });
        // Where it stood, if it is gone on from there: what is flown next is judged by it.
        const [kept] = await readKept(school, [weaknessId], false);
        const since = holding(facts, kept!.checkpoint);
        const gone = since && plain(inLists(clearanceOf(facts, since)));
        if (gone !== null && gone !== plain(inLists(clearance)))
          differences.push({
            ...{ school: name, weaknessId, field: 'checkpoint', kept: gone },
            workedOut: plain(inLists(clearance)),
          });
      }
    });
  return { weaknesses, differences };
}

/** How many rows each table holds. */
export async function countRows(db: Knex): Promise<Readonly<Record<string, number>>> {
  const { rows } = (await db.raw(
    "select relname as name from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace order by relname",
  )) as { rows: { name: string }[] };
  const counts: Record<string, number> = {};
  for (const { name } of rows) {
    const [row] = (await db(name).count('* as n')) as { n: number | string }[];
    counts[name] = Number(row!.n);
  }
  return counts;
}
