import { COMES_BEFORE } from '../drills/prerequisites';
import { TRACKS, type Track } from '../vocabulary/training';
import { array, type InferType, mixed, object } from 'yup';
import { SENSOR_SIDES } from '../vocabulary/craft-facts';
import { LENGTH_UNITS, SPEED_UNITS } from '../vocabulary/units';
import { FLIGHT_MODES, KINDS_OF_OCCURRENCE, PLACES, STICK_LAYOUTS } from '../vocabulary/flying';
import {
  causeId,
  choice,
  day,
  instant,
  key,
  keyOrNone,
  line,
  quantity,
  quantityOrNone,
  text,
  whole,
  yesNo,
  yesNoOr,
  yesNoUsually,
} from './fields';

/** The records a school keeps, each with one shape for its form and for the server. */

export const pilotShape = object({
  name: line('Name', 80),
  stickLayout: choice('Stick layout', STICK_LAYOUTS),
  mode: choice('Flies in', FLIGHT_MODES),
  windLimitMps: quantity('Wind limit', 1, 20, 'm/s'),
  /** Flies with position hold off too. */
  holdOff: yesNoUsually('Hold off too', false),
  track: mixed<Track>()
    .oneOf(TRACKS, `Track must be one of ${TRACKS.join(', ')}: pick one of these.`)
    .default('assist-down'),
  /** Drills that were shown before anything was counted here. */
  shown: array(choice('Shown before', COMES_BEFORE))
    .max(40, 'Shown before is too long: at most 40 drills.')
    .default([]),
  note: text('Note', 500),
}).noUnknown();
export type PilotFields = InferType<typeof pilotShape>;

export const craftShape = object({
  name: line('Name', 60),
  mode: choice('Usual mode', FLIGHT_MODES),
  massKg: quantity('Mass', 0.02, 30, 'kg'),
  spanM: quantity('Widest span', 0.05, 4, 'm'),
  rotors: whole('Rotors', 2, 12),
  rotorRadiusM: quantity('Rotor radius', 0.01, 1, 'm'),
  thrustToWeight: quantity('Thrust to weight', 1.1, 15),
  topSpeedMps: quantity('Top speed', 1, 60, 'm/s'),
  hasPauseSwitch: yesNo('Pause switch'),
  topSpeedSlowMps: quantityOrNone('Top speed in slow', 0.5, 60, 'm/s'),
  topSpeedFastMps: quantityOrNone('Top speed in fast', 1, 60, 'm/s'),
  leanSlowDeg: quantityOrNone('Lean limit in slow', 2, 80, '°'),
  leanNormalDeg: quantityOrNone('Lean limit in normal', 2, 80, '°'),
  leanFastDeg: quantityOrNone('Lean limit in fast', 2, 80, '°'),
  enduranceMin: quantityOrNone('Endurance', 1, 240, 'min'),
  sensorSides: array(choice('Sensor side', SENSOR_SIDES)).default([]),
  sensorsInFast: yesNoOr('Sensors in fast', false),
  hasHeightHold: yesNoOr('Height hold', null),
  hasPositionHold: yesNoOr('Position hold', null),
  hasPilotRelative: yesNoOr('Pilot-relative mode', null),
  hasMotorStop: yesNoOr('Motor-stop gesture', null),
  note: text('Note', 500),
}).noUnknown();
export type CraftFields = InferType<typeof craftShape>;

export const siteShape = object({
  name: line('Name', 60),
  place: choice('Surroundings', PLACES),
  tallestM: quantity('Tallest thing', 0, 400, 'm'),
  ceilingM: quantityOrNone('Roof or canopy above', 1, 200, 'm'),
  help: text('Help here', 500),
  altitudeM: quantityOrNone('Above sea level', -400, 6000, 'm'),
  note: text('Note', 500),
}).noUnknown();
export type SiteFields = InferType<typeof siteShape>;

export const flightShape = object({
  pilotId: key('Pilot'),
  craftId: key('Craft'),
  siteId: key('Site'),
  day: day('Day'),
  packs: whole('Packs', 1, 40),
  minutes: quantity('Minutes', 1, 600, 'min'),
  windMps: quantity('Wind', 0, 30, 'm/s'),
}).noUnknown();
export type FlightFields = InferType<typeof flightShape>;

export const occurrenceShape = object({
  pilotId: key('Pilot'),
  kind: choice('Kind', KINDS_OF_OCCURRENCE),
  causeId: causeId('Cause'),
  note: text('Note', 1000),
  craftId: keyOrNone('Craft'),
  siteId: keyOrNone('Site'),
  windMps: quantityOrNone('Wind', 0, 30, 'm/s'),
  happenedAt: instant('Time'),
  day: day('Day'),
}).noUnknown();
export type OccurrenceFields = InferType<typeof occurrenceShape>;

/** What the school reads its numbers in. */
export const unitsShape = object({
  length: choice('Lengths', LENGTH_UNITS),
  speed: choice('Speeds', SPEED_UNITS),
}).noUnknown();
