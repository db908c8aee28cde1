import type { Side } from '../drills/drill';
import { type DrillId, drillOf } from '../drills/drills';
import type { ChartTest, KeptTest } from './chart-test';
import { type Cell, cellKey } from './check-round';
import { type ClearingRule, gathersEvidence, OTHER_SIDES_NEED } from './clearing-rule';
import type { CurveTails } from './curve-tails';
import { EvidenceTest } from './evidence/evidence-test';
import { LearningCurveTest } from './learning-curve-test';
import type { Chart, Clearance } from './rungs';

/** One cell for each deciding drill, or for each of its sides. */
export const cellsOf = (keyDrills: readonly DrillId[]): readonly Cell[] =>
  keyDrills.flatMap((drillId): readonly Cell[] => {
    const { sides } = drillOf(drillId);
    return sides.length === 0 ? [{ drillId, side: null }] : sides.map((side) => ({ drillId, side }));
  });

/** Sides on which it happened; null: not known, and any side may be one. */
type HappenedOn = readonly Side[] | null;

/** Evidence at which a chart passes: less on a side on which it is known not to have happened. */
function neededFor({ drillId, side }: Cell, rule: ClearingRule, happenedOn: HappenedOn): number {
  const all = 100 / rule.riskPercent;
  if (side === null || rule.sidesAlike || happenedOn === null || happenedOn.includes(side)) return all;
  // Of a drill none of whose sides was told, any may be the one.
  if (!drillOf(drillId).sides.some((each) => happenedOn.includes(each))) return all;
  return Math.min(all, OTHER_SIDES_NEED);
}

export interface KeptCharts {
  readonly cells: readonly Cell[];
  readonly happenedOn: HappenedOn;
  readonly tests: readonly (readonly [key: string, test: KeptTest])[];
}

/**
 * The tests of all charts of one opening. A drill that leaves the plan keeps its chart: what was spent on it is
 * not forgotten when it comes back.
 */
export class TestCharts {
  private tests = new Map<string, ChartTest>();
  private cells: readonly Cell[] = [];

  private happenedOn: HappenedOn = null;

  constructor(private readonly rule: ClearingRule) {}

  /** It happened on these sides, as the opening has it. */
  begin(sides: HappenedOn): void {
    this.happenedOn = sides?.length ? sides : null;
  }

  /** It happened there too: as much is asked there from now on, and everywhere where nobody knows. */
  happenedToo(sides: HappenedOn): void {
    if (this.happenedOn === null) return;
    this.happenedOn = sides?.length ? [...this.happenedOn, ...sides] : null;
    for (const cell of this.cells) this.of(cell).raise(neededFor(cell, this.rule, this.happenedOn));
  }

  /** From now on these drills decide; other ones than before begin their evidence again. */
  decideBy(keyDrills: readonly DrillId[]): void {
    const before = this.cells.map(cellKey).join();
    this.cells = cellsOf(keyDrills);
    if (before !== '' && before !== this.cells.map(cellKey).join()) this.beginAgain();
  }

  /** Another opening, with nothing spent. */
  forget(): void {
    this.tests = new Map();
  }

  beginAgain(): void {
    for (const test of this.tests.values()) test.beginAgain();
  }

  /** Open again for a reason that no rep shows. */
  lower(): void {
    for (const cell of this.cells) this.of(cell).lower();
  }

  reopen(cells: readonly Cell[]): void {
    for (const cell of cells) this.of(cell).reopen();
  }

  /** Deciding cells, in the order of the plan. */
  get deciding(): readonly Cell[] {
    return this.cells;
  }

  get allPassed(): boolean {
    return this.cells.length > 0 && this.cells.every((cell) => this.of(cell).passed);
  }

  slipped(): readonly Cell[] {
    return this.cells.filter((cell) => this.of(cell).slipped);
  }

  of(cell: Cell): ChartTest {
    const key = cellKey(cell);
    const there = this.tests.get(key) ?? this.fresh(cell);
    this.tests.set(key, there);
    return there;
  }

  charts(): readonly Chart[] {
    return this.cells.map((cell) => ({ ...cell, curve: this.of(cell).curve() }));
  }

  spent(): Clearance['spent'] {
    return this.cells.map((cell) => ({ ...cell, ...this.of(cell).spent }));
  }

  kept(): KeptCharts {
    const { cells, happenedOn } = this;
    return { cells, happenedOn, tests: [...this.tests].map(([key, test]) => [key, test.kept()]) };
  }

  static from(rule: ClearingRule, kept: KeptCharts, curves: CurveTails = {}): TestCharts {
    const charts = new TestCharts(rule);
    [charts.cells, charts.happenedOn] = [kept.cells, kept.happenedOn];
    charts.tests = new Map(
      kept.tests.map(([key, test]) => [
        key,
        test.of === 'evidence'
          ? EvidenceTest.from(rule, test, curves[key])
          : LearningCurveTest.from(rule, test),
      ]),
    );
    return charts;
  }

  private fresh(cell: Cell): ChartTest {
    const { rule, happenedOn } = this;
    return gathersEvidence(rule)
      ? new EvidenceTest(rule, neededFor(cell, rule, happenedOn))
      : new LearningCurveTest(rule);
  }
}
