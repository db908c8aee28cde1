import type { CauseId } from '../causes/causes';

/**
 * What follows from what: of the occurrences that begin with a cause, the share that went on as another one. A belief
 * that was wrong leads to a drift, a lost link to a return set too low. Common practice and judgement; the links matter
 * more than the numbers. What is left of a cause stands alone.
 */
export const LEADS_TO: Readonly<Partial<Record<CauseId, Readonly<Partial<Record<CauseId, number>>>>>> = {
  'mode-confusion': {
    'no-gps-drift': 0.35,
    'obstacle-overrun': 0.3,
    coasting: 0.1,
    'height-loss': 0.1,
    overcontrol: 0.1,
  },
  'failsafe-setting': { 'link-loss': 0.35, 'battery-overrun': 0.1 },
  // A warning that was ignored, and then it lands itself wherever it is.
  'battery-overrun': { 'failsafe-setting': 0.1, 'wind-displacement': 0.2, 'wash-settling': 0.1 },
  'wind-displacement': { 'obstacle-blind-side': 0.15, 'obstacle-overrun': 0.12, 'gap-clip': 0.12 },
  'no-gps-drift': { 'obstacle-blind-side': 0.15, 'orientation-lost': 0.05 },
  'pilot-relative-trap': { 'orientation-nose-in': 0.15, 'orientation-side-on': 0.15 },
  'heading-fault': { 'no-gps-drift': 0.15 },
  'beyond-sight': { 'orientation-lost': 0.2, 'people-near': 0.08 },
  'obstacle-thin': { 'beyond-sight': 0.1 },
  'link-loss': { 'beyond-sight': 0.15, 'no-gps-drift': 0.05 },
  coasting: { 'height-loss': 0.2, 'orientation-lost': 0.1 },
  'orientation-lost': { coasting: 0.1 },
  overcontrol: { 'obstacle-overrun': 0.12 },
  'gap-clip': { overcontrol: 0.1 },
  'uncoordinated-turn': { 'height-loss': 0.15, 'obstacle-overrun': 0.1 },
  'obstacle-blind-side': { 'obstacle-thin': 0.15 },
  'wrong-stick': { 'height-loss': 0.1 },
  'wet-weather': { 'craft-fault': 0.35, 'beyond-sight': 0.1, 'camera-unread': 0.08 },
  wildlife: { overcontrol: 0.15, 'panic-override': 0.1, 'craft-fault': 0.1 },
  'panic-override': {
    overcontrol: 0.1,
    'beyond-sight': 0.1,
    'orientation-nose-in': 0.1,
    'wrong-stick': 0.1,
  },
  // Whatever it does meanwhile by itself: it runs on, drifts, turns round.
  distraction: {
    coasting: 0.15,
    'obstacle-overrun': 0.15,
    'no-gps-drift': 0.15,
    'orientation-nose-in': 0.12,
    'orientation-side-on': 0.05,
    'obstacle-blind-side': 0.1,
    'wind-displacement': 0.05,
    'people-near': 0.05,
  },
  // A fright is answered with both hands.
  'wash-settling': { 'panic-override': 0.1 },
  'camera-unread': {
    'obstacle-overrun': 0.15,
    // What a picture that cannot be read does not show is what is thin.
    'obstacle-thin': 0.25,
    'gap-clip': 0.1,
    'orientation-lost': 0.05,
  },
  'left-undone': {
    'craft-fault': 0.12,
    'ground-wash': 0.12,
    'obstacle-overrun': 0.1,
    'pilot-relative-trap': 0.08,
    'failsafe-setting': 0.08,
  },
};
