import type { Clearance } from '../clearance/clearance';
import type { Move } from '../clearance/facts';
import { liveMoves } from '../clearance/standing';
import type { MoveFields } from '../commands/move-weakness';

/** Why a trainer's move may not be made. */
export interface MoveRefusal {
  /** The field that is wrong; null where the weakness stands otherwise than the move takes it to. */
  readonly field: 'reason' | null;
  readonly message: string;
}

export const REASON_WANTED = 'Reason is empty: say why in a few words.';
const SIGNATURES: readonly Move['kind'][] = ['signed', 'signed-early', 'closed'];
const OVER: readonly Clearance['state'][] = ['watch', 'closed', 'withdrawn'];

const no = (message: string): MoveRefusal => ({ field: null, message });
const needsReason = ({ reason }: MoveFields): MoveRefusal | null =>
  reason ? null : { field: 'reason', message: REASON_WANTED };

/** The last signature or closing that still stands; null when there is none. */
export function lastSignature(moves: readonly Move[]): Move | null {
  const last = liveMoves(moves).at(-1);
  return last && SIGNATURES.includes(last.kind) ? last : null;
}

/** Why a move may not be made now; null when it may. */
export function moveProblem(
  fields: MoveFields,
  clearance: Pick<Clearance, 'state' | 'check'>,
  moves: readonly Move[],
): MoveRefusal | null {
  switch (fields.kind) {
    case 'signed':
      return clearance.state === 'ready-for-check' && clearance.check?.passed
        ? null
        : no('Not every rung is met yet: fly the check first, or sign early with a reason.');
    case 'signed-early':
      return OVER.includes(clearance.state)
        ? no('This weakness is not open: there is nothing to sign.')
        : needsReason(fields);
    case 'closed':
      return clearance.state === 'watch'
        ? null
        : no('Only a weakness on watch can be closed: sign it first.');
    case 'undone':
      return lastSignature(moves)?.id === fields.undoes
        ? needsReason(fields)
        : no('Only the last signature or closing can be undone: reload to see what was last.');
  }
}
