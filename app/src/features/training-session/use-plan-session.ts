import type { Roster, RosterPilot, Site, TodayList } from '@skelby/core/pages/pages';
import type { Means, PlannedBlock } from '@skelby/core/plan/layout/block';
import { judge, type JudgedSession } from '@skelby/core/plan/layout/judge';
import { CLOCK, type SessionFields } from '@skelby/core/schemas/session';
import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { type SessionSave, usePilotsToday, useSaveSession } from '../../offline/overlay/session-queries';
import { useSessions } from '../../offline/overlay/today-queries';
import { ApiProblem } from '../../shared/api/client';
import { useDrills } from '../../shared/api/use-drills';
import { minuteOfDay } from '../../shared/copy/dates';
import { saveFile } from '../../shared/ui/save-file';
import type { ArrangedPack } from './Arrange';
import { calendarOf } from './calendar';
import type { LaidOut } from './layout.worker';
import { contentOf, minutesThere, type SessionDraft, useSessionDraft } from './session-draft';
import { useLayout } from './use-layout';

export const MOST_PILOTS = 6;

/** What is wrong with the end of the light; undefined when nothing is. */
export function lightProblem({
  startsAt,
  lightUntil,
}: Pick<SessionDraft, 'startsAt' | 'lightUntil'>): string | undefined {
  if (lightUntil === null) return undefined;
  if (!CLOCK.test(lightUntil)) return 'Light until must be written as hours:minutes, such as 17:45.';
  return CLOCK.test(startsAt) && minuteOfDay(lightUntil) <= minuteOfDay(startsAt)
    ? 'Light until is before the first take-off: put one of them right.'
    : undefined;
}

/** Packs as laid out, or as moved by hand: blocks that are no longer there, or refused meanwhile, fall out. */
export function packsOf(laidOut: LaidOut | null, moved: SessionDraft['moved']): readonly ArrangedPack[] {
  if (!laidOut) return [];
  if (!moved) return laidOut.layout.packs;
  const all = new Map(laidOut.candidates.blocks.map((block) => [block.id, block]));
  return moved
    .map(({ pilotId, blockIds }) => ({ pilotId, blocks: blockIds.flatMap((id) => all.get(id) ?? []) }))
    .filter((pack) => pack.blocks.length > 0);
}

/** Packs with another block: in the first of its pilot's with room for it, else in one of its own. */
export function withBlock(
  packs: readonly ArrangedPack[],
  block: PlannedBlock,
  packMinutes: number,
): readonly ArrangedPack[] {
  const own = packs.findIndex(
    (pack) =>
      pack.pilotId === block.pilotId &&
      pack.blocks.reduce((sum, each) => sum + each.minutes, 0) + block.minutes <= packMinutes,
  );
  return own >= 0
    ? packs.map((pack, p) => (p === own ? { ...pack, blocks: [...pack.blocks, block] } : pack))
    : [...packs, { pilotId: block.pilotId, blocks: [block] }];
}

/** Blocks that stand in no pack. */
const spareOf = (laidOut: LaidOut | null, packs: readonly ArrangedPack[]): readonly PlannedBlock[] => {
  const used = new Set(packs.flatMap((pack) => pack.blocks.map((block) => block.id)));
  return laidOut?.candidates.blocks.filter((block) => !used.has(block.id)) ?? [];
};

export interface PlanningSession {
  readonly draft: SessionDraft;
  readonly change: (part: Partial<SessionDraft>) => void;
  readonly anew: () => void;
  readonly inTraining: readonly RosterPilot[];
  readonly pilotIds: readonly string[];
  readonly pilotName: (id: string) => string;
  readonly site: Site | null;
  /** null while the layout is not there. */
  readonly laidOut: LaidOut | null;
  readonly working: boolean;
  readonly failed: string | null;
  readonly packs: readonly ArrangedPack[];
  readonly judged: JudgedSession;
  /** Share of the best layout's gain that the trainer's own order gives away. */
  readonly cost: number;
  readonly spare: readonly PlannedBlock[];
  readonly content: SessionFields;
  readonly arrange: (packs: readonly ArrangedPack[]) => void;
  readonly putIn: (block: PlannedBlock) => void;
  readonly saving: {
    readonly isPending: boolean;
    readonly error: Error | null;
    /** Another trainer changed the session meanwhile. */
    readonly clash: { readonly wanted: SessionSave; readonly problem: ApiProblem } | null;
    readonly save: () => void;
    readonly saveAs: (wanted: SessionSave) => void;
    readonly toRunner: () => void;
  };
  readonly saveCalendar: () => void;
}

