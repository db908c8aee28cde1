import type { InLists } from '@skelby/core/clearance/in-lists';
import type { Roster, TodayList } from '../../shared/api/types';
import { logOccurrence } from '@skelby/core/commands/log-occurrence';
import { moveWeakness } from '@skelby/core/commands/move-weakness';
import { recordRep } from '@skelby/core/commands/record-rep';
import { saveDebrief } from '@skelby/core/commands/save-debrief';
import { withdrawOccurrence } from '@skelby/core/commands/withdraw-occurrence';
import { confirmed, done } from '../outbox/commands';
import type { Waiting } from '../outbox/waiting';

const NO_RUNGS = [0, 0, 0, 0, 0];

/**
 * Today's list with what was logged, confirmed, withdrawn, flown and signed on this phone.
 * @param standing where a weakness stood when its page was last worked out here
 */
export function todayWith(
  list: TodayList | undefined,
  waiting: readonly Waiting[],
  roster: Roster | undefined,
  standing: (weaknessId: string) => InLists | undefined = () => undefined,
): TodayList | undefined {
  if (!list || waiting.length === 0) return list;
  const nameOf = (pilotId: string) => roster?.pilots.find((pilot) => pilot.id === pilotId)?.name ?? '';
  const openings = confirmed(waiting);
  const settled = new Set([
    ...openings.map((each) => each.occurrenceId),
    ...done(withdrawOccurrence, waiting).map((each) => each.keys.id),
  ]);
  const logged = done(logOccurrence, waiting);
  const begun = new Set(done(saveDebrief, waiting).map((each) => each.keys.id));
  const known = new Map(list.toDebrief.map((each) => [each.id, each]));
  for (const {
    keys: { id },
    body: { pilotId, kind, causeId, note, happenedAt, day },
  } of logged)
    known.set(id, {
      id,
      pilotId,
      kind,
      causeId,
      note,
      happenedAt,
      day,
      pilotName: nameOf(pilotId),
      begun: known.get(id)?.begun ?? false,
    });
  const pilotOf = new Map([...known.values()].map((each) => [each.id, each.pilotId]));
  const there = new Set(list.weaknesses.map((each) => each.id));
  const signed = new Set(
    done(moveWeakness, waiting).flatMap(({ keys: { id }, body }) =>
      body.kind === 'signed' || body.kind === 'signed-early' ? [id] : [],
    ),
  );
  const flown = new Set(done(recordRep, waiting).map(({ body }) => body.weaknessId));
  const opened = openings
    .filter((each) => !there.has(each.weaknessId) && pilotOf.has(each.occurrenceId))
    .map((each) => {
      const pilotId = pilotOf.get(each.occurrenceId)!;
      return {
        id: each.weaknessId,
        pilotId,
        pilotName: nameOf(pilotId),
        causeId: each.causeId,
        state: 'open' as const,
        checkFrom: null,
        checkPassed: false,
        rungs: NO_RUNGS,
        openedAt: each.at,
      };
    });
  return {
    toDebrief: [...known.values()]
      .filter((each) => !settled.has(each.id))
      .map((each) => (begun.has(each.id) ? { ...each, begun: true } : each)),
    weaknesses: [...list.weaknesses, ...opened]
      .filter((each) => !signed.has(each.id))
      .map((each) => (flown.has(each.id) ? { ...each, ...standing(each.id) } : each)),
  };
}
