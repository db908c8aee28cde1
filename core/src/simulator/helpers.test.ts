import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import { exerciseOf } from '../assessment/exercises';
import { RepFlight } from '../assessment/rep';
import { STILL } from './gusts-dryden';
import { CENTRED, type ModeNow, type StickPosition } from './control/control';
import { craftModel } from './craft-model';
import { SimulatedFlight, PHYSICS_STEP_S } from './simulated-flight';
import { practiceOf } from './practice';
import { heedSensors } from './sensors';
import { SURROUNDINGS, solidsAround } from './surroundings';
import { distanceTo, type Solid } from './world';

/** What flies beside the pilot: sensors, automatic return, failsafe; and what the air does back. */

const CRAFT = craftModel(craftFacts(USUAL_CRAFT));
const HELD: ModeNow = { mode: 'position-hold', setting: 'normal', pilotHeadingDeg: null, hold: true };
const wall: Solid = { solid: 'box', x: 0, y: 30, z: 5, alongM: 0.4, acrossM: 40, highM: 10, turnedDeg: 0 };
const wire: Solid = { solid: 'wire', from: [-20, 25, 5], to: [20, 25, 5], radiusM: 0.01 };

describe('obstacle sensors of small craft', () => {
  /** Full speed ahead at what stands there; where it stops, or what it flies into. */
  function ahead(
    solids: readonly Solid[],
    sides: readonly ('ahead' | 'behind')[],
    setting: 'normal' | 'fast',
    hold = true,
    inFast = false,
  ) {
    const flight = new SimulatedFlight(
      CRAFT,
      { solids, wind: STILL },
      { x: 0, y: 5, z: 5, headingDeg: 0 },
      1,
    );
    const asked: StickPosition = { ...CENTRED, pitch: 0.4 };
    let sticks = asked;
    for (let i = 0; i < 15 / PHYSICS_STEP_S && !flight.ended; i += 1) {
      if (i % 5 === 0)
        ({ sticks } = heedSensors(flight.body, asked, {
          fitted: { sides, inFast },
          spanM: CRAFT.spanM,
          setting,
          holdsPosition: hold,
          topSpeedMps: CRAFT.topSpeedMps[setting],
          solids,
        }));
      flight.step(sticks, { ...HELD, setting, hold });
    }
    return flight;
  }
  test('stop it two to six metres short of a wall on a side they look at', () => {
    const flight = ahead([wall], ['ahead'], 'normal');
    expect(flight.ended).toBeNull();
    const room = 29.8 - flight.body.py;
    expect(room).toBeGreaterThan(1.5);
    expect(room).toBeLessThan(6);
  });
  test("work in the fast setting where the craft's record says so", () => {
    expect(ahead([wall], ['ahead'], 'fast', true, true).ended).toBeNull();
  });
  test.each([
    ['on a side without one', [wall], ['behind'], 'normal', true],
    ['in the fast setting', [wall], ['ahead'], 'fast', true],
    ['without position hold', [wall], ['ahead'], 'normal', false],
    ['before a wire', [wire], ['ahead'], 'normal', true],
  ] as const)('do nothing %s', (_, solids, sides, setting, hold) => {
    expect(ahead(solids, sides, setting, hold).ended?.how).toBe('solid');
  });
});

describe('what the craft does by itself', () => {
  const setUp = practiceOf('return-takeover', null, 'position-hold')!;
  const rep = (solids: readonly Solid[] = [], onLinkLoss: 'return' | 'hover' | 'descend' = 'return') =>
    new RepFlight({
      craft: CRAFT,
      course: exerciseOf('tail-in-hover')!,
      scene: { solids, wind: STILL },
      start: { ...setUp.start, z: 6 },
      seed: 3,
      returnHeightM: 15,
      onLinkLoss,
    });
  test('an automatic return climbs first, whatever is above it, then comes home and lands', () => {
    const free = rep();
    free.goHome();
    let highest = 0;
    for (let i = 0; i < 90 / PHYSICS_STEP_S && !free.flight.landed; i += 1) {
      free.step(CENTRED, HELD);
      highest = Math.max(highest, free.flight.body.pz);
      if (free.flight.body.pz < 14 && free.flight.timeS < 3)
        expect(Math.hypot(free.flight.body.px, free.flight.body.py - 34)).toBeLessThan(2);
    }
    expect(highest).toBeGreaterThan(14);
    expect([free.flight.landed, free.flight.ended]).toEqual([true, null]);
    expect(Math.hypot(free.flight.body.px, free.flight.body.py - 6)).toBeLessThan(2);
    const roofed = rep([
      { solid: 'box', x: 0, y: 34, z: 10, alongM: 8, acrossM: 8, highM: 0.2, turnedDeg: 0 },
    ]);
    roofed.goHome();
    for (let i = 0; i < 20 / PHYSICS_STEP_S && !roofed.flight.ended; i += 1) roofed.step(CENTRED, HELD);
    expect(roofed.flight.ended?.how).toBe('solid');
  });
  test('a return is taken over by a stick that is moved, not by one that is held or let go', () => {
    const flown = (sticks: (s: number) => StickPosition) => {
      const one = rep();
      one.goHome();
      for (let i = 0; i < 6 / PHYSICS_STEP_S; i += 1) one.step(sticks(i * PHYSICS_STEP_S), HELD);
      return one.writer.track().events.map((each) => each.is);
    };
    // As hands without height hold have it, and as a pilot on the way has it.
    const held = { ...CENTRED, throttle: 0.45, pitch: 0.6 };
    expect(flown(() => held)).toEqual(['return']);
    expect(flown((s) => (s < 2 ? held : CENTRED))).toEqual(['return']);
    expect(flown((s) => (s < 2 ? held : { ...held, pitch: 0.9 }))).toEqual(['return', 'take-over']);
    expect(flown((s) => (s < 2 ? held : s < 3 ? CENTRED : held))).toEqual(['return', 'take-over']);
    expect(flown((s) => ({ ...held, pitch: 0.6 - Math.min(1.2, s) }))).toEqual(['return', 'take-over']);
  });
  test('a lost link does what was set, and the sticks count again when it is back', () => {
    const [hovers, lands] = [rep([], 'hover'), rep([], 'descend')];
    for (const each of [hovers, lands]) {
      each.loseLink(true);
      for (let i = 0; i < 25 / PHYSICS_STEP_S; i += 1) each.step({ ...CENTRED, pitch: 1 }, HELD);
    }
    expect(Math.hypot(hovers.flight.body.px, hovers.flight.body.py - 34)).toBeLessThan(3);
    expect(hovers.flight.body.pz).toBeCloseTo(6, 0);
    expect(lands.flight.landed).toBe(true);
    hovers.loseLink(false);
    for (let i = 0; i < 3 / PHYSICS_STEP_S; i += 1) hovers.step({ ...CENTRED, pitch: 0.5 }, HELD);
    expect(hovers.flight.body.py).toBeGreaterThan(40);
    expect(hovers.writer.track().events.map((each) => each.is)).toEqual(['link-lost', 'link-back']);
  });
});

