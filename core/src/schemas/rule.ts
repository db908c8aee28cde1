import { type InferType, object } from 'yup';
import { TESTS } from '../clearance/clearing-rule';
import { choice, reason, whole, yesNo } from './fields';

/** What a school may choose of its clearing rule. */
export const ruleShape = object({
  test: choice('Test', TESTS),
  unacceptableMissPercent: whole('Not yet competent', 20, 60),
  acceptableMissPercent: whole('Competent', 2, 25),
  riskPercent: whole('Risk', 1, 25),
  plannedReps: whole('Planned reps', 10, 120),
  passDays: whole('Days', 2, 6),
  checkGapDays: whole('Days before the check', 5, 30),
  testsADay: whole('Tests a day', 1, 6),
  sidesAlike: yesNo('Every side alike'),
  mostDaysBetweenChecks: whole('Days between checks', 30, 180),
  reason: reason(),
}).noUnknown();
export type RuleFields = InferType<typeof ruleShape>;

/** Miss rates that the weights of the strict test are made for, per cent. */
const STRICT_RATES = { p0: 40, p1: 10 } as const;

/** Least ratio of the two miss rates: nearer together no number of reps tells them apart. */
const LEAST_RATIO = 2;

/** Why these numbers do not go together; null when they do. */
export function ruleProblem(
  rule: Pick<RuleFields, 'test' | 'unacceptableMissPercent' | 'acceptableMissPercent'>,
) {
  const { unacceptableMissPercent: p0, acceptableMissPercent: p1 } = rule;
  if (rule.test === 'strict' && (p0 !== STRICT_RATES.p0 || p1 !== STRICT_RATES.p1))
    return {
      field: p0 === STRICT_RATES.p0 ? 'acceptableMissPercent' : 'unacceptableMissPercent',
      message: `The strict test knows one pair of miss rates: ${STRICT_RATES.p0} % not yet competent, ${STRICT_RATES.p1} % competent.`,
    };
  return p1 * LEAST_RATIO <= p0
    ? null
    : {
        field: 'acceptableMissPercent',
        message: `Competent has to be at most half of not yet competent: at most ${Math.floor(p0 / LEAST_RATIO)} %.`,
      };
}
