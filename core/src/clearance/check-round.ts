import type { Side } from '../drills/drill';
import type { DrillId } from '../drills/drills';
import { addDays, type Day } from '../vocabulary/day';
import type { DrillTally } from './check-tally';
import { CHECK_MET_A_SIDE, CHECK_MET_NEEDED, CHECK_MISSED_ENDS, CHECK_OPEN_DAYS } from './clearing-rule';

/** A key drill, or one of its sides. */
export interface Cell {
  readonly drillId: DrillId;
  readonly side: Side | null;
}

export const cellKey = ({ drillId, side }: Cell): string => `${drillId}/${side ?? ''}`;

interface Count {
  readonly cell: Cell;
  met: number;
  missed: number;
}

const neededAt = ({ side }: Cell): number => (side === null ? CHECK_MET_NEEDED : CHECK_MET_A_SIDE);
const isThrough = ({ cell, met }: Count): boolean => met >= neededAt(cell);

export interface KeptCheck {
  readonly begunOn: Day | null;
  readonly counts: readonly Readonly<Count>[];
}

/**
 * One check: four met before two missed at each deciding drill, or two before two on each of its sides. An
 * interrupted one keeps its misses and may be gone on with for a fortnight.
 */
export class CheckRound {
  private counts: ReadonlyMap<string, Count>;
  private begunOn: Day | null = null;

  constructor(cells: readonly Cell[]) {
    this.counts = new Map(cells.map((cell) => [cellKey(cell), { cell, met: 0, missed: 0 }]));
  }

  get isBegun(): boolean {
    return this.begunOn !== null;
  }

  /** Whether an attempt on that day comes too late to belong to it. */
  isOverBy(day: Day): boolean {
    return this.begunOn !== null && day > addDays(this.begunOn, CHECK_OPEN_DAYS);
  }

  /** Adds an attempt; what is through takes no more. Says how the check ended, or null while it goes on. */
  add(cell: Cell, met: boolean, day: Day): 'passed' | 'failed' | null {
    const count = this.counts.get(cellKey(cell));
    if (!count || isThrough(count)) return null;
    this.begunOn ??= day;
    if (met) count.met += 1;
    else count.missed += 1;
    if (count.missed >= CHECK_MISSED_ENDS) return 'failed';
    return this.passed ? 'passed' : null;
  }

  get passed(): boolean {
    return this.counts.size > 0 && [...this.counts.values()].every(isThrough);
  }

  /** Where something was missed. */
  missedAt(): readonly Cell[] {
    return [...this.counts.values()].filter(({ missed }) => missed > 0).map(({ cell }) => cell);
  }

  /** Where so much was missed that it failed. */
  failedAt(): readonly Cell[] {
    return [...this.counts.values()]
      .filter(({ missed }) => missed >= CHECK_MISSED_ENDS)
      .map(({ cell }) => cell);
  }

  kept(): KeptCheck {
    return { begunOn: this.begunOn, counts: [...this.counts.values()].map((count) => ({ ...count })) };
  }

  static from({ begunOn, counts }: KeptCheck): CheckRound {
    const round = new CheckRound([]);
    round.begunOn = begunOn;
    round.counts = new Map(counts.map((count) => [cellKey(count.cell), { ...count }]));
    return round;
  }

  drills(): readonly DrillTally[] {
    return [...this.counts.values()].map((count) => ({
      ...count.cell,
      needed: neededAt(count.cell),
      met: count.met,
      missed: count.missed,
      passed: isThrough(count),
    }));
  }
}
