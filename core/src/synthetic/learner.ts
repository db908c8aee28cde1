import type { Side } from '../drills/drill';
import type { CraftModel } from '../flight/craft-model';
import { Random } from '../flight/random';
import { courseOf } from '../scoring/courses';
import { type DrillFlown, flyDrill } from './fly-drill';
import { HABIT_SHOWS, HABITS, type Habit } from './habits';

/** The habit that a cause is the outcome of; null for causes that no hands show. */
export const habitOf = (causeId: string): Habit | null => HABITS.find((habit) => HABIT_SHOWS[habit].cause === causeId) ?? null;

/** Hands with a habit that practice wears down: each rep flown leaves a share of it. */
export class Learner {
  private strength = 1;
  private flown = 0;
  private readonly random: Random;

  /** @param leaves share of the habit that is left after each rep, 0 to 1 */
  constructor(private readonly craft: CraftModel, private readonly habit: Habit | null, private readonly leaves: number, private readonly seed: number) {
    this.random = new Random(seed);
  }

  /** Flies one rep; null for a drill that is not measured. */
  fly(drillId: string, side: Side | null, windMps: number): DrillFlown | null {
    if (!courseOf(drillId, side)) return null;
    this.flown += 1;
    const shows = this.habit !== null && this.random.uniform() < this.strength;
    this.strength *= this.leaves;
    return flyDrill(this.craft, drillId, side, windMps, new Set(shows && this.habit ? [this.habit] : []), this.seed + this.flown);
  }
}
