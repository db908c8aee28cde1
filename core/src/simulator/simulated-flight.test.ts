import { uprightness } from '../geometry/rotation';
import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import { degrees, G_MPS2, radians } from '../reconstruct/constants';
import { driftDistance } from '../reconstruct/drift';
import { groundEffect } from '../reconstruct/ground-effect';
import { stoppingDistance } from '../reconstruct/stopping-distance';
import { Air, drydenScales, STILL } from './gusts-dryden';
import { type Acting, type BodyState, Integrator, rotorsAtRest, standing } from './rigid-body';
import { CONTROL_LAG_S, LEAN_RATE_RADPS } from '../reconstruct/craft-stopping';
import { CENTRED, type ModeNow, type StickPosition } from './control/control';
import { craftModel, type CraftModel } from './craft-model';
import { SimulatedFlight, type Start, PHYSICS_STEP_S } from './simulated-flight';
import { mix } from './mixer';
import { axialDescentFit, inducedVelocity } from './rotor';

const CRAFT = craftModel(craftFacts(USUAL_CRAFT));
const DRAGLESS: CraftModel = { ...CRAFT, dragTimeS: Infinity, terminalMps: Infinity };
const HOLD: ModeNow = { mode: 'position-hold', setting: 'normal', pilotHeadingDeg: null, hold: true };
const HIGH: Start = { x: 0, y: 0, z: 40, headingDeg: 0 };

function flown(
  seconds: number,
  sticks: (t: number, flight: SimulatedFlight) => Partial<StickPosition>,
  {
    craft = CRAFT,
    wind = STILL,
    mode = () => HOLD,
    start = HIGH,
    seed = 1,
  }: {
    craft?: CraftModel;
    wind?: typeof STILL;
    mode?: (t: number) => ModeNow;
    start?: Start;
    seed?: number;
  } = {},
): SimulatedFlight {
  const flight = new SimulatedFlight(craft, { solids: [], wind }, start, seed);
  for (let i = 0; i < seconds / PHYSICS_STEP_S; i += 1)
    flight.step({ ...CENTRED, ...sticks(flight.timeS, flight) }, mode(flight.timeS));
  return flight;
}
const lean = (body: BodyState): number => Math.acos(uprightness(body));
const free = (craft: CraftModel, power = 0): Acting => ({
  rotorSpeed: new Float64Array(craft.rotors).fill(power),
  induced: new Float64Array(craft.rotors),
  kept: new Float64Array(craft.rotors).fill(1),
  windX: 0,
  windY: 0,
  windZ: 0,
  power: 1,
  ground: 1,
  shake: new Float64Array(5),
  rotors: rotorsAtRest(),
});

describe('rotors (Leishman, Principles of Helicopter Aerodynamics, ch. 2)', () => {
  test('a hover takes v_h, and motors at √(1 / thrust-to-weight) of full speed', () => {
    const flight = flown(4, () => ({}));
    expect(flight.acting.rotorSpeed[0]).toBeCloseTo(Math.sqrt(1 / CRAFT.thrustToWeight), 2);
    expect(flight.acting.rotors.inducedMps / CRAFT.inducedMps).toBeCloseTo(1, 2);
    expect(flight.acting.rotors.thrustN).toBeCloseTo(CRAFT.massKg * G_MPS2, 1);
    expect(CRAFT.inducedMps).toBeCloseTo(5.1, 1); // 0.9 kg on four rotors of 0.105 m
  });

  test('climb, level flight and windmill obey momentum theory; axial descent the fit to measurements', () => {
    const vh = 5;
    for (const x of [0.25, 0.5, 1, 2, 4])
      expect(inducedVelocity(vh, 0, x * vh) / vh).toBeCloseTo(-x / 2 + Math.sqrt((x * x) / 4 + 1), 8);
    for (const across of [0.5, 1, 2, 4]) {
      const vi = inducedVelocity(vh, across * vh, 0);
      expect(vi).toBeCloseTo((vh * vh) / Math.hypot(across * vh, vi), 8);
    }
    for (const x of [-2.5, -3, -5])
      expect(inducedVelocity(vh, 0, x * vh) / vh).toBeCloseTo(-x / 2 - Math.sqrt((x * x) / 4 - 1), 8);
    // The polynomial at −0.5 and −1, worked by hand from its published coefficients.
    expect(axialDescentFit(-0.5)).toBeCloseTo(1 + 0.5625 - 0.343 + 0.21475 - 0.0409375, 10);
    expect(inducedVelocity(vh, 0, -vh) / vh).toBeCloseTo(1 + 1.125 - 1.372 + 1.718 - 0.655, 10);
  });

  test("ground effect on thrust is Cheeseman and Bennett's", () => {
    const low = flown(0.2, () => ({}), { start: { ...HIGH, z: 0.35 } });
    expect(low.acting.ground).toBeCloseTo(groundEffect(CRAFT.rotorRadiusM, low.body.pz), 2);
  });
});

