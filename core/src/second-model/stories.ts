import type { Solid } from '../simulator/world';
import { type Aids, type PointCraft, LET_GO } from './body';
import type { FlightStory } from './flights';
import { back, heldWithin, flies, hovers, pushing, RAD_PER_DEG, type Way } from './guidance';

const HELD: Aids = { holdsPlace: true, holdsHeight: true };
const BY_HAND: Aids = { holdsPlace: false, holdsHeight: true };
/** Nudges away from the pilot's place, as air does it. */
const nudge = (craft: PointCraft, by: Way) => {
  craft.vx += by[0];
  craft.vy += by[1];
};
const once = (do_: (craft: PointCraft) => void): NonNullable<FlightStory['happens']> => {
  let done = false;
  return ({ craft, trouble, t }) => {
    if (t < 0.02) done = false;
    if (trouble >= 0 && !done) {
      done = true;
      do_(craft);
    }
  };
};
const wall = (x: number, y: number, across = 30): Solid => ({
  solid: 'box',
  x,
  y,
  z: 4,
  alongM: 0.5,
  acrossM: across,
  highM: 8,
  turnedDeg: 0,
});
const reachesY =
  (y: number, way: 1 | -1): FlightStory['ended'] =>
  (craft, solids) =>
    way * (craft.y - y) >= -0.4 ? solids[0]! : null;
const hitsGround: FlightStory['ended'] = (craft) => (craft.z <= 0.02 ? 'ground' : null);

const AIR = { x: 1.2, y: -0.8, gusts: 0.35 };
const bent = (nth: number, values: readonly number[]): number => values[nth % values.length]!;

