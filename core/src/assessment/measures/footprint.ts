import { type Sample } from '../../flight-log/flight-log';
import { comparison } from './measure';

function extent(samples: readonly Sample[], of: (s: Sample) => number): number {
  let [low, high] = [Infinity, -Infinity];
  for (const s of samples) {
    low = Math.min(low, of(s));
    high = Math.max(high, of(s));
  }
  return high - low;
}

/** Widest distance over the ground, east to west or north to south, of all parts. */
export const footprint = comparison({
  unit: 'm',
  label: 'Ground covered',
  missReason: 'off-the-mark',
  of: (segments) => {
    const all = segments.flatMap((segment) => segment.samples);
    if (all.length === 0) return null;
    return {
      value: Math.max(
        extent(all, (s) => s.x),
        extent(all, (s) => s.y),
      ),
      atS: all.at(-1)!.t,
    };
  },
});
