import { type Findings, NO_FINDINGS } from '@skelby/core/debrief/findings';
import { type MergedFindings, mergeFindings } from '@skelby/core/debrief/merge-findings';
import type { MentionId } from '@skelby/core/ranking/mentions';
import { type Evidence, readable } from '@skelby/core/evidence/evidence';
import { useCallback, useEffect } from 'react';
import { v7 as uuid } from 'uuid';
import type { DebriefPage, OccurrenceOfPilot } from '@skelby/core/pages/pages';
import { useDraft } from '../../shared/storage/use-draft';
import type { SaveKeys } from '../../offline/overlay/debrief-queries';

const nameOf = (occurrenceId: string) => `debrief.${occurrenceId}`;

/** A debrief in the making. It is kept on this phone from the first answer until the server has it. */
export interface DebriefDraft {
  /** What the saved version found that it started from; absent in what an older version of the app kept. */
  readonly from?: Findings;
  /** The saved version that it started from; 0: none. */
  readonly base: number;
  readonly findings: Findings;
  /** The saved version that was joined with it last; absent: none. */
  readonly joinedWith?: number;
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
    from: findings,
    findings,
    picked: debrief !== null,
    mentioned: [],
    hasMentioned: debrief !== null,
    skipped: [],
    reason: '',
    keys: newKeys(),
  };
}

/** Somebody else's version and one's own in one, where it is known what both went on from. */
function mergedWith(
  { debrief }: DebriefPage,
  { from, findings }: DebriefDraft,
  whose: 'mine' | 'theirs',
): MergedFindings | null {
  if (!from || !debrief) return null;
  const [mine, theirs] = whose === 'mine' ? [findings, debrief.findings] : [debrief.findings, findings];
  return mergeFindings({ base: from, mine, theirs });
}

export function useDebriefDraft(
  { id: occurrenceId, pilotId }: Pick<OccurrenceOfPilot, 'id' | 'pilotId'>,
  page: DebriefPage,
  captured: Evidence,
) {
  const { draft, change, sent } = useDraft<DebriefDraft>({
    name: nameOf(occurrenceId),
    begin: () => begun(page, captured),
    about: () => ({ what: 'Debrief', pilotId, href: `/occurrence/${occurrenceId}/debrief` }),
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
  const { debrief } = page;
  /** The page shows this very draft, just saved. */
  const saved = debrief?.id === draft.keys.versionId;
  const overtaken = !saved && draft.base < (debrief?.number ?? 0);
  const merged = overtaken ? mergedWith(page, draft, 'mine') : null;
  /** Goes on from what somebody else saved meanwhile, with theirs or one's own where both changed the same. */
  const rebase = useCallback(
    (whose: 'theirs' | 'mine') =>
      change((last) => {
        if (!debrief) return last;
        const findings =
          mergedWith(page, last, whose)?.findings ?? (whose === 'mine' ? last : debrief).findings;
        return {
          ...last,
          base: debrief.number,
          from: debrief.findings,
          joinedWith: debrief.number,
          findings,
          picked: true,
          keys: newKeys(),
        };
      }),
    [debrief, page, change],
  );
  // Nothing that both changed: there is nothing to ask.
  const joins = merged?.both.length === 0;
  useEffect(() => {
    if (joins) rebase('mine');
  }, [joins, rebase]);
  return {
    draft,
    change,
    find,
    sent,
    rebase,
    saved,
    overtaken,
    /** What both changed, each otherwise; null where that is not known. */
    both: merged?.both ?? null,
  };
}
