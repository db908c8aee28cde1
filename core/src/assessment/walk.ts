import { bearing, type PathPoint } from '../geometry/path';
import { type Exercise, LEAD_DISTANCE_M, type Walk } from './exercise';

/** Where a walking pilot is, and which way they walk. */
export function walkerAt(
  { points, speedMps }: Walk,
  t: number,
): { readonly x: number; readonly y: number; readonly bearingDeg: number } {
  let left = speedMps * t;
  for (let i = 1; i < points.length; i += 1) {
    const [[ax, ay], [bx, by]] = [points[i - 1]!, points[i]!];
    const length = Math.hypot(bx - ax, by - ay);
    if (left <= length || i === points.length - 1) {
      const share = Math.min(1, left / length);
      return { x: ax + share * (bx - ax), y: ay + share * (by - ay), bearingDeg: bearing(bx - ax, by - ay) };
    }
    left -= length;
  }
  throw new RangeError('A walk needs two points or more.');
}

/** Where the pilot stands. */
export function pilotAt(
  { walk, pilotWalks = walk }: Pick<Exercise, 'walk' | 'pilotWalks'>,
  t: number,
): { readonly x: number; readonly y: number } {
  return pilotWalks ? walkerAt(pilotWalks, t) : { x: 0, y: 0 };
}

/** The place that a walking pilot keeps the craft at, so high, and which way they walk. */
export function leadAt(
  walk: Walk,
  t: number,
  heightM: number,
): { readonly at: PathPoint; readonly bearingDeg: number } {
  const { x, y, bearingDeg } = walkerAt(walk, t);
  const ahead = (bearingDeg * Math.PI) / 180;
  return {
    at: [x + LEAD_DISTANCE_M * Math.sin(ahead), y + LEAD_DISTANCE_M * Math.cos(ahead), heightM],
    bearingDeg,
  };
}
