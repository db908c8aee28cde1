import type { DrillId } from '../../drills/drills';
import type { Side } from '../../drills/drill';
import { type Exercise, free, LEAD_DISTANCE_M, leg, round, type Stage, stay, type Walk } from '../exercise';
import type { PathPoint } from '../../geometry/path';

/** How far it is leaned, degrees, and for how long, s. */
const LEANS = [
  { deg: 15, seconds: 3, says: 'lean-15-deg-for-3-s' },
  { deg: 25, seconds: 2, says: 'lean-25-deg-for-2-s' },
  { deg: 35, seconds: 1, says: 'lean-35-deg-for-1-s' },
] as const;

type CourseOf = (side: Side | null) => Exercise;

/** 1 to the right or clockwise, −1 to the left or counter-clockwise. */
export const way = (side: Side | null): 1 | -1 => (side === 'left' || side === 'counter-clockwise' ? -1 : 1);
export const times = (count: number, stages: readonly Stage[]): readonly Stage[] =>
  Array.from({ length: count }, () => stages).flat();

/** A path with six bends, walked in two minutes. */
const WALK: Walk = {
  points: [
    [0, 0],
    [0, 12],
    [9, 21],
    [9, 35],
    [-2, 46],
    [-2, 60],
    [8, 70],
    [8, 110],
  ],
  speedMps: 0.75,
};
const HOME: PathPoint = [0, 6, 3];

/** Across in front, away at the end, and back: farther out each time. */
const passes = (): readonly Stage[] =>
  [0, 1, 2, 3].flatMap((i) => {
    const [y, out] = [12 + 12 * i, i % 2 === 0 ? 1 : -1];
    const pass = leg('across-in-front', [-14 * out, y, 6], [14 * out, y, 6], { nose: 'along', speedMps: 3 });
    return i === 3
      ? [pass]
      : [
          pass,
          round(
            'away-from-yourself',
            { centre: [14 * out, y + 6, 6], radiusM: 6, fromDeg: 180, sweepDeg: -180 * out },
            { speedMps: 3 },
          ),
        ];
  });

/** A lap with two straights and two level bends: 6 m, down to 3, and up again. */
const steps = (): readonly Stage[] => [
  leg('down-to-3-m', [-10, 18, 6], [-10, 28, 3], { nose: 'along' }),
  round('level-round', { centre: [0, 28, 3], radiusM: 10, fromDeg: -90, sweepDeg: 180 }, { settleS: 1 }),
  leg('up-to-6-m', [10, 28, 3], [10, 18, 6], { nose: 'along' }),
  round('level-round', { centre: [0, 18, 6], radiusM: 10, fromDeg: 90, sweepDeg: 180 }, { settleS: 1 }),
];

