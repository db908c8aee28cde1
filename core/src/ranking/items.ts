import type { Answers, EvidenceCluster } from '../evidence/question';
import { questionOf } from '../evidence/questions';
import type { Sign } from '../evidence/sign';
import { SIGNS } from '../evidence/signs';
import type { CraftFacts } from '../vocabulary/craft-facts';
import { HYPOTHESES, type PerHypothesis } from './hypotheses';
import { impliedBy } from './implied';
import type { Model } from './model';
import { type Item, pooled, type Story, storyOf, heardOfAll } from './pooling';

/** `unknown` means that nobody can say; only where the pilot not knowing is itself a fact does it count. */
export const says = (questionId: string, value: string): boolean =>
  value !== 'unknown' || questionId === 'nose';

const isKnown = ({ choices, numbers }: Answers, id: string) =>
  choices[id] !== undefined || numbers[id] !== undefined;

export function signItem(model: Model, sign: Sign, known: Answers, craft: CraftFacts): Item | null {
  const chance = sign.chance(known, craft);
  if (chance === null) return null;
  const { id, story, needs, uses } = sign;
  const of = [...needs, ...uses].filter((each) => isKnown(known, each));
  return { id, story, of, chance, weights: model.signWeights(id, chance) };
}

export const answerItem = (model: Model, questionId: string, value: string): Item => ({
  id: questionId,
  story: questionOf(questionId).story,
  of: [questionId],
  weights: model.answer.get(questionId)!.get(value)!.weights,
});

/** Everything that the answers say, by themselves and together, and what they imply. */
export function itemsOf(model: Model, known: Answers, craft: CraftFacts): readonly Item[] {
  const items: Item[] = Object.entries(known.choices)
    .filter(([id, value]) => says(id, value))
    .map(([id, value]) => answerItem(model, id, value));
  for (const { question, values, of } of impliedBy(known))
    items.push({
      id: question,
      story: questionOf(question).story,
      of,
      weights: model.oneOf(question, values).weights,
    });
  for (const sign of SIGNS) {
    const item = signItem(model, sign, known, craft);
    if (item) items.push(item);
  }
  return items;
}

/** What was hit, from which side, and what was being flown: the result, which says little about why. */
const RESULT: ReadonlySet<string> = new Set([
  'phase',
  'obstacle_side',
  'obstacle_kind',
  'noticed',
  'saw-ahead',
  'blind-move',
]);
/** Once the mechanism is told so plainly, natural logarithm, the result counts for half. */
const PLAIN = 4;
const LEFT_OF_RESULT = 0.5;

/** How much the result still counts beside what is told of the mechanism: 1 where nothing is, down to a half. */
export function weightOfResult(items: readonly Item[], { choices }: Answers): number {
  // Of twigs, wires and gaps the result is the mechanism.
  if (['thin', 'wire'].includes(choices['obstacle_kind'] ?? '') || choices['phase'] === 'gap') return 1;
  const mechanism = byStory(items.filter(({ id }) => !RESULT.has(id)));
  let most = 0;
  for (let h = 0; h < HYPOTHESES.length; h += 1) {
    let sum = 0;
    for (const each of mechanism.values()) sum += Math.max(0, pooled(each, h));
    most = Math.max(most, sum);
  }
  return 1 - (1 - LEFT_OF_RESULT) * Math.min(1, most / PLAIN);
}

/** An item as it counts, the result for less. */
export const counted = (item: Item, ofResult: number): Item =>
  ofResult === 1 || !RESULT.has(item.id)
    ? item
    : { ...item, weights: item.weights.map((each) => ofResult * each) };

function byStory(items: readonly Item[]): ReadonlyMap<EvidenceCluster, readonly Item[]> {
  const gathered = new Map<EvidenceCluster, Item[]>();
  for (const item of items) {
    const there = gathered.get(item.story);
    if (there) there.push(item);
    else gathered.set(item.story, [item]);
  }
  return gathered;
}

/** What is known, story by story, and what each story says about every hypothesis. */
export type Stories = ReadonlyMap<EvidenceCluster, Story & { readonly sum: PerHypothesis }>;

export const storiesOf = (items: readonly Item[]): Stories =>
  new Map(
    [...byStory(items)].map(([cluster, each]) => {
      const story = storyOf(each);
      return [cluster, { ...story, sum: heardOfAll(story) }];
    }),
  );
