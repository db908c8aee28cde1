import type { FlightLog } from '../flight-log/flight-log';
import { LET_GO, type PointCraft, type StickHands } from './body';
import { chanceOf, type FlightStory } from './flights';
import { flies, heldWithin } from './guidance';

/** Whole flights of a lesson, from the ground to the ground, with what happens in them and when. */

/** One thing that is flown for a while. */
interface Stretch {
  readonly forS: number;
  /** @param s since it began */
  readonly hands: (craft: PointCraft, s: number) => StickHands;
}

/** What truly happened, to be found in what a recorder wrote of it. */
export interface TrueEvent {
  readonly is: 'take-off' | 'landing' | 'hit' | 'oscillation' | 'far' | 'drift' | 'spin' | 'high';
  readonly atS: number;
}

export interface FlownLesson {
  readonly story: FlightStory;
  readonly events: readonly TrueEvent[];
}

const HELD = { holdsPlace: true, holdsHeight: true };
const climb =
  (throttle: number): Stretch['hands'] =>
  () => ({ ...LET_GO, throttle });
const toHeight =
  (z: number): Stretch['hands'] =>
  (craft) => ({ ...LET_GO, throttle: heldWithin(0.6 * (z - craft.z), 0.8) });
const along =
  (east: number, north: number): Stretch['hands'] =>
  (craft) =>
    flies(craft, [east, north]);
const home: Stretch['hands'] = (craft) =>
  flies(craft, [heldWithin(-0.4 * craft.x, 4), heldWithin(-0.4 * craft.y, 4)]);
const turning =
  (yaw: number): Stretch['hands'] =>
  () => ({ ...LET_GO, yaw });

const GROUND: Stretch = { forS: 4, hands: climb(-0.4) };
const UP: Stretch = { forS: 5, hands: toHeight(6) };
const DOWN: Stretch = { forS: 9, hands: climb(-0.35) };

interface Told {
  readonly name: string;
  readonly stretches: readonly Stretch[];
  /** Of the stretches, and what begins with one of them. */
  readonly begins?: Readonly<Record<number, TrueEvent['is']>>;
  readonly happens?: FlightStory['happens'];
}

function lesson({ name, stretches, begins = {}, happens }: Told, nth: number): FlownLesson {
  const starts = stretches.map((_, i) => stretches.slice(0, i).reduce((sum, { forS }) => sum + forS, 0));
  const lasts = starts.at(-1)! + stretches.at(-1)!.forS;
  const { uniform } = chanceOf(nth + 1);
  return {
    story: {
      name,
      cause: null,
      begins: { x: 0, y: 0, z: 0, noseDeg: Math.floor(uniform() * 360) },
      weather: { x: 1.5 * uniform(), y: -1.5 * uniform(), gusts: 0.3 },
      aids: () => HELD,
      goodS: lasts,
      troubleS: 0,
      hands: ({ craft, t }) => {
        const now = starts.findLastIndex((start) => start <= t);
        return stretches[now]!.hands(craft, t - starts[now]!);
      },
      happens: (now) => {
        // The ground bears it.
        if (now.craft.z <= 0) now.craft.vz = Math.max(0, now.craft.vz);
        happens?.(now);
      },
    },
    events: [
      { is: 'take-off', atS: starts[1]! },
      ...Object.entries(begins).map(([at, is]) => ({ is, atS: starts[Number(at)]! })),
    ],
  };
}

/** To and fro about a place, wider each time: hands that chase it. */
const swinging: Stretch['hands'] = (craft, s) =>
  flies(craft, [(1.5 + 0.3 * s) * Math.sin((2 * Math.PI * s) / 2.6), 0]);

/** When it came down for the last time. */
export function landedAtS({ columns, length }: FlightLog): number {
  let last = length - 1;
  while (last > 0 && columns.z[last]! <= 0.05) last -= 1;
  return columns.t[last]!;
}

/** A lesson of each kind, bent a little by its number. */
export const LESSONS: readonly ((nth: number) => FlownLesson)[] = [
  (nth) =>
    lesson(
      {
        name: 'a box, and home',
        stretches: [
          GROUND,
          UP,
          { forS: 6, hands: along(0, 4) },
          { forS: 6, hands: along(4, 0) },
          { forS: 6, hands: along(0, -4) },
          { forS: 8, hands: home },
          { forS: 6, hands: home },
          DOWN,
        ],
      },
      nth,
    ),
  (nth) =>
    lesson(
      {
        name: 'out, a turn of the nose, and back',
        stretches: [
          GROUND,
          UP,
          { forS: 8, hands: along(2, 5) },
          { forS: 5, hands: turning(0.4) },
          { forS: 14, hands: home },
          DOWN,
        ],
      },
      nth,
    ),
  (nth) =>
    lesson(
      {
        name: 'a hover that swings up',
        stretches: [
          GROUND,
          UP,
          { forS: 8, hands: () => LET_GO },
          { forS: 9, hands: swinging },
          { forS: 9, hands: home },
          DOWN,
        ],
        begins: { 3: 'oscillation' },
      },
      nth,
    ),
  (nth) =>
    lesson(
      {
        name: 'too far out',
        stretches: [
          GROUND,
          UP,
          { forS: 26, hands: along(0, 7) },
          { forS: 4, hands: () => LET_GO },
          { forS: 50, hands: home },
          DOWN,
        ],
        begins: { 2: 'far' },
      },
      nth,
    ),
  (nth) =>
    lesson(
      {
        name: 'higher than is let',
        stretches: [GROUND, UP, { forS: 60, hands: climb(0.8) }, { forS: 62, hands: climb(-0.8) }, DOWN],
        begins: { 2: 'high' },
      },
      nth,
    ),
];
