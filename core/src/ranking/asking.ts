import type { Answers, Question, EvidenceCluster } from '../evidence/question';
import { QUESTIONS, type QuestionId } from '../evidence/questions';
import type { Sign } from '../evidence/sign';
import { SIGNS } from '../evidence/signs';
import type { CraftFacts } from '../vocabulary/craft-facts';
import { answerItem, says, signItem, type Stories } from './items';
import { type Model, type PerCause, SURE } from './model';
import { entropyOfScores, type Item, pooled, posterior } from './pooling';

export interface NextQuestion {
  readonly id: QuestionId;
  /** Uncertainty that its answer is expected to take away, in bits. */
  readonly gain: number;
}

/** Share of the probability that gains are worked out on. */
const LIVE_MASS = 0.995;
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

/** Works out what each open question is worth, by trying every answer it may get. */
export class Asking {
  private readonly now: PerCause;
  private readonly uncertainty: number;
  /**
   * The likeliest causes that hold all but a sliver of the probability: the others cannot move an
   * expectation.
   */
  private readonly live: readonly number[];
  private readonly mass: number;
  /** Reused: a screen's worth of gains tries some two hundred answers. */
  private readonly score: PerCause;
  private readonly choices: Record<string, string>;
  private readonly supposed: Answers;

  constructor(
    private readonly model: Model,
    private readonly known: Answers,
    private readonly craft: CraftFacts,
    private readonly stories: Stories,
    private readonly scores: PerCause,
  ) {
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
    this.uncertainty = this.after([], NONE);
  }

  /** What a story's items say, with those in `gone` taken out and `added` put in. */
  private changedStory(story: EvidenceCluster, added: readonly Item[], gone: ReadonlySet<string>): void {
    const { score, live } = this;
    const there = this.stories.get(story);
    const items = added.filter((item) => item.story === story);
    if (there) for (const item of there.items) if (!gone.has(item.id)) items.push(item);
    if (items.length === 1) {
      const { weights } = items[0]!;
      for (let i = 0; i < live.length; i += 1)
        score[i] = score[i]! + weights[live[i]!]! - (there ? there.sum[live[i]!]! : 0);
    } else {
      for (let i = 0; i < live.length; i += 1)
        score[i] = score[i]! + pooled(items, live[i]!) - (there ? there.sum[live[i]!]! : 0);
    }
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
    return entropyOfScores(score);
  }

  private chanceOf(likelihood: PerCause): number {
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
      const items = [answerItem(this.model, question.id, value)];
      for (const sign of signs) {
        const item = signItem(this.model, sign, this.supposed, this.craft);
        if (item) items.push(item);
      }
      expected += chance * this.after(items, gone);
    }
    // Not deleted, which would make the object slow to read; to the signs an undefined answer is none.
    (this.choices as Record<string, string | undefined>)[question.id] = undefined;
    return this.uncertainty - expected;
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
      const ifSo = (chance: number) =>
        this.after(
          [{ id: sign.id, story: sign.story, weights: this.model.signWeights(sign.id, chance) }],
          gone,
        );
      const chance = this.chanceOf(this.model.sign.get(sign.id)!);
      const gain = this.uncertainty - chance * ifSo(SURE) - (1 - chance) * ifSo(1 - SURE);
      most = Math.max(most, gain / Math.max(1, wanted));
    }
    return most;
  }

  /** Every open question that makes sense to ask now, the one worth most first. */
  questions(): readonly NextQuestion[] {
    return (
      QUESTIONS.filter(({ id, when }) => !isKnown(this.known, id) && (!when || when(this.known, this.craft)))
        // Pooling is not exact Bayes, so a worthless question can come out a hair below nothing.
        .map((question) => ({
          id: question.id,
          gain: Math.max(0, question.kind === 'choice' ? this.ofChoice(question) : this.ofNumber(question)),
        }))
        .sort((a, b) => b.gain - a.gain)
    );
  }
}
