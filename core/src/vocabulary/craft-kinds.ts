import type { CraftFields } from '../schemas/records';

/** Kinds of craft that schools teach on, with what is usual for each. */
export const CRAFT_KIND_IDS = ['small', 'camera', 'large-camera', 'manual', 'lifter'] as const;
export type CraftKindId = (typeof CRAFT_KIND_IDS)[number];

type UsualOfKind = Omit<CraftFields, 'name' | 'note'>;

const NOT_KNOWN = {
  topSpeedSlowMps: null,
  topSpeedFastMps: null,
  leanSlowDeg: null,
  leanNormalDeg: null,
  leanFastDeg: null,
  enduranceMin: null,
  sensorSides: [],
  sensorsInFast: false,
  hasHeightHold: null,
  hasPositionHold: null,
  hasPilotRelative: null,
  hasMotorStop: null,
} satisfies Partial<UsualOfKind>;

/** Middle values of common craft of each kind, from memory: to begin with, and to be changed where a school knows better. */
export const CRAFT_KINDS: Readonly<Record<CraftKindId, UsualOfKind>> = {
  small: {
    ...NOT_KNOWN,
    ...{ mode: 'height-hold', massKg: 0.15, spanM: 0.25, rotors: 4, rotorRadiusM: 0.035 },
    ...{ thrustToWeight: 1.8, topSpeedMps: 8, hasPauseSwitch: false, enduranceMin: 10 },
    ...{ hasHeightHold: true, hasPositionHold: false, hasMotorStop: true },
  },
  camera: {
    ...NOT_KNOWN,
    ...{ mode: 'position-hold', massKg: 0.9, spanM: 0.35, rotors: 4, rotorRadiusM: 0.105 },
    ...{ thrustToWeight: 2, topSpeedMps: 15, hasPauseSwitch: true, enduranceMin: 30 },
    ...{ topSpeedSlowMps: 5, topSpeedFastMps: 19, leanSlowDeg: 20, leanNormalDeg: 30, leanFastDeg: 35 },
    ...{ sensorSides: ['ahead', 'behind', 'below'] },
    ...{ hasHeightHold: true, hasPositionHold: true, hasMotorStop: true },
  },
  'large-camera': {
    ...NOT_KNOWN,
    ...{ mode: 'position-hold', massKg: 4, spanM: 0.9, rotors: 4, rotorRadiusM: 0.19 },
    ...{ thrustToWeight: 1.9, topSpeedMps: 15, hasPauseSwitch: true, enduranceMin: 35 },
    ...{ topSpeedSlowMps: 5, topSpeedFastMps: 20, leanSlowDeg: 15, leanNormalDeg: 25, leanFastDeg: 30 },
    ...{ sensorSides: ['ahead', 'behind', 'side', 'above', 'below'] },
    ...{ hasHeightHold: true, hasPositionHold: true, hasMotorStop: true },
  },
  manual: {
    ...NOT_KNOWN,
    ...{ mode: 'rate', massKg: 0.6, spanM: 0.3, rotors: 4, rotorRadiusM: 0.065 },
    ...{ thrustToWeight: 6, topSpeedMps: 30, hasPauseSwitch: false, enduranceMin: 6 },
    ...{ hasHeightHold: false, hasPositionHold: false, hasMotorStop: true },
  },
  lifter: {
    ...NOT_KNOWN,
    ...{ mode: 'position-hold', massKg: 14, spanM: 1.7, rotors: 8, rotorRadiusM: 0.27 },
    ...{ thrustToWeight: 1.8, topSpeedMps: 12, hasPauseSwitch: true, enduranceMin: 20 },
    ...{ leanNormalDeg: 20, hasHeightHold: true, hasPositionHold: true, hasMotorStop: true },
  },
};
