import type { CueId } from '../../vocabulary/cues';
import type { DrillId } from '../../drills/drills';
import type { Side } from '../../drills/drill';
import { type Exercise, free, leg, round, stay } from '../exercise';
import type { PathPoint } from '../../geometry/path';
import { times, way } from './pointing-and-turns';

type CourseOf = (side: Side | null) => Exercise;

interface Racetrack {
  /** Half its width, where it begins and where it ends ahead of the pilot, and its height, m. */
  readonly x: number;
  readonly near: number;
  readonly far: number;
  readonly z: number;
  readonly speedMps: number;
}
/** Out on one side, round with the throttle rising, back on the other: mirrored for the other side. */
function racetrack({ x, near, far, z, speedMps }: Racetrack, side: Side | null) {
  const to = way(side);
  return {
    out: leg('straight-at-speed', [-x * to, near, z], [-x * to, far, z], { nose: 'along', speedMps }),
    round: round(
      'round-with-power',
      { centre: [0, far, z], radiusM: x, fromDeg: -90 * to, sweepDeg: 180 * to },
      { speedMps },
    ),
    back: leg('straight', [x * to, far, z], [x * to, near, z], { nose: 'along', speedMps }),
    home: round(
      'round-with-power',
      { centre: [0, near, z], radiusM: x, fromDeg: 90 * to, sweepDeg: 180 * to },
      { speedMps },
    ),
  };
}

const SLALOM: readonly PathPoint[] = [
  [-2, 8, 1.6],
  [-1.4, 12, 1.6],
  [1.4, 18, 1.6],
  [-1.4, 24, 1.6],
  [1.4, 30, 1.6],
  [0, 36, 1.6],
];
const ZIGZAG: readonly PathPoint[] = [
  [0, 14, 18],
  [0, 10, 16],
  [0, 21, 12.5],
  [0, 11, 9],
  [0, 21, 5.5],
  [0, 13, 3],
];
const SQUARE: readonly PathPoint[] = [
  [-12.5, 10, 4],
  [-12.5, 35, 4],
  [12.5, 35, 4],
  [12.5, 10, 4],
];
const through = (from: PathPoint, to: PathPoint, says: CueId, speedMps = 2) =>
  leg(says, from, to, { nose: 0, speedMps });

