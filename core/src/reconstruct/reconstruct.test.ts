import fc from 'fast-check';
import { airDensity } from './air-density';
import { chanceOver } from './chance-over';
import { G_MPS2 } from './constants';
import { dragTime } from './drag-time';
import { driftDistance, driftSpeed } from './drift';
import { chargeHome, turnBackDistance } from './energy-home';
import { falling, terminalSpeed } from './falling';
import { gapRoom } from './gap-room';
import { groundEffect } from './ground-effect';
import { hoverInducedVelocity } from './hover-induced-velocity';
import { heightLostInLean, loadFactor, steepestLevelLean, turnRadius, yawRateAlongPath } from './leaning';
import { failsafeFor, returnHeight } from './return-height';
import { attitudeRange, detectionRange, oneMinuteOfArc } from './sight-range';
import { solveODE } from '../testing/ode';
import { fastestThatStops, stoppingDistance } from './stopping-distance';
import { turnFold, washIndex } from './turn-fold';
import { vortexRingState } from './vortex-ring-state';
import { beaufort, windAtHeight } from './wind-at-height';
import { alongTrack } from './wind-triangle';
import { pressureAltitude } from './pressure-altitude';

/** Each formula against a published table or example, named beside it, or against what must hold of it. */

const KNOT = 0.514_444;
const FOOT = 0.3048;

describe('air and rotors', () => {
  test.each([
    [0, 1.225],
    [1000, 1.1117],
    [2000, 1.0066],
    [5000, 0.736_43],
    [10_000, 0.413_51],
  ])('density at %d m is %d kg/m³ (ICAO Doc 7488 table, geometric height)', (altitude, density) => {
    expect(airDensity(altitude)).toBeCloseTo(density, 4);
  });

  test('warm air is thinner: at constant pressure density goes with the inverse of temperature', () => {
    expect(airDensity(0, 20)).toBeCloseTo((1.225 * 288.15) / 308.15, 4);
  });

  test('pressure tells the height in the standard atmosphere (ISO 2533: 898.746 and 794.952 hPa at 1 000 and 2 000 m)', () => {
    expect(pressureAltitude(101_325)).toBeCloseTo(0, 6);
    expect(pressureAltitude(89_874.6)).toBeCloseTo(1_000, 1);
    expect(pressureAltitude(79_495.2)).toBeCloseTo(2_000, 1);
  });

  test('hover induced velocity of 0.9 kg on four rotors of 0.105 m is about 5.1 m/s (momentum theory, Leishman ch. 2)', () => {
    expect(hoverInducedVelocity(0.9, 4, 0.105, 1.225)).toBeCloseTo(5.1, 1);
  });

  test('twice the weight asks for √2 the induced velocity, thin air for more', () => {
    expect(
      hoverInducedVelocity(1.8, 4, 0.105, 1.225) / hoverInducedVelocity(0.9, 4, 0.105, 1.225),
    ).toBeCloseTo(Math.SQRT2, 10);
    expect(hoverInducedVelocity(0.9, 4, 0.105, airDensity(2000))).toBeGreaterThan(
      hoverInducedVelocity(0.9, 4, 0.105, airDensity(0)),
    );
  });

  test.each([
    [0.5, 1.3333],
    [1, 1.0667],
    [2, 1.0159],
  ])('ground effect at %d R is %d (Cheeseman and Bennett 1955)', (radii, ratio) => {
    expect(groundEffect(0.1, 0.1 * radii)).toBeCloseTo(ratio, 4);
  });

  test('ground effect is below 1 % at one span, and not defined below half a radius', () => {
    expect(groundEffect(0.105, 0.35)).toBeLessThan(1.01);
    expect(() => groundEffect(0.1, 0.04)).toThrow('Disc height must be from 0.05 to');
  });
});

