import { flownOrder } from '@skelby/core/vocabulary/flown-order';
import { USUAL_SEVERITY } from '@skelby/core/debrief/severity';
import { saveSession } from '@skelby/core/commands/handles';
import { entryOf } from '../outbox/commands';
import type { PilotToday } from '@skelby/core/plan/layout/today';
import type { SessionFields } from '@skelby/core/schemas/session';
import { useQueries, useQueryClient, type UseQueryResult } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { get } from '../../shared/api/client';
import type { PilotPage, TodayList, WeaknessPage } from '@skelby/core/pages/pages';
import { clearanceOfPage } from '@skelby/core/weakness/page';
import { keptBy } from './kept';
import { pilotOver } from './pilot';
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

/** What was read of whoever flies: their weaknesses, and of those on the course their own page. */
interface ReadOfPilots {
  readonly pages: readonly (WeaknessPage | undefined)[];
  readonly onCourse: readonly (PilotPage | undefined)[];
}

const each = (ids: string): readonly string[] => (ids === '' ? [] : ids.split(' '));

/** How a pilot flies and is taught, from either page that tells it. */
function knownFrom(
  page: Pick<PilotPage, 'pilot' | 'known'> | Pick<WeaknessPage, 'pilot' | 'known'> | undefined,
): Omit<PilotToday, 'pilotId' | 'weaknesses' | 'reps'> {
  if (!page) return { windLimitMps: 0, shown: [] };
  const { pilot: flies, known } = page;
  const { windLimitMps, shown = [] } = flies;
  return { windLimitMps, flies, shown, ...(known?.methods ? { methods: known.methods } : {}) };
}

function pilotsOf(
  pilotIds: readonly string[],
  { pages, onCourse }: ReadOfPilots,
): readonly PilotToday[] | null {
  if ([...pages, ...onCourse].some((page) => page === undefined)) return null;
  return pilotIds.map((pilotId): PilotToday => {
    const own = (pages as readonly WeaknessPage[]).filter((page) => page.weakness.pilotId === pilotId);
    const reps = new Map(own.flatMap((page) => page.reps).map((rep) => [rep.id, rep]));
    const course = onCourse.find((page) => page?.pilot.id === pilotId);
    return {
      pilotId,
      ...knownFrom(own[0] ?? course),
      ...(course ? { course: { facts: course.course ?? [] } } : {}),
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

/**
 * What there is to fly for these pilots; null until all of it has been read.
 * @param onCourse those of them who are on the course
 */
export function usePilotsToday(
  pilotIds: readonly string[],
  onCourse: readonly string[],
  list: TodayList,
): readonly PilotToday[] | null {
  const client = useQueryClient();
  const { items } = useOutbox();
  const chosen = pilotIds.join(' ');
  const lines = useMemo(
    () => list.weaknesses.filter((line) => chosen.split(' ').includes(line.pilotId)),
    [list, chosen],
  );
  const learning = pilotIds.filter((id) => onCourse.includes(id)).join(' ');
  const combine = useCallback(
    (_reads: readonly UseQueryResult<unknown>[]) =>
      pilotsOf(each(chosen), {
        pages: lines.map((line) => weaknessOver(keptBy(client), items, line.id)),
        onCourse: each(learning).map((id) => pilotOver(keptBy(client), items, id)),
      }),
    [chosen, learning, lines, items, client],
  );
  return useQueries({
    queries: [
      ...lines.map((line) => ({
        queryKey: ['weakness', line.id],
        queryFn: (): Promise<unknown> => get<WeaknessPage>(`/weaknesses/${line.id}?reps=lately`),
        staleTime: 30_000,
      })),
      ...each(learning).map((id) => ({
        queryKey: ['pilot', id],
        queryFn: (): Promise<unknown> => get<PilotPage>(`/pilots/${id}`),
        staleTime: 30_000,
      })),
    ],
    combine,
  });
}
