import type { DrillId } from '../drills/drills';
import type { CauseId } from '../causes/causes';
import type { Side } from '../drills/drill';
import { Random } from '../simulator/random';
import { HABIT_SHOWS, HABITS, type Habit } from './habits';

/** The habit that a cause is the outcome of; null for causes that no hands show. */
export const habitOf = (causeId: CauseId): Habit | null =>
  HABITS.find((habit) => HABIT_SHOWS[habit].cause === causeId) ?? null;

/**
 * Flies one rep, with the habit or without; null for a drill that is not measured. @param nth counts the reps
 * of this learner from 0
 */
export type FlyRep<T> = (drillId: DrillId, side: Side | null, habit: Habit | null, nth: number) => T | null;

/** Hands with a habit that practice wears down: each rep flown leaves a share of it. */
export class Learner<T> {
  private strength = 1;
  private flown = 0;
  private readonly random: Random;

  /** @param leaves share of the habit that is left after each rep, 0 to 1 */
  constructor(
    private readonly habit: Habit | null,
    private leaves: number,
    seed: number,
    private readonly flyRep: FlyRep<T>,
  ) {
    this.random = new Random(seed);
  }

  fly(drillId: DrillId, side: Side | null): T | null {
    const shows = this.random.uniform() < this.strength;
    const rep = this.flyRep(drillId, side, shows ? this.habit : null, this.flown);
    if (rep === null) return null;
    this.flown += 1;
    this.strength *= this.leaves;
    return rep;
  }

  /**
   * Falls back into the habit. @param strength how often it shows, 0 to 1 @param leaves of it after each rep
   * from now on
   */
  relapse(strength: number, leaves = this.leaves): void {
    [this.strength, this.leaves] = [strength, leaves];
  }
}