describe('the map of wash states (Leishman ch. 2 and 12)', () => {
  test.each([
    [0.2, 0, 'clean'],
    [1, 0, 'own-wash'],
    [1, 0.5, 'own-wash'],
    [1, 1.5, 'clean'],
    [0.5, 0, 'edge'],
    [2.4, 0, 'windmill'],
    [-1, 0, 'clean'],
  ] as const)('descent %d v_h, forward %d v_h: %s', (descent, forward, state) => {
    expect(vortexRingState(descent * 5, forward * 5, 5).state).toBe(state);
  });

  test('faster forward never makes it worse, and nothing jumps at the edge', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 15, noNaN: true }),
        fc.double({ min: 0, max: 15, noNaN: true }),
        (descent, forward) => {
          const here = vortexRingState(descent, forward, 5).trouble;
          expect(vortexRingState(descent, forward + 0.5, 5).trouble).toBeLessThanOrEqual(here + 1e-12);
          expect(Math.abs(vortexRingState(descent + 0.001, forward, 5).trouble - here)).toBeLessThan(0.005);
        },
      ),
    );
  });
});

describe("turning back into one's own wash", () => {
  const from = {
    speedMps: 9,
    descentMps: 1,
    yawS: 0.8,
    leanDeg: 25,
    thrustToWeight: 2,
    inducedMps: 5,
    dragTimeS: 3,
  };
  test('flying straight on is clean; half a turn at once is worse than a quarter', () => {
    const at = (yawDeg: number, more: object = {}) => turnFold({ ...from, yawDeg, ...more }).worst.washIndex;
    expect(at(0)).toBeLessThan(0.05);
    expect(at(180)).toBeGreaterThan(at(90));
  });

  test('the same turn flown as fast as the path can follow stays clean; power in hand makes it milder', () => {
    const slow = turnFold({ ...from, speedMps: 4, yawDeg: 180, yawS: 8 });
    const spun = turnFold({ ...from, speedMps: 4, yawDeg: 180, yawS: 0.8 });
    expect(slow.worst.washIndex).toBeLessThan(spun.worst.washIndex);
    expect(
      turnFold({ ...from, speedMps: 4, yawDeg: 180, thrustToWeight: 4 }).worst.washIndex,
    ).toBeGreaterThan(0);
    expect(washIndex(5, 0, 5, 0.75)).toBeLessThan(washIndex(5, 0, 5, 0.25));
  });

  test('without lean nothing bends the path, and drag alone slows it: v = v₀ e^(−t/τ)', () => {
    const { moments } = turnFold({ ...from, leanDeg: 0, yawDeg: 180, dragTimeS: 2 });
    const [first, last] = [moments[0]!, moments.at(-1)!];
    expect(last.acrossM).toBeCloseTo(0, 9);
    expect(last.alongM - first.alongM).toBeCloseTo(9 * 2 * (1 - Math.exp(-last.s / 2)), 0);
  });
});

describe('leaning and turning', () => {
  test.each([
    [30, 1.155],
    [45, 1.414],
    [60, 2],
  ])('load factor at %d° is %d (FAA-H-8083-25C chart)', (lean, factor) => {
    expect(loadFactor(lean)).toBeCloseTo(factor, 3);
  });

  test('120 knots at 30° of bank: 2 215 ft and 5.25 °/s (FAA-H-8083-25C, worked example; its constant 11.26 is rounded by 0.3 %)', () => {
    expect(Math.abs(turnRadius(120 * KNOT, 30) / FOOT / 2215 - 1)).toBeLessThan(0.004);
    expect(yawRateAlongPath(120 * KNOT, 30)).toBeCloseTo(5.25, 1);
  });

  test('once round at that rate and speed is the circle of that radius', () => {
    const seconds = 360 / yawRateAlongPath(8, 25);
    expect((8 * seconds) / (2 * Math.PI)).toBeCloseTo(turnRadius(8, 25), 9);
  });

  test('thrust to weight 2 holds height up to 60°; a lean without power loses height', () => {
    expect(steepestLevelLean(2)).toBeCloseTo(60, 9);
    expect(heightLostInLean(60, 2)).toBeCloseTo(G_MPS2, 9);
    expect(heightLostInLean(0, 5)).toBe(0);
  });
});

