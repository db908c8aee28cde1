import type { Solid } from '../simulator/world';
import { type Aids, LET_GO } from './body';
import type { FlightStory } from './flights';
import { flies, heldWithin, pushing, RAD_PER_DEG } from './guidance';

/**
 * Kinds of trouble that were written after the readers stood, each another way into a cause: nothing was moved after
 * reading what is made of them, so that they judge how sure a flight is said to be.
 */

const HELD: Aids = { holdsPlace: true, holdsHeight: true };
const BY_HAND: Aids = { holdsPlace: false, holdsHeight: true };
const AIR = { x: -0.9, y: 1, gusts: 0.4 };

const bent = (nth: number, values: readonly number[]): number => values[nth % values.length]!;
type Place = Readonly<Record<'x' | 'y' | 'z', number>>;
const box = (at: Place, [alongM, acrossM, highM]: readonly [number, number, number]): Solid => ({
  ...{ solid: 'box', ...at, alongM, acrossM, highM, turnedDeg: 0 },
});

/** Eight of each. @param nth 0 to 7 */
export const FRESH_TROUBLES: readonly ((nth: number) => FlightStory)[] = [
  (nth) => {
    const wallY = bent(nth, [34, 38, 42]);
    return {
      name: 'let go without hold, and it slid on',
      cause: 'coasting',
      begins: { noseDeg: 0, y: 4, vy: 4.5 },
      weather: { x: 0.2, y: 0.3, gusts: 0.15 },
      aids: () => BY_HAND,
      goodS: bent(nth, [4, 4.5, 5]),
      troubleS: 8,
      solids: [box({ x: 0, y: wallY, z: 4 }, [0.5, 30, 8])],
      ended: (craft, solids) => (craft.y > wallY - 0.4 ? solids[0]! : null),
      hands: ({ craft, trouble }) =>
        trouble < 0 ? { ...LET_GO, pitch: heldWithin(0.32 + 0.25 * (4.5 - craft.vy), 0.8) } : LET_GO,
    };
  },
  (nth) => ({
    name: 'on the way home, nose toward, brought back the wrong way',
    cause: 'orientation-nose-in',
    begins: { noseDeg: 180, y: bent(nth, [46, 52, 60]), vy: -2.5 },
    weather: AIR,
    aids: () => BY_HAND,
    goodS: bent(nth, [6, 7.5, 9]),
    troubleS: 4.5,
    happens: ({ craft, trouble }) => {
      if (trouble >= 0 && trouble < 0.4) craft.vx += bent(nth, [0.035, -0.035]);
    },
    hands: ({ craft, trouble }) => {
      const aside = -0.16 * craft.x - 0.3 * craft.vx - 0.07 * craft.windX;
      const along = 0.2 * (-2.5 - craft.vy) - 0.07 * craft.windY;
      return { ...LET_GO, ...pushing(craft, [trouble > 0.35 ? -1.4 * aside : aside, along]) };
    },
  }),
  (nth) => {
    const [deg, wallY] = [bent(nth, [25, -30, 40, -20]), bent(nth, [44, 50, 56])];
    const v = bent(nth, [7.5, 8.5]);
    const [vx, vy] = [v * Math.sin(deg * RAD_PER_DEG), v * Math.cos(deg * RAD_PER_DEG)];
    return {
      name: 'aslant at a wall, stopped too late',
      cause: 'obstacle-overrun',
      begins: { noseDeg: deg, y: 5 },
      weather: AIR,
      aids: () => HELD,
      goodS: bent(nth, [3, 3.5]),
      troubleS: 7,
      solids: [box({ x: 0, y: wallY, z: 4 }, [0.5, 90, 8])],
      ended: (craft, solids) => (craft.y > wallY - 0.4 ? solids[0]! : null),
      hands: ({ craft }) => (craft.y > wallY - 3 ? { ...LET_GO, pitch: -1 } : flies(craft, [vx, vy])),
    };
  },
  (nth) => ({
    name: 'hold went on the way, and hands went on as if it were there',
    cause: 'no-gps-drift',
    begins: { noseDeg: 0, y: 10 },
    weather: { x: bent(nth, [3.8, -4.2, 4.5]), y: 0.3, gusts: 0.4 },
    aids: (trouble) => (trouble < 0 ? HELD : BY_HAND),
    goodS: bent(nth, [6, 8]),
    troubleS: 6,
    hands: () => ({ ...LET_GO, pitch: 0.1 }),
  }),
  (nth) => {
    const wallX = bent(nth, [12, 15, -13]);
    return {
      name: 'sideways into what nobody looked at',
      cause: 'obstacle-blind-side',
      begins: { noseDeg: 0, y: 22 },
      weather: AIR,
      aids: () => HELD,
      goodS: 5,
      troubleS: 11,
      solids: [box({ x: wallX, y: 22, z: 4 }, [30, 0.5, 8])],
      ended: (craft, solids) => (Math.abs(craft.x) > Math.abs(wallX) - 0.4 ? solids[0]! : null),
      hands: ({ craft, trouble }) =>
        flies(craft, [trouble < 0 ? 0 : Math.sign(wallX) * bent(nth, [2, 2.6]), 0]),
    };
  },
  (nth) => {
    const hangsAt = bent(nth, [12, 14]);
    return {
      name: 'up under what hung over it',
      cause: 'obstacle-overhead',
      begins: { noseDeg: 0, y: 18, z: 3 },
      weather: AIR,
      aids: () => HELD,
      goodS: 5,
      troubleS: 7,
      solids: [box({ x: 0, y: 18, z: hangsAt }, [12, 12, 1])],
      ended: (craft, solids) => (craft.z > hangsAt - 0.7 ? solids[0]! : null),
      hands: ({ trouble }) => ({ ...LET_GO, throttle: trouble < 0 ? 0 : bent(nth, [0.7, 0.9]) }),
    };
  },
  (nth) => ({
    name: 'sank, was given power, and sank on',
    cause: 'wash-settling',
    begins: { z: bent(nth, [30, 34, 38]), y: 28 },
    weather: { x: 0.2, y: 0.1, gusts: 0.15 },
    aids: () => HELD,
    goodS: 5,
    troubleS: 12,
    hands: ({ trouble }) => ({ ...LET_GO, throttle: trouble < 0 ? 0 : trouble < 3 ? -0.9 : 1 }),
    happens: ({ craft, trouble, normal }) => {
      if (trouble < 1.5) return;
      craft.vz -= trouble < 3 ? 0.04 : 0.2;
      craft.thrownDeg += 1.4 * normal();
    },
    ended: (craft) => (craft.z <= 0.02 ? 'ground' : null),
  }),
];
