import { LET_GO, type PointCraft, type StickHands } from './body';
import type { FlightStory } from './flights';
import { back, flies, heldWithin, pushing, type Way } from './guidance';

/** It stands, climbs, and goes to where the story begins, so fast, s and m/s. */
const STANDS_S = 4;
const CLIMB_MPS = 1.2;
const GOES_MPS = 5;
const SETTLES_S = 5;

/** Where a story begins that says nothing of it, as `recordStory` has it. */
const USUAL = { x: 0, y: 14, z: 4, vx: 0, vy: 0 } as const;

/** How it goes to a place, to come by there so fast: asking for speeds where place is held, else by leaning. */
type Goes = (craft: PointCraft, aim: Way, at: Way) => StickHands;
const held: Goes = (craft, [x, y], [vx, vy]) =>
  flies(craft, [
    heldWithin(0.6 * (x - craft.x), GOES_MPS) + vx,
    heldWithin(0.6 * (y - craft.y), GOES_MPS) + vy,
  ]);
const byHand: Goes = (craft, [x, y], [vx, vy]) => ({
  ...LET_GO,
  ...pushing(
    craft,
    back(craft, [craft.x + near(x - craft.x) + 1.75 * vx, craft.y + near(y - craft.y) + 1.75 * vy]),
  ),
});
/** Hands do not push harder the farther it is, m. */
const near = (away: number): number => heldWithin(away, 8);

/** The same story with its recorder switched on before take-off, as recorders are: it is flown to where it begins. */
export function fromTheGround(story: FlightStory): FlightStory {
  const start = { ...USUAL, ...story.begins };
  const climbS = start.z / CLIMB_MPS + SETTLES_S;
  const goS = Math.hypot(start.x, start.y) / GOES_MPS + SETTLES_S;
  const restS = STANDS_S + climbS + goS;
  return {
    ...story,
    begins: { ...story.begins, x: 0, y: 0, z: 0, vx: 0, vy: 0 },
    goodS: story.goodS + restS,
    hands: (now) => {
      const { craft, t } = now;
      if (t >= restS) return story.hands({ ...now, t: t - restS });
      if (t < STANDS_S) return { ...LET_GO, throttle: -0.4 };
      const throttle = heldWithin(0.6 * (start.z - craft.z), 0.8);
      const goes = story.aids(-1).holdsPlace ? held : byHand;
      if (t < STANDS_S + climbS) return { ...goes(craft, [0, 0], [0, 0]), throttle };
      // To a place that comes by the beginning as fast as the story does.
      const left = Math.min(restS - t, 3);
      const aim: Way = [start.x - start.vx * left, start.y - start.vy * left];
      return { ...goes(craft, aim, restS - t < 3 ? [start.vx, start.vy] : [0, 0]), throttle };
    },
    happens: (now) => {
      // The ground bears it until it is there, and what stands on it does not slide.
      if (now.t < restS && now.craft.z <= 0)
        Object.assign(now.craft, { vx: 0, vy: 0, vz: Math.max(0, now.craft.vz) });
      story.happens?.({ ...now, t: now.t - restS });
    },
  };
}
