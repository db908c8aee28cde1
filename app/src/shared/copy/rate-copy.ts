import { clopperPearson, garwood } from '@skelby/core/rates/exact-interval';
import { plural } from './copy';

const PER = 100;
const per100 = (share: number): string => (PER * share).toFixed(1);

/** Crashes per 100 flights: a flight ends in a crash or does not, so the interval is binomial. */
export function crashRateWords(crashes: number, flights: number): string {
  if (flights === 0) return 'No flights recorded: without them there is no rate.';
  if (crashes > flights)
    return `${plural(crashes, 'crash', 'crashes')} but only ${plural(flights, 'flight')} recorded: add the flights, then the rate is true.`;
  const { low, high } = clopperPearson(crashes, flights);
  return `${plural(crashes, 'crash', 'crashes')} in ${plural(flights, 'flight')}: ${per100(crashes / flights)} per 100, two-sided 95 % from ${per100(low)} to ${per100(high)}.`;
}

/** Near-misses per 100 flights: a flight may hold several, so the interval is Poisson. */
export function nearMissRateWords(nearMisses: number, flights: number): string | null {
  if (flights === 0) return null;
  const { low, high } = garwood(nearMisses);
  return `${plural(nearMisses, 'near-miss', 'near-misses')}: ${per100(nearMisses / flights)} per 100 flights, from ${per100(low / flights)} to ${per100(high / flights)}.`;
}
