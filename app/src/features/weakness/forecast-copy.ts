import type { Forecast, Spread, WentLately } from '@skelby/core/clearance/forecast';
import { plural } from '../../shared/copy/copy';

const between = ({ low, high }: Spread): string => (high === null ? `${low} or more` : `${low} to ${high}`);

/** What is still to be flown, with its spread, and what it hangs on. */
export function forecastSentence({ met, missed }: WentLately, forecast: Forecast | null): string {
  const lately = `If reps go on like the last ${met + missed} (${met} met)`;
  if (!forecast) return `${lately}, it is not cleared: more practice first, an easier step or calmer air.`;
  const { reps, packs } = forecast;
  const inPacks = packs ? `, about ${plural(packs.middle, 'pack')} (${between(packs)})` : '';
  return `${lately}, half are through in ${plural(reps.middle, 'more rep')}, check included${inPacks}; eight of ten in ${between(reps)}. No promise: drills are there to change that.`;
}