describe('a rigid body', () => {
  const fall = (craft: CraftModel, seconds: number): BodyState => {
    const [body, integrator, acting] = [standing(0, 0, 0, 0), new Integrator(craft), free(craft)];
    for (let i = 0; i < seconds / PHYSICS_STEP_S; i += 1) integrator.step(body, acting, PHYSICS_STEP_S);
    return body;
  };

  test('falls freely without drag: 10 m give 14 m/s; with drag it tends to the speed at which drag is its weight', () => {
    const seconds = Math.sqrt(20 / G_MPS2);
    expect(-fall(DRAGLESS, seconds).pz).toBeCloseTo(10, 1);
    expect(-fall(DRAGLESS, 1).vz).toBeCloseTo(G_MPS2, 6);
    expect(-fall(CRAFT, 40).vz).toBeCloseTo(CRAFT.terminalMps, 1);
  });

  test('tumbling without torque it keeps energy and momentum', () => {
    const body = { ...standing(0, 0, 0, 30), wx: 6, wy: 0.3, wz: 4 };
    const [integrator, acting] = [new Integrator(DRAGLESS), free(DRAGLESS)];
    const energy = () =>
      DRAGLESS.inertiaX * body.wx ** 2 + DRAGLESS.inertiaY * body.wy ** 2 + DRAGLESS.inertiaZ * body.wz ** 2;
    const momentum = () =>
      Math.hypot(DRAGLESS.inertiaX * body.wx, DRAGLESS.inertiaY * body.wy, DRAGLESS.inertiaZ * body.wz);
    const [e, m] = [energy(), momentum()];
    for (let i = 0; i < 5_000; i += 1) integrator.step(body, acting, PHYSICS_STEP_S);
    expect(energy() / e).toBeCloseTo(1, 7);
    expect(momentum() / m).toBeCloseTo(1, 7);
    expect(Math.hypot(body.qw, body.qx, body.qy, body.qz)).toBeCloseTo(1, 12);
  });
});