describe('stopping', () => {
  const plain = { speedMps: 20, reactionS: 0.75, leanFromDeg: 0, leanToDeg: 35, leanRateDps: Infinity };
  test('20 m/s, 0.75 s, 35°: 15 m and 29.1 m (constant deceleration)', () => {
    const { reactionM, leaningM, brakingM, totalM } = stoppingDistance(plain);
    expect([reactionM, leaningM]).toEqual([15, 0]);
    expect(brakingM).toBeCloseTo(29.1, 1);
    expect(totalM).toBeCloseTo(44.1, 1);
  });

  test('with drag it agrees with the equation of motion stepped through', () => {
    const [push, tau] = [G_MPS2 * Math.tan((25 * Math.PI) / 180), 3];
    let [v, x] = [14, 0];
    for (const dt = 1e-4; v > 0; x += v * dt) v -= (push + v / tau) * dt;
    expect(
      stoppingDistance({
        speedMps: 14,
        reactionS: 0,
        leanFromDeg: 0,
        leanToDeg: 25,
        leanRateDps: Infinity,
        dragTimeS: tau,
      }).totalM,
    ).toBeCloseTo(x, 2);
  });

  test('the closed form and its series meet where one takes over from the other', () => {
    const at = (dragTimeS: number) => stoppingDistance({ ...plain, dragTimeS }).brakingM;
    const edge = 20 / (G_MPS2 * Math.tan((35 * Math.PI) / 180)) / 1e-3;
    expect(at(edge * 1.0001)).toBeCloseTo(at(edge * 0.9999), 4);
  });

  test('more speed or a later reaction never stops sooner; the fastest that stops does just that', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 4, noNaN: true }),
        (speedMps, reactionS) => {
          const here = stoppingDistance({ ...plain, speedMps, reactionS }).totalM;
          expect(stoppingDistance({ ...plain, speedMps: speedMps + 0.5, reactionS }).totalM).toBeGreaterThan(
            here,
          );
          expect(
            stoppingDistance({ ...plain, speedMps, reactionS: reactionS + 0.5 }).totalM,
          ).toBeGreaterThanOrEqual(here);
        },
      ),
    );
    expect(fastestThatStops(44.1, (speedMps) => ({ ...plain, speedMps }))).toBeCloseTo(20, 1);
  });

  test('what cannot be is refused by name, limit and unit', () => {
    expect(() => stoppingDistance({ ...plain, speedMps: -1 })).toThrow(
      'Speed must be from 0 to 100 m/s, not -1.',
    );
    expect(() => stoppingDistance({ ...plain, leanToDeg: 90 })).toThrow(
      'Braking lean must be from 1 to 85 °',
    );
    expect(() => stoppingDistance({ ...plain, reactionS: Number.NaN })).toThrow('Reaction time');
  });
});

describe('wind and drift', () => {
  test('drift starts like ½ (w/τ) t² and ends a τ behind the wind', () => {
    expect(driftDistance(4, 0.01, 3)).toBeCloseTo(0.5 * (4 / 3) * 0.01 ** 2, 6);
    expect(driftDistance(4, 100, 3)).toBeCloseTo(4 * (100 - 3), 6);
    expect(driftSpeed(4, 100, 3)).toBeCloseTo(4, 9);
  });

  test("drag time from a craft's record: at top speed drag balances the lean", () => {
    const tau = dragTime(15, 25);
    expect(15 / tau).toBeCloseTo(G_MPS2 * Math.tan((25 * Math.PI) / 180), 9);
    expect(tau).toBeGreaterThan(2);
    expect(tau).toBeLessThan(4);
  });

  test.each([
    [3.3, 2],
    [3.4, 3],
    [5.4, 3],
    [5.5, 4],
    [7.9, 4],
    [8.0, 5],
    [10.7, 5],
    [10.8, 6],
    [13.8, 6],
    [0.2, 0],
    [32.7, 12],
  ])('%d m/s is Beaufort %d (WMO)', (wind, force) => {
    expect(beaufort(wind)).toBe(force);
  });

  test('wind from 10 m to 80 m by the one-seventh law grows by 35 %', () => {
    expect(windAtHeight(5, 10, 80) / 5).toBeCloseTo(8 ** (1 / 7), 12);
    expect(windAtHeight(5, 10, 80, 0.2) / 5).toBeCloseTo(1.516, 3);
  });

  test('the wind triangle: 5 across 3 leaves 4; head and tail wind add and subtract', () => {
    expect(alongTrack(5, 3, 90)!.groundSpeedMps).toBeCloseTo(4, 12);
    expect(alongTrack(10, 4, 0)!.groundSpeedMps).toBeCloseTo(6, 12);
    expect(alongTrack(10, 4, 180)!.groundSpeedMps).toBeCloseTo(14, 12);
    expect(alongTrack(5, 6, 90)).toBeNull();
  });

  test('the crabbed air vector plus the wind lies on the track (vectors added by hand)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 8, noNaN: true }),
        fc.double({ min: 0, max: 360, noNaN: true }),
        (wind, from) => {
          const { groundSpeedMps, crabDeg } = alongTrack(9, wind, from)!;
          const [crab, blows] = [(crabDeg * Math.PI) / 180, ((from + 180) * Math.PI) / 180];
          expect(9 * Math.sin(crab) + wind * Math.sin(blows)).toBeCloseTo(0, 9);
          expect(9 * Math.cos(crab) + wind * Math.cos(blows)).toBeCloseTo(groundSpeedMps, 9);
        },
      ),
    );
  });
});

