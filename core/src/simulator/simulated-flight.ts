import { leanedAndTurned, rotationOf, type Rotation, uprightness } from '../geometry/rotation';
import { groundEffect } from '../reconstruct/ground-effect';
import { washIndex } from '../reconstruct/turn-fold';
import { vortexRingState } from '../reconstruct/vortex-ring-state';
import { Air, type Wind } from './gusts-dryden';
import { type Acting, type BodyState, inflow, Integrator, rotorsAtRest, standing } from './rigid-body';
import { Controller, type ModeNow, type Sensed, type StickPosition, type Trim } from './control/control';
import { type CraftModel, FIGURE_OF_MERIT } from './craft-model';
import { mix, type Wanted } from './mixer';
import { powerOf } from './pack';
import { Random } from './random';
import { RotorStall } from './rotor-stall';
import { Wake } from './wake';
import { distanceTo, type Solid } from './world';

/** One step, s. */
export const PHYSICS_STEP_S = 1 / 500;
/** The air is looked at anew every so many steps: it changes more slowly than the craft. */
const LOOK_EVERY = 5;
const LOOK_S = LOOK_EVERY * PHYSICS_STEP_S;

/**
 * Most of its thrust that a rotor loses in the middle of the wash states, and how hard the buffet is. Common
 * practice.
 */
const WASH_LOSS = 0.17;
const BUFFET = 0.12;
const BUFFET_S = 0.07;
/** Air churned up from the ground reaches so many spans up. */
const CHURN_SPANS = 1.5;
const CHURN_MPS2 = 1.1;
const CHURN_RADPS2 = 5;
const CHURN_S = 0.25;
const STIRS_S = 1.5;
/** The fix wanders. */
const FIX_SIGMA_M = 0.35;
const FIX_S = 15;
/** A touch-down faster than this, or leaning more, is a crash. */
const SOFT_MPS = 1.2;
const UPRIGHT_ENOUGH = 0.85;

export interface SimulatedScene {
  readonly solids: readonly Solid[];
  readonly wind: Wind;
  /** What a lean of nothing is off by ahead and to the right, as a push in m/s²; absent: trimmed exactly. */
  readonly trim?: Trim;
  /** Charge at the start, 0 to 1; absent: full. */
  readonly charge?: number;
}

export interface Start {
  readonly x: number;
  readonly y: number;
  readonly z: number;
  /** Degrees clockwise from north. */
  readonly headingDeg: number;
}

export type Ended = null | {
  readonly how: 'ground' | 'solid';
  readonly atS: number;
  readonly speedMps: number;
  readonly solid: Solid | null;
};

/**
 * A craft in the air of a scene. Fixed steps; the same seed and the same sticks give the same flight on one
 * engine.
 */
export class SimulatedFlight {
  readonly body: BodyState;
  readonly acting: Acting;
  timeS = 0;
  ended: Ended = null;
  landed = false;
  /** 0 in clean air to 1 fully back in its own wash. */
  wash = 0;
  /** Charge left, 0 to 1. */
  charge: number;
  private readonly integrator: Integrator;
  private controller: Controller;
  private readonly air: Air;
  private readonly wake = new Wake(LOOK_S);
  private readonly random: Random;
  private readonly wanted: Wanted = { thrustN: 0, rollNm: 0, pitchNm: 0, yawNm: 0 };
  private readonly sensed: Sensed;
  private readonly rotation: Rotation = new Float64Array(9);
  private readonly thrusts: Float64Array;
  private readonly buffet: Float64Array;
  private readonly stall: RotorStall;
  private fixX = 0;
  private fixY = 0;
  private count = 0;
  private stirred = 0;
  private readonly lag: number;

