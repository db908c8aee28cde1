import type { WordedDrill } from '@skelby/copy/drills';
import type { DrillId } from '@skelby/core/drills/drills';
import { type PracticeLink, practiceLinkShape } from '@skelby/core/schemas/practice-link';
import type { FlightMode, StickLayout } from '@skelby/core/vocabulary/flying';
import { useMemo, useState } from 'react';
import { keep, kept } from '../../shared/storage/storage';
import type { Ghost } from './bests';
import { drillSetUp, type PracticeSettings, settingsFrom } from './settings';
import { USUAL_VOLUME, type Volume } from './SoundChoice';

const NAME = 'practice.chosen';
/** What stays from one practice to the next on this device. */
interface Chosen {
  readonly craftId: string | null;
  readonly layout: StickLayout;
  readonly volume: Volume;
  readonly ghost: Ghost;
}
const BEFORE: Chosen = { craftId: null, layout: 2, volume: USUAL_VOLUME, ghost: 'none' };

export interface WhoFlies {
  readonly layout?: StickLayout;
  readonly mode?: FlightMode;
}

/** Craft and sticks, which stay from one practice to the next on this device. */
export function useChosen(who: WhoFlies) {
  const [chosen, setChosen] = useState<Chosen>(() => ({
    ...BEFORE,
    ...kept<Partial<Chosen>>(NAME),
    ...(who.layout ? { layout: who.layout } : {}),
  }));
  const choose = (part: Partial<Chosen>) =>
    setChosen((last) => {
      const next = { ...last, ...part };
      keep(NAME, next);
      return next;
    });
  return { chosen, choose };
}

/** How the drill is flown: as its link says, and as it was changed here; null where it is not flown here. */
export function usePracticeSettings(drill: WordedDrill<DrillId>, link: PracticeLink, mode: FlightMode) {
  const [changed, setChanged] = useState<Partial<PracticeSettings>>({});
  const usual = useMemo(() => {
    const set = drillSetUp(drill.id, drill.sides[0] ?? null, mode);
    return set && settingsFrom(practiceLinkShape.cast({}), drill, set);
  }, [drill, mode]);
  const settings = useMemo(() => {
    const set = drillSetUp(drill.id, link.side ?? drill.sides[0] ?? null, mode);
    return set && { ...settingsFrom(link, drill, set), ...changed };
  }, [drill, link, mode, changed]);
  const side = settings?.side ?? null;
  const set = useMemo(() => drillSetUp(drill.id, side, mode), [drill.id, side, mode]);
  const change = (part: Partial<PracticeSettings>) => setChanged((last) => ({ ...last, ...part }));
  return { usual, settings, set, change };
}
