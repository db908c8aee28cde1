import type { CauseId } from '../causes/causes';
import type { DrillId } from '../drills/drills';
import type { Place } from '../vocabulary/flying';

/** What has to be seen to before such a pilot flies. */
export type Need =
  | 'spotter'
  | 'takeover'
  | 'trainer-beside'
  | 'mode-read-back'
  | 'failsafe-signed'
  | 'failsafe-hover'
  | 'calibration-seen'
  | 'two-packs'
  | 'inspected'
  | 'pad-down'
  | 'slow-setting'
  | 'people-aside'
  | 'none-backwards'
  | 'no-wires'
  | 'wide-gaps'
  | 'no-spins'
  | 'one-stick'
  | 'in-line'
  | 'lists-aloud'
  | 'no-birds';

/** The part of a restriction that a plan can be held to. */
export type RestrictionLimit =
  | { readonly limit: 'needs'; readonly what: Need; readonly at?: readonly Place[] }
  /** Only so much of the pilot's own wind limit. */
  | { readonly limit: 'wind-share'; readonly share: number }
  | { readonly limit: 'not-at'; readonly places: readonly Place[] }
  /** Drills flown without hold, or in a manual mode, only at these places. */
  | { readonly limit: 'without-hold-only-at'; readonly places: readonly Place[] }
  | { readonly limit: 'no-drills'; readonly drills: readonly DrillId[] }
  /** Outside its own drills at least so high, m; `manual`: only without height hold. */
  | { readonly limit: 'floor'; readonly m: number; readonly of: 'any' | 'manual' }
  /** Nobody nearer than so many m. */
  | { readonly limit: 'people'; readonly m: number }
  /** Only so much of the distance at which the craft can be read. */
  | { readonly limit: 'sight-share'; readonly share: number }
  /** Only the slow setting; `withinM`: where anything is nearer than that. */
  | { readonly limit: 'slow'; readonly withinM: number | null }
  /** Without position hold only so far from anything, m. */
  | { readonly limit: 'hold-within'; readonly m: number }
  | { readonly limit: 'no-pilot-relative' }
  /** Feet down at so much charge, per cent. */
  | { readonly limit: 'reserve'; readonly percent: number };

const needs = (what: Need, at?: readonly Place[]): RestrictionLimit => ({
  limit: 'needs',
  what,
  ...(at ? { at } : {}),
});
const notAt = (...places: readonly Place[]): RestrictionLimit => ({ limit: 'not-at', places });
const noDrills = (...drills: readonly DrillId[]): RestrictionLimit => ({ limit: 'no-drills', drills });

const LOW_TURNS: readonly DrillId[] = [
  'circle-both-ways',
  'circle-height-steps',
  'figure-eight',
  'banked-s',
  'orbit-the-post',
  'slow-slalom',
];
const LOW: readonly DrillId[] = [
  'circle-height-steps',
  'leg-circuit',
  'gap-ladder',
  'gap-chain',
  'portal-drop',
  'under-roof-pass',
  'slow-slalom',
];

/**
 * What an open weakness of each cause asks of a plan; its words stand with the cause. Drills of the
 * weakness's own plan stay open to it.
 */
export const RESTRICTION_LIMITS: Readonly<Record<CauseId, readonly RestrictionLimit[]>> = {
  'orientation-nose-in': [{ limit: 'people', m: 15 }, needs('people-aside')],
  'orientation-side-on': [{ limit: 'people', m: 15 }, notAt('indoors')],
  'orientation-lost': [{ limit: 'sight-share', share: 0.5 }, noDrills('home-by-readout')],
  'pilot-relative-trap': [{ limit: 'no-pilot-relative' }, noDrills('relative-mode-discipline')],
  'wash-settling': [],
  'yaw-tumble': [
    { limit: 'floor', m: 20, of: 'manual' },
    needs('no-spins'),
    noDrills('tumble-recovery', 'outside-lean'),
  ],
  'ground-wash': [needs('pad-down')],
  'obstacle-overrun': [{ limit: 'slow', withinM: 30 }],
  'obstacle-blind-side': [needs('none-backwards'), noDrills('zigzag-descent', 'blind-side-brake')],
  'obstacle-thin': [notAt('trees'), needs('no-wires')],
  'obstacle-overhead': [needs('failsafe-hover', ['under-structure', 'indoors', 'trees'])],
  'gap-clip': [needs('wide-gaps'), noDrills('portal-drop')],
  'no-gps-drift': [
    { limit: 'hold-within', m: 20 },
    { limit: 'without-hold-only-at', places: ['open'] },
  ],
  'wind-displacement': [{ limit: 'wind-share', share: 2 / 3 }],
  overcontrol: [{ limit: 'slow', withinM: null }],
  coasting: [needs('trainer-beside')],
  'uncoordinated-turn': [{ limit: 'floor', m: 10, of: 'any' }, noDrills(...LOW_TURNS)],
  'height-loss': [{ limit: 'floor', m: 10, of: 'any' }, noDrills(...LOW)],
  'wrong-stick': [needs('one-stick')],
  'mode-confusion': [needs('mode-read-back')],
  'failsafe-setting': [needs('failsafe-signed')],
  'heading-fault': [needs('calibration-seen')],
  'battery-overrun': [{ limit: 'reserve', percent: 35 }, needs('two-packs')],
  'link-loss': [needs('in-line'), notAt('under-structure')],
  'beyond-sight': [{ limit: 'sight-share', share: 0.5 }, noDrills('home-by-readout')],
  distraction: [needs('spotter')],
  'panic-override': [needs('takeover')],
  wildlife: [needs('no-birds')],
  'wet-weather': [needs('inspected')],
  'craft-fault': [needs('inspected')],
  'people-near': [{ limit: 'people', m: 50 }],
  'camera-unread': [{ limit: 'sight-share', share: 0.5 }, needs('spotter')],
  'left-undone': [needs('lists-aloud')],
};
