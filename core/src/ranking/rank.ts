import type { CauseId } from '../causes/causes';
import type { Answers } from '../evidence/question';
import { signOf } from '../evidence/signs';
import type { CraftFacts } from '../vocabulary/craft-facts';
import { type Said, sentence } from '../vocabulary/said';
import { Asking, type NextQuestion } from './asking';
import { hasAskedEnough } from './core-questions';
import { byFirst, CAUSE_IDS, HYPOTHESES } from './hypotheses';
import { counted, itemsOf, type Stories, storiesOf, weightOfResult } from './items';
import type { Steering } from './mentions';
import { type Model, modelWith } from './model';
import { type Stance, stanceOf } from './stance';
import { type Item, pooled, posterior, sayingNothing, sharesOf } from './pooling';

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
  readonly said: Said;
}

export interface RankedCause {
  readonly id: CauseId;
  /** That it began with this. */
  readonly probability: number;
  /** The likeliest explanation that begins with it: alone, or what followed from it. */
  readonly chain: readonly CauseId[];
  /** The weightiest first. */
  readonly reasons: readonly Reason[];
}

export interface Ranking {
  /**
   * All causes, by how likely each is to be the one it began with. What may well have followed from the first stands
   * second.
   */
  readonly causes: readonly RankedCause[];
  readonly nextQuestions: readonly NextQuestion[];
  readonly stance: Stance;
  /** Human factors, each with a probability of its own beside the mechanism. */
  readonly conditions: readonly { readonly id: CauseId; readonly probability: number }[];
}

const REASON_FROM = 0.1;

/** How often a human factor is somewhere in an occurrence: common practice. */
const CONDITIONS = [
  { id: 'distraction', usual: 0.15 },
  { id: 'panic-override', usual: 0.1 },
] as const;

function reasonOf(item: Item, known: Answers): Omit<Reason, 'weight'> {
  const sign = signOf(item.id);
  if (sign) {
    const evidence =
      [...sign.needs, ...sign.uses].find(
        (id) => known.choices[id] !== undefined || known.numbers[id] !== undefined,
      ) ?? sign.id;
    const says = (item.chance ?? 0) >= 0.5 ? 'reason.sign-holds' : 'reason.sign-fails';
    return { evidence, sign: sign.id, said: sentence(says, { sign: sign.id }) };
  }
  const value = known.choices[item.id];
  const question = item.id;
  return value === undefined
    ? { evidence: item.of[0]!, sign: item.id, said: sentence('reason.implied', { question, by: item.of }) }
    : { evidence: item.id, said: sentence('reason.answer', { question, value }) };
}

function conditionsOf(stories: Stories): Ranking['conditions'] {
  const mind = stories.get('mind')?.items ?? [];
  return CONDITIONS.map(({ id, usual }) => ({
    id,
    probability: 1 / (1 + Math.exp(-(Math.log(usual / (1 - usual)) + pooled(mind, CAUSE_IDS.indexOf(id))))),
  }));
}

/** Reasons for one hypothesis, scaled to what their story says of it in the end. */
function reasonsFor(
  hypothesis: number,
  stories: Stories,
  words: ReadonlyMap<Item, Omit<Reason, 'weight'>>,
): readonly Reason[] {
  const reasons: Reason[] = [];
  for (const story of stories.values()) {
    const shares = sharesOf(story.items, hypothesis);
    const sum = shares.reduce((all, { weight }) => all + weight, 0);
    const says = story.sum[hypothesis]! - sayingNothing(story);
    // Where doubt turns what they say together, the strongest says it for all.
    const told =
      sum * says > 0
        ? shares.map(({ item, weight }) => ({ item, weight: (weight * says) / sum }))
        : [{ item: shares[0]!.item, weight: says }];
    for (const { item, weight } of told)
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
    readonly chain: readonly CauseId[],
    tell: () => readonly Reason[],
  ) {
    this.tell = tell;
  }

  get reasons(): readonly Reason[] {
    return (this.told ??= this.tell());
  }

  toJSON(): RankedCause {
    const { id, probability, chain, reasons } = this;
    return { id, probability, chain, reasons };
  }
}