export const POINTING_AND_TURNS_COURSES: Readonly<Partial<Record<DrillId, CourseOf>>> = {
  'lead-walk': () => ({
    stages: [
      free(
        'walk-behind-it-tail-always-to-you',
        [0, LEAD_DISTANCE_M, 3],
        { is: 'for', seconds: 120 },
        { nose: 'outward', settleS: 2, speedMps: 1 },
      ),
    ],
    walk: WALK,
    standards: [
      { of: 'heading', most: 30 },
      { of: 'lead-near', least: 5 },
      { of: 'lead-far', most: 8 },
    ],
  }),
  'banked-s': () => ({
    stages: passes(),
    standards: [
      { of: 'nose-in-time', most: 0.5 },
      { of: 'height', most: 1 },
    ],
  }),
  'home-by-readout': () => ({
    stages: [
      stay('it-is-being-turned-look-away', [12, 32, 12], 1.5, { blind: true, settleS: 0 }),
      leg('find-the-nose-bring-it-home', [12, 32, 12], [0, 8, 12], {
        begins: 'spun',
        hands: 'find-nose',
        until: { is: 'there', standS: 0 },
        speedMps: 3,
      }),
      free('and-stop', [0, 8, 12], { is: 'still', standS: 0.5 }, { begins: 'call', hands: 'stop' }),
    ],
    standards: [{ of: 'pulses', most: 2 }],
  }),
  'look-away-recover': () => ({
    stages: [
      stay('look-away', [0, 12, 3], 2, { blind: true, settleS: 0 }),
      leg('name-the-nose-bring-it-back', [0, 12, 3], [0, 12, 3], {
        begins: 'carried-off',
        until: { is: 'there', standS: 0.5 },
      }),
    ],
    standards: [{ of: 'wrong-moves', most: 0, in: [1] }],
  }),
  'relative-mode-discipline': () => ({
    stages: [
      stay('tail-aligned-switch-it-on', [0, 9, 3], 2, { nose: 'outward' }),
      leg('it-moves-as-you-see-it', [0, 9, 3], [4, 9, 3], {
        relative: true,
        nose: 'any',
        until: { is: 'there', standS: 0.5 },
      }),
      leg('and-back', [4, 9, 3], [0, 9, 3], { relative: true, until: { is: 'there', standS: 0.5 } }),
      stay('tail-to-you-then-switch-it-off', [0, 9, 3], 2, { nose: 'outward', settleS: 0 }),
    ],
    standards: [
      { of: 'breaches-relative', most: 0 },
      { of: 'relative-used', least: 1, in: [1, 2] },
    ],
  }),
  'yaw-alone': () => ({
    stages: [
      leg('forward', [0, 10, 8], [0, 20, 8], { nose: 0, speedMps: 3 }),
      leg('yaw-a-quarter-the-path-runs-on', [0, 20, 8], [0, 30, 8], {
        nose: 90,
        until: { is: 'nose' },
        speedMps: 3,
      }),
      free('recover-stop-it', [0, 32, 8], { is: 'still', standS: 1 }),
    ],
    standards: [{ of: 'height', most: 2 }],
    mode: 'self-level',
  }),
  'skid-turn': () => ({
    stages: [
      leg('forward', [0, 10, 6], [0, 20, 6], { nose: 0, speedMps: 3 }),
      leg('yaw-a-quarter-without-roll-it-follows-late-and-wide', [0, 20, 6], [6, 28, 6], {
        nose: 90,
        until: { is: 'nose' },
        speedMps: 3,
      }),
      stay('stop', [6, 26, 6], 0, { until: { is: 'still', standS: 0.5 }, hands: 'stop' }),
      leg('back-to-the-line', [6, 26, 6], [0, 10, 6], { nose: 0, until: { is: 'there', standS: 0.5 } }),
      leg('again', [0, 10, 6], [0, 18, 6], { nose: 'along', speedMps: 2.5 }),
      round(
        'now-roll-first-it-closes',
        { centre: [9, 18, 6], radiusM: 9, fromDeg: -90, sweepDeg: 90 },
        { speedMps: 2.5 },
      ),
    ],
    standards: [
      { of: 'nose-to-path', most: 20, in: [5] },
      { of: 'cross-track', most: 2, in: [5] },
      { of: 'height', most: 2 },
    ],
    mode: 'height-hold',
  }),
  'lean-and-lift': () => ({
    stages: LEANS.map(({ deg, seconds, says }) =>
      free(says, [0, 8, 8], { is: 'leaned', deg, seconds }, { hands: 'lean', nose: 0 }),
    ),
    standards: [{ of: 'height', most: 1 }],
    mode: 'self-level',
    setting: 'fast',
  }),
  'roll-then-look': (side) => {
    const to = way(side);
    return {
      stages: [
        leg('straight', [0, 10, 40], [0, 20, 40], { nose: 0, speedMps: 4 }),
        round(
          'roll-it-slides-then-yaw-to-look-along-it',
          { centre: [10 * to, 20, 40], radiusM: 10, fromDeg: -90 * to, sweepDeg: 90 * to },
          {
            speedMps: 4,
            settleS: 3,
          },
        ),
        leg('nose-on-the-path', [10 * to, 30, 40], [24 * to, 30, 40], { nose: 'along', speedMps: 4 }),
      ],
      standards: [{ of: 'nose-to-path', most: 15, in: [1, 2] }],
      mode: 'self-level',
    };
  },
  'circle-both-ways': (side) => ({
    stages: [
      round(
        'three-laps-nose-on-the-path',
        { centre: [0, 24, 5.5], radiusM: 12, fromDeg: -90 * way(side), sweepDeg: 1080 * way(side) },
        {
          settleS: 2,
          speedMps: 3,
        },
      ),
    ],
    standards: [
      { of: 'cross-track', most: 2 },
      { of: 'nose-to-path', most: 20 },
      { of: 'height', most: 1 },
    ],
  }),
  'circle-height-steps': () => ({
    stages: times(4, steps()),
    standards: [
      { of: 'height', most: 0.5, in: Array.from({ length: 16 }, (_, i) => i).filter((i) => i % 2 === 1) },
    ],
  }),
  'figure-eight': () => ({
    stages: times(3, [
      round('round-one', { centre: [10, 20, 5], radiusM: 10, fromDeg: -90, sweepDeg: 360 }, { settleS: 1 }),
      round('cross-round-the-other', { centre: [-10, 20, 5], radiusM: 10, fromDeg: 90, sweepDeg: -360 }),
    ]),
    standards: [{ of: 'cross-track', most: 2 }],
  }),
  'orbit-the-post': (side) => ({
    stages: [
      round(
        'two-laps-nose-on-the-post',
        { centre: [0, 22, 4], radiusM: 10, fromDeg: 180, sweepDeg: 720 * way(side) },
        {
          nose: { at: [0, 22, 0] },
          speedMps: 2,
          settleS: 2,
        },
      ),
    ],
    standards: [
      { of: 'cross-track', most: 2 },
      { of: 'heading', most: 15 },
    ],
  }),
  'safe-posture': () => ({
    stages: [
      stay('it-will-be-upset', [0, 18, 45], 1.5, { settleS: 0 }),
      free(
        'yaw-to-look-level-slow-keep-creeping',
        [0, 18, 45],
        { is: 'safe' },
        { begins: 'upset', hands: 'recover' },
      ),
      free('now-the-nose-home', [0, 18, 40], { is: 'nose' }, { nose: 180, hands: 'fly' }),
    ],
    standards: [
      { of: 'lasted', most: 4, in: [1] },
      { of: 'height-lost', most: 15, in: [1] },
    ],
    mode: 'self-level',
  }),
  'outside-lean': (side) => ({
    stages: [
      round(
        'nose-well-inside-rolled-to-the-outside',
        { centre: [0, 24, 12], radiusM: 12, fromDeg: -90 * way(side), sweepDeg: 360 * way(side) },
        {
          nose: { insideDeg: 65 },
          speedMps: 4,
          settleS: 3,
        },
      ),
    ],
    standards: [
      { of: 'slip-outward', least: 0.8 },
      { of: 'height', most: 2 },
    ],
    mode: 'self-level',
  }),
  'return-takeover': () => ({
    stages: [
      stay('wait', [0, 34, 20], 0, { until: { is: 'surprise', afterS: [1, 3] } }),
      free(
        'it-comes-home-by-itself-take-it-over',
        [0, 34, 20],
        { is: 'taken-over' },
        { begins: 'return', hands: 'take-over' },
      ),
      leg('fly-it-home-by-hand-and-stop', [0, 34, 20], [0, 8, 6], {
        nose: 'any',
        speedMps: 3,
        until: { is: 'there', standS: 0.5 },
      }),
    ],
    standards: [
      { of: 'lasted', most: 8, in: [1] },
      { of: 'lean', most: 25, in: [2] },
      // Home from under whatever there is, not up into it.
      { of: 'height-gained', most: 2, in: [2] },
    ],
  }),
  'turn-back-call': () => ({
    stages: [
      leg('out-with-the-wind-turn-back-before-the-point', [0, 8, 8], [0, 32, 8], {
        nose: 0,
        until: { is: 'still', standS: 0.3 },
        speedMps: 4,
      }),
      leg('home', [0, 32, 8], HOME, { speedMps: 4 }),
    ],
    standards: [{ of: 'called-at', least: 0.9, most: 1, in: [0] }],
  }),
  'pause-then-talk': () => ({
    stages: [
      leg('fly-across', [-5, 12, 3], [5, 12, 3], {
        nose: 0,
        until: { is: 'surprise', afterS: [1.5, 3] },
        speedMps: 2,
      }),
      free(
        'what-height-is-it-at-craft-first-then-answer',
        [0, 12, 3],
        { is: 'answered' },
        { begins: 'call', hands: 'answer' },
      ),
      leg('and-on', [-5, 12, 3], [10, 12, 3], { nose: 0, speedMps: 2, until: { is: 'there', standS: 0.5 } }),
    ],
    standards: [
      { of: 'pace', least: 0.8, in: [0] },
      // By hand nothing stops it: it is flown on, along its line and at its height, while the answer waits.
      { of: 'cross-track', most: 2, in: [0, 2] },
      { of: 'height', most: 1.5 },
      { of: 'speed-at-answer', most: 0.6, in: [1] },
    ],
  }),
  'release-drill': () => ({
    stages: [
      leg('fly-on', [0, 8, 3], [2, 40, 3], {
        nose: 10,
        until: { is: 'surprise', afterS: [2, 4] },
        speedMps: 3,
      }),
      free('let-go', [0, 20, 3], { is: 'still', standS: 0.5 }, { begins: 'call', hands: 'off' }),
    ],
    standards: [
      { of: 'pace', least: 1, in: [0] },
      { of: 'hands-off', most: 0.7, in: [1] },
      { of: 'touched-again', most: 0, in: [1] },
    ],
  }),
};