test('surroundings never stand in the way of the drill they stand round', () => {
  for (const id of ['figure-eight', 'gap-chain', 'leg-circuit', 'slant-descent'] as const) {
    const paths = exerciseOf(id)!.stages.map((stage) => stage.path);
    for (const kind of SURROUNDINGS) {
      for (const solid of solidsAround(kind, paths))
        for (const path of paths)
          if (path.is === 'segment')
            expect([id, kind, distanceTo(solid, ...path.to) > 1]).toEqual([id, kind, true]);
    }
  }
  expect(solidsAround('trees', []).length).toBeGreaterThan(10);
});

describe('the wash states in flight', () => {
  /**
   * How unsteady the lift of a rotor is that comes down at so many times v_h: spread of the share it keeps.
   */
  function unrest(share: number, forwardShare: number): number {
    const flight = new SimulatedFlight(
      CRAFT,
      { solids: [], wind: STILL },
      { x: 0, y: 0, z: 400, headingDeg: 0 },
      5,
    );
    const mode: ModeNow = { ...HELD, mode: 'height-hold', setting: 'fast' };
    const values: number[] = [];
    for (let i = 0; i < 8 / PHYSICS_STEP_S; i += 1) {
      // Carried at that speed, as in a tunnel: the air comes at it from below and ahead.
      flight.body.vz = -share * CRAFT.inducedMps;
      [flight.body.vx, flight.body.vy] = [0, forwardShare * CRAFT.inducedMps];
      flight.step(CENTRED, mode);
      if (i > 1 / PHYSICS_STEP_S && i % 5 === 0) values.push(flight.acting.kept[0]!);
    }
    const middle = values.reduce((sum, each) => sum + each, 0) / values.length;
    return Math.sqrt(values.reduce((sum, each) => sum + (each - middle) ** 2, 0) / values.length);
  }
  test('shake it between half and one and a half times v_h straight down, and not outside, nor above v_h across (Leishman, ch. 12; Johnson, NASA/TP-2005-213477)', () => {
    const inside = unrest(1, 0);
    for (const [down, across] of [
      [0.2, 0],
      [1.9, 0],
      [1, 1.4],
    ] as const)
      expect([down, across, unrest(down, across) < 0.45 * inside]).toEqual([down, across, true]);
    expect(unrest(0.7, 0)).toBeGreaterThan(0.5 * inside);
    expect(unrest(1.3, 0)).toBeGreaterThan(0.5 * inside);
  });
});

test('an engine whose functions differ in the last place flies the same within a millimetre over ten seconds', () => {
  const fly = () => {
    const flight = new SimulatedFlight(
      CRAFT,
      { solids: [], wind: { speedMps: 5, fromDeg: 40, gusts: 1, jets: [] } },
      { x: 0, y: 10, z: 10, headingDeg: 20 },
      9,
    );
    for (let i = 0; i < 10 / PHYSICS_STEP_S; i += 1)
      flight.step(
        { throttle: 0.2 * Math.round(Math.sin(i / 700)), yaw: 0.3, pitch: 0.3, roll: i > 2_000 ? 0.2 : 0 },
        HELD,
      );
    return { ...flight.body };
  };
  const here = fly();
  const own = {
    sin: Math.sin,
    cos: Math.cos,
    exp: Math.exp,
    atan2: Math.atan2,
    pow: Math.pow,
    tan: Math.tan,
  };
  const off =
    (f: (...args: number[]) => number) =>
    (...args: number[]) =>
      f(...args) * (1 + Number.EPSILON);
  try {
    for (const name of Object.keys(own) as (keyof typeof own)[])
      Math[name] = off(own[name] as (...args: number[]) => number) as never;
    const there = fly();
    expect(Math.hypot(there.px - here.px, there.py - here.py, there.pz - here.pz)).toBeLessThan(1e-3);
    expect(there.px).not.toBe(here.px);
  } finally {
    Object.assign(Math, own);
  }
});
