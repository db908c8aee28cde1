import type { PlannedBlock } from '@skelby/core/plan/layout/block';
import { CLOCK, type SessionFields } from '@skelby/core/schemas/session';
import { v7 as uuid } from 'uuid';
import { useDraft } from '../../shared/storage/use-draft';
import { minuteOfDay, timeOf, todayHere } from '../../shared/copy/dates';
import { offerUndo } from '../../shared/ui/undo';

/** A session being planned on this phone. */
export interface SessionDraft {
  readonly id: string;
  readonly day: string;
  readonly pilotIds: readonly string[];
  readonly siteId: string | null;
  readonly windMps: number;
  readonly startsAt: string;
  /** Hours and minutes; null: light all day. */
  readonly lightUntil: string | null;
  readonly packs: number;
  readonly packMinutes: number;
  readonly minutes: number | null;
  /** Block ids by pack, where the trainer has moved something; null: as laid out. */
  readonly moved: readonly { readonly pilotId: string; readonly blockIds: readonly string[] }[] | null;
}

const NAME = 'session.draft';

/** The next full quarter of an hour. */
const soon = (): string => timeOf(new Date(Math.ceil(Date.now() / 900_000) * 900_000));

const begun = (): SessionDraft => ({
  id: uuid(),
  day: todayHere(),
  pilotIds: [],
  siteId: null,
  windMps: 2,
  startsAt: soon(),
  lightUntil: null,
  packs: 4,
  packMinutes: 8,
  minutes: null,
  moved: null,
});

export function useSessionDraft() {
  const { draft, change, drop } = useDraft<SessionDraft>({
    name: NAME,
    begin: begun,
    goOn: (last) => (last.day === todayHere() ? { ...begun(), ...last } : null),
    takeOver: (last) => ({ ...last, id: uuid() }),
  });
  const anew = () => {
    offerUndo('Plan begun anew', () => change(draft));
    drop();
  };
  return { draft, change, anew };
}

/** From the first take-off until the lesson or the light ends, minutes; null: as long as it takes. */
export function minutesThere({
  minutes,
  startsAt,
  lightUntil,
}: Pick<SessionDraft, 'minutes' | 'startsAt' | 'lightUntil'>): number | null {
  if (lightUntil === null || !CLOCK.test(lightUntil) || !CLOCK.test(startsAt)) return minutes;
  const light = Math.max(0, minuteOfDay(lightUntil) - minuteOfDay(startsAt));
  return minutes === null ? light : Math.min(minutes, light);
}

export const contentOf = (
  draft: SessionDraft,
  packs: readonly { readonly pilotId: string; readonly blocks: readonly PlannedBlock[] }[],
): SessionFields => ({
  day: draft.day,
  state: 'planned',
  siteId: draft.siteId,
  windMps: draft.windMps,
  startsAt: draft.startsAt,
  lightUntil: draft.lightUntil,
  packsThere: draft.packs,
  packMinutes: draft.packMinutes,
  minutes: draft.minutes,
  packs: packs.map(({ pilotId, blocks }) => ({
    pilotId,
    blocks: blocks.map((block) => ({ ...block, mode: block.mode ?? null, after: [...block.after] })),
  })),
  goNoGo: null,
  own: [],
});
