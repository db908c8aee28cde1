import type { CraftFacts, SpeedSetting } from '../vocabulary/craft-facts';
import { dragTime } from './drag-time';
import type { StoppingFrom } from './stopping-distance';

/**
 * Ordinary reaction to something that was not expected, s. Common practice; 2.5 s is the design value for
 * road drivers (AASHTO).
 */
export const REACTION_S = 1.5;
/** How fast a small craft rotates into its brake, °/s. Common practice. */
const LEAN_RATE_DPS = 120;

/**
 * What stopping starts from for this craft in a setting: the lean it flies this speed with, the full lean of
 * the setting, drag from its record.
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
  leanFromDeg: Math.min(1, speedMps / craft.topSpeedMps[setting]) * craft.leanDeg[setting],
  leanToDeg: craft.leanDeg[setting],
  leanRateDps: LEAN_RATE_DPS,
  dragTimeS: dragTime(craft.topSpeedMps[setting], craft.leanDeg[setting]),
});
