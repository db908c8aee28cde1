import type { DrillId } from '../../drills/drills';
import type { Side } from '../../drills/drill';
import { type Exercise, type Stage, leg, round, stay } from '../exercise';
import type { PathPoint } from '../../geometry/path';

/** Standards as the drills themselves state them: common practice. */
type CourseOf = (side: Side | null) => Exercise;

const MARK: PathPoint = [0, 6, 2.5];
const OWN_HOLD = 20;

/** One axis out and back, and nothing else. */
const axisStages = () => {
  const at: PathPoint = [0, 6, 3];
  const stop = { is: 'there', standS: 0.4 } as const;
  const nose = { is: 'nose' } as const;
  return [
    leg('up', at, [0, 6, 4.5], { nose: 0, axis: 'throttle', until: stop, settleS: 0.5 }),
    leg('and-down', [0, 6, 4.5], at, { nose: 0, axis: 'throttle', until: stop, settleS: 0.5 }),
    stay('nose-to-the-right', at, 0, { nose: 45, axis: 'yaw', until: nose, settleS: 0.5 }),
    stay('and-back', at, 0, { nose: 0, axis: 'yaw', until: nose, settleS: 0.5 }),
    leg('ahead', at, [0, 10, 3], { nose: 0, axis: 'pitch', until: stop, settleS: 0.5 }),
    leg('and-back', [0, 10, 3], at, { nose: 0, axis: 'pitch', until: stop, settleS: 0.5 }),
    leg('to-the-right', at, [4, 6, 3], { nose: 0, axis: 'roll', until: stop, settleS: 0.5 }),
    leg('and-back', [4, 6, 3], at, { nose: 0, axis: 'roll', until: stop, settleS: 0.5 }),
  ];
};

/** Two squares of ten metres. */
const squares = () => {
  const corners: readonly PathPoint[] = [
    [-5, 10, 4],
    [-5, 20, 4],
    [5, 20, 4],
    [5, 10, 4],
  ];
  return Array.from({ length: 8 }, (_, i) =>
    leg(i < 4 ? 'first-square' : 'second-square', corners[i % 4]!, corners[(i + 1) % 4]!, { nose: 0 }),
  );
};

/** A step to the right of the pilot and back, each with a stop: whoever only let it stand does not get there. */
const aStepAside = ([x, y, z]: PathPoint, nose: number): readonly Stage[] => {
  const stop = { nose, until: { is: 'there', standS: 0.5 }, speedMps: 1.5 } as const;
  return [
    leg('a-step-to-your-right-stop', [x, y, z], [x + 1.5, y, z], stop),
    leg('and-back-stop', [x + 1.5, y, z], [x, y, z], stop),
  ];
};

/** Where the nose points on each side of a hover, as a bearing. */
const NOSE_ON: Readonly<Partial<Record<Side, number>>> = {
  'tail-on': 0,
  'nose-left': -90,
  'nose-in': 180,
  'nose-right': 90,
};

/** A quarter held, then moved a little and stopped, in both directions. */
export function quarter(nose: number, y: number, seconds: number, withinM: number): Exercise {
  const at: PathPoint = [0, y, 3];
  const stop = { nose, until: { is: 'there', standS: 0.5 }, speedMps: 1.5 } as const;
  return {
    stages: [
      stay('hold-it', at, seconds, { nose }),
      leg('a-little-to-your-right-stop', at, [1.5, y, 3], stop),
      leg('back-stop', [1.5, y, 3], at, stop),
      leg('a-little-away-from-you-stop', at, [0, y + 1.5, 3], stop),
      leg('back-stop', [0, y + 1.5, 3], at, stop),
    ],
    standards: [
      { of: 'cross-track', most: withinM },
      { of: 'wrong-moves', most: 0 },
    ],
  };
}

/** Nose seen by the pilot against a wind from ahead: the wind on its nose, tail or side. */
const INTO_WIND: Readonly<Partial<Record<Side, number>>> = {
  'nose-in': 0,
  'tail-on': 180,
  'nose-left': -90,
  'nose-right': 90,
};

