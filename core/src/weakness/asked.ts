import type { CauseId } from '../causes/causes';
import type { AnyHandle, BodyOf, KeysOfCommand } from '../commands/command';
import { confirmCause, saveDebrief } from '../commands/handles';
import type { Findings } from '../debrief/findings';

/** A command as it was asked for, with the address it goes to. */
export interface Asked {
  readonly path: string;
  readonly body: unknown;
  /** Instant at which it was made, ISO 8601. */
  readonly madeAt: string;
}

export interface Confirmation {
  readonly occurrenceId: string;
  readonly causeId: CauseId;
  readonly weaknessId: string;
  readonly moveId: string;
  readonly planId: string;
  readonly undoId: string | null;
  readonly at: string;
  readonly findings: Findings | null;
}

/** The keys and body of a command, if it is this one. */
export const bodyIf = <C extends AnyHandle>(command: C, { path, body }: Asked) => {
  const keys = command.address.read(path) as KeysOfCommand<C> | null;
  return keys && { keys, body: body as BodyOf<C> };
};

/** The cause that a command confirms, by a word or by closing a debrief; null when it confirms none. */
export function confirmationIn(asked: Asked): Confirmation | null {
  const word = bodyIf(confirmCause, asked);
  if (word) return { occurrenceId: word.keys.id, ...word.body, undoId: null, findings: null };
  const debrief = bodyIf(saveDebrief, asked);
  if (debrief?.body.state !== 'closed' || !debrief.body.findings.primary) return null;
  const { weaknessId, moveId, planId, undoId, at } = debrief.body;
  const findings = debrief.body.findings as unknown as Findings;
  return {
    occurrenceId: debrief.keys.id,
    causeId: findings.primary!,
    weaknessId,
    moveId,
    planId,
    undoId,
    at,
    findings,
  };
}
