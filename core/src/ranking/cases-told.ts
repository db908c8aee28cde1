import type { ToldCase } from './told-case';
import { MORE_TOLD_CASES } from './cases-told-more';

/**
 * Told first, as a pilot tells it on the field, and coded from the words alone afterwards: what is not said is not
 * coded. Made up and coded by one hand; coded again on another day (`cases-recoded`), and the bench says how far the two
 * agree. Nothing in the weights is fitted to them.
 */
export const TOLD_CASES: readonly ToldCase[] = [
  {
    told: 'Practising over the car park before the winch exercise. After I swapped packs it felt lively, I thought nothing of it. When I came at the hose tower I let go as always and it just sailed into the rail. The switch said slow, it was in fast.',
    cause: 'mode-confusion',
    then: 'obstacle-overrun',
    evidence: {
      setting_expected: 'different',
      setting_why: 'default-after-power-up',
      speed_setting: 'fast',
      sticks_before: 'released',
      obstacle_side: 'ahead',
      obstacle_kind: 'solid',
      travel: 'forward',
      feeling: 'calm',
    },
  },
  {
    told: 'In the drying hall. I thought it would hold like outside. It crept along with the fan draught while I looked at the hose racks on the screen, and touched the wall with its side.',
    cause: 'no-gps-drift',
    then: 'obstacle-blind-side',
    evidence: {
      place: 'indoors',
      hold_expected: 'yes',
      position_hold: 'not-to-be-had',
      drift_direction: 'downwind',
      attention: 'on-screen',
      obstacle_side: 'side',
      noticed: 'never',
    },
  },
  {
    told: 'Hovering for the ropes team. Somebody called my name, I looked round to answer and when I looked back it was moving left. I pushed right and it went faster left, into the bank. It had turned to face me.',
    cause: 'orientation-nose-in',
    then: 'distraction',
    evidence: {
      phase: 'hover',
      attention: 'talked-to',
      nose: 'toward',
      first_move: 'opposite',
      correction_effect: 'grew',
    },
  },
  {
    told: 'Coming down from the ledge straight under itself because I wanted it on the rucksack. Halfway it started to shake, I gave it full and it kept dropping.',
    cause: 'wash-settling',
    evidence: {
      phase: 'descent',
      travel: 'straight-down',
      snap: 'wobble',
      throttle_response: 'soft',
      height_trend: 'falling',
    },
  },
  {
    told: 'Went behind the power house, picture froze, then it came home by itself. I had left the return at fifteen metres from the football field and the larches there are well over twenty.',
    cause: 'failsafe-setting',
    then: 'link-loss',
    evidence: {
      radio_path: 'blocked',
      link: 'control-lost',
      camera_view: 'frozen',
      auto_return: 'link-loss',
      return_height_m: 15,
      tallest_m: 23,
      place: 'trees',
      obstacle_kind: 'thin',
    },
  },
  {
    told: 'Long search leg down the valley with the wind. The beeper went, I wanted to finish the line. Turning back it hardly moved, and it set itself down in the stream bed.',
    cause: 'battery-overrun',
    evidence: {
      low_battery: 'ignored',
      wind_side: 'head',
      phase: 'return',
      auto_return: 'battery',
      battery_pct: 6,
      place: 'water',
    },
  },
  {
    told: 'I was flying sideways to film the stretcher, eyes on the screen. I never saw the signpost on the far side. It has no eyes there.',
    cause: 'obstacle-blind-side',
    evidence: {
      travel: 'sideways',
      attention: 'on-screen',
      view: 'camera-view',
      obstacle_side: 'side',
      obstacle_kind: 'thin',
      noticed: 'never',
      sensors: 'none',
    },
  },
  {
    told: 'In by the old door with the freestyle one. I had come in too slow because I was not sure, it floated up and clipped the lintel.',
    cause: 'gap-clip',
    evidence: {
      phase: 'gap',
      gap_reason: 'slow-entry',
      obstacle_side: 'above',
      feeling: 'tense',
      flight_mode: 'rate',
    },
  },
  {
    told: 'It drizzled when we left the hut. On the second pass one motor coughed and it rolled over to that side. After drying it ran again.',
    cause: 'wet-weather',
    then: 'craft-fault',
    evidence: {
      precipitation: 'light',
      motor_sound: 'stopped',
      snap: 'one-side',
      yaw_burst: 'none',
      after_inspection: 'sound',
      feeling: 'startled',
    },
  },
  {
    told: 'Standing on the helipad edge I turned to speak to the crew and flew on in the easy mode where away is away. Then the stick said one thing and it did another, off to the side.',
    cause: 'pilot-relative-trap',
    then: 'orientation-side-on',
    evidence: {
      pilot_relative: 'on',
      pilot_moved: 'yes',
      first_move: 'sideways',
      correction_effect: 'grew',
    },
  },
  {
    told: 'Across the saddle the gusts came round the rock. It leaned against it and still went, a good four metres, and the gate pole was there.',
    cause: 'wind-displacement',
    evidence: {
      wind_side: 'cross',
      airflow_step: 'yes',
      position_hold: 'on',
      drift_direction: 'downwind',
      gust_mps: 11,
      obstacle_kind: 'solid',
    },
  },
  {
    told: 'I thought I pressed return. I pulled both sticks to the corners and everything went quiet. It fell like a stone from head height.',
    cause: 'wrong-stick',
    then: 'height-loss',
    evidence: {
      motors_cut: 'by-mistake',
      motor_sound: 'stopped',
      height_trend: 'falling',
      feeling: 'rushed',
      height_m: 2,
    },
  },
  {
    told: 'Took off from the gravel beside the bridge rail. It wandered in circles by itself, bigger each time, holding its height nicely. I had not done the compass thing there.',
    cause: 'heading-fault',
    evidence: {
      travel: 'circling',
      calibration: 'not-done',
      position_hold: 'on',
      correction_effect: 'none',
      phase: 'takeoff',
    },
  },
  {
    told: 'Far out over the scree I could just see a dot. I did not know which way it looked and turned it the wrong way for a while before it met the slope.',
    cause: 'orientation-lost',
    evidence: {
      distance_m: 260,
      in_sight: 'barely',
      nose: 'unknown',
      nose_believed: 'unsure',
      view: 'direct-sight',
      obstacle_kind: 'ground',
    },
  },
  ...MORE_TOLD_CASES,
];
