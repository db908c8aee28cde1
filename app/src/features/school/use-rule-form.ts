import { said } from '@skelby/copy/say';
import { OutOfLimits } from '@skelby/core/vocabulary/said';
import { type ClearingRule, DEFAULT_RULE, testOf } from '@skelby/core/clearance/clearing-rule';
import { costsOf, type RuleCosts } from '@skelby/core/clearance/rule-costs';
import { setRule } from '@skelby/core/commands/handles';
import { ruleProblem, type RuleFields } from '@skelby/core/schemas/rule';
import { useDeferredValue, useMemo, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useSaveNow } from '../../offline/overlay/record-queries';

type Numbers = Omit<RuleFields, 'reason'>;

const numbersOf = (rule: ClearingRule): Numbers => ({
  test: testOf(rule),
  unacceptableMissPercent: rule.unacceptableMissPercent,
  acceptableMissPercent: rule.acceptableMissPercent,
  riskPercent: rule.riskPercent,
  plannedReps: rule.plannedReps,
  passDays: rule.passDays,
  checkGapDays: rule.checkGapDays,
  testsADay: rule.testsADay ?? DEFAULT_RULE.testsADay,
  sidesAlike: rule.sidesAlike ?? DEFAULT_RULE.sidesAlike,
  mostDaysBetweenChecks: rule.mostDaysBetweenChecks ?? DEFAULT_RULE.mostDaysBetweenChecks,
  secondSigner: rule.secondSigner ?? DEFAULT_RULE.secondSigner,
});

/** What the numbers cost; a reason where they cannot be kept. */
function costOrProblem(rule: Numbers): { readonly costs: RuleCosts | null; readonly problem: string | null } {
  const problem = ruleProblem(rule);
  if (problem) return { costs: null, problem: said(problem.said) };
  try {
    return { costs: costsOf({ ...rule, edition: DEFAULT_RULE.edition }), problem: null };
  } catch (error) {
    if (error instanceof OutOfLimits) return { costs: null, problem: said(error.said) };
    throw error;
  }
}

/** A rule to be put in force: its numbers, what they cost beside the one in force, and the saving of it. */
export function useRuleForm(inForce: ClearingRule) {
  const before = useMemo(() => numbersOf(inForce), [inForce]);
  const [rule, setRuleNumbers] = useState<Numbers>(before);
  const save = useSaveNow(setRule);
  // Thousands of made-up pilots: the number that was tapped is drawn first.
  const drawn = useDeferredValue(rule);
  return {
    rule,
    change: (part: Partial<Numbers>) => setRuleNumbers((last) => ({ ...last, ...part })),
    isOther: JSON.stringify(rule) !== JSON.stringify(before),
    now: useMemo(() => costOrProblem(before), [before]),
    wanted: useMemo(() => costOrProblem(drawn), [drawn]),
    isBehind: drawn !== rule,
    save: (reason: string) => save.mutate({ keys: { id: uuid() }, body: { ...rule, reason } }),
    isSaving: save.isPending,
    error: save.error?.message ?? null,
    isSaved: save.isSuccess,
  };
}
