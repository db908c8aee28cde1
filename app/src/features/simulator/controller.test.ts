/** @jest-environment jsdom */
import {
  type AxisAt,
  chosenPad,
  keepSetUp,
  keptSetUpOnce,
  movedAxis,
  type PadNow,
  pickPad,
  shapeOf,
  stickAt,
} from './controller';

const pad = (index: number, id: string, axes: number): PadNow => ({
  index,
  id,
  axes: Array<number>(axes).fill(0),
  pressed: [],
});
const at = (low: number, rest: number, high: number): AxisAt => ({ index: 1, low, rest, high });
const read = (where: AxisAt, raw: number) => stickAt(where, [9, raw, 9]);

test('a stick runs from end to end whatever the device says there, turned round or off-centre', () => {
  expect([-1, 0, 1].map((raw) => read(at(-1, 0, 1), raw))).toEqual([-1, 0, 1]);
  expect([-1, 0, 1].map((raw) => read(at(1, 0, -1), raw))).toEqual([1, 0, -1]);
  // A transmitter whose throttle gives 0.1 to 0.9, half-way at 0.5.
  expect([0.1, 0.3, 0.5, 0.9].map((raw) => Math.round(10 * read(at(0.1, 0.5, 0.9), raw)) / 10)).toEqual([
    -1, -0.5, 0, 1,
  ]);
  expect(read(at(-0.8, 0.1, 0.9), 0.9)).toBe(1);
  expect(read(at(-0.8, 0.1, 0.9), -0.8)).toBe(-1);
});

test('past its end it stays there, near rest it is at rest, and an axis that is not there rests', () => {
  expect(read(at(-0.8, 0, 0.8), 1)).toBe(1);
  expect(read(at(-1, 0, 1), 0.03)).toBe(0);
  expect(stickAt({ index: 7, low: -1, rest: 0, high: 1 }, [1, 1])).toBe(0);
  expect(read(at(0, 0, 1), -0.5)).toBe(0);
});

test('the axis that moved farthest is the one meant, a trembling one is not, nor one that is taken', () => {
  expect(movedAxis([0, 0, -1], [0.1, 0.2, -1], [])).toBeNull();
  expect(movedAxis([0, 0, -1], [0.5, -0.9, -1], [])).toBe(1);
  expect(movedAxis([0, 0, -1], [0.5, -0.9, -1], [1])).toBe(0);
  expect(movedAxis([0, 0, -1], [0, 0, 0], [])).toBe(2);
});

test('of several controllers one with sticks is taken, then one that is set up, then the one that was picked', () => {
  const pads = [
    pad(0, 'Knob', 1),
    pad(1, 'Game controller', 4),
    pad(2, 'Transmitter', 8),
    pad(3, 'Transmitter', 8),
  ];
  expect(chosenPad([])).toBeNull();
  expect(chosenPad(pads.slice(0, 1))?.id).toBe('Knob');
  expect(chosenPad(pads)?.index).toBe(1);
  keepSetUp('Transmitter', {
    axes: { throttle: at(-1, 0, 1), yaw: at(-1, 0, 1), pitch: at(-1, 0, 1), roll: at(-1, 0, 1) },
    softening: 0.3,
    switches: { again: 2 },
  });
  expect(keptSetUpOnce('Transmitter')?.switches.again).toBe(2);
  expect(chosenPad(pads)?.index).toBe(2);
  pickPad(pads[3]!);
  expect(chosenPad(pads)?.index).toBe(3);
  // Plugged in elsewhere the next day.
  expect(chosenPad([pads[1]!, pad(0, 'Transmitter', 8)])?.index).toBe(0);
  pickPad(pads[1]!);
  expect(chosenPad(pads)?.index).toBe(1);
  expect(chosenPad(pads.slice(2))?.index).toBe(2);
});

test('travel is smaller while its switch is on, and all of it where none is set; a set-up of an older version flies as it did', () => {
  const axes = { throttle: at(-1, 0, 1), yaw: at(-1, 0, 1), pitch: at(-1, 0, 1), roll: at(-1, 0, 1) };
  const older = { axes, softening: 0.3, switches: {} };
  expect(shapeOf(older, 'roll', [true, true])).toEqual({ softening: 0.3, rate: 1, trim: 0 });
  const setUp = { ...older, rate: 0.6, trims: { pitch: -0.05 }, switches: { rate: 1 } };
  expect(shapeOf(setUp, 'roll', [true, false]).rate).toBe(1);
  expect(shapeOf(setUp, 'roll', [false, true]).rate).toBe(0.6);
  expect(shapeOf({ ...setUp, switches: {} }, 'roll', [true, true]).rate).toBe(1);
  expect([shapeOf(setUp, 'pitch', []).trim, shapeOf(setUp, 'yaw', []).trim]).toEqual([-0.05, 0]);
});