export const HANDS_AND_HOVER_COURSES: Readonly<Partial<Record<DrillId, CourseOf>>> = {
  'single-stick': () => ({
    stages: axisStages(),
    standards: [{ of: 'others', most: 0.15, mostWithHold: 0.1 }],
  }),
  'half-thumb': () => ({
    stages: [stay('hold-the-mark-with-small-thumbs', MARK, 30, { nose: 0 }), ...aStepAside(MARK, 0)],
    standards: [
      { of: 'small-share', least: 0.9, in: [0] },
      { of: 'cross-track', most: 2 },
    ],
  }),
  'soft-centre-stick': () => ({
    stages: [
      ...([0, 30, 60] as const).map((percent) =>
        stay(`sticks-softened-by-${percent}`, MARK, OWN_HOLD, { nose: 0, expo: percent / 100, settleS: 2 }),
      ),
      ...aStepAside(MARK, 0),
    ],
    standards: [{ of: 'calmer', most: 0.67, in: [0, 1, 2] }],
  }),
  'never-coast': () => ({ stages: squares(), standards: [{ of: 'neutral', most: 1 }], mode: 'self-level' }),
  'pop-up-takeoff': () => ({
    stages: [
      leg('firm-straight-up', [0, 6, 0], [0, 6, 1.75], { nose: 0, speedMps: 2.5 }),
      stay('and-hold', [0, 6, 1.75], 3, { nose: 0, settleS: 0.5 }),
    ],
    standards: [
      { of: 'low-time', most: 1 },
      { of: 'cross-track', most: 1 },
    ],
  }),
  'tilt-hands': () => ({
    stages: [stay('hold-over-the-mark', MARK, 30, { nose: 0 }), ...aStepAside(MARK, 0)],
    standards: [
      { of: 'cross-track', most: 2 },
      { of: 'lean', most: 18 },
    ],
  }),
  'tail-in-hover': () => ({
    stages: [stay('hold-over-the-mark', MARK, 60, { nose: 0 }), ...aStepAside(MARK, 0)],
    standards: [
      { of: 'cross-track', most: 2, mostWithHold: 1 },
      { of: 'height', most: 0.5 },
    ],
  }),
  'fore-aft-line': () => {
    const [near, far]: readonly [PathPoint, PathPoint] = [MARK, [0, 21, 2.5]];
    const stop = { nose: 0, until: { is: 'there', standS: 2 } } as const;
    return {
      stages: [
        leg('out-along-the-line-stand-2-s', near, far, stop),
        leg('and-back-stand-2-s', far, near, stop),
      ],
      standards: [
        { of: 'cross-track', most: 1 },
        { of: 'overshoot', most: 1.5 },
        { of: 'miss', most: 1.5 },
      ],
    };
  },
  'lateral-line': () => {
    const [middle, left, right]: readonly [PathPoint, PathPoint, PathPoint] = [
      [0, 8, 2.5],
      [-10, 8, 2.5],
      [10, 8, 2.5],
    ];
    const stop = { nose: 0, until: { is: 'there', standS: 0.5 } } as const;
    return {
      stages: [
        leg('10-m-left', middle, left, stop),
        leg('20-m-right', left, right, stop),
        leg('10-m-left', right, middle, stop),
      ],
      standards: [
        { of: 'cross-track', most: 1 },
        { of: 'heading', most: 15 },
      ],
    };
  },
  'pad-landing': () => ({
    stages: [
      leg('down-onto-the-pad', [0, 6, 3], [0, 6, 0], { nose: 0, until: { is: 'landed' }, speedMps: 0.6 }),
    ],
    standards: [
      { of: 'touch-speed', most: 0.5 },
      { of: 'touch-miss', most: 0.5 },
      // Not left hanging in what its own wash throws back.
      { of: 'low-time', most: 6 },
    ],
    setting: 'slow',
  }),
  'into-wind-hover': (side) => ({
    stages: [
      stay('lean-on-the-wind', [0, 8, 3], 45, { nose: INTO_WIND[side ?? 'nose-in']! }),
      ...aStepAside([0, 8, 3], INTO_WIND[side ?? 'nose-in']!),
    ],
    standards: [{ of: 'cross-track', most: 1.5 }],
  }),
  'side-on-hover': (side) => quarter(NOSE_ON[side ?? 'nose-left']!, 10, 15, 1.5),
  'nose-in-hover': () => quarter(180, 12, 15, 2),
  'clock-hover': (side) => quarter(NOSE_ON[side ?? 'tail-on']!, 10, 10, 2),
  'tail-in-ring': (side) => {
    const sweep = side === 'counter-clockwise' ? -720 : 720;
    return {
      stages: [
        round(
          'twice-round-yourself-tail-always-to-you',
          { centre: [0, 0, 3], radiusM: 8, fromDeg: 0, sweepDeg: sweep },
          {
            nose: 'outward',
            speedMps: 2,
          },
        ),
      ],
      standards: [
        { of: 'cross-track', most: 1.5 },
        { of: 'heading', most: 30 },
      ],
    };
  },
};