const STARTING = modelWith();

/** The likeliest hypothesis that begins with each cause. */
function likeliestByFirst(chance: Float64Array): readonly number[] {
  const best = CAUSE_IDS.map((_, c) => c);
  HYPOTHESES.forEach(({ first }, h) => {
    if (chance[h]! > chance[best[first]!]!) best[first] = h;
  });
  return best;
}

const chainOf = ({ first, second }: (typeof HYPOTHESES)[number]): readonly CauseId[] =>
  second === null ? [CAUSE_IDS[first]!] : [CAUSE_IDS[first]!, CAUSE_IDS[second]!];

/** A result that holds so much of its cause's probability stands second in the list. */
const MAY_HAVE_FOLLOWED = 0.1;

/** Likeliest first; what may well have followed from it second. */
function resultSecond(causes: readonly RankedCause[], chance: Float64Array): readonly RankedCause[] {
  const first = CAUSE_IDS.indexOf(causes[0]!.id);
  let [all, most, second] = [0, 0, -1];
  HYPOTHESES.forEach((each, h) => {
    if (each.first !== first) return;
    all += chance[h]!;
    if (each.second !== null && chance[h]! > most) [most, second] = [chance[h]!, each.second];
  });
  const followed = most >= MAY_HAVE_FOLLOWED * all && causes.find(({ id }) => id === CAUSE_IDS[second]);
  return followed ? [causes[0]!, followed, ...causes.slice(1).filter((each) => each !== followed)] : causes;
}

/**
 * Ranks every cause by what is known, says why, and which open questions would change most.
 * Explanations are single causes and pairs, of which one led to the other. Each answer's weight is the logarithm of
 * its likelihood under an explanation over its likelihood on the whole (Bayes); answers of one story are pooled, one of
 * them may be remembered wrongly (see `heard`), and uncertain sums enter by Jeffrey's rule.
 * @param known answers, in any order
 * @param craft what the sums need to know of it
 * @param model starting weights, or those with a school's own experience (`modelWith`)
 * @param mentioned what was told of in one go before anything was asked; it steers the asking, and is no answer
 */
export function rank(
  known: Answers,
  craft: CraftFacts,
  model: Model = STARTING,
  mentioned: readonly Steering[] = [],
): Ranking {
  const all = itemsOf(model, known, craft);
  const ofResult = weightOfResult(all, known);
  const items = all.map((item) => counted(item, ofResult));
  const stories = storiesOf(items);
  const scores = Float64Array.from(model.logPrior);
  for (const { sum } of stories.values())
    for (let h = 0; h < scores.length; h += 1) scores[h] = scores[h]! + sum[h]!;
  const chance = posterior(scores);
  // As it comes out, without a last temperature: one fitted on our own cases was too sure of stories that nobody had read.
  const shown = byFirst(chance);
  const best = likeliestByFirst(chance);
  const words = new Map(items.map((item) => [item, reasonOf(item, known)]));
  const causes = CAUSE_IDS.map(
    (id, c) =>
      new Ranked(id, shown[c]!, chainOf(HYPOTHESES[best[c]!]!), () => reasonsFor(best[c]!, stories, words)),
  ).sort((a, b) => b.probability - a.probability);
  let asked: Ranking['nextQuestions'] | null = null;
  const answers = Object.keys(known.choices).length + Object.keys(known.numbers).length;
  return {
    causes: resultSecond(causes, chance),
    stance: stanceOf(causes[0]!.probability, answers, hasAskedEnough(known, craft)),
    conditions: conditionsOf(stories),
    // What each open question would tell takes ten times as long as the ranking: whoever only ranks does not wait for it.
    get nextQuestions() {
      return (asked ??= new Asking({
        ...{ model, known, craft, stories, scores, ofResult, mentioned },
      }).questions());
    },
  };
}
