import type { Answers, EvidenceCluster } from './question';
import { returnLow } from './physical-signs';
import type { Sign } from './sign';

type Is = (id: string, ...wanted: readonly string[]) => boolean;

/** A sign that holds or does not, once all the answers it is made from are known. */
const joint = (
  id: string,
  story: EvidenceCluster,
  from: string,
  { test }: { readonly test: (is: Is) => boolean },
): Sign => {
  const needs = from.split(' ');
  return {
    id,
    story,
    needs,
    uses: [],
    chance: ({ choices }: Answers) => {
      if (
        needs.some((each) => choices[each] === undefined || (choices[each] === 'unknown' && each !== 'nose'))
      )
        return null;
      return test((each, ...wanted) => wanted.includes(choices[each] ?? '')) ? 1 : 0;
    },
  };
};

/** How likely one way of not fitting is while nothing is known of it. */
const UNKNOWN_MISFIT = 0.15;

/**
 * An action of its own does not fit the place when it climbs under cover, goes to a wrong home, or goes home
 * too low: any one is enough.
 */
const AUTOMATIC_WRONG: Sign = {
  id: 'automatic-wrong',
  story: 'failsafe',
  needs: ['auto_return'],
  uses: ['place', 'home_point', 'return_height_m', 'tallest_m'],
  chance: (known, craft) => {
    const { auto_return: automatic, place, home_point: home } = known.choices;
    if (automatic === undefined) return null;
    if (automatic === 'none') return 0;
    const cover =
      place === undefined
        ? null
        : ['trees', 'indoors', 'under-structure'].includes(place) ||
            (place === 'water' && automatic === 'battery')
          ? 1
          : 0;
    const misplaced = home === undefined || home === 'unknown' ? null : home === 'right' ? 0 : 1;
    const low = returnLow(known, craft);
    if (cover === null && misplaced === null && low === null) return null;
    return (
      1 - [cover, misplaced, low].reduce<number>((fits, wrong) => fits * (1 - (wrong ?? UNKNOWN_MISFIT)), 1)
    );
  },
};

