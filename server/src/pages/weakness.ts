import type { SchoolTx } from '../db/in-school';
import { knownOf } from '../facts/known-of-pilot';
import { loadFacts, ownKey } from '../facts/weakness-facts';

/** A weakness with the facts that decide it; the app works out the rungs from these with the same core. */
export async function weaknessPage(school: SchoolTx, named: string) {
  const { tx } = school;
  const id = await ownKey(tx, named);
  const { rule, reps, stamps, sets, pilotId } = await loadFacts(school, id);
  return {
    weakness: (await tx('weaknesses').where({ id }).first()) as unknown,
    known: await knownOf(school, pilotId, id),
    pilot: (await tx('pilots').where({ id: pilotId }).first()) as unknown,
    rule,
    stamps,
    reps,
    testSets: sets,
    moves: (await tx('moves as m')
      .leftJoin('accounts as a', (on) => on.on('a.school_id', 'm.school_id').andOn('a.id', 'm.account_id'))
      .select('m.*', 'a.name as by')
      .where({ 'm.weakness_id': id })
      .orderBy(['m.at', 'm.id'])) as unknown,
    plans: (await tx('plans').where({ weaknessId: id }).orderBy('made_at', 'desc')) as unknown,
    occurrences: (await tx('occurrences')
      .where({ weaknessId: id })
      .orderBy('happened_at', 'desc')) as unknown,
  };
}
