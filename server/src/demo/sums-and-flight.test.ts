import { releasedStop, stoppingFrom } from '@skelby/core/reconstruct/craft-stopping';
import { falling, terminalSpeed } from '@skelby/core/reconstruct/falling';
import { stoppingDistance } from '@skelby/core/reconstruct/stopping-distance';
import { CENTRED, type ModeNow, type StickPosition } from '@skelby/core/simulator/control/control';
import { craftModel, DENSITY_KGM3 } from '@skelby/core/simulator/craft-model';
import { STILL } from '@skelby/core/simulator/gusts-dryden';
import { type Acting, Integrator, rotorsAtRest, standing } from '@skelby/core/simulator/rigid-body';
import { PHYSICS_STEP_S, SimulatedFlight } from '@skelby/core/simulator/simulated-flight';
import {
  type CraftFacts,
  craftFacts,
  SPEED_SETTINGS,
  type SpeedSetting,
} from '@skelby/core/vocabulary/craft-facts';
import { DEMO_CRAFT } from './school';

/** Two ways to the same figures: the sums, and the flight model, for each craft of the demo. */

const CRAFT = DEMO_CRAFT.map((record) => [record.name, craftFacts(record)] as const);
const FLOWN_S = 10;
const LONGEST_S = 24;

/** Flown ahead at a share of the stick, then braked: the speed it had, and how far it went. */
function stood(facts: CraftFacts, setting: SpeedSetting, share: number, brake: Partial<StickPosition>) {
  const flight = new SimulatedFlight(
    craftModel(facts),
    { solids: [], wind: STILL },
    { x: 0, y: 0, z: 100, headingDeg: 0 },
    1,
  );
  const mode = (name: 'position-hold' | 'height-hold'): ModeNow => ({
    mode: name,
    setting,
    pilotHeadingDeg: null,
    hold: true,
  });
  let [at, v] = [0, 0];
  while (flight.timeS < LONGEST_S) {
    const { py, vy } = flight.body;
    if (flight.timeS < FLOWN_S) {
      [at, v] = [py, vy];
      flight.step({ ...CENTRED, pitch: share }, mode('position-hold'));
    } else {
      if (vy <= 0.05) return { v, m: py - at };
      flight.step({ ...CENTRED, ...brake }, mode('pitch' in brake ? 'height-hold' : 'position-hold'));
    }
  }
  throw new Error('It never stood still.');
}

describe('stopping: within 5 %, or the sum is the longer one', () => {
  const all = CRAFT.flatMap(([name, facts]) =>
    SPEED_SETTINGS.map((setting) => [name, setting, facts] as const),
  );

  test.each(all)('%s in %s', (_, setting, facts) => {
    for (const share of [1, 0.6]) {
      const full = stood(facts, setting, share, { pitch: -1 });
      const sum = stoppingDistance(stoppingFrom(facts, setting, full.v, 0)).totalM;
      expect(full.m / sum).toBeLessThan(1.05);
      expect(full.m / sum).toBeGreaterThan(0.9);
      if (!facts.hasPositionHold) continue;
      const letGo = stood(facts, setting, share, {});
      const ratio = letGo.m / releasedStop(facts, setting, letGo.v, 0)!;
      expect(Math.abs(ratio - 1)).toBeLessThan(0.055);
      expect(letGo.m / stoppingDistance(stoppingFrom(facts, setting, letGo.v, 0)).totalM).toBeGreaterThan(1);
    }
  });
});

describe('falling with the motors off: within 5 %', () => {
  const dead = (rotors: number): Acting => ({
    rotorSpeed: new Float64Array(rotors),
    induced: new Float64Array(rotors),
    kept: new Float64Array(rotors).fill(1),
    windX: 0,
    windY: 0,
    windZ: 0,
    power: 1,
    ground: 1,
    shake: new Float64Array(5),
    rotors: rotorsAtRest(),
  });

  test.each(CRAFT)('%s, from a hover, from level flight, and at its end speed', (_, facts) => {
    const craft = craftModel(facts);
    for (const [heightM, level] of [
      [10, 0],
      [10, 15],
      [60, 8],
      [400, 0],
    ] as const) {
      const body = standing(0, 0, heightM, 0);
      body.vy = level;
      const integrator = new Integrator(craft);
      const acting = dead(craft.rotors);
      let seconds = 0;
      while (body.pz > 0) {
        integrator.step(body, acting, PHYSICS_STEP_S);
        seconds += PHYSICS_STEP_S;
      }
      const sum = falling({
        massKg: facts.massKg,
        heightM,
        speedMps: level,
        terminalMps: terminalSpeed(facts.massKg, facts.spanM, DENSITY_KGM3),
      });
      const speed = Math.hypot(body.vx, body.vy, body.vz);
      expect(Math.abs(speed / sum.speedMps - 1)).toBeLessThan(0.05);
      expect(Math.abs(seconds / sum.seconds - 1)).toBeLessThan(0.05);
      if (level > 0) expect(Math.abs(body.py / sum.aheadM - 1)).toBeLessThan(0.05);
    }
  });
});
