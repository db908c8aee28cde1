import type { ReportWhen } from '@skelby/core/debrief/reporting';

/** What makes a report due, as a trainer picks it. */
export const REPORT_WHEN_WORDS: Readonly<Record<ReportWhen, string>> = {
  every: 'Every crash and near-miss',
  crash: 'Every crash',
  injury: 'Anybody hurt',
  people: 'Over or near people',
  'lost-control': 'It flew where nobody steered it',
};
