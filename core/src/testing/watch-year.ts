import type { DrillId } from '../drills/drills';
import { addDays, daysBetween, type Day } from '../vocabulary/day';
import { Diary, FIRST_DAY } from './diary';

/** A pilot who was signed, and flies the checks of the watch when they fall due. */
export interface WatchedYear {
  /** Days from the signature until limited again; null when that never came. */
  readonly limitedAfter: number | null;
  /** And until called back. */
  readonly calledBackAfter: number | null;
}

const READY: readonly { readonly met: number; readonly band: 'calm' | 'light' }[] = [
  { met: 4, band: 'calm' },
  { met: 4, band: 'light' },
];
const CHECK_MET = 4;
const SIGNED_AFTER_DAYS = 9;

/**
 * Follows one pilot through a year of watch.
 * @param missRate from the signature on, 0 to 1
 * @param draw uniform numbers, 0 to 1
 */
export function watchedYear(
  keyDrills: readonly DrillId[],
  missRate: number,
  draw: () => number,
  days = 365,
): WatchedYear {
  const diary = new Diary({ mode: 'position-hold', windLimitMps: 4 }, keyDrills);
  for (const drillId of keyDrills)
    READY.forEach(({ met, band }, i) => diary.met(addDays(FIRST_DAY, i + 1), met, { drillId, band }));
  const signedOn = addDays(FIRST_DAY, SIGNED_AFTER_DAYS);
  for (const drillId of keyDrills) diary.met(signedOn, CHECK_MET, { drillId, purpose: 'check' });
  diary.move('signed', signedOn);
  if (diary.now().state !== 'watch') throw new Error('The pilot was never signed.');
  let limitedAfter: number | null = null;
  const since = (day: Day) => daysBetween(signedOn, day);
  for (let now = diary.now(); now.watch; now = diary.now()) {
    const day = now.watch.next.from;
    if (since(day) > days) return { limitedAfter, calledBackAfter: null };
    for (const { drillId, side = null } of now.watch.next.drills)
      for (let attempt = 0; attempt < 5; attempt += 1) {
        const { watch } = diary.now();
        const still = watch?.next.drills.find(
          (each) => each.drillId === drillId && (each.side ?? null) === side,
        );
        if (watch?.next.from !== day || !still || still.passed) break;
        diary.rep(day, draw() >= missRate, { drillId, side, purpose: 'check' });
      }
    const after = diary.now();
    if ((after.watch?.limited ?? after.relapsed) && limitedAfter === null) limitedAfter = since(day);
    if (after.relapsed) return { limitedAfter, calledBackAfter: since(day) };
  }
  return { limitedAfter, calledBackAfter: null };
}
