import { type Day, daysBetween } from '../../vocabulary/day';
import type { ChartTest, KeptEvidence, TestCurve } from '../chart-test';
import type { CurveTail } from '../curve-tails';
import { type ClearingRule, testOf, testsADayOf } from '../clearing-rule';
import {
  added,
  type Fraction,
  fraction,
  keptFraction,
  lesserOf,
  multiplied,
  reaches,
  readFraction,
  toNumber,
} from './fraction';
import { type Weight, weightOf } from './weights';

const NOTHING = fraction(0);
const ONE = fraction(1);
/** Passing takes reps on so many days, whatever a school asks for. */
const LEAST_DAYS = 2;
/** After so many days without a test what was gathered counts for no more than one. */
const STALE_DAYS = 60;
/**
 * Page's limit (Biometrika 1954) for the chart turned round, ln(10 / E): a pilot at 10 % is called for nothing
 * within 30 reps in 9.5 % of cases.
 */
const SLIPPED = fraction(45, 128);

/**
 * The evidence of one chart that a pilot is better than the unacceptable miss rate: an e-process (Ville 1939;
 * Wald 1945; Ramdas, Grünwald, Vovk and Shafer, Statistical Science 2023). On the d-th day on which it is flown,
 * 1 / (d (d + 1)) is added; a rep met multiplies it by (1 − p1) / (1 − p0), one missed by p1 / p0. Together with
 * the starts not yet given out it is a supermartingale that begins at 1 for every pilot who misses at p0 or
 * more, so such a pilot ever reaches 1 / risk with no more than that risk, whenever one looks and however long
 * it goes on. One number from the first rep through the watch.
 */
export class EvidenceTest implements ChartTest {
  private evidence = NOTHING;
  private days = 0;
  private day: Day | null = null;
  private flownOn: Day | null = null;
  private slotsUsed = 0;
  private passedAt: number | null = null;
  private counted = 0;
  /** Signed without a pass: watched from the top all the same; it clears nothing. */
  private watched: Fraction | null = null;
  private since: number[] = [];
  private values: number[] = [0];
  private readonly weight: Weight;
  /** Judged when its day is over, and not before. */
  private readonly byDay: boolean;
  /** Of the day: met and missed so far. */
  private ofDay = { met: 0, missed: 0 };
  private readonly top: Fraction;
  private needed: Fraction;
  private readonly slots: number;

  /** @param needed evidence at which this chart passes, up to 1 / risk; whole */
  constructor(rule: ClearingRule, needed: number) {
    this.weight = weightOf(rule);
    this.byDay = testOf(rule) === 'strict';
    this.top = fraction(100, rule.riskPercent);
    this.needed = lesserOf(fraction(needed), this.top);
    this.slots = testsADayOf(rule);
  }

  /** Asks for more from now on; a pass on less no longer stands. @param needed evidence; whole */
  raise(needed: number): void {
    const more = lesserOf(fraction(needed), this.top);
    if (!reaches(more, this.needed)) return;
    this.needed = more;
    if (this.passed && !reaches(this.evidence, more)) this.reopen();
  }

  get passed(): boolean {
    return this.passedAt !== null;
  }

  /** Where it stands, for drawing. */
  get value(): number {
    return toNumber(this.evidence);
  }

  get slipped(): boolean {
    const now = this.passed ? this.evidence : this.watched;
    return now !== null && reaches(SLIPPED, now);
  }

  get spent() {
    return { days: this.days, reps: this.counted };
  }

  /** A test rep; false when the day's are used up and it does not count. */
  add(met: boolean, day: Day): boolean {
    if (!this.useUp(day)) return false;
    if (day !== this.day) this.judge();
    if (!this.passed && day !== this.day) this.begin(day);
    this.move(met, day);
    this.counted += 1;
    if (!this.byDay || this.slotsUsed === this.slots) this.judge();
    return true;
  }

  private judge(): void {
    if (!this.passed && this.days >= LEAST_DAYS && reaches(this.evidence, this.needed))
      [this.passedAt, this.since] = [this.values.length - 1, [this.value]];
  }

  /** Uses up one of the day's; false when none is left. */
  useUp(day: Day): boolean {
    if (day !== this.flownOn) [this.flownOn, this.slotsUsed] = [day, 0];
    if (this.slotsUsed >= this.slots) return false;
    this.slotsUsed += 1;
    return true;
  }

  /** An attempt of a check: it weighs like a test, and there is no end to how many count. */
  attempt(met: boolean, day: Day): void {
    this.move(met, day);
  }

