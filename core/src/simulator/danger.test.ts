import { leanOf } from '../geometry/rotation';
import { type CraftFacts, craftFacts, SPEED_SETTINGS, USUAL_CRAFT } from '../vocabulary/craft-facts';
import { type ModeNow, PILOTED_MODES, type PilotedMode, type StickPosition } from './control/control';
import { CENTRED } from './control/control';
import { courseFlown, exerciseOf } from '../assessment/exercises';
import { pilotAt } from '../assessment/walk';
import { RepFlight } from '../assessment/rep';
import { craftModel } from './craft-model';
import { STILL, type Wind } from './gusts-dryden';
import { standing } from './rigid-body';
import { PHYSICS_STEP_S, SimulatedFlight, type SimulatedScene } from './simulated-flight';

/** What can hurt is there: a flat pack, the ground, the craft's own wash; and air and craft are never quite at rest. */

const FACTS = craftFacts(USUAL_CRAFT);
const modeNow = (mode: PilotedMode, setting: ModeNow['setting'] = 'normal'): ModeNow => ({
  mode,
  setting,
  pilotHeadingDeg: null,
  hold: true,
});
const isManual = (mode: PilotedMode) => mode === 'rate' || mode === 'self-level';
/** Throttle that carries the weight without height hold. */
const hovers = (thrustToWeight: number) => 2 * Math.sqrt(1 / thrustToWeight) - 1;

function up(zM: number, facts: Partial<CraftFacts> = {}, scene: Partial<SimulatedScene> = {}, seed = 3) {
  const craft = craftModel({ ...FACTS, ...facts });
  return new SimulatedFlight(
    craft,
    { solids: [], wind: STILL, ...scene },
    { x: 0, y: 0, z: zM, headingDeg: 0 },
    seed,
  );
}
function run(
  flight: SimulatedFlight,
  seconds: number,
  sticks: Partial<StickPosition>,
  mode: ModeNow,
  each?: () => void,
) {
  for (let i = 0; i < seconds / PHYSICS_STEP_S && !flight.ended; i += 1) {
    flight.step({ ...CENTRED, ...sticks }, mode);
    each?.();
  }
}

test.each([1.5, 2, 4, 8])(
  'a flat pack comes down, with a thrust of %s times the weight too',
  (thrustToWeight) => {
    const flight = up(15, { thrustToWeight });
    flight.charge = 0.04;
    run(flight, 120, {}, modeNow('position-hold'));
    expect(flight.ended).toMatchObject({ how: 'ground' });
    expect(flight.charge).toBeLessThan(0.03);
  },
);

describe('a pack that is nearly flat', () => {
  const course = exerciseOf('tail-in-hover')!;
  /** Flown with these sticks until it is down or over, from a charge that is just enough. */
  function flown(mode: PilotedMode, sticks: Partial<StickPosition>, walks = false) {
    const rep = new RepFlight({
      craft: craftModel(FACTS),
      course: courseFlown(course, walks),
      scene: { solids: [], wind: STILL, charge: 0.085 },
      start: { x: 0, y: 20, z: 12, headingDeg: 0 },
      seed: 5,
    });
    while (rep.flight.timeS < 90 && !rep.flight.ended && !rep.flight.landed)
      rep.step({ ...CENTRED, ...sticks }, modeNow(mode));
    return rep;
  }
  const told = (rep: RepFlight) => rep.writer.track().events.map(({ is }) => is);
  test.each(['position-hold', 'height-hold'] as const)('brings a craft down by itself in %s', (mode) => {
    const rep = flown(mode, {});
    expect([rep.flight.landed, rep.flight.ended]).toEqual([true, null]);
    expect(rep.flight.charge).toBeGreaterThan(0.03);
    expect(told(rep).filter((is) => is === 'lands-itself')).toHaveLength(1);
  });
  test('a pilot who holds it up with the throttle does not stop it, and steers where it lands', () => {
    const rep = flown('position-hold', { throttle: 1, roll: 0.05 });
    expect([rep.flight.landed, rep.flight.ended]).toEqual([true, null]);
    expect(rep.flight.body.px).toBeGreaterThan(10);
  });
  test('by hand nothing lands it: it flies until it falls', () => {
    const rep = flown('self-level', { throttle: hovers(FACTS.thrustToWeight) + 0.03 });
    expect(told(rep)).not.toContain('lands-itself');
    expect(rep.flight.ended).toMatchObject({ how: 'ground' });
  });
});

test('a pilot who walks is where they walked to, and not where the drill began', () => {
  const course = courseFlown(exerciseOf('tail-in-hover')!, true);
  const [begin, later] = [pilotAt(course, 0), pilotAt(course, 40)];
  expect([begin.x, begin.y]).toEqual([0, 0]);
  expect(Math.hypot(later.x, later.y)).toBeGreaterThan(25);
  expect(pilotAt(exerciseOf('tail-in-hover')!, 40)).toEqual({ x: 0, y: 0 });
});

test.each(['height-hold', 'self-level', 'position-hold'] as const)(
  'close over the ground it wobbles by degrees in %s, and less higher up',
  (mode) => {
    const unrest = (spans: number) => {
      let [sum, count] = [0, 0];
      for (let seed = 1; seed <= 4; seed += 1) {
        const flight = up(spans * FACTS.spanM, {}, {}, seed);
        run(
          flight,
          15,
          isManual(mode) ? { throttle: hovers(FACTS.thrustToWeight) } : {},
          modeNow(mode),
          () => {
            flight.body.pz = spans * FACTS.spanM;
            flight.body.vz = 0;
            sum += leanOf(flight.body) ** 2;
            count += 1;
          },
        );
      }
      return Math.sqrt(sum / count);
    };
    const near = unrest(0.9);
    expect(near).toBeGreaterThan(0.3);
    expect(near).toBeLessThan(4);
    expect(unrest(3)).toBeLessThan(near);
  },
);

