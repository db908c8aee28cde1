import type { DrillId } from '../../drills/drills';
import type { PathPoint } from '../../geometry/path';
import { SPEED_SETTINGS, type SpeedSetting } from '../../vocabulary/craft-facts';
import type { Thing } from '../asked';
import { type Exercise, free, leg, type Stage, stay } from '../exercise';
import { times } from './pointing-and-turns';

/** Standards as the drills themselves state them: common practice. */

/** Numbers of the parts that are so. */
const partsThat = (stages: readonly Stage[], so: (stage: Stage) => boolean): readonly number[] =>
  stages.flatMap((stage, i) => (so(stage) ? [i] : []));

const READ_AT: PathPoint = [0, 6, 3];
/** The cone of each setting, at its own stopping distance. */
const CONES: Readonly<Record<SpeedSetting, PathPoint>> = {
  slow: [0, 14, 3],
  normal: [0, 19, 3],
  fast: [0, 26, 3],
};
const wayIn = (way: (cone: PathPoint) => readonly [PathPoint, PathPoint]) =>
  Object.fromEntries(
    SPEED_SETTINGS.map((setting) => {
      const [from, to] = way(CONES[setting]);
      return [setting, { is: 'segment', from, to }];
    }),
  ) as Stage['pathIn'] & object;

/** A setting by lot, said from the display, and a stop at its own cone. */
const settingRound = (): readonly Stage[] => [
  stay('wait', READ_AT, 1, { nose: 0, drawnFrom: SPEED_SETTINGS }),
  free('which-setting-is-it-in', READ_AT, { is: 'answered' }, { hands: 'answer', asks: 'which-setting' }),
  leg('stop-at-the-cone-of-its-setting', READ_AT, CONES.normal, {
    pathIn: wayIn((cone) => [READ_AT, cone]),
    nose: 0,
    until: { is: 'still', standS: 0.5 },
    speedMps: 4,
  }),
  leg('back-to-the-start', CONES.normal, READ_AT, {
    pathIn: wayIn((cone) => [cone, READ_AT]),
    nose: 0,
    until: { is: 'there', standS: 0.5 },
  }),
];

const readBack = (): Exercise => {
  // The first part cannot be one that a lot is drawn for: it begins before anything has happened.
  const stages = [stay('wait', READ_AT, 0.5, { nose: 0 }), ...times(3, settingRound())];
  return {
    stages,
    standards: [
      { of: 'said-right', least: 1, in: partsThat(stages, ({ asks }) => asks === 'which-setting') },
      { of: 'stop-miss', most: 2, in: partsThat(stages, ({ until }) => until.is === 'still') },
    ],
    mode: 'position-hold',
  };
};

/** In an order in which no place in the lists of answers is right for height, distance and nearest at once. */
const THINGS: readonly Thing[] = [
  { is: 'post', at: [5, 12, 3] },
  { is: 'roof', at: [-15, 38, 3] },
  { is: 'gate', at: [4, 28, 2] },
  { is: 'wall', at: [-14, 20, 2] },
];

/** Three things said by eye, wherever the call came. */
const LOOKED_UP: readonly Stage[] = (
  [
    ['how-high-is-it', 'how-high'],
    ['and-say-how-far', 'how-far'],
    ['what-is-nearest-to-it', 'nearest-thing'],
  ] as const
).map(([says, asks]) =>
  free(says, [-6, 22, 6], { is: 'answered' }, { hands: 'answer', asks, seen: 'by-eye', nose: 'any' }),
);

/** On camera along a way, with a call somewhere on it, and on to its end. */
const onCamera = (from: PathPoint, to: PathPoint, nose: number): readonly Stage[] => [
  leg('camera-fly-on', from, to, {
    nose,
    seen: 'camera',
    until: { is: 'surprise', afterS: [2, 9] },
  }),
  ...LOOKED_UP,
  leg('and-on', from, to, { nose, seen: 'camera', until: { is: 'there', standS: 0.5 } }),
];

const cameraScan = (): Exercise => {
  const [near, far]: readonly [PathPoint, PathPoint] = [
    [-6, 8, 2.5],
    [-6, 38, 10],
  ];
  const stages = [
    ...onCamera(near, far, 0),
    stay('turn-and-look', far, 0, { nose: 180, until: { is: 'nose' }, seen: 'camera' }),
    ...onCamera(far, near, 180),
  ];
  const asked = partsThat(stages, ({ asks }) => asks !== undefined);
  return {
    stages,
    things: THINGS,
    standards: [
      { of: 'said-right', least: 1, in: asked },
      { of: 'lasted', most: 5, in: asked },
      { of: 'cross-track', most: 3, in: partsThat(stages, ({ path }) => path.is === 'segment') },
    ],
  };
};

/** A way toward something, as the craft faces it, in a setting drawn from some; said before what becomes of it. */
function toward(x: number, nose: number, drawnFrom: readonly SpeedSetting[]): readonly Stage[] {
  const [from, to]: readonly [PathPoint, PathPoint] = [
    [x, 16, 2],
    [x, 27.1, 2],
  ];
  return [
    leg('turn-for-the-next', from, to, {
      nose,
      begins: 'set-back',
      drawnFrom,
      until: { is: 'for', seconds: 1 },
      hands: 'stop',
    }),
    free('will-it-stop', from, { is: 'answered' }, { hands: 'answer', asks: 'will-it-stop', nose }),
    leg('toward-it-keep-the-stick-on', from, to, {
      nose,
      until: { is: 'held-off', standS: 1 },
      speedMps: 3,
    }),
  ];
}

const SENSED = ['slow', 'normal'] as const;

const findOut = (): Exercise => ({
  stages: [
    stay('say-what-it-will-do', [0, 16, 2], 0.5, { nose: 0 }),
    ...toward(0, 0, SENSED),
    ...toward(0, 0, ['fast']),
    ...toward(0, 90, SENSED),
    ...toward(0, 180, SENSED),
    ...toward(9, 0, SPEED_SETTINGS),
  ],
  standards: [{ of: 'foretold-wrong', most: 0 }],
  mode: 'position-hold',
  needsSensors: true,
});

export const SETTINGS_AND_SENSORS_COURSES: Readonly<Partial<Record<DrillId, () => Exercise>>> = {
  'setting-readback': readBack,
  'camera-scan': cameraScan,
  'sensor-find-out': findOut,
};
