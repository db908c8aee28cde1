import { type Counted, inAll } from './event-rate';

/**
 * Each one's rate drawn towards that of all, the further the less was flown (empirical Bayes for counts, gamma prior by
 * moments; Clayton and Kaldor, Biometrics 1987; Marshall, Applied Statistics 1991): one crash in three flights is no rate
 * of a third.
 * @returns events an exposure of one, in the order given
 */
export function shrunkenRates(each: readonly Counted[]): readonly number[] {
  const all = inAll(each);
  if (!(all.exposure > 0)) return each.map(() => 0);
  const mean = all.events / all.exposure;
  const flown = each.filter(({ exposure }) => exposure > 0);
  const spread =
    flown.reduce((sum, { events, exposure }) => sum + exposure * (events / exposure - mean) ** 2, 0) /
    all.exposure;
  // What of the spread is not chance.
  const variance = Math.max(0, spread - mean / (all.exposure / flown.length));
  return each.map(({ events, exposure }) => {
    if (!(exposure > 0)) return mean;
    const weight = variance === 0 ? 0 : variance / (variance + mean / exposure);
    return mean + weight * (events / exposure - mean);
  });
}
