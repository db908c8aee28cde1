import { LET_GO } from './body';
import type { FlightStory } from './flights';
import { flies, heldWithin } from './guidance';

/** It stands, climbs, and goes to where the story begins, so fast, s and m/s. */
const STANDS_S = 4;
const CLIMB_MPS = 1.2;
const GOES_MPS = 5;
const SETTLES_S = 5;

/** Where a story begins that says nothing of it, as `recordStory` has it. */
const USUAL = { x: 0, y: 14, z: 4, vx: 0, vy: 0 } as const;

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
      if (t < STANDS_S + climbS) return { ...flies(craft, [-0.4 * craft.x, -0.4 * craft.y]), throttle };
      // To a place that comes by the beginning as fast as the story does.
      const left = Math.min(restS - t, 3);
      const [aimX, aimY] = [start.x - start.vx * left, start.y - start.vy * left];
      const isNear = restS - t < 3;
      const toward = (aim: number, at: number, v: number) =>
        heldWithin(0.6 * (aim - at), GOES_MPS) + (isNear ? v : 0);
      return {
        ...flies(craft, [toward(aimX, craft.x, start.vx), toward(aimY, craft.y, start.vy)]),
        throttle,
      };
    },
    happens: (now) => {
      // The ground bears it until it is there.
      if (now.t < restS && now.craft.z <= 0) now.craft.vz = Math.max(0, now.craft.vz);
      story.happens?.({ ...now, t: now.t - restS });
    },
  };
}
