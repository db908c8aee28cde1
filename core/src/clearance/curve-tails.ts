import { cellKey } from './check-round';
import type { Chart } from './rungs';

/** So many points of a curve are drawn of what lies before a checkpoint. */
const DRAWN_BEFORE = 60;

/** The last points of a chart's two curves, oldest first. */
export interface CurveTail {
  readonly scores: readonly number[];
  readonly since: readonly number[];
}

/** Of each chart, by the key of its cell. A score is kept whole, and needs none. */
export type CurveTails = Readonly<Record<string, CurveTail>>;

/** What is drawn of curves once it is gone on from where they end. */
export const tailsOf = (charts: readonly Chart[]): CurveTails =>
  Object.fromEntries(
    charts
      .filter(({ curve }) => curve.scale === 'evidence')
      .map((chart) => [
        cellKey(chart),
        {
          scores: chart.curve.scores.slice(-DRAWN_BEFORE),
          since: chart.curve.since.slice(-DRAWN_BEFORE),
        },
      ]),
  );
