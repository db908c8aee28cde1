import { ORIGIN, type Point, type ScoreLattice } from './score-lattice';

/**
 * Exact probabilities of the chart, by following every state it can be in rep by rep: the Markov
 * chain of a CUSUM (Brook and Evans, Biometrika 1972) on its own finite lattice, without rounding
 * the score to a grid.
 */

interface Standing {
  readonly point: Point;
  /** Misses among the reps already flown of the pack in hand; 0 when reps are independent. */
  readonly missedInPack: number;
  probability: number;
}

/** How reps of one pack hang together. */
export interface PackCorrelation {
  /** Correlation between two reps of one pack, 0 to below 1. */
  readonly withinPack: number;
  readonly repsPerPack: number;
}

/** The walks of pilots who miss at one rate, toward a limit. */
export interface Walks {
  readonly lattice: ScoreLattice;
  readonly limit: Point;
  /** 0 to 1. */
  readonly missRate: number;
  /** Absent: every rep is independent of the others. */
  readonly correlation?: PackCorrelation;
}

const assertRate = (missRate: number) => {
  if (!(missRate >= 0 && missRate <= 1))
    throw new RangeError(`A miss rate lies between 0 and 1, not ${missRate}.`);
};

/**
 * Chance of a miss at the next rep of a pack: a beta-binomial pack (an urn that returns each ball
 * with one more of its colour), whose reps have mean `missRate` and pairwise correlation `withinPack`.
 */
const chanceOfMiss = (missRate: number, flown: number, missed: number, withinPack: number): number => {
  if (withinPack === 0) return missRate;
  const weight = (1 - withinPack) / withinPack;
  return (missRate * weight + missed) / (weight + flown);
};

const INDEPENDENT: PackCorrelation = { withinPack: 0, repsPerPack: 1 };

function assertCorrelation({ withinPack, repsPerPack }: PackCorrelation): void {
  if (!(withinPack >= 0 && withinPack < 1) || !(repsPerPack >= 1))
    throw new RangeError('Correlation lies from 0 to below 1, and a pack holds at least one rep.');
}

/** Adds probability where a walk comes to: walks that stand alike are one. */
function addTo(standings: Map<string, Standing>, standing: Standing): void {
  const key = `${standing.point.met}/${standing.point.missed}/${standing.missedInPack}`;
  const there = standings.get(key);
  if (there) there.probability += standing.probability;
  else standings.set(key, standing);
}

function* follow({ lattice, limit, missRate, correlation = INDEPENDENT }: Walks) {
  assertRate(missRate);
  assertCorrelation(correlation);
  const { withinPack, repsPerPack: packSize } = correlation;
  let standings = new Map<string, Standing>([['', { point: ORIGIN, missedInPack: 0, probability: 1 }]]);
  let cleared = 0;
  for (let reps = 0; ; reps += 1) {
    yield cleared;
    const flownInPack = reps % packSize;
    const lastOfPack = flownInPack === packSize - 1;
    const next = new Map<string, Standing>();
    for (const standing of standings.values()) {
      const miss = chanceOfMiss(missRate, flownInPack, standing.missedInPack, withinPack);
      for (const met of [true, false]) {
        const probability = standing.probability * (met ? 1 - miss : miss);
        if (probability === 0) continue;
        const point = lattice.step(standing.point, met);
        if (lattice.compare(point, limit) >= 0) {
          cleared += probability;
          continue;
        }
        const missedInPack = withinPack === 0 || lastOfPack ? 0 : standing.missedInPack + (met ? 0 : 1);
        addTo(next, { point, missedInPack, probability });
      }
    }
    standings = next;
  }
}

/**
 * Probability that a pilot who misses at `missRate` has reached `limit` within n reps, for
 * n = 0 … reps.
 * @returns reps + 1 probabilities, never falling
 */
export function chanceClearedWithin(walks: Walks, reps: number): readonly number[] {
  const chances: number[] = [];
  for (const cleared of follow(walks)) {
    chances.push(cleared);
    if (chances.length > reps) break;
  }
  return chances;
}

/** What may be left of the distribution when the sum for the mean is cut off. */
const TAIL = 1e-10;
const LONGEST = 5_000;
/** Once the share that goes on from one rep to the next changes by less than this, it changes no more. */
const SETTLED = 1e-11;
const SETTLED_FOR = 20;

/**
 * Mean number of reps until `limit` is reached: the sum over n of P(more than n reps). After a while the
 * chance of going on is the
 * same at every rep (the chain has forgotten where it started), and what is left of the sum is a geometric
 * series. Reps are independent here.
 * @throws RangeError when such a pilot practically never gets there (the sum has not settled within 5 000
 *   reps)
 */
export function expectedReps(lattice: ScoreLattice, limit: Point, missRate: number): number {
  let mean = 0;
  let before = 1;
  let goesOn = 0;
  let settledFor = 0;
  let reps = 0;
  for (const cleared of follow({ lattice, limit, missRate })) {
    const left = 1 - cleared;
    if (left < TAIL) return mean;
    const share = left / before;
    settledFor = left < 1 && share < 1 && Math.abs(share - goesOn) < SETTLED ? settledFor + 1 : 0;
    if (settledFor >= SETTLED_FOR) return mean + left / (1 - share);
    if (reps > LONGEST)
      throw new RangeError(`A pilot who misses ${missRate} of reps practically never reaches the limit.`);
    mean += left;
    before = left;
    goesOn = share;
    reps += 1;
  }
  return mean;
}
