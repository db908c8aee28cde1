import type { Answers, Question, EvidenceCluster } from '../evidence/question';
import { QUESTIONS, type QuestionId } from '../evidence/questions';
import type { Sign } from '../evidence/sign';
import { SIGNS } from '../evidence/signs';
import type { CraftFacts } from '../vocabulary/craft-facts';
import { coreLeft, SETTLES } from './core-questions';
import { CAUSE_IDS, HYPOTHESES, type PerHypothesis } from './hypotheses';
import { answerItem, counted, says, signItem, type Stories } from './items';
import { askedOf, type Steering } from './mentions';
import { type Model, SURE } from './model';
import { entropy, FURTHER, type Item, posterior, storyOf, heard } from './pooling';

export interface NextQuestion {
  readonly id: QuestionId;
  /** Uncertainty that its answer is expected to take away, in bits. */
  readonly gain: number;
  /** It is always asked before anything is called likely. */
  readonly isCore: boolean;
}

/** Share of the probability that gains are worked out on. */
const LIVE_MASS = 0.99;
/**
 * What settles, what is always asked, and what came from outside (rare, and decisive where it was so) come before what
 * would tell but little more, in bits.
 */
const SETTLES_EARLY = 0.08;
const CORE_EARLY = 0.05;
const OUTSIDE_EARLY = 0.25;
const OUTSIDE: readonly QuestionId[] = ['wind_side', 'precipitation', 'wildlife', 'over_people'];
/** What was mentioned is asked before anything else, bits. */
const MENTIONED_FIRST = 10;
const NONE: ReadonlySet<string> = new Set();
/** An answer this unlikely is not tried: it could not change the expectation by a hundredth of a bit. */
const TOO_RARE = 0.003;

/** The signs that a question has a part in, and everything whose standing changes with its answer. */
const PART_OF: ReadonlyMap<string, { readonly signs: readonly Sign[]; readonly gone: ReadonlySet<string> }> =
  new Map(
    QUESTIONS.map(({ id }) => {
      const signs = SIGNS.filter((sign) => sign.needs.includes(id) || sign.uses.includes(id));
      return [id, { signs, gone: new Set([id, ...signs.map((sign) => sign.id)]) }];
    }),
  );

const isKnown = (known: Answers, id: string) =>
  known.choices[id] !== undefined || known.numbers[id] !== undefined;

/** Where a debrief stands. */
export interface AskedSoFar {
  readonly model: Model;
  readonly known: Answers;
  readonly craft: CraftFacts;
  readonly stories: Stories;
  /** Log-odds of the hypotheses. */
  readonly scores: PerHypothesis;
  /** How much the result counts beside the mechanism. */
  readonly ofResult: number;
  /** What was mentioned before anything was asked. */
  readonly mentioned: readonly Steering[];
}

/** Works out what each open question is worth, by trying every answer it may get. */
export class Asking {
  private readonly now: PerHypothesis;
  private readonly uncertainty: number;
  /**
   * The likeliest causes that hold all but a sliver of the probability: the others cannot move an
   * expectation.
   */
  private readonly live: readonly number[];
  private readonly mass: number;
  /** Reused: a screen's worth of gains tries some two hundred answers. */
  private readonly score: Float64Array;
  private readonly odds: Float64Array;
  private readonly firsts = new Float64Array(CAUSE_IDS.length);
  private readonly choices: Record<string, string>;
  private readonly supposed: Answers;

  private readonly model: Model;
  private readonly known: Answers;
  private readonly craft: CraftFacts;
  private readonly stories: Stories;
  private readonly scores: PerHypothesis;
  private readonly ofResult: number;
  private readonly mentioned: readonly Steering[];

  constructor(state: AskedSoFar) {
    ({
      model: this.model,
      known: this.known,
      craft: this.craft,
      stories: this.stories,
      scores: this.scores,
      ofResult: this.ofResult,
      mentioned: this.mentioned,
    } = state);
    const { known, scores } = state;
    this.choices = { ...known.choices };
    this.supposed = { choices: this.choices, numbers: known.numbers };
    this.now = posterior(scores);
    const order = [...this.now.keys()].sort((a, b) => this.now[b]! - this.now[a]!);
    let mass = 0;
    this.live = order.filter((c) => {
      const wanted = mass < LIVE_MASS;
      if (wanted) mass += this.now[c]!;
      return wanted;
    });
    this.mass = mass;
    this.score = new Float64Array(this.live.length);
    this.odds = new Float64Array(this.live.length);
    this.uncertainty = this.after([], NONE);
  }

  /** What a story's items say, with those in `gone` taken out and `added` put in. */
  private changedStory(cluster: EvidenceCluster, added: readonly Item[], gone: ReadonlySet<string>): void {
    const { score, live } = this;
    const there = this.stories.get(cluster);
    const items = added.filter((item) => item.story === cluster);
    if (there) for (const item of there.items) if (!gone.has(item.id)) items.push(item);
    const story = storyOf(items);
    for (let i = 0; i < live.length; i += 1)
      score[i] = score[i]! + heard(story, live[i]!) - (there ? there.sum[live[i]!]! : 0);
  }

