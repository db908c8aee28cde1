import { type InferType, object } from 'yup';
import { TESTS } from '../clearance/clearing-rule';
import { sentence } from '../vocabulary/said';
import { choice, reason, whole, yesNo, yesNoUsually } from './fields';

/** What a school may choose of its clearing rule. */
export const ruleShape = object({
  test: choice('test', TESTS),
  unacceptableMissPercent: whole('not-yet-competent', 20, 60),
  acceptableMissPercent: whole('competent', 2, 25),
  riskPercent: whole('risk', 1, 25),
  plannedReps: whole('planned-reps', 10, 120),
  passDays: whole('days', 2, 6),
  checkGapDays: whole('days-before-the-check', 5, 30),
  testsADay: whole('tests-a-day', 1, 6),
  sidesAlike: yesNo('every-side-alike'),
  mostDaysBetweenChecks: whole('days-between-checks', 30, 180),
  secondSigner: yesNoUsually('second-signer', false),
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
      said: sentence('rule.strict-rates', STRICT_RATES),
    };
  return p1 * LEAST_RATIO <= p0
    ? null
    : {
        field: 'acceptableMissPercent',
        said: sentence('rule.rates-too-near', { most: Math.floor(p0 / LEAST_RATIO) }),
      };
}