describe('flying', () => {
  test('a level turn is as wide and as fast as V² / (g tan θ) and g tan θ / V say (FAA-H-8083-25C)', () => {
    const [speed, theta] = [8, radians(20)];
    const rate = (G_MPS2 * Math.tan(theta)) / speed;
    const flight = new SimulatedFlight(DRAGLESS, { solids: [], wind: STILL }, HIGH, 1);
    flight.body.vy = speed;
    const mode: ModeNow = { ...HOLD, mode: 'height-hold' };
    // Nose kept on the path and speed held by hand: the lean lags the nose a little and would drive it on.
    // The lean limit of the normal setting is 25°.
    const sticks = () => {
      const { qw, qx, qy, qz, vx, vy } = flight.body;
      const off = Math.atan2(2 * (qx * qy + qw * qz), 1 - 2 * (qy * qy + qz * qz)) - Math.atan2(vy, vx);
      const wrapped = Math.atan2(Math.sin(off), Math.cos(off));
      return {
        ...CENTRED,
        roll: 20 / 25,
        pitch: 0.5 * (speed - Math.hypot(vx, vy)),
        yaw: Math.min(1, (rate + 8 * wrapped) / 1.6),
      };
    };
    const step = (seconds: number) => {
      for (let i = 0; i < seconds / PHYSICS_STEP_S; i += 1) flight.step(sticks(), mode);
    };
    step(4);
    const [x, y, pathBefore, v] = [
      flight.body.px,
      flight.body.py,
      Math.atan2(flight.body.vy, flight.body.vx),
      Math.hypot(flight.body.vx, flight.body.vy),
    ];
    const half = Math.PI / ((G_MPS2 * Math.tan(theta)) / v);
    step(half);
    const turned = Math.abs(
      Math.atan2(
        Math.sin(Math.atan2(flight.body.vy, flight.body.vx) - pathBefore),
        Math.cos(Math.atan2(flight.body.vy, flight.body.vx) - pathBefore),
      ),
    );
    expect(lean(flight.body)).toBeCloseTo(theta, 1);
    expect(Math.abs(turned - Math.PI)).toBeLessThan(0.1);
    // Half a turn on, the chord is the diameter.
    expect(
      Math.hypot(flight.body.px - x, flight.body.py - y) / (2 * ((v * v) / (G_MPS2 * Math.tan(theta)))),
    ).toBeCloseTo(1, 1);
    expect(Math.abs(flight.body.pz - HIGH.z)).toBeLessThan(0.6);
  });

  test('braked hard from speed it stops where the stopping sum says; let go it takes a little longer', () => {
    let at = { y: 0, v: 0 };
    let stood: number | null = null;
    const stops = (brake: Partial<StickPosition>, mode: ModeNow) => {
      stood = null;
      return flown(
        12,
        (t, now) => {
          if (t < 5) {
            at = { y: now.body.py, v: now.body.vy };
            return { pitch: 1 };
          }
          if (now.body.vy <= 0.05) stood ??= now.body.py - at.y;
          return brake;
        },
        { mode: () => mode },
      );
    };
    stops({ pitch: -1 }, { ...HOLD, mode: 'height-hold' });
    const { totalM } = stoppingDistance({
      speedMps: at.v,
      reactionS: CONTROL_LAG_S + CRAFT.motorLagS,
      leanFromDeg: degrees(Math.atan(at.v / (G_MPS2 * CRAFT.dragTimeS))),
      leanToDeg: 25,
      leanRateDps: degrees(LEAN_RATE_RADPS),
      dragTimeS: CRAFT.dragTimeS,
    });
    expect(Math.abs(stood! / totalM - 1)).toBeLessThan(0.08);
    stops({}, HOLD);
    expect(stood! / totalM).toBeGreaterThan(1);
    expect(stood! / totalM).toBeLessThan(1.5);
  });

  test('when hold drops it takes up the wind as the drift sum says', () => {
    const wind = { ...STILL, speedMps: 5 };
    const flight = flown(10, () => ({}), {
      wind,
      mode: (t) => ({ ...HOLD, mode: 'height-hold', hold: t < 0 }),
    });
    const air = new Air(wind, 1);
    air.step({ px: 0, py: 0, pz: 40 }, 0, 0.01);
    expect(-flight.body.py / driftDistance(-air.y, 10, CRAFT.dragTimeS)).toBeCloseTo(1, 1);
  });

  test('straight down at v_h it shakes and loses lift; with forward speed over v_h it does not', () => {
    const least = (pitch: number) => {
      let kept = 1;
      flown(
        8,
        (t, now) => {
          if (t > 3) kept = Math.min(kept, ...now.acting.kept);
          return { throttle: t < 3 ? 0 : -1, pitch };
        },
        { mode: () => ({ ...HOLD, mode: 'height-hold', setting: 'fast' }), start: { ...HIGH, z: 80 } },
      );
      return kept;
    };
    expect(least(0)).toBeLessThan(0.75);
    expect(least(0.6)).toBeGreaterThan(0.95);
  });

  test('the same seed gives the same flight to the last bit, another seed another', () => {
    const gusty = { ...STILL, speedMps: 5, gusts: 1 };
    const fly = (seed: number) => flown(3, () => ({ pitch: 0.4 }), { wind: gusty, seed }).body;
    expect(fly(3)).toEqual(fly(3));
    expect(fly(3)).not.toEqual(fly(4));
  });

  test('set down softly it has landed; dropped it has crashed', () => {
    const down = flown(9, () => ({ throttle: -0.4 }), {
      mode: () => ({ ...HOLD, setting: 'slow' }),
      start: { ...HIGH, z: 2 },
    });
    expect(down.ended).toBeNull();
    expect(down.landed).toBe(true);
    expect(
      flown(3, () => ({ throttle: -1 }), {
        mode: () => ({ ...HOLD, mode: 'self-level' }),
        start: { ...HIGH, z: 4 },
      }).ended,
    ).toMatchObject({ how: 'ground' });
  });
});

describe('the mixer (Faessler et al., 2017)', () => {
  const thrusts = new Float64Array(4);
  const wanted = (thrustN: number, rollNm: number, pitchNm: number, yawNm: number) => ({
    thrustN,
    rollNm,
    pitchNm,
    yawNm,
  });
  const moments = () => ({
    thrust: thrusts.reduce((sum, t) => sum + t, 0),
    roll: thrusts.reduce((sum, t, i) => sum + t * CRAFT.rotorY[i]!, 0),
    pitch: thrusts.reduce((sum, t, i) => sum - t * CRAFT.rotorX[i]!, 0),
    yaw: thrusts.reduce((sum, t, i) => sum + t * CRAFT.spin[i]! * CRAFT.torquePerThrustM, 0),
  });

  test('gives exactly what is asked while no rotor is at its end', () => {
    mix(CRAFT, thrusts, wanted(9, 0.05, -0.04, 0.005), CRAFT.fullThrustN);
    const got = moments();
    expect([got.thrust, got.roll, got.pitch, got.yaw].map((each) => Number(each.toFixed(9)))).toEqual([
      9, 0.05, -0.04, 0.005,
    ]);
  });

  test('at its end yaw goes first, then the collective gives way, and roll and pitch keep their direction', () => {
    mix(CRAFT, thrusts, wanted(0, 0.1, 0.05, 0), CRAFT.fullThrustN);
    const hardest = thrusts.indexOf(Math.max(...thrusts));
    mix(
      CRAFT,
      thrusts,
      wanted(4 * CRAFT.fullThrustN, 0.1, 0.05, 0.01 * CRAFT.spin[hardest]!),
      CRAFT.fullThrustN,
    );
    const full = moments();
    expect(full.yaw).toBeCloseTo(0, 9);
    expect([full.roll, full.pitch].map((each) => Number(each.toFixed(9)))).toEqual([0.1, 0.05]);
    expect(full.thrust).toBeLessThan(4 * CRAFT.fullThrustN);
    mix(CRAFT, thrusts, wanted(9, 4, 2, 0), CRAFT.fullThrustN);
    const torn = moments();
    expect(torn.roll / torn.pitch).toBeCloseTo(2, 9);
    for (const t of thrusts) {
      expect(t).toBeGreaterThanOrEqual(0);
      expect(t).toBeLessThanOrEqual(CRAFT.fullThrustN);
    }
  });
});

