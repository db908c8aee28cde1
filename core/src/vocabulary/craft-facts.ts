import { type FlightMode, onReleaseIn } from './flying';

export const SPEED_SETTINGS = ['slow', 'normal', 'fast'] as const;
export type SpeedSetting = (typeof SPEED_SETTINGS)[number];

export const SENSOR_SIDES = ['ahead', 'behind', 'side', 'above', 'below'] as const;
export type SensorSide = (typeof SENSOR_SIDES)[number];

/** What the sums need to know of a craft; SI units. */
export interface CraftFacts {
  readonly mode: FlightMode;
  readonly massKg: number;
  /** Widest span, m. */
  readonly spanM: number;
  readonly rotors: number;
  readonly rotorRadiusM: number;
  readonly thrustToWeight: number;
  readonly topSpeedMps: Readonly<Record<SpeedSetting, number>>;
  /** Lean limit, degrees. */
  readonly leanDeg: Readonly<Record<SpeedSetting, number>>;
  /** Minutes a full pack lasts at an easy pace. */
  readonly enduranceMin: number;
  readonly sensorSides: readonly SensorSide[];
  /** Whether the obstacle sensors also work in the fast setting. */
  readonly sensorsInFast: boolean;
  readonly hasHeightHold: boolean;
  readonly hasPositionHold: boolean;
  readonly hasPilotRelative: boolean;
}

/** The record as a school keeps it: what nobody filled in is null. */
export interface CraftRecord {
  readonly mode: FlightMode;
  readonly massKg: number;
  readonly spanM: number;
  readonly rotors: number;
  readonly rotorRadiusM: number;
  readonly thrustToWeight: number;
  readonly topSpeedMps: number;
  readonly topSpeedSlowMps?: number | null;
  readonly topSpeedFastMps?: number | null;
  readonly leanSlowDeg?: number | null;
  readonly leanNormalDeg?: number | null;
  readonly leanFastDeg?: number | null;
  readonly enduranceMin?: number | null;
  readonly sensorSides?: readonly SensorSide[] | null;
  readonly sensorsInFast?: boolean | null;
  readonly hasHeightHold?: boolean | null;
  readonly hasPositionHold?: boolean | null;
  readonly hasPilotRelative?: boolean | null;
}

/** Taken where a record says nothing. Common practice for small camera craft. */
export const USUAL = {
  leanSlowDeg: 15,
  leanNormalDeg: 25,
  leanFastDeg: 35,
  slowShare: 0.4,
  fastShare: 1.3,
  enduranceMin: 18,
} as const;

export function craftFacts(record: CraftRecord): CraftFacts {
  const manual = record.mode === 'rate' || record.mode === 'self-level';
  return {
    mode: record.mode,
    massKg: record.massKg,
    spanM: record.spanM,
    rotors: record.rotors,
    rotorRadiusM: record.rotorRadiusM,
    thrustToWeight: record.thrustToWeight,
    topSpeedMps: {
      slow: record.topSpeedSlowMps ?? record.topSpeedMps * USUAL.slowShare,
      normal: record.topSpeedMps,
      fast: record.topSpeedFastMps ?? record.topSpeedMps * USUAL.fastShare,
    },
    leanDeg: {
      slow: record.leanSlowDeg ?? USUAL.leanSlowDeg,
      normal: record.leanNormalDeg ?? USUAL.leanNormalDeg,
      fast: record.leanFastDeg ?? USUAL.leanFastDeg,
    },
    enduranceMin: record.enduranceMin ?? USUAL.enduranceMin,
    sensorSides: record.sensorSides ?? [],
    sensorsInFast: record.sensorsInFast ?? false,
    hasHeightHold: record.hasHeightHold ?? !manual,
    hasPositionHold: record.hasPositionHold ?? onReleaseIn(record.mode) === 'hold',
    hasPilotRelative: record.hasPilotRelative ?? !manual,
  };
}

/**
 * Stands in where nobody recorded which craft it was: a small camera craft with four rotors. Common practice.
 */
export const USUAL_CRAFT: CraftRecord = {
  mode: 'position-hold',
  massKg: 0.9,
  spanM: 0.35,
  rotors: 4,
  rotorRadiusM: 0.105,
  thrustToWeight: 2,
  topSpeedMps: 15,
};
