import type { CraftModel } from '../simulator/craft-model';
import type { Solid } from '../simulator/world';
import { type Sample, sampleAt, type FlightLog, type LogEvent } from '../flight-log/flight-log';
import { type Exercise, type ExerciseStandard, stageBegun } from './exercise';
import { type Segment, holdsHeight, holdsPlace, type Measured } from './segment';
import { type FlightMeasureId, MEASURES, type MeasureId } from './measures/measures';
import { fromPilot } from './measures/over-samples';
import { beginningOf, type PathOffset } from '../geometry/path';
import { type ExerciseOver, Referee } from './referee';
import { spectralArcLength } from './spectral-arc-length';

/** One condition of the standard, as it was flown. SI units; degrees for angles. */
export interface ScoredValue {
  readonly of: FlightMeasureId;
  readonly value: number;
  readonly limit: number;
  readonly isLeast: boolean;
  readonly ok: boolean;
  /** When the value was reached, s. */
  readonly atS: number;
}

export interface Score {
  readonly met: boolean;
  readonly over: ExerciseOver | 'crashed' | 'stopped';
  readonly values: readonly ScoredValue[];
  /** What went wrong first, and when; null when met. */
  readonly wrong: {
    readonly of: FlightMeasureId | 'crash' | 'at-pilot' | 'not-finished';
    readonly atS: number;
  } | null;
  /** Part of the drill that was being flown then. */
  readonly wrongIn: number | null;
  /** Written down beside met or missed, SI; null where the drill has no value or the flight does not show it. */
  readonly recorded: number | null;
  /** Mean distance from the pilot over the ground, m; null for a flight without a line. */
  readonly distanceM: number | null;
  /** Spectral arc length of the movements, mean; null where there was none. */
  readonly smoothness: number | null;
  readonly fromS: number;
  readonly toS: number;
}

/** The parts of one flight through a drill. */
export interface Parts {
  readonly segments: readonly Segment[];
  readonly over: Score['over'];
  /** The line after the last. */
  readonly next: number;
}

/** What a track is a flight of. */
export interface FlownDrill {
  readonly course: Exercise;
  readonly craft: CraftModel;
  readonly solids: readonly Solid[];
}

/** Cuts a track into the parts of a drill, from a line on. */
export function partsOf(track: FlightLog, flown: FlownDrill, from = 0): Parts {
  const { course, craft, solids } = flown;
  const first = sampleAt(track, from);
  const referee = new Referee(course, craft, first, null);
  const segments: Segment[] = [];
  let [samples, offsets, nextEvent]: [Sample[], PathOffset[], number] = [
    [],
    [],
    track.events.findIndex((each) => each.t >= first.t),
  ];
  if (nextEvent < 0) nextEvent = track.events.length;
  const close = () => {
    const begun = course.stages[segments.length]!;
    const stage = samples[0] ? stageBegun(begun, samples[0]) : begun;
    const start = samples[0]?.t ?? 0;
    const settled = samples.findIndex((s) => s.t - start >= stage.settleS);
    segments.push({
      stage,
      index: segments.length,
      samples,
      offsets,
      from: settled < 0 ? samples.length : settled,
      events: track.events,
      craft,
      course,
      solids,
      startS: first.t,
    });
    [samples, offsets] = [[], []];
  };
  let i = from;
  let crashed = false;
  for (; i < track.length && !referee.over && !crashed; i += 1) {
    const s = sampleAt(track, i);
    const happened: LogEvent['is'][] = [];
    for (; nextEvent < track.events.length && track.events[nextEvent]!.t <= s.t; nextEvent += 1)
      happened.push(track.events[nextEvent]!.is);
    crashed = happened.includes('crash');
    if (referee.follow(s, happened)) close();
    samples.push(s);
    offsets.push(referee.offset);
  }
  if (samples.length > 0) close();
  return { segments: segments, over: crashed ? 'crashed' : (referee.over ?? 'stopped'), next: i };
}

/** The parts of a flight that a condition looks at. */
const chosenFrom = (
  segments: readonly Segment[],
  parts: readonly number[] | undefined,
): readonly Segment[] => (parts ? segments.filter((segment) => parts.includes(segment.index)) : segments);

/** A measure in each of the parts, or one value where it compares them. */
function measured(of: MeasureId, segments: readonly Segment[]): readonly Measured[] {
  const how = MEASURES[of];
  const found =
    how.is === 'by-hand'
      ? []
      : how.is === 'comparison'
        ? [how.of(segments)]
        : segments.map((segment) => how.of(segment));
  return found.filter((each): each is Measured => each !== null && Number.isFinite(each.value));
}

const worstOf = (values: readonly Measured[], isLeast: boolean): Measured =>
  values.reduce((worst, each) =>
    (isLeast ? each.value < worst.value : each.value > worst.value) ? each : worst,
  );

function judge(standard: ExerciseStandard, segments: readonly Segment[]): ScoredValue[] {
  const chosen = chosenFrom(segments, standard.in);
  const first = chosen[0]?.samples[0];
  if (!first || (standard.byHandOnly && holdsHeight(first))) return [];
  const values = measured(standard.of, chosen);
  if (values.length === 0) return [];
  const against = (isLeast: boolean, limit: number): ScoredValue => {
    const { value, atS } = worstOf(values, isLeast);
    return { of: standard.of, value, limit, isLeast, ok: isLeast ? value >= limit : value <= limit, atS };
  };
  const judged: ScoredValue[] = [];
  if (standard.least !== undefined) judged.push(against(true, standard.least));
  if (standard.most !== undefined) {
    const held = chosen.every((segment) => segment.samples.every(holdsPlace));
    judged.push(against(false, (held ? standard.mostWithHold : undefined) ?? standard.most));
  }
  return judged;
}

