/** How often an answer is given, and a sign holds, in twenty occurrences of one cause. */
export interface CauseLikelihoods {
  /** How often it is the cause, beside the others: a pseudo-count. */
  readonly prior: number;
  /** By question and value; what is left of the twenty is shared by the other values as usual. */
  readonly answers: Readonly<Record<string, Readonly<Record<string, number>>>>;
  readonly signs: Readonly<Record<string, number>>;
}

/**
 * Starting weights: common practice among instructors and judgement. They are pseudo-counts, so a school's own confirmed
 * occurrences move them. What is not mentioned is as usual (see `usual-answers`).
 */
export const LIKELIHOODS: Readonly<Record<string, CauseLikelihoods>> = {
  'orientation-nose-in': {
    prior: 8,
    answers: {
      nose: { toward: 17, away: 0.2, left: 1, right: 1 }, nose_believed: { toward: 8, away: 7 }, first_move: { opposite: 14, 'as-meant': 1.5, sideways: 2 },
      correction_effect: { grew: 14, shrank: 1.5, none: 1 }, phase: { landing: 6, return: 5, hover: 5 }, pilot_relative: { on: 0.3 }, attention: { 'talked-to': 3.5 },
      view: { 'direct-sight': 17, 'camera-view': 1 }, feeling: { tense: 9, froze: 3.5 }, sticks_before: { 'wrong-stick': 2.5, large: 7 }, position_hold: { dropped: 0.8 },
    },
    signs: { mirrored: 16, 'tail-in-reversed': 0.05, 'across-mixed': 0.4, misread: 5, unreadable: 1.5 },
  },
  'orientation-side-on': {
    prior: 4,
    answers: {
      nose: { left: 9, right: 9, away: 0.3, toward: 1 }, nose_believed: { away: 10 }, first_move: { sideways: 14, opposite: 2, 'as-meant': 2 }, correction_effect: { grew: 9, shrank: 4 },
      view: { 'direct-sight': 16, 'camera-view': 1.5 }, pilot_relative: { on: 0.4 }, phase: { hover: 5, cruise: 5, return: 3.5 },
    },
    signs: { 'across-mixed': 15, mirrored: 0.2, 'tail-in-reversed': 0.1, misread: 7, unreadable: 1.5 },
  },
  'orientation-lost': {
    prior: 5,
    answers: {
      nose: { unknown: 15, away: 1, toward: 2 }, nose_believed: { unsure: 11, away: 5 }, light: { clear: 8, glare: 4.5, dusk: 3, silhouette: 4.5 }, attention: { 'on-screen': 8, 'looked-away': 3 },
      first_move: { unknown: 6, opposite: 4, sideways: 4, 'as-meant': 4 }, correction_effect: { grew: 7, shrank: 2.5, none: 5 }, in_sight: { barely: 8, no: 3.5 }, feeling: { froze: 4.5, tense: 9 },
      view: { 'direct-sight': 12, 'camera-view': 4, both: 4 }, phase: { cruise: 7, return: 5 },
    },
    signs: { unreadable: 14, undetectable: 3, misread: 11, mirrored: 1, 'tail-in-reversed': 0.4, 'screen-out-of-sight': 1.5 },
  },
  'pilot-relative-trap': {
    prior: 2,
    answers: {
      pilot_relative: { on: 13 }, mode_toggled: { 'pilot-relative': 12, none: 6 }, pilot_moved: { yes: 14 }, first_move: { sideways: 9, opposite: 6, 'as-meant': 2 }, correction_effect: { grew: 10, shrank: 2.5 },
      setting_expected: { different: 4 }, nose: { left: 5, right: 5, toward: 5 },
    },
    signs: { 'forward-moved': 18, mirrored: 3, 'tail-in-reversed': 1, 'across-mixed': 4 },
  },
  'wash-settling': {
    prior: 4,
    answers: {
      travel: { 'straight-down': 16, 'slant-down': 1.5, forward: 0.5 }, phase: { descent: 12, landing: 4 }, snap: { wobble: 14, 'one-side': 1, flip: 0.5 }, motor_sound: { surging: 10 }, throttle_response: { soft: 13, none: 3, normal: 2 },
      height_trend: { falling: 16 }, yaw_burst: { none: 18.5 }, wind_side: { calm: 11, tail: 3.5 }, path_folded: { yes: 3 }, obstacle_side: { below: 11, none: 6 }, obstacle_kind: { ground: 13 },
    },
    signs: { 'in-wash': 16, 'sank-in-column': 15, 'sank-unpowered': 1.5, 'spin-snap': 0.1, folded: 2 },
  },
  'yaw-tumble': {
    prior: 4,
    answers: {
      yaw_burst: { 'half-or-more': 15, quarter: 3.5 }, snap: { 'one-side': 11, flip: 6, none: 1 }, phase: { turn: 14, descent: 2 }, path_folded: { yes: 15, no: 3 }, wind_side: { tail: 11, calm: 3 }, travel: { 'descending-turn': 10, 'straight-down': 0.2, forward: 4, backward: 1.5 },
      power_in_turn: { low: 14, rising: 0.7 }, controller: { motion: 0.4 }, throttle_response: { soft: 4 }, flight_mode: { rate: 7, 'self-level': 5 }, speed_setting: { fast: 7 }, yaw_without_roll: { yes: 8 },
      craft_check: { defect: 0.2 }, after_inspection: { 'fault-found': 0.6 },
    },
    signs: { 'spin-snap': 16, 'snap-no-spin': 1, folded: 13, 'in-wash': 2.5, 'yaw-only-manual': 3 },
  },
  'ground-wash': {
    prior: 5,
    answers: {
      phase: { takeoff: 10, landing: 8.5, hover: 0.7, cruise: 0.1 }, surface: { grass: 10, rough: 5, moving: 1.5, hard: 3.5 }, snap: { 'one-side': 13, flip: 4, none: 2 }, travel: { stationary: 10, climbing: 3, 'straight-down': 3, forward: 1 },
      obstacle_kind: { ground: 12 }, obstacle_side: { below: 8, none: 9 }, yaw_burst: { none: 19 }, height_trend: { steady: 14 }, correction_effect: { none: 7 }, after_inspection: { 'fault-found': 0.8 },
    },
    signs: { skimming: 17, 'ground-tip': 15, 'snap-no-spin': 13, 'spin-snap': 0.1, 'in-wash': 0.3 },
  },
  'obstacle-overrun': {
    prior: 7,
    answers: {
      obstacle_side: { ahead: 17.5, none: 0.1, behind: 0.2, side: 1 }, noticed: { 'in-time': 9, late: 10.5, never: 0.5 }, speed_setting: { fast: 10, normal: 8.5 }, sensors: { off: 11, on: 4 }, travel: { forward: 17 }, obstacle_kind: { solid: 14, thin: 1.2, wire: 0.5, ground: 1 },
      phase: { cruise: 12, gap: 0.5, turn: 2 }, first_move: { 'as-meant': 15 }, setting_expected: { different: 1 }, position_hold: { on: 14, dropped: 0.6 }, drift_direction: { 'own-momentum': 9, downwind: 1.5 }, auto_return: { none: 19 }, wind_side: { tail: 6 },
    },
    signs: { overran: 16.5, 'long-stop': 15, 'saw-ahead': 18, 'blind-move': 0.3, 'moved-with-air': 0.5, 'hold-belief-wrong': 0.3 },
  },
  'obstacle-blind-side': {
    prior: 5,
    answers: {
      travel: { backward: 12, sideways: 5, 'straight-down': 1.2, forward: 0.5 }, obstacle_side: { behind: 11, side: 6, below: 1.5, ahead: 0.3, none: 0.2 }, noticed: { never: 14, late: 5 }, obstacle_kind: { solid: 11, thin: 4 }, attention: { 'on-screen': 10 }, view: { 'camera-view': 10 },
      sensors: { none: 12, off: 5 }, first_move: { 'as-meant': 16 }, drift_direction: { neither: 14, downwind: 1 }, auto_return: { none: 19.3 }, position_hold: { on: 15 },
    },
    signs: { 'blind-move': 18, 'saw-ahead': 0.2, overran: 3 },
  },
  'obstacle-thin': {
    prior: 5,
    answers: {
      obstacle_kind: { thin: 10, wire: 9.5, solid: 0.2, ground: 0.1, none: 0.1 }, noticed: { never: 12, late: 7 }, travel: { forward: 12 }, sensors: { on: 10 }, obstacle_side: { ahead: 10, side: 4, above: 2, none: 0.1 }, place: { trees: 9, open: 4, 'built-up': 4 }, first_move: { 'as-meant': 15 }, view: { 'camera-view': 9 },
      auto_return: { none: 18.5 },
    },
    signs: { overran: 4, 'saw-ahead': 4, 'blind-move': 2, 'moved-with-air': 0.7 },
  },
  'obstacle-overhead': {
    prior: 3,
    answers: {
      obstacle_side: { above: 18, none: 0.1, ahead: 0.7 }, place: { 'under-structure': 9, trees: 5, indoors: 5, open: 0.5 }, travel: { climbing: 13, stationary: 2.5 }, height_trend: { rising: 14 }, obstacle_kind: { roof: 12, thin: 2.5, solid: 5, ground: 0.2 }, auto_phase: { climbing: 0.7, landing: 9, cancelled: 6 },
      auto_return: { none: 17.5 }, sticks_before: { large: 8 }, noticed: { late: 9, never: 8 },
    },
    signs: { 'own-rise': 18, 'automatic-wrong': 0.5, 'saw-ahead': 0.5 },
  },
  'gap-clip': {
    prior: 4,
    answers: {
      phase: { gap: 17.5 }, correction_effect: { oscillated: 8, none: 7 }, feeling: { tense: 10, celebrating: 4.5, calm: 2 }, obstacle_side: { side: 11, ahead: 4, above: 2 }, obstacle_kind: { solid: 15 }, sticks_before: { large: 9 }, attention: { 'on-craft': 9, 'on-screen': 7 },
      travel: { forward: 17 }, noticed: { 'in-time': 9 },
    },
    signs: { 'gap-tight': 16, 'gap-unsteady': 12, 'blind-move': 0.5 },
  },
  'no-gps-drift': {
    prior: 6,
    answers: {
      position_hold: { dropped: 12, off: 7, on: 0.3 }, position_fix: { weak: 8, none: 9, good: 3 }, correction_effect: { none: 10, shrank: 2.5 }, place: { indoors: 8, trees: 4.5, 'built-up': 3, open: 3 }, drift_direction: { downwind: 15, 'own-momentum': 1 }, hold_expected: { yes: 15 },
      travel: { sideways: 7, stationary: 7, forward: 2, backward: 2 }, phase: { hover: 12 }, sticks_before: { released: 9, small: 7 }, flight_mode: { 'position-hold': 10, 'height-hold': 6, rate: 0.5 }, height_hold: { on: 14 }, mode_toggled: { 'position-hold': 2 },
    },
    signs: { 'moved-with-air': 17, 'pushed-through-hold': 0.2, 'hold-belief-wrong': 1, 'let-go': 3, 'wind-strong': 3 },
  },
  'wind-displacement': {
    prior: 5,
    answers: {
      wind_side: { cross: 9, tail: 7, calm: 0.3 }, airflow_step: { yes: 9 }, drift_direction: { downwind: 16, neither: 1 }, position_hold: { on: 14, dropped: 0.5 }, travel: { sideways: 6 }, place: { open: 9, 'built-up': 5 }, first_move: { 'as-meant': 14 }, correction_effect: { none: 7, shrank: 6 },
      feeling: { tense: 9 }, hold_expected: { yes: 12, no: 8 },
    },
    signs: { 'wind-strong': 14, 'pushed-through-hold': 15, 'moved-with-air': 1.5, 'hold-belief-wrong': 0.2 },
  },
  overcontrol: {
    prior: 6,
    answers: {
      sticks_before: { large: 16, released: 0.3, 'wrong-stick': 0.5 }, correction_effect: { oscillated: 16, none: 0.2, grew: 2.5 }, first_move: { 'as-meant': 17 }, phase: { hover: 9, landing: 4 }, feeling: { tense: 10, rushed: 4 }, yaw_burst: { none: 17 }, snap: { wobble: 6 }, speed_setting: { fast: 6 },
    },
    signs: { 'gap-unsteady': 0.7, overrode: 1 },
  },
  coasting: {
    prior: 3,
    answers: {
      sticks_before: { released: 18, large: 0.3 }, drift_direction: { 'own-momentum': 16, downwind: 1 }, position_hold: { off: 15, on: 1, dropped: 1 }, travel: { forward: 10, sideways: 5, stationary: 0.3 }, flight_mode: { rate: 8, 'self-level': 8, 'position-hold': 1 }, correction_effect: { none: 8 },
      attention: { 'looked-away': 4.5 }, feeling: { froze: 4 }, hold_expected: { no: 13 },
    },
    signs: { 'let-go': 17, 'moved-with-air': 1.5, 'hold-belief-wrong': 1 },
  },
  'uncoordinated-turn': {
    prior: 4,
    answers: {
      phase: { turn: 17 }, yaw_without_roll: { yes: 15 }, travel: { sideways: 12, forward: 4 }, flight_mode: { rate: 9, 'self-level': 9, 'position-hold': 0.4 }, power_in_turn: { rising: 4 }, yaw_burst: { quarter: 5, 'half-or-more': 1.2 }, snap: { none: 17, 'one-side': 0.6 }, first_move: { 'as-meant': 11, sideways: 4 },
      drift_direction: { 'own-momentum': 12 }, path_folded: { yes: 0.8 }, obstacle_side: { side: 6 },
    },
    signs: { 'yaw-only-manual': 16, 'spin-snap': 0.3, folded: 2.5 },
  },
  'height-loss': {
    prior: 4,
    answers: {
      height_trend: { falling: 18, steady: 0.7 }, height_hold: { off: 15, on: 2 }, phase: { turn: 7, cruise: 5, hover: 4, descent: 0.7 }, snap: { none: 17.5, wobble: 1 }, power_in_turn: { low: 9, rising: 1 }, obstacle_kind: { ground: 14 }, obstacle_side: { below: 11, none: 5 }, throttle_response: { normal: 8, 'not-tried': 10 },
      travel: { forward: 10, 'descending-turn': 4, 'straight-down': 0.4 }, flight_mode: { rate: 7, 'self-level': 7, 'position-hold': 2 }, motor_sound: { steady: 17 }, yaw_burst: { none: 16 },
    },
    signs: { 'sank-unpowered': 17, 'in-wash': 0.5, 'sank-in-column': 0.2, 'spin-snap': 0.1 },
  },
  'wrong-stick': {
    prior: 4,
    answers: {
      sticks_before: { 'wrong-stick': 15 }, first_move: { opposite: 9, sideways: 4, 'as-meant': 4 }, nose: { away: 13, toward: 0.7 }, motors_cut: { 'by-mistake': 5 }, feeling: { tense: 6, rushed: 5.5, froze: 3 }, motor_sound: { stopped: 5 }, correction_effect: { grew: 8 }, light: { clear: 17.5 },
    },
    signs: { 'tail-in-reversed': 13, mirrored: 0.3, misread: 0.7 },
  },
  'mode-confusion': {
    prior: 4,
    answers: {
      setting_expected: { different: 16 }, mode_toggled: { speed: 4, 'position-hold': 3.5, other: 3, none: 9 }, sensors: { off: 9 }, speed_setting: { fast: 8 }, hold_expected: { yes: 16 }, position_hold: { off: 9, dropped: 0.6 }, feeling: { rushed: 4, calm: 6 }, first_move: { 'as-meant': 11 }, craft_check: { 'not-done': 5 },
    },
    signs: { 'hold-belief-wrong': 10, 'moved-with-air': 3, 'let-go': 3, overran: 7, 'forward-moved': 1.5 },
  },
  'failsafe-setting': {
    prior: 3,
    answers: {
      auto_return: { 'link-loss': 7.5, battery: 5.5, commanded: 5.5, none: 1.5 }, auto_phase: { climbing: 7, 'on-the-way': 7, landing: 5 }, home_point: { wrong: 4.5, moved: 5, 'not-set': 3, right: 7 }, place: { trees: 5, 'under-structure': 3, indoors: 1.5, 'built-up': 4, water: 2.5, open: 4 }, phase: { return: 13 }, link: { 'control-lost': 7 },
      travel: { climbing: 6, forward: 8 }, noticed: { never: 9 }, obstacle_side: { above: 6, ahead: 7 }, setting_expected: { different: 4 },
    },
    signs: { 'automatic-wrong': 18.5, 'below-reserve': 4, 'own-rise': 0.3, 'link-handled': 2, 'short-of-charge': 1.5 },
  },
  'heading-fault': {
    prior: 3,
    answers: {
      travel: { circling: 11, forward: 4, sideways: 2 }, calibration: { 'not-done': 10, 'near-metal': 7, done: 3 }, position_fix: { weak: 10 }, home_point: { wrong: 5, 'not-set': 3 }, correction_effect: { grew: 8, none: 6, shrank: 1.5 }, position_hold: { on: 11, dropped: 4 }, first_move: { 'as-meant': 6, nothing: 5, sideways: 5 },
      drift_direction: { neither: 13, downwind: 1 }, phase: { takeoff: 4, hover: 7 }, attention: { 'on-craft': 13 },
    },
    signs: { 'circling-unsure': 14, 'moved-with-air': 0.7, 'automatic-wrong': 2, 'pushed-through-hold': 1 },
  },
  'battery-overrun': {
    prior: 4,
    answers: {
      low_battery: { ignored: 12, heeded: 3.5, none: 4.5 }, wind_side: { head: 13, tail: 1.5 }, phase: { return: 12, landing: 3 }, auto_return: { battery: 7, none: 10 }, height_trend: { falling: 6 }, feeling: { rushed: 6 }, link: { steady: 18.5 }, attention: { 'on-screen': 9 }, motor_sound: { stopped: 3.5 },
    },
    signs: { 'below-reserve': 17.5, 'short-of-charge': 14, 'automatic-wrong': 0.7 },
  },
  'link-loss': {
    prior: 3,
    answers: {
      link: { 'control-lost': 12, 'video-lost': 7.6, steady: 0.4 }, radio_path: { blocked: 15 }, auto_return: { 'link-loss': 9, none: 10 }, camera_view: { frozen: 9 }, view: { 'camera-view': 13 }, place: { 'built-up': 6, trees: 4, 'under-structure': 2 }, first_move: { nothing: 9 }, correction_effect: { none: 10 },
      phase: { cruise: 9, return: 4 }, home_point: { right: 15.5 },
    },
    signs: { 'link-handled': 15, 'automatic-wrong': 1, 'screen-out-of-sight': 4 },
  },
  'beyond-sight': {
    prior: 3,
    answers: {
      view: { 'camera-view': 16.5, 'direct-sight': 1 }, in_sight: { no: 14.5, barely: 5, yes: 0.5 }, attention: { 'on-screen': 15 }, phase: { cruise: 11, return: 4 }, nose: { unknown: 5 }, link: { 'video-lost': 2.5 }, obstacle_kind: { solid: 7, thin: 3, wire: 2 }, noticed: { never: 10 }, travel: { forward: 14 }, light: { clear: 14 },
      camera_view: { 'too-dark': 2.5, 'too-bright': 2 },
    },
    signs: { unreadable: 17, undetectable: 11, 'screen-out-of-sight': 17, misread: 3 },
  },
  distraction: {
    prior: 1.5,
    answers: { attention: { 'talked-to': 9, 'looked-away': 9, 'on-craft': 0.5, 'on-screen': 1.5 }, feeling: { celebrating: 4, calm: 9 }, noticed: { never: 9, late: 8 }, first_move: { 'as-meant': 13 }, sticks_before: { released: 4, small: 11 } },
    signs: { 'saw-ahead': 1.5 },
  },
  'panic-override': {
    prior: 1.5,
    answers: {
      feeling: { froze: 15, rushed: 2.5, calm: 0.2 }, auto_phase: { cancelled: 13 }, auto_return: { none: 12, commanded: 3 }, sticks_before: { large: 12, released: 1.5 }, correction_effect: { grew: 9 }, position_hold: { on: 13 }, motors_cut: { deliberate: 2 }, height_hold: { on: 14 },
    },
    signs: { overrode: 16, 'hold-belief-wrong': 0.3 },
  },
  wildlife: {
    prior: 1.5,
    answers: { wildlife: { near: 19 }, obstacle_kind: { none: 11, solid: 2, ground: 3 }, obstacle_side: { none: 9, above: 4 }, feeling: { tense: 8, rushed: 4, froze: 3 }, place: { open: 12, water: 2.5 }, phase: { cruise: 8, hover: 6 }, noticed: { late: 11 } },
    signs: {},
  },
  'wet-weather': {
    prior: 1.5,
    answers: { precipitation: { light: 7.5, rain: 11.5, none: 1 }, motor_sound: { surging: 6, stopped: 4.5 }, camera_view: { 'too-dark': 4, frozen: 2.5 }, after_inspection: { 'fault-found': 4 }, snap: { 'one-side': 4, wobble: 5 }, height_trend: { falling: 8 } },
    signs: { 'snap-no-spin': 5 },
  },
  'craft-fault': {
    prior: 4,
    answers: {
      craft_check: { 'not-done': 9, defect: 6 }, after_inspection: { 'fault-found': 15 }, snap: { 'one-side': 9, flip: 4.5, wobble: 3.5, none: 3 }, motor_sound: { stopped: 6.5, surging: 5.5 }, yaw_burst: { none: 18.5 }, phase: { takeoff: 6 }, first_move: { nothing: 7, 'as-meant': 8 }, throttle_response: { none: 5, soft: 5 },
      height_trend: { falling: 9 }, surface: { hard: 13 }, sticks_before: { small: 13 }, precipitation: { none: 19 },
    },
    signs: { 'snap-no-spin': 15, 'spin-snap': 0.3, 'ground-tip': 1.5, skimming: 3, 'in-wash': 0.5 },
  },
};