function useSaving(draft: SessionDraft, content: SessionFields): PlanningSession['saving'] {
  const router = useRouter();
  const save = useSaveSession();
  const { data: sessions } = useSessions();
  const toRunner = () => router.push(`/session/${draft.id}`);
  const saveAs = (wanted: SessionSave) => void save.mutateAsync(wanted).then(toRunner, () => undefined);
  const { variables: wanted, error } = save;
  return {
    isPending: save.isPending,
    error,
    clash: wanted && error instanceof ApiProblem && error.clash.theirs ? { wanted, problem: error } : null,
    save: () =>
      saveAs({
        id: draft.id,
        content,
        basedOn: sessions?.find((each) => each.id === draft.id)?.revision ?? null,
      }),
    saveAs,
    toRunner,
  };
}

/** A session being planned: who, how many packs and what wind go in; the order that gains most comes out. */
export function usePlanSession(roster: Roster, list: TodayList): PlanningSession {
  const { drillOf, latest } = useDrills();
  const { draft, change, anew } = useSessionDraft();
  const onCourse = roster.pilots.flatMap(({ id, onCourse: isOn }) => (isOn ? [id] : []));
  const inTraining = [...new Set([...list.weaknesses.map((line) => line.pilotId), ...onCourse])].flatMap(
    (id) => roster.pilots.find((pilot) => pilot.id === id) ?? [],
  );
  const pilotIds = draft.pilotIds
    .filter((id) => inTraining.some((pilot) => pilot.id === id))
    .slice(0, MOST_PILOTS);
  const site = roster.sites.find((each) => each.id === draft.siteId) ?? null;
  const pilots = usePilotsToday(pilotIds, onCourse, list);
  const means: Means = { packs: draft.packs, packMinutes: draft.packMinutes, minutes: minutesThere(draft) };
  const conditions = { windMps: draft.windMps, place: site?.place ?? null };
  const { laidOut, working, failed } = useLayout(
    pilots && pilotIds.length > 0 ? { pilots, conditions, means, today: draft.day, book: latest } : null,
  );
  const pilotName = (id: string) => roster.pilots.find((pilot) => pilot.id === id)?.name ?? '';
  const someFly = pilotIds.length > 0;
  const packs = useMemo(
    () => (someFly ? packsOf(laidOut, draft.moved) : []),
    [laidOut, draft.moved, someFly],
  );
  const judged = judge(packs, {
    means,
    pilotName,
    offered: laidOut?.candidates.blocks ?? [],
  });
  const content = contentOf(draft, packs);
  const arrange = (next: readonly ArrangedPack[]) =>
    change({
      moved: next.map(({ pilotId, blocks }) => ({ pilotId, blockIds: blocks.map((block) => block.id) })),
    });
  return {
    draft,
    change,
    anew,
    inTraining,
    pilotIds,
    pilotName,
    site,
    laidOut: pilots === null ? null : laidOut,
    working,
    failed,
    packs,
    judged,
    cost: laidOut && laidOut.layout.gain > 0 ? 1 - judged.gain / laidOut.layout.gain : 0,
    spare: spareOf(laidOut, packs),
    content,
    arrange,
    putIn: (block) => arrange(withBlock(packs, block, draft.packMinutes)),
    saving: useSaving(draft, content),
    saveCalendar: () => {
      const rested = packs.map((pack, p) => ({ ...pack, restBefore: judged.rests[p] ?? false }));
      const words = { pilotName, siteName: site?.name ?? null, findDrill: drillOf };
      saveFile('session.ics', calendarOf(draft.id, content, rested, words), 'text/calendar');
    },
  };
}
