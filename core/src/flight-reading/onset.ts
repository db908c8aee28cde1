import { type Sample, turned } from '../flight-log/flight-log';
import { headingOf, leanOf } from '../geometry/rotation';
import { speedOver } from '../assessment/referee';
import { type Lines, mean, median, placeIsHeld, pushedAlong, thinned } from './lines';

/** When trouble began, and what the pilot's flight was like before. */
export interface Onset {
  readonly atS: number;
  /** The pilot's own steady flight before it; empty where it was never steady. */
  readonly before: readonly Sample[];
}

/**
 * One thing that trouble shows in. Its usual spread is taken from the pilot's own flight, and held between a floor (the
 * recorder's noise) and a ceiling (a pilot whose flight was never steady).
 */
interface Feature {
  readonly of: (s: Sample, i: number) => number;
  readonly floor: number;
  readonly ceiling: number;
}

const MAD_TO_SIGMA = 1.4826;
/** Share of the flight that is looked at for the pilot's steady flight, and the least of it, s. */
const STEADY_SHARE = 0.55;
const STEADY_S = 1.5;
/** So many spreads off, for so long together, is a change: one-sided CUSUM (Page 1954). Ours. */
const DRIFT = 2.6;
const LIMIT = 0.7;
/** A lull of this length does not end trouble, s. */
const LULL_S = 1.2;
/** A flight in which nothing stands out but that ended on something went wrong at most so long before, s. */
const AT_MOST_S = 5;
const WORST = 12;

const turnRate = (lines: readonly Sample[], i: number): number => {
  let j = i;
  while (j > 0 && lines[i]!.t - lines[j]!.t < 0.3) j -= 1;
  const dt = lines[i]!.t - lines[j]!.t;
  return dt > 0 ? Math.abs(turned(headingOf(lines[j]!), headingOf(lines[i]!))) / dt : 0;
};

function featuresOf(lines: Lines, looked: readonly Sample[]): readonly Feature[] {
  const features: Feature[] = [
    { of: speedOver, floor: 0.5, ceiling: 2 },
    { of: (s) => s.vz, floor: 0.4, ceiling: 1 },
  ];
  if (lines.hasAttitude && lines.isFast)
    features.push(
      { of: leanOf, floor: 5, ceiling: 9 },
      { of: (_, i) => turnRate(looked, i), floor: 14, ceiling: 35 },
    );
  if (lines.from.cuts.length > 0) {
    const off = new Map(lines.from.cuts.flatMap((cut) => cut.samples.map((s, i) => [s.t, cut.offsets[i]!])));
    features.push({ of: (s) => off.get(s.t)?.crossTrackM ?? 0, floor: 0.6, ceiling: 2 });
  }
  return features;
}

/** A stretch in which it flew the same for so long, s: speeds, lean and nose spread no further than this. */
const SETTLED_S = 2.5;
const SETTLED = { mps: 0.5, sinkMps: 0.4, leanDeg: 3, noseDeg: 20, stick: 0.12 } as const;

const spreadOf = (some: readonly Sample[], of: (s: Sample) => number): number => {
  const values = some.map(of);
  const middle = mean(values);
  return Math.sqrt(mean(values.map((value) => (value - middle) ** 2)));
};

function isSettled(lines: Lines, some: readonly Sample[]): boolean {
  const steady = (most: number, ...of: readonly ((s: Sample) => number)[]) =>
    of.every((each) => !(spreadOf(some, each) > most));
  const moves = steady(
    SETTLED.mps,
    ({ vx }) => vx,
    ({ vy }) => vy,
  );
  if (!moves || !steady(SETTLED.sinkMps, ({ vz }) => vz)) return false;
  if (!lines.isFast) return true;
  const hands = [({ pitch }: Sample) => pitch, ({ roll }: Sample) => roll];
  if (lines.hasSticks && !steady(SETTLED.stick, ...hands)) return false;
  if (!lines.hasAttitude) return true;
  const nose = headingOf(some[0]!);
  return (
    steady(SETTLED.leanDeg, leanOf) &&
    some.every((s) => Math.abs(turned(nose, headingOf(s))) < SETTLED.noseDeg)
  );
}

interface Settled {
  readonly fromI: number;
  /** One past its last line. */
  readonly toI: number;
}

