import { type At, madeUpSegment } from '../testing/made-up-flight';
import type { DrillId } from '../drills/drills';
import { exerciseOf } from './exercises';
import { type FlightMeasureId, MEASURES } from './measures/measures';
import { missReasonOf } from './miss-reason';
import { RECORDED_VALUES, type RecordedValue } from './recorded-value';
import { type Score, scoreParts } from './score';
import { gate, type Solid } from '../simulator/world';

const missed = (of: FlightMeasureId | 'crash' | 'not-finished'): Pick<Score, 'met' | 'wrong'> => ({
  met: false,
  wrong: { of, atS: 4 },
});

test('a rep that was met has no reason for a miss; a miss has that of what went wrong first', () => {
  expect(missReasonOf({ met: true, wrong: null })).toBeNull();
  expect(missReasonOf(missed('height'))).toBe('height');
  expect(missReasonOf(missed('crash'))).toBe('too-late');
  expect(missReasonOf(missed('not-finished'))).toBe('off-the-mark');
});

const VALUES = Object.entries(RECORDED_VALUES) as readonly [DrillId, RecordedValue][];

/** The value of a rep whose parts are each flown as `at` says. */
function flown(
  drillId: DrillId,
  at: (part: number, t: number) => At,
  solids: readonly Solid[] = [],
): number | null {
  const exercise = exerciseOf(drillId)!;
  const segments = exercise.stages.map((stage, index) =>
    madeUpSegment(stage, 10, (t) => at(index, t), { solids, course: exercise, index }),
  );
  return scoreParts({ segments, over: 'finished', next: 0 }, exercise).recorded;
}

test('a brake that stopped 4 m short, or ran 1.5 m past, is written down as that', () => {
  expect(flown('brake-to-mark', (_, t) => ({ y: 6 + 1.6 * t }))).toBeCloseTo(4);
  expect(flown('brake-to-mark', (_, t) => ({ y: 6 + 2.15 * t }))).toBeCloseTo(1.5);
});
test('a line flown 0.2 m to the side and 1.8 m past its end overshot by 1.8 m', () =>
  expect(
    flown('fore-aft-line', (part, t) => ({ x: 0.2, y: part === 0 ? 6 + 1.68 * t : 21 - 1.5 * t })),
  ).toBeCloseTo(1.8));
test('a hover is told by its distance from the mark, not by its height', () =>
  expect(flown('tail-in-hover', () => ({ x: 0.7, y: 6, z: 5 }))).toBeCloseTo(0.7));
test('small thumbs, a walk, a stop, a gap and an opening are written down too', () => {
  expect(flown('half-thumb', (_, t) => ({ y: 6, roll: t > 6 ? 0.4 : 0.1 }))).toBeCloseTo(6, 1);
  // Eight seconds tail-on, then sideways: 45° east of the way that it should look.
  expect(flown('lead-walk', (_, t) => ({ y: 6.5 + 0.75 * t, noseDeg: t > 8 ? 45 : 0 }))).toBeCloseTo(8, 1);
  // Two stops of 5 and 6 m; between them it comes back over 18.
  expect(
    flown('mode-stop-table', (part, t) => ({ y: 20 + t * ([1.4, 0.5, -1.8, 1.4, 0.6][part] ?? 0) })),
  ).toBeCloseTo(6);
  const solids = gate([0, 20, 1.4], 0, 2);
  for (const drillId of ['gap-ladder', 'portal-drop'] as const)
    expect(flown(drillId, (_, t) => ({ x: 0.3, z: 1.4, y: 8 + 1.8 * t, vy: 1.8 }), solids)).toBeCloseTo(
      0.3,
      5,
    );
});
test('where the flight does not show it, nothing is written; nor for a drill without a value', () => {
  expect(flown('gap-ladder', () => ({}))).toBeNull();
  expect(flown('power-turn', () => ({}))).toBeNull();
});

test('every value has the unit of its measure, and is measured where the drill is', () => {
  for (const [drillId, { of, unit, in: parts }] of VALUES) {
    expect([drillId, MEASURES[of].unit]).toEqual([drillId, unit]);
    const exercise = exerciseOf(drillId);
    expect([drillId, exercise === null]).toEqual([drillId, MEASURES[of].is === 'by-hand']);
    for (const part of parts ?? []) expect(exercise!.stages[part]).toBeDefined();
  }
});
