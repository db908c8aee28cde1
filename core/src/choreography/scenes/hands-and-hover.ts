import type { DrillId } from '../../drills/drills';
import type { Scene } from '../scene';
import { climb, forward, hold, blend, pushed, sideways, turn } from '../legs';

const HOVER = { x: 0, y: 6, z: 2.5, noseDeg: 0 } as const;
const MARK = { is: 'mark', x: 0, y: 6, label: 'mark' } as const;

/** Small corrections against a wander, there and back. */
const wander = [
  pushed({ x: 0.35, y: 0.15 }, 1.2),
  blend({ roll: -0.14, pitch: -0.06 }, 0.5),
  hold(0.9),
  pushed({ x: -0.3, y: -0.3 }, 1.2),
  blend({ roll: 0.12, pitch: 0.12 }, 0.5),
  hold(0.9),
  pushed({ x: 0.1, z: 0.25 }, 1),
  blend({ throttle: -0.25, roll: -0.04 }, 0.5),
  hold(1.2),
];

export const HANDS_AND_HOVER_SCENES: Readonly<Partial<Record<DrillId, Scene>>> = {
  'single-stick': {
    start: { ...HOVER, z: 3 },
    marks: [MARK],
    windFromDeg: 0,
    wayOut: 'up',
    legs: [
      hold(0.6, 'up-down'),
      ...climb(1),
      ...climb(-1),
      ...turn(45, 'yaw-right-left'),
      ...turn(-45),
      ...forward(2, 'fore-aft'),
      ...forward(-2),
      ...sideways(2, 'right-left'),
      ...sideways(-2),
    ],
  },
  'half-thumb': { start: HOVER, marks: [MARK], windFromDeg: 0, wayOut: 'up', legs: wander },
  'soft-centre-stick': {
    start: HOVER,
    marks: [MARK],
    windFromDeg: 0,
    wayOut: 'up',
    legs: [hold(0.5, 'each-curve-the-same-hover'), ...wander, ...turn(8, 'a-little-yaw'), ...turn(-8)],
  },
  'never-coast': {
    start: { x: -5, y: 10, z: 4, noseDeg: 0 },
    windFromDeg: 0,
    wayOut: 'up',
    marks: [
      { is: 'mark', x: -5, y: 10 },
      { is: 'mark', x: -5, y: 20 },
      { is: 'mark', x: 5, y: 20 },
      { is: 'mark', x: 5, y: 10 },
    ],
    legs: [
      blend({ pitch: 0.4 }, 5, 'always-a-hand-at-work'),
      blend({ roll: 0.4, throttle: 0.05 }, 5),
      blend({ pitch: -0.4, throttle: -0.05 }, 5),
      blend({ roll: -0.4 }, 5),
    ],
  },
  'stick-call': {
    start: { ...HOVER, z: 3 },
    marks: [],
    windFromDeg: 0,
    wayOut: 'up',
    legs: [
      blend({ roll: 0.5 }, 0.7, 'call-right'),
      hold(0.8),
      blend({ throttle: 0.5 }, 0.7, 'call-up'),
      hold(0.8),
      blend({ yaw: -0.5 }, 0.7, 'nose-left'),
      hold(0.8),
      blend({ pitch: -0.5 }, 0.7, 'call-back'),
      hold(0.8),
    ],
  },
  'mirror-call': {
    start: { x: 0, y: 8, z: 3, noseDeg: 180 },
    marks: [],
    windFromDeg: 0,
    wayOut: 'up',
    legs: [
      hold(0.5, 'nose-at-6-it-faces-you'),
      blend({ roll: -0.5 }, 0.7, 'to-your-right-roll-left'),
      hold(1),
      blend({ pitch: -0.5 }, 0.7, 'away-pull-back'),
      hold(1),
      blend({ yaw: 0.5 }, 0.7, 'clockwise-yaw-right-as-ever'),
      hold(1),
    ],
  },
  'motor-cut-discipline': {
    start: { x: 0, y: 4, z: 0.1, noseDeg: 0 },
    marks: [{ is: 'pad', x: 0, y: 4, label: 'on-the-ground' }],
    windFromDeg: 0,
    wayOut: 'left',
    legs: [
      hold(0.8, 'arm-idle'),
      blend({ throttle: -1 }, 2.5, 'stop-the-gesture-of-your-own-transmitter'),
      hold(1, 'in-the-air-only-to-spare-a-person-or-low-and-beyond-saving'),
    ],
  },
  'pop-up-takeoff': {
    start: { x: 0, y: 6, z: 0.1, noseDeg: 0 },
    marks: [{ is: 'pad', x: 0, y: 6, label: 'pad' }],
    windFromDeg: 0,
    wayOut: 'ahead',
    legs: [hold(0.8), blend({ throttle: 0.9 }, 1, 'firm-straight-up'), hold(1.2, 'trim-then-look'), hold(1)],
  },
  'tail-in-hover': {
    start: HOVER,
    marks: [MARK],
    windFromDeg: 0,
    wayOut: 'up',
    legs: [hold(0.6, 'tail-to-you-nose-into-the-wind'), ...wander],
  },
  'fore-aft-line': {
    start: HOVER,
    windFromDeg: 0,
    wayOut: 'up',
    marks: [MARK, { is: 'mark', x: 0, y: 21, label: 'far-end' }],
    legs: [
      ...forward(15, 'out-along-the-line'),
      hold(1.1, 'stand-2-s'),
      ...forward(-15, 'and-back'),
      hold(1.1, 'stand-2-s'),
    ],
  },
  'lateral-line': {
    start: { ...HOVER, y: 8 },
    windFromDeg: 0,
    wayOut: 'up',
    marks: [
      { is: 'mark', x: 0, y: 8 },
      { is: 'mark', x: -10, y: 8 },
      { is: 'mark', x: 10, y: 8 },
    ],
    legs: [...sideways(-10, '10-m-left'), ...sideways(20, '20-m-right'), ...sideways(-10, '10-m-left')],
  },
  'pad-landing': {
    start: { x: 0, y: 6, z: 3, noseDeg: 0 },
    windFromDeg: 0,
    wayOut: 'up',
    marks: [{ is: 'pad', x: 0, y: 6, label: 'pad' }],
    legs: [
      blend({ throttle: -0.5 }, 2, 'half-stick-down'),
      blend({ throttle: -0.2 }, 2.2, 'ease-off-under-1-m'),
      hold(0.6, 'feet-down'),
      blend({ throttle: -1 }, 1.2, 'motors-off-then-let-go'),
    ],
  },
  'hover-check': {
    start: { ...HOVER, z: 3 },
    marks: [MARK],
    windFromDeg: 0,
    wayOut: 'up',
    legs: [
      hold(1.5, 'wobble-sound'),
      ...turn(15, 'each-control-small'),
      ...turn(-15),
      ...forward(0.6),
      ...forward(-0.6),
      ...sideways(0.6),
      ...sideways(-0.6),
      ...climb(0.4),
      ...climb(-0.4),
      hold(1, 'lights-video-battery'),
    ],
  },
  'into-wind-hover': {
    start: { x: 0, y: 8, z: 3, noseDeg: 0 },
    marks: [{ is: 'mark', x: 0, y: 8 }],
    windFromDeg: 0,
    wayOut: 'up',
    side: 'nose-in',
    legs: [pushed({}, 5, 'lean-held-against-the-wind', { pitch: 0.16 })].map((leg) => ({
      ...leg,
      pushed: { y: -4 },
    })),
    sides: {
      'tail-on': {
        start: { x: 0, y: 8, z: 3, noseDeg: 180 },
        legs: [pushed({ y: -4 }, 5, 'tail-to-the-wind-pull-back', { pitch: -0.16 })],
      },
      'nose-left': {
        start: { x: 0, y: 8, z: 3, noseDeg: -90 },
        legs: [pushed({ y: -4 }, 5, 'wind-on-its-right-side-roll-right', { roll: 0.16 })],
      },
      'nose-right': {
        start: { x: 0, y: 8, z: 3, noseDeg: 90 },
        legs: [pushed({ y: -4 }, 5, 'wind-on-its-left-side-roll-left', { roll: -0.16 })],
      },
    },
  },
};
