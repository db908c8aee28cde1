import type { CauseId } from '@skelby/core/causes/causes';
import type { MissReason } from '@skelby/core/clearance/facts';
import type { OccurrenceKind } from '@skelby/core/vocabulary/flying';
import type { FlownAnswers } from '@skelby/core/schemas/flown';
import type { OccurrenceFields } from '@skelby/core/schemas/records';
import { useCallback } from 'react';
import { v7 as uuid } from 'uuid';
import type { RosterPilot } from '@skelby/core/pages/pages';
import { beginDraft, useDraft } from '../storage/use-draft';
import { todayHere } from '../copy/dates';

const NAME = 'draft.log';

/** An occurrence half-logged. It is kept on the phone from the first tap to the moment it is sent. */
export interface LogDraft {
  readonly id: string;
  readonly startedAt: string;
  readonly day: string;
  readonly pilotId: string | null;
  readonly kind: OccurrenceKind | null;
  readonly familyId: string | null;
  readonly causeId: CauseId | null;
  readonly note: string;
  readonly craftId: string | null;
  readonly siteId: string | null;
  readonly windMps: number | null;
  /** What a recorded flight answers of its debrief, where it was begun from one. */
  readonly flown?: FlownAnswers;
  /** Mistakes that were marked in a video of it. */
  readonly seen?: readonly MissReason[];
  /** What else it tells of the entry, whatever the pilot's last flight was like. */
  readonly toldByFlight?: Partial<Pick<OccurrenceFields, 'siteId' | 'windMps'>>;
}

const begun = (): LogDraft => ({
  id: uuid(),
  startedAt: new Date().toISOString(),
  day: todayHere(),
  pilotId: null,
  kind: null,
  familyId: null,
  causeId: null,
  note: '',
  craftId: null,
  siteId: null,
  windMps: null,
});

/** Place, craft and wind come from the pilot's last flight; they can be changed later. */
export const forPilot = (
  pilot: RosterPilot,
  toldByFlight: LogDraft['toldByFlight'] = {},
): Partial<LogDraft> => ({
  pilotId: pilot.id,
  craftId: pilot.lastCraftId,
  siteId: pilot.lastSiteId,
  windMps: pilot.lastWindMps,
  ...toldByFlight,
});

export function occurrenceFields(draft: LogDraft): OccurrenceFields | null {
  const { pilotId, kind, causeId } = draft;
  if (!pilotId || !kind || !causeId) return null;
  return {
    pilotId,
    kind,
    causeId,
    note: draft.note.trim(),
    craftId: draft.craftId,
    siteId: draft.siteId,
    windMps: draft.windMps,
    happenedAt: draft.startedAt,
    day: draft.day,
    ...(draft.seen ? { seen: [...draft.seen] } : {}),
  };
}

const OLD_AFTER_MS = 10 * 60_000;

export const isOld = (draft: LogDraft): boolean => Date.now() - Date.parse(draft.startedAt) > OLD_AFTER_MS;

/** Something was said about it beyond the pilot's name. */
export const hasProgress = (draft: LogDraft): boolean => draft.kind !== null || draft.note !== '';

/** The entry that this tab was in the middle of; one that was hardly begun long ago gives way to a new one. */
export function useLogDraft() {
  const { draft, change, drop, throwAway } = useDraft<LogDraft>({
    name: NAME,
    begin: begun,
    goOn: (last) => (hasProgress(last) || !isOld(last) ? last : null),
    about: (entry) =>
      hasProgress(entry) ? { what: 'Entry', pilotId: entry.pilotId, href: '/log/pilot' } : null,
    // The tab may come back and send its own: this is another entry.
    takeOver: (last) => ({ ...last, id: uuid() }),
  });
  /** Hands the draft over for sending. */
  const take = useCallback((): LogDraft => {
    drop();
    return draft;
  }, [draft, drop]);
  return { draft, change, throwAway, take };
}

/** Begins an entry with what is known where it happened; the log goes on from there. */
export const beginLog = (part: Partial<LogDraft>): void => beginDraft(NAME, { ...begun(), ...part });
