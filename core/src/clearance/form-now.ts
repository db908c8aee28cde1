import { type DrillId, drillOf } from '../drills/drills';
import type { FlightMode } from '../vocabulary/flying';
import type { Clearance } from './clearance';
import { type FliesIn, modesFor } from './counts-for-test';
import type { Purpose } from './facts';

type Shown = Pick<Clearance, 'charts' | 'coverage'>;

/**
 * Whether a drill that has two forms is tested as it is usually flown next: once its charts are passed with hold off,
 * while that cell of the coverage is still empty.
 */
export const isFlownAsUsual = (drillId: DrillId, { charts, coverage }: Shown): boolean =>
  coverage.some((cell) => cell.drillId === drillId && cell.what === 'as-flown' && !cell.shown) &&
  charts.every((chart) => chart.drillId !== drillId || chart.curve.reachedAt !== null);

/** The mode in which a rep of a drill is flown next, for this purpose. */
export const modeNow = (drillId: DrillId, purpose: Purpose, flies: FliesIn, shown: Shown): FlightMode =>
  purpose === 'test' && isFlownAsUsual(drillId, shown) ? flies.mode : modesFor(drillOf(drillId), flies)[0]!;
