import type { moveWeakness as command } from '@skelby/core/commands/move-weakness';
import { countedTestsOf, moveProblem } from '@skelby/core/weakness/allowed-moves';
import { clearanceOf } from '@skelby/core/clearance/clearance';
import { recordEvent } from '../facts/events';
import { refreshWeakness } from '../facts/refresh-weakness';
import { loadFacts, lockWeakness } from '../facts/weakness-facts';
import { badField, conflict } from '../problem/problem';
import type { Handler } from './handler';

/** Signs, closes, or undoes either. */
export const moveWeakness: Handler<typeof command> = async (
  school,
  { keys: { id: named, moveId: id }, fields },
) => {
  const { id: weaknessId } = await lockWeakness(school, named);
  const facts = await loadFacts(school, weaknessId);
  if (facts.moves.some((move) => move.id === id)) return { id };
  const mayNotSign = (facts.rule.secondSigner ?? false) && countedTestsOf(school.accountId, facts);
  const refusal = moveProblem(fields, clearanceOf(facts), facts.moves, mayNotSign);
  if (refusal) throw refusal.field ? badField(refusal.field, refusal.said) : conflict(refusal.said);
  const { tx, schoolId, accountId } = school;
  const reason = fields.reason || null;
  await tx('moves').insert({
    schoolId,
    id,
    weaknessId,
    kind: fields.kind,
    at: fields.at,
    accountId,
    undoes: fields.kind === 'undone' ? fields.undoes : null,
    reason,
  });
  await recordEvent(school, {
    action: fields.kind,
    subject: 'weakness',
    subjectId: weaknessId,
    pilotId: facts.pilotId,
    reason,
  });
  await refreshWeakness(school, weaknessId);
  return { id };
};
