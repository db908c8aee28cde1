import type { Clearance } from '../clearance/clearance';
import type { Move, Rep } from '../clearance/facts';
import { liveMoves } from '../clearance/standing';
import { type Said, sentence } from '../vocabulary/said';
import type { MoveFields } from '../commands/move-weakness';

/** Why a trainer's move may not be made. */
export interface MoveRefusal {
  /** The field that is wrong; null where the weakness stands otherwise than the move takes it to. */
  readonly field: 'reason' | null;
  readonly said: Said;
}

export const REASON_WANTED = sentence('field.reason-empty');
const SIGNATURES: readonly Move['kind'][] = ['signed', 'signed-early', 'closed'];
const CLEARS: readonly Move['kind'][] = ['signed', 'signed-early'];
const OVER: readonly Clearance['state'][] = ['watch', 'closed', 'withdrawn'];

const no = (said: Said): MoveRefusal => ({ field: null, said });
const needsReason = ({ reason }: MoveFields): MoveRefusal | null =>
  reason ? null : { field: 'reason', said: REASON_WANTED };

/** The last signature or closing that still stands; null when there is none. */
export function lastSignature(moves: readonly Move[]): Move | null {
  const last = liveMoves(moves).at(-1);
  return last && SIGNATURES.includes(last.kind) ? last : null;
}

/** A rep, with who counted it; nobody where the pilot flew alone. */
type CountedRep = Pick<Rep, 'flownAt' | 'purpose' | 'takenBack'> & { readonly accountId: string | null };

/** Whether somebody counted tests or checks of a weakness since it was last opened. */
export function countedTestsOf(
  accountId: string | null,
  { reps, moves }: { readonly reps: readonly CountedRep[]; readonly moves: readonly Move[] },
): boolean {
  const openedAt = Math.max(
    ...liveMoves(moves)
      .filter(({ kind }) => kind === 'opened' || kind === 'reopened')
      .map(({ at }) => Date.parse(at)),
  );
  return reps.some(
    (rep) =>
      rep.accountId === accountId &&
      rep.purpose !== 'practice' &&
      !rep.takenBack &&
      Date.parse(rep.flownAt) >= openedAt,
  );
}

/**
 * Why a move may not be made now; null when it may.
 * @param mayNotSign the rule asks for somebody else than who counted the tests, and this is who did
 */
export function moveProblem(
  fields: MoveFields,
  clearance: Pick<Clearance, 'state' | 'check'>,
  moves: readonly Move[],
  mayNotSign = false,
): MoveRefusal | null {
  if (mayNotSign && CLEARS.includes(fields.kind)) return no(sentence('move.counted-by-signer'));
  switch (fields.kind) {
    case 'signed':
      return clearance.state === 'ready-for-check' && clearance.check?.passed
        ? null
        : no(sentence('move.not-every-rung'));
    case 'signed-early':
      return OVER.includes(clearance.state) ? no(sentence('move.not-open')) : needsReason(fields);
    case 'closed':
      return clearance.state === 'watch' ? null : no(sentence('move.not-on-watch'));
    case 'undone':
      return lastSignature(moves)?.id === fields.undoes
        ? needsReason(fields)
        : no(sentence('move.not-the-last'));
  }
}
