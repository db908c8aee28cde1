import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';
import { rowsBy } from '../facts/by';
import { knownOfEach, type KnownOfPilots } from '../facts/known-of-pilot';
import { loadFactsLately, loadFactsOf, ownKey } from '../facts/weakness-facts';
import { saidOf } from '../facts/said-by-pilot';
import { badField, notFound } from '../problem/problem';
import { isInstant } from '@skelby/core/vocabulary/day';
import { headsOf, LATELY, repsShown } from '../facts/reps-that-count';
import { fromTheBeginning } from '../facts/since-checkpoints';
import type { EarlierReps } from '@skelby/core/pages/older';
import type { Context } from 'koa';

/** A weakness with the facts that decide it; the app works out the rungs from these with the same core. */
export async function weaknessPage(school: SchoolTx, named: string, lately: boolean) {
  const [page] = Object.values(await weaknessPages(school, [named], { lately }));
  if (!page) throw notFound('weakness');
  return page;
}

/** Reps of a weakness that are not on its page: those flown before an instant, the last of them. */
export async function earlierReps(school: SchoolTx, named: string, { query }: Context): Promise<EarlierReps> {
  const { before } = query;
  if (typeof before !== 'string' || !isInstant(before))
    throw badField('before', 'before must be an instant, such as 2026-03-03T10:00:00Z.');
  const id = await ownKey(school.tx, named);
  const [kept] = await fromTheBeginning(school, [id]);
  if (!kept) throw notFound('weakness');
  const reps = (await repsShown(school, [{ ...kept, most: LATELY, until: new Date(before).toISOString() }]))(
    id,
  );
  return { reps: reps.map(({ rep }) => rep), hasMore: reps.length >= LATELY };
}

interface OfWeakness {
  readonly weaknessId: string;
}
interface Keyed {
  readonly id: string;
}

interface Asked {
  /** Of what a great deal was flown for, only the last reps, and where it stood before what decides. */
  readonly lately: boolean;
  /** Where that was read already. */
  readonly ofPilots?: KnownOfPilots;
}

/** The pages of several by their keys, in as many statements as of one. */
export async function weaknessPages(school: SchoolTx, named: readonly string[], { lately, ofPilots }: Asked) {
  const { tx } = school;
  const heads = await headsOf(school, named);
  const ids = heads.map(({ id }) => id);
  const pilotIds = [...new Set(heads.map(({ pilotId }) => pilotId))];
  const wanted = heads.map(({ id: weaknessId, pilotId }) => ({ weaknessId, pilotId }));
  const [facts, pilotRows, known, saidOfAll, occurrenceRows] = await Promise.all([
    lately ? loadFactsLately(school, heads) : loadFactsOf(school, ids),
    rowsOf<Keyed>(tx, tx('pilots').whereRaw('id = any(?::uuid[])', [[...pilotIds]])),
    knownOfEach(school, wanted, ofPilots),
    saidOf(school, ids),
    rowsOf<OfWeakness>(
      tx,
      tx('occurrences')
        .whereRaw('weakness_id = any(?::uuid[])', [[...ids]])
        .orderBy('happened_at', 'desc'),
    ),
  ]);
  const pilots = rowsBy(pilotRows, ({ id }) => id);
  const said = rowsBy(saidOfAll, ({ weaknessId }) => weaknessId);
  const occurrences = rowsBy(occurrenceRows, ({ weaknessId }) => weaknessId);
  return Object.fromEntries(
    heads.map(({ muchFlown: _, ...weakness }, i) => {
      const { id, pilotId } = weakness;
      const { rule, reps, stamps, sets, moves, plans, since, shownFrom } = facts.get(id)!;
      return [
        id,
        {
          weakness: weakness as unknown,
          known: known[i]!,
          pilot: pilots(pilotId)[0] as unknown,
          rule,
          stamps,
          reps,
          ...(since ? { since, shownFrom } : {}),
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