export const JOINT_SIGNS: readonly Sign[] = [
  joint('mirrored', 'mirror', 'nose first_move', {
    test: (is) => is('nose', 'toward') && is('first_move', 'opposite'),
  }),
  joint('tail-in-reversed', 'mirror', 'nose first_move', {
    test: (is) => is('nose', 'away') && is('first_move', 'opposite', 'sideways'),
  }),
  joint('across-mixed', 'mirror', 'nose first_move', {
    test: (is) => is('nose', 'left', 'right') && is('first_move', 'sideways', 'opposite'),
  }),
  joint('misread', 'mirror', 'nose nose_believed', {
    test: (is) =>
      is('nose_believed', 'unsure') ||
      is('nose', 'unknown') ||
      !['away', 'left', 'right', 'toward'].some((side) => is('nose', side) && is('nose_believed', side)),
  }),
  {
    id: 'forward-moved',
    story: 'relative',
    needs: [],
    uses: ['pilot_relative', 'mode_toggled', 'pilot_moved'],
    chance: ({ choices }) => {
      if (choices['mode_toggled'] === 'pilot-relative') return 1;
      if (choices['pilot_relative'] === 'on' && choices['pilot_moved'] !== undefined)
        return choices['pilot_moved'] === 'yes' ? 1 : 0;
      return choices['pilot_relative'] === 'off' && choices['mode_toggled'] !== undefined ? 0 : null;
    },
  },
  joint('hold-belief-wrong', 'settings', 'hold_expected position_hold', {
    test: (is) => is('hold_expected', 'yes') && is('position_hold', 'off'),
  }),
  joint('hold-belief-dropped', 'settings', 'hold_expected position_hold', {
    test: (is) => is('hold_expected', 'yes') && is('position_hold', 'dropped', 'not-to-be-had'),
  }),
  joint('astray-on-hold', 'heading', 'position_hold calibration correction_effect', {
    test: (is) =>
      is('position_hold', 'on') &&
      is('calibration', 'not-done', 'near-metal') &&
      is('correction_effect', 'none', 'grew', 'oscillated'),
  }),
  joint('moved-with-air', 'hold', 'position_hold drift_direction', {
    test: (is) => is('position_hold', 'off', 'dropped', 'not-to-be-had') && is('drift_direction', 'downwind'),
  }),
  joint('pushed-through-hold', 'hold', 'position_hold drift_direction', {
    test: (is) => is('position_hold', 'on') && is('drift_direction', 'downwind'),
  }),
  joint('let-go', 'hands', 'sticks_before drift_direction', {
    test: (is) => is('sticks_before', 'released') && is('drift_direction', 'own-momentum'),
  }),
  joint('yaw-only-manual', 'hands', 'yaw_without_roll flight_mode', {
    test: (is) => is('yaw_without_roll', 'yes') && is('flight_mode', 'rate', 'self-level', 'height-hold'),
  }),
  joint('sank-unpowered', 'height', 'height_trend height_hold', {
    test: (is) => is('height_trend', 'falling') && is('height_hold', 'off'),
  }),
  joint('sank-in-column', 'wash', 'travel throttle_response', {
    test: (is) => is('travel', 'straight-down') && is('throttle_response', 'soft', 'none'),
  }),
  AUTOMATIC_WRONG,
  joint('own-rise', 'failsafe', 'auto_return obstacle_side', {
    test: (is) => is('auto_return', 'none') && is('obstacle_side', 'above'),
  }),
  joint('spin-snap', 'wash', 'yaw_burst snap', {
    test: (is) => is('yaw_burst', 'half-or-more') && is('snap', 'one-side', 'flip'),
  }),
  joint('snap-no-spin', 'condition', 'yaw_burst snap', {
    test: (is) => is('yaw_burst', 'none') && is('snap', 'one-side', 'flip'),
  }),
  joint('blind-move', 'obstacle', 'travel obstacle_side', {
    test: (is) =>
      (is('travel', 'backward') && is('obstacle_side', 'behind', 'side')) ||
      (is('travel', 'sideways') && is('obstacle_side', 'side', 'behind')) ||
      (is('travel', 'straight-down') && is('obstacle_side', 'below')),
  }),
  joint('saw-ahead', 'obstacle', 'obstacle_side noticed', {
    test: (is) => is('obstacle_side', 'ahead') && is('noticed', 'in-time', 'late'),
  }),
  joint('screen-out-of-sight', 'sight', 'view in_sight', {
    test: (is) => is('view', 'camera-view', 'both') && is('in_sight', 'no', 'barely'),
  }),
  {
    id: 'link-handled',
    story: 'failsafe',
    needs: ['link', 'auto_return'],
    uses: ['home_point', 'place', 'return_height_m', 'tallest_m'],
    chance: (known, craft) => {
      const { link, auto_return: automatic } = known.choices;
      if (link === undefined || automatic === undefined) return null;
      if (link !== 'control-lost' || !['none', 'link-loss'].includes(automatic)) return 0;
      return 1 - (AUTOMATIC_WRONG.chance(known, craft) ?? UNKNOWN_MISFIT);
    },
  },
  joint('overrode', 'mind', 'feeling sticks_before', {
    test: (is) => is('feeling', 'froze', 'startled', 'rushed') && is('sticks_before', 'large'),
  }),
  {
    id: 'fought-automatic',
    story: 'failsafe',
    needs: ['sticks_before'],
    uses: ['auto_return', 'auto_phase'],
    chance: ({ choices }) => {
      const { auto_return: automatic, auto_phase: phase, sticks_before: sticks } = choices;
      if (sticks === undefined || (automatic === undefined && phase === undefined)) return null;
      return automatic !== 'none' && ['large', 'wrong-way'].includes(sticks) ? 1 : 0;
    },
  },
  joint('step-at-ground', 'condition', 'left_undone phase', {
    test: (is) =>
      is('left_undone', 'legs', 'cover-or-clamp', 'inside-ring', 'setting-not-slow', 'motors-running') &&
      is('phase', 'ground', 'takeoff', 'landing'),
  }),
  joint('circling-unsure', 'heading', 'travel calibration', {
    test: (is) => is('travel', 'circling') && is('calibration', 'not-done', 'near-metal'),
  }),
  joint('ground-tip', 'ground', 'phase surface snap', {
    test: (is) =>
      is('phase', 'takeoff', 'landing') &&
      is('surface', 'grass', 'rough', 'moving') &&
      is('snap', 'one-side', 'flip', 'wobble'),
  }),
  joint('gap-unsteady', 'gap', 'phase correction_effect', {
    test: (is) => is('phase', 'gap') && is('correction_effect', 'oscillated', 'none'),
  }),
];
