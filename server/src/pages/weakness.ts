import type { SchoolTx } from '../db/in-school';
import { rowsBy } from '../facts/by';
import { knownOfEach, type KnownOfPilots } from '../facts/known-of-pilot';
import { loadFactsOf, ownKey } from '../facts/weakness-facts';
import { saidOf } from '../facts/said-by-pilot';
import { notFound } from '../problem/problem';

/** A weakness with the facts that decide it; the app works out the rungs from these with the same core. */
export async function weaknessPage(school: SchoolTx, named: string) {
  const id = await ownKey(school.tx, named);
  const page = (await weaknessPages(school, [id]))[id];
  if (!page) throw notFound('weakness');
  return page;
}

interface OfWeakness {
  readonly weaknessId: string;
}
interface Keyed {
  readonly id: string;
}

/** The pages of several by their keys, in as many statements as of one. @param ofPilots where that was read already */
export async function weaknessPages(school: SchoolTx, ids: readonly string[], ofPilots?: KnownOfPilots) {
  const { tx } = school;
  const facts = await loadFactsOf(school, ids);
  const of = (rows: unknown) => rowsBy(rows as readonly OfWeakness[], (row) => row.weaknessId);
  const own = rowsBy((await tx('weaknesses').whereIn('id', ids)) as Keyed[], ({ id }) => id);
  const pilotIds = [...new Set([...facts.values()].map(({ pilotId }) => pilotId))];
  const pilots = rowsBy((await tx('pilots').whereIn('id', pilotIds)) as Keyed[], ({ id }) => id);
  const wanted = [...facts].map(([weaknessId, { pilotId }]) => ({ weaknessId, pilotId }));
  const known = await knownOfEach(school, wanted, ofPilots);
  const said = of(await saidOf(school, ids));
  const occurrences = of(await tx('occurrences').whereIn('weaknessId', ids).orderBy('happened_at', 'desc'));
  return Object.fromEntries(
    wanted.map(({ weaknessId: id, pilotId }, i) => {
      const { rule, reps, stamps, sets, moves, plans } = facts.get(id)!;
      return [
        id,
        {
          weakness: own(id)[0] as unknown,
          known: known[i]!,
          pilot: pilots(pilotId)[0] as unknown,
          rule,
          stamps,
          reps,
          testSets: sets,
          moves: moves as unknown,
          plans: plans as unknown,
          occurrences: occurrences(id) as unknown,
          said: said(id) as unknown,
        },
      ];
    }),
  );
}
