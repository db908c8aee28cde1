import type { DrillId } from '../../drills/drills';
import type { Scene } from '../scene';
import {
  climb,
  curve,
  forward,
  hold,
  type SceneLeg,
  blend,
  orbit,
  powered,
  pushed,
  sideways,
  slide,
  turn,
} from '../legs';

/** Held, moved a little and stopped, in a quarter. */
const quarter: readonly SceneLeg[] = [
  hold(1.6, 'hold'),
  ...sideways(1.2, 'a-little-aside-stop'),
  ...sideways(-1.2),
  ...forward(1, 'a-little-ahead-stop'),
  ...forward(-1),
];
/** Half a ring of 8 m round the pilot, the tail to the middle: sideways at 2 m/s, and yaw the same way. */
const halfRing = blend(
  { roll: 0.4, yaw: ((2 / 8) * (180 / Math.PI)) / 90 },
  (Math.PI * 8) / 2,
  'ring-round-yourself-tail-always-to-you',
);
const at = (y: number, noseDeg: number) => ({ x: 0, y, z: 3, noseDeg });
const FIELD = { windFromDeg: 0, wayOut: 'up' } as const;

export const POINTING_AND_TURNS_SCENES: Readonly<Partial<Record<DrillId, Scene>>> = {
  'side-on-hover': {
    ...FIELD,
    start: at(10, -90),
    marks: [{ is: 'mark', x: 0, y: 10 }],
    legs: quarter,
    side: 'nose-left',
    sides: { 'nose-right': { start: at(10, 90), legs: quarter } },
  },
  'nose-in-hover': {
    ...FIELD,
    start: at(12, 180),
    marks: [{ is: 'mark', x: 0, y: 12 }],
    legs: [hold(0.8, 'nose-to-you-roll-and-pitch-mirror-yaw-does-not'), ...quarter],
  },
  'clock-hover': {
    ...FIELD,
    start: at(10, 0),
    marks: [{ is: 'mark', x: 0, y: 10 }],
    legs: [...quarter, ...turn(90, 'quarter-turn'), ...quarter],
    side: 'tail-on',
    sides: {
      'nose-left': { start: at(10, -90), legs: quarter },
      'nose-in': { start: at(10, 180), legs: quarter },
      'nose-right': { start: at(10, 90), legs: quarter },
    },
  },
  'lead-walk': {
    ...FIELD,
    start: at(6, 0),
    walks: true,
    marks: [
      { is: 'mark', x: 0, y: 10 },
      { is: 'mark', x: 5, y: 15 },
      { is: 'mark', x: 5, y: 21 },
      { is: 'mark', x: 0, y: 26 },
    ],
    legs: [
      ...forward(5, 'forward-yaw-forward-always-tail-on'),
      ...turn(45),
      ...forward(6),
      ...turn(-45),
      ...forward(5),
      ...turn(-45),
      ...forward(6),
    ],
  },
  'tail-in-ring': {
    ...FIELD,
    start: at(8, 0),
    marks: [],
    side: 'clockwise',
    // Round the pilot with the tail to the middle: sideways one way, yaw the same way.
    legs: [
      halfRing,
      hold(0.6),
      ...forward(0.5, 'mend-the-distance-with-pitch'),
      ...forward(-0.5),
      halfRing,
      hold(0.6),
    ],
  },
  'banked-s': {
    ...FIELD,
    start: { x: -14, y: 12, z: 6, noseDeg: 90 },
    marks: [
      { is: 'post', x: -14, y: 16 },
      { is: 'post', x: 14, y: 16 },
    ],
    legs: [
      blend({ pitch: 0.5 }, 11.2, 'across-in-front-2'),
      powered(curve(6, -180, 'turn-away-from-yourself'), 0.08),
      blend({ pitch: 0.5 }, 11.2, 'and-back'),
      powered(curve(6, 180, 'away-again'), 0.08),
      hold(0.6),
    ],
  },
  'home-by-readout': {
    ...FIELD,
    start: { x: 12, y: 32, z: 12, noseDeg: 130 },
    marks: [{ is: 'pad', x: 0, y: 6, label: 'home-2' }],
    legs: [
      hold(1, 'yawed-unseen-which-way'),
      blend({ pitch: 0.4 }, 1.2, 'pulse-forward-distance-falls'),
      hold(1),
      ...turn(70, 'turn-until-it-says-home'),
      blend({ pitch: 0.5 }, 8, 'bring-it-in'),
      hold(1),
    ],
  },
  'look-away-recover': {
    ...FIELD,
    start: at(12, 0),
    marks: [{ is: 'mark', x: 0, y: 12 }],
    legs: [
      hold(1, 'look-away'),
      pushed({ x: 5, y: 4, noseDeg: 140 }, 3, 'moved-by-the-trainer'),
      hold(1.2, 'look-name-the-nose'),
      blend({ pitch: 0.4 }, 1.6, 'first-move-right'),
      hold(0.8),
      ...sideways(0.8),
      ...turn(-140, 'tail-round'),
      hold(0.6),
    ],
  },
  'relative-mode-discipline': {
    ...FIELD,
    start: at(8, 0),
    marks: [{ is: 'mark', x: 0, y: 8 }],
    legs: [
      hold(1, 'tail-aligned-on'),
      ...sideways(3),
      ...turn(60),
      ...[...sideways(-3, 'it-moves-as-you-see-it-wherever-the-nose-is'), ...forward(2), ...forward(-2)].map(
        (leg) => ({ ...leg, pilotRelative: true }),
      ),
      ...turn(-60, 'tail-on-again-off'),
      hold(1),
    ],
  },
  'yaw-alone': {
    ...FIELD,
    start: { x: 0, y: 10, z: 8, noseDeg: 0 },
    marks: [{ is: 'mark', x: 0, y: 20 }],
    legs: [
      blend({ pitch: 0.4 }, 3, 'forward'),
      slide({ yaw: 0.5 }, 2, 'yaw-90-deg-the-path-runs-on'),
      slide({ roll: -0.3 }, 2, 'the-lean-is-on-the-other-side-now'),
      blend({ pitch: -0.2 }, 1.2, 'recover'),
      hold(0.8),
    ],
  },
  'skid-turn': {
    ...FIELD,
    start: { x: 0, y: 10, z: 6, noseDeg: 0 },
    marks: [{ is: 'mark', x: 0, y: 20 }],
    legs: [
      blend({ pitch: 0.4 }, 3, 'forward'),
      slide({ yaw: 0.5, pitch: 0.2 }, 2, 'yaw-without-roll-late-and-wide'),
      hold(1),
      curve(6, 90, 'roll-first-it-closes'),
      hold(0.8),
    ],
  },
  'lean-and-lift': {
    ...FIELD,
    start: { x: 0, y: 8, z: 8, noseDeg: 0 },
    marks: [{ is: 'mark', x: 0, y: 8, label: '80-m-clear-ahead' }],
    legs: [
      blend({ pitch: 0.3, throttle: 0.06 }, 3, '15-deg-for-3-s'),
      pushed({ z: -0.36 }, 0.8),
      blend({ pitch: 0.5, throttle: 0.16 }, 2, '25-deg-for-2-s-more-power'),
      pushed({ z: -0.64 }, 0.8),
      blend({ pitch: 0.7, throttle: 0.3 }, 1, '35-deg-for-1-s-more-still'),
      pushed({ z: -0.6 }, 1),
    ],
  },
  'roll-then-look': {
    ...FIELD,
    start: { x: 0, y: 10, z: 40, noseDeg: 0 },
    marks: [],
    side: 'right',
    legs: [
      blend({ pitch: 0.4 }, 2, 'straight'),
      blend({ pitch: 0.3, roll: 0.4 }, 1.6, 'roll-it-slides'),
      slide({ yaw: 0.42, roll: 0.2 }, 1.4, 'yaw-until-the-ground-comes-straight-at-you'),
      blend({ pitch: 0.45 }, 2.5, 'nose-on-the-path'),
      hold(0.6),
    ],
  },
  'circle-both-ways': {
    ...FIELD,
    start: { x: -12, y: 24, z: 5.5, noseDeg: 0 },
    marks: [{ is: 'post', x: 0, y: 24, label: 'middle' }],
    side: 'clockwise',
    legs: [powered(curve(12, 360, 'both-sticks-together-nose-on-the-path'), 0.06), hold(0.6)],
  },
  'circle-height-steps': {
    ...FIELD,
    start: { x: -10, y: 18, z: 6, noseDeg: 0 },
    marks: [
      { is: 'mark', x: -10, y: 23, label: '3-m-here' },
      { is: 'mark', x: 10, y: 23, label: '6-m-here' },
    ],
    legs: [
      blend({ pitch: 0.5, throttle: -0.375 }, 4, 'down-on-this-straight'),
      curve(10, 180, 'level-round'),
      blend({ pitch: 0.5, throttle: 0.375 }, 4, 'up-on-the-next'),
      curve(10, 180),
      hold(0.6),
    ],
  },
  'figure-eight': {
    ...FIELD,
    start: { x: 0, y: 20, z: 5, noseDeg: 0 },
    marks: [
      { is: 'post', x: -10, y: 20 },
      { is: 'post', x: 10, y: 20 },
    ],
    legs: [curve(10, 360, 'round-one'), curve(10, -360, 'cross-in-the-middle-round-the-other'), hold(0.6)],
  },
  'orbit-the-post': {
    ...FIELD,
    start: { x: 0, y: 12, z: 4, noseDeg: 0 },
    marks: [{ is: 'post', x: 0, y: 22, height: 2 }],
    side: 'clockwise',
    legs: [orbit(10, 1, 'roll-and-yaw-against-each-other-nose-on-the-post'), hold(0.6)],
  },
  'safe-posture': {
    ...FIELD,
    start: { x: 0, y: 18, z: 45, noseDeg: 0 },
    marks: [],
    legs: [
      pushed({ x: 4, y: 4, z: -3, noseDeg: 75 }, 1.5, 'upset'),
      slide({ yaw: -0.4 }, 0.8, 'yaw-look-along-the-path'),
      blend({ roll: -0.3, throttle: 0.2 }, 0.6, 'level-with-roll'),
      blend({ pitch: -0.25, throttle: 0.2 }, 0.8, 'slow-with-pitch'),
      blend({ pitch: 0.15 }, 2.5, 'still-creeping-forward-do-not-try-to-hover'),
    ],
  },
  'outside-lean': {
    ...FIELD,
    start: { x: -12, y: 24, z: 12, noseDeg: 0 },
    marks: [{ is: 'post', x: 0, y: 24 }],
    side: 'right',
    legs: [
      {
        ...curve(12, 270, 'rolled-to-the-outside-pushed-round'),
        sticks: { ...curve(12, 270).sticks, roll: -0.3 },
      },
      hold(0.8),
    ],
  },
  'slow-vertical': {
    ...FIELD,
    start: { x: 0, y: 12, z: 20, noseDeg: 0 },
    marks: [{ is: 'mark', x: 0, y: 12 }],
    legs: [
      blend({ throttle: -0.4 }, 20, 'straight-down-slower-than-a-quarter-of-hover-wash'),
      hold(1),
      ...climb(1),
    ],
  },
};
