import { chiSquareBeyond } from './chi-square';

/** Something that lasts: until it ended, or until it was last seen going on. */
export interface Lasting {
  /** Days, or another unit; 0 or more. */
  readonly lasted: number;
  /** False: it goes on still, or was lost from sight. */
  readonly ended: boolean;
}

export interface SurvivalStep {
  readonly at: number;
  readonly atRisk: number;
  readonly ended: number;
  /** Share that lasts beyond this. */
  readonly share: number;
  /** Standard deviation of the share (Greenwood 1926). */
  readonly error: number;
  /** 95 %, on the logarithm of the share. */
  readonly low: number;
  readonly high: number;
}

export interface Survival {
  readonly steps: readonly SurvivalStep[];
  /** By then half of them have ended; null: it cannot be told yet. */
  readonly median: number | null;
  /** Where the interval of the median begins and ends; null: beyond what was seen. */
  readonly medianLow: number | null;
  readonly medianHigh: number | null;
  readonly all: number;
  readonly ended: number;
}

const TWO_SIDED_95 = 1.959_963_984_540_054;

const timesOf = (all: readonly Lasting[]) =>
  [...new Set(all.flatMap(({ lasted, ended }) => (ended ? [lasted] : [])))].sort((a, b) => a - b);

/**
 * How long it lasts, with those that go on still counted for as long as they were seen (Kaplan and Meier, Journal of the
 * American Statistical Association 1958).
 */
export function survival(all: readonly Lasting[]): Survival {
  let [share, greenwood] = [1, 0];
  const steps = timesOf(all).map((at): SurvivalStep => {
    const atRisk = all.filter(({ lasted }) => lasted >= at).length;
    const ended = all.filter((each) => each.ended && each.lasted === at).length;
    share *= 1 - ended / atRisk;
    greenwood += atRisk > ended ? ended / (atRisk * (atRisk - ended)) : 0;
    const error = share * Math.sqrt(greenwood);
    const width = share > 0 ? (TWO_SIDED_95 * error) / share : 0;
    return {
      ...{ at, atRisk, ended, share, error },
      low: share * Math.exp(-width),
      high: Math.min(1, share * Math.exp(width)),
    };
  });
  const halfBy = (of: (step: SurvivalStep) => number) =>
    steps.find((step) => of(step) <= 0.5 + 1e-12)?.at ?? null;
  return {
    steps,
    median: halfBy((step) => step.share),
    medianLow: halfBy((step) => step.low),
    medianHigh: halfBy((step) => step.high),
    all: all.length,
    ended: all.filter((each) => each.ended).length,
  };
}

export interface LogRank {
  readonly chiSquare: number;
  /** Chance of so much difference where there is none. */
  readonly p: number;
}

/** Two groups within one stratum: only like is held beside like. */
export interface Stratum {
  readonly one: readonly Lasting[];
  readonly other: readonly Lasting[];
}

/** What the first group ended beyond what it would, were there no difference, and the variance of that. */
function beyondExpected({ one, other }: Stratum): { readonly beyond: number; readonly variance: number } {
  const all = [...one, ...other];
  let [observed, expected, variance] = [0, 0, 0];
  for (const at of timesOf(all)) {
    const atRisk = all.filter(({ lasted }) => lasted >= at).length;
    const ofOne = one.filter(({ lasted }) => lasted >= at).length;
    const ended = all.filter((each) => each.ended && each.lasted === at).length;
    observed += one.filter((each) => each.ended && each.lasted === at).length;
    expected += (ended * ofOne) / atRisk;
    if (atRisk > 1)
      variance += (ended * (ofOne / atRisk) * (1 - ofOne / atRisk) * (atRisk - ended)) / (atRisk - 1);
  }
  return { beyond: observed - expected, variance };
}

/**
 * Whether two groups last as long, within strata whose own lasting may differ (Mantel 1966; Peto and Peto 1972); null
 * where no stratum has both groups and an end.
 */
export function logRank(strata: readonly Stratum[]): LogRank | null {
  const parts = strata.map(beyondExpected);
  const variance = parts.reduce((sum, part) => sum + part.variance, 0);
  if (variance === 0) return null;
  const chiSquare = parts.reduce((sum, part) => sum + part.beyond, 0) ** 2 / variance;
  return { chiSquare, p: chiSquareBeyond(chiSquare) };
}
