import { type Findings, NO_FINDINGS } from '@skelby/core/debrief/findings';
import type { MentionId } from '@skelby/core/ranking/mentions';
import { type Evidence, readable } from '@skelby/core/evidence/evidence';
import { useCallback } from 'react';
import { v7 as uuid } from 'uuid';
import type { DebriefPage } from '@skelby/core/pages/pages';
import { useDraft } from '../../shared/storage/use-draft';
import type { SaveKeys } from '../../offline/overlay/debrief-queries';

const nameOf = (occurrenceId: string) => `debrief.${occurrenceId}`;

/** A debrief in the making. It is kept on this phone from the first answer until the server has it. */
export interface DebriefDraft {
  /** The saved version that it started from; 0: none. */
  readonly base: number;
  readonly findings: Findings;
  /** Whether the trainer's own pick was asked, so that the ranking may be shown. */
  readonly picked: boolean;
  /** What was in it, as told in one go, and whether that was asked. */
  readonly mentioned: readonly MentionId[];
  readonly hasMentioned: boolean;
  readonly skipped: readonly string[];
  /** Why a closed debrief is changed. */
  readonly reason: string;
  readonly keys: SaveKeys;
}

const newKeys = (): SaveKeys => ({
  versionId: uuid(),
  weaknessId: uuid(),
  moveId: uuid(),
  undoId: uuid(),
  planId: uuid(),
});

/** From the saved debrief, or from what logging captured. */
function begun({ debrief }: DebriefPage, captured: Evidence): DebriefDraft {
  const findings = debrief?.findings ?? { ...NO_FINDINGS, evidence: captured };
  return {
    base: debrief?.number ?? 0,
    findings,
    picked: debrief !== null,
    mentioned: [],
    hasMentioned: debrief !== null,
    skipped: [],
    reason: '',
    keys: newKeys(),
  };
}

export function useDebriefDraft(occurrenceId: string, page: DebriefPage, captured: Evidence) {
  const { draft, change, drop, sent } = useDraft<DebriefDraft>({
    name: nameOf(occurrenceId),
    begin: () => begun(page, captured),
    goOn: (last) => ({
      ...last,
      // A draft of an older version was never asked; one that is under way goes on without.
      mentioned: last.mentioned ?? [],
      hasMentioned: last.hasMentioned ?? last.picked,
      findings: { ...last.findings, evidence: readable(last.findings.evidence) },
    }),
    // The tab may come back and send its own: this is another version.
    takeOver: (last) => ({ ...last, keys: newKeys() }),
  });
  const find = useCallback(
    (part: Partial<Findings>) => change((last) => ({ ...last, findings: { ...last.findings, ...part } })),
    [change],
  );
  /** Goes on from what somebody else saved meanwhile: theirs, or one's own on top of it. */
  const rebase = useCallback(
    (whose: 'theirs' | 'mine') => {
      if (whose === 'theirs') drop();
      else change({ base: page.debrief?.number ?? 0, keys: newKeys() });
    },
    [page, change, drop],
  );
  /** The page shows this very draft, just saved. */
  const saved = page.debrief?.id === draft.keys.versionId;
  return {
    draft,
    change,
    find,
    sent,
    rebase,
    saved,
    overtaken: !saved && draft.base < (page.debrief?.number ?? 0),
  };
}
