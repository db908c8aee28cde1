import type { FamilyId } from '@skelby/core/causes/cause';
import type { CauseId } from '@skelby/core/causes/causes';
import type { OnRelease } from '@skelby/core/vocabulary/flying';

export interface FamilyWords {
  readonly name: string;
  readonly hint: string;
}

export interface CauseWords {
  /** What a trainer calls it. */
  readonly name: string;
  /** One line that lets a trainer recognise it in the field. */
  readonly sign: string;
  /** How it comes about. */
  readonly how: string;
  /** What the pilot should have done in the moment, by what the craft does on released sticks. */
  readonly respond: Readonly<Record<OnRelease, string>>;
  /** What the pilot may not fly until cleared. */
  readonly restriction: string;
}

export const FAMILY_WORDS: Readonly<Record<FamilyId, FamilyWords>> = {
  orientation: {
    name: 'Orientation',
    hint: 'Did not know, or misread, where the nose pointed',
  },
  'own-wash': {
    name: 'Own wash',
    hint: 'Fell into the air its own rotors had churned',
  },
  obstacles: {
    name: 'Obstacles',
    hint: 'Could not stop, backed in blind, thin things, roofs, gaps',
  },
  'hold-and-air': {
    name: 'Hold and wind',
    hint: 'Position hold gone, or the air carried it',
  },
  'stick-handling': {
    name: 'Stick handling',
    hint: 'Too much, too little, or the wrong stick',
  },
  settings: {
    name: 'Settings and modes',
    hint: 'Not the mode, the failsafe or the heading it should have been',
  },
  'energy-and-link': {
    name: 'Battery and link',
    hint: 'Ran low, lost the radio, flew out of sight',
  },
  'person-and-surroundings': {
    name: 'Person and surroundings',
    hint: 'Distraction, panic, people near, the picture, a step left out, birds, weather, the craft',
  },
};

const SAFE_POSTURE =
  'Do not let go. Yaw to look along the path, level with roll, ease the speed with pitch, keep creeping forward. Low, or with anybody near: cut the motors.';
const CUT_WHEN_LOW = 'Low, cut the throttle: a bent arm costs less than a save that speeds up the wrong way.';

