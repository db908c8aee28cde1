import type { FlightView } from './flight-view';
import { LocalFrame } from './local-frame';
import type { DrawnPoint } from './stretch';

/** Farther apart than this they were flown at two places, and are laid over each other by where they began, m. */
const SAME_PLACE_M = 3_000;

/** Another flight's path in the axes of one: by their places on the earth, or by where each began. */
export function laidOver(
  { origin }: Pick<FlightView, 'origin'>,
  other: Pick<FlightView, 'origin' | 'whole'>,
): readonly DrawnPoint[] {
  if (!origin || !other.origin) return other.whole.path;
  const frame = new LocalFrame(origin.latDeg, origin.lonDeg);
  const [east, north] = frame.toLocal(other.origin.latDeg, other.origin.lonDeg);
  if (Math.hypot(east, north) > SAME_PLACE_M) return other.whole.path;
  return other.whole.path.map((point) => ({ ...point, x: point.x + east, y: point.y + north }));
}
