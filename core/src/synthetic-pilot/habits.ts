import type { DrillId } from '../drills/drills';
import type { PilotedMode } from '../simulator/control/control';

/** What a synthetic pilot does wrong, each the mechanism of a cause. */
export const HABITS = [
  'mirrors-nose-in',
  'flies-side-on-as-tail-in',
  'guesses-the-nose',
  'switches-relative-turned',
  'drops-straight-down',
  'spins-its-turns',
  'lingers-low',
  'brakes-late',
  'backs-blind',
  'rises-early',
  'aims-at-the-frame',
  'freezes-on-drift',
  'forgets-the-wind',
  'heavy-hands',
  'coasts',
  'turns-by-yaw-alone',
  'no-power-in-a-lean',
  'wrong-stick',
  'watches-the-return',
  'goes-too-far',
  'talks-first',
  'fights-on',
] as const;
export type Habit = (typeof HABITS)[number];

/** Drills with a bend in them; and with a line. */
const TURNS = [
  'circle-both-ways',
  'circle-height-steps',
  'figure-eight',
  'orbit-the-post',
  'outside-lean',
  'banked-turns-power',
  'power-turn',
  'downwind-turn',
];
const LEVEL_LINES = [
  'fore-aft-line',
  'lateral-line',
  'side-on-hover',
  'nose-in-hover',
  'clock-hover',
  'banked-s',
  'relative-mode-discipline',
  'turn-back-call',
  'brake-to-mark',
  'mode-stop-table',
  'turn-then-go',
  'gap-ladder',
  'gap-chain',
  'portal-drop',
  'hold-off-line',
  'leg-circuit',
  'crab-leg',
  'airflow-step',
  'under-roof-pass',
  'roll-then-look',
  'pause-then-talk',
  'setting-readback',
  'sensor-find-out',
  'clear-the-line',
  ...TURNS,
];
const LINES = [
  ...LEVEL_LINES,
  'single-stick',
  'pad-landing',
  'blind-side-brake',
  'slow-vertical',
  'slant-descent',
  'zigzag-descent',
  'climb-over',
  'never-coast',
  'pop-up-takeoff',
  'camera-scan',
];

/**
 * The cause that a habit is the mechanism of, the drills that train it away, and others that it comes into as
 * well.
 */
export const HABIT_SHOWS: Readonly<
  Record<
    Habit,
    {
      readonly cause: string;
      readonly drills: readonly DrillId[];
      readonly touches: readonly string[] | 'all';
      readonly mode?: PilotedMode;
    }
  >
> = {
  'mirrors-nose-in': {
    cause: 'orientation-nose-in',
    drills: ['nose-in-hover'],
    touches: [
      'into-wind-hover',
      'clock-hover',
      'banked-s',
      'look-away-recover',
      'turn-then-go',
      'safe-posture',
      ...TURNS,
    ],
  },
  'flies-side-on-as-tail-in': {
    cause: 'orientation-side-on',
    drills: ['side-on-hover'],
    touches: [
      'into-wind-hover',
      'lateral-line',
      'clock-hover',
      'banked-s',
      'look-away-recover',
      'yaw-alone',
      'roll-then-look',
      'safe-posture',
      ...TURNS,
    ],
  },
  'guesses-the-nose': {
    cause: 'orientation-lost',
    drills: ['home-by-readout', 'look-away-recover'],
    touches: [],
  },
  'switches-relative-turned': {
    cause: 'pilot-relative-trap',
    drills: ['relative-mode-discipline'],
    touches: [
      'side-on-hover',
      'nose-in-hover',
      'clock-hover',
      'tail-in-ring',
      'banked-s',
      'home-by-readout',
      'yaw-alone',
      'roll-then-look',
      'turn-then-go',
      ...TURNS,
    ],
  },
  'drops-straight-down': {
    cause: 'wash-settling',
    drills: ['slow-vertical', 'slant-descent', 'zigzag-descent'],
    touches: [
      'single-stick',
      'pad-landing',
      'circle-height-steps',
      'return-takeover',
      'turn-back-call',
      'gap-ladder',
      'gap-chain',
      'portal-drop',
      'wash-exit',
    ],
  },
  'spins-its-turns': {
    cause: 'yaw-tumble',
    drills: ['power-turn', 'downwind-turn'],
    touches: ['tail-in-ring', 'banked-s', 'roll-then-look', ...TURNS],
  },
  'lingers-low': { cause: 'ground-wash', drills: ['pop-up-takeoff'], touches: ['pad-landing'] },
  'brakes-late': {
    cause: 'obstacle-overrun',
    drills: ['brake-to-mark', 'fore-aft-line', 'hold-off-line'],
    touches: [
      'single-stick',
      'lateral-line',
      'side-on-hover',
      'nose-in-hover',
      'clock-hover',
      'turn-back-call',
      'leg-circuit',
    ],
  },
  'backs-blind': { cause: 'obstacle-blind-side', drills: ['turn-then-go'], touches: ['yaw-alone'] },
  'rises-early': { cause: 'obstacle-overhead', drills: ['under-roof-pass'], touches: LEVEL_LINES },
  'aims-at-the-frame': {
    cause: 'gap-clip',
    drills: ['gap-ladder', 'gap-chain', 'portal-drop'],
    touches: LINES,
  },
  'freezes-on-drift': {
    cause: 'no-gps-drift',
    drills: ['surprise-hold-loss', 'hold-off-hover'],
    touches: [],
  },
  'forgets-the-wind': {
    cause: 'wind-displacement',
    drills: ['crab-leg', 'airflow-step'],
    touches: [
      'pause-then-talk',
      'clear-the-line',
      'setting-readback',
      'camera-scan',
      'sensor-find-out',
      'never-coast',
      'lateral-line',
      'tail-in-ring',
      'lead-walk',
      'yaw-alone',
      'roll-then-look',
      'gap-ladder',
      'gap-chain',
      'portal-drop',
      'hold-off-hover',
      'surprise-hold-loss',
      'leg-circuit',
      'safe-posture',
      ...TURNS,
    ],
    mode: 'height-hold',
  },
  'heavy-hands': { cause: 'overcontrol', drills: ['half-thumb', 'tail-in-hover'], touches: 'all' },
  coasts: {
    cause: 'coasting',
    drills: ['never-coast'],
    touches: [...LEVEL_LINES, ...TURNS, 'lateral-line', 'roll-then-look', 'airflow-step'],
  },
  'turns-by-yaw-alone': { cause: 'uncoordinated-turn', drills: ['roll-then-look'], touches: [] },
  'no-power-in-a-lean': {
    cause: 'height-loss',
    drills: ['lean-and-lift'],
    touches: [
      'never-coast',
      'yaw-alone',
      'outside-lean',
      'roll-then-look',
      'safe-posture',
      'tumble-recovery',
    ],
  },
  'wrong-stick': { cause: 'wrong-stick', drills: ['single-stick'], touches: [] },
  'watches-the-return': { cause: 'failsafe-setting', drills: ['return-takeover'], touches: [] },
  'goes-too-far': { cause: 'battery-overrun', drills: ['turn-back-call'], touches: ['brake-to-mark'] },
  'talks-first': { cause: 'distraction', drills: ['pause-then-talk'], touches: [] },
  'fights-on': {
    cause: 'panic-override',
    drills: ['release-drill', 'tumble-recovery'],
    touches: ['safe-posture'],
  },
};
