import type { CauseId } from '../causes/causes';
import type { DrillId } from '../drills/drills';
import type { Place } from '../vocabulary/flying';

/** What has to be seen to before such a pilot flies. */
export const NEEDS = {
  spotter: 'A spotter who takes all talk',
  takeover: 'The trainer ready to take over',
  'trainer-beside': 'The trainer beside the pilot',
  'mode-read-back': 'The mode read back from the display',
  'failsafe-signed': 'The failsafe card for this site, signed by the trainer',
  'failsafe-hover': 'The automatic action set to hover',
  'calibration-seen': 'The calibration witnessed',
  'two-packs': 'Two packs charged, so that none is stretched',
  inspected: 'The craft dry, inspected and released',
  'pad-down': 'A pad, or hard level ground',
  'slow-setting': 'The slow setting on',
  'people-aside': 'Nobody within 15 m to the side',
} as const;
export type Need = keyof typeof NEEDS;

/** The part of a restriction that a plan can be held to. */
export type RestrictionLimit =
  | { readonly limit: 'needs'; readonly what: Need; readonly at?: readonly Place[] }
  /** Only so much of the pilot's own wind limit. */
  | { readonly limit: 'wind-share'; readonly share: number }
  | { readonly limit: 'not-at'; readonly places: readonly Place[] }
  /** Drills flown without hold, or in a manual mode, only at these places. */
  | { readonly limit: 'without-hold-only-at'; readonly places: readonly Place[] }
  | { readonly limit: 'no-drills'; readonly drills: readonly DrillId[] }
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
  'orientation-nose-in': [needs('people-aside')],
  'orientation-side-on': [notAt('indoors')],
  'orientation-lost': [noDrills('home-by-readout')],
  'pilot-relative-trap': [noDrills('relative-mode-discipline')],
  'wash-settling': [],
  'yaw-tumble': [noDrills('tumble-recovery', 'outside-lean')],
  'ground-wash': [needs('pad-down')],
  'obstacle-overrun': [needs('slow-setting')],
  'obstacle-blind-side': [noDrills('zigzag-descent', 'blind-side-brake')],
  'obstacle-thin': [notAt('trees')],
  'obstacle-overhead': [needs('failsafe-hover', ['under-structure', 'indoors', 'trees'])],
  'gap-clip': [noDrills('portal-drop')],
  'no-gps-drift': [{ limit: 'without-hold-only-at', places: ['open'] }],
  'wind-displacement': [{ limit: 'wind-share', share: 2 / 3 }],
  overcontrol: [needs('slow-setting')],
  coasting: [needs('trainer-beside')],
  'uncoordinated-turn': [noDrills(...LOW_TURNS)],
  'height-loss': [noDrills(...LOW)],
  'wrong-stick': [],
  'mode-confusion': [needs('mode-read-back')],
  'failsafe-setting': [needs('failsafe-signed')],
  'heading-fault': [needs('calibration-seen')],
  'battery-overrun': [{ limit: 'reserve', percent: 35 }, needs('two-packs')],
  'link-loss': [notAt('under-structure')],
  'beyond-sight': [noDrills('home-by-readout')],
  distraction: [needs('spotter')],
  'panic-override': [needs('takeover')],
  wildlife: [],
  'wet-weather': [needs('inspected')],
  'craft-fault': [needs('inspected')],
};