/** Eight of each, bent a little each time. @param nth 0 to 7 */
export const TROUBLES: readonly ((nth: number) => FlightStory)[] = [
  (nth) => ({
    name: 'mirrored nose-in, after it flew well',
    cause: 'orientation-nose-in',
    begins: { noseDeg: 180 + bent(nth, [-15, 0, 12, 25]), y: bent(nth, [12, 16, 20]) },
    weather: AIR,
    aids: () => BY_HAND,
    goodS: bent(nth, [6, 9, 12, 7]),
    troubleS: 4,
    happens: once((craft) => nudge(craft, [bent(nth, [1.4, -1.4]), 0.3])),
    hands: ({ craft, trouble }) =>
      hovers(craft, [0, bent(nth, [12, 16, 20])], trouble > 0.3 ? 180 : 0, trouble > 0.3 ? 1.3 : 1),
  }),
  (nth) => ({
    name: 'side-on flown as tail-in',
    cause: 'orientation-side-on',
    begins: { noseDeg: bent(nth, [90, -90]), y: bent(nth, [11, 15, 18]) },
    weather: AIR,
    aids: () => BY_HAND,
    goodS: bent(nth, [7, 10, 8]),
    troubleS: 4,
    happens: once((craft) => nudge(craft, [bent(nth, [1.5, -1.5, 0.4]), bent(nth, [0.3, -0.4, 1.6])])),
    hands: ({ craft, trouble }) =>
      hovers(
        craft,
        [0, bent(nth, [11, 15, 18])],
        trouble > 0.3 ? -bent(nth, [90, -90]) : 0,
        trouble > 0.3 ? 1.3 : 1,
      ),
  }),
  (nth) => {
    const pulses = [40, 215, 130, 300, 75, 250].map((deg) => (deg + 47 * nth) * RAD_PER_DEG);
    return {
      name: 'attitude not known, far out',
      cause: 'orientation-lost',
      begins: { noseDeg: bent(nth, [70, 200, 140, 310]), y: bent(nth, [95, 120, 150]), z: 18 },
      weather: { x: 2, y: 1.2, gusts: 0.5 },
      aids: () => BY_HAND,
      goodS: bent(nth, [8, 11, 9]),
      troubleS: 9,
      hands: ({ craft, trouble }) => {
        if (trouble < 0) return hovers(craft, [0, bent(nth, [95, 120, 150])]);
        const way = pulses[Math.floor(trouble / 1.4) % pulses.length]!;
        if (trouble % 1.4 > 0.9) return { ...LET_GO, yaw: 0.25 };
        return { ...LET_GO, pitch: 0.45 * Math.cos(way), roll: 0.45 * Math.sin(way) };
      },
    };
  },
  (nth) => ({
    name: 'turned with yaw alone',
    cause: 'uncoordinated-turn',
    begins: { noseDeg: 0, y: 12, vy: 5 },
    weather: { x: 0.6, y: 0.3, gusts: 0.2 },
    aids: () => BY_HAND,
    goodS: 4,
    troubleS: 3.5,
    hands: ({ craft, trouble }) => ({
      ...LET_GO,
      pitch: trouble < 0 ? heldWithin(0.36 + 0.2 * (5 - craft.vy), 0.8) : 0.35,
      yaw: trouble < 0 ? 0 : bent(nth, [0.5, -0.5, 0.7, -0.6]),
    }),
    solids: [wall(0, 70)],
  }),
  (nth) => ({
    name: 'straight down into its own wash',
    cause: 'wash-settling',
    begins: { z: bent(nth, [28, 36, 42]), y: 25 },
    weather: { x: 0.3, y: 0.2, gusts: 0.15 },
    aids: () => HELD,
    goodS: 5,
    troubleS: 9,
    hands: ({ craft, trouble }) => {
      const sticks = flies(craft, [0, 0]);
      return trouble < 0 ? sticks : { ...sticks, pitch: 0, roll: 0, throttle: -1 };
    },
    happens: ({ craft, trouble, normal }) => {
      if (trouble < 1.2) return;
      // It sinks on, faster than the stick asks, and shakes.
      craft.vz -= 0.05;
      craft.thrownDeg += 1.6 * normal();
    },
    ended: hitsGround,
  }),
  (nth) => ({
    name: 'braked too late',
    cause: 'obstacle-overrun',
    begins: { noseDeg: 0, y: 6 },
    weather: AIR,
    aids: () => HELD,
    goodS: bent(nth, [3, 3.5, 4]),
    troubleS: 6,
    solids: [wall(0, bent(nth, [46, 52, 58]))],
    ended: reachesY(bent(nth, [46, 52, 58]), 1),
    hands: ({ craft }) =>
      craft.y > bent(nth, [46, 52, 58]) - 3.2
        ? { ...LET_GO, pitch: -1 }
        : flies(craft, [0, bent(nth, [7, 8, 9])]),
  }),
  (nth) => ({
    name: 'backed into what nobody looked at',
    cause: 'obstacle-blind-side',
    begins: { noseDeg: 0, y: bent(nth, [30, 36]) },
    weather: AIR,
    aids: () => HELD,
    goodS: 5,
    troubleS: 9,
    solids: [wall(0, bent(nth, [18, 22]))],
    ended: reachesY(bent(nth, [18, 22]), -1),
    hands: ({ craft, trouble }) => flies(craft, [0, trouble < 0 ? 0 : -bent(nth, [2.2, 2.8, 3.2])]),
  }),
  (nth) => ({
    name: 'hold went, and hands stayed off',
    cause: 'no-gps-drift',
    begins: { noseDeg: 0, y: 15 },
    weather: { x: bent(nth, [4, -4.5, 3.5]), y: bent(nth, [1, -2]), gusts: 0.4 },
    aids: (trouble) => (trouble < 0 ? HELD : BY_HAND),
    goodS: bent(nth, [7, 10]),
    troubleS: 5,
    hands: () => LET_GO,
  }),
  (nth) => ({
    name: 'hands too large, wider each time',
    cause: 'overcontrol',
    begins: { y: 12 },
    weather: { x: 0.6, y: 0, gusts: 0.3 },
    aids: () => BY_HAND,
    goodS: bent(nth, [6, 8]),
    troubleS: 7,
    hands: ({ craft, t, trouble }) => {
      const sticks = hovers(craft, [0, 12]);
      if (trouble < 0) return sticks;
      const swing = Math.min(0.9, 0.3 + 0.1 * trouble);
      return {
        ...sticks,
        pitch: heldWithin(sticks.pitch + swing * Math.sin(5.2 * t), 1),
        roll: heldWithin(sticks.roll + swing * Math.sin(4.4 * t + nth), 1),
      };
    },
  }),
  (nth) => ({
    name: 'nose swung hard while it sank back',
    cause: 'yaw-tumble',
    begins: { noseDeg: 0, y: 20, z: bent(nth, [22, 26]), vy: 6 },
    weather: { x: 0, y: 1.5, gusts: 0.3 },
    aids: () => BY_HAND,
    goodS: 3,
    troubleS: 4.5,
    hands: ({ craft, trouble }) => {
      if (trouble < 0) return { ...LET_GO, pitch: heldWithin(0.4 + 0.2 * (6 - craft.vy), 0.9) };
      return {
        throttle: -1,
        yaw: trouble < 1.5 ? bent(nth, [1, -1]) : 0,
        pitch: trouble < 1.5 ? 0.3 : 0.9,
        roll: 0,
      };
    },
    happens: ({ craft, trouble }) => {
      if (trouble > 2 && trouble < 2.3) craft.thrownDeg += 3.2 * bent(nth, [1, -1]);
      if (trouble > 2) craft.vz -= 0.06;
    },
    ended: hitsGround,
  }),
  (nth) => ({
    name: 'came back to where the wind had carried it',
    cause: 'wind-displacement',
    begins: { noseDeg: 0, y: 10 },
    weather: { x: bent(nth, [8, -8.5]), y: 0.5, gusts: 0.6 },
    aids: () => BY_HAND,
    goodS: 3,
    troubleS: 7,
    hands: ({ craft, trouble }) => ({
      ...LET_GO,
      // It looks ahead, leans into the wind at first, and then forgets it.
      pitch: heldWithin(0.3 + 0.2 * (4 - craft.vy), 0.7),
      roll: trouble < 0 ? pushing(craft, back(craft, [0, craft.y])).roll : 0,
    }),
  }),
];

/** Flights in which nothing goes wrong. @param nth 0 to 7 */
export const GOOD_FLIGHTS: readonly ((nth: number) => FlightStory)[] = [
  (nth) => ({
    name: 'a steady hover',
    cause: null,
    begins: { noseDeg: bent(nth, [0, 90, 180, 270]), y: bent(nth, [12, 20]) },
    weather: AIR,
    aids: () => (nth % 2 ? HELD : BY_HAND),
    goodS: 20,
    troubleS: 0,
    hands: ({ craft }) => (nth % 2 ? LET_GO : hovers(craft, [0, bent(nth, [12, 20])])),
  }),
  (nth) => ({
    name: 'out and back',
    cause: null,
    begins: { y: 10 },
    weather: AIR,
    aids: () => HELD,
    goodS: 24,
    troubleS: 0,
    hands: ({ craft, t }) => flies(craft, [0, bent(nth, [3, 4, 5]) * (t % 12 < 6 ? 1 : -1)]),
  }),
  (nth) => ({
    name: 'circles, nose along',
    cause: null,
    begins: { noseDeg: 90, y: 14, vx: 3 },
    weather: AIR,
    aids: () => HELD,
    goodS: 25,
    troubleS: 0,
    hands: ({ craft }) => ({
      ...LET_GO,
      pitch: 0.3,
      yaw: bent(nth, [-0.2, -0.25, -0.3]),
      roll: 0 * craft.x,
    }),
  }),
];
