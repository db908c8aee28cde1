import type { Sample } from '../flight-log/flight-log';
import type { GateOpening } from './exercise';

type Place = Pick<Sample, 'x' | 'y' | 'z'>;

/**
 * Whether an opening was flown through between two places, the way it faces: the plane it stands in is crossed inside
 * its edges. @param from @param to m
 */
export function passedThrough(
  { at: [x, y, z], facingDeg, wideM }: GateOpening,
  from: Place,
  to: Place,
): boolean {
  const facing = (facingDeg * Math.PI) / 180;
  const [east, north] = [Math.sin(facing), Math.cos(facing)];
  const beyond = (place: Place) => (place.x - x) * east + (place.y - y) * north;
  const [before, after] = [beyond(from), beyond(to)];
  if (before >= 0 || after < 0) return false;
  const share = before / (before - after);
  const between = (one: number, other: number) => one + share * (other - one);
  const aside = (between(from.x, to.x) - x) * north - (between(from.y, to.y) - y) * east;
  return Math.max(Math.abs(aside), Math.abs(between(from.z, to.z) - z)) <= wideM / 2;
}
