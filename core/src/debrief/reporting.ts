import type { CauseId } from '../causes/causes';
import type { OccurrenceKind } from '../vocabulary/flying';
import type { Injury } from './severity';

/** What makes a report due. */
export const REPORT_WHEN = ['every', 'crash', 'injury', 'people', 'lost-control'] as const;
export type ReportWhen = (typeof REPORT_WHEN)[number];

/** One rule of a school: what has to be told to whom, and how soon. Local rules decide what stands here. */
export interface ReportingRule {
  readonly when: ReportWhen;
  /** Whom to tell, and how: an authority, an owner, an insurer. */
  readonly to: string;
  readonly withinHours: number;
}

/** What is known of an occurrence; null: not known yet, and the rule is asked about rather than left out. */
export interface ToReport {
  readonly kind: OccurrenceKind;
  /** Instant, ISO 8601; null: it is not logged yet. */
  readonly happenedAt: string | null;
  readonly causeId: CauseId | null;
  readonly injury: Injury | null;
}

export interface ReportDue {
  readonly rule: ReportingRule;
  /** Instant until which it has to be told, ISO 8601; null while nobody has said when it happened. */
  readonly by: string | null;
  /** False: it is due only if what the rule asks for was so, and nobody has said. */
  readonly isCertain: boolean;
}

/** Causes by which somebody who had no part in it was in danger. */
const PEOPLE: readonly CauseId[] = ['people-near'];
/** Causes by which it flew where nobody steered it. */
const LOST_CONTROL: readonly CauseId[] = ['link-loss', 'failsafe-setting', 'heading-fault', 'beyond-sight'];

/** Whether a rule applies; null: nobody can say yet. */
function applies(when: ReportWhen, { kind, causeId, injury }: ToReport): boolean | null {
  const isOf = (causes: readonly CauseId[]) => (causeId === null ? null : causes.includes(causeId));
  switch (when) {
    case 'every':
      return true;
    case 'crash':
      return kind === 'crash';
    case 'injury':
      return injury === null ? null : injury !== 'none';
    case 'people':
      return isOf(PEOPLE);
    case 'lost-control':
      return isOf(LOST_CONTROL);
  }
}

const HOUR_MS = 3_600_000;

/** What has to be reported of an occurrence, or may have to be, the most urgent first. */
export const reportsDue = (rules: readonly ReportingRule[], occurrence: ToReport): readonly ReportDue[] =>
  rules
    .flatMap((rule): readonly ReportDue[] => {
      const so = applies(rule.when, occurrence);
      if (so === false) return [];
      const { happenedAt } = occurrence;
      const by =
        happenedAt === null
          ? null
          : new Date(Date.parse(happenedAt) + rule.withinHours * HOUR_MS).toISOString();
      return [{ rule, by, isCertain: so === true }];
    })
    .sort((a, b) => Number(b.isCertain) - Number(a.isCertain) || a.rule.withinHours - b.rule.withinHours);
