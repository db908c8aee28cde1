import type { SessionFields } from '@skelby/core/schemas/session';
import { useDraft } from '../../shared/storage/use-draft';

type Own = SessionFields['own'][number];

/** Where a running session stands on this phone: a refresh, or a closed tab, goes on from here. */
export interface RunState {
  readonly pack: number;
  readonly block: number;
  /** After a pack its pilot lists own mistakes before the next begins. */
  readonly phase: 'fly' | 'own';
  readonly packStartedAt: number | null;
  /** A miss that waits for its reason: the instant of the attempt. */
  readonly missedAt: string | null;
  /** A rep met very soon after the last one, which waits for a word. */
  readonly soonAt: string | null;
  readonly measure: number | null;
  /** Distance from the pilot, where it was changed in this block, m. */
  readonly distanceM: number | null;
  readonly own: readonly Own[];
}

const START: RunState = {
  pack: 0,
  block: 0,
  phase: 'fly',
  packStartedAt: null,
  missedAt: null,
  soonAt: null,
  measure: null,
  distanceM: null,
  own: [],
};

export function useRunState(sessionId: string) {
  const { draft: state, change } = useDraft<RunState>({
    name: `session.run.${sessionId}`,
    begin: () => START,
    goOn: (last) => ({ ...START, ...last }),
  });
  return { state, change };
}
