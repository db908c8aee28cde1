import {
  keepFlown,
  logOccurrence,
  saveDebrief,
  takeConfirmationBack,
  withdrawOccurrence,
} from '@skelby/core/commands/handles';
import type { DebriefPage, Occurrence, OccurrenceOfPilot } from '@skelby/core/pages/pages';
import type { FlownAnswers } from '@skelby/core/schemas/flown';
import { confirmationIn } from '@skelby/core/weakness/asked';
import { madeAt } from '../outbox/commands';
import { notYetIn, type Waiting } from '../outbox/waiting';
import type { Kept } from './kept';
import { rosterOver } from './roster';

const BLANK = {
  revision: 1,
  confirmedCauseId: null,
  weaknessId: null,
  withdrawnAt: null,
  withdrawnReason: null,
} as const;

/** One entry's effect on one occurrence; `row` is undefined where only the phone knows of it. */
export function stepOfOccurrence<T extends Occurrence>(
  id: string,
  row: T | undefined,
  item: Waiting,
): T | undefined {
  if (logOccurrence.address.read(item.path)?.id === id) {
    const { basedOn, ...fields } = item.body;
    return { ...BLANK, ...row, ...fields, id } as unknown as T;
  }
  if (!row) return row;
  const confirmation = confirmationIn({ ...item, madeAt: madeAt(item.key) });
  if (confirmation?.occurrenceId === id)
    return { ...row, confirmedCauseId: confirmation.causeId, weaknessId: confirmation.weaknessId };
  if (takeConfirmationBack.address.read(item.path)?.id === id)
    return { ...row, confirmedCauseId: null, weaknessId: null };
  if (keepFlown.address.read(item.path)?.id === id)
    return { ...row, flown: item.body as unknown as FlownAnswers };
  if (withdrawOccurrence.address.read(item.path)?.id === id)
    return { ...row, withdrawnAt: madeAt(item.key), withdrawnReason: String(item.body['reason']) };
  return row;
}

/** An occurrence as it stands on this phone: logged, changed, confirmed or withdrawn here. */
export function occurrenceOver(
  kept: Kept,
  items: readonly Waiting[],
  id: string,
): OccurrenceOfPilot | undefined {
  const read = kept.get<OccurrenceOfPilot>('occurrence', id);
  const row = notYetIn(items, read?.readAt ?? 0).reduce(
    (now, item) => stepOfOccurrence(id, now, item),
    read?.data,
  );
  const pilot = rosterOver(kept, items)?.pilots.find((each) => each.id === row?.pilotId);
  if (!row || !pilot) return row?.pilotName === undefined ? undefined : row;
  const { name: pilotName, mode: pilotMode, stickLayout: pilotStickLayout } = pilot;
  const isAsRead =
    row === read?.data &&
    row.pilotName === pilotName &&
    row.pilotMode === pilotMode &&
    row.pilotStickLayout === pilotStickLayout;
  return isAsRead ? row : { ...row, pilotName, pilotMode, pilotStickLayout };
}

/** A debrief with the versions saved on this phone. An occurrence that was logged here has none before. */
export function debriefOver(
  kept: Kept,
  items: readonly Waiting[],
  occurrenceId: string,
): DebriefPage | undefined {
  const read = kept.get<DebriefPage>('debrief', occurrenceId);
  const waiting = notYetIn(items, read?.readAt ?? 0);
  const isLoggedHere = waiting.some((item) => logOccurrence.address.read(item.path)?.id === occurrenceId);
  let page = read?.data ?? (isLoggedHere ? { debrief: null, versions: [] } : undefined);
  if (!page) return undefined;
  for (const item of waiting) page = stepOfDebrief(occurrenceId, page, item);
  return page;
}

function stepOfDebrief(occurrenceId: string, page: DebriefPage, item: Waiting): DebriefPage {
  const number = page.debrief?.number ?? 0;
  const keys = saveDebrief.address.read(item.path);
  if (keys?.id === occurrenceId && Number(item.body['base']) === number) {
    const { state, reason, findings, at } = item.body as unknown as NonNullable<DebriefPage['debrief']>;
    const version = { id: keys.versionId, number: number + 1, state, reason: reason || null, at, by: null };
    return {
      debrief: { ...version, findings, proposedCauseId: null },
      versions: [version, ...page.versions],
    };
  }
  // Taking the word on the cause back opens the debrief that gave it.
  if (takeConfirmationBack.address.read(item.path)?.id === occurrenceId && page.debrief?.state === 'closed') {
    const version = {
      id: item.key,
      number: number + 1,
      state: 'open' as const,
      reason: String(item.body['reason']),
      at: String(item.body['at']),
      by: null,
    };
    return { debrief: { ...page.debrief, ...version }, versions: [version, ...page.versions] };
  }
  return page;
}