test('lift that is lost in its own wash does not depend on the power in hand', () => {
  const least = (thrustToWeight: number) => {
    const flight = up(400, { thrustToWeight });
    let [sum, count] = [0, 0];
    run(flight, 3, {}, modeNow('height-hold', 'fast'), () => {
      flight.body.vz = -flight.craft.inducedMps;
      Object.assign(flight.body, { ...standing(0, 0, 400, 0), vz: flight.body.vz });
      sum += flight.acting.kept.reduce((all, each) => all + each, 0) / flight.craft.rotors;
      count += 1;
    });
    return sum / count;
  };
  expect(least(1.5) / least(5)).toBeCloseTo(1, 1);
});

/** Nose swung round while it sinks, stick and power pushed after it. @returns the steepest lean after the swing, ° */
function spun(mode: PilotedMode, thrustToWeight: number, spins = true): number {
  const [manual, hover] = [isManual(mode), hovers(thrustToWeight)];
  const steepest = [1, 2, 3, 4].map((seed) => {
    const flight = up(80, { thrustToWeight }, { wind: { ...STILL, speedMps: 3, fromDeg: 180 } }, seed);
    const now = modeNow(mode, 'fast');
    flight.body.vy = 7;
    if (!manual) run(flight, 0.5, { pitch: 0.4 }, now);
    const sinks = { throttle: manual ? hover - 0.35 : -0.8 };
    const leans = mode === 'rate' ? 0.15 : 1;
    run(
      flight,
      mode === 'rate' ? 1 : 1.3,
      { ...sinks, yaw: spins ? 1 : 0, pitch: mode === 'rate' ? 0 : 0.2 },
      now,
    );
    let most = 0;
    const look = () => void (most = Math.max(most, leanOf(flight.body)));
    run(flight, 1.6, { throttle: manual ? hover + 0.15 : -0.8, pitch: spins ? leans : 0 }, now, look);
    run(flight, 2, { throttle: manual ? hover + 0.1 : 0 }, now, look);
    return most;
  });
  return steepest.reduce((sum, each) => sum + each, 0) / steepest.length;
}

describe('a yaw tumble comes out of the air, in every mode', () => {
  test.each(PILOTED_MODES)('in %s a swung nose drops a side, less with power in hand', (mode) => {
    const steepest = [1.4, 1.6, 1.8, 2, 2.5, 3, 5].map((thrustToWeight) => spun(mode, thrustToWeight));
    const [weak, strong] = [Math.max(...steepest.slice(0, -1)), steepest.at(-1)!];
    expect(weak).toBeGreaterThan(50);
    expect(strong).toBeLessThan(weak - 10);
    // No switch: from one step of thrust to the next it changes by less than from none to all.
    const steps = steepest.slice(1).map((each, i) => Math.abs(each - steepest[i]!));
    expect(Math.max(...steps)).toBeLessThan(60);
  });
  test.each(PILOTED_MODES)('in %s nothing drops where the nose was not swung', (mode) => {
    expect(spun(mode, 1.6, false)).toBeLessThan(42);
  });
});

test.each(['position-hold', 'height-hold', 'self-level'] as const)(
  'in %s each setting is as fast as the record says',
  (mode) => {
    for (const setting of SPEED_SETTINGS) {
      const flight = up(60);
      let top = 0;
      for (let t = 0; t < 25; t += 0.1) {
        const climb = isManual(mode) ? hovers(FACTS.thrustToWeight) + 0.08 + (60 - flight.body.pz) * 0.05 : 0;
        run(flight, 0.1, { pitch: 1, throttle: climb }, modeNow(mode, setting));
        top = Math.max(top, Math.hypot(flight.body.vx, flight.body.vy));
      }
      expect([setting, top / FACTS.topSpeedMps[setting] > 0.93]).toEqual([setting, true]);
      expect([setting, top / FACTS.topSpeedMps[setting] < 1.05]).toEqual([setting, true]);
    }
  },
);

test('a large rotor takes longer to change its speed than a small one', () => {
  const lag = (rotorRadiusM: number) => craftModel({ ...FACTS, rotorRadiusM }).motorLagS;
  expect(lag(0.03)).toBeCloseTo(0.03, 6);
  expect(lag(0.2)).toBeCloseTo(0.06, 6);
  expect(lag(0.1)).toBeGreaterThan(lag(0.06));
});

test('what is called calm breathes, and hands off it drifts without hold', () => {
  const calm: Wind = { speedMps: 0, fromDeg: 0, gusts: 1, jets: [] };
  const flight = up(4, {}, { wind: calm, trim: { ahead: 0.1, right: 0 } });
  const speeds = new Set<string>();
  run(flight, 20, {}, modeNow('height-hold'), () => {
    speeds.add(Math.hypot(flight.acting.windX, flight.acting.windY).toFixed(2));
  });
  expect(speeds.size).toBeGreaterThan(20);
  expect(Math.hypot(flight.body.px, flight.body.py)).toBeGreaterThan(1);
});
