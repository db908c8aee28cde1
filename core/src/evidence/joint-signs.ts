import type { Answers, EvidenceCluster } from './question';
import { returnLow } from './physical-signs';
import type { Sign } from './sign';

type Is = (id: string, ...wanted: readonly string[]) => boolean;

/** A sign that holds or does not, once all the answers it is made from are known. */
const joint = (
  id: string,
  story: EvidenceCluster,
  from: string,
  { holds, fails, test }: Pick<Sign, 'holds' | 'fails'> & { readonly test: (is: Is) => boolean },
): Sign => {
  const needs = from.split(' ');
  return {
    id,
    story,
    needs,
    uses: [],
    holds,
    fails,
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
  holds: 'What it did by itself did not fit the place: cover above, home point or return height',
  fails: 'What it did by itself fitted the place',
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
    holds: 'Nose toward the pilot, and it went the opposite way',
    fails: 'It was not nose-in going the opposite way',
    test: (is) => is('nose', 'toward') && is('first_move', 'opposite'),
  }),
  joint('tail-in-reversed', 'mirror', 'nose first_move', {
    holds: 'Nose away, and still it went the wrong way',
    fails: 'It was not nose away going the wrong way',
    test: (is) => is('nose', 'away') && is('first_move', 'opposite', 'sideways'),
  }),
  joint('across-mixed', 'mirror', 'nose first_move', {
    holds: 'Nose across the view, and it went sideways to what was meant',
    fails: 'It was not nose across going sideways',
    test: (is) => is('nose', 'left', 'right') && is('first_move', 'sideways', 'opposite'),
  }),
  joint('misread', 'mirror', 'nose nose_believed', {
    holds: 'The nose was not where the pilot believed',
    fails: 'The pilot knew where the nose pointed',
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
    holds: 'What "forward" meant changed in flight',
    fails: 'What "forward" meant did not change in flight',
    chance: ({ choices }) => {
      if (choices['mode_toggled'] === 'pilot-relative') return 1;
      if (choices['pilot_relative'] === 'on' && choices['pilot_moved'] !== undefined)
        return choices['pilot_moved'] === 'yes' ? 1 : 0;
      return choices['pilot_relative'] === 'off' && choices['mode_toggled'] !== undefined ? 0 : null;
    },
  },
  joint('hold-belief-wrong', 'settings', 'hold_expected position_hold', {
    holds: 'Hold was off, and the pilot believed it was on',
    fails: 'The pilot was not wrong about hold being off',
    test: (is) => is('hold_expected', 'yes') && is('position_hold', 'off'),
  }),
  joint('hold-belief-dropped', 'settings', 'hold_expected position_hold', {
    holds: 'Hold dropped out, and the pilot believed it was on',
    fails: 'Hold did not drop out on a pilot who relied on it',
    test: (is) => is('hold_expected', 'yes') && is('position_hold', 'dropped'),
  }),
  joint('astray-on-hold', 'heading', 'position_hold calibration correction_effect', {
    holds: 'Hold was on, the heading not to be trusted, and corrections did not help',
    fails: 'It was not astray on a bad heading',
    test: (is) =>
      is('position_hold', 'on') &&
      is('calibration', 'not-done', 'near-metal') &&
      is('correction_effect', 'none', 'grew', 'oscillated'),
  }),
  joint('moved-with-air', 'hold', 'position_hold drift_direction', {
    holds: 'Without hold, it moved with the air',
    fails: 'It was not drifting with the air for want of hold',
    test: (is) => is('position_hold', 'off', 'dropped', 'not-to-be-had') && is('drift_direction', 'downwind'),
  }),
  joint('pushed-through-hold', 'hold', 'position_hold drift_direction', {
    holds: 'Hold was healthy, and the air still moved it',
    fails: 'It was not the air moving it through a healthy hold',
    test: (is) => is('position_hold', 'on') && is('drift_direction', 'downwind'),
  }),
  joint('let-go', 'hands', 'sticks_before drift_direction', {
    holds: 'The sticks were let go and it went on its own way',
    fails: 'It was not let go and coasting',
    test: (is) => is('sticks_before', 'released') && is('drift_direction', 'own-momentum'),
  }),
  joint('yaw-only-manual', 'hands', 'yaw_without_roll flight_mode', {
    holds: 'Yaw alone, in a mode in which that does not turn the path',
    fails: 'It was not yaw alone in such a mode',
    test: (is) => is('yaw_without_roll', 'yes') && is('flight_mode', 'rate', 'self-level', 'height-hold'),
  }),
  joint('sank-unpowered', 'height', 'height_trend height_hold', {
    holds: 'It sank, with nothing holding the height',
    fails: 'It did not sink for want of height hold',
    test: (is) => is('height_trend', 'falling') && is('height_hold', 'off'),
  }),
  joint('sank-in-column', 'wash', 'travel throttle_response', {
    holds: 'Straight down, and power did not help',
    fails: 'It was not straight down with power not helping',
    test: (is) => is('travel', 'straight-down') && is('throttle_response', 'soft', 'none'),
  }),
  AUTOMATIC_WRONG,
  joint('own-rise', 'failsafe', 'auto_return obstacle_side', {
    holds: "By the pilot's own hand into something above",
    fails: "It was not the pilot's own rise into something above",
    test: (is) => is('auto_return', 'none') && is('obstacle_side', 'above'),
  }),
  joint('spin-snap', 'wash', 'yaw_burst snap', {
    holds: 'The nose was spun, and it snapped',
    fails: 'It was not a spin and a snap',
    test: (is) => is('yaw_burst', 'half-or-more') && is('snap', 'one-side', 'flip'),
  }),
  joint('snap-no-spin', 'condition', 'yaw_burst snap', {
    holds: 'It snapped without the nose having been swung',
    fails: 'It did not snap by itself',
    test: (is) => is('yaw_burst', 'none') && is('snap', 'one-side', 'flip'),
  }),
  joint('blind-move', 'obstacle', 'travel obstacle_side', {
    holds: 'It moved toward the side where nothing looks, and that is where it was',
    fails: 'It was not moving blind toward it',
    test: (is) =>
      (is('travel', 'backward') && is('obstacle_side', 'behind', 'side')) ||
      (is('travel', 'sideways') && is('obstacle_side', 'side', 'behind')) ||
      (is('travel', 'straight-down') && is('obstacle_side', 'below')),
  }),
  joint('saw-ahead', 'obstacle', 'obstacle_side noticed', {
    holds: 'It was ahead, and it was seen',
    fails: 'It was not seen ahead',
    test: (is) => is('obstacle_side', 'ahead') && is('noticed', 'in-time', 'late'),
  }),
  joint('screen-out-of-sight', 'sight', 'view in_sight', {
    holds: 'Flown on the camera with the craft out of sight',
    fails: 'The craft was in sight',
    test: (is) => is('view', 'camera-view', 'both') && is('in_sight', 'no', 'barely'),
  }),
  {
    id: 'link-handled',
    story: 'failsafe',
    needs: ['link', 'auto_return'],
    uses: ['home_point', 'place', 'return_height_m', 'tallest_m'],
    holds: 'The link was lost, and what it did by itself was harmless or nothing',
    fails: 'It was not a lost link and nothing else',
    chance: (known, craft) => {
      const { link, auto_return: automatic } = known.choices;
      if (link === undefined || automatic === undefined) return null;
      if (link !== 'control-lost' || !['none', 'link-loss'].includes(automatic)) return 0;
      return 1 - (AUTOMATIC_WRONG.chance(known, craft) ?? UNKNOWN_MISFIT);
    },
  },
  joint('overrode', 'mind', 'feeling sticks_before', {
    holds: 'Frightened, with big inputs',
    fails: 'It was not fright with big inputs',
    test: (is) => is('feeling', 'froze', 'rushed') && is('sticks_before', 'large'),
  }),
  joint('circling-unsure', 'heading', 'travel calibration', {
    holds: 'Circling by itself, with the heading not to be trusted',
    fails: 'It was not circling on a bad heading',
    test: (is) => is('travel', 'circling') && is('calibration', 'not-done', 'near-metal'),
  }),
  joint('ground-tip', 'ground', 'phase surface snap', {
    holds: 'Tipped at lift-off or touch-down on a surface that catches',
    fails: 'It did not tip on a surface that catches',
    test: (is) =>
      is('phase', 'takeoff', 'landing') &&
      is('surface', 'grass', 'rough', 'moving') &&
      is('snap', 'one-side', 'flip', 'wobble'),
  }),
  joint('gap-unsteady', 'gap', 'phase correction_effect', {
    holds: 'In the gap, and not steady or not correcting',
    fails: 'It was steady, or not in a gap',
    test: (is) => is('phase', 'gap') && is('correction_effect', 'oscillated', 'none'),
  }),
];
