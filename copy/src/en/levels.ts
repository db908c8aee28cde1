import type { HouseDrillId } from '@skelby/core/drills/drills';
import type { Level } from '@skelby/core/vocabulary/training';

/** Two steps easier, one easier, one harder than the standard. */
type Easier2Easier1Harder = readonly [string, string, string];

/**
 * Practice easier and harder than the standard, as it is said to the pilot: box, time, wind, help, width or speed.
 * Two easier steps let most beginners meet about seven in ten. House defaults from common practice.
 */
export const PRACTICE_LEVELS: Readonly<Partial<Record<HouseDrillId, Easier2Easier1Harder>>> = {
  'single-stick': ['One axis, out and back', 'Two axes, one after the other', 'All four axes, twice as slow'],
  'half-thumb': [
    '10 s without a grab; the band two thumbs wide',
    '20 s without a grab; the band a whole thumb wide',
    '45 s without a grab or a visible swing',
  ],
  'soft-centre-stick': [
    'Two curves tried, 15 s each',
    'All three tried, 15 s each',
    'All three tried, eyes on the craft throughout, the calmest named before the timer ends',
  ],
  'never-coast': [
    'One side of the square, hands never idle',
    'One square, hands never idle while it moves',
    'Three squares, hands never idle while it moves',
  ],
  'stick-call': ['10 calls, as long as it takes', '20 calls, one wrong allowed', '20 calls, twice as fast'],
  'mirror-call': [
    '10 calls, nose to one side only',
    '20 calls, nose left, right and away',
    '20 calls, twice as fast',
  ],
  'pop-up-takeoff': [
    'Off in one push, ends within 3 paces of the spot',
    'Off in one push, ends within 2 paces of the spot',
    'Through the first span in one count, ends within half a pace, in light wind',
  ],
  'tail-in-hover': [
    '15 s within 3 m of the mark, position hold on',
    '30 s within 2.5 m of the mark',
    '60 s within 1.5 m of the mark, in light wind',
  ],
  'fore-aft-line': [
    '8 m out and back, stops within 3 paces',
    '15 m out and back, stops within 2 paces',
    'Within half a pace of the line, stops within a pace',
  ],
  'lateral-line': [
    '4 m each way, nose away, stops in between',
    'Within 2 paces of the line, nose does not wander',
    'Within half a pace of the line, twice as fast',
  ],
  'pad-landing': [
    'Soft, anywhere within 2 paces of the pad',
    'Soft, within a pace of the pad centre',
    'Soft, within a quarter pace of the pad centre, in light wind',
  ],
  'into-wind-hover': [
    '15 s within 3 paces, in light wind',
    '30 s within 2 paces, in light wind',
    '60 s within a pace, gusts included',
  ],
  'side-on-hover': [
    '5 s within 3 paces, turned only half way from tail-in',
    '10 s within 2 paces, one first move the wrong way allowed',
    '30 s within a pace, then a square flown side-on',
  ],
  'nose-in-hover': [
    '5 s within 4 paces, position hold on',
    '10 s within 3 paces, one first move the wrong way allowed',
    '30 s within a pace and a half, then a square flown nose-in',
  ],
  'clock-hover': [
    'The quarter held for 5 s within 4 paces, position hold on',
    'The quarter held for 5 s within 3 paces',
    'The quarter held for 15 s within a pace, called at random',
  ],
  'lead-walk': ['30 s tail-in, straight', '1 min tail-in, gentle bends', '2 min tail-in, at a brisk walk'],
  'tail-in-ring': [
    'A quarter ring, out and back',
    'One ring, distance within 3 paces',
    'Three rings, distance within a pace',
  ],
  'banked-s': [
    'One pass out and back, wide',
    'Two passes, height within 2 paces',
    'Six passes, height within half a pace',
  ],
  'home-by-readout': [
    'At 15 m, nose seen before it is turned away',
    'At 20 m, home within three pulses',
    'At 40 m, home at the first pulse',
  ],
  'look-away-recover': [
    'Looks away for 2 s, craft stays where it is',
    'Looks away for 3 s, craft turned a quarter',
    'Looks away for 8 s, craft moved and turned',
  ],
  'relative-mode-discipline': [
    'One start, each step said before it is done',
    'One start, the trainer asks for one step at random',
    'One start with a call to switch it off in the middle',
  ],
  'yaw-alone': [
    'Slow, yaw 45°, says what the path did',
    'Slow, yaw 90°, height within three paces',
    'At speed, yaw 90° both ways, height within a pace',
  ],
  'skid-turn': [
    'Slow, yaw 45°, skid said aloud',
    'Slow, yaw 90°, skid said aloud, then roll first',
    'At speed, both ways, nose within 10° of the path with roll',
  ],
  'lean-and-lift': [
    '15° only, no visible sink',
    '15° and 25°, no visible sink',
    '35° for 2 s, height within half a pace',
  ],
  'roll-then-look': [
    'One side, nose on the path within 6 s',
    'One side, nose on the path within 4 s',
    'Both ways at once, nose on the path within 2 s',
  ],
  'circle-both-ways': [
    'One lap, wide, height within 3 paces',
    'Two laps, height within 2 paces',
    'Four laps at half the radius',
  ],
  'circle-height-steps': [
    'One step down, one lap',
    'Two laps, each mark within a pace and a half',
    'Four laps, steps of 1.5 m',
  ],
  'figure-eight': [
    'One eight round posts 30 m apart',
    'Two eights, posts 25 m apart',
    'Four eights, posts 15 m apart',
  ],
  'orbit-the-post': [
    'A quarter round the post, nose on it',
    'One lap, distance within 3 paces',
    'Three laps, distance within a pace',
  ],
  'safe-posture': [
    'Upset told beforehand, safe within eight counts',
    'Gentle upset, safe within six counts',
    'Any upset, safe within three counts',
  ],
  'outside-lean': [
    'Simulator, slow, slides outward for 2 s',
    'Simulator, slides outward half way round',
    'Both ways in one go, height even',
  ],
  'slow-vertical': [
    'From 8 m, with a stop half way',
    'From 12 m, no shake',
    'From 20 m with the wind gusting, no shake',
  ],
  'slant-descent': [
    '6 m down over 30 m of way',
    '10 m down over 30 m of way',
    '15 m down over 20 m of way, no shake',
  ],
  'zigzag-descent': [
    'One slant each way, stays inside 20 paces',
    'Two slants each way, stays inside 16 paces',
    'Stays inside 8 paces, no shake',
  ],
  'wash-exit': [
    'Told when it begins, forward first',
    'Forward first, power second, in four counts',
    'At a moment unknown, lower by a third',
  ],
  'banked-turns-power': [
    'Two wide turns, throttle rising',
    'Five turns, nose near the path',
    'Ten tight turns, no sink',
  ],
  'power-turn': [
    'A quarter turn round the gate, throttle rising',
    'A half turn, wide and slow',
    'A half turn at speed, tight',
  ],
  'downwind-turn': [
    'In calm air, half turn with power',
    'Light wind, wide turn with power',
    'Breezy, tight turn, no slide back',
  ],
  'tumble-recovery': [
    'Told when, hands still, from high up',
    'At a moment unknown, gentle snap',
    'At a moment unknown, hard snap, lower by a third',
  ],
  'brake-to-mark': [
    'Slow setting, stops within 4 paces of the mark',
    'Slow setting, stops within 3 paces of the mark',
    'Fast setting, stops within a pace of the mark',
  ],
  'mode-stop-table': [
    'One setting, says the distance before',
    'Two settings, within a quarter of it',
    'Three settings, within a tenth of it, in light wind',
  ],
  'climb-over': [
    'Slow, called early, clears it by a pace',
    'Slow, clears it by a pace and a half',
    'Normal speed, called late, clears it by 2 paces',
  ],
  'turn-then-go': [
    'One retreat, each step said aloud',
    'Two retreats, each step said aloud',
    'Two retreats with somebody talking',
  ],
  'blind-side-brake': [
    'Sideways only, stopped within 5 paces',
    'Sideways and back, stopped within 4 paces',
    'Sideways and back, stopped within 2 paces',
  ],
  'stand-off-judging': [
    'At 10 m, within 4 m by the tape',
    'At 10 m, within 3 m by the tape',
    'At 30 m, within 2 m by the tape',
  ],
  'slow-slalom': ['Two poles, wide apart', 'Four poles, no touch', 'Six poles, half as far apart'],
  'gap-ladder': [
    'At twice the width, through it',
    'A step wider, through the middle',
    'A little faster, through the middle half',
  ],
  'gap-chain': [
    'One gap, then look for the next',
    'Two gaps, through the middle',
    'All three, a little faster',
  ],
  'portal-drop': [
    'Twice the width, without a touch',
    'A step wider, without a touch',
    'Through and back, without a touch',
  ],
  'under-roof-pass': [
    'Half way in and straight back out',
    'One pass, height within a pace',
    'One pass and back, height even',
  ],
  'hold-off-hover': ['10 s within 5 paces', '20 s within 4 paces', '45 s within 2 paces'],
  'hold-off-line': ['8 m, stops within 4 paces', '15 m, stops within 3 paces', '25 m, stops within a pace'],
  'surprise-hold-loss': [
    'Told when, said within two counts',
    'At a moment unknown, said within four counts',
    'During a line, said within two counts, less than 4 paces lost',
  ],
  'leg-circuit': [
    'One leg, within 4 paces of the mark',
    'One circuit, within 3 paces of each mark',
    'Two circuits, within a pace of each mark',
  ],
  'crab-leg': [
    '10 m in light wind, within 4 paces',
    '20 m, within 3 paces of the line',
    '30 m, within a pace of the line',
  ],
  'airflow-step': [
    'In only, moved less than 3 paces',
    'In and out, moved less than 2 paces',
    'In and out at twice the speed, moved less than a pace',
  ],
  'return-takeover': [
    'Each step said aloud, flown half way home',
    'Taken over when told, flown home',
    'Taken over at a call unknown, flown home and stopped on the spot',
  ],
  'turn-back-call': [
    'Called with the figure on the screen',
    'Called within a fifth of the way',
    'Called within a twentieth of the way',
  ],
  'pause-then-talk': [
    'Told that somebody will speak: craft first',
    'Spoken to once: craft first, answer second',
    'Two people at once: craft first, answer second',
  ],
  'release-drill': [
    'Hovering: hands off on the call',
    'Slow forward: hands off on the call',
    'At speed and turning: hands off on the call, left off until it stands',
  ],
  'leave-low': [
    'Told when, 4 m down on a slant',
    'On the call, 8 m down, slowly',
    'On the call during a turn, down and away on a slant',
  ],
  'setting-readback': [
    'One setting said right, stop within 4 paces',
    'Two settings said right, stops within 3 paces',
    'Three said right, stops within a pace',
  ],
  'clear-the-line': [
    'Told when, stops and goes aside',
    'On the call, side told beforehand',
    'On the call at normal speed, stops short of the cone',
  ],
  'camera-scan': [
    'Hovering: eyes up on the call, says the distance',
    'Slow circuit: height and distance within a half',
    'Height and distance within a quarter, two nearest things right',
  ],
  'sensor-find-out': [
    'From ahead, slow: said right',
    'Ahead and behind, slow: said right',
    'Twig and net, normal: said right',
  ],
  'tilt-hands': ['10 s in a wide box', '20 s in the box, eyes up', 'Box and a square, eyes up throughout'],
};

/** A level beside the standard, in words. */
export const LEVEL_BESIDE_STANDARD: Readonly<Record<Level, string>> = {
  [-2]: 'two steps easier than the standard',
  [-1]: 'a step easier than the standard',
  0: 'at the standard',
  1: 'a step harder than the standard',
};
