import { washIndex } from '../reconstruct/turn-fold';
import type { CraftModel } from './craft-model';
import { rotationOf } from '../geometry/rotation';
import { type Acting, airspeedInBody, type BodyState } from './rigid-body';

/** Lift that a rotor keeps when it is wholly stalled; how fast it stalls, and how fast it comes back. Common practice. */
const STALLED_KEEPS = 0.25;
const STALLS_S = 0.06;
const UNSTALLS_S = 0.45;
const SETTLES_S = 0.7;
/** Wash indices at which a rotor begins to stall, and is stalled wholly. Set on the manoeuvre itself. */
const STALL_FROM = 0.3;
const STALL_AT = 0.7;
/** In faster descents, in v_h, the wake is blown away above the craft, as where a rotor works as a windmill. */
const BLOWN_AWAY = [1.5, 1.9] as const;
/** Speed across the disc, in v_h, from which the wake of the rotors ahead lies on those behind … */
const BLOWN_BACK_FROM = 0.25;
/** … wholly on those that lie so far back, in arms. */
const WHOLLY_BEHIND = 0.5;
/** Share of the wake that stays about the craft in a descent of so many v_h, 0 to 1. */
const stays = (descents: number): number =>
  Math.min(1, Math.max(0, (BLOWN_AWAY[1] - descents) / (BLOWN_AWAY[1] - BLOWN_AWAY[0])));

/**
 * The snap of a yaw tumble: back in its own wash the craft has the wake of the rotors that go first blown onto
 * those behind them, and each of these stalls by itself in the air that it meets. What moment is left to hold
 * against it is what the motors have in hand. Ours, after what pilots tell.
 */
export class RotorStall {
  private readonly rotation = new Float64Array(9);
  private readonly airspeed = new Float64Array(3);
  /** How far each rotor is stalled, 0 to 1. */
  private readonly stalled: Float64Array;
  /** How far the flow about each has settled in the wake. */
  private readonly settled: Float64Array;
  /** One side that is held in a stall for so long, s: +1 left, −1 right. */
  private heldSide = 0;
  private heldS = 0;

  /** @param lookS between two looks at the air, s */
  constructor(
    private readonly craft: CraftModel,
    private readonly lookS: number,
  ) {
    this.stalled = new Float64Array(craft.rotors);
    this.settled = new Float64Array(craft.rotors);
  }

  /** Holds one side in a stall, whatever the air does. */
  hold(side: 1 | -1, seconds: number): void {
    [this.heldSide, this.heldS] = [side, seconds];
  }

  /** Share of its lift that a rotor keeps. */
  kept(rotor: number): number {
    return 1 - (1 - STALLED_KEEPS) * this.stalled[rotor]!;
  }

  /** Moves on by one look at the air. */
  step(body: BodyState, acting: Acting): void {
    const { craft, stalled, settled, lookS } = this;
    this.heldS -= lookS;
    const { wx, wy, wz } = body;
    const air = airspeedInBody(rotationOf(body, this.rotation), body, acting, this.airspeed);
    const ux = air[0]!,
      uy = air[1]!,
      uz = air[2]!;
    const plane = Math.sqrt(ux * ux + uy * uy);
    const blown = Math.min(1, plane / (BLOWN_BACK_FROM * craft.inducedMps));
    for (let i = 0; i < craft.rotors; i += 1) {
      const rx = craft.rotorX[i]!,
        ry = craft.rotorY[i]!;
      const across = Math.hypot(ux - wz * ry, uy + wz * rx);
      const through = -(uz + wx * ry - wy * rx);
      const index = washIndex(through, across, craft.inducedMps, 0) * stays(through / craft.inducedMps);
      const back = plane > 0 ? -(ux * rx + uy * ry) / (plane * craft.armM) : 0;
      const behind = blown * Math.min(1, Math.max(0, back / WHOLLY_BEHIND));
      const held = this.heldS > 0 && ry * this.heldSide > 0;
      const into = Math.min(1, Math.max(0, (index - STALL_FROM) / (STALL_AT - STALL_FROM)));
      // What comes slowly is flown against; what comes at once is the snap.
      settled[i]! += (lookS / SETTLES_S) * (behind * into - settled[i]!);
      const wanted = held ? 1 : Math.max(0, behind * into - settled[i]!);
      const takes = wanted > stalled[i]! ? STALLS_S : UNSTALLS_S;
      stalled[i]! += (held ? 1 : 1 - Math.exp(-lookS / takes)) * (wanted - stalled[i]!);
    }
  }
}
