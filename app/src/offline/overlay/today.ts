import { logOccurrence, saveDebrief, takeConfirmationBack } from '@skelby/core/commands/handles';
import {
  CHECKS_DAYS_AHEAD,
  type DebriefPage,
  type TodayList,
  type WeaknessPage,
} from '@skelby/core/pages/pages';
import { addDays, type Day } from '@skelby/core/vocabulary/day';
import { isOpen } from '@skelby/core/clearance/open-states';
import { done } from '../outbox/commands';
import { notYetIn, type Waiting } from '../outbox/waiting';
import type { Kept } from './kept';
import { occurrenceOver } from './occurrence';
import { rosterOver } from './roster';
import { linesOver } from './weakness';

type ToDebrief = TodayList['toDebrief'][number];

const byName = (a: { readonly pilotName: string; readonly openedAt: string }, b: typeof a): number =>
  a.pilotName === b.pilotName ? (a.openedAt < b.openedAt ? -1 : 1) : a.pilotName < b.pilotName ? -1 : 1;

/** Occurrences whose cause nobody has confirmed, newest first. */
function toDebriefOver(
  {
    kept,
    items,
    waiting,
  }: Readonly<Record<'items' | 'waiting', readonly Waiting[]>> & { readonly kept: Kept },
  list: readonly ToDebrief[],
  names: ReadonlyMap<string, string>,
): readonly ToDebrief[] {
  const known = new Map(list.map((each) => [each.id, each]));
  const begun = new Set(done(saveDebrief, waiting).map(({ keys }) => keys.id));
  const touched = [...done(logOccurrence, waiting), ...done(takeConfirmationBack, waiting)].map(
    ({ keys }) => keys.id,
  );
  return [...new Set([...known.keys(), ...touched])]
    .flatMap((id): readonly ToDebrief[] => {
      const before = known.get(id);
      const row = occurrenceOver(kept, items, id);
      if (!row)
        return before ? [{ ...before, pilotName: names.get(before.pilotId) ?? before.pilotName }] : [];
      if (row.confirmedCauseId !== null || row.withdrawnAt !== null) return [];
      const { pilotId, pilotName, kind, causeId, note, happenedAt, day } = row;
      const hasVersions = (kept.get<DebriefPage>('debrief', id)?.data.versions.length ?? 0) > 0;
      const isBegun = begun.has(id) || before?.begun === true || hasVersions;
      return [{ id, pilotId, pilotName, kind, causeId, note, happenedAt, day, begun: isBegun }];
    })
    .sort((a, b) => b.happenedAt.localeCompare(a.happenedAt));
}

/**
 * Today's list with what was logged, confirmed, withdrawn, flown and signed on this phone.
 * @param day the day on this phone
 */
export function todayOver(kept: Kept, items: readonly Waiting[], day: Day): TodayList | undefined {
  const read = kept.get<TodayList>('today');
  if (!read) return undefined;
  const waiting = notYetIn(items, read.readAt);
  if (waiting.length === 0) return read.data;
  const names = new Map(rosterOver(kept, items)?.pilots.map(({ id, name }) => [id, name]));
  const isListed = ({ weakness: { state, checkFrom } }: WeaknessPage): boolean =>
    isOpen(state) ||
    (state === 'watch' && checkFrom !== null && checkFrom <= addDays(day, CHECKS_DAYS_AHEAD));
  const lines = linesOver(kept, items, { data: read.data.weaknesses, readAt: read.readAt }, isListed);
  return {
    ...read.data,
    toDebrief: toDebriefOver({ kept, items, waiting }, read.data.toDebrief, names),
    weaknesses: lines
      .map((line) => ({
        ...line,
        pilotName: names.get(line.pilotId) ?? ('pilotName' in line ? line.pilotName : ''),
      }))
      .sort(byName),
  };
}
