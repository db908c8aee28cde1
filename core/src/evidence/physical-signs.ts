import type { CraftFacts, SpeedSetting } from '../vocabulary/craft-facts';
import { airDensity } from '../reconstruct/air-density';
import { chanceOver, together } from '../reconstruct/chance-over';
import { dragTimeOf, stoppingFrom } from '../reconstruct/craft-stopping';
import { chargeHome, RESERVE_PCT } from '../reconstruct/energy-home';
import { hoverInducedVelocity } from '../reconstruct/hover-induced-velocity';
import { attitudeRange, detectionRange, oneMinuteOfArc } from '../reconstruct/sight-range';
import { stoppingDistance } from '../reconstruct/stopping-distance';
import { turnFold, WASH_INDEX_LIMIT } from '../reconstruct/turn-fold';
import { vortexRingState } from '../reconstruct/vortex-ring-state';
import type { Answers, Estimate } from './question';
import type { Sign } from './sign';

const shareOff = ({ value, within }: Estimate): number => (value > 0 ? within / value : 1);
const settingOf = (known: Answers): SpeedSetting =>
  (known.choices['speed_setting'] as SpeedSetting | undefined) ?? 'normal';
const inducedOf = (craft: CraftFacts) =>
  hoverInducedVelocity(craft.massKg, craft.rotors, craft.rotorRadiusM, airDensity(0));

/** How much people's reactions differ, as a share of the whole distance. */
const REACTION_SPREAD = 0.25;
/** Stopping distance grows with speed to about this power. */
const STOPPING_POWER = 1.5;
/**
 * A usual first look at an obstacle where nobody measured: about where sensors of small craft act. Common
 * practice.
 */
const USUAL_GAP_M = 6;

function stoppingOf(known: Answers, craft: CraftFacts): { needed: number; spread: number } | null {
  const speed = known.numbers['speed_mps'];
  if (!speed) return null;
  const { totalM } = stoppingDistance(stoppingFrom(craft, settingOf(known), speed.value));
  return { needed: totalM, spread: together(STOPPING_POWER * shareOff(speed), REACTION_SPREAD) };
}

/** Mean over the number as judged, one deviation lower and one higher. */
const overJudged = ({ value, within }: Estimate, of: (value: number) => number): number =>
  (of(Math.max(0, value - within)) + 2 * of(value) + of(value + within)) / 4;

const SIDE_WIND_DEG: Readonly<Record<string, number>> = { head: 0, tail: 180, cross: 90, calm: 90 };
const USUAL_AWAY_MPS_SHARE = 0.6;
const STRONG_WIND_SHARE = 1 / 3;
const TIGHT_GAP_SPANS = 4;
/** The ring that a pilot-relative mode keeps round the pilot; and how near is near. Common practice. */
const RING_M = 8;
const PEOPLE_NEAR_M = 25;

/** Chance that the return was set lower than the tallest thing on its way; null when either is not known. */
export const returnLow: Sign['chance'] = ({ numbers: { return_height_m: set, tallest_m: tallest } }) =>
  set && tallest
    ? chanceOver(tallest.value, set.value, together(shareOff(set), shareOff(tallest), 0.03))
    : null;

