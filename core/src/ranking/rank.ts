import type { CauseId } from '../causes/causes';
import type { Answers } from '../evidence/question';
import { labelOf, questionOf } from '../evidence/questions';
import { signOf } from '../evidence/signs';
import type { CraftFacts } from '../vocabulary/craft-facts';
import { Asking, type NextQuestion } from './asking';
import { itemsOf, type Stories, storiesOf } from './items';
import { CAUSE_IDS, type Model, modelWith } from './model';
import { type Item, pooled, posterior, sharesOf } from './pooling';

export interface Reason {
  /** The answer it comes from; for a sign, the first of its answers. */
  readonly evidence: string;
  /** The sign, when several answers or a sum say it together. */
  readonly sign?: string;
  /**
   * Natural logarithm of how much likelier it makes this cause, above 0 for and below 0 against, after
   * pooling.
   */
  readonly weight: number;
  readonly words: string;
}

export interface RankedCause {
  readonly id: CauseId;
  readonly probability: number;
  /** The weightiest first. */
  readonly reasons: readonly Reason[];
}

/** How far the ranking may be leaned on. */
export const STANCES = ['not-known', 'leaning', 'likely'] as const;
export type Stance = (typeof STANCES)[number];

export interface Ranking {
  /** All causes, likeliest first. */
  readonly causes: readonly RankedCause[];
  readonly nextQuestions: readonly NextQuestion[];
  readonly stance: Stance;
  /** Human factors, each with a probability of its own beside the mechanism. */
  readonly conditions: readonly { readonly id: CauseId; readonly probability: number }[];
}

const LEANING_FROM = 0.35;
const LIKELY_FROM = 0.7;
const REASON_FROM = 0.1;
/** Fewer answers than this are never enough to name a cause. */
const FEWEST_ANSWERS = 3;

/** How often a human factor is somewhere in an occurrence: common practice. */
const CONDITIONS = [
  { id: 'distraction', usual: 0.15 },
  { id: 'panic-override', usual: 0.1 },
] as const;

function wordsOf(item: Item, known: Answers): Omit<Reason, 'weight'> {
  const sign = signOf(item.id);
  if (sign) {
    const evidence =
      [...sign.needs, ...sign.uses].find(
        (id) => known.choices[id] !== undefined || known.numbers[id] !== undefined,
      ) ?? sign.id;
    return { evidence, sign: sign.id, words: (item.chance ?? 0) >= 0.5 ? sign.holds : sign.fails };
  }
  const question = questionOf(item.id);
  return {
    evidence: item.id,
    words:
      question.kind === 'choice'
        ? `${question.short}: ${labelOf(question, known.choices[item.id]!).toLowerCase()}`
        : question.short,
  };
}

const stanceOf = (top: number, answers: number): Stance => {
  if (answers < FEWEST_ANSWERS || top < LEANING_FROM) return 'not-known';
  return top < LIKELY_FROM ? 'leaning' : 'likely';
};

function conditionsOf(stories: Stories): Ranking['conditions'] {
  const mind = stories.get('mind')?.items ?? [];
  return CONDITIONS.map(({ id, usual }) => ({
    id,
    probability: 1 / (1 + Math.exp(-(Math.log(usual / (1 - usual)) + pooled(mind, CAUSE_IDS.indexOf(id))))),
  }));
}

function reasonsFor(
  cause: number,
  stories: Stories,
  words: ReadonlyMap<Item, Omit<Reason, 'weight'>>,
): readonly Reason[] {
  const reasons: Reason[] = [];
  for (const { items } of stories.values()) {
    for (const { item, weight } of sharesOf(items, cause))
      if (Math.abs(weight) >= REASON_FROM) reasons.push({ ...words.get(item)!, weight });
  }
  return reasons.sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight));
}

/** Reasons are worked out when they are first read: a screen shows those of three causes, not of thirty. */
class Ranked implements RankedCause {
  private told: readonly Reason[] | null = null;
  private readonly tell: () => readonly Reason[];

  constructor(
    readonly id: CauseId,
    readonly probability: number,
    tell: () => readonly Reason[],
  ) {
    this.tell = tell;
  }

  get reasons(): readonly Reason[] {
    return (this.told ??= this.tell());
  }

  toJSON(): RankedCause {
    return { id: this.id, probability: this.probability, reasons: this.reasons };
  }
}

const STARTING = modelWith();

/**
 * Ranks every cause by what is known, says why, and which open questions would change most.
 * Each answer's weight is the logarithm of its likelihood under the cause over its likelihood on the whole
 * (Bayes); answers of one
 * story are pooled (see `pooled`), and uncertain sums enter by Jeffrey's rule.
 * @param known answers, in any order
 * @param craft what the sums need to know of it
 * @param model starting weights, or those with a school's own experience (`modelWith`)
 */
export function rank(known: Answers, craft: CraftFacts, model: Model = STARTING): Ranking {
  const items = itemsOf(model, known, craft);
  const stories = storiesOf(items);
  const scores = Float64Array.from(model.logPrior);
  for (const { sum } of stories.values())
    for (let c = 0; c < scores.length; c += 1) scores[c] = scores[c]! + sum[c]!;
  const chance = posterior(scores);
  const words = new Map(items.map((item) => [item, wordsOf(item, known)]));
  const causes = CAUSE_IDS.map(
    (id, c) => new Ranked(id, chance[c]!, () => reasonsFor(c, stories, words)),
  ).sort((a, b) => b.probability - a.probability);
  const answers = Object.keys(known.choices).length + Object.keys(known.numbers).length;
  return {
    causes,
    stance: stanceOf(causes[0]!.probability, answers),
    conditions: conditionsOf(stories),
    nextQuestions: new Asking(model, known, craft, stories, scores).questions(),
  };
}
