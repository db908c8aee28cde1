import type { HouseDrillId } from '@skelby/core/drills/drills';

/** What a trainer watches for, from common practice. */
export interface Coaching {
  readonly mistakes: readonly [string, string];
  /** When to end it, before anything breaks. */
  readonly stop: string;
}

const of = (first: string, second: string, stop: string): Coaching => ({ mistakes: [first, second], stop });

const TIRED = 'Three misses in a row, or hands that hurry: rest, then an easier step.';
const CLOSE = 'It comes within 4 m of anybody, or a second correction goes the wrong way: land.';
const HIGH = 'Below the height agreed on: recover, climb, talk, then again.';
const WALL = 'Any touch, or a wobble on the way in: back out, check the rotors, go one step wider.';
const HOLD = 'It drifts past half the clear room: hold on, or land.';
const TALK = 'Guessing instead of answering: slow down, or end the round.';

export const COACHING_WORDS: Readonly<Record<HouseDrillId, Coaching>> = {
  'single-stick': of(
    'The thumb slides round and takes a second axis along',
    'Throttle creeps while the eyes are on yaw',
    TIRED,
  ),
  'half-thumb': of('Waits, then grabs', 'Holds the breath and stiffens', TIRED),
  'soft-centre-stick': of(
    'Judges by feel instead of by the wobble',
    'Changes two things at once',
    'The softest curve leaves too little stick to stop: go back one.',
  ),
  'never-coast': of('Lets go to think', 'Looks at the hands', HIGH),
  'stick-call': of('Answers with the eyes first and the thumb late', 'Moves two sticks to be safe', TALK),
  'mirror-call': of('Mirrors yaw as well', 'Turns the head or the body to cheat the mirror', TALK),
  'motor-cut-discipline': of(
    'Practises the gesture with rotors on and hands near',
    'Cannot say when it may be used',
    'Anyone within reach of the rotors: battery out first.',
  ),
  'pop-up-takeoff': of(
    'Creeps up through its own blown-back air',
    'Looks at the screen during the lift',
    'It tips or slides at lift-off: throttle off, look at the ground and the rotors.',
  ),
  'tail-in-hover': of(
    'Corrects each twitch instead of the drift',
    'Forgets height while minding place',
    TIRED,
  ),
  'fore-aft-line': of('Brakes only at the mark', 'Lets the nose wander on the way back', TIRED),
  'lateral-line': of('Yaws to help the slide', 'Leans the wrong way to stop', TIRED),
  'pad-landing': of(
    'Chases the pad in the last half metre',
    'Lets go of the throttle before the motors stand',
    'A slide over the pad: climb, breathe, again. Never catch it by hand.',
  ),
  'hover-check': of(
    'Skips the list on the second pack',
    'Checks near the face instead of 3 m off',
    'Anything new in sound, wobble or video: land and find it.',
  ),
  'into-wind-hover': of(
    'Takes the lean out in each lull',
    'Stares at the craft and misses the gust coming over the grass',
    'A gust holds it at full lean: land.',
  ),
  'side-on-hover': of('First move from memory of tail-in', 'Yaws back to tail-in by reflex', CLOSE),
  'nose-in-hover': of('Pulls to stop it coming, and brings it on', 'Mirrors yaw too', CLOSE),
  'clock-hover': of('Hurries through the nose-in quarter', 'Lets it climb while turning', CLOSE),
  'lead-walk': of(
    'Looks at the feet on bends',
    'Lets it get too far ahead to read',
    'Uneven ground or somebody on the path: stop it, then stop walking.',
  ),
  'tail-in-ring': of('Yaw lags and the tail swings away', 'Ring grows downwind', TIRED),
  'banked-s': of(
    'Turns toward itself at the ends',
    'Sinks in the turn',
    'Nose toward the pilot even once: stop and walk it through.',
  ),
  'home-by-readout': of(
    'Flies long legs before reading',
    'Trusts the first guess after two wrong pulses',
    'Lost twice in a row or past 40 m: the trainer brings it home.',
  ),
  'look-away-recover': of('Moves before naming the nose', 'Reaches for the return button first', CLOSE),
  'relative-mode-discipline': of(
    'Walks about with it on',
    'Spins it for fun and spoils its reference',
    'The craft and its reference disagree: off, tail-in, land.',
  ),
  'yaw-alone': of('Expects the path to follow the nose', 'Rolls by reflex before having looked', HIGH),
  'skid-turn': of('Adds roll before the skid was seen', 'Rolls late and drags the tail round', HIGH),
  'lean-and-lift': of(
    'Adds power after it has sunk',
    'Keeps the power when levelling, and balloons',
    'Less than half the clear run left: level and brake.',
  ),
  'roll-then-look': of('Yaws first', 'Stops yawing before the ground comes straight', HIGH),
  'circle-both-ways': of('Flies a square', 'Good one way, guesses the other', TIRED),
  'circle-height-steps': of(
    'Changes height in the curve too',
    'Speeds up going down',
    'Under 2 m at any mark: back to a level circle.',
  ),
  'figure-eight': of('Crosses late and cuts the second circle', 'Height pumps at the crossing', TIRED),
  'orbit-the-post': of(
    'Yaw and roll take turns instead of balancing',
    'Creeps in on the post',
    'Closer than half the radius: stop it, back off.',
  ),
  'safe-posture': of('Tries to hover first', 'Levels before knowing which way it moves', HIGH),
  'outside-lean': of('Tries it low', 'Adds it to a turn that is already slipping', HIGH),
  'slow-vertical': of(
    'Lets it run away near the ground',
    'Adds power late and hard',
    'It shakes or drops: forward, out of it, then power.',
  ),
  'slant-descent': of(
    'Stops moving to look',
    'Dives instead of slanting',
    'It shakes: more forward, less sink.',
  ),
  'zigzag-descent': of(
    'Sinks fastest at the reversal',
    'Drifts out of the space',
    'It shakes at a reversal: fly out level, climb, again.',
  ),
  'wash-exit': of('Power first', 'Waits for it to recover by itself', HIGH),
  'banked-turns-power': of('Keeps the throttle where it was', 'Drags the tail round with yaw', HIGH),
  'power-turn': of(
    'Folds back through its own air',
    'Chops the throttle to tighten the turn',
    'It shakes in the turn: straight on, climb, wider next time.',
  ),
  'downwind-turn': of(
    'Turns as tight as into the wind',
    'Judges speed by the ground',
    'It slides back once: straight on, climb, wider.',
  ),
  'tumble-recovery': of('Fights it while it snaps', 'Full power while upside down', HIGH),
  'brake-to-mark': of(
    'Calls the point after braking',
    'Braking hides behind the slow setting',
    'Past the mark by more than 4 m: slower setting, longer run.',
  ),
  'mode-stop-table': of(
    'Measures once and believes it',
    'Measures without wind and flies with it',
    'Less clear room than the last stop took: bring the start back.',
  ),
  'climb-over': of(
    'Brakes as well, and gains nothing',
    'Climbs late and scrapes',
    'Under 1 m over it: further out, earlier call.',
  ),
  'turn-then-go': of(
    'Backs "just a little"',
    'Yaws while still moving',
    'Anything behind it that has not been looked at: stop.',
  ),
  'blind-side-brake': of(
    'Speeds up once it feels safe',
    "Argues with the spotter's call",
    'The spotter loses sight of the gap: stop.',
  ),
  'stand-off-judging': of(
    'Judges by the screen',
    'Always errs the same way and never corrects for it',
    'Within 5 m of the pole: that was the last one, measure.',
  ),
  'recce-walk': of(
    'Looks at eye height only',
    'Walks the line, not its end and its way out',
    'Somebody is in the line: speak to them before anything else.',
  ),
  'slow-slalom': of('Slides round the poles', 'Looks at the pole instead of the gap', WALL),
  'gap-ladder': of('Slows to a wobble in the gap', 'Stares at the frame', WALL),
  'gap-chain': of('Celebrates the first gate', 'Lines up inside the gate instead of before it', WALL),
  'portal-drop': of('Brakes in the opening', 'Camera still tilted when level flight begins', WALL),
  'under-roof-pass': of(
    'Climbs as soon as the edge is behind the eye',
    'Starts with a battery that may call it home',
    'Any warning from battery, link or hold: back out the way it came.',
  ),
  'hold-off-hover': of('Waits for it to stop by itself', 'Takes the lean out when it stands', HOLD),
  'hold-off-line': of('Lets go to brake', 'Brakes too long and slides back', HOLD),
  'surprise-hold-loss': of('Says it after acting', 'Climbs under cover', HOLD),
  'leg-circuit': of(
    'Flies the old height without height hold',
    'Expects a smooth catch when hold comes back',
    HOLD,
  ),
  'crab-leg': of(
    'Points the nose into the wind and drifts',
    'Rolls only after drifting off',
    'Off the line by more than 4 m toward anything: up, then back.',
  ),
  'airflow-step': of(
    'Takes the lean out only after leaving',
    'Comes in faster to get it over',
    'Moved more than 2 m: out to calm air, talk.',
  ),
  'mode-readback': of('Reads the switch', 'Reads by heart', TALK),
  'preflight-aloud': of(
    'Says it without touching it',
    'Starts over after an interruption in the middle instead of at the top',
    'Anything loose, cracked or unknown: no flight.',
  ),
  'failsafe-brief': of(
    "Copies the last site's height",
    'Cannot say why',
    'The reasons are not there: no flight here yet.',
  ),
  'return-takeover': of(
    'Fights the return instead of cancelling it',
    'Forgets the nose when taking over',
    'It does not answer to the sticks: let it return, keep its path clear.',
  ),
  'turn-back-call': of(
    'Calls by feel',
    'Forgets that home is upwind',
    'The warning comes before the call: home at once.',
  ),
  'upwind-first': of('Plans by the map, not the wind', 'Spends the reserve on the last shot', TALK),
  'land-by-reserve': of(
    '"One more run"',
    'Counts from the warning instead of the reserve',
    'At the reserve: down, wherever that safely is.',
  ),
  'link-walk': of(
    'Reads in one place',
    'Holds the aerial end-on',
    'Traffic, water or uneven ground ahead: stop walking.',
  ),
  'pause-then-talk': of('Answers first', 'Lets go in manual mode', 'Talk goes on: land first.'),
  'spotter-shield': of(
    'Looks round at a voice',
    'The spotter leaves to help',
    'Somebody walks toward the landing: land elsewhere or wait up high.',
  ),
  'breathe-and-brief': of(
    'Rattles it off',
    'Skips the way out',
    'Shaking or short of breath: no flight, a walk.',
  ),
  'release-drill': of(
    'Keeps a thumb on yaw',
    'Grabs again before it stands',
    'It does not stop by itself: hold is not working, land.',
  ),
  'chop-decision': of('Saves the craft with somebody below', 'Cuts it from height over clear ground', TALK),
  'leave-low': of('Climbs or dashes', 'Stays to watch', 'The bird comes again: land, move, wait.'),
  'calibrate-here': of(
    'Calibrates where the car stands',
    'Skips the hover check because it took long',
    'The heading still creeps in the hover: do not fly here.',
  ),
  'setting-readback': of(
    'Says where the switch stands instead of what the display shows',
    'Looks for the cone and forgets the setting',
    'It runs past the farthest cone: land, and measure the stops again.',
  ),
  'lost-link-choice': of(
    'Says "return" everywhere',
    'Forgets what lies beneath',
    'Two wrong in a row: fill a card for this site together.',
  ),
  'clear-the-line': of(
    'Goes over instead of aside',
    'Watches the cone and not the craft',
    'It passes over the cone, or nears the pilot: land.',
  ),
  'camera-scan': of(
    'Reads the height from the screen',
    'Looks up without stopping and drifts',
    'More than five seconds off the craft: stop, and hover.',
  ),
  'camera-set': of('Leaves the tilt of the last task', 'Sets exposure on the sky', TALK),
  'prelanding-aloud': of('Says the list and does not look', 'Takes a hand off before the motors stand', TALK),
  'sensor-find-out': of(
    'Says afterwards what was clear beforehand',
    'Trusts it in fast',
    'It does not slow down where it should: full stop by hand, end.',
  ),
  'tilt-hands': of('Looks at the phone to find level', 'Tilts the wrists and the elbows too', TIRED),
  'go-no-go': of(
    'Decides first and finds reasons after',
    'Leaves people out of it',
    'No clear yes: it is a no.',
  ),
};

/** What to watch for in any drill that the school has written itself. */
export const OWN_COACHING: Coaching = of(
  'Hurries to the next try',
  'Watches the screen instead of the craft',
  TIRED,
);