describe('energy', () => {
  const leg = { airSpeedMps: 10, windMps: 0, windFromOutDeg: 0, enduranceMin: 20 };
  test('in still air half the usable charge goes each way', () => {
    expect(turnBackDistance(100, 25, leg)).toBeCloseTo((10 * 0.75 * 1200) / 2, 9);
    expect(chargeHome(600, leg)).toBeCloseTo(5, 9);
  });

  test('any steady wind along the track shortens the way out and back, whichever side it comes from', () => {
    const still = turnBackDistance(100, 25, leg);
    for (const windFromOutDeg of [0, 60, 90, 180])
      expect(turnBackDistance(100, 25, { ...leg, windMps: 5, windFromOutDeg })).toBeLessThan(still);
  });

  test('at the turn-back point, with a steady draw, just the reserve is left', () => {
    const windy = { ...leg, windMps: 4, windFromOutDeg: 150 };
    const distance = turnBackDistance(100, 25, windy);
    const out = (100 * distance) / alongTrack(10, 4, 150)!.groundSpeedMps / 1200;
    expect(100 - out - chargeHome(distance, windy)!).toBeCloseTo(25, 9);
  });

  test('against a wind it cannot beat there is no way home and no turn-back point', () => {
    expect(chargeHome(100, { ...leg, windMps: 12, windFromOutDeg: 180 })).toBeNull();
    expect(turnBackDistance(100, 25, { ...leg, windMps: 12, windFromOutDeg: 180 })).toBe(0);
  });
});

