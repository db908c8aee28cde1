import { array, object } from 'yup';
import { REPORT_WHEN, type ReportingRule } from '../debrief/reporting';
import { choice, line, quantity } from '../schemas/fields';
import { command } from './command';
import * as handles from './handles';

export const MOST_REPORTING_RULES = 12;

/** What a school has to report, to whom, and within how many hours. */
export const setReporting = command(handles.setReporting, {
  schema: object({
    rules: array(
      object({
        when: choice('When', REPORT_WHEN),
        to: line('Whom to tell', 200),
        withinHours: quantity('Within', 0.5, 720, 'h'),
      }).noUnknown(),
    )
      .defined('Rules are missing: give a list, or an empty one.')
      .max(MOST_REPORTING_RULES, `At most ${MOST_REPORTING_RULES} rules: leave some out.`),
  }).noUnknown() as never,
});

export interface ReportingFields {
  readonly rules: readonly ReportingRule[];
}
