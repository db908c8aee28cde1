import { LEVELS } from '../vocabulary/training';
import { type InferType, number, object, string } from 'yup';
import { MISS_REASONS, type MissReason, type Purpose, PURPOSES } from '../clearance/facts';
import { SIDES } from '../drills/drill';
import { type DrillId, drillOf, isDrillId, isFlown } from '../drills/drills';
import {
  choice,
  choiceOrNone,
  day,
  instant,
  key,
  keyOrNone,
  quantityOrNone,
  whole,
  yesNo,
} from '../schemas/fields';
import { daysBetween } from '../vocabulary/day';
import { FLIGHT_MODES } from '../vocabulary/flying';
import { WIND_BANDS } from '../vocabulary/wind-band';
import { command, type FieldRefusal } from './command';
import * as handles from './handles';

const drillId = (label: string) =>
  string<DrillId>()
    .strict()
    .defined(`${label} is missing: pick one.`)
    .nonNullable()
    .test(
      'drill',
      `${label} is not a known drill: pick one from the list.`,
      (value) => typeof value === 'string' && isDrillId(value),
    );

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

/** Why a rep does not fit its drill; null when it does. */
export function repProblem(rep: RepFields): FieldRefusal | null {
  const drill = drillOf(rep.drillId);
  if (rep.side !== null && !drill.sides.includes(rep.side))
    return {
      field: 'side',
      message:
        drill.sides.length === 0
          ? `${drill.name} has no sides: leave Side empty.`
          : `Side must be one of ${drill.sides.join(', ')} for ${drill.name}.`,
    };
  if (Math.abs(daysBetween(rep.day, rep.flownAt.slice(0, 10))) > 1)
    return {
      field: 'day',
      message: 'Day is not the day of Time: give the day on which it was flown, where it was flown.',
    };
  if (rep.purpose !== 'practice' && rep.level !== 0)
    return {
      field: 'level',
      message: 'Only practice is set easier or harder: tests and checks are flown at the standard.',
    };
  if (rep.purpose !== 'practice' && !isFlown(drill))
    return { field: 'purpose', message: `${drill.name} is not flown: its reps are practice.` };
  if (rep.met && rep.missReason !== null)
    return {
      field: 'missReason',
      message: 'A rep that was met has no reason for a miss: leave it empty.',
    };
  if (rep.flownOn === 'simulator' && drill.simulator === 'no-use')
    return {
      field: 'flownOn',
      message: `${drill.name} cannot be shown on the simulator: fly it on the craft.`,
    };
  return null;
}

export const recordRep = command(handles.recordRep, {
  schema: repShape,
  rule: repProblem,
});

/** What whoever counts says of an attempt; the rest of a rep has its usual value. */
export type CountedRep = Omit<RepFields, 'missReason' | 'level' | 'measure' | 'sessionId'> & {
  readonly purpose: Purpose;
  readonly missReason?: MissReason | null;
  readonly level?: number;
  readonly measure?: number | null;
  readonly sessionId?: string | null;
};

/** The one place in which a rep is put together. */
export const newRep = (counted: CountedRep): RepFields => ({
  missReason: null,
  level: 0,
  measure: null,
  sessionId: null,
  ...counted,
});
