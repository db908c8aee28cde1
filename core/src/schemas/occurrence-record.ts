import { object } from 'yup';
import { DEBRIEF_STATES } from '../debrief/findings';
import { KINDS_OF_OCCURRENCE } from '../vocabulary/flying';
import { findingsShape } from './debrief';
import {
  causeId,
  causeIdOrNone,
  choice,
  day,
  instant,
  keyOrNone,
  line,
  quantityOrNone,
  text,
} from './fields';
import { fieldSaid } from './field-said';
import type { FieldLabel } from './labels';

const lineOrNone = (label: FieldLabel, longest: number) => text(label, longest).nullable().default(null);

/** One occurrence of a file. Names of craft and site are looked up by whoever reads it in. */
export const occurrenceRecordShape = object({
  id: keyOrNone('=id'),
  pilotId: keyOrNone('=pilot_id'),
  pilot: line('=pilot', 80),
  kind: choice('=kind', KINDS_OF_OCCURRENCE),
  day: day('=day'),
  happenedAt: instant('=happened_at'),
  causeId: causeId('=logged_cause'),
  note: text('=note', 1000),
  craft: lineOrNone('=craft', 60),
  site: lineOrNone('=site', 60),
  windMps: quantityOrNone('=logged_wind_mps', 0, 30, 'm/s'),
  confirmedCauseId: causeIdOrNone('=confirmed_cause'),
  withdrawnReason: lineOrNone('=withdrawn_reason', 300),
  debrief: findingsShape
    .shape({ state: choice('=debrief_state', DEBRIEF_STATES) })
    .nullable()
    .default(null),
}).noUnknown(true, ({ unknown }) => fieldSaid('occurrence.unknown-part', { part: String(unknown) }));
