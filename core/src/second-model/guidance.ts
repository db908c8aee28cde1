import { LET_GO, type PointCraft, type StickHands } from './body';

/** How the hands of the second model fly: by what they see, and where they think the nose points. */

export const heldWithin = (value: number, most: number): number => Math.max(-most, Math.min(most, value));
export const RAD_PER_DEG = Math.PI / 180;

export type Way = readonly [number, number];

/** Pitch and roll that push so, as hands see it that think the nose points so far off where it does. */
export function pushing(
  craft: PointCraft,
  [x, y]: Way,
  believesOffDeg = 0,
): Pick<StickHands, 'pitch' | 'roll'> {
  const nose = (craft.noseDeg + believesOffDeg) * RAD_PER_DEG;
  return {
    pitch: heldWithin(x * Math.sin(nose) + y * Math.cos(nose), 1),
    roll: heldWithin(x * Math.cos(nose) - y * Math.sin(nose), 1),
  };
}

/** What brings it back to a place, by hand. */
export const back = (craft: PointCraft, [px, py]: Way, gain = 1): Way => [
  gain * (0.16 * (px - craft.x) - 0.28 * craft.vx) - craft.windX * 0.07,
  gain * (0.16 * (py - craft.y) - 0.28 * craft.vy) - craft.windY * 0.07,
];
export const hovers = (craft: PointCraft, at: Way, offDeg = 0, gain = 1): StickHands => ({
  ...LET_GO,
  ...pushing(craft, back(craft, at, gain), offDeg),
});
/** Speed that is wanted, over the top speed, with hold on. */
export const flies = (craft: PointCraft, velocity: Way): StickHands => ({
  ...LET_GO,
  ...pushing(craft, [velocity[0] / 10, velocity[1] / 10]),
});
