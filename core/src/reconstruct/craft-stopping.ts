import type { CraftFacts, SpeedSetting } from '../vocabulary/craft-facts';
import { degrees, G_MPS2, radians } from './constants';
import { dragTime } from './drag-time';
import { brakedByHold, type HoldFrom } from './released-stop';
import type { StoppingFrom } from './stopping-distance';

/**
 * Ordinary reaction to something that was not expected, s. Common practice; 2.5 s is the design value for
 * road drivers (AASHTO).
 */
export const REACTION_S = 1.5;
/** How fast hands and motors turn a small craft round near level, rad/s. Common practice. */
export const LEAN_RATE_RADPS = 3;
/** From stick to lean: the attitude loop, the rate loop in it and the motors. Ours, as the flight model has them. */
export const CONTROL_LAG_S = 0.14;

/** Lag of a motor with the smallest and with the largest rotor that is usual, s and m. Common practice. */
const MOTOR_LAGS_S = [0.03, 0.06] as const;
const LAG_RADII_M = [0.03, 0.14] as const;

/** Time constant of a motor's speed, s: large rotors are slower. @param rotorRadiusM m */
export function motorLag(rotorRadiusM: number): number {
  const [small, large] = LAG_RADII_M;
  const [quick, slow] = MOTOR_LAGS_S;
  const share = Math.min(1, Math.max(0, (rotorRadiusM - small) / (large - small)));
  return quick + share * (slow - quick);
}

/** One drag time for one airframe, whatever the setting: from top speed and lean limit in normal. */
export const dragTimeOf = (craft: CraftFacts): number =>
  dragTime(craft.topSpeedMps.normal, craft.leanDeg.normal);

/**
 * Lean beyond which braking gains nothing: the air that comes up through the disc carries the craft, and thrust is
 * taken back to hold height. As our flight model has it.
 */
const MOST_BRAKING_LEAN_DEG = 45;
/** And so much of the push of any lean is left while height is held. */
const PUSH_LEFT = 0.95;
const brakingLean = (craft: CraftFacts, setting: SpeedSetting): number =>
  degrees(Math.atan(PUSH_LEFT * Math.tan(radians(Math.min(craft.leanDeg[setting], MOST_BRAKING_LEAN_DEG)))));

/** Lean that holds a speed against drag, °, up to the limit of the setting. */
const cruiseLean = (craft: CraftFacts, setting: SpeedSetting, speedMps: number): number =>
  Math.min(craft.leanDeg[setting], degrees(Math.atan(speedMps / (G_MPS2 * dragTimeOf(craft)))));

/**
 * What stopping starts from for this craft in a setting: the lean it flies this speed with, the full lean of
 * the setting, drag of the airframe.
 * One place for the ranking, the sum and the flight card, so that they never disagree.
 * @param speedMps 0 to 100
 */
export const stoppingFrom = (
  craft: CraftFacts,
  setting: SpeedSetting,
  speedMps: number,
  reactionS = REACTION_S,
): StoppingFrom => ({
  speedMps,
  reactionS,
  lagS: CONTROL_LAG_S + motorLag(craft.rotorRadiusM),
  leanFromDeg: cruiseLean(craft, setting, speedMps),
  leanToDeg: brakingLean(craft, setting),
  leanRateDps: degrees(LEAN_RATE_RADPS),
  dragTimeS: dragTimeOf(craft),
});

/**
 * Distance in m from seeing an obstacle to standing still when the sticks are let go and position hold brakes;
 * null for a craft that does not.
 */
export function releasedStop(
  craft: CraftFacts,
  setting: SpeedSetting,
  speedMps: number,
  reactionS = REACTION_S,
): number | null {
  if (!craft.hasPositionHold) return null;
  const from: HoldFrom = {
    speedMps,
    lagS: CONTROL_LAG_S + motorLag(craft.rotorRadiusM),
    mostMps2: G_MPS2 * Math.tan(radians(Math.min(craft.leanDeg[setting], MOST_BRAKING_LEAN_DEG))),
    riseMps3: G_MPS2 * LEAN_RATE_RADPS,
    dragTimeS: dragTimeOf(craft),
  };
  return speedMps * reactionS + brakedByHold(from);
}
