import type { ClearingRule } from './clearing-rule';
import type { Chart, Clearance, Rung } from './rungs';

type Shown = Pick<Clearance, 'charts' | 'coverage' | 'days'>;

export interface FirstThree extends Shown {
  readonly rungs: readonly Rung[];
  readonly met: boolean;
}

export const share = (part: number, whole: number) => (whole === 0 ? 0 : part / whole);

const isThere = (chart: Chart) => chart.curve.reachedAt !== null;

/** The rungs that test reps alone can fill: test, coverage, days. */
export function firstThree({ charts, coverage, days }: Shown, { passDays }: ClearingRule): FirstThree {
  const shares = {
    test: share(
      charts.reduce((sum, chart) => sum + chart.curve.share, 0),
      charts.length,
    ),
    coverage: share(coverage.filter((cell) => cell.shown).length, coverage.length),
    days: share(
      days.reduce((sum, drill) => sum + Math.min(drill.days.length, passDays), 0),
      days.length * passDays,
    ),
  };
  const met = {
    test: charts.length > 0 && charts.every(isThere),
    coverage: coverage.length > 0 && coverage.every((cell) => cell.shown),
    days: days.length > 0 && days.every((drill) => drill.days.length >= passDays),
  };
  const rungs = (['test', 'coverage', 'days'] as const).map((id) => ({
    id,
    met: met[id],
    share: met[id] ? 1 : shares[id],
  }));
  return { charts, coverage, days, rungs, met: rungs.every((rung) => rung.met) };
}
