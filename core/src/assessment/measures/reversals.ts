import type { Segment } from '../segment';

/** Less than this is no movement of the thumb. */
const TREMOR = 0.06;

/** How often a value turns back by so much. */
function turnsBack(values: readonly number[], least: number): number {
  let [turnedAt, rising, count] = [values[0] ?? 0, 0, 0];
  for (const value of values) {
    const moved = value - turnedAt;
    const goesOn = (rising >= 0 && moved > 0) || (rising <= 0 && moved < 0);
    if (!goesOn && Math.abs(moved) <= least) continue;
    if (!goesOn) count += 1;
    rising = Math.sign(moved);
    turnedAt = value;
  }
  return count;
}

/**
 * Pitch and roll turned back the other way, over and again, a minute.
 * @param least travel that counts as a movement
 */
export function reversals({ samples }: Pick<Segment, 'samples'>, least = TREMOR): number {
  const count =
    turnsBack(
      samples.map(({ pitch }) => pitch),
      least,
    ) +
    turnsBack(
      samples.map(({ roll }) => roll),
      least,
    );
  const lasted = (samples.at(-1)?.t ?? 0) - (samples[0]?.t ?? 0);
  return lasted > 0 ? (60 * count) / lasted : 0;
}
