import type { WeaknessFacts } from './facts';
import type { RelapseCurve } from './relapse-curve';
import type { Chart } from './rungs';

/** ln 28.4: the evidence at which misses after the pass no longer look like luck, turned round. */
const LIMIT = Math.log(1280 / 45);

/**
 * The watch as a chart that rises towards being called back: ln(10 / E) of the chart that stands worst, from its pass or signature
 * on. Page's CUSUM (Biometrika 1954), mirrored.
 */
export function watchCurveOf({ rule }: WeaknessFacts, charts: readonly Chart[]): RelapseCurve {
  const top = 100 / rule.riskPercent;
  const since = charts
    .filter(({ curve }) => curve.since.length > 0)
    .map(({ curve }) => curve.since.map((evidence) => Math.log(top / evidence)));
  const worst = [...since].sort((a, b) => b.at(-1)! - a.at(-1)!)[0] ?? [0];
  return { scores: worst.map((score) => Math.max(0, score)), limit: LIMIT, alarmAt: null };
}
