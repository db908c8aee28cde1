import { settingIndex, settingAt, type Sample } from '../flight-log/flight-log';
import type { PathPoint } from '../geometry/path';
import type { CueId } from '../vocabulary/cues';
import { SPEED_SETTINGS } from '../vocabulary/craft-facts';

/** Something of a drill that stands about, where it stands. */
export interface Thing {
  readonly is: CueId;
  readonly at: PathPoint;
}

/** Heights and distances to choose from, m: each half as much again as the last, as an eye tells them apart. */
export const HEIGHTS_M = [2, 3, 4.5, 7, 10] as const;
export const DISTANCES_M = [8, 12, 18, 27, 40] as const;
/** An answer by eye within this share of what is right is right. Common practice. */
const BY_EYE = 1 / 3;
/** Things about as near as the nearest, m, are right too. */
const AS_NEAR_M = 1.5;

/** What a pilot can be asked while flying. */
export const ASKS = ['which-setting', 'how-high', 'how-far', 'nearest-thing', 'will-it-stop'] as const;
export type AskId = (typeof ASKS)[number];

/** What a pilot says will happen on a way toward something. */
export const FORETOLD = ['stops-by-itself', 'comes-on'] as const;

const byEye = (choices: readonly number[], right: number): readonly number[] =>
  choices.flatMap((each, i) => (Math.abs(each - right) <= BY_EYE * right ? [i + 1] : []));

function nearest(things: readonly Thing[], { x, y, z }: Sample): readonly number[] {
  const away = things.map(({ at: [tx, ty, tz] }) => Math.hypot(tx - x, ty - y, tz - z));
  const least = Math.min(...away);
  return away.flatMap((each, i) => (each <= least + AS_NEAR_M ? [i + 1] : []));
}

/**
 * The answers that are right at a moment, by their places in the list, from 1.
 * @returns null where only what comes after it tells
 */
export function rightAnswers(
  asks: AskId,
  s: Sample,
  { fromPilotM, things }: { readonly fromPilotM: number; readonly things: readonly Thing[] },
): readonly number[] | null {
  switch (asks) {
    case 'which-setting':
      return [settingIndex(settingAt(s)) + 1];
    case 'how-high':
      return byEye(HEIGHTS_M, s.z);
    case 'how-far':
      return byEye(DISTANCES_M, fromPilotM);
    case 'nearest-thing':
      return nearest(things, s);
    case 'will-it-stop':
      return null;
  }
}

/** How many answers there are to choose from. */
export function choicesOf(asks: AskId, things: readonly Thing[]): number {
  switch (asks) {
    case 'which-setting':
      return SPEED_SETTINGS.length;
    case 'how-high':
      return HEIGHTS_M.length;
    case 'how-far':
      return DISTANCES_M.length;
    case 'nearest-thing':
      return things.length;
    case 'will-it-stop':
      return FORETOLD.length;
  }
}
