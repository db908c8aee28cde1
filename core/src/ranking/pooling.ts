import type { EvidenceCluster } from '../evidence/question';
import { HYPOTHESES, type PerHypothesis } from './hypotheses';

/** One answer or sign, and how much it speaks for each hypothesis. */
export interface Item {
  readonly id: string;
  readonly story: EvidenceCluster;
  /** The answers that it is made of: its own, or for a sign or what is implied, those it comes from. */
  readonly of: readonly string[];
  /** For a sign: how likely it is that it holds. */
  readonly chance?: number;
  readonly weights: PerHypothesis;
}

/** Each further answer of one story counts for this share of the one before it. */
export const FURTHER = 0.6;

/** Reused between calls: the ranking runs hundreds of times for one screen. */
const ups = new Float64Array(64);
const downs = new Float64Array(64);

function insert(sorted: Float64Array, length: number, value: number): void {
  let at = length;
  while (at > 0 && sorted[at - 1]! < value) {
    sorted[at] = sorted[at - 1]!;
    at -= 1;
  }
  sorted[at] = value;
}

/**
 * What some items of one story say about one hypothesis. They are correlated, so they are not simply added: the
 * strongest counts in full, each further one for a share of the one before, what speaks for and what speaks against
 * apart. The order of asking does not matter, and an answer that says nothing takes nothing from the others.
 */
export function pooled(items: readonly Item[], hypothesis: number): number {
  if (items.length === 0) return 0;
  const first = items[0]!.weights[hypothesis]!;
  if (items.length === 1) return first;
  if (items.length === 2) {
    const second = items[1]!.weights[hypothesis]!;
    if (first * second <= 0) return first + second;
    return Math.abs(first) > Math.abs(second) ? first + FURTHER * second : second + FURTHER * first;
  }
  let [up, down] = [0, 0];
  for (const item of items) {
    const weight = item.weights[hypothesis]!;
    if (weight > 0) {
      insert(ups, up, weight);
      up += 1;
    } else if (weight < 0) {
      insert(downs, down, -weight);
      down += 1;
    }
  }
  let [pro, contra] = [0, 0];
  for (let i = up - 1; i >= 0; i -= 1) pro = ups[i]! + FURTHER * pro;
  for (let i = down - 1; i >= 0; i -= 1) contra = downs[i]! + FURTHER * contra;
  return pro - contra;
}

/** Within a story weights are sharpened so much, since what is doubted is taken out of it again. */
const SHARPER = 1.6;
/** Chance that an answer is remembered wrongly, and its odds: perhaps one of seven, as told of debriefs. */
const REMEMBERED_WRONGLY = 0.15;
const WRONG_ODDS = REMEMBERED_WRONGLY / (1 - REMEMBERED_WRONGLY);

/** The items of one story, and what is left of them when one answer was remembered wrongly. */
export interface Story {
  readonly items: readonly Item[];
  readonly without: readonly (readonly Item[])[];
}

export function storyOf(items: readonly Item[]): Story {
  const answers = new Set(items.flatMap(({ of }) => of));
  return { items, without: [...answers].map((answer) => items.filter(({ of }) => !of.includes(answer))) };
}

/** What a story says of a hypothesis of which it says nothing: the level that others are told against. */
export const sayingNothing = ({ without }: Story): number => Math.log(1 + WRONG_ODDS * without.length);

/**
 * What a story says about one hypothesis: all of it is so, or one of its answers is wrong and the others are so. One
 * false answer does not turn a plain case.
 */
export function heard({ items, without }: Story, hypothesis: number): number {
  let sum = Math.exp(SHARPER * pooled(items, hypothesis));
  for (let i = 0; i < without.length; i += 1)
    sum += WRONG_ODDS * Math.exp(SHARPER * pooled(without[i]!, hypothesis));
  return Math.log(sum);
}

/** The same for every hypothesis. */
export const heardOfAll = (story: Story): PerHypothesis =>
  Float64Array.from(HYPOTHESES, (_, hypothesis) => heard(story, hypothesis));

/** The same, item by item, so that a reason shows the weight that it really had. */
export function sharesOf(
  items: readonly Item[],
  hypothesis: number,
): readonly { readonly item: Item; readonly weight: number }[] {
  if (items.length === 1) return [{ item: items[0]!, weight: items[0]!.weights[hypothesis]! }];
  const sorted = [...items].sort(
    (a, b) => Math.abs(b.weights[hypothesis]!) - Math.abs(a.weights[hypothesis]!) || (a.id < b.id ? -1 : 1),
  );
  let [up, down] = [1, 1];
  return sorted.map((item) => {
    const weight = item.weights[hypothesis]!;
    const share = weight > 0 ? up : down;
    if (weight > 0) up *= FURTHER;
    else down *= FURTHER;
    return { item, weight: weight * share };
  });
}

/** Probabilities from log-odds; the largest is taken out first, so that nothing overflows. */
export function posterior(score: Float64Array): Float64Array {
  const most = score.reduce((a, b) => Math.max(a, b), -Infinity);
  const odds = score.map((each) => Math.exp(each - most));
  const all = odds.reduce((a, b) => a + b, 0);
  return odds.map((each) => each / all);
}

/** Uncertainty in bits (Shannon). */
export function entropy(chance: Float64Array): number {
  let sum = 0;
  for (const p of chance) if (p > 0) sum -= p * Math.log2(p);
  return sum;
}
