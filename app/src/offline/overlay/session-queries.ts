import { flownOrder } from '@skelby/core/vocabulary/flown-order';
import { USUAL_SEVERITY } from '@skelby/core/debrief/severity';
import { saveSession } from '@skelby/core/commands/handles';
import { entryOf } from '../outbox/commands';
import type { PilotToday } from '@skelby/core/plan/layout/today';
import type { SessionFields } from '@skelby/core/schemas/session';
import { useQueries, useQueryClient, type UseQueryResult } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { get } from '../../shared/api/client';
import type { TodayList, WeaknessPage } from '@skelby/core/pages/pages';
import { clearanceOfPage } from '@skelby/core/weakness/page';
import { keptBy } from './kept';
import { weaknessOver } from './weakness';
import { useDeliver } from '../outbox/use-deliver';
import { useOutbox } from '../outbox/use-outbox';

export interface SessionSave {
  readonly id: string;
  readonly content: SessionFields;
  /** Revision that it was made from; null: new. */
  readonly basedOn: number | null;
}

export const useSaveSession = () =>
  useDeliver(({ id, content, basedOn }: SessionSave) =>
    entryOf(saveSession, { id }, { ...content, basedOn }, `session of ${content.day}`),
  );

function pilotsOf(
  pilotIds: readonly string[],
  pages: readonly (WeaknessPage | undefined)[],
): readonly PilotToday[] | null {
  if (pages.some((page) => page === undefined)) return null;
  return pilotIds.map((pilotId): PilotToday => {
    const own = (pages as readonly WeaknessPage[]).filter((page) => page.weakness.pilotId === pilotId);
    const reps = new Map(own.flatMap((page) => page.reps).map((rep) => [rep.id, rep]));
    return {
      pilotId,
      windLimitMps: own[0]?.pilot.windLimitMps ?? 0,
      ...(own[0] ? { flies: own[0].pilot } : {}),
      shown: own[0]?.pilot.shown ?? [],
      reps: [...reps.values()].sort(flownOrder),
      weaknesses: own.map((page) => {
        const drillIds = page.plans[0]?.drillIds ?? [];
        const clearance = clearanceOfPage(page);
        return {
          weaknessId: page.weakness.id,
          causeId: page.weakness.causeId,
          drillIds,
          rule: page.rule,
          clearance,
          severity: page.known.severity ?? USUAL_SEVERITY,
        };
      }),
    };
  });
}

/** What there is to fly for these pilots; null until every weakness of theirs has been read. */
export function usePilotsToday(pilotIds: readonly string[], list: TodayList): readonly PilotToday[] | null {
  const client = useQueryClient();
  const { items } = useOutbox();
  const chosen = pilotIds.join(' ');
  const lines = useMemo(
    () => list.weaknesses.filter((line) => chosen.split(' ').includes(line.pilotId)),
    [list, chosen],
  );
  const combine = useCallback(
    (_reads: readonly UseQueryResult<WeaknessPage>[]) =>
      pilotsOf(
        chosen === '' ? [] : chosen.split(' '),
        lines.map((line) => weaknessOver(keptBy(client), items, line.id)),
      ),
    [chosen, lines, items, client],
  );
  return useQueries({
    queries: lines.map((line) => ({
      queryKey: ['weakness', line.id],
      queryFn: () => get<WeaknessPage>(`/weaknesses/${line.id}?reps=lately`),
      staleTime: 30_000,
    })),
    combine,
  });
}
