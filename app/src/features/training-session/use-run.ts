import type { TrainingSession } from '@skelby/core/pages/pages';
import type { Block } from '@skelby/core/plan/layout/block';
import type { SessionFields } from '@skelby/core/schemas/session';
import { useQueryClient } from '@tanstack/react-query';
import { type SessionSave, useSaveSession } from '../../offline/overlay/session-queries';
import { ApiProblem } from '../../shared/api/client';
import { type RunState, useRunState } from './run-state';

const BLOCK_BEGINS = { missedAt: null, soonAt: null, measure: null, distanceM: null } as const;

function backFrom(
  { phase, block }: RunState,
  change: (part: Partial<RunState>) => void,
): (() => void) | null {
  if (phase === 'own') return () => change({ phase: 'fly', ...BLOCK_BEGINS });
  return block === 0 ? null : () => change({ block: block - 1, ...BLOCK_BEGINS });
}

/** A session being flown: where it stands, and what was written down of it. */
export function useRun(session: TrainingSession) {
  const save = useSaveSession();
  const client = useQueryClient();
  const { content } = session;
  const { state, change } = useRunState(session.id);
  const put = (part: Partial<SessionFields>) =>
    save.mutate({
      id: session.id,
      content: { ...content, ...part },
      basedOn: session.revision ?? null,
    });
  const pack = content.packs[state.pack];
  const block = pack?.blocks[state.block] as Block | undefined;
  const isLastPack = state.pack === content.packs.length - 1;
  const isEndOfPack = state.block === (pack?.blocks.length ?? 0) - 1;
  const { variables: wanted, error } = save;
  return {
    state,
    change,
    pack,
    block,
    isLast: isEndOfPack && isLastPack,
    isBusy: save.isPending,
    error,
    /** Another trainer changed the session meanwhile. */
    clash: wanted && error instanceof ApiProblem && error.clash.theirs ? { wanted, problem: error } : null,
    keepMine: (again: SessionSave) => save.mutate(again),
    takeTheirs: () => {
      save.reset();
      void client.invalidateQueries({ queryKey: ['sessions'] });
    },
    begin: (goNoGo: SessionFields['goNoGo']) => put({ goNoGo, state: 'running' }),
    /** What the pilot of this pack works on: what was said last after an earlier one. */
    workOn:
      [...state.own].reverse().find((each) => each.pilotId === pack?.pilotId && each.next)?.next ?? null,
    /** The block before, of the same pack; null where this is the first. After the last one, that one. */
    back: backFrom(state, change),
    next: () =>
      change(isEndOfPack ? { phase: 'own', ...BLOCK_BEGINS } : { block: state.block + 1, ...BLOCK_BEGINS }),
    /** After a pack: its pilot's own mistakes, and the next pack. */
    endPack: (mistakes: readonly string[], next: string) => {
      if (!pack) return;
      const own = [
        ...state.own,
        { pilotId: pack.pilotId, pack: state.pack + 1, mistakes: [...mistakes], next },
      ];
      change({ phase: 'fly', pack: state.pack + 1, block: 0, packStartedAt: null, measure: null, own });
      put({ own, state: isLastPack ? 'done' : 'running' });
    },
  };
}