  constructor(
    readonly craft: CraftModel,
    private readonly scene: SimulatedScene,
    start: Start,
    seed: number,
  ) {
    const { rotors, thrustToWeight } = craft;
    this.body = standing(start.x, start.y, start.z, start.headingDeg);
    this.charge = scene.charge ?? 1;
    const power = powerOf(this.charge);
    this.sensed = { body: this.body, seenX: start.x, seenY: start.y, power };
    this.integrator = new Integrator(craft);
    this.controller = new Controller(craft, PHYSICS_STEP_S, scene.trim);
    this.air = new Air(scene.wind, seed);
    this.random = new Random(seed ^ 0x51ed);
    this.lag = 1 - Math.exp(-PHYSICS_STEP_S / craft.motorLagS);
    this.thrusts = new Float64Array(rotors);
    this.buffet = new Float64Array(rotors);
    this.stall = new RotorStall(craft, LOOK_S);
    const hover = start.z > 0.3 ? Math.sqrt(1 / (thrustToWeight * power)) : 0;
    this.landed = hover === 0;
    this.acting = {
      rotorSpeed: new Float64Array(rotors).fill(hover),
      induced: new Float64Array(rotors).fill(craft.inducedMps),
      kept: new Float64Array(rotors).fill(1),
      windX: 0,
      windY: 0,
      windZ: 0,
      power,
      ground: 1,
      shake: new Float64Array(5),
      rotors: rotorsAtRest(),
    };
  }

  /**
   * One side loses nearly all its lift for so long, as where rotors run back into their own wash. @param side
   * 1 left, −1 right
   */
  dropSide(side: 1 | -1, seconds: number): void {
    this.stall.hold(side, seconds);
  }

  /** Set somewhere else by another's hands, standing still. @param headingDeg clockwise from north */
  carry(x: number, y: number, z: number, headingDeg: number): void {
    Object.assign(this.body, standing(x, y, z, headingDeg));
    this.controller = new Controller(this.craft, PHYSICS_STEP_S, this.scene.trim);
  }

  /**
   * Thrown out of its attitude: a lean to one side, a heading and a way over the ground that do not belong
   * together.
   */
  upset(random: Random): void {
    const { body } = this;
    const [turn, lean, toward, away] = [
      2 * Math.PI * random.uniform(),
      0.6 + 0.5 * random.uniform(),
      2 * Math.PI * random.uniform(),
      2 * Math.PI * random.uniform(),
    ];
    const [tw, ts] = [Math.cos(lean / 2), Math.sin(lean / 2)];
    Object.assign(body, {
      ...leanedAndTurned([tw, ts * Math.cos(toward), ts * Math.sin(toward)], turn),
      wx: random.normal(),
      wy: random.normal(),
      wz: 1.5 * random.normal(),
      vx: 5 * Math.cos(away),
      vy: 5 * Math.sin(away),
      vz: -1,
    });
    this.controller = new Controller(this.craft, PHYSICS_STEP_S, this.scene.trim);
  }

  /** Moves on by STEP_S. After a crash nothing moves. */
  step(sticks: StickPosition, mode: ModeNow): void {
    if (this.ended) return;
    const { craft, body, acting, sensed, wanted, thrusts } = this;
    if (this.count % LOOK_EVERY === 0) this.look();
    sensed.seenX = body.px + this.fixX;
    sensed.seenY = body.py + this.fixY;
    sensed.power = acting.power;
    this.controller.step(sensed, sticks, mode, wanted);
    if (this.landed && wanted.thrustN < craft.massKg * 9.9) wanted.thrustN = 0;
    const most = craft.fullThrustN * acting.power;
    mix(craft, thrusts, wanted, most);
    for (let i = 0; i < craft.rotors; i += 1)
      acting.rotorSpeed[i]! += this.lag * (Math.sqrt(thrusts[i]! / most) - acting.rotorSpeed[i]!);
    this.integrator.step(body, acting, PHYSICS_STEP_S);
    this.charge = Math.max(
      0,
      this.charge - ((acting.rotors.powerW / FIGURE_OF_MERIT) * PHYSICS_STEP_S) / craft.packJ,
    );
    acting.power = powerOf(this.charge);
    this.timeS += PHYSICS_STEP_S;
    this.count += 1;
    this.touch();
  }