  /** Uncertainty in bits about what it began with. */
  private uncertain(): number {
    const { score, odds, firsts, live } = this;
    let most = -Infinity;
    for (let i = 0; i < score.length; i += 1) if (score[i]! > most) most = score[i]!;
    let all = 0;
    for (let i = 0; i < score.length; i += 1) all += odds[i] = Math.exp(score[i]! - most);
    firsts.fill(0);
    for (let i = 0; i < score.length; i += 1) {
      const { first } = HYPOTHESES[live[i]!]!;
      firsts[first] = firsts[first]! + odds[i]! / all;
    }
    return entropy(firsts);
  }

  /**
   * Uncertainty among the causes still alive once these items stand in place of those with the ids in `gone`.
   */
  private after(items: readonly Item[], gone: ReadonlySet<string>): number {
    const { score, live } = this;
    for (let i = 0; i < live.length; i += 1) score[i] = this.scores[live[i]!]!;
    for (let i = 0; i < items.length; i += 1) {
      const { story } = items[i]!;
      if (items.findIndex((item) => item.story === story) === i) this.changedStory(story, items, gone);
    }
    return this.uncertain();
  }

  private chanceOf(likelihood: PerHypothesis): number {
    let sum = 0;
    for (const c of this.live) sum += this.now[c]! * likelihood[c]!;
    return sum / this.mass;
  }

  private ofChoice(question: Question & { kind: 'choice' }): number {
    const { signs, gone } = PART_OF.get(question.id)!;
    let expected = 0;
    for (const [value, { likelihood }] of this.model.answer.get(question.id)!) {
      const chance = this.chanceOf(likelihood);
      if (chance < TOO_RARE || !says(question.id, value)) {
        expected += chance * this.uncertainty;
        continue;
      }
      this.choices[question.id] = value;
      const items = [counted(answerItem(this.model, question.id, value), this.ofResult)];
      for (const sign of signs) {
        const item = signItem(this.model, sign, this.supposed, this.craft);
        if (item) items.push(counted(item, this.ofResult));
      }
      expected += chance * this.after(items, gone);
    }
    // Not deleted, which would make the object slow to read; to the signs an undefined answer is none.
    (this.choices as Record<string, string | undefined>)[question.id] = undefined;
    return Math.max(this.uncertainty - expected, this.toldByItself(question));
  }

  /**
   * What an answer tells of what it began with by itself (mutual information, bits), less for every answer of its story
   * that is told already. The other way of counting can come to less than nothing, since a sharpened story that an
   * answer contradicts is doubted.
   */
  private toldByItself(question: Question & { kind: 'choice' }): number {
    const { firsts, live, now, mass } = this;
    let bits = 0;
    for (const [value, { likelihood }] of this.model.answer.get(question.id)!) {
      const chance = this.chanceOf(likelihood);
      if (!says(question.id, value)) continue;
      firsts.fill(0);
      for (const h of live) {
        const { first } = HYPOTHESES[h]!;
        firsts[first] = firsts[first]! + (now[h]! * likelihood[h]!) / (mass * chance);
      }
      bits += chance * (this.uncertainty - entropy(firsts));
    }
    const there = this.stories.get(question.story)?.items ?? [];
    return bits * FURTHER ** there.filter(({ id }) => this.known.choices[id] !== undefined).length;
  }

  /**
   * A number is worth what the sum it completes is worth; shared with the other answers that the sum still
   * wants.
   */
  private ofNumber(question: Question): number {
    let most = 0;
    for (const sign of PART_OF.get(question.id)!.signs) {
      if (
        (sign.needs.length > 0 && !sign.needs.includes(question.id)) ||
        sign.chance(this.known, this.craft) !== null
      )
        continue;
      const wanted = sign.needs.filter((id) => !isKnown(this.known, id)).length;
      const gone = new Set([sign.id]);
      const { id, story } = sign;
      const ifSo = (chance: number) =>
        this.after([{ id, story, of: [question.id], weights: this.model.signWeights(id, chance) }], gone);
      const chance = this.chanceOf(this.model.sign.get(sign.id)!);
      const gain = this.uncertainty - chance * ifSo(SURE) - (1 - chance) * ifSo(1 - SURE);
      most = Math.max(most, gain / Math.max(1, wanted));
    }
    return most;
  }

  /** Every open question that makes sense to ask now, in the order of asking. */
  questions(): readonly NextQuestion[] {
    const core = new Set<string>(coreLeft(this.known, this.craft));
    const open = QUESTIONS.filter(
      ({ id, when }) => !isKnown(this.known, id) && (!when || when(this.known, this.craft)),
    );
    const opened = askedOf(this.mentioned);
    const worth = ({ id, gain }: NextQuestion) =>
      gain +
      (opened.has(id) ? MENTIONED_FIRST : 0) +
      (SETTLES.includes(id)
        ? SETTLES_EARLY
        : core.has(id)
          ? CORE_EARLY
          : OUTSIDE.includes(id)
            ? OUTSIDE_EARLY
            : 0);
    return (
      open
        // Pooling is not exact Bayes, so a worthless question can come out a hair below nothing.
        .map((question) => ({
          id: question.id,
          gain: Math.max(0, question.kind === 'choice' ? this.ofChoice(question) : this.ofNumber(question)),
          isCore: core.has(question.id),
        }))
        .sort((a, b) => worth(b) - worth(a))
    );
  }
}
