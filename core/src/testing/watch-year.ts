import type { DrillId } from '../drills/drills';
import { addDays, daysBetween, type Day } from '../vocabulary/day';
import { Diary, FIRST_DAY } from './diary';

/** A pilot who was signed, and flies the checks of the watch when they fall due. */
export interface WatchedYear {
  /** Days until limited, from the signature or from falling back; null when that never came. */
  readonly limitedAfter: number | null;
  /** And until called back, from the signature. */
  readonly calledBackAfter: number | null;
}

const READY: readonly { readonly met: number; readonly band: 'calm' | 'light' }[] = [
  { met: 4, band: 'calm' },
  { met: 4, band: 'light' },
];
const CHECK_MET = 4;
const SIGNED_AFTER_DAYS = 9;
const YEAR_DAYS = 365;

/** How a signed pilot flies: shares of misses, 0 to 1, up to the day of falling back and from it on. */
export interface SignedPilot {
  readonly sound: number;
  readonly fellBack: number;
  /** Days after the signature; Infinity: never. */
  readonly fellBackAfter: number;
}

export const steadily = (sound: number): SignedPilot => ({
  sound,
  fellBack: sound,
  fellBackAfter: Infinity,
});

/**
 * Follows one pilot through a year of watch, which begins anew when the pilot falls back.
 * @param draw uniform numbers, 0 to 1
 */
export function watchedYear(
  keyDrills: readonly DrillId[],
  pilot: SignedPilot,
  draw: () => number,
): WatchedYear {
  const began = Number.isFinite(pilot.fellBackAfter) ? pilot.fellBackAfter : 0;
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
    if (since(day) > began + YEAR_DAYS) return { limitedAfter, calledBackAfter: null };
    for (const { drillId, side = null } of now.watch.next.drills)
      for (let attempt = 0; attempt < 5; attempt += 1) {
        const { watch } = diary.now();
        const still = watch?.next.drills.find(
          (each) => each.drillId === drillId && (each.side ?? null) === side,
        );
        if (watch?.next.from !== day || !still || still.passed) break;
        diary.rep(day, draw() >= (since(day) < pilot.fellBackAfter ? pilot.sound : pilot.fellBack), {
          drillId,
          side,
          purpose: 'check',
        });
      }
    const after = diary.now();
    // A limit that was lifted before the pilot fell back is none that was found.
    if (after.watch?.limited ?? after.relapsed) limitedAfter ??= Math.max(0, since(day) - began);
    else if (since(day) < began) limitedAfter = null;
    if (after.relapsed) return { limitedAfter, calledBackAfter: since(day) };
  }
  return { limitedAfter, calledBackAfter: null };
}
