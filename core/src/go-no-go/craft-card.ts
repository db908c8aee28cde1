import { releasedStop, stoppingFrom } from '../reconstruct/craft-stopping';
import { attitudeRange } from '../reconstruct/sight-range';
import { stoppingDistance } from '../reconstruct/stopping-distance';
import { type CraftFacts, SPEED_SETTINGS, type SpeedSetting } from '../vocabulary/craft-facts';
import { FLIGHT_MODES, type FlightMode } from '../vocabulary/flying';

/** What a setting of a craft means, at its top speed. */
export interface SettingLine {
  readonly setting: SpeedSetting;
  readonly topSpeedMps: number;
  /** From seeing it to standing still, with full opposite stick, m. */
  readonly stopM: number;
  /** The same with the sticks let go; null where nothing brakes by itself. */
  readonly releasedM: number | null;
  /** Whether the obstacle sensors work; null: it has none. */
  readonly sensorsOn: boolean | null;
}

/** What the craft keeps by itself in a mode. */
export type Holds = 'place' | 'height' | 'level' | 'nothing';

export interface ModeLine {
  readonly mode: FlightMode;
  readonly holds: Holds;
}

/** What every pilot of a craft should know by heart. */
export interface CraftCard {
  readonly settings: readonly SettingLine[];
  readonly modes: readonly ModeLine[];
  /** Up to here the nose can be read with ease, m. */
  readonly noseReadM: number;
}

const HOLDS: Readonly<Record<FlightMode, Holds>> = {
  'position-hold': 'place',
  programmed: 'place',
  'height-hold': 'height',
  'self-level': 'level',
  rate: 'nothing',
};

/** The modes that a record tells of: its usual one, and those in which it holds something. Of others nobody knows. */
const hasMode = (craft: CraftFacts, mode: FlightMode): boolean =>
  mode === craft.mode ||
  (mode === 'position-hold' && craft.hasPositionHold) ||
  (mode === 'height-hold' && craft.hasHeightHold);

/**
 * Mode by mode what is held, and setting by setting top speed, stop and sensors: from the same sums as the debrief and
 * the flight card.
 * @throws RangeError when a figure of the record lies outside the range of a formula
 */
export function craftCard(craft: CraftFacts): CraftCard {
  return {
    settings: SPEED_SETTINGS.map((setting) => {
      const speed = craft.topSpeedMps[setting];
      return {
        setting,
        topSpeedMps: speed,
        stopM: stoppingDistance(stoppingFrom(craft, setting, speed)).totalM,
        releasedM: releasedStop(craft, setting, speed),
        sensorsOn: craft.sensorSides.length === 0 ? null : setting !== 'fast' || craft.sensorsInFast,
      };
    }),
    modes: FLIGHT_MODES.filter((mode) => hasMode(craft, mode)).map((mode) => ({ mode, holds: HOLDS[mode] })),
    noseReadM: attitudeRange(craft.spanM) / 2,
  };
}
