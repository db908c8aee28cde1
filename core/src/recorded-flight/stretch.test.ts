import { headingOf } from '../geometry/rotation';
import { smoothFlight } from './smoothing/smooth-flight';
import type { RecordedField } from './mapping/fields';
import { shownAgain } from './shown-again';
import { LANES, stretchOf } from './stretch';

/** Out to the east at 5 m/s and 4 m up, `hz` times a second; nothing written from 20 to 26 s. */
function flownEast(hz: number, others: Partial<Record<RecordedField, (t: number) => number>> = {}) {
  const t = Float64Array.from({ length: 60 * hz }, (_, i) => i / hz).filter(
    (each) => each < 20 || each >= 26,
  );
  const of = (value: (t: number) => number) => t.map(value);
  const channels = new Map<RecordedField, Float64Array>([
    ['east', of((s) => 5 * s)],
    ['north', of(() => 0)],
    ['up', of(() => 4)],
  ]);
  for (const [field, value] of Object.entries(others)) channels.set(field as RecordedField, of(value));
  return smoothFlight({ t, startedAt: null, origin: null, channels, hz, gaps: [[20 - 1 / hz, 26]] });
}

test('a stick that was thrown over for a fiftieth of a second is in the picture of an hour', () => {
  const flight = flownEast(50, { stick_roll: (t) => (Math.abs(t - 40) < 0.011 ? -1 : 0) });
  const { lanes, path } = stretchOf(flight, 0, 60);
  const roll = lanes.find(({ is }) => is === 'roll')!;
  expect(Math.min(...[...roll.least].filter(Number.isFinite))).toBe(-1);
  expect(roll.least.length).toBeLessThanOrEqual(320);
  expect(path.length).toBeLessThanOrEqual(700);
});

test('what was not recorded has no lane, and a gap no figures', () => {
  const { lanes, path, modes } = stretchOf(flownEast(25), 0, 60);
  expect(lanes.map(({ is }) => is)).toEqual(['speed', 'height']);
  expect(modes).toEqual([]);
  expect(path.filter(({ afterGap }) => afterGap)).toHaveLength(1);
  const speed = lanes[0]!;
  // 20 to 26 s of 60 are six of sixty columns; none at its edges is blank for another reason.
  const blank = [...speed.most].filter((value) => Number.isNaN(value)).length;
  expect(blank / speed.most.length).toBeGreaterThan(0.085);
  expect(blank / speed.most.length).toBeLessThan(0.11);
  expect(LANES).toContain('battery');
});

test('nearer, each moment is there by itself', () => {
  const { path, lanes } = stretchOf(flownEast(50), 30, 32);
  expect(path).toHaveLength(101);
  expect(lanes[0]!.least).toHaveLength(101);
  expect(path[50]!.x).toBeCloseTo(155, 1);
  expect(path[50]!.speedMps).toBeCloseTo(5, 1);
});

test('modes are runs, each once', () => {
  const { modes } = stretchOf(flownEast(25, { mode: (t) => (t < 30 ? 3 : -1) }), 0, 60);
  // Nobody knows what it was in the gap.
  expect(modes.map(({ mode }) => mode)).toEqual(['position-hold', null, 'position-hold', null]);
  expect(modes[2]!.toS).toBeCloseTo(30, 0);
});

test('shown again it keeps its lean where that is known, else it is level with its nose along its way', () => {
  const level = shownAgain(flownEast(25), 0, 15)!;
  expect(level.areSticksKnown).toBe(false);
  const at = (i: number) => {
    const { qw, qx, qy, qz } = level.replay;
    return { qw: qw[i]!, qx: qx[i]!, qy: qy[i]!, qz: qz[i]! };
  };
  if (!level.isLeanKnown) expect(headingOf(at(200))).toBeCloseTo(90, 0);
  expect(level.replay.x[200]! / level.replay.t[200]!).toBeCloseTo(5, 1);
  expect([...level.replay.throttle].every((value) => Number.isNaN(value))).toBe(true);
  const led = shownAgain(flownEast(25, { roll: () => 0, pitch: () => 0, heading: () => 0 } as never), 0, 15)!;
  expect(led.isLeanKnown).toBe(true);
});

test('without heights there is nothing to stand before', () => {
  const flight = flownEast(25);
  expect(shownAgain({ ...flight, axes: { ...flight.axes, up: null } }, 0, 5)).toBeNull();
});
