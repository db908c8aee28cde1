import { array, mixed, number, object, string } from 'yup';
import { type CraftRecord, SENSOR_SIDES } from '../vocabulary/craft-facts';
import { FLIGHT_MODES } from '../vocabulary/flying';
import { evidenceShape } from './evidence';
import { UUID } from '../vocabulary/key';
import { choice, yesNo, yesNoOr } from './fields';

const part = (label: string, least: number, most: number) => {
  const limits = `give a number from ${least} to ${most}`;
  return number()
    .typeError(`${label} is not a number: ${limits}.`)
    .min(least, `${label} is below ${least}: ${limits}.`)
    .max(most, `${label} is above ${most}: ${limits}.`);
};
const orNone = (label: string, least: number, most: number) => part(label, least, most).nullable();

/** A craft described in the request itself, SI units; what is left out is as usual. */
export const craftGivenShape = object({
  mode: string().oneOf(FLIGHT_MODES, `mode must be one of ${FLIGHT_MODES.join(', ')}: pick one of these.`),
  massKg: part('massKg', 0.02, 30),
  spanM: part('spanM', 0.05, 4),
  rotors: part('rotors', 2, 12).integer('rotors must be a whole number from 2 to 12.'),
  rotorRadiusM: part('rotorRadiusM', 0.01, 1),
  thrustToWeight: part('thrustToWeight', 1.1, 15),
  topSpeedMps: part('topSpeedMps', 1, 60),
  topSpeedSlowMps: orNone('topSpeedSlowMps', 0.5, 60),
  topSpeedFastMps: orNone('topSpeedFastMps', 1, 60),
  leanSlowDeg: orNone('leanSlowDeg', 2, 80),
  leanNormalDeg: orNone('leanNormalDeg', 2, 80),
  leanFastDeg: orNone('leanFastDeg', 2, 80),
  enduranceMin: orNone('enduranceMin', 1, 240),
  sensorSides: array(choice('sensorSides', SENSOR_SIDES)),
  hasHeightHold: yesNoOr('hasHeightHold', null),
  hasPilotRelative: yesNoOr('hasPilotRelative', null),
})
  .noUnknown(
    true,
    ({ unknown }) => `craft has no part called ${String(unknown)}: see the documentation of the ranking.`,
  )
  .strict();

/**
 * What a ranking is asked with: a craft of the school by its key, one described, or none; and evidence by
 * question id.
 */
export const rankShape = object({
  craft: mixed<string | Partial<CraftRecord>>()
    .nullable()
    .test(
      'craft',
      'craft must be the key of one of your craft, a description in SI units, or null.',
      (value) =>
        value === null ||
        value === undefined ||
        (typeof value === 'string' ? UUID.test(value) : typeof value === 'object' && !Array.isArray(value)),
    ),
  evidence: evidenceShape,
})
  .noUnknown(true, ({ unknown }) => `${String(unknown)} means nothing here: send craft and evidence.`)
  .strict();

export const switchShape = object({ enabled: yesNo('Enabled') }).noUnknown();
