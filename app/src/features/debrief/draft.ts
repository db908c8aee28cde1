import { type Findings, NO_FINDINGS } from '@skelby/core/debrief/findings';
import { type Evidence, readable } from '@skelby/core/evidence/evidence';
import { useCallback, useState } from 'react';
import { v7 as uuid } from 'uuid';
import type { DebriefPage } from '@skelby/core/pages/pages';
import { forget, keep, kept } from '../../shared/storage/storage';
import type { SaveKeys } from '../../offline/overlay/debrief-queries';

const nameOf = (occurrenceId: string) => `debrief.${occurrenceId}`;

/** A debrief in the making. It is kept on this phone from the first answer until the server has it. */
export interface DebriefDraft {
  /** The saved version that it started from; 0: none. */
  readonly base: number;
  readonly findings: Findings;
  /** Whether the trainer's own pick was asked, so that the ranking may be shown. */
  readonly picked: boolean;
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
    skipped: [],
    reason: '',
    keys: newKeys(),
  };
}

export function useDebriefDraft(occurrenceId: string, page: DebriefPage, captured: Evidence) {
  const name = nameOf(occurrenceId);
  const [draft, setDraft] = useState<DebriefDraft>(() => {
    const last = kept<DebriefDraft>(name);
    return last
      ? { ...last, findings: { ...last.findings, evidence: readable(last.findings.evidence) } }
      : begun(page, captured);
  });
  const change = useCallback(
    (part: Partial<DebriefDraft>) =>
      setDraft((last) => {
        const next = { ...last, ...part };
        keep(name, next);
        return next;
      }),
    [name],
  );
  const find = useCallback(
    (part: Partial<Findings>) =>
      setDraft((last) => {
        const next = { ...last, findings: { ...last.findings, ...part } };
        keep(name, next);
        return next;
      }),
    [name],
  );
  const drop = useCallback(() => forget(name), [name]);
  /** Goes on from what somebody else saved meanwhile: theirs, or one's own on top of it. */
  const rebase = useCallback(
    (whose: 'theirs' | 'mine') => {
      if (whose === 'theirs') {
        forget(name);
        setDraft(begun(page, captured));
      } else change({ base: page.debrief?.number ?? 0, keys: newKeys() });
    },
    [name, page, captured, change],
  );
  /** The page shows this very draft, just saved. */
  const saved = page.debrief?.id === draft.keys.versionId;
  return {
    draft,
    change,
    find,
    drop,
    rebase,
    saved,
    overtaken: !saved && draft.base < (page.debrief?.number ?? 0),
  };
}
