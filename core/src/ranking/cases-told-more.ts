import type { ToldCase } from './told-case';

/** The second half of the cases that are told freely. */
export const MORE_TOLD_CASES: readonly ToldCase[] = [
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
