import type { ToldCase } from './told-case';

/**
 * Told first, all of them in one go, one for each cause and some in which one thing led to another; coded afterwards
 * from the words alone. At the first look 32 of 39 came first, 37 among the first three, 2 of 5 chains with both links;
 * links and weights were moved after that, so what the bench says of these is not unseen any more.
 */
export const THIRD_TOLD_CASES: readonly ToldCase[] = [
  {
    told: 'Bringing it back to the hut along the fence. It was coming at me and drifted toward the wire, I nudged it away and it came closer. Nudged more. It was in the wire before I let go.',
    cause: 'orientation-nose-in',
    evidence: {
      ...{ phase: 'return', nose: 'toward', first_move: 'opposite', correction_effect: 'grew' },
      ...{ obstacle_kind: 'wire', obstacle_side: 'side' },
    },
  },
  {
    told: 'Hover beside the winch tower with its flank to me, nose to the valley. It slid forward and I pulled right to bring it over to me again. It backed off instead and went into the scaffolding.',
    cause: 'orientation-side-on',
    evidence: {
      ...{
        phase: 'hover',
        nose: 'left',
        first_move: 'sideways',
        obstacle_kind: 'solid',
        obstacle_side: 'behind',
      },
    },
  },
  {
    told: 'Two hundred metres over the forest in grey light. All four arms look the same. I turned it till I thought it was coming, it shrank. Turned again. In the end it was behind the ridge line and the alarm came.',
    cause: 'orientation-lost',
    evidence: {
      distance_m: 200,
      light: 'dusk',
      nose: 'unknown',
      nose_believed: 'unsure',
      in_sight: 'barely',
      place: 'trees',
    },
  },
  {
    told: "The beginner's mode where the stick is always seen from me. I walked round the truck to see better while it hung there, and when I wanted it to go left it went toward the crew.",
    cause: 'pilot-relative-trap',
    evidence: { pilot_relative: 'on', pilot_moved: 'yes', first_move: 'sideways', phase: 'hover' },
  },
  {
    told: 'Straight down into the clearing, throttle nearly off to be quick. Ten metres above the ground it wobbled and dropped away under full power. It broke a leg.',
    cause: 'wash-settling',
    evidence: {
      ...{ phase: 'descent', travel: 'straight-down', snap: 'wobble', throttle_response: 'none' },
      ...{ height_m: 10, height_trend: 'falling', obstacle_kind: 'ground' },
    },
  },
  {
    told: 'Fast leg, then I whipped the nose round to go back the way I had come. As it met its own air one side fell away and it tumbled twice.',
    cause: 'yaw-tumble',
    evidence: { phase: 'turn', yaw_burst: 'half-or-more', path_folded: 'yes', snap: 'one-side' },
  },
  {
    told: 'Trying to set it down in the quarry hollow. Half a metre up it kept sliding about on its own wind, I held it there to wait for calm and it skated into the stone.',
    cause: 'ground-wash',
    evidence: { phase: 'landing', height_m: 0.5, travel: 'sideways', obstacle_kind: 'solid' },
  },
  {
    told: 'Ran along the dam road at speed to beat the rain. Saw the barrier in good time, pulled back, but it takes longer than I remember. Touched it at walking pace.',
    cause: 'obstacle-overrun',
    evidence: {
      ...{
        phase: 'cruise',
        travel: 'forward',
        noticed: 'in-time',
        first_move: 'as-meant',
        obstacle_kind: 'solid',
      },
      ...{ obstacle_side: 'ahead', feeling: 'rushed' },
    },
  },
  {
    told: 'Backing off to get all of the bivouac in the picture. There was a larch behind me all the time, I had walked past it that morning.',
    cause: 'obstacle-blind-side',
    evidence: { travel: 'backward', attention: 'on-screen', obstacle_side: 'behind', obstacle_kind: 'solid' },
  },
  {
    told: 'Along the lift line at dusk with the thing on sensors. They never beeped. A guy rope off the pylon.',
    cause: 'obstacle-thin',
    evidence: { light: 'dusk', sensors: 'on', noticed: 'never', obstacle_kind: 'wire', phase: 'cruise' },
  },
  {
    told: 'Under the avalanche gallery. I wanted a better angle, gave it a touch of height, and there is a cable duct under that roof.',
    cause: 'obstacle-overhead',
    evidence: {
      ...{ place: 'under-structure', travel: 'climbing', height_trend: 'rising', obstacle_side: 'above' },
    },
  },
  {
    told: 'Between the two door posts of the engine shed. I looked at the left post the whole way, and guess which one I hit.',
    cause: 'gap-clip',
    evidence: { phase: 'gap', gap_reason: 'eyes-on-frame', obstacle_side: 'side', obstacle_kind: 'solid' },
  },
  {
    told: 'In the gorge the satellites went, it told me so, and it began to walk. I waited for it to catch itself. It walked into the wall.',
    cause: 'no-gps-drift',
    evidence: {
      position_hold: 'dropped',
      position_fix: 'none',
      first_move: 'nothing',
      obstacle_kind: 'solid',
    },
  },
  {
    told: 'Search pattern on the shoulder, wind over the crest. Every leg across ended further down the slope. I did not lean it in enough and on the fourth it met the spruce.',
    cause: 'wind-displacement',
    evidence: {
      phase: 'cruise',
      drift_direction: 'downwind',
      wind_side: 'cross',
      obstacle_kind: 'solid',
      place: 'trees',
    },
  },
  {
    told: 'First time on the small fast one. Sticks are so short on it. I chased it up and down and left and right over the pad, each time further, until it dived into the gravel.',
    cause: 'overcontrol',
    evidence: {
      phase: 'hover',
      correction_effect: 'oscillated',
      sticks_before: 'large',
      obstacle_kind: 'ground',
    },
  },
  {
    told: 'No helpers on. I levelled it and looked at the map for a breath. It had not stopped, of course it had not, it just went on to the wall of the stable.',
    cause: 'coasting',
    evidence: {
      ...{
        position_hold: 'off',
        sticks_before: 'released',
        drift_direction: 'own-momentum',
        attention: 'looked-away',
      },
      obstacle_kind: 'solid',
    },
  },
  {
    told: 'Figures of eight in the meadow, by hand. I steered it round with the turning stick alone as in the game, and it skidded outward over the tape into the brook.',
    cause: 'uncoordinated-turn',
    evidence: {
      ...{ phase: 'turn', yaw_without_roll: 'yes', drift_direction: 'own-momentum', position_hold: 'off' },
      ...{ place: 'open', obstacle_kind: 'water' },
    },
  },
  {
    told: 'Steep turn round the mast with nothing holding height. Looked good until I saw the grass coming. Hand never moved on the left.',
    cause: 'height-loss',
    evidence: {
      ...{
        phase: 'turn',
        height_hold: 'off',
        height_trend: 'falling',
        power_in_turn: 'steady',
        obstacle_kind: 'ground',
      },
      noticed: 'late',
    },
  },
  {
    told: 'Wanted to go up over the hedge. Pushed the other thumb. It went straight into it.',
    cause: 'wrong-stick',
    evidence: { sticks_before: 'wrong-stick', obstacle_side: 'ahead', travel: 'forward' },
  },
  {
    told: 'After the update the middle position is something else. I thought it held and took my hands off to zip the jacket. It went off with the breeze and tipped on the slope.',
    cause: 'mode-confusion',
    evidence: {
      ...{
        hold_expected: 'yes',
        position_hold: 'off',
        sticks_before: 'released',
        drift_direction: 'downwind',
      },
      ...{ attention: 'looked-away', obstacle_kind: 'ground' },
    },
  },
  {
    told: 'Under the spruce roof by the river I lost it for a second and it did what it was told to: rose to thirty metres. There were branches at eight.',
    cause: 'failsafe-setting',
    evidence: {
      ...{ auto_return: 'link-loss', auto_phase: 'climbing', return_height_m: 30, obstacle_side: 'above' },
      ...{ place: 'trees', link: 'control-lost' },
    },
  },
  {
    told: 'From the steel bridge deck. Took off fine, then wheeled off in a widening ring, corrections only made it worse, although it kept its height. Metal everywhere.',
    cause: 'heading-fault',
    evidence: {
      ...{ phase: 'takeoff', travel: 'circling', correction_effect: 'grew', height_trend: 'steady' },
      calibration: 'near-metal',
    },
  },
  {
    told: 'Cold morning, showed forty. Last run out over the lake, it dropped to ten in a minute on the way back upwind. Ditched a boat length short.',
    cause: 'battery-overrun',
    evidence: { phase: 'return', battery_pct: 10, wind_side: 'head', place: 'water', obstacle_kind: 'water' },
  },
  {
    told: 'Round the back of the rock buttress. Screen went, sticks did nothing for some seconds, then it hung there until it sank in the scree.',
    cause: 'link-loss',
    evidence: { link: 'control-lost', radio_path: 'blocked', in_sight: 'no', obstacle_kind: 'ground' },
  },
  {
    told: 'Only a bit further to see over the col. I was on the screen, it was a speck and then not even that. A tree on the col, I suppose.',
    cause: 'beyond-sight',
    evidence: { in_sight: 'no', attention: 'on-screen', obstacle_kind: 'solid', noticed: 'never' },
  },
  {
    told: 'The phone rang while it hung over the landing zone. Just a look. When I looked up it stood against the fence.',
    cause: 'distraction',
    evidence: { phase: 'hover', attention: 'looked-away', noticed: 'never', obstacle_kind: 'thin' },
  },
  {
    told: 'It dipped once in a gust and I yanked everything back and full power, and it reared and I yanked the other way. Had I only let go, it levels itself.',
    cause: 'panic-override',
    evidence: {
      feeling: 'startled',
      sticks_before: 'large',
      correction_effect: 'grew',
      flight_mode: 'self-level',
    },
  },
  {
    told: 'A buzzard circled above it and stooped. I thought it would be fine and held still. One wing in the rotor. Bird flew off, craft did not.',
    cause: 'wildlife',
    evidence: { wildlife: 'near', phase: 'hover', travel: 'stationary', obstacle_side: 'above' },
  },
  {
    told: 'Thick fog came up the valley, everything dripping. The height went mad, up two metres, down two, and it sat itself on the roof.',
    cause: 'wet-weather',
    evidence: { precipitation: 'fog', obstacle_kind: 'roof', obstacle_side: 'below' },
  },
  {
    told: 'I had glued that arm after Saturday. In a climb it whistled, folded, and it came down like a leaf.',
    cause: 'craft-fault',
    evidence: {
      craft_check: 'defect',
      travel: 'climbing',
      motor_sound: 'surging',
      after_inspection: 'fault-found',
      height_trend: 'falling',
    },
  },
  {
    told: 'The crew practised with the stretcher right below. I went over them at a head and a half to show them. A gust took it down a metre; somebody ducked.',
    cause: 'people-near',
    evidence: { over_people: 'yes', people_m: 1, height_m: 3 },
  },
  {
    told: 'Through the goggles into the barn from the snow outside. All black for a moment. I flew on into the black and the post was in it.',
    cause: 'camera-unread',
    evidence: {
      view: 'camera-view',
      camera_view: 'too-dark',
      travel: 'forward',
      obstacle_side: 'ahead',
      obstacle_kind: 'thin',
      place: 'indoors',
    },
  },
  {
    told: 'The guard of the camera mount was still on. It reared at take-off, hung to one side and bit the table.',
    cause: 'left-undone',
    evidence: { phase: 'takeoff', left_undone: 'cover-or-clamp', snap: 'one-side' },
  },
  {
    told: 'Answering the radio I let it turn. Then it came at me and I pushed it off the wrong way, into the van.',
    cause: 'distraction',
    then: 'orientation-nose-in',
    evidence: { attention: 'talked-to', nose: 'toward', first_move: 'opposite', obstacle_kind: 'solid' },
  },
  {
    told: 'Video broke up behind the barn and it came home on its own at the height I had left from the flat field. The barn roof is higher.',
    cause: 'failsafe-setting',
    then: 'link-loss',
    evidence: {
      link: 'video-lost',
      radio_path: 'blocked',
      auto_return: 'link-loss',
      phase: 'return',
      obstacle_kind: 'roof',
      auto_phase: 'on-the-way',
    },
  },
  {
    told: 'Thought it was in slow. It was not. Let go at the usual place before the wall and it needed twice the way.',
    cause: 'mode-confusion',
    then: 'obstacle-overrun',
    evidence: {
      setting_expected: 'different',
      sticks_before: 'released',
      obstacle_kind: 'solid',
      obstacle_side: 'ahead',
      drift_direction: 'own-momentum',
      noticed: 'in-time',
    },
  },
  {
    told: 'Downwind a kilometre with the search dogs. Turned at half as I always do. Against the wind half is not enough.',
    cause: 'battery-overrun',
    evidence: { distance_m: 1000, wind_side: 'head', phase: 'return' },
  },
  {
    told: 'It shook in the straight descent, I got a shock and threw it sideways and back and up. It hit the ladder.',
    cause: 'wash-settling',
    then: 'panic-override',
    evidence: {
      phase: 'descent',
      travel: 'straight-down',
      snap: 'wobble',
      feeling: 'startled',
      sticks_before: 'large',
      obstacle_kind: 'thin',
    },
  },
  {
    told: 'In the sports hall, telling the others what I do while it hovered. It had nothing to hold on to in there and drifted into the net.',
    cause: 'distraction',
    then: 'no-gps-drift',
    evidence: {
      place: 'indoors',
      attention: 'talked-to',
      phase: 'hover',
      position_hold: 'not-to-be-had',
      position_fix: 'none',
      obstacle_kind: 'thin',
    },
  },
];
