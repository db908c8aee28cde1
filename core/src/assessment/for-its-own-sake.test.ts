import fc from 'fast-check';
import { craftModel } from '../simulator/craft-model';
import { PHYSICS_STEP_S } from '../simulator/simulated-flight';
import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import { passedThrough } from './gate-opening';
import { RepFlight } from './rep';
import { partsOf } from './score';
import { LAP_GATES, lapSeconds, ownSakeFlight } from './for-its-own-sake';

/** A lap is what went through every gate in order; past one, or back through it, is none. */

const place = fc.record({
  x: fc.double({ min: -6, max: 6, noNaN: true }),
  y: fc.double({ min: -6, max: 6, noNaN: true }),
  z: fc.double({ min: 0, max: 6, noNaN: true }),
});

test('through an opening is what a fine look at every piece of the way says, by brute force', () => {
  fc.assert(
    fc.property(place, place, fc.integer({ min: 0, max: 359 }), (from, to, facingDeg) => {
      const opening = { at: [0, 0, 2], facingDeg, wideM: 3 } as const;
      const rad = (facingDeg * Math.PI) / 180;
      // Turned so that the opening faces north: its plane is then y = 0.
      const turn = ({ x, y, z }: typeof from) => ({
        aside: x * Math.cos(rad) - y * Math.sin(rad),
        along: x * Math.sin(rad) + y * Math.cos(rad),
        z,
      });
      const [a, b] = [turn(from), turn(to)];
      let crossed = false;
      for (let i = 1; i <= 20_000; i += 1) {
        const at = (share: number) => a.along + share * (b.along - a.along);
        const share = i / 20_000;
        if (at((i - 1) / 20_000) >= 0 || at(share) < 0) continue;
        const aside = a.aside + share * (b.aside - a.aside);
        const up = a.z + share * (b.z - a.z) - 2;
        const margin = Math.max(Math.abs(aside), Math.abs(up)) - 1.5;
        // On the very edge the two may differ.
        fc.pre(Math.abs(margin) > 0.01);
        crossed = margin < 0;
      }
      expect(passedThrough(opening, from, to)).toBe(crossed);
    }),
    { numRuns: 300 },
  );
});

test('from gate to gate the way leads through, each in the direction it faces, and keeps off the pilot', () => {
  const { course, setUp } = ownSakeFlight('lap', 'self-level');
  expect(course.stages).toHaveLength(LAP_GATES.length + 1);
  expect(setUp.solids.length).toBeGreaterThan(0);
  for (const { at, facingDeg, wideM } of LAP_GATES) {
    const [x, y, z] = at;
    const ahead = (m: number) => ({
      x: x + m * Math.sin((facingDeg * Math.PI) / 180),
      y: y + m * Math.cos((facingDeg * Math.PI) / 180),
      z,
    });
    const opening = { at, facingDeg, wideM };
    expect(passedThrough(opening, ahead(-1), ahead(1))).toBe(true);
    expect(passedThrough(opening, ahead(1), ahead(-1))).toBe(false);
    const beside = (m: number) => ({ ...ahead(m), z: z + wideM });
    expect(passedThrough(opening, beside(-1), beside(1))).toBe(false);
    expect(Math.hypot(x, y)).toBeGreaterThan(8);
  }
});

test('the clock goes from the first gate to the first gate, and a lap that was broken off has none', () => {
  const samples = (from: number, to: number) => [{ t: from }, { t: to }] as never;
  const segments = [0, 5, 9, 14, 20].map((from, i, all) => ({ samples: samples(from, all[i + 1] ?? 27.5) }));
  expect(lapSeconds(segments, true)).toBe(22.5);
  expect(lapSeconds(segments.slice(0, 3), false)).toBeNull();
  expect(lapSeconds([], true)).toBeNull();
});

describe('flown', () => {
  const craft = craftModel(craftFacts(USUAL_CRAFT));
  const MODE = { mode: 'position-hold', setting: 'normal', pilotHeadingDeg: null, hold: true } as const;
  const limited = (value: number) => Math.max(-0.5, Math.min(0.5, value));

  /** Steady hands with the nose east: to a place before each gate, then through it, or so far beside it. */
  function flown(besideM: number) {
    const { setUp, course } = ownSakeFlight('lap', 'position-hold');
    const rep = new RepFlight({
      ...{ craft, course, start: setUp.start, seed: 3 },
      scene: { solids: setUp.solids, charge: 1, wind: { speedMps: 1, fromDeg: 0, gusts: 0.2, jets: [] } },
    });
    const order = [...LAP_GATES, LAP_GATES[0]!];
    let [lined, isThrough] = [-1, 0];
    for (let step = 0; step < 120 / PHYSICS_STEP_S && !rep.isOver; step += 1) {
      const nth = besideM === 0 ? rep.referee.at : Math.min(isThrough, order.length - 1);
      const { at, facingDeg } = order[nth]!;
      const facing = (facingDeg * Math.PI) / 180;
      const [east, north] = [Math.sin(facing), Math.cos(facing)];
      const away = (m: number) => [
        at[0] + m * east + besideM * north,
        at[1] + m * north - besideM * east,
        at[2],
      ];
      const { px, py, pz, vx, vy } = rep.flight.body;
      const before = away(-3);
      if (lined < nth && Math.hypot(px - before[0]!, py - before[1]!) < 0.6) lined = nth;
      const target = lined === nth ? away(3) : before;
      if (lined === nth && Math.hypot(px - target[0]!, py - target[1]!) < 0.8) isThrough = nth + 1;
      const sticks = {
        throttle: limited(target[2]! - pz),
        yaw: 0,
        pitch: limited(0.25 * (target[0]! - px) - 0.12 * vx),
        roll: limited(-(0.25 * (target[1]! - py) - 0.12 * vy)),
      };
      rep.step(sticks, MODE);
    }
    const track = rep.writer.track();
    const { segments, over } = partsOf(track, { course, craft, solids: setUp.solids });
    return { rep, over, lap: lapSeconds(segments, over === 'finished') };
  }

  test('by steady hands a lap ends at the first gate, and the clock says what the track says', () => {
    const { rep, over, lap } = flown(0);
    expect([over, rep.flight.ended]).toEqual(['finished', null]);
    expect(lap).toBeGreaterThan(10);
    expect(lap).toBeLessThan(rep.flight.timeS);
  });

  test('beside the gates nothing begins, and no lap comes of it', () => {
    const { rep, lap } = flown(3);
    expect(rep.referee.at).toBe(0);
    expect(lap).toBeNull();
  });
});
