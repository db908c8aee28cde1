import type { Findings } from '@skelby/core/debrief/findings';

/** What the demo's debriefs found, by cause: made up like everything here. */
export type DemoFindings = Partial<Findings> & Pick<Findings, 'evidence'>;

export const DEMO_DEBRIEFS: Readonly<Record<string, DemoFindings>> = {
  'orientation-nose-in': {
    evidence: { phase: 'landing', nose: 175, first_move: 'opposite', correction_effect: 'grew', attention: 'talked-to', distance_m: 14, wind_mps: 2.4, view: 'direct-sight', position_hold: 'on' },
    contributing: ['distraction'], actual: 'minor', potential: 'hazardous', likelihood: 'possible', damage: ['Camera mount', 'Rotor'], injury: 'none', wentWell: 'Cut the throttle before it reached the bank.',
  },
  'no-gps-drift': {
    evidence: { place: 'indoors', position_hold: 'dropped', drift_direction: 'downwind', correction_effect: 'none', hold_expected: 'yes', phase: 'hover', sticks_before: 'released', wind_mps: { value: 0.4, within: 0.2 } },
    actual: 'minor', potential: 'major', likelihood: 'likely', damage: ['Rotor'], injury: 'none', wentWell: 'Said "drifting" out loud.',
  },
  'yaw-tumble': {
    evidence: { phase: 'turn', yaw_burst: 'half-or-more', snap: 'one-side', wind_side: 'tail', path_folded: 'yes', power_in_turn: 'low', speed_mps: 9, height_m: 14, flight_mode: 'self-level' },
    contributing: ['wind-displacement'], actual: 'major', potential: 'major', likelihood: 'possible', damage: ['Arm', 'Motor'], injury: 'none', wentWell: 'Kept away from the path.',
  },
  'obstacle-overrun': {
    evidence: { phase: 'cruise', obstacle_side: 'ahead', obstacle_kind: 'solid', noticed: 'late', speed_mps: 12, seen_at_m: 18, speed_setting: 'normal', sensors: 'off', travel: 'forward' },
    actual: 'minor', potential: 'major', likelihood: 'likely', damage: ['Rotor', 'Rotor'], injury: 'none', wentWell: 'Nobody near the face, as briefed.',
  },
  'gap-clip': {
    evidence: { phase: 'gap', gap_ratio: 2.5, correction_effect: 'oscillated', feeling: 'tense', obstacle_side: 'side', speed_mps: 4 },
    contributing: ['overcontrol'], actual: 'minor', potential: 'minor', likelihood: 'likely', damage: ['Rotor'], injury: 'none', wentWell: 'First gate clean and in the middle.',
  },
  'battery-overrun': {
    evidence: { phase: 'return', battery_pct: 3, low_battery: 'ignored', wind_side: 'head', wind_mps: 6.4, distance_m: 260, auto_return: 'battery' },
    contributing: ['wind-displacement'], actual: 'minor', potential: 'major', likelihood: 'possible', damage: ['Legs'], injury: 'none', wentWell: 'Put it down clear of the path.',
  },
  'beyond-sight': {
    evidence: { view: 'camera-view', in_sight: 'no', distance_m: 420, attention: 'on-screen', phase: 'cruise', visibility_m: 4000 },
    actual: 'negligible', potential: 'hazardous', likelihood: 'possible', damage: [], injury: 'none', wentWell: 'Stopped and climbed as soon as it was lost.',
  },
  'failsafe-setting': {
    evidence: { auto_return: 'link-loss', return_height_m: 20, tallest_m: 34, link: 'control-lost', phase: 'return', place: 'built-up', home_point: 'right' },
    contributing: ['link-loss'], actual: 'major', potential: 'major', likelihood: 'likely', damage: ['Camera', 'Arm'], injury: 'none', wentWell: 'Area below kept clear.',
  },
  'height-loss': {
    evidence: { phase: 'turn', height_trend: 'falling', height_hold: 'off', power_in_turn: 'low', speed_mps: 8, height_m: 4, snap: 'none', flight_mode: 'self-level' },
    actual: 'negligible', potential: 'minor', likelihood: 'likely', damage: [], injury: 'none', wentWell: 'Powered out of it in time.',
  },
  'wrong-stick': {
    evidence: { sticks_before: 'wrong-stick', nose: 'away', first_move: 'sideways', phase: 'hover', feeling: 'rushed', wind_mps: 1.1 },
    actual: 'minor', potential: 'minor', likelihood: 'likely', damage: ['Legs'], injury: 'first-aid', wentWell: 'Told it straight away.',
  },
  overcontrol: {
    evidence: { phase: 'hover', sticks_before: 'large', correction_effect: 'oscillated', feeling: 'tense', first_move: 'as-meant' },
    actual: 'negligible', potential: 'minor', likelihood: 'possible', damage: [], injury: 'none', wentWell: 'Let go when told.',
  },
};
