import { LEVELS } from '../vocabulary/training';
import { type InferType, number, object, string } from 'yup';
import { MISS_REASONS, type MissReason, type Purpose, PURPOSES } from '../clearance/facts';
import { SIDES } from '../drills/drill';
import { isCaseOf } from '../drill-cases/decks';
import { type DrillId, DRILLS, isDrillId, mayDecide } from '../drills/drills';
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
import { FLIGHT_MODES } from '../vocabulary/flying';
import { WIND_BANDS } from '../vocabulary/wind-band';
import { sentence } from '../vocabulary/said';
import { command, type FieldRefusal } from './command';
import { dayFits, firstRefusal, type FitsDrill, missFits, placeFits, sideFits } from './fits-drill';
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
    )
    .meta({ jsonSchema: { anyOf: [{ enum: DRILLS.map(({ id }) => id) }, { pattern: '^own-' }] } });

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

/** Tests and checks are flown at the standard, of drills that may decide, each a case where it is drawn by lot. */
const purposeFits: FitsDrill<RepFields> = ({ purpose, level, caseId }, drill) => {
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

const setFits: FitsDrill<RepFields> = ({ testSetId, purpose }) =>
  testSetId === null || purpose === 'test'
    ? null
    : { field: 'testSetId', said: sentence('rep.only-tests-in-sets') };

const caseFits: FitsDrill<RepFields> = ({ caseId }, { id }) =>
  caseId === null || isCaseOf(id, caseId)
    ? null
    : { field: 'caseId', said: sentence('rep.other-case', { drill: id }) };

const stageFits: FitsDrill<RepFields> = ({ stage }, { id, stages = 0 }) =>
  stage === null || stage <= stages
    ? null
    : { field: 'stage', said: sentence('rep.other-stage', { stages, drill: id }) };

const widthFits: FitsDrill<RepFields> = ({ widthSpans }, { id, widthsSpans }) =>
  widthSpans === null || widthsSpans
    ? null
    : { field: 'widthSpans', said: sentence('rep.no-opening', { drill: id }) };

const FITS: readonly FitsDrill<RepFields>[] = [
  sideFits,
  ({ day: on, flownAt }) => dayFits(on, flownAt),
  purposeFits,
  setFits,
  caseFits,
  stageFits,
  widthFits,
  missFits,
  placeFits,
];

/** Why a rep does not fit its drill; null when it does. */
export const repProblem = (rep: RepFields): FieldRefusal | null => firstRefusal(rep, FITS);

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