/** The value of a rep that its drill's label names, SI. */
function recordedOf(segments: readonly Segment[], { recorded, standards }: Exercise): number | null {
  if (!recorded) return null;
  const standard = standards.find((each) => each.of === recorded.of);
  const values = measured(recorded.of, chosenFrom(segments, recorded.in ?? standard?.in));
  return values.length === 0 ? null : worstOf(values, standard?.least !== undefined).value;
}

const MOVEMENT_S = 1;
const SMOOTHNESS_HZ = 25;

/** How smoothly the lines and bends were flown: hovers have no movement to measure. */
function smoothnessOf(segments: readonly Segment[]): number | null {
  const arcs = segments.flatMap(({ stage, samples }) => {
    const lasted = (samples.at(-1)?.t ?? 0) - (samples[0]?.t ?? 0);
    if (
      stage.path.is === 'point' ||
      lasted < MOVEMENT_S ||
      samples.every((s) => Math.hypot(s.vx, s.vy, s.vz) < 0.3)
    )
      return [];
    // Nothing above ten hertz is looked at: every few lines are enough.
    const every = Math.max(1, Math.floor((samples.length - 1) / lasted / SMOOTHNESS_HZ));
    const speeds: number[] = [];
    for (let i = 0; i < samples.length; i += every)
      speeds.push(Math.hypot(samples[i]!.vx, samples[i]!.vy, samples[i]!.vz));
    return [spectralArcLength(speeds, (samples.length - 1) / lasted / every)];
  });
  return arcs.length === 0 ? null : arcs.reduce((sum, each) => sum + each, 0) / arcs.length;
}

/** What went wrong first; null where nothing did. */
const earliest = (missed: readonly NonNullable<Score['wrong']>[]): Score['wrong'] =>
  missed.length === 0 ? null : missed.reduce((first, each) => (each.atS < first.atS ? each : first));

function distanceOf(segments: readonly Segment[]): number | null {
  const all = segments.flatMap((segment) => segment.samples.map((s, i) => fromPilot(segment, i, s)));
  return all.length === 0 ? null : all.reduce((sum, each) => sum + each, 0) / all.length;
}

/** Judges the parts of one flight against the drill's standard. */
export function scoreParts({ segments: segments, over }: Parts, exercise: Exercise): Score {
  const { standards } = exercise;
  const values = standards.flatMap((standard) => judge(standard, segments));
  const [fromS, toS] = [segments[0]?.samples[0]?.t ?? 0, segments.at(-1)?.samples.at(-1)?.t ?? 0];
  const missed = values
    .filter((each) => !each.ok)
    .map(({ of, atS }) => ({ of, atS }) as NonNullable<Score['wrong']>);
  // A limit that was broken before the crash counts as what went wrong; a part that only the crash kept from
  // being finished does not.
  if (over === 'crashed' || over === 'at-pilot')
    missed.unshift({ of: over === 'crashed' ? 'crash' : over, atS: toS });
  else if (over !== 'finished') missed.push({ of: 'not-finished', atS: toS });
  const unmeasured = standards.find(
    (standard) => !values.some((each) => each.of === standard.of) && !standard.byHandOnly,
  );
  if (over === 'finished' && unmeasured) missed.push({ of: unmeasured.of, atS: toS });
  const wrong = earliest(missed);
  const wrongIn = wrong
    ? segments.findIndex(({ samples }) => wrong.atS <= (samples.at(-1)?.t ?? -Infinity))
    : -1;
  return {
    met: missed.length === 0,
    over,
    values,
    wrong,
    wrongIn: wrongIn < 0 ? null : wrongIn,
    recorded: recordedOf(segments, exercise),
    distanceM: distanceOf(segments),
    smoothness: smoothnessOf(segments),
    fromS,
    toS,
  };
}

/** Judges one flight through a drill, from a line of a track on. */
export const scoreFlightLog = (
  track: FlightLog,
  course: Exercise,
  craft: CraftModel,
  solids: readonly Solid[],
): Score => scoreParts(partsOf(track, { course, craft, solids }), course);

const NEAR_START_M = 3;
const NEAR_START_UP_M = 1.5;

/**
 * Judges every rep in a longer track: one begins where the craft is near where the first part does, within 3
 * m over the ground and 1.5 m up, and the next after it. What the log cuts short counts
 * only where it is all there is.
 */
export function scoreLog(
  track: FlightLog,
  course: Exercise,
  craft: CraftModel,
  solids: readonly Solid[],
): readonly Score[] {
  const [sx, sy, sz] = beginningOf(course.stages[0]!.path);
  const { x, y, z } = track.columns;
  const scores: Score[] = [];
  for (let i = 0; i < track.length; i += 1) {
    if (Math.hypot(x[i]! - sx, y[i]! - sy) > NEAR_START_M || Math.abs(z[i]! - sz) > NEAR_START_UP_M) continue;
    const parts = partsOf(track, { course, craft, solids }, i);
    scores.push(scoreParts(parts, course));
    i = Math.max(i, parts.next - 1);
  }
  const whole = scores.filter((score) => score.over !== 'stopped');
  return whole.length > 0 ? whole : scores;
}
