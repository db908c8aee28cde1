import { reportsDue, type ReportingRule, type ToReport } from '@skelby/core/debrief/reporting';
import { REPORT_WHEN_WORDS } from '../../shared/copy/report-copy';
import { sayTime } from '../../shared/copy/dates';
import { Note } from '../../shared/ui/Note';
import { Words } from '../../shared/ui/Words';

/** What has to be reported of an occurrence, to whom and until when, by the school's own rules. */
export function ReportsDue({
  rules,
  occurrence,
}: {
  readonly rules: readonly ReportingRule[];
  readonly occurrence: ToReport;
}) {
  const due = reportsDue(rules, occurrence);
  if (due.length === 0) return null;
  return (
    <Note icon="send" heading="To be reported">
      {due.map(({ rule, by, isCertain }) => (
        <Words key={`${rule.when} ${rule.to}`}>
          {`${isCertain ? '' : `If so (${REPORT_WHEN_WORDS[rule.when].toLowerCase()}): `}${rule.to}, ${by === null ? `within ${rule.withinHours} h` : `by ${sayTime(by)}`}`}
        </Words>
      ))}
    </Note>
  );
}
