import type { EvidenceCluster } from '../evidence/question';
import { CAUSE_IDS, type PerCause } from './model';

/** One answer or sign, and how much it speaks for each cause. */
export interface Item {
  readonly id: string;
  readonly story: EvidenceCluster;
  /** For a sign: how likely it is that it holds. */
  readonly chance?: number;
  readonly weights: PerCause;
}

/** Each further answer of one story counts for this share of the one before it. */
export const FURTHER = 0.5;

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
 * What one story says about one cause. Its answers are correlated, so they are not simply added: the
 * strongest counts in
 * full, the next for half, the next for a quarter, what speaks for and what speaks against apart. The order
 * of asking
 * does not matter, and an answer that says nothing takes nothing from the others.
 */
export function pooled(items: readonly Item[], cause: number): number {
  if (items.length === 0) return 0;
  const first = items[0]!.weights[cause]!;
  if (items.length === 1) return first;
  if (items.length === 2) {
    const second = items[1]!.weights[cause]!;
    if (first * second <= 0) return first + second;
    return Math.abs(first) > Math.abs(second) ? first + FURTHER * second : second + FURTHER * first;
  }
  let [up, down] = [0, 0];
  for (const item of items) {
    const weight = item.weights[cause]!;
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

/** The same for every cause. */
export const pooledForAll = (items: readonly Item[]): PerCause =>
  Float64Array.from(CAUSE_IDS, (_, cause) => pooled(items, cause));

/** The same, item by item, so that a reason shows the weight that it really had. */
export function sharesOf(
  items: readonly Item[],
  cause: number,
): readonly { readonly item: Item; readonly weight: number }[] {
  if (items.length === 1) return [{ item: items[0]!, weight: items[0]!.weights[cause]! }];
  const sorted = [...items].sort(
    (a, b) => Math.abs(b.weights[cause]!) - Math.abs(a.weights[cause]!) || (a.id < b.id ? -1 : 1),
  );
  let [up, down] = [1, 1];
  return sorted.map((item) => {
    const weight = item.weights[cause]!;
    const share = weight > 0 ? up : down;
    if (weight > 0) up *= FURTHER;
    else down *= FURTHER;
    return { item, weight: weight * share };
  });
}

/** Probabilities from log-odds; the largest is taken out first, so that nothing overflows. */
export function posterior(score: PerCause): PerCause {
  const most = score.reduce((a, b) => Math.max(a, b), -Infinity);
  const odds = score.map((each) => Math.exp(each - most));
  const all = odds.reduce((a, b) => a + b, 0);
  return odds.map((each) => each / all);
}

/** Uncertainty in bits (Shannon). */
export function entropy(chance: PerCause): number {
  let sum = 0;
  for (const p of chance) if (p > 0) sum -= p * Math.log2(p);
  return sum;
}

/**
 * The same straight from log-odds: ln Σ e^s − Σ p s, in bits; one exponential for each cause and no
 * logarithm.
 */
export function entropyOfScores(score: PerCause): number {
  let most = -Infinity;
  for (let c = 0; c < score.length; c += 1) if (score[c]! > most) most = score[c]!;
  let [all, weighted] = [0, 0];
  for (let c = 0; c < score.length; c += 1) {
    const above = score[c]! - most;
    const odds = Math.exp(above);
    all += odds;
    weighted += odds * above;
  }
  return (Math.log(all) - weighted / all) / Math.LN2;
}
