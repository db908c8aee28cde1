import { type InferType, object, string } from 'yup';
import { isCauseId } from '../causes/causes';
import { PURPOSES } from '../clearance/facts';
import { SIDES } from '../drills/drill';
import { isDrillId } from '../drills/drills';
import { FLIGHT_MODES, KINDS_OF_OCCURRENCE, PLACES, STICK_LAYOUTS } from '../flying/vocabulary';
import { WIND_BANDS } from '../flying/wind-band';
import { choice, choiceOrNone, day, drillIds, instant, key, keyOrNone, line, quantity, quantityOrNone, reason, text, whole, yesNo } from './fields';

const causeId = (label: string) =>
  string().strict().defined(`${label} is missing: pick one.`).nonNullable().test('cause', `${label} is not a known cause: pick one from the list.`, (value) => typeof value === 'string' && isCauseId(value));

const drillId = (label: string) =>
  string().strict().defined(`${label} is missing: pick one.`).nonNullable().test('drill', `${label} is not a known drill: pick one from the list.`, (value) => typeof value === 'string' && isDrillId(value));

export const signInShape = object({
  email: string().trim().lowercase().defined().required('E-mail is empty: write the address you sign in with.').email('E-mail does not look like an address: write it as name@place.').max(200, 'E-mail is too long: at most 200 characters.'),
  password: string().strict().defined().required('Password is empty: write it.').max(200, 'Password is too long: at most 200 characters.'),
}).noUnknown();

export const pilotShape = object({
  name: line('Name', 80),
  stickLayout: choice('Stick layout', STICK_LAYOUTS),
  mode: choice('Flies in', FLIGHT_MODES),
  windLimitMps: quantity('Wind limit', 1, 20, 'm/s'),
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
  note: text('Note', 500),
}).noUnknown();
export type CraftFields = InferType<typeof craftShape>;

export const siteShape = object({
  name: line('Name', 60),
  place: choice('Surroundings', PLACES),
  tallestM: quantity('Tallest thing', 0, 400, 'm'),
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

/** The trainer's word on the cause. `weaknessId` and `moveId` are used only where a new row is needed. */
export const confirmShape = object({
  causeId: causeId('Cause'),
  weaknessId: key('Weakness'),
  moveId: key('Move'),
  planId: key('Plan'),
  at: instant('Time'),
}).noUnknown();
export type ConfirmFields = InferType<typeof confirmShape>;

export const planShape = object({
  drillIds: drillIds('Drills'),
  reason: text('Reason', 300),
}).noUnknown();
export type PlanFields = InferType<typeof planShape>;

export const MISS_REASONS = ['wrong-first-move', 'off-the-mark', 'height', 'nose', 'too-fast', 'too-late', 'sensor-stopped-it', 'taken-over'] as const;
export type MissReason = (typeof MISS_REASONS)[number];

export const repShape = object({
  weaknessId: key('Weakness'),
  drillId: drillId('Drill'),
  purpose: choice('Purpose', PURPOSES),
  met: yesNo('Met'),
  missReason: choiceOrNone('Why missed', MISS_REASONS),
  side: choiceOrNone('Side', SIDES),
  band: choice('Wind band', WIND_BANDS),
  flownOn: choice('Flown on', ['craft', 'simulator'] as const),
  mode: choice('Mode', FLIGHT_MODES),
  pilotRelative: yesNo('Pilot-relative'),
  pack: whole('Pack', 1, 40),
  day: day('Day'),
  flownAt: instant('Time'),
}).noUnknown();
export type RepFields = InferType<typeof repShape>;

export const reasonShape = object({ reason: reason() }).noUnknown();

export const TRAINER_MOVES = ['signed', 'signed-early', 'closed', 'undone'] as const;

export const moveShape = object({
  kind: choice('Move', TRAINER_MOVES),
  undoes: keyOrNone('Move to undo'),
  at: instant('Time'),
  day: day('Day'),
  reason: text('Reason', 300),
}).noUnknown();
export type MoveFields = InferType<typeof moveShape>;

export const unconfirmShape = object({ moveId: key('Move'), at: instant('Time'), reason: reason() }).noUnknown();