export const PHYSICAL_SIGNS: readonly Sign[] = [
  {
    id: 'overran',
    story: 'obstacle',
    needs: ['speed_mps', 'seen_at_m'],
    uses: ['speed_setting'],
    chance: (known, craft) => {
      const seen = known.numbers['seen_at_m'];
      const stopping = stoppingOf(known, craft);
      return seen && stopping
        ? chanceOver(stopping.needed, seen.value, together(stopping.spread, shareOff(seen)))
        : null;
    },
  },
  {
    id: 'long-stop',
    story: 'obstacle',
    needs: ['speed_mps'],
    uses: ['speed_setting', 'seen_at_m'],
    chance: (known, craft) => {
      const stopping = stoppingOf(known, craft);
      return stopping && !known.numbers['seen_at_m']
        ? chanceOver(stopping.needed, USUAL_GAP_M, together(stopping.spread, 0.3))
        : null;
    },
  },
  {
    id: 'in-wash',
    story: 'wash',
    needs: ['descent_mps'],
    uses: ['speed_mps', 'travel'],
    chance: (known, craft) => {
      const descent = known.numbers['descent_mps'];
      if (!descent) return null;
      const straight = known.choices['travel'] === 'straight-down';
      const speed = known.numbers['speed_mps']?.value;
      const forward = straight ? 0 : Math.sqrt(Math.max(0, (speed ?? 0) ** 2 - descent.value ** 2));
      return overJudged(descent, (value) => vortexRingState(value, forward, inducedOf(craft)).trouble);
    },
  },
  {
    id: 'folded',
    story: 'wash',
    needs: ['yaw_burst', 'speed_mps'],
    uses: ['descent_mps', 'speed_setting'],
    chance: (known, craft) => {
      const [burst, speed] = [known.choices['yaw_burst'], known.numbers['speed_mps']];
      if (!burst || !speed) return null;
      if (burst === 'none') return 0;
      const setting = settingOf(known);
      const { worst } = turnFold({
        speedMps: Math.min(60, speed.value),
        descentMps: known.numbers['descent_mps']?.value ?? 0.5,
        yawDeg: burst === 'quarter' ? 90 : 180,
        yawS: 1,
        leanDeg: craft.leanDeg[setting],
        thrustToWeight: craft.thrustToWeight,
        inducedMps: inducedOf(craft),
        dragTimeS: dragTimeOf(craft),
      });
      return chanceOver(worst.washIndex, WASH_INDEX_LIMIT, together(shareOff(speed), 0.4));
    },
  },
  {
    id: 'unreadable',
    story: 'sight',
    needs: ['distance_m'],
    uses: [],
    chance: ({ numbers: { distance_m: distance } }, craft) =>
      distance
        ? chanceOver(distance.value, attitudeRange(craft.spanM), together(shareOff(distance), 0.2))
        : null,
  },
  {
    id: 'undetectable',
    story: 'sight',
    needs: ['distance_m'],
    uses: ['visibility_m'],
    chance: ({ numbers: { distance_m: distance, visibility_m: visibility } }, craft) => {
      if (!distance) return null;
      const seen = Math.min(
        oneMinuteOfArc(craft.spanM),
        visibility ? detectionRange(visibility.value) : Infinity,
      );
      return chanceOver(
        distance.value,
        seen,
        together(shareOff(distance), visibility ? shareOff(visibility) : 0.2),
      );
    },
  },
  {
    id: 'wind-strong',
    story: 'air',
    needs: [],
    uses: ['wind_mps', 'gust_mps', 'speed_setting'],
    chance: (known, craft) => {
      const [wind, gust] = [known.numbers['wind_mps'], known.numbers['gust_mps']];
      const stronger = gust && (!wind || gust.value > wind.value) ? gust : wind;
      return stronger
        ? chanceOver(
            stronger.value,
            craft.topSpeedMps[settingOf(known)] * STRONG_WIND_SHARE,
            together(shareOff(stronger), 0.2),
          )
        : null;
    },
  },
  {
    id: 'below-reserve',
    story: 'energy',
    needs: ['battery_pct'],
    uses: [],
    chance: ({ numbers: { battery_pct: battery } }) =>
      battery
        ? 1 / (1 + Math.exp((1.702 * (battery.value - RESERVE_PCT + 3)) / together(battery.within, 4)))
        : null,
  },
  {
    id: 'short-of-charge',
    story: 'energy',
    needs: ['battery_pct', 'distance_m'],
    uses: ['wind_mps', 'wind_side', 'phase'],
    chance: (known, craft) => {
      const { battery_pct: battery, distance_m: distance, wind_mps: wind } = known.numbers;
      if (!battery || !distance) return null;
      const along = SIDE_WIND_DEG[known.choices['wind_side'] ?? 'cross'] ?? 90;
      const goingHome = known.choices['phase'] === 'return' || known.choices['phase'] === 'landing';
      const needed = chargeHome(Math.min(100_000, distance.value), {
        airSpeedMps: craft.topSpeedMps.normal * USUAL_AWAY_MPS_SHARE,
        windMps: wind?.value ?? 0,
        windFromOutDeg: goingHome ? 180 - along : along,
        enduranceMin: craft.enduranceMin,
      });
      return needed === null
        ? 0.98
        : chanceOver(
            needed,
            battery.value,
            together(
              shareOff(distance),
              battery.value > 0 ? Math.min(1, battery.within / battery.value) : 1,
              0.25,
            ),
          );
    },
  },
  {
    id: 'gap-tight',
    story: 'gap',
    needs: ['gap_ratio'],
    uses: [],
    chance: ({ numbers: { gap_ratio: ratio } }) =>
      ratio ? chanceOver(TIGHT_GAP_SPANS, ratio.value, together(shareOff(ratio), 0.2)) : null,
  },
  {
    id: 'return-lower',
    story: 'failsafe',
    needs: ['return_height_m', 'tallest_m'],
    uses: [],
    chance: returnLow,
  },
  {
    id: 'inside-ring',
    story: 'relative',
    needs: ['pilot_relative', 'distance_m'],
    uses: [],
    chance: ({ choices, numbers: { distance_m: distance } }) => {
      const mode = choices['pilot_relative'];
      if (!mode || !distance) return null;
      return mode === 'on' ? chanceOver(RING_M, distance.value, together(shareOff(distance), 0.2)) : 0;
    },
  },
  {
    id: 'people-close',
    story: 'people',
    needs: ['people_m'],
    uses: [],
    chance: ({ numbers: { people_m: nearest } }) =>
      nearest ? chanceOver(PEOPLE_NEAR_M, nearest.value, together(shareOff(nearest), 0.3)) : null,
  },
  {
    id: 'skimming',
    story: 'ground',
    needs: ['height_m'],
    uses: [],
    chance: ({ numbers: { height_m: height } }, craft) =>
      height ? chanceOver(craft.spanM * 1.7, height.value, together(shareOff(height), 0.35)) : null,
  },
];