/** Wording: common practice among flying instructors. */
export const CAUSE_WORDS: Readonly<Record<CauseId, CauseWords>> = {
  'orientation-nose-in': {
    name: 'Nose-in reversal',
    sign: 'Nose toward the pilot; the first correction went the wrong way',
    how: 'With the nose toward the pilot, roll and pitch act mirror-wise while yaw and throttle do not. The first correction goes the wrong way, and every further one makes the error bigger.',
    respond: {
      hold: 'Release the sticks, let it stop, then yaw the tail round to yourself.',
      manual: `With height, take the safe posture: look along the path, level, slow, keep creeping forward. ${CUT_WHEN_LOW}`,
    },
    restriction: 'Nose-in only above 10 m and at least 15 m to the side of anybody',
  },
  'orientation-side-on': {
    name: 'Side-on mix-up',
    sign: 'Nose left or right across the view; it went sideways to what was meant',
    how: 'With the nose across the view, forward runs sideways and roll runs near and far. The pilot answers as if the tail were toward them.',
    respond: {
      hold: 'Release the sticks, let it stop, then yaw the tail round to yourself.',
      manual: SAFE_POSTURE,
    },
    restriction: 'No side-on pass closer than 15 m',
  },
  'orientation-lost': {
    name: 'Lost sight of which way it points',
    sign: 'Too far, too small or against the light to read; or eyes back up from the screen',
    how: 'The pilot no longer knows where the nose is: the craft is too small to read, a silhouette, behind something, or was looked away from.',
    respond: {
      hold: 'Release and look. Yaw until the map arrow or the camera shows home, or pulse forward and watch whether the distance grows.',
      manual:
        'Safe posture on the camera if there is one. Then yaw until the map arrow or the camera shows home, or pulse forward and watch the distance.',
    },
    restriction: 'Stay inside half the distance at which this craft can be read',
  },
  'pilot-relative-trap': {
    name: 'Pilot-relative mode trap',
    sign: 'Forward meant "away from me", then suddenly did not',
    how: 'The mode fixes forward to where the pilot stood at take-off. The pilot walked or turned, or switched it off with the nose elsewhere, and the same stick meant something new.',
    respond: {
      hold: 'Release. Land, or turn the tail to yourself, before the switch is touched again.',
      manual: 'Safe posture. Land, or turn the tail to yourself, before the switch is touched again.',
    },
    restriction: 'No pilot-relative mode',
  },
  'wash-settling': {
    name: 'Settling in own wash',
    sign: 'Sank straight down, shook, and more throttle did not help',
    how: 'A steep descent takes the craft down into the air its rotors have just thrown down. Lift goes soft, it shakes and sinks faster, and power alone feeds the column.',
    respond: {
      hold: 'Push forward or sideways out of the column first, then add power.',
      manual: 'Push forward or sideways out of the column first, then add power.',
    },
    restriction: 'Vertical descents no faster than a quarter of the hover induced velocity',
  },
  'yaw-tumble': {
    name: 'Yaw tumble',
    sign: 'Spun the nose round; one side snapped down',
    how: 'The nose is swung faster than the path can follow, so the craft slides tail-first into its own wash with little power on. One side stalls and drops. A tailwind at the turn, a descent or little power in hand makes it likelier.',
    respond: {
      hold: 'With height: sticks neutral, wait for the snap to end, read the attitude, then correct and add power. Without height, and on a craft that has one: the pause switch.',
      manual:
        'With height: sticks neutral, wait for the snap to end, read the attitude, then correct with roll or pitch and add power. Without height: the pause switch if there is one, else cut.',
    },
    restriction: 'No spin-turns; manual modes only above 20 m',
  },
  'ground-wash': {
    name: 'Tipped in ground wash',
    sign: 'Lingered low, or caught a foot in grass at lift-off or touch-down',
    how: 'Within about one span of the ground the air is churned and the feet can catch. A slow lift-off or a hovering touch-down gives it time to tip over.',
    respond: {
      hold: 'Cut the throttle. Do not reach for it.',
      manual: 'Cut the throttle. Do not reach for it.',
    },
    restriction: 'Hard level surface or pad only; no hand launch or catch',
  },
  'obstacle-overrun': {
    name: 'Could not stop in time',
    sign: 'Saw it, and still ran into it',
    how: 'Reaction plus braking ran longer than the gap. Faster settings brake longer and may switch the sensors off.',
    respond: {
      hold: 'Sensors on: release. Sensors off: full opposite stick. Under open sky, climb as well.',
      manual: 'Full opposite stick, and climb under open sky.',
    },
    restriction: 'Slow setting within 30 m of anything',
  },
  'obstacle-blind-side': {
    name: 'Backed into it blind',
    sign: 'Moving backwards, sideways or down where nothing looks',
    how: 'The craft moved where neither the camera nor a sensor sees, and the pilot had not looked first.',
    respond: {
      hold: 'Stop before reversing. Turn, and fly it forwards.',
      manual: 'Stop before reversing. Turn, and fly it forwards.',
    },
    restriction: 'No backward flight',
  },
  'obstacle-thin': {
    name: 'Wire, twig or net',
    sign: 'Too thin for camera and sensors',
    how: 'Twigs, wires, cables and nets do not show on the camera and do not stop the sensors, and nobody had walked the line beforehand.',
    respond: {
      hold: 'Stop. Back out along the way in.',
      manual: 'Slow to a creep and go out along the way in. Anybody below: cut.',
    },
    restriction: 'At least 50 m clear of wires, and above the canopy',
  },
  'obstacle-overhead': {
    name: 'Rose into something above',
    sign: 'Climbed into a roof, deck or branches',
    how: 'The pilot rose before the craft was clear, let the height slip, or fought an automatic landing upward under a deck.',
    respond: {
      hold: 'Cancel any automatic return, hold, and back out level the way you came.',
      manual: 'Hold the height, go out level the way you came. Do not climb.',
    },
    restriction: 'Automatic action set to hover before going under anything',
  },
  'gap-clip': {
    name: 'Clipped a gap',
    sign: 'Off-centre, unsteady or undecided in a gate or opening',
    how: 'The craft came in off-centre or unsteady: eyes on the frame and not beyond it, too slow to hold against the air, twitchy hands, or the next gap not prepared.',
    respond: {
      hold: 'Commit or go round. Decide before the last second.',
      manual: 'Commit or go round. Decide before the last second.',
    },
    restriction: 'No gap tighter than 4 spans',
  },
  'no-gps-drift': {
    name: 'Drifted without position hold',
    sign: 'Hold was off or dropped out, and it moved off with the air',
    how: 'Satellite or visual hold is missing or drops out: indoors, plain floor, trees, tall walls. The craft moves with the air while the pilot waits for it to stop; when hold returns, it jolts.',
    respond: {
      hold: 'Say "drifting", lean against it, move away from what it drifts toward: up under open sky, back the way it came under cover. Land or regain hold.',
      manual:
        'Say "drifting", lean against it, move away from what it drifts toward: up under open sky, back the way it came under cover. Land.',
    },
    restriction: 'No flight without position hold inside 20 m of anything',
  },
  'wind-displacement': {
    name: 'Carried by the wind',
    sign: 'Wind, gust or a jet of air moved it further than allowed for',
    how: 'Hold was healthy or never promised, but the air moved the craft more than the pilot had planned: a crosswind leg, a forgotten tailwind, a gust, a doorway.',
    respond: {
      hold: 'Point into the wind and add lean. The fast setting has more power against wind, without its sensors.',
      manual: 'Point into the wind and add lean and power.',
    },
    restriction: 'Wind limit cut by a third',
  },
  overcontrol: {
    name: 'Over-control',
    sign: 'Swung wider with every correction',
    how: 'Inputs too big or too late; each correction is chased by a bigger one the other way.',
    respond: {
      hold: 'Hands light, half a thumb of stick, or release and let it settle.',
      manual: 'Hands light, half a thumb of stick, and let it settle.',
    },
    restriction: 'Slow setting only',
  },
  coasting: {
    name: 'Let go and coasted',
    sign: 'Sticks released, and it went on moving',
    how: 'The pilot let go and hoped. Without hold the craft keeps its way on, and the pilot loses track of where it is going.',
    respond: {
      hold: 'Check that hold is really on; if it is not, keep a small order on the sticks at all times.',
      manual: 'Keep giving it orders: a small input always.',
    },
    restriction: 'Manual modes only with the trainer beside',
  },
  'uncoordinated-turn': {
    name: 'Turned with one stick',
    sign: 'The view swung but the path ran on, or it slid sideways',
    how: 'In rate mode yaw alone swings the view while the path runs on, and roll alone slides. In self-level and height hold the held lean turns with the nose, so the path follows late and wide.',
    respond: {
      hold: 'Stop, then turn with forward and yaw together.',
      manual: 'Roll the way you want to go, then yaw until you look along the path.',
    },
    restriction: 'No turns below 10 m',
  },
  'height-loss': {
    name: 'Sank in the lean',
    sign: 'Leaned to move or turn, gave no throttle, lost height',
    how: 'A leaned rotor lifts less. Without more throttle the craft sinks; it also drops when height hold is left with a low throttle.',
    respond: { hold: 'Level and add power.', manual: 'Level and add power.' },
    restriction: 'Floor of 10 m',
  },
  'wrong-stick': {
    name: 'Wrong stick',
    sign: 'Wrong axis or direction under pressure, or motors stopped in the air',
    how: 'Under pressure the hand moved the wrong axis, the wrong way with the nose still away, or made the motor-stop gesture in flight.',
    respond: { hold: 'Release the sticks and let it stop.', manual: SAFE_POSTURE },
    restriction: 'One stick at a time',
  },
  'mode-confusion': {
    name: 'Not the mode believed',
    sign: 'It was in another mode or setting than the pilot thought',
    how: 'A setting fell back after a power cycle, a switch was not enabled or was knocked, sensors were silently off, and nobody had read the display.',
    respond: {
      hold: 'Release, let it stop, read the mode aloud, set it.',
      manual: `Make it safe first, then read the mode aloud and set it. ${SAFE_POSTURE}`,
    },
    restriction: 'Trainer reads the mode back before take-off',
  },
  'failsafe-setting': {
    name: 'Failsafe set wrong for the place',
    sign: 'What it did by itself was wrong here',
    how: 'Return height below the tallest thing, return chosen under a roof, a low-battery landing over trees or water, or a home point that moved or sat among people.',
    respond: {
      hold: 'With link: cancel it and fly home by hand.',
      manual: 'With link: cancel it and fly home by hand.',
    },
    restriction: 'Trainer signs the failsafe card for each site',
  },
  'heading-fault': {
    name: 'Bad heading or home position',
    sign: 'Flew off or circled by itself: compass or home point not good',
    how: 'New area not calibrated, metal nearby, or a wrong position: hold steers by a heading that is false, and the craft circles or runs off.',
    respond: {
      hold: 'Leave position hold for attitude hold, if the switch is enabled, and fly it by hand.',
      manual: 'Fly it by hand, and do not switch position hold on.',
    },
    restriction: 'Calibration is witnessed',
  },
  'battery-overrun': {
    name: 'Stretched the battery',
    sign: 'Not enough left for the way home',
    how: 'Out with the wind, back against it; the come-home warning ignored; at critical charge it lands wherever it is.',
    respond: {
      hold: 'Go lower, where the wind is less; faster into a headwind than in still air; pick a landing spot early.',
      manual:
        'Go lower, where the wind is less; faster into a headwind than in still air; pick a landing spot early.',
    },
    restriction: 'Land with at least 35 %; two packs ready, so that none is stretched',
  },
  'link-loss': {
    name: 'Lost the radio link',
    sign: 'A wall, hill or own body between radio and craft',
    how: 'Something solid, or a strong radio, came between transmitter and craft; then whatever failsafe was set took over.',
    respond: {
      hold: 'Antenna broadside to the craft, step back into line, let the failsafe work.',
      manual: 'Antenna broadside to the craft, step back into line, let the failsafe work.',
    },
    restriction: 'Only where the craft itself is in direct line',
  },
  'beyond-sight': {
    name: 'Flown beyond sight',
    sign: 'On the screen past where the craft itself could be seen',
    how: 'The pilot flew on the picture to where the craft, its height and what stood around it could no longer be seen.',
    respond: {
      hold: 'Stop. Climb under open sky. Bring it back on the reading that shrinks.',
      manual: 'Climb under open sky, turn for home on the camera, bring it back on the reading that shrinks.',
    },
    restriction:
      'Half the distance at which the craft can be read, whatever local sight rules allow beyond it',
  },
  distraction: {
    name: 'Distraction',
    sign: 'Talked to, looked away, admired the shot',
    how: 'Attention left the craft: somebody spoke, something moved, the picture was good.',
    respond: { hold: 'Pause first, then talk.', manual: 'Say "not now" and keep flying.' },
    restriction: 'Spotter required',
  },
  'panic-override': {
    name: 'Froze or fought it',
    sign: 'Froze, or overrode a protection that was working',
    how: 'The pilot froze, grabbed, or cancelled a protection that would have saved it.',
    respond: { hold: 'Breathe. Release the sticks.', manual: `Breathe. ${SAFE_POSTURE}` },
    restriction: 'Trainer on takeover',
  },
  wildlife: {
    name: 'Birds',
    sign: 'Birds mobbed or crossed',
    how: 'Birds defend a nest or cross the path; the pilot stays, or climbs through them.',
    respond: { hold: 'Away and down, slowly. Then leave.', manual: 'Away and down, slowly. Then leave.' },
    restriction: 'No flying near nesting or mobbing birds',
  },
  'wet-weather': {
    name: 'Rain, fog or spray',
    sign: 'Water in the motors, fog on the lens',
    how: 'Rain, fog or spray got into the motors or onto the lens, and the flight went on.',
    respond: {
      hold: 'Home the shortest way, power off, dry it out.',
      manual: 'Home the shortest way, power off, dry it out.',
    },
    restriction: 'Craft grounded until dry and inspected',
  },
  'craft-fault': {
    name: 'Craft fault',
    sign: 'Loose or chipped rotor, jammed motor, cover left on, worn battery',
    how: 'Something on the craft was not right, and the inspection did not find it or was not done.',
    respond: {
      hold: 'Land now. A damaged rotor may lift off and then stop.',
      manual: 'Land now. A damaged rotor may lift off and then stop.',
    },
    restriction: 'Craft grounded until inspected',
  },
  'people-near': {
    name: 'Over or near people',
    sign: 'Flew over or too near to somebody who had no part in it, touched or not',
    how: 'Nobody watched the line beneath, somebody walked in, or the flight went where people are. A near-miss even when nothing was touched.',
    respond: {
      hold: 'Stop, move off to the side, wait. Never over heads to get away.',
      manual:
        'Slow down, turn off to the side, stay clear until they are gone. Never over heads to get away.',
    },
    restriction:
      'At least 50 m from anybody who has no part in it, or what local rules say, whichever is more',
  },
  'camera-unread': {
    name: 'Picture not read',
    sign: 'Too dark, too late, cropped or tilted wrong; eyes never left it',
    how: 'The picture could not be read: dark or bright, late, cropped so that things look farther or nearer, tilted for another task. The eyes stayed on it all the same.',
    respond: {
      hold: 'Stop, look up at the craft, set the picture, go on.',
      manual:
        'Look up at the craft, climb under open sky, come back to where it is easily seen, set the picture.',
    },
    restriction: 'Within easy sight, with a spotter beside',
  },
  'left-undone': {
    name: 'A step left out',
    sign: 'Cover, clamp, legs, return point, slow setting or motor stop forgotten',
    how: 'A step before take-off or before landing was left out: a cover or clamp on, legs not down, no return point, the slow setting not taken, hands off before the motors stood.',
    respond: {
      hold: 'Stop, say the step, do it. If unsure, land.',
      manual: 'Do the step as soon as it is safe. If unsure, land.',
    },
    restriction: 'Pre-flight and pre-landing read aloud, witnessed',
  },
};
