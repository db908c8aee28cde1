import type { moveWeakness as command } from '@skelby/core/commands/move-weakness';
import { clearanceOf } from '@skelby/core/clearance/clearance';
import { liveMoves } from '@skelby/core/clearance/standing';
import type { MoveFields } from '@skelby/core/commands/move-weakness';
import { recordEvent } from '../facts/events';
import { loadFacts, lockWeakness, refreshWeakness, type LoadedFacts } from '../facts/weakness-facts';
import { badField, conflict } from '../problem/problem';
import type { Handler } from './handler';

const REASON_WANTED = 'Reason is empty: say why in a few words.';

/** Why a trainer's move may not be made now; throws the problem that says so. */
function assertMove(fields: MoveFields, facts: LoadedFacts): void {
  const clearance = clearanceOf(facts);
  const last = liveMoves(facts.moves).at(-1);
  switch (fields.kind) {
    case 'signed':
      if (clearance.state !== 'ready-for-check' || !clearance.check?.passed) {
        throw conflict('Not every rung is met yet: fly the check first, or sign early with a reason.');
      }
      return;
    case 'signed-early':
      if (clearance.state === 'watch' || clearance.state === 'closed' || clearance.state === 'withdrawn')
        throw conflict('This weakness is not open: there is nothing to sign.');
      if (!fields.reason) throw badField('reason', REASON_WANTED);
      return;
    case 'closed':
      if (clearance.state !== 'watch')
        throw conflict('Only a weakness on watch can be closed: sign it first.');
      return;
    case 'undone':
      if (!last || last.id !== fields.undoes || !['signed', 'signed-early', 'closed'].includes(last.kind)) {
        throw conflict('Only the last signature or closing can be undone: reload to see what was last.');
      }
      if (!fields.reason) throw badField('reason', REASON_WANTED);
  }
}

/** Signs, closes, or undoes either. */
export const moveWeakness: Handler<typeof command> = async (
  school,
  { keys: { id: named, moveId: id }, fields },
) => {
  const { id: weaknessId } = await lockWeakness(school, named);
  const facts = await loadFacts(school, weaknessId);
  if (facts.moves.some((move) => move.id === id)) return { id };
  assertMove(fields, facts);
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
