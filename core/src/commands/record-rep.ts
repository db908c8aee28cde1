import { LEVELS } from '../vocabulary/training';
import { type InferType, number, object, string } from 'yup';
import { MISS_REASONS, type MissReason, type Purpose, PURPOSES } from '../clearance/facts';
import { type Drill, SIDES } from '../drills/drill';
import { isCaseOf } from '../drill-cases/decks';
import { type DrillId, drillOf, isDrillId, mayDecide } from '../drills/drills';
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

export const drillId = (label: string) =>
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
  craftId: keyOrNone('Craft'),
  testSetId: keyOrNone('Announced set'),
  drillVersion: whole('Version of the standard', 0, 10_000).default(0),
  /** Which of the drill's cases: the rule below knows them. */
  caseId: string().nullable().default(null),
  stage: quantityOrNone('Stage', 1, 9).integer('Stage must be a whole number from 1 to 9, or empty.'),
  widthSpans: quantityOrNone('Width in spans', 1, 50),
  distanceM: quantityOrNone('Distance from the pilot', 1, 500),
  day: day('Day'),
  flownAt: instant('Time'),
}).noUnknown();
export type RepFields = InferType<typeof repShape>;

/** One thing that may not fit; null when it does. */
type Fits = (rep: RepFields, drill: Drill<DrillId>) => FieldRefusal | null;

const sideFits: Fits = ({ side }, { name, sides }) =>
  side === null || sides.includes(side)
    ? null
    : {
        field: 'side',
        message:
          sides.length === 0
            ? `${name} has no sides: leave Side empty.`
            : `Side must be one of ${sides.join(', ')} for ${name}.`,
      };

const dayFits: Fits = ({ day: on, flownAt }) =>
  Math.abs(daysBetween(on, flownAt.slice(0, 10))) <= 1
    ? null
    : {
        field: 'day',
        message: 'Day is not the day of Time: give the day on which it was flown, where it was flown.',
      };

/** Tests and checks are flown at the standard, of drills that may decide, each a case where it is drawn by lot. */
const purposeFits: Fits = ({ purpose, level, caseId }, drill) => {
  if (purpose === 'practice') return null;
  if (level !== 0)
    return {
      field: 'level',
      message: 'Only practice is set easier or harder: tests and checks are flown at the standard.',
    };
  if (!mayDecide(drill))
    return { field: 'purpose', message: `${drill.name} is not flown: its reps are practice.` };
  return drill.byLot && caseId === null
    ? { field: 'caseId', message: `Case is missing: a test of ${drill.name} is one case drawn by lot.` }
    : null;
};

const setFits: Fits = ({ testSetId, purpose }) =>
  testSetId === null || purpose === 'test'
    ? null
    : { field: 'testSetId', message: 'Only tests are announced in sets: leave Announced set empty.' };

const caseFits: Fits = ({ caseId }, { id, name }) =>
  caseId === null || isCaseOf(id, caseId)
    ? null
    : { field: 'caseId', message: `Case is none of ${name}: leave it empty, or draw one.` };

const stageFits: Fits = ({ stage }, { name, stages = [] }) =>
  stage === null || stage <= stages.length
    ? null
    : { field: 'stage', message: `Stage must be one of the ${stages.length} of ${name}.` };

const widthFits: Fits = ({ widthSpans }, { name, widthsSpans }) =>
  widthSpans === null || widthsSpans
    ? null
    : { field: 'widthSpans', message: `${name} has no opening: leave Width empty.` };

const missFits: Fits = ({ met, missReason }) =>
  met && missReason !== null
    ? { field: 'missReason', message: 'A rep that was met has no reason for a miss: leave it empty.' }
    : null;

const placeFits: Fits = ({ flownOn }, { name, simulator }) =>
  flownOn === 'simulator' && simulator === 'no-use'
    ? { field: 'flownOn', message: `${name} cannot be shown on the simulator: fly it on the craft.` }
    : null;

const FITS: readonly Fits[] = [
  sideFits,
  dayFits,
  purposeFits,
  setFits,
  caseFits,
  stageFits,
  widthFits,
  missFits,
  placeFits,
];

/** Why a rep does not fit its drill; null when it does. */
export function repProblem(rep: RepFields): FieldRefusal | null {
  const drill = drillOf(rep.drillId);
  for (const fits of FITS) {
    const problem = fits(rep, drill);
    if (problem) return problem;
  }
  return null;
}

export const recordRep = command(handles.recordRep, {
  schema: repShape,
  rule: repProblem,
});

/** What whoever counts says of an attempt; the rest of a rep has its usual value. */
export type CountedRep = Omit<
  RepFields,
  | 'missReason'
  | 'level'
  | 'measure'
  | 'sessionId'
  | 'craftId'
  | 'caseId'
  | 'stage'
  | 'widthSpans'
  | 'distanceM'
  | 'testSetId'
> & {
  readonly purpose: Purpose;
  readonly missReason?: MissReason | null;
  readonly level?: number;
  readonly measure?: number | null;
  readonly sessionId?: string | null;
  readonly craftId?: string | null;
  readonly testSetId?: string | null;
  readonly caseId?: string | null;
  readonly stage?: number | null;
  readonly widthSpans?: number | null;
  readonly distanceM?: number | null;
};

/** The one place in which a rep is put together. */
export const newRep = (counted: CountedRep): RepFields => ({
  missReason: null,
  level: 0,
  measure: null,
  sessionId: null,
  craftId: null,
  testSetId: null,
  caseId: null,
  stage: null,
  widthSpans: null,
  distanceM: null,
  ...counted,
});
