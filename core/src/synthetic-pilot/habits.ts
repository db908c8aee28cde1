import { MEASURED_DRILLS } from '../assessment/exercises';
import { CAUSES } from '../causes/causes';
import { drillOf, type DrillId } from '../drills/drills';
import type { Side } from '../drills/drill';
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
      /** The mode in which it shows: what holds by itself hides it. */
      readonly mode?: PilotedMode;
      /** Sides of the nose on which it shows; absent: all. */
      readonly sides?: readonly Side[];
    }
  >
> = {
  'mirrors-nose-in': {
    cause: 'orientation-nose-in',
    drills: ['nose-in-hover'],
    sides: ['nose-in'],
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
    sides: ['nose-left', 'nose-right'],
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
    // Switched on tail to the pilot it is what it was.
    sides: ['nose-left', 'nose-right', 'nose-in'],
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
  'lingers-low': { cause: 'ground-wash', drills: ['pop-up-takeoff', 'pad-landing'], touches: [] },
  'brakes-late': {
    cause: 'obstacle-overrun',
    drills: ['brake-to-mark', 'climb-over', 'fore-aft-line', 'hold-off-line'],
    touches: [
      'single-stick',
      'lateral-line',
      'side-on-hover',
      'nose-in-hover',
      'clock-hover',
      'turn-back-call',
      'leg-circuit',
      'leave-low',
    ],
  },
  'backs-blind': {
    cause: 'obstacle-blind-side',
    drills: ['turn-then-go', 'blind-side-brake'],
    touches: [...LINES, 'yaw-alone', 'leave-low'],
  },
  'rises-early': {
    cause: 'obstacle-overhead',
    drills: ['under-roof-pass', 'return-takeover'],
    touches: [...LINES, 'leave-low'],
  },
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
    drills: ['never-coast', 'tail-in-hover'],
    touches: [...LEVEL_LINES, 'airflow-step'],
    mode: 'height-hold',
  },
  'turns-by-yaw-alone': {
    cause: 'uncoordinated-turn',
    drills: ['roll-then-look', 'circle-both-ways'],
    touches: [],
    mode: 'height-hold',
  },
  'no-power-in-a-lean': {
    cause: 'height-loss',
    drills: ['lean-and-lift', 'circle-height-steps'],
    mode: 'self-level',
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

/** Drills that a habit is to miss: those that train it away, and the measured ones that decide its weakness. */
export function missedBy(habit: Habit): readonly DrillId[] {
  const { cause, drills } = HABIT_SHOWS[habit];
  const deciding: readonly DrillId[] = CAUSES.find(({ id }) => id === cause)?.key ?? [];
  return [...new Set([...drills, ...deciding.filter((id) => MEASURED_DRILLS.includes(id))])];
}

/** Sides of a drill on which a habit shows; none where the drill has none. */
export function sidesShown(habit: Habit, drillId: DrillId): readonly Side[] {
  const { sides } = drillOf(drillId);
  const shown = sides.filter((side) => HABIT_SHOWS[habit].sides?.includes(side) ?? true);
  return shown.length > 0 ? shown : sides;
}
