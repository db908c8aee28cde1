import { COMES_BEFORE } from '../drills/prerequisites';
import { MISS_REASONS, type MissReason } from '../clearance/facts';
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
import { fieldSaid } from './field-said';
import { ownMethodsShape } from './methods';

/** The records a school keeps, each with one shape for its form and for the server. */

export const pilotShape = object({
  name: line('name', 80),
  stickLayout: choice('stick-layout', STICK_LAYOUTS),
  mode: choice('flies-in', FLIGHT_MODES),
  windLimitMps: quantity('wind-limit', 1, 20, 'm/s'),
  /** Flies with position hold off too. */
  holdOff: yesNoUsually('hold-off-too', false),
  track: mixed<Track>()
    .oneOf(TRACKS, fieldSaid('field.other-choice', { label: 'track', values: TRACKS }))
    .default('assist-down'),
  /** Drills that were shown before anything was counted here. */
  shown: array(choice('shown-before', COMES_BEFORE))
    .max(40, fieldSaid('pilot.too-many-shown', { most: 40 }))
    .default([]),
  isMinor: yesNoUsually('under-age', false),
  /** Who agreed that this is kept, a guardian for a minor; empty: nobody is noted. */
  consentBy: text('agreed-by', 80),
  /** What the pilot is taught otherwise than the school teaches. */
  methods: ownMethodsShape,
  note: text('note', 500),
}).noUnknown();
export type PilotFields = InferType<typeof pilotShape>;

export const craftShape = object({
  name: line('name', 60),
  mode: choice('usual-mode', FLIGHT_MODES),
  massKg: quantity('mass', 0.02, 30, 'kg'),
  spanM: quantity('widest-span', 0.05, 4, 'm'),
  rotors: whole('rotors', 2, 12),
  rotorRadiusM: quantity('rotor-radius', 0.01, 1, 'm'),
  thrustToWeight: quantity('thrust-to-weight', 1.1, 15),
  topSpeedMps: quantity('top-speed', 1, 60, 'm/s'),
  hasPauseSwitch: yesNo('pause-switch'),
  topSpeedSlowMps: quantityOrNone('top-speed-in-slow', 0.5, 60, 'm/s'),
  topSpeedFastMps: quantityOrNone('top-speed-in-fast', 1, 60, 'm/s'),
  leanSlowDeg: quantityOrNone('lean-limit-in-slow', 2, 80, '°'),
  leanNormalDeg: quantityOrNone('lean-limit-in-normal', 2, 80, '°'),
  leanFastDeg: quantityOrNone('lean-limit-in-fast', 2, 80, '°'),
  enduranceMin: quantityOrNone('endurance', 1, 240, 'min'),
  sensorSides: array(choice('sensor-side', SENSOR_SIDES)).default([]),
  sensorsInFast: yesNoOr('sensors-in-fast', false),
  hasHeightHold: yesNoOr('height-hold', null),
  hasPositionHold: yesNoOr('position-hold', null),
  hasPilotRelative: yesNoOr('pilot-relative-mode', null),
  hasMotorStop: yesNoOr('motor-stop-gesture', null),
  note: text('note', 500),
}).noUnknown();
export type CraftFields = InferType<typeof craftShape>;

export const siteShape = object({
  name: line('name', 60),
  place: choice('surroundings', PLACES),
  tallestM: quantity('tallest-thing', 0, 400, 'm'),
  ceilingM: quantityOrNone('roof-or-canopy-above', 1, 200, 'm'),
  help: text('help-here', 500),
  altitudeM: quantityOrNone('above-sea-level', -400, 6000, 'm'),
  /** Where it is, for flights that tell where they were flown. */
  latitudeDeg: quantityOrNone('latitude', -90, 90, '°'),
  longitudeDeg: quantityOrNone('longitude', -180, 180, '°'),
  /** What to watch out for there now; empty: nothing. */
  hazard: text('hazard', 160),
  note: text('note', 500),
}).noUnknown();
export type SiteFields = InferType<typeof siteShape>;

export const flightShape = object({
  pilotId: key('pilot'),
  craftId: key('craft'),
  siteId: key('site'),
  day: day('day'),
  packs: whole('packs', 1, 40),
  minutes: quantity('minutes', 1, 600, 'min'),
  windMps: quantity('wind', 0, 30, 'm/s'),
  /** As a recorder has told it; null: nobody has. */
  farthestM: quantityOrNone('farthest', 0, 50_000, 'm'),
  highestM: quantityOrNone('highest', 0, 10_000, 'm'),
}).noUnknown();
export type FlightFields = InferType<typeof flightShape>;

/** Mistakes that were seen in a video of it; absent: nothing is said of them. */
export const seenShape = array(choice<MissReason>('why-missed', MISS_REASONS))
  .max(MISS_REASONS.length, fieldSaid('entry.too-many-seen', { most: MISS_REASONS.length }))
  .optional();

export const occurrenceShape = object({
  pilotId: key('pilot'),
  kind: choice('kind', KINDS_OF_OCCURRENCE),
  causeId: causeId('cause'),
  note: text('note', 1000),
  craftId: keyOrNone('craft'),
  siteId: keyOrNone('site'),
  windMps: quantityOrNone('wind', 0, 30, 'm/s'),
  happenedAt: instant('time'),
  day: day('day'),
  seen: seenShape,
}).noUnknown();
export type OccurrenceFields = InferType<typeof occurrenceShape>;

/** What the school reads its numbers in. */
export const unitsShape = object({
  length: choice('lengths', LENGTH_UNITS),
  speed: choice('speeds', SPEED_UNITS),
}).noUnknown();
