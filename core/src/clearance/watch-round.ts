import { addDays, type Day } from '../vocabulary/day';
import { type Cell, CheckRound, type KeptCheck } from './check-round';
import { type ClearingRule, DEFAULT_RULE, SECOND_CHECK_DAYS } from './clearing-rule';
import { type FlownCheck, nextCheckDue } from './spaced-checks';
import type { Watch } from './watch';

export interface KeptWatch {
  readonly checks: readonly FlownCheck[];
  readonly cells: readonly Cell[];
  readonly from: Day;
  readonly secondBy: Day | null;
  readonly round: KeptCheck;
}

/**
 * The checks of one watch. One that fails limits the pilot at once and asks for a second within a week; that one
 * failing too calls the pilot back.
 */
export class WatchRound {
  private checks: FlownCheck[];
  private round: CheckRound;
  private from: Day;
  private secondBy: Day | null = null;

  constructor(
    private readonly rule: ClearingRule,
    private cells: readonly Cell[],
    keptOn: Day | null,
    signedOn: Day,
  ) {
    this.checks = keptOn === null ? [] : [{ day: keptOn, passed: true }];
    this.from = this.checks.length === 0 ? addDays(signedOn, rule.checkGapDays) : this.due();
    this.round = new CheckRound(cells);
  }

  get limited(): boolean {
    return this.secondBy !== null;
  }

  /** From now on these drills decide; a check that was begun at others is begun anew. */
  decideBy(cells: readonly Cell[]): void {
    this.cells = cells;
    this.round = new CheckRound(cells);
  }

  /** Misses no longer look like luck: limited, until a second check says otherwise. */
  ask(day: Day): void {
    if (this.limited) return;
    this.secondBy = addDays(day, SECOND_CHECK_DAYS);
    this.from = addDays(day, 1);
  }

  /** Anything else flown with a deciding drill ends a check that was begun. @returns cells it failed at */
  interrupt(day: Day): readonly Cell[] {
    if (!this.round.isBegun) return [];
    const missed = this.round.missedAt();
    this.round = new CheckRound(this.cells);
    return missed.length > 0 ? this.failed(day, missed) : [];
  }

  /** An attempt of a check. @returns cells at which the pilot is called back; empty while the watch goes on */
  attempt(cell: Cell, met: boolean, day: Day): readonly Cell[] {
    const late = this.round.isOverBy(day) ? this.interrupt(day) : [];
    if (late.length > 0) return late;
    if (day < this.from) return [];
    const ended = this.round.add(cell, met, day);
    if (ended === null) return [];
    const missed = this.round.missedAt();
    const failedAt = this.round.failedAt();
    this.round = new CheckRound(this.cells);
    if (ended === 'failed') return this.failed(day, failedAt.length > 0 ? failedAt : missed);
    this.checks.push({ day, passed: true, ...(this.limited ? { second: true } : {}) });
    this.secondBy = null;
    this.from = this.due();
    return [];
  }

  kept(): KeptWatch {
    const { checks, cells, from, secondBy } = this;
    return { checks: [...checks], cells, from, secondBy, round: this.round.kept() };
  }

  static from(rule: ClearingRule, { checks, cells, from, secondBy, round }: KeptWatch): WatchRound {
    const watch = new WatchRound(rule, cells, null, from);
    [watch.checks, watch.from, watch.secondBy] = [[...checks], from, secondBy];
    watch.round = CheckRound.from(round);
    return watch;
  }

  told(): Omit<Watch, 'curve'> {
    const { checks, from, round, limited, secondBy } = this;
    return { checks, next: { from, drills: round.drills() }, limited, secondBy };
  }

  private failed(day: Day, missed: readonly Cell[]): readonly Cell[] {
    this.checks.push({ day, passed: false });
    if (this.limited) return missed;
    this.ask(day);
    // The second one is flown where the first one failed: what was kept elsewhere was kept.
    this.round = new CheckRound(missed);
    return [];
  }

  private due(): Day {
    const last = addDays(
      this.checks.at(-1)!.day,
      this.rule.mostDaysBetweenChecks ?? DEFAULT_RULE.mostDaysBetweenChecks,
    );
    // A failure that a second check made good spaces the next by that one.
    const kept = this.checks.filter(({ passed }) => passed);
    const spaced = nextCheckDue(kept.length > 0 ? kept : this.checks, this.rule.checkGapDays);
    return spaced < last ? spaced : last;
  }
}