  /** What the air does to the craft until it is looked at again. */
  private look(): void {
    const { craft, body, acting, air } = this;
    air.step(
      body,
      Math.sqrt((body.vx - air.x) ** 2 + (body.vy - air.y) ** 2 + (body.vz - air.z) ** 2),
      LOOK_S,
    );
    acting.windX = air.x;
    acting.windY = air.y;
    acting.windZ = air.z;
    inflow(craft, body, acting);
    const r = rotationOf(body, this.rotation);
    const axis = [r[2]!, r[5]!, r[8]!] as const;
    const [nx, ny, nz] = axis;
    const through = -((body.vx - air.x) * nx + (body.vy - air.y) * ny + (body.vz - air.z) * nz);
    const across = Math.sqrt(
      Math.max(
        0,
        (body.vx - air.x) ** 2 + (body.vy - air.y) ** 2 + (body.vz - air.z) ** 2 - through * through,
      ),
    );
    const inHand = Math.max(0, 1 - 1 / (craft.thrustToWeight * acting.power * Math.max(0.2, nz)));
    this.wash = washIndex(through, across, craft.inducedMps, inHand);
    this.stall.step(body, acting);
    const { trouble } = vortexRingState(
      Math.max(-50, Math.min(100, through)),
      Math.min(100, across),
      craft.inducedMps,
    );
    this.wake.step(body, axis, acting.rotors.inducedMps, acting);
    const keeps = Math.exp(-LOOK_S / BUFFET_S);
    const fresh = Math.sqrt(1 - keeps * keeps);
    for (let i = 0; i < craft.rotors; i += 1) {
      this.buffet[i] = keeps * this.buffet[i]! + fresh * this.random.normal();
      const rx = craft.rotorX[i]!,
        ry = craft.rotorY[i]!;
      const x = body.px + r[0]! * rx + r[1]! * ry;
      const y = body.py + r[3]! * rx + r[4]! * ry;
      const z = body.pz + r[6]! * rx + r[7]! * ry;
      acting.kept[i] =
        this.wake.kept(craft, [x, y, z], axis) *
        (1 - WASH_LOSS * trouble + BUFFET * trouble * this.buffet[i]!) *
        this.stall.kept(i);
    }
    this.nearGround(nz);
    const wander = Math.exp(-LOOK_S / FIX_S);
    this.fixX = wander * this.fixX + FIX_SIGMA_M * Math.sqrt(1 - wander * wander) * this.random.normal();
    this.fixY = wander * this.fixY + FIX_SIGMA_M * Math.sqrt(1 - wander * wander) * this.random.normal();
  }

  private nearGround(upright: number): void {
    const { craft, body, acting } = this;
    acting.ground =
      upright > 0.5 ? groundEffect(craft.rotorRadiusM, Math.max(craft.rotorRadiusM / 2, body.pz)) : 1;
    const near = Math.max(0, 1 - body.pz / (CHURN_SPANS * craft.spanM)) * (this.landed ? 0 : 1);
    // The air there is stirred up by lingering, not by passing through.
    this.stirred += (LOOK_S / STIRS_S) * ((near > 0 ? 1 : 0) - this.stirred);
    const churn = near * this.stirred;
    const keeps = Math.exp(-LOOK_S / CHURN_S);
    const fresh = churn * Math.sqrt(1 - keeps * keeps);
    for (let i = 0; i < 5; i += 1)
      acting.shake[i] =
        keeps * acting.shake[i]! + fresh * (i < 3 ? CHURN_MPS2 : CHURN_RADPS2) * this.random.normal();
  }

  private touch(): void {
    const { body, craft } = this;
    const speedMps = Math.sqrt(body.vx * body.vx + body.vy * body.vy + body.vz * body.vz);
    if (body.pz <= 0) {
      const upright = uprightness(body);
      if (!this.landed && (speedMps > SOFT_MPS || upright < UPRIGHT_ENOUGH)) {
        this.ended = { how: 'ground', atS: this.timeS, speedMps, solid: null };
        return;
      }
      this.landed = true;
      body.pz = body.vx = body.vy = body.wx = body.wy = body.wz = 0;
      body.vz = Math.max(0, body.vz);
    } else if (this.landed && body.pz > 0.05) {
      this.landed = false;
    }
    for (const solid of this.scene.solids) {
      if (!solid.soft && distanceTo(solid, body.px, body.py, body.pz) < craft.spanM / 2) {
        this.ended = { how: 'solid', atS: this.timeS, speedMps, solid };
        return;
      }
    }
  }
}
