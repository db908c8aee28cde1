import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import { craftModel } from './craft-model';
import { heardOf, type HeardFrom } from './heard';

/** Sound from the model: against textbook figures of Doppler, distance and blades. */

const CRAFT = craftModel(craftFacts(USUAL_CRAFT));
const HOVER = Math.sqrt(1 / CRAFT.thrustToWeight);
const blowing = (speedMps: number) => ({ speedMps, fromDeg: 0 });
const heard = (more: Partial<HeardFrom> = {}) =>
  heardOf(CRAFT, {
    ...{ rotorSpeeds: [HOVER, HOVER, HOVER, HOVER], wash: 0, position: [0, 10, 1.6], velocity: [0, 0, 0] },
    ...{ pilot: { x: 0, y: 0 }, wind: blowing(0), isAboard: false },
    ...more,
  });

test('a hover hums at two blades a turn of its tip speed', () => {
  const turns = CRAFT.tipMps / (2 * Math.PI * CRAFT.rotorRadiusM);
  for (const hz of heard().bladeHz) expect(hz).toBeCloseTo(2 * turns, 9);
  // What small rotors of this size do: one to a few hundred blades a second.
  expect(heard().bladeHz[0]).toBeGreaterThan(100);
  expect(heard().bladeHz[0]).toBeLessThan(600);
});

test('coming at 15 m/s it is 4.6 % higher, going 4.2 % lower (Doppler, sound at 343 m/s)', () => {
  const [still, comes, goes] = [0, -15, 15].map((speed) => heard({ velocity: [0, speed, 0] }).bladeHz[0]!);
  expect(comes! / still!).toBeCloseTo(343 / 328, 9);
  expect(goes! / still!).toBeCloseTo(343 / 358, 9);
  // Past the pilot, across the line of sight, it is neither.
  expect(heard({ velocity: [15, 0, 0] }).bladeHz[0]).toBeCloseTo(still!, 9);
});

test('twice as far is half as loud (−6 dB), and no nearer than three metres it grows no more', () => {
  const at = (y: number) => heard({ position: [0, y, 1.6] }).loudness;
  expect(at(20) / at(10)).toBeCloseTo(0.5, 9);
  expect(20 * Math.log10(at(40) / at(20))).toBeCloseTo(-6.02, 2);
  expect(at(1)).toBe(at(3));
});

test('power is heard: climbing is louder and higher, motors stopped are silent', () => {
  const full = heard({ rotorSpeeds: [1, 1, 1, 1] });
  expect(full.loudness).toBeGreaterThan(heard().loudness);
  expect(full.bladeHz[0]).toBeGreaterThan(heard().bladeHz[0]!);
  expect(heard({ rotorSpeeds: [0, 0, 0, 0] })).toMatchObject({ loudness: 0, bladeHz: [0, 0, 0, 0] });
});

test('wash is heard at the craft and fades with distance; the wind stays at the ear, and aboard it is the airspeed', () => {
  expect(heard({ wash: 0 }).wash).toBe(0);
  expect(heard({ wash: 5, isAboard: true }).wash).toBe(1);
  expect(heard({ wash: 0.6, position: [0, 60, 1.6] }).wash).toBeCloseTo(0.03, 9);
  expect(heard({ wind: blowing(14), position: [0, 60, 1.6] }).wind).toBe(1);
  expect(heard({ wind: blowing(7) }).wind).toBeCloseTo(0.25, 9);
  // Hovering in a wind from the north, it meets it; carried along with it to the south, it meets none.
  const aboard = { wind: blowing(14), isAboard: true };
  expect(heard(aboard).wind).toBe(1);
  expect(heard({ ...aboard, velocity: [0, -14, 0] }).wind).toBe(0);
});

test('whatever is flown, nothing leaves its bounds', () => {
  for (const away of [0, 0.1, 3, 500])
    for (const wash of [-1, 0, 2])
      for (const share of [0, 0.5, 1])
        for (const isAboard of [true, false]) {
          const {
            loudness,
            wash: broken,
            wind,
            bladeHz,
          } = heard({
            ...{ wash, isAboard, position: [0, away, 1.6], rotorSpeeds: [share, share], wind: blowing(30) },
          });
          for (const each of [loudness, broken, wind]) {
            expect(each).toBeGreaterThanOrEqual(0);
            expect(each).toBeLessThanOrEqual(1);
          }
          expect(bladeHz.every((hz) => Number.isFinite(hz))).toBe(true);
        }
});
