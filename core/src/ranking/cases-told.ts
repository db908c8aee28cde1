import type { CauseId } from '../causes/causes';
import type { Case } from './cases';

/** A case that is told freely, with what followed from its cause where something did. */
export interface ToldCase extends Case {
  readonly then?: CauseId;
}

/**
 * Told first, as a pilot tells it on the field, and coded from the words alone afterwards: what is not said is not
 * coded. Made up, by one hand and in one sitting, and coded once: no agreement of two coders stands behind them. Nothing
 * in the weights is fitted to them.
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
  {
    told: 'Following the stream on the goggles behind the ridge. I could not see it any more and neither could anybody. A branch I never saw.',
    cause: 'beyond-sight',
    then: 'obstacle-thin',
    evidence: {
      view: 'camera-view',
      in_sight: 'no',
      attention: 'on-screen',
      obstacle_kind: 'thin',
      noticed: 'never',
      distance_m: 340,
    },
  },
  {
    told: 'Flying the new one without the helpers. I leaned it over to turn and it came round fine but it was on the grass before I knew. I never touched the power.',
    cause: 'height-loss',
    evidence: {
      phase: 'turn',
      height_hold: 'off',
      height_trend: 'falling',
      power_in_turn: 'low',
      obstacle_kind: 'ground',
      flight_mode: 'self-level',
      throttle_response: 'not-tried',
    },
  },
  {
    told: 'Quick half turn to look back at the leader, tail wind, and I pulled it after with the power down. It snapped over on its left and cartwheeled.',
    cause: 'yaw-tumble',
    evidence: {
      yaw_burst: 'half-or-more',
      wind_side: 'tail',
      power_in_turn: 'low',
      snap: 'one-side',
      phase: 'turn',
    },
  },
  {
    told: 'It sat in the tussocks, I gave it a bit and a bit more, one leg held and over it went.',
    cause: 'ground-wash',
    evidence: { phase: 'takeoff', surface: 'grass', snap: 'one-side', height_m: 0.2 },
  },
  {
    told: 'Every time I corrected it swung further, left, right, left. I was gripping like mad. In the end it brushed the tent.',
    cause: 'overcontrol',
    evidence: {
      sticks_before: 'large',
      correction_effect: 'oscillated',
      first_move: 'as-meant',
      feeling: 'tense',
      obstacle_kind: 'solid',
    },
  },
  {
    told: 'Walkers came up the path and stopped to watch. I flew back over their heads because it was the shortest way. Nothing happened.',
    cause: 'people-near',
    evidence: { over_people: 'yes', people_m: 5, phase: 'return', obstacle_kind: 'none' },
  },
  {
    told: 'Against the low sun the picture was white. I flew by it anyway, twenty metres out, and found the fence with the nose.',
    cause: 'camera-unread',
    then: 'obstacle-overrun',
    evidence: {
      view: 'camera-view',
      camera_view: 'too-bright',
      light: 'glare',
      distance_m: 20,
      in_sight: 'yes',
      obstacle_side: 'ahead',
      attention: 'on-screen',
    },
  },
  {
    told: 'We were late for the briefing. I set it down, grabbed it, and the blades were still going.',
    cause: 'left-undone',
    evidence: { left_undone: 'motors-running', phase: 'landing', feeling: 'rushed', obstacle_kind: 'person' },
  },
  {
    told: 'Two crows came at it and I threw it about to get rid of them. It ended in the scrub.',
    cause: 'wildlife',
    then: 'overcontrol',
    evidence: {
      wildlife: 'near',
      sticks_before: 'large',
      feeling: 'startled',
      correction_effect: 'oscillated',
      obstacle_kind: 'thin',
    },
  },
  {
    told: 'It slid on with its speed after I let go, no hold in that mode, and I waited for it to stop. It did not.',
    cause: 'coasting',
    evidence: {
      sticks_before: 'released',
      drift_direction: 'own-momentum',
      position_hold: 'off',
      hold_expected: 'no',
      travel: 'forward',
      flight_mode: 'self-level',
    },
  },
  {
    told: 'Turning with the left stick only, the nose came round but it went on the way it had gone, sideways into the fence.',
    cause: 'uncoordinated-turn',
    then: 'obstacle-overrun',
    evidence: {
      yaw_without_roll: 'yes',
      phase: 'turn',
      travel: 'sideways',
      flight_mode: 'rate',
      obstacle_side: 'side',
      obstacle_kind: 'solid',
    },
  },
  {
    told: 'It began to come home by itself, I got a fright and pulled it about, and it fought me. I should have let it.',
    cause: 'panic-override',
    evidence: {
      auto_return: 'commanded',
      auto_phase: 'cancelled',
      feeling: 'froze',
      sticks_before: 'large',
      correction_effect: 'grew',
    },
  },
  {
    told: 'Rose a little to look over the beam, still half under the roof, and the blades found the rafters.',
    cause: 'obstacle-overhead',
    evidence: {
      travel: 'climbing',
      place: 'under-structure',
      obstacle_side: 'above',
      obstacle_kind: 'roof',
      auto_return: 'none',
      noticed: 'late',
    },
  },
  {
    told: 'A hum at start that I had heard since the last bump. Twenty metres up one arm gave way.',
    cause: 'craft-fault',
    evidence: {
      craft_check: 'not-done',
      motor_sound: 'surging',
      snap: 'one-side',
      after_inspection: 'fault-found',
      phase: 'hover',
    },
  },
];
