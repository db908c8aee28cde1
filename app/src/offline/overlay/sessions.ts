import type { TrainingSession } from '../../shared/api/types';
import { saveSession } from '@skelby/core/commands/save-session';
import { done } from '../outbox/commands';
import type { Waiting } from '../outbox/waiting';

/** Sessions with those saved on this phone. */
export function sessionsWith(
  sessions: readonly TrainingSession[] | undefined,
  waiting: readonly Waiting[],
): readonly TrainingSession[] | undefined {
  const saved = new Map(
    done(saveSession, waiting).map(({ keys: { id }, body }) => [
      id,
      { ...sessions?.find((each) => each.id === id), id, content: body, by: null },
    ]),
  );
  return saved.size === 0
    ? sessions
    : [...saved.values(), ...(sessions ?? []).filter((each) => !saved.has(each.id))];
}