export const WASH_OBSTACLES_AIR_COURSES: Readonly<Partial<Record<DrillId, CourseOf>>> = {
  'slow-vertical': () => ({
    stages: [
      leg('straight-down-slowly-and-stop', [0, 12, 20], [0, 12, 2], {
        speedMps: 0.8,
        until: { is: 'there', standS: 0.5 },
      }),
    ],
    standards: [{ of: 'sink-ratio', most: 0.25 }],
  }),
  'slant-descent': () => ({
    stages: [
      leg('down-while-it-moves-forward-level-off-and-stop', [0, 12, 18], [0, 42, 3], {
        nose: 0,
        speedMps: 4,
        until: { is: 'there', standS: 0.3 },
      }),
    ],
    standards: [
      { of: 'wash-zone', most: 0.25 },
      { of: 'height-lost', least: 12 },
    ],
  }),
  'zigzag-descent': () => ({
    stages: ZIGZAG.slice(1).map((to, i) =>
      leg(i % 2 === 0 ? 'back-slant' : 'forward-slant', ZIGZAG[i]!, to, { nose: 0, speedMps: 2 }),
    ),
    standards: [
      { of: 'sink-ratio', most: 0.5 },
      { of: 'footprint', most: 13.5 },
      { of: 'height', most: 3 },
    ],
  }),
  'wash-exit': () => ({
    stages: [
      free('straight-down-into-your-own-wash', [0, 20, 50], { is: 'in-wash' }, { hands: 'sink' }),
      free(
        'forward-first-power-second',
        [0, 20, 50],
        { is: 'out-of-wash' },
        { hands: 'fly', speedMps: 4, nose: 0 },
      ),
      free('and-stand-still', [0, 20, 40], { is: 'still', standS: 1 }, { hands: 'stop' }),
    ],
    standards: [
      { of: 'sideways-first', least: 1, in: [1] },
      { of: 'height-lost', most: 15, in: [1] },
    ],
    setting: 'fast',
  }),
  'banked-turns-power': (side) => {
    const { out, round: bend, back, home } = racetrack({ x: 12, near: 16, far: 26, z: 8, speedMps: 4 }, side);
    return {
      stages: times(2, [out, bend, back, home]),
      standards: [
        { of: 'nose-to-path', most: 25, in: [1, 3, 5, 7] },
        { of: 'throttle-rise', least: 0.01, byHandOnly: true, in: [1, 3, 5, 7] },
        { of: 'height', most: 1.5 },
      ],
    };
  },
  'power-turn': (side) => {
    const { out, round: bend, back } = racetrack({ x: 5, near: 12, far: 24, z: 6, speedMps: 3.5 }, side);
    return { stages: [out, bend, back], standards: [{ of: 'wash-index', most: 0.3 }] };
  },
  'downwind-turn': (side) => {
    const { out, round: bend, back } = racetrack({ x: 6, near: 12, far: 26, z: 6, speedMps: 3 }, side);
    return {
      stages: [out, bend, back],
      standards: [
        { of: 'wash-index', most: 0.3 },
        { of: 'cross-track', most: 3 },
      ],
    };
  },
  'tumble-recovery': () => ({
    stages: [
      leg('fly-on-one-side-will-drop', [0, 24, 60], [0, 60, 60], {
        nose: 0,
        until: { is: 'surprise', afterS: [1.5, 3] },
        speedMps: 4,
      }),
      free(
        'neutral-and-wait',
        [0, 30, 60],
        { is: 'for', seconds: 1.6 },
        { begins: 'snap-over', hands: 'off', settleS: 0 },
      ),
      free('read-it-then-correct', [0, 30, 60], { is: 'safe' }, { hands: 'recover' }),
    ],
    standards: [
      { of: 'hands-off', most: 1, in: [1] },
      { of: 'touched-again', most: 0, in: [1] },
      { of: 'height-lost', most: 20, in: [1, 2] },
    ],
    mode: 'self-level',
  }),
  'brake-to-mark': () => ({
    stages: [
      leg('stop-at-the-mark', [0, 6, 3], [0, 26, 3], {
        nose: 0,
        until: { is: 'still', standS: 1 },
        speedMps: 5,
      }),
    ],
    standards: [
      { of: 'overshoot', most: 2 },
      { of: 'miss', most: 2 },
    ],
  }),
  'mode-stop-table': () => ({
    stages: [1, 2].flatMap((run) => [
      leg(
        run === 1 ? 'at-speed-to-the-mark-this-makes-your-card' : 'the-same-again-match-it',
        [0, 6, 3],
        [0, 20, 3],
        { nose: 0, speedMps: 4 },
      ),
      free('let-go-2', [0, 24, 3], { is: 'still', standS: 0.5 }, { hands: 'stop' }),
      ...(run === 1
        ? [leg('back-to-the-start', [0, 22, 3], [0, 6, 3], { nose: 0, until: { is: 'there', standS: 0.5 } })]
        : []),
    ]),
    standards: [{ of: 'stops-alike', most: 0.15, in: [1, 4] }],
  }),
  'climb-over': () => ({
    stages: [
      leg('toward-the-barrier', [0, 8, 2], [0, 16, 2], { nose: 0, speedMps: 2.5 }),
      leg('up-over-it', [0, 16, 2], [0, 22, 6.2], { begins: 'call', nose: 0, speedMps: 2.5 }),
      leg('and-on', [0, 22, 6.2], [0, 32, 6.2], { nose: 0 }),
    ],
    standards: [
      { of: 'clearance', least: 2, in: [1, 2] },
      { of: 'climbs-after', most: 1.5, in: [1] },
    ],
  }),
  'turn-then-go': () => ({
    stages: [
      stay('stop', [0, 14, 3], 1.5, { nose: 0 }),
      stay('turn-and-look', [0, 14, 3], 0, { nose: 180, until: { is: 'nose' } }),
      leg('then-go', [0, 14, 3], [0, 7, 3], { nose: 180, until: { is: 'there', standS: 0.5 }, speedMps: 2 }),
    ],
    standards: [{ of: 'blind-moves', most: 0 }],
  }),
  'blind-side-brake': () => ({
    stages: [
      leg('sideways', [-6, 10, 3], [8, 10, 3], {
        nose: 0,
        until: { is: 'surprise', afterS: [2, 4] },
        speedMps: 1.5,
      }),
      free('stop-2', [0, 10, 3], { is: 'still', standS: 0.5 }, { begins: 'call', hands: 'stop' }),
      leg('backwards', [0, 10, 3], [0, 4, 3], {
        nose: 0,
        until: { is: 'surprise', afterS: [1, 1.6] },
        speedMps: 1.5,
      }),
      free('stop-2', [0, 8, 3], { is: 'still', standS: 0.5 }, { begins: 'call', hands: 'stop' }),
    ],
    standards: [
      { of: 'top-speed', most: 2.5 },
      { of: 'stopped-in', most: 3, in: [1, 3] },
      { of: 'pace', least: 0.6, in: [0, 2] },
    ],
  }),
  'clear-the-line': (side) => {
    const clearSide = -way(side);
    return {
      stages: [
        leg('slowly-along-the-line', [0, 8, 3], [0, 40, 3], {
          nose: 0,
          until: { is: 'surprise', afterS: [3, 5] },
          speedMps: 2,
        }),
        free(
          side === 'right' ? 'person-right-stop' : 'person-left-stop',
          [0, 14, 3],
          { is: 'still', standS: 0.5 },
          { begins: 'call', hands: 'stop' },
        ),
        leg('off-to-the-free-side-and-wait', [0, 15, 3], [7 * clearSide, 15, 3], {
          nose: 0,
          until: { is: 'there', standS: 2 },
          speedMps: 2,
        }),
      ],
      standards: [
        { of: 'pace', least: 0.4, in: [0] },
        { of: 'stopped-in', most: 5, in: [1] },
        { of: 'moved', least: 5, in: [2] },
      ],
      setting: 'slow',
    };
  },
  'leave-low': () => ({
    stages: [
      leg('fly-out', [0, 10, 18], [0, 60, 18], {
        nose: 0,
        until: { is: 'surprise', afterS: [2, 4] },
        speedMps: 3,
      }),
      leg('birds-down-and-away-on-a-slant', [0, 28, 18], [20, 44, 6], {
        begins: 'call',
        nose: 0,
        until: { is: 'there', standS: 0.5 },
        speedMps: 2.5,
      }),
    ],
    standards: [
      { of: 'pace', least: 0.6, in: [0] },
      { of: 'wash-zone', most: 0.25, in: [1] },
      { of: 'sink-ratio', most: 0.5, in: [1] },
      { of: 'height-lost', least: 8, in: [1] },
    ],
  }),
  'slow-slalom': () => ({
    stages: SLALOM.slice(1).map((to, i) =>
      leg('forward-and-yaw-only', SLALOM[i]!, to, { nose: 'along', hands: 'nose-first', speedMps: 1.5 }),
    ),
    standards: [{ of: 'roll-used', most: 0.1 }],
    setting: 'slow',
  }),
  'gap-ladder': () => ({
    stages: [
      through([-0.8, 8, 2], [0, 14, 1.4], 'line-up'),
      through([0, 14, 1.4], [0, 26, 1.4], 'through-the-middle-eyes-beyond'),
    ],
    standards: [{ of: 'gap', most: 0.5 }],
  }),
  'gap-chain': () => ({
    stages: [
      through([-0.6, 8, 2], [0, 12, 1.2], 'line-up'),
      through([0, 12, 1.2], [0, 38, 1.2], 'all-three-set-up-for-the-next'),
    ],
    standards: [{ of: 'gap', most: 0.5 }],
  }),
  'portal-drop': () => ({
    stages: [
      through([0, 8, 2.6], [0, 17, 2.3], 'a-little-high'),
      through([0, 17, 2.3], [0, 20, 1.3], 'let-it-sink'),
      through([0, 20, 1.3], [0, 24, 2], 'through-and-rise'),
    ],
    standards: [{ of: 'gap', most: 1 }],
  }),
  'under-roof-pass': () => ({
    stages: [leg('level-slow-no-rise-until-well-clear', [0, 8, 2], [0, 32, 2], { nose: 0, speedMps: 2 })],
    standards: [{ of: 'height', most: 0.5 }],
    setting: 'slow',
  }),
  'hold-off-hover': () => ({
    stages: [
      stay('hold-it-by-hand', [0, 12, 5], 30, { nose: 0 }),
      leg('two-steps-to-your-right-stop', [0, 12, 5], [3, 12, 5], {
        nose: 0,
        until: { is: 'there', standS: 0.5 },
        speedMps: 1.5,
      }),
    ],
    standards: [{ of: 'cross-track', most: 3 }],
    mode: 'height-hold',
  }),
  'hold-off-line': () => {
    const stop = { nose: 0, until: { is: 'there', standS: 0.8 }, speedMps: 2.5 } as const;
    return {
      stages: [
        leg('along-the-line-brake-by-hand', [0, 8, 5], [0, 28, 5], stop),
        leg('and-back', [0, 28, 5], [0, 8, 5], stop),
      ],
      standards: [
        { of: 'overshoot', most: 2 },
        { of: 'miss', most: 2 },
      ],
      mode: 'height-hold',
    };
  },
  'surprise-hold-loss': () => ({
    stages: [
      stay('a-task-hold-over-the-mark', [0, 12, 4], 0, {
        nose: 0,
        until: { is: 'surprise', afterS: [3, 7] },
      }),
      stay('hold-over-the-mark', [0, 12, 4], 10, { begins: 'hold-lost', nose: 0, settleS: 0 }),
    ],
    standards: [
      { of: 'response', most: 2, in: [1] },
      { of: 'moved', most: 6, in: [1] },
    ],
    mode: 'position-hold',
  }),
  'leg-circuit': () => ({
    stages: Array.from({ length: 8 }, (_, i) =>
      leg(i < 4 ? 'first-circuit' : 'second-circuit', SQUARE[i % 4]!, SQUARE[(i + 1) % 4]!, {
        nose: 0,
        speedMps: 3,
        until: { is: 'there', standS: 0.3 },
      }),
    ),
    standards: [{ of: 'mark', most: 2 }],
    mode: 'height-hold',
  }),
  'crab-leg': () => ({
    stages: [
      leg('nose-on-the-mark-lean-into-the-wind-stop-at-its-end', [0, 6, 3], [0, 36, 3], {
        nose: 0,
        speedMps: 3,
        until: { is: 'there', standS: 2 },
      }),
    ],
    standards: [
      { of: 'cross-track', most: 2 },
      { of: 'overshoot', most: 2 },
      { of: 'miss', most: 2 },
    ],
  }),
  'airflow-step': () => ({
    stages: [leg('through-the-stream-of-air', [-8, 12, 3], [8, 12, 3], { nose: 0, speedMps: 1.5 })],
    standards: [{ of: 'cross-track', most: 1 }],
  }),
};