  /** Signed before it was passed: from here on misses may call the pilot back all the same. */
  watch(): void {
    if (this.passed) return;
    [this.watched, this.since] = [this.top, [toNumber(this.top)]];
  }

  /** The test is open again: what was gathered stays where its attempts put it. */
  reopen(): void {
    [this.passedAt, this.watched, this.since] = [null, null, []];
  }

  /** Open again for a reason that no rep shows: what was gathered counts for no more than one. */
  lower(): void {
    this.reopen();
    this.evidence = lesserOf(this.evidence, ONE);
    this.values.push(this.value);
  }

  /** Begun again for another plan or another stamp: nothing gathered, while days that were spent stay spent. */
  beginAgain(): void {
    this.reopen();
    this.evidence = NOTHING;
    this.values.push(0);
  }

  /** Fewest tests, all met, that would pass it. */
  toGo(): number {
    let [evidence, days, slots, reps] = [this.evidence, this.days, this.slots - this.slotsUsed, 0];
    let metToday = this.ofDay.met;
    if (this.day === null || slots === 0) [days, slots, metToday] = [days + 1, this.slots, 0];
    if (days > this.days) evidence = added(evidence, this.start(days));
    while (!this.passed) {
      metToday += 1;
      evidence = multiplied(evidence, this.weight(true, metToday));
      reps += 1;
      slots -= 1;
      const isJudged = days >= LEAST_DAYS && (!this.byDay || slots === 0);
      if (isJudged && reaches(evidence, this.needed)) return reps;
      if (slots > 0) continue;
      [days, slots, metToday] = [days + 1, this.slots, 0];
      evidence = added(evidence, this.start(days));
    }
    return 0;
  }

  curve(): TestCurve {
    const [limit, least] = [toNumber(this.needed), toNumber(this.start(1))];
    const way = Math.log(limit / least);
    const share = this.counted === 0 ? 0 : Math.log(Math.max(this.value, least) / least) / way;
    return {
      scale: 'evidence',
      scores: this.values,
      limit,
      reachedAt: this.passedAt,
      reps: this.counted,
      share: this.passed ? 1 : Math.min(0.99, share),
      way,
      toGo: this.toGo(),
      since: this.since,
    };
  }

  kept(): KeptEvidence {
    const { evidence, watched, needed, days, day, flownOn, slotsUsed, passed, counted, ofDay, since } = this;
    return {
      of: 'evidence',
      evidence: keptFraction(evidence),
      watched: watched && keptFraction(watched),
      needed: keptFraction(needed),
      ...{ days, day, flownOn, slotsUsed, passed, counted, ofDay: { ...ofDay } },
      since: since.slice(-1),
    };
  }

  /** Goes on from where one stood. @param tail of its curves up to there */
  static from(rule: ClearingRule, kept: KeptEvidence, tail?: CurveTail): EvidenceTest {
    const test = new EvidenceTest(rule, 1);
    test.evidence = readFraction(kept.evidence);
    test.watched = kept.watched && readFraction(kept.watched);
    test.needed = readFraction(kept.needed);
    [test.days, test.day, test.flownOn, test.slotsUsed] = [kept.days, kept.day, kept.flownOn, kept.slotsUsed];
    [test.counted, test.ofDay] = [kept.counted, { ...kept.ofDay }];
    test.since = tail?.since.length ? [...tail.since] : [...kept.since];
    test.values = tail?.scores.length ? [...tail.scores] : [test.value];
    // Passed somewhere before: where, is not drawn any more.
    test.passedAt = kept.passed ? 0 : null;
    return test;
  }

  private start(day: number): Fraction {
    return fraction(1, day * (day + 1));
  }

  private begin(day: Day): void {
    if (this.day !== null && daysBetween(this.day, day) >= STALE_DAYS)
      this.evidence = lesserOf(this.evidence, ONE);
    this.days += 1;
    this.evidence = added(this.evidence, this.start(this.days));
  }

  private move(met: boolean, day: Day): void {
    if (day !== this.day) this.ofDay = { met: 0, missed: 0 };
    this.day = day;
    const kind = met ? 'met' : 'missed';
    this.ofDay[kind] += 1;
    const by = this.weight(met, this.ofDay[kind]);
    const moved = multiplied(this.evidence, by);
    if (this.watched) this.watched = lesserOf(multiplied(this.watched, by), this.top);
    this.evidence = this.passed || this.days >= LEAST_DAYS ? lesserOf(moved, this.top) : moved;
    this.values.push(this.value);
    if (this.passed) this.since.push(this.value);
    else if (this.watched) this.since.push(toNumber(this.watched));
  }
}
