import type { Day } from '../vocabulary/day';
import type { ChartTest, KeptLearning, TestCurve } from './chart-test';
import { type ClearingRule, testsADayOf } from './clearing-rule';
import { learningCurve } from './learning-curve';
import { relapseCurve } from './relapse-curve';

/**
 * The learning-curve CUSUM as the test of one chart. What it promises holds for the planned reps; beyond them
 * luck gets more tries.
 */
export class LearningCurveTest implements ChartTest {
  private met: boolean[] = [];
  private since: boolean[] = [];
  private passedNow = false;
  private isWatched = false;
  private flownOn: Day | null = null;
  private slotsUsed = 0;
  private days = new Set<Day>();
  private counted = 0;

  constructor(private readonly rule: ClearingRule) {}

  /** The limit is the same on every side. */
  raise(): void {}

  get passed(): boolean {
    return this.passedNow;
  }

  get slipped(): boolean {
    return (this.passed || this.isWatched) && relapseCurve(this.rule, this.since).alarmAt !== null;
  }

  get spent() {
    return { days: this.days.size, reps: this.counted };
  }

  add(met: boolean, day: Day): boolean {
    if (!this.useUp(day)) return false;
    this.counted += 1;
    this.days.add(day);
    if (this.passed || this.isWatched) this.since.push(met);
    if (this.passed) return true;
    this.met.push(met);
    this.passedNow = learningCurve(this.rule, this.met).reachedAt !== null;
    return true;
  }

  useUp(day: Day): boolean {
    if (day !== this.flownOn) [this.flownOn, this.slotsUsed] = [day, 0];
    if (this.slotsUsed >= testsADayOf(this.rule)) return false;
    this.slotsUsed += 1;
    return true;
  }

  attempt(met: boolean): void {
    if (this.passed || this.isWatched) this.since.push(met);
  }

  watch(): void {
    this.isWatched = true;
  }

  reopen(): void {
    this.beginAgain();
  }

  lower(): void {
    this.beginAgain();
  }

  beginAgain(): void {
    [this.met, this.since, this.passedNow, this.isWatched] = [[], [], false, false];
  }

  curve(): TestCurve {
    return learningCurve(this.rule, this.met);
  }

  kept(): KeptLearning {
    const { met, since, passed, isWatched, flownOn, slotsUsed, days, counted } = this;
    return {
      of: 'learning',
      ...{ met: [...met], since: [...since], passed, isWatched, flownOn, slotsUsed, counted },
      days: [...days],
    };
  }

  /** Goes on from where one stood. */
  static from(rule: ClearingRule, kept: KeptLearning): LearningCurveTest {
    const test = new LearningCurveTest(rule);
    [test.met, test.since, test.days] = [[...kept.met], [...kept.since], new Set(kept.days)];
    [test.passedNow, test.isWatched, test.counted] = [kept.passed, kept.isWatched, kept.counted];
    [test.flownOn, test.slotsUsed] = [kept.flownOn, kept.slotsUsed];
    return test;
  }
}
