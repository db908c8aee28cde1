import type { DrillId } from '../../drills/drills';
import type { Scene } from '../scene';
import { climb, forward, hold, blend, sideways, turn } from '../legs';

const FIELD = { windFromDeg: 0, wayOut: 'up' } as const;

export const HEAD_SCENES: Readonly<Partial<Record<DrillId, Scene>>> = {
  'return-takeover': {
    ...FIELD,
    start: { x: 0, y: 34, z: 20, noseDeg: 0 },
    marks: [{ is: 'pad', x: 0, y: 6, label: 'home-2' }],
    legs: [
      hold(1, 'return-begins-by-itself'),
      ...turn(180),
      blend({ pitch: 0.4 }, 3),
      hold(0.8, 'cancel'),
      blend({ pitch: 0.5, throttle: -0.3 }, 7, 'fly-it-home-by-hand'),
      hold(0.8),
    ],
  },
  'turn-back-call': {
    start: { x: 0, y: 8, z: 8, noseDeg: 0 },
    windFromDeg: 180,
    wayOut: 'up',
    marks: [{ is: 'mark', x: 0, y: 32, label: 'computed-point' }],
    legs: [
      blend({ pitch: 0.5 }, 8.8, 'out-wind-behind'),
      hold(0.8, 'turning-back-before-the-point'),
      ...turn(180),
      blend({ pitch: 0.5 }, 6, 'home-against-it'),
      hold(0.8),
    ],
  },
  'land-by-reserve': {
    ...FIELD,
    start: { x: 0, y: 12, z: 5, noseDeg: 0 },
    marks: [{ is: 'pad', x: 0, y: 6, label: 'pad' }],
    legs: [
      hold(1, 'first-warning-home'),
      ...forward(-6),
      blend({ throttle: -0.4 }, 4.5, 'feet-down-at-the-reserve'),
      blend({ throttle: -0.2 }, 2.5),
      hold(1),
    ],
  },
  'pause-then-talk': {
    ...FIELD,
    start: { x: -5, y: 12, z: 3, noseDeg: 0 },
    marks: [{ is: 'mark', x: 10, y: 12 }],
    legs: [
      ...climb(0.5),
      ...forward(2),
      ...sideways(5),
      hold(1.2, 'somebody-speaks-craft-first'),
      hold(1.2, 'it-stands-now-answer'),
      ...sideways(5, 'go-on'),
    ],
  },
  'release-drill': {
    ...FIELD,
    start: { x: 0, y: 8, z: 3, noseDeg: 0 },
    marks: [{ is: 'mark', x: 0, y: 16 }],
    legs: [
      blend({ pitch: 0.5, roll: 0.2, yaw: 0.1, throttle: 0.1 }, 3, 'flying'),
      hold(2.2, 'let-go-all-sticks-wait-until-it-stands'),
    ],
  },
  'leave-low': {
    ...FIELD,
    start: { x: 0, y: 22, z: 18, noseDeg: 0 },
    marks: [],
    legs: [
      blend({ pitch: 0.4 }, 3, 'fly-out'),
      hold(0.6, 'birds'),
      blend({ pitch: 0.4, throttle: -0.5 }, 8, 'down-and-away-on-a-slant'),
      hold(1, 'stand-low'),
    ],
  },
};