/** The stretches in which it flew the same for a while, in their order. */
function settledIn(lines: Lines, looked: readonly Sample[]): Settled[] {
  const found: Settled[] = [];
  let to = 0;
  for (let from = 0; from < looked.length; from += 1) {
    while (to < looked.length && looked[to]!.t - looked[from]!.t < SETTLED_S) to += 1;
    if (to === looked.length) break;
    if (!isSettled(lines, looked.slice(from, to + 1))) continue;
    const last = found.at(-1);
    if (last && from < last.toI) found[found.length - 1] = { fromI: last.fromI, toI: to + 1 };
    else found.push({ fromI: from, toI: to + 1 });
  }
  return found;
}

/** So much push along its way is meant to go there, mean; slower than this it goes nowhere, m/s. */
const [MEANT_PUSH, FLIES_MPS] = [0.15, 1];

/** Whether it went as the sticks asked, place held. */
function wentAsAsked(lines: Lines, some: readonly Sample[]): boolean {
  if (!lines.hasSticks || !lines.hasAttitude || !some.every(placeIsHeld)) return false;
  const flies = some.filter((s) => speedOver(s) > FLIES_MPS);
  return flies.length > some.length / 2 && pushedAlong(flies, ({ vx, vy }) => [vx, vy]) > MEANT_PUSH;
}

/** How far each line is from the pilot's steady flight, in spreads. */
function unrest(lines: Lines, looked: readonly Sample[], steady: number): readonly number[] {
  const all = featuresOf(lines, looked).map(({ of, floor, ceiling }) => {
    const values = looked.map(of);
    const middle = median(values.slice(0, steady));
    const spread = MAD_TO_SIGMA * median(values.slice(0, steady).map((value) => Math.abs(value - middle)));
    const scale = Math.min(ceiling, Math.max(floor, spread));
    return values.map((value) => (Number.isFinite(value) ? Math.abs(value - middle) / scale : 0));
  });
  return looked.map((_, i) => Math.min(WORST, Math.max(...all.map((values) => values[i]!))));
}

/** When the trouble that was still on at the end began, against the first so many lines; null: there was none. */
function troubleAfter(lines: Lines, looked: readonly Sample[], steady: number): number | null {
  const off = unrest(lines, looked, steady);
  let [sum, began, lull]: [number, number | null, number] = [0, null, 0];
  let worst = 0;
  for (let i = 1; i < looked.length; i += 1) {
    const dt = looked[i]!.t - looked[i - 1]!.t;
    const before = sum;
    sum = Math.max(0, sum + (off[i]! - DRIFT) * dt);
    if (sum > 0 && before === 0 && began === null) began = i;
    lull = sum === 0 ? lull + dt : 0;
    if (lull > LULL_S) [began, worst] = [null, 0];
    worst = Math.max(worst, sum);
  }
  return began === null || worst < LIMIT ? null : looked[began]!.t;
}

/**
 * The beginning of the trouble that was still on at the end: a change against the pilot's own steady flight. What was
 * flown on the way there is no trouble: it is looked for after the last steady stretch first, and after one before that
 * where nothing changed any more.
 * @returns null where the flight was steady to its end and met nothing
 */
export function onsetOf(lines: Lines): Onset | null {
  const all = thinned(lines.all);
  const { from, last } = lines;
  const started = all[0]!.t;
  const fallback = (since: number): Onset | null => {
    if (!from.ended && from.cuts.length === 0) return null;
    const atS = Math.max(since, last.t - AT_MOST_S);
    return { atS, before: lines.between(since, atS) };
  };
  if (last.t - started < 2 * STEADY_S) return fallback(started);
  const settled = from.cuts.length > 0 ? [] : settledIn(lines, all);
  for (const { fromI, toI } of settled.reverse()) {
    const looked = all.slice(fromI);
    const since = looked[0]!.t;
    const atS = troubleAfter(lines, looked, toI - fromI);
    if (atS !== null) return { atS, before: lines.between(since, atS) };
    if (wentAsAsked(lines, all.slice(fromI, toI))) return fallback(since);
  }
  const steadyS = Math.max(STEADY_S, STEADY_SHARE * (last.t - started));
  const atS = troubleAfter(lines, all, all.filter(({ t }) => t - started <= steadyS).length);
  return atS === null ? fallback(started) : { atS, before: lines.between(started, atS) };
}
