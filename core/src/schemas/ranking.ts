import { array, mixed, number, object, string } from 'yup';
import { type CraftRecord, SENSOR_SIDES } from '../vocabulary/craft-facts';
import { FLIGHT_MODES } from '../vocabulary/flying';
import { evidenceShape } from './evidence';
import { UUID } from '../vocabulary/key';
import { choice, yesNo, yesNoOr } from './fields';
import { fieldSaid } from './field-said';
import type { FieldLabel } from './labels';

const part = (label: FieldLabel, least: number, most: number) => {
  const limits = { label, least, most, unit: '' };
  return number()
    .typeError(fieldSaid('field.no-part', limits))
    .min(least, fieldSaid('field.below', limits))
    .max(most, fieldSaid('field.above', limits));
};
const orNone = (label: FieldLabel, least: number, most: number) => part(label, least, most).nullable();

/** A craft described in the request itself, SI units; what is left out is as usual. */
export const craftGivenShape = object({
  mode: string().oneOf(
    FLIGHT_MODES,
    fieldSaid('field.other-choice', { label: '=mode', values: FLIGHT_MODES }),
  ),
  massKg: part('=massKg', 0.02, 30),
  spanM: part('=spanM', 0.05, 4),
  rotors: part('=rotors', 2, 12).integer(
    fieldSaid('field.not-whole', { label: '=rotors', least: 2, most: 12, unit: '' }),
  ),
  rotorRadiusM: part('=rotorRadiusM', 0.01, 1),
  thrustToWeight: part('=thrustToWeight', 1.1, 15),
  topSpeedMps: part('=topSpeedMps', 1, 60),
  topSpeedSlowMps: orNone('=topSpeedSlowMps', 0.5, 60),
  topSpeedFastMps: orNone('=topSpeedFastMps', 1, 60),
  leanSlowDeg: orNone('=leanSlowDeg', 2, 80),
  leanNormalDeg: orNone('=leanNormalDeg', 2, 80),
  leanFastDeg: orNone('=leanFastDeg', 2, 80),
  enduranceMin: orNone('=enduranceMin', 1, 240),
  sensorSides: array(choice('=sensorSides', SENSOR_SIDES)),
  hasHeightHold: yesNoOr('=hasHeightHold', null),
  hasPilotRelative: yesNoOr('=hasPilotRelative', null),
})
  .noUnknown(true, ({ unknown }) => fieldSaid('ranking.unknown-part', { part: String(unknown) }))
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
      fieldSaid('ranking.no-craft'),
      (value) =>
        value === null ||
        value === undefined ||
        (typeof value === 'string' ? UUID.test(value) : typeof value === 'object' && !Array.isArray(value)),
    ),
  evidence: evidenceShape,
})
  .noUnknown(true, ({ unknown }) => fieldSaid('ranking.unknown-field', { field: String(unknown) }))
  .strict();

export const switchShape = object({ enabled: yesNo('enabled') }).noUnknown();
