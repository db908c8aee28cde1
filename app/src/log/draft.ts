import type { OccurrenceKind } from '@skelby/core/flying/vocabulary';
import type { OccurrenceFields } from '@skelby/core/shapes/records';
import { useCallback, useState } from 'react';
import { v7 as uuid } from 'uuid';
import type { RosterPilot } from '../api/types';
import { forget, keep, kept } from '../storage';
import { today } from '../words/dates';

const NAME = 'draft.log';

/** An occurrence half-logged. It is kept on the phone from the first tap to the moment it is sent. */
export interface LogDraft {
  readonly id: string;
  readonly startedAt: string;
  readonly day: string;
  readonly pilotId: string | null;
  readonly kind: OccurrenceKind | null;
  readonly familyId: string | null;
  readonly causeId: string | null;
  readonly note: string;
  readonly craftId: string | null;
  readonly siteId: string | null;
  readonly windMps: number | null;
}

const begun = (): LogDraft => ({
  id: uuid(), startedAt: new Date().toISOString(), day: today(), pilotId: null, kind: null, familyId: null, causeId: null, note: '', craftId: null, siteId: null, windMps: null,
});

/** Place, craft and wind come from the pilot's last flight; they can be changed later. */
export const forPilot = (pilot: RosterPilot): Partial<LogDraft> =>
  ({ pilotId: pilot.id, craftId: pilot.lastCraftId, siteId: pilot.lastSiteId, windMps: pilot.lastWindMps });

export function occurrenceOf(draft: LogDraft): OccurrenceFields | null {
  const { pilotId, kind, causeId } = draft;
  if (!pilotId || !kind || !causeId) return null;
  return { pilotId, kind, causeId, note: draft.note.trim(), craftId: draft.craftId, siteId: draft.siteId, windMps: draft.windMps, happenedAt: draft.startedAt, day: draft.day };
}

export function useLogDraft() {
  const [draft, setDraft] = useState<LogDraft>(() => kept<LogDraft>(NAME) ?? begun());
  const change = useCallback((part: Partial<LogDraft>) => {
    // Read again: a second tab or the step before may have written meanwhile.
    const next = { ...(kept<LogDraft>(NAME) ?? draft), ...part };
    keep(NAME, next);
    setDraft(next);
  }, [draft]);
  const drop = useCallback(() => { forget(NAME); setDraft(begun()); }, []);
  return { draft, change, drop };
}
