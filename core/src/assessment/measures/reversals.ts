import type { Segment } from '../segment';

/** Less than this is no movement of the thumb. */
const TREMOR = 0.06;

/** Pitch and roll turned back the other way, over and again, a minute. */
export function reversals({ samples }: Pick<Segment, 'samples'>): number {
  let count = 0;
  for (const axis of ['pitch', 'roll'] as const) {
    let [turnedAt, rising] = [samples[0]?.[axis] ?? 0, 0];
    for (const s of samples) {
      const moved = s[axis] - turnedAt;
      if (rising >= 0 && moved > 0) {
        turnedAt = s[axis];
        rising = 1;
      } else if (rising <= 0 && moved < 0) {
        turnedAt = s[axis];
        rising = -1;
      } else if (Math.abs(moved) > TREMOR) {
        count += 1;
        rising = -rising;
        turnedAt = s[axis];
      }
    }
  }
  const lasted = (samples.at(-1)?.t ?? 0) - (samples[0]?.t ?? 0);
  return lasted > 0 ? (60 * count) / lasted : 0;
}
