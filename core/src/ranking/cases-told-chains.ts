import { MORE_CHAINS } from './cases-told-chains-more';
import type { ToldCase } from './told-case';

/**
 * Told first, all of them in one go, each a chain of two links; coded afterwards from the words alone, once so far: the
 * second time is due on another day. What was found at the first look stands in docs/ranking.md.
 */
const FIRST_CHAINS: readonly ToldCase[] = [
  {
    told: 'Switched it on in the shed doorway and walked out with it; I was sure it held its place. Let go to point out the casualty to the new one. It slid off with the breeze and sat down in the nettles.',
    cause: 'mode-confusion',
    then: 'no-gps-drift',
    evidence: {
      phase: 'hover',
      sticks_before: 'released',
      hold_expected: 'yes',
      position_hold: 'off',
      drift_direction: 'downwind',
      attention: 'talked-to',
      obstacle_kind: 'ground',
    },
  },
  {
    told: 'Somebody had left it on the quick setting from the evening before. I braked for the wall where I always brake.',
    cause: 'mode-confusion',
    then: 'obstacle-overrun',
    evidence: {
      setting_expected: 'different',
      setting_why: 'left-over',
      speed_setting: 'fast',
      noticed: 'in-time',
      obstacle_kind: 'solid',
      obstacle_side: 'ahead',
    },
  },
  {
    told: 'Behind the dam the picture and the sticks died. It climbed to twenty to come home. The crane jib there is at thirty-five.',
    cause: 'failsafe-setting',
    then: 'link-loss',
    evidence: {
      link: 'control-lost',
      radio_path: 'blocked',
      auto_return: 'link-loss',
      auto_phase: 'on-the-way',
      return_height_m: 20,
      tallest_m: 35,
      place: 'built-up',
      obstacle_kind: 'solid',
    },
  },
  {
    told: 'Two warnings, and I wanted one last picture of the cornice. Turned back into the wind with fifteen in it, made no way, and it set itself down in the gully.',
    cause: 'battery-overrun',
    then: 'wind-displacement',
    evidence: {
      phase: 'return',
      low_battery: 'ignored',
      battery_pct: 15,
      wind_side: 'head',
      auto_return: 'battery',
      auto_phase: 'landing',
    },
  },
  {
    told: 'It stood on hold with its nose to the face. The wind round the buttress pushed it back, slowly, into the rock behind it, where nothing looks.',
    cause: 'wind-displacement',
    then: 'obstacle-blind-side',
    evidence: {
      phase: 'hover',
      position_hold: 'on',
      drift_direction: 'downwind',
      travel: 'backward',
      sensors: 'none',
      noticed: 'never',
      obstacle_kind: 'solid',
      obstacle_side: 'behind',
    },
  },
  {
    told: 'Lined up for the gap between the two pylons, good and slow. As it came out of the lee it was carried over onto the right one.',
    cause: 'wind-displacement',
    then: 'gap-clip',
    evidence: {
      phase: 'gap',
      airflow_step: 'yes',
      drift_direction: 'downwind',
      gap_reason: 'air-moved-it',
      obstacle_kind: 'solid',
      obstacle_side: 'side',
    },
  },
  {
    told: 'Under the overhang there are no satellites and I knew it did not hold. It crept backward while I looked at the rope, and there was the ledge.',
    cause: 'no-gps-drift',
    then: 'obstacle-blind-side',
    evidence: {
      place: 'under-structure',
      position_fix: 'none',
      position_hold: 'not-to-be-had',
      hold_expected: 'no',
      travel: 'backward',
      attention: 'looked-away',
      obstacle_kind: 'solid',
      obstacle_side: 'behind',
    },
  },
  {
    told: 'Somebody had put on that mode in which the stick counts from where I stand. It went over my head to the other side, and all was backwards: pulling it to me sent it off.',
    cause: 'pilot-relative-trap',
    then: 'orientation-nose-in',
    evidence: {
      pilot_relative: 'on',
      setting_expected: 'different',
      first_move: 'opposite',
      correction_effect: 'grew',
    },
  },
  {
    told: 'Set up on the bonnet of the truck. It complained of its compass and I clicked that away. In the air it would not stand, went off in a curve, and when I took the hold off it drifted into the reeds.',
    cause: 'heading-fault',
    then: 'no-gps-drift',
    evidence: {
      calibration: 'near-metal',
      travel: 'circling',
      mode_toggled: 'position-hold',
      drift_direction: 'downwind',
      place: 'water',
    },
  },
  {
    told: 'Followed the dog team out until it was a dot. Could not say which way it pointed, tried left, tried right, then it was behind the larches.',
    cause: 'beyond-sight',
    then: 'orientation-lost',
    evidence: {
      in_sight: 'barely',
      nose: 'unknown',
      nose_believed: 'unsure',
      first_move: 'unknown',
      place: 'trees',
    },
  },
  {
    told: 'By hand, nothing holding anything. I let go of the sticks to catch my hat. It ran on, level, and sank all the way, and slid into the hay.',
    cause: 'coasting',
    then: 'height-loss',
    evidence: {
      position_hold: 'off',
      height_hold: 'off',
      sticks_before: 'released',
      drift_direction: 'own-momentum',
      height_trend: 'falling',
      attention: 'looked-away',
      obstacle_kind: 'ground',
    },
  },
  {
    told: 'Jabbed at it all the way up to the hut, to and fro like a rocking horse, and one swing too many put it into the door.',
    cause: 'overcontrol',
    then: 'obstacle-overrun',
    evidence: {
      travel: 'forward',
      sticks_before: 'large',
      correction_effect: 'oscillated',
      obstacle_kind: 'solid',
      obstacle_side: 'ahead',
    },
  },
  {
    told: 'No helpers. I turned it with the turning stick only, it skidded outward, and while I watched it skid it sank and brushed the grass.',
    cause: 'uncoordinated-turn',
    then: 'height-loss',
    evidence: {
      flight_mode: 'self-level',
      phase: 'turn',
      yaw_without_roll: 'yes',
      drift_direction: 'own-momentum',
      height_trend: 'falling',
      height_hold: 'off',
      obstacle_kind: 'ground',
    },
  },
];

export const TOLD_CHAINS: readonly ToldCase[] = [...FIRST_CHAINS, ...MORE_CHAINS];
