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
  text,
  whole,
  yesNo,
} from '../schemas/fields';
import { daysBetween } from '../vocabulary/day';
import { FLIGHT_MODES } from '../vocabulary/flying';
import { WIND_BANDS } from '../vocabulary/wind-band';
import { sentence } from '../vocabulary/said';
import { command, type FieldRefusal } from './command';
import * as handles from './handles';
import { fieldSaid } from '../schemas/field-said';
import type { FieldLabel } from '../schemas/labels';

export const drillId = (label: FieldLabel) =>
  string<DrillId>()
    .strict()
    .defined(fieldSaid('field.pick-one', { label }))
    .nonNullable()
    .test(
      'drill',
      fieldSaid('field.no-drill', { label }),
      (value) => typeof value === 'string' && isDrillId(value),
    );

/** What a rep was judged by, where it was not the eye. */
export const JUDGED_BY = ['flight'] as const;

export const repShape = object({
  weaknessId: key('weakness'),
  drillId: drillId('drill'),
  purpose: choice('purpose', PURPOSES),
  met: yesNo('met'),
  missReason: choiceOrNone('why-missed', MISS_REASONS),
  side: choiceOrNone('side', SIDES),
  band: choice('wind-band', WIND_BANDS),
  flownOn: choice('flown-on', ['craft', 'simulator'] as const),
  mode: choice('mode', FLIGHT_MODES),
  pilotRelative: yesNo('pilot-relative'),
  pack: whole('pack', 1, 40),
  level: number().oneOf(LEVELS, fieldSaid('rep.other-level')).default(0),
  measure: quantityOrNone('measured', 0, 10_000),
  /** Null: by eye. */
  judgedBy: choiceOrNone('judged-by', JUDGED_BY),
  sessionId: keyOrNone('session'),
  craftId: keyOrNone('craft'),
  testSetId: keyOrNone('announced-set'),
  drillVersion: whole('version-of-the-standard', 0, 10_000).default(0),
  /** Which of the drill's cases: the rule below knows them. */
  caseId: string().nullable().default(null),
  stage: quantityOrNone('stage', 1, 9).integer(fieldSaid('rep.no-stage', { least: 1, most: 9 })),
  widthSpans: quantityOrNone('width-in-spans', 1, 50),
  distanceM: quantityOrNone('distance-from-the-pilot', 1, 500),
  day: day('day'),
  flownAt: instant('time'),
  /** Why it is entered for a weakness that was opened long after it was flown. */
  lateReason: text('reason', 300),
}).noUnknown();
export type RepFields = InferType<typeof repShape>;

/** One thing that may not fit; null when it does. */
type Fits = (rep: RepFields, drill: Drill<DrillId>) => FieldRefusal | null;

const sideFits: Fits = ({ side }, { id, sides }) =>
  side === null || sides.includes(side)
    ? null
    : {
        field: 'side',
        said:
          sides.length === 0
            ? sentence('rep.no-sides', { drill: id })
            : sentence('rep.other-side', { sides, drill: id }),
      };

const dayFits: Fits = ({ day: on, flownAt }) =>
  Math.abs(daysBetween(on, flownAt.slice(0, 10))) <= 1
    ? null
    : {
        field: 'day',
        said: sentence('rep.day-not-of-time'),
      };

/** Tests and checks are flown at the standard, of drills that may decide, each a case where it is drawn by lot. */
const purposeFits: Fits = ({ purpose, level, caseId }, drill) => {
  if (purpose === 'practice') return null;
  if (level !== 0)
    return {
      field: 'level',
      said: sentence('rep.only-practice-has-levels'),
    };
  if (!mayDecide(drill))
    return { field: 'purpose', said: sentence('rep.only-practice', { drill: drill.id }) };
  return drill.byLot && caseId === null
    ? { field: 'caseId', said: sentence('rep.case-missing', { drill: drill.id }) }
    : null;
};

const setFits: Fits = ({ testSetId, purpose }) =>
  testSetId === null || purpose === 'test'
    ? null
    : { field: 'testSetId', said: sentence('rep.only-tests-in-sets') };

const caseFits: Fits = ({ caseId }, { id }) =>
  caseId === null || isCaseOf(id, caseId)
    ? null
    : { field: 'caseId', said: sentence('rep.other-case', { drill: id }) };

const stageFits: Fits = ({ stage }, { id, stages = 0 }) =>
  stage === null || stage <= stages
    ? null
    : { field: 'stage', said: sentence('rep.other-stage', { stages, drill: id }) };

const widthFits: Fits = ({ widthSpans }, { id, widthsSpans }) =>
  widthSpans === null || widthsSpans
    ? null
    : { field: 'widthSpans', said: sentence('rep.no-opening', { drill: id }) };

const missFits: Fits = ({ met, missReason }) =>
  met && missReason !== null ? { field: 'missReason', said: sentence('rep.met-without-reason') } : null;

const placeFits: Fits = ({ flownOn }, { id, simulator }) =>
  flownOn === 'simulator' && simulator === 'no-use'
    ? { field: 'flownOn', said: sentence('rep.not-on-simulator', { drill: id }) }
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
  | 'judgedBy'
  | 'sessionId'
  | 'craftId'
  | 'caseId'
  | 'stage'
  | 'widthSpans'
  | 'distanceM'
  | 'testSetId'
  | 'lateReason'
> & {
  readonly purpose: Purpose;
  readonly missReason?: MissReason | null;
  readonly level?: number;
  readonly measure?: number | null;
  readonly judgedBy?: (typeof JUDGED_BY)[number] | null;
  readonly sessionId?: string | null;
  readonly craftId?: string | null;
  readonly testSetId?: string | null;
  readonly caseId?: string | null;
  readonly stage?: number | null;
  readonly widthSpans?: number | null;
  readonly distanceM?: number | null;
  readonly lateReason?: string;
};

/** The one place in which a rep is put together. */
export const newRep = (counted: CountedRep): RepFields => ({
  missReason: null,
  level: 0,
  measure: null,
  judgedBy: null,
  sessionId: null,
  craftId: null,
  testSetId: null,
  caseId: null,
  stage: null,
  widthSpans: null,
  distanceM: null,
  lateReason: '',
  ...counted,
});
