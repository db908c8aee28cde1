import type { SmoothFlight } from './smoothing/smooth-flight';

/** A battery that reads so much more than it did is another one; a pack that rests recovers less (share of 1). */
const FRESH = 0.15;

/** How many batteries were flown: each that is put in reads more than the last did. */
export function packsIn({ channels }: Pick<SmoothFlight, 'channels'>): number {
  let [packs, least] = [1, Infinity];
  for (const share of channels.get('battery') ?? []) {
    if (!Number.isFinite(share)) continue;
    if (share > least + FRESH) {
      packs += 1;
      least = share;
    }
    least = Math.min(least, share);
  }
  return packs;
}
