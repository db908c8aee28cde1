import { type InferType, number, object, string } from 'yup';
import { MISS_REASONS, PURPOSES } from '../clearance/facts';
import { SIDES } from '../drills/drill';
import { isDrillId } from '../drills/drills';
import { FLIGHT_MODES } from '../vocabulary/flying';
import { LEVELS } from '../plan/ability';
import { WIND_BANDS } from '../vocabulary/wind-band';
import {
  causeId,
  choice,
  choiceOrNone,
  day,
  drillIds,
  instant,
  key,
  keyOrNone,
  quantityOrNone,
  reason,
  text,
  whole,
  yesNo,
} from './fields';

/** The steps that bring a weakness from its occurrence to its signature. */

const drillId = (label: string) =>
  string()
    .strict()
    .defined(`${label} is missing: pick one.`)
    .nonNullable()
    .test(
      'drill',
      `${label} is not a known drill: pick one from the list.`,
      (value) => typeof value === 'string' && isDrillId(value),
    );

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
  level: number().oneOf(LEVELS, 'Level must be -2, -1, 0 or 1: 0 is the standard.').default(0),
  measure: quantityOrNone('Measured', 0, 10_000),
  sessionId: keyOrNone('Session'),
  drillVersion: whole('Version of the standard', 0, 10_000).default(0),
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

export const unconfirmShape = object({
  moveId: key('Move'),
  at: instant('Time'),
  reason: reason(),
}).noUnknown();