describe('turbulence (MIL-F-8785C, low altitude)', () => {
  const [height, windMps, speed, dt] = [60, 6, 8, 0.01];
  const scales = drydenScales(height, windMps);
  const air = new Air({ ...STILL, speedMps: windMps, fromDeg: 180, gusts: 1 }, 5);
  const along: number[] = [];
  const across: number[] = [];
  const up: number[] = [];
  for (let i = 0; i < 300_000; i += 1) {
    air.step({ px: 0, py: 0, pz: height }, speed, dt);
    along.push(air.y);
    across.push(air.x);
    up.push(air.z);
  }
  const HANN = Float64Array.from(
    { length: 10_000 },
    (_, i) => 0.5 - 0.5 * Math.cos((2 * Math.PI * i) / 10_000),
  );
  const variance = (values: readonly number[]) => {
    const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
    return values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length;
  };

  /**
   * Power density at one frequency (one-sided, per rad/s): averaged periodograms of pieces a hundred seconds
   * long, each under a Hann window (Welch, 1967).
   */
  const density = (values: readonly number[], omega: number): number => {
    const piece = HANN.length;
    const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
    const [turnRe, turnIm] = [Math.cos(omega * dt), -Math.sin(omega * dt)];
    let sum = 0;
    const pieces = Math.floor(values.length / piece);
    for (let p = 0; p < pieces; p += 1) {
      let re = 0,
        im = 0,
        cos = 1,
        sin = 0;
      for (let i = 0; i < piece; i += 1) {
        const x = (values[p * piece + i]! - mean) * HANN[i]!;
        re += x * cos;
        im += x * sin;
        const next = cos * turnRe - sin * turnIm;
        sin = cos * turnIm + sin * turnRe;
        cos = next;
      }
      sum += ((re * re + im * im) * dt) / (0.375 * piece * Math.PI);
    }
    return sum / pieces;
  };
  const near = (values: readonly number[], omega: number) =>
    [0.85, 0.9, 0.95, 1, 1.05, 1.1, 1.15].reduce((sum, factor) => sum + density(values, omega * factor), 0) /
    7;

  test('lengths and intensities at 200 ft: the formula worked by hand', () => {
    const at = drydenScales(200 * 0.3048, 10);
    expect(at.lw).toBeCloseTo(60.96, 6);
    expect(at.lu).toBeCloseTo(60.96 / 0.3416 ** 1.2, 6);
    expect(at.sw).toBeCloseTo(1, 12);
    expect(at.su).toBeCloseTo(1 / 0.3416 ** 0.4, 9);
  });

  test('variances are σ²', () => {
    expect(variance(along) / scales.su ** 2).toBeCloseTo(1, 0);
    expect(Math.abs(variance(across) / scales.sv ** 2 - 1)).toBeLessThan(0.2);
    expect(Math.abs(variance(up) / scales.sw ** 2 - 1)).toBeLessThan(0.15);
  });

  test("spectra follow Dryden's, along and across", () => {
    for (const omega of [0.3, 1, 3]) {
      const [a, c] = [(scales.lu * omega) / speed, (scales.lw * omega) / speed];
      const phiU = (scales.su ** 2 * 2 * scales.lu) / (Math.PI * speed) / (1 + a * a);
      const phiW = ((scales.sw ** 2 * scales.lw) / (Math.PI * speed)) * ((1 + 3 * c * c) / (1 + c * c) ** 2);
      expect(Math.abs(near(along, omega) / phiU - 1)).toBeLessThan(0.35);
      expect(Math.abs(near(up, omega) / phiW - 1)).toBeLessThan(0.35);
    }
  });
});
