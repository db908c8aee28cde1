import { array, object } from 'yup';
import { REPORT_WHEN, type ReportingRule } from '../debrief/reporting';
import { choice, line, quantity } from '../schemas/fields';
import { command } from './command';
import * as handles from './handles';
import { fieldSaid } from '../schemas/field-said';

export const MOST_REPORTING_RULES = 12;

/** What a school has to report, to whom, and within how many hours. */
export const setReporting = command(handles.setReporting, {
  schema: object({
    rules: array(
      object({
        when: choice('when', REPORT_WHEN),
        to: line('whom-to-tell', 200),
        withinHours: quantity('within', 0.5, 720, 'h'),
      }).noUnknown(),
    )
      .defined(fieldSaid('reporting.rules-missing'))
      .max(MOST_REPORTING_RULES, fieldSaid('reporting.too-many', { most: MOST_REPORTING_RULES })),
  }).noUnknown() as never,
});

export interface ReportingFields {
  readonly rules: readonly ReportingRule[];
}
