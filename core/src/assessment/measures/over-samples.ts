import { type Sample, turned } from '../../flight-log/flight-log';
import { headingOf } from '../../geometry/rotation';
import { bearing } from '../../geometry/path';
import { speedOver } from '../referee';
import { pilotAt } from '../walk';
import { deflection, type Measured, type Segment } from '../segment';
import type { Measuring } from './measure';

/** Smallest deflection that counts as a move, and the largest that counts as small. Common practice. */
export const MOVE = 0.08;
export const REST = 0.04;
const SMALL = 0.15;
export const MOVING_MPS = 0.7;
const UNDER_WAY_MPS = 1;

type OfSample = (segment: Segment, i: number, s: Sample) => number | null;

/** The greatest of several. */
export const worst = (found: readonly Measured[]): Measured | null =>
  found.reduce<Measured | null>((most, each) => (most && most.value >= each.value ? most : each), null);

/** The greatest of a value over the samples that are measured. */
export const greatest =
  (of: OfSample): Measuring =>
  (segment) => {
    let best: Measured | null = null;
    for (let i = segment.from; i < segment.samples.length; i += 1) {
      const s = segment.samples[i]!;
      const value = of(segment, i, s);
      if (value !== null && (best === null || value > best.value)) best = { value, atS: s.t };
    }
    return best;
  };

/** The least of a value over the samples that are measured. */
export const least =
  (of: OfSample): Measuring =>
  (segment) => {
    const found = greatest((...args) => {
      const value = of(...args);
      return value === null ? null : -value;
    })(segment);
    return found && { ...found, value: -found.value };
  };

/** A value when the part is over. */
export const atEnd =
  (of: (segment: Segment, s: Sample) => number): Measuring =>
  (segment) => {
    const s = segment.samples.at(-1);
    return s ? { value: of(segment, s), atS: s.t } : null;
  };

/** How long something lasts at most without a break, s. */
export const longest =
  (so: (segment: Segment, i: number, s: Sample) => boolean): Measuring =>
  (segment) => {
    let [since, best, atS]: [number | null, number, number] = [
      null,
      0,
      segment.samples[segment.from]?.t ?? 0,
    ];
    for (let i = segment.from; i < segment.samples.length; i += 1) {
      const s = segment.samples[i]!;
      if (!so(segment, i, s)) {
        since = null;
        continue;
      }
      since ??= s.t;
      if (s.t - since > best) {
        best = s.t - since;
        atS = s.t;
      }
    }
    return { value: best, atS };
  };

export const firstWhere = (segment: Segment, so: (s: Sample) => boolean): Sample | null =>
  segment.samples.find((s) => so(s)) ?? null;

/** When the part began, s. */
export const sinceStart = (segment: Segment): number => segment.samples[0]?.t ?? 0;

/** How long after the beginning something was found; the whole part where it was not. */
export const after = (segment: Segment, found: Sample | null): Measured => ({
  value: (found?.t ?? segment.samples.at(-1)?.t ?? 0) - sinceStart(segment),
  atS: found?.t ?? sinceStart(segment),
});

export const hasSmallSticks = (s: Sample): boolean => Math.max(deflection(s), Math.abs(s.yaw)) <= SMALL;

/** Way of the nose against the way of the craft, degrees; null when it hardly moves. */
export const noseToPathDeg = (s: Sample): number | null =>
  speedOver(s) < UNDER_WAY_MPS ? null : Math.abs(turned(headingOf(s), bearing(s.vx, s.vy)));

/** Where the sticks ought to push: toward the place, less the way already on. East and north, m/s. */
export function wantedPush(segment: Segment, s: Sample): readonly [number, number] {
  const { path } = segment.stage;
  const to = path.is === 'segment' ? path.to : path.is === 'point' ? path.at : null;
  return to ? [0.5 * (to[0] - s.x) - s.vx, 0.5 * (to[1] - s.y) - s.vy] : [0, 0];
}

/** Distance from the pilot over the ground, m. */
export function fromPilot(segment: Segment, _: number, s: Sample): number {
  const pilot = pilotAt(segment.course, s.t - segment.startS);
  return Math.hypot(s.x - pilot.x, s.y - pilot.y);
}