describe('seeing, falling, gaps, returning', () => {
  test('a 0.35 m craft: attitude to 134 m, one minute of arc at about 1 200 m', () => {
    expect(attitudeRange(0.35)).toBeCloseTo(134, 0);
    expect(oneMinuteOfArc(0.35)).toBeCloseTo(1203, 0);
    expect(detectionRange(5000)).toBe(1500);
  });

  test('a fall of 10 m ends at 14 m/s and takes 1.43 s; 1 kg then carries 98 J', () => {
    const fall = falling({ massKg: 1, heightM: 10, speedMps: 0 });
    expect(fall.speedMps).toBeCloseTo(14, 1);
    expect(fall.seconds).toBeCloseTo(1.428, 3);
    expect(fall.energyJ).toBeCloseTo(98.07, 1);
    expect(falling({ massKg: 1, heightM: 10, speedMps: 6 }).aheadM).toBeCloseTo(8.57, 2);
  });

  test('from level flight the speed along the path counts: 10 m from 15 m/s end at 20.5 m/s without drag', () => {
    const fall = falling({ massKg: 1, heightM: 10, speedMps: 15 });
    expect(fall.speedMps).toBeCloseTo(20.5, 1);
    expect(fall.energyJ).toBeCloseTo(0.5 * (14.007 ** 2 + 225), 0);
  });

  test('fall and brake agree with an ODE package of its own (mathjs, Runge–Kutta 4(5))', () => {
    const last = (rates: (y: number[]) => number[], from: number[], seconds: number) => {
      const { y } = solveODE((_, at) => rates(at), [0, seconds], from, { tol: 1e-8, maxIter: 1e6 });
      return y.at(-1)!;
    };
    const terminal = 18;
    const fall = falling({ massKg: 1, heightM: 60, speedMps: 12, terminalMps: terminal });
    const drag = G_MPS2 / terminal ** 2;
    const [ahead, fallen, along, down] = last(
      ([, , a, d]) => [a!, d!, -drag * Math.hypot(a!, d!) * a!, G_MPS2 - drag * Math.hypot(a!, d!) * d!],
      [0, 0, 12, 0],
      fall.seconds,
    );
    expect(fallen).toBeCloseTo(60, 1);
    expect(ahead).toBeCloseTo(fall.aheadM, 1);
    expect(Math.hypot(along!, down!)).toBeCloseTo(fall.speedMps, 2);

    const from = {
      speedMps: 14,
      reactionS: 0,
      lagS: 0,
      leanFromDeg: 20,
      leanToDeg: 25,
      leanRateDps: 170,
      dragTimeS: 3,
    };
    const [pull, push] = [20, 25].map((lean) => G_MPS2 * Math.tan((lean * Math.PI) / 180)) as [
      number,
      number,
    ];
    const rise = G_MPS2 * ((170 * Math.PI) / 180);
    const stop = stoppingDistance(from);
    let seconds = 1;
    const at = (s: number) =>
      last(([, v, t]) => [v!, Math.max(-push, pull - rise * t!) - v! / 3, 1], [0, 14, 0], s);
    for (let [low, high] = [0, 12]; high - low > 1e-4;) {
      seconds = (low + high) / 2;
      if (at(seconds)[1]! > 0) low = seconds;
      else high = seconds;
    }
    expect(at(seconds)[0]).toBeCloseTo(stop.totalM, 1);
  });

  test('with drag it agrees with the equation of motion stepped through, and never passes terminal speed', () => {
    const terminal = 15;
    let [v, y, t] = [0, 0, 0];
    for (const dt = 1e-4; y < 20; y += v * dt, t += dt) v += G_MPS2 * (1 - (v / terminal) ** 2) * dt;
    const fall = falling({ massKg: 0.9, heightM: 20, speedMps: 0, terminalMps: terminal });
    expect(fall.speedMps).toBeCloseTo(v, 2);
    expect(fall.seconds).toBeCloseTo(t, 2);
    expect(
      falling({ massKg: 0.9, heightM: 400, speedMps: 0, terminalMps: terminal }).speedMps,
    ).toBeLessThanOrEqual(terminal);
    expect(terminalSpeed(0.9, 0.35, 1.225)).toBeCloseTo(18.8, 1);
  });

  test('the room in a gap, and the up-tilt that balances drag at that speed', () => {
    const room = gapRoom({
      ratio: 4,
      spanM: 0.3,
      depthM: 0.5,
      speedMps: 4,
      wanderM: 0.15,
      crossWindMps: 2,
      dragTimeS: 3,
    });
    expect([room.spareM, room.spareSpans, room.spareWanders]).toEqual([
      expect.closeTo(0.45, 9),
      expect.closeTo(1.5, 9),
      expect.closeTo(3, 9),
    ]);
    expect(room.exposedS).toBeCloseTo(0.2, 9);
    expect(Math.tan((room.upTiltDeg * Math.PI) / 180) * G_MPS2).toBeCloseTo(4 / 3, 9);
  });

  test('a return goes over the tallest thing with a margin; under cover it should hover', () => {
    expect(returnHeight(34)).toBe(44);
    expect(
      ['open', 'trees', 'under-structure', 'water'].map((place) => failsafeFor(place as 'open').action),
    ).toEqual(['return', 'hover', 'hover', 'return']);
  });
});

describe('numbers that are only roughly known', () => {
  test('chance of needing more than there was: ½ when equal, smooth, and steeper when better known', () => {
    expect(chanceOver(10, 10, 0.3)).toBeCloseTo(0.5, 12);
    expect(chanceOver(12, 10, 0.1)).toBeGreaterThan(chanceOver(12, 10, 0.4));
    expect(chanceOver(0, 10, 0.3)).toBe(0);
    expect(chanceOver(5, 0, 0.3)).toBe(1);
  });

  test('one standard deviation over is within 0.01 of the normal curve (0.8413)', () => {
    expect(Math.abs(chanceOver(Math.exp(0.3), 1, 0.3) - 0.8413)).toBeLessThan(0.01);
  });

  test('more room never makes it likelier that it could not stop', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 100, noNaN: true }),
        fc.double({ min: 0.1, max: 100, noNaN: true }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        (needed, there, more) => {
          expect(chanceOver(needed, there + more, 0.3)).toBeLessThanOrEqual(chanceOver(needed, there, 0.3));
        },
      ),
    );
  });
});
