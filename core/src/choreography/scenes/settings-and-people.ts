import type { DrillId } from '../../drills/drills';
import { blend, forward, hold, sideways, turn } from '../legs';
import type { Mark, Scene } from '../scene';

/** What stands about where height, distance and the nearest thing are to be said by eye. */
const CAMERA_SCAN_MARKS: readonly Mark[] = [
  { is: 'mark', x: -6, y: 38 },
  { is: 'post', x: 5, y: 12, height: 6, label: 'post' },
  { is: 'roof', x: -15, y: 38, width: 4, height: 3, label: 'roof' },
  { is: 'gate', x: 4, y: 28, width: 3, height: 3, label: 'gate' },
  { is: 'wall', x: -14, y: 20, width: 4, height: 3, deep: true, label: 'wall' },
];

const FIELD = { windFromDeg: 0, wayOut: 'up' } as const;

export const SETTINGS_AND_PEOPLE_SCENES: Readonly<Partial<Record<DrillId, Scene>>> = {
  'setting-readback': {
    ...FIELD,
    start: { x: 0, y: 6, z: 3, noseDeg: 0 },
    marks: [
      { is: 'mark', x: 0, y: 14, label: 'slow' },
      { is: 'mark', x: 0, y: 19, label: 'normal' },
      { is: 'mark', x: 0, y: 26, label: 'fast' },
    ],
    legs: [
      hold(1, 'normal-from-the-display'),
      ...forward(13, 'stop-at-its-cone'),
      hold(1),
      ...forward(-13),
      hold(1, 'call-slow'),
      ...forward(8, 'stop-at-its-cone'),
      hold(1),
    ],
  },
  'clear-the-line': {
    ...FIELD,
    side: 'left',
    start: { x: 0, y: 8, z: 3, noseDeg: 0 },
    marks: [{ is: 'mark', x: -2, y: 20, label: 'cone-a-person' }],
    legs: [
      ...forward(6, 'slowly-along-the-line'),
      hold(1, 'call-person-left-stop'),
      ...sideways(6, 'off-to-the-free-side'),
      hold(2, 'wait'),
      ...forward(10, 'clear-go-on'),
    ],
  },
  'camera-scan': {
    ...FIELD,
    start: { x: -6, y: 8, z: 2.5, noseDeg: 0 },
    marks: CAMERA_SCAN_MARKS,
    legs: [
      ...forward(10, 'on-camera'),
      hold(2, 'call-look-up-say-height-distance-nearest-thing'),
      ...forward(10, 'and-on'),
      ...turn(180),
      ...forward(8),
      hold(2, 'look-up-again'),
    ],
  },
  'sensor-find-out': {
    ...FIELD,
    start: { x: 0, y: 16, z: 2, noseDeg: 0 },
    marks: [
      { is: 'wall', x: 0, y: 28, width: 6, height: 4, soft: true, label: 'soft-screen' },
      { is: 'post', x: 9, y: 28, height: 3, soft: true, label: 'twig' },
    ],
    legs: [
      hold(1, 'say-what-it-will-do'),
      blend({ pitch: 0.3 }, 5, 'slowly-toward-it'),
      hold(2, 'it-stops-or-you-do'),
      ...forward(-5),
      ...turn(90),
      hold(1, 'from-the-side-say-it-again'),
      ...sideways(-5),
    ],
  },
  'tilt-hands': {
    ...FIELD,
    start: { x: 0, y: 8, z: 2.5, noseDeg: 0 },
    marks: [{ is: 'mark', x: 0, y: 8, label: 'box' }],
    legs: [
      hold(1, 'level-with-your-eyes-up'),
      blend({ pitch: 0.15, roll: 0.1 }, 1.5, 'small-tilts'),
      blend({ pitch: -0.15, roll: -0.1 }, 1.5),
      ...sideways(4, 'a-line-aside'),
      hold(1),
    ],
  },
};
