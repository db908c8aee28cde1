import type { FlightMode } from '../../vocabulary/flying';
import { wordsOf } from './by-name';
import type { ModeWords } from './mapping';

/** What everyday words for modes mean; the first that fits. From memory; a recipe says what a recorder's own words are. */
const SAYS: readonly (readonly [RegExp, FlightMode])[] = [
  [/\b(return|home|rth|mission|auto|automatic|waypoint|programmed|land|landing|follow)\b/, 'programmed'],
  [/\b(position|pos|loiter|gps|hold position|satellite)\b/, 'position-hold'],
  [/\b(altitude|height|alt)\b/, 'height-hold'],
  [/\b(angle|level|self level|stabili[sz]ed?|attitude|atti|horizon)\b/, 'self-level'],
  [/\b(rate|acro|manual|full manual)\b/, 'rate'],
];

/** Words of a mode column, each with what it says by itself; null where it says nothing. */
export const modesSaid = (words: readonly string[]): ModeWords =>
  Object.fromEntries(
    words.map((word) => [word, SAYS.find(([says]) => says.test(wordsOf(word)))?.[1] ?? null]),
  );
