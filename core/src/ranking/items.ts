import type { Answers, EvidenceCluster } from '../evidence/question';
import { questionOf } from '../evidence/questions';
import type { Sign } from '../evidence/sign';
import { SIGNS } from '../evidence/signs';
import type { CraftFacts } from '../vocabulary/craft-facts';
import type { Model, PerCause } from './model';
import { type Item, pooledForAll } from './pooling';

/** `unknown` means that nobody can say; only where the pilot not knowing is itself a fact does it count. */
export const says = (questionId: string, value: string): boolean =>
  value !== 'unknown' || questionId === 'nose';

export function signItem(model: Model, sign: Sign, known: Answers, craft: CraftFacts): Item | null {
  const chance = sign.chance(known, craft);
  return chance === null
    ? null
    : { id: sign.id, story: sign.story, chance, weights: model.signWeights(sign.id, chance) };
}

export const answerItem = (model: Model, questionId: string, value: string): Item => ({
  id: questionId,
  story: questionOf(questionId).story,
  weights: model.answer.get(questionId)!.get(value)!.weights,
});

/** Everything that the answers say, by themselves and together. */
export function itemsOf(model: Model, known: Answers, craft: CraftFacts): readonly Item[] {
  const items: Item[] = Object.entries(known.choices)
    .filter(([id, value]) => says(id, value))
    .map(([id, value]) => answerItem(model, id, value));
  for (const sign of SIGNS) {
    const item = signItem(model, sign, known, craft);
    if (item) items.push(item);
  }
  return items;
}

/** What is known, story by story, and what each story says about every cause. */
export type Stories = ReadonlyMap<
  EvidenceCluster,
  { readonly items: readonly Item[]; readonly sum: PerCause }
>;

export function storiesOf(items: readonly Item[]): Stories {
  const gathered = new Map<EvidenceCluster, Item[]>();
  for (const item of items) {
    const there = gathered.get(item.story);
    if (there) there.push(item);
    else gathered.set(item.story, [item]);
  }
  return new Map([...gathered].map(([story, each]) => [story, { items: each, sum: pooledForAll(each) }]));
}
