import type { Forecast, Spread, WentLately } from '@skelby/core/clearance/forecast';
import { plural } from '../../shared/copy/copy';

/** Beside a middle: ` (2 to 9)`; nothing where all are alike. */
const between = ({ low, high }: Spread): string =>
  high === low ? '' : high === null ? ` (${low} or more)` : ` (${low} to ${high})`;

const usually = ({ low, high }: Spread): string =>
  high === null ? `nine times in ten ${low} or more` : `eight times in ten ${low} to ${high}`;

/** What is still to be flown, with its spread, and what it hangs on. */
export function forecastSentence({ met, missed }: WentLately, forecast: Forecast | null): string {
  const lately = `If reps go on like the last ${met + missed} (${met} met)`;
  if (!forecast) return `${lately}, it will hardly be cleared: an easier step first, or calmer air.`;
  const { reps, packs } = forecast;
  const inPacks = packs ? `, about ${plural(packs.middle, 'pack')}${between(packs)}` : '';
  const takes = `it takes about ${plural(reps.middle, 'more rep')}, check included${inPacks}`;
  return `${lately}, ${takes}; ${usually(reps)}. No promise: drills are there to change that.`;
}
