import type { DrillId } from '../drills/drills';
import { type InferType, mixed, object } from 'yup';
import { SIDES } from '../drills/drill';
import { PILOTED_MODES } from '../simulator/control/control';
import { FAILSAFES } from '../reconstruct/return-height';
import { SURROUNDINGS } from '../simulator/surroundings';
import {
  type CraftRecord,
  SENSOR_SIDES,
  type SensorSide,
  SPEED_SETTINGS,
  USUAL_CRAFT,
} from '../vocabulary/craft-facts';
import { FLIGHT_MODES } from '../vocabulary/flying';
import { choiceOrNone, quantity, quantityOrNone } from './fields';
import { fieldSaid } from './field-said';
import type { FieldLabel } from './labels';

export const GUSTS = ['none', 'usual', 'strong'] as const;
export type Gusts = (typeof GUSTS)[number];
/** Turbulence of the standard, times this. Gusts of twice the mean happen: strong comes near to that. */
export const GUST_SHARE: Readonly<Record<Gusts, number>> = { none: 0, usual: 1, strong: 2.2 };
export const LEAST_TILT_DEG = -30;
export const MOST_TILT_DEG = 45;
export const LEAST_CHARGE_PERCENT = 5;
export const HOLDS = ['keeps', 'drops'] as const;
export const MOST_PRACTICE_WIND_MPS = 12;

const onOff = (label: FieldLabel) =>
  mixed<boolean>()
    .nullable()
    .default(null)
    .transform((value: unknown) => (value === '1' ? true : value === '0' ? false : value))
    .test(
      'on-off',
      fieldSaid('field.no-on-off', { label }),
      (value) => value === null || typeof value === 'boolean',
    );

/** How a drill is set up, as it stands in a link. What a link leaves out is as the drill has it. */
export const practiceLinkShape = object({
  side: choiceOrNone('side', SIDES),
  mode: choiceOrNone('mode', PILOTED_MODES),
  setting: choiceOrNone('speed-setting', SPEED_SETTINGS),
  wind: quantityOrNone('wind', 0, MOST_PRACTICE_WIND_MPS, 'm/s'),
  gusts: choiceOrNone('gusts', GUSTS),
  jet: onOff('stream-of-air'),
  around: choiceOrNone('surroundings', SURROUNDINGS),
  hold: choiceOrNone('hold', HOLDS),
  sensors: onOff('sensors'),
  relative: onOff('pilot-relative'),
  /** The pilot walks about while it flies. */
  walks: onOff('pilot-walks'),
  charge: quantityOrNone('charge-at-the-start', LEAST_CHARGE_PERCENT, 100, '%'),
  /** What the craft does when the link is lost. */
  lost: choiceOrNone('on-link-loss', FAILSAFES),
  camera: quantityOrNone('camera-tilt', LEAST_TILT_DEG, MOST_TILT_DEG, '°'),
  home: quantity('return-height', 5, 120, 'm').default(30),
  craft: mixed<string>()
    .nullable()
    .default(null)
    .test(
      'craft',
      fieldSaid('link.no-craft'),
      (value) => value === null || value === undefined || craftFromText(value) !== null,
    ),
});
export type PracticeLink = InferType<typeof practiceLinkShape>;

const LIMITS = [
  [0.02, 30],
  [0.05, 4],
  [2, 12],
  [0.01, 1],
  [1.05, 20],
  [1, 60],
] as const;

/** A craft's figures as they stand in a link; null when they are none. */
export function craftFromText(text: string): CraftRecord | null {
  const [figures = '', mode = USUAL_CRAFT.mode, sides = ''] = text.split('~');
  const values = figures.split(' ').map(Number);
  if (
    values.length !== LIMITS.length ||
    values.some((value, i) => !(value >= LIMITS[i]![0] && value <= LIMITS[i]![1])) ||
    !Number.isInteger(values[2])
  )
    return null;
  const [massKg, spanM, rotors, rotorRadiusM, thrustToWeight, topSpeedMps] = values as [
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  const sensorSides = sides
    .split(' ')
    .filter((side): side is SensorSide => (SENSOR_SIDES as readonly string[]).includes(side));
  if (!(FLIGHT_MODES as readonly string[]).includes(mode)) return null;
  return {
    massKg,
    spanM,
    rotors,
    rotorRadiusM,
    thrustToWeight,
    topSpeedMps,
    mode: mode as CraftRecord['mode'],
    sensorSides,
  };
}

export const craftAsText = ({
  massKg,
  spanM,
  rotors,
  rotorRadiusM,
  thrustToWeight,
  topSpeedMps,
  mode,
  sensorSides,
}: CraftRecord): string =>
  [
    [massKg, spanM, rotors, rotorRadiusM, thrustToWeight, topSpeedMps].join(' '),
    mode,
    (sensorSides ?? []).join(' '),
  ].join('~');

/** A link's search part for a setting: what is as the drill has it is left out. */
export function linkSearch(
  drillId: DrillId,
  setting: Partial<Record<keyof PracticeLink, string | number | boolean | null>>,
): string {
  const search = new URLSearchParams({ drill: drillId });
  for (const [name, value] of Object.entries(setting))
    if (value !== null && value !== undefined)
      search.set(name, value === true ? '1' : value === false ? '0' : String(value));
  return search.toString();
}
