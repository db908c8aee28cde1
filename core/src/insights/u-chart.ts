import { type Counted, inAll } from './event-rate';

export interface UPoint extends Counted {
  /** Events an exposure of one; null: nothing was flown. */
  readonly rate: number | null;
  /** Where chance alone leaves a point of so much flying, 3 standard deviations on either side. */
  readonly low: number;
  readonly high: number;
  readonly isOut: boolean;
}

export interface UChart {
  readonly centre: number;
  readonly points: readonly UPoint[];
}

const SIGMAS = 3;

/**
 * Events an exposure of one, period after period, with limits that follow how much was flown (Shewhart's u-chart, as in
 * Montgomery, Introduction to Statistical Quality Control).
 */
export function uChart(periods: readonly Counted[]): UChart {
  const all = inAll(periods);
  const centre = all.exposure > 0 ? all.events / all.exposure : 0;
  return {
    centre,
    points: periods.map(({ events, exposure }) => {
      if (!(exposure > 0)) return { events, exposure, rate: null, low: 0, high: 0, isOut: false };
      const width = SIGMAS * Math.sqrt(centre / exposure);
      const [low, high] = [Math.max(0, centre - width), centre + width];
      const rate = events / exposure;
      return { events, exposure, rate, low, high, isOut: rate < low || rate > high };
    }),
  };
}
