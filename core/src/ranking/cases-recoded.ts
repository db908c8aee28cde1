import type { Evidence } from '../evidence/evidence';

/**
 * The told cases coded a second time, on another day and from their words alone, in their order: without a look at the
 * first codes, at causes or weights. By the same hand, so that what is left is how plainly the words say it.
 */
export const RECODED: readonly Evidence[] = [
  {
    ...{ travel: 'forward', sticks_before: 'released', speed_setting: 'fast', setting_expected: 'different' },
    ...{
      setting_why: 'default-after-power-up',
      obstacle_side: 'ahead',
      obstacle_kind: 'thin',
      place: 'built-up',
    },
    drift_direction: 'own-momentum',
  },
  {
    ...{ place: 'indoors', hold_expected: 'yes', position_hold: 'not-to-be-had', attention: 'on-screen' },
    ...{ obstacle_side: 'side', obstacle_kind: 'solid', drift_direction: 'downwind' },
  },
  {
    ...{ phase: 'hover', attention: 'talked-to', first_move: 'opposite', correction_effect: 'grew' },
    ...{ nose: 'toward', travel: 'sideways', obstacle_kind: 'solid' },
  },
  {
    ...{ phase: 'descent', travel: 'straight-down', snap: 'wobble', throttle_response: 'none' },
    height_trend: 'falling',
  },
  {
    ...{
      phase: 'return',
      camera_view: 'frozen',
      auto_return: 'link-loss',
      return_height_m: 15,
      tallest_m: 20,
    },
    ...{ place: 'trees', radio_path: 'blocked', in_sight: 'no', link: 'control-lost' },
  },
  { phase: 'return', low_battery: 'ignored', wind_side: 'head', auto_return: 'battery' },
  {
    ...{ travel: 'sideways', attention: 'on-screen', view: 'camera-view', obstacle_side: 'side' },
    ...{ obstacle_kind: 'thin', noticed: 'never', sensors: 'none' },
  },
  {
    ...{ phase: 'gap', gap_reason: 'slow-entry', obstacle_side: 'above', obstacle_kind: 'solid' },
    ...{ feeling: 'tense', height_trend: 'rising' },
  },
  { precipitation: 'light', snap: 'one-side', motor_sound: 'surging', after_inspection: 'sound' },
  {
    ...{ pilot_relative: 'on', pilot_moved: 'yes', attention: 'talked-to', first_move: 'sideways' },
    travel: 'sideways',
  },
  {
    ...{ drift_direction: 'downwind', wind_side: 'cross', airflow_step: 'yes', obstacle_kind: 'thin' },
    obstacle_side: 'side',
  },
  {
    ...{ motors_cut: 'by-mistake', sticks_before: 'wrong-stick', height_m: 2, motor_sound: 'stopped' },
    height_trend: 'falling',
  },
  {
    ...{ phase: 'takeoff', travel: 'circling', height_trend: 'steady', calibration: 'not-done' },
    correction_effect: 'grew',
  },
  {
    ...{ in_sight: 'barely', nose: 'unknown', nose_believed: 'unsure', first_move: 'opposite' },
    obstacle_kind: 'ground',
  },
  { in_sight: 'no', view: 'camera-view', obstacle_kind: 'thin', noticed: 'never' },
  {
    ...{ phase: 'turn', height_hold: 'off', position_hold: 'off', power_in_turn: 'steady' },
    ...{ height_trend: 'falling', obstacle_kind: 'ground' },
  },
  {
    ...{
      phase: 'turn',
      yaw_burst: 'half-or-more',
      wind_side: 'tail',
      power_in_turn: 'low',
      snap: 'one-side',
    },
    feeling: 'rushed',
  },
  { phase: 'takeoff', surface: 'grass', snap: 'one-side' },
  {
    ...{ correction_effect: 'oscillated', feeling: 'tense', sticks_before: 'large' },
    obstacle_kind: 'solid',
  },
  { over_people: 'yes', phase: 'return', obstacle_kind: 'none' },
  {
    ...{
      light: 'glare',
      camera_view: 'too-bright',
      view: 'camera-view',
      distance_m: 20,
      obstacle_kind: 'thin',
    },
    obstacle_side: 'ahead',
  },
  { phase: 'ground', feeling: 'rushed', left_undone: 'motors-running' },
  { wildlife: 'near', sticks_before: 'large', feeling: 'startled' },
  { position_hold: 'off', sticks_before: 'released', drift_direction: 'own-momentum' },
  {
    ...{
      phase: 'turn',
      yaw_without_roll: 'yes',
      travel: 'sideways',
      obstacle_side: 'side',
      obstacle_kind: 'thin',
    },
    drift_direction: 'own-momentum',
  },
  {
    ...{ phase: 'return', auto_phase: 'on-the-way', feeling: 'startled', sticks_before: 'large' },
    correction_effect: 'none',
  },
  {
    ...{ travel: 'climbing', obstacle_kind: 'roof', obstacle_side: 'above', place: 'under-structure' },
    height_trend: 'rising',
  },
  { motor_sound: 'surging', craft_check: 'defect', height_m: 20, after_inspection: 'fault-found' },
];
