import type {
  Answers,
  ChoiceQuestion,
  NumberQuestion,
  Question,
  EvidenceCluster,
  Unit,
  Value,
} from './question';

type When = Question['when'];

const values = (text: string): readonly Value[] =>
  text.split(' | ').map((each) => {
    const [id = '', label = ''] = each.split(': ');
    return { id, label };
  });

const choice = <const Id extends string>(
  id: Id,
  short: string,
  ask: string,
  story: EvidenceCluster,
  text: string,
  when?: When,
): ChoiceQuestion<Id> => ({
  kind: 'choice',
  id,
  short,
  ask,
  story,
  values: values(text),
  ...(when ? { when } : {}),
});

const amount = <const Id extends string>(
  id: Id,
  short: string,
  ask: string,
  story: EvidenceCluster,
  unit: Unit,
  least: number,
  most: number,
  spread: number,
  when?: When,
): NumberQuestion<Id> => ({
  kind: 'number',
  id,
  short,
  ask,
  story,
  unit,
  least,
  most,
  spread,
  ...(when ? { when } : {}),
});

const is = (known: Answers, id: string, ...wanted: readonly string[]) =>
  wanted.includes(known.choices[id] ?? '');
/** Open unless it was answered otherwise. */
const mayBe = (known: Answers, id: string, ...wanted: readonly string[]) =>
  known.choices[id] === undefined || known.choices[id] === 'unknown' || is(known, id, ...wanted);
const turning: When = (known) =>
  is(known, 'phase', 'turn') ||
  is(known, 'travel', 'descending-turn', 'sideways') ||
  (known.choices['phase'] === undefined && known.choices['travel'] === undefined);
const nearGround: When = (known) =>
  mayBe(known, 'phase', 'takeoff', 'landing', 'ground') || (known.numbers['height_m']?.value ?? 9) < 1;
const returning: When = (known) => is(known, 'auto_return', 'commanded', 'link-loss', 'battery');
const metSomething: When = (known) =>
  mayBe(known, 'obstacle_side', 'ahead', 'behind', 'side', 'above', 'below');

/** In the order in which a debrief usually goes when nothing yet says which would tell most. */
const ROWS = [
  choice(
    'phase',
    'Phase',
    'What was being flown?',
    'phase',
    'ground: On the ground | takeoff: Take-off | hover: Hover | cruise: Straight flight | turn: Turn | descent: Descent | gap: Gap or gate | return: Coming back | landing: Landing',
  ),
  choice(
    'view',
    'View',
    'How did you see it?',
    'sight',
    'direct-sight: By eye | camera-view: On the camera | both: Both',
  ),
  choice(
    'nose',
    'Nose',
    'Where did the nose point, seen from you?',
    'mirror',
    'away: Away from the pilot | left: To the left | right: To the right | toward: Toward the pilot | unknown: The pilot could not tell',
  ),
  choice(
    'nose_believed',
    'Nose believed',
    'Where did you think the nose pointed?',
    'mirror',
    'away: Away | left: To the left | right: To the right | toward: Toward me | unsure: Was not sure',
    (known) => !is(known, 'nose', 'away'),
  ),
  choice(
    'first_move',
    'First correction',
    'Your first correction: which way did it go?',
    'mirror',
    'as-meant: As meant | opposite: The opposite way | sideways: Sideways to it | nothing: Nothing happened | unknown: Not known',
  ),
  choice(
    'correction_effect',
    'Corrections',
    'What did the corrections do?',
    'mirror',
    'shrank: Made it better | grew: Made it worse | oscillated: Swung to and fro | none: Did nothing | unknown: Not known',
  ),
  choice(
    'travel',
    'Movement',
    'How was it moving just before?',
    'wash',
    'stationary: Standing still | forward: Forward | backward: Backward | sideways: Sideways | straight-down: Straight down | slant-down: Down on a slant | descending-turn: Turning and sinking | climbing: Climbing | circling: Circling by itself, wider and wider | orbit: Flown round something',
  ),
  choice(
    'path_folded',
    'Path folded back',
    'Did the path turn back through the air it had just left?',
    'wash',
    'yes: Yes | no: No | unknown: Not known',
    turning,
  ),
  choice(
    'height_trend',
    'Height',
    'Height in the last seconds, against what was meant?',
    'height',
    'steady: Steady | falling: Falling | rising: Rising | unknown: Not known',
  ),
  choice(
    'power_in_turn',
    'Power in the turn',
    'Throttle through the turn?',
    'wash',
    'rising: Rising | steady: Steady | low: Low | unknown: Not known',
    turning,
  ),
  choice(
    'motor_sound',
    'Motors',
    'How did the motors sound?',
    'wash',
    'steady: Steady | surging: Surging | stopped: Stopped | unknown: Not known',
  ),
  amount('speed_mps', 'Speed', 'How fast was it moving?', 'obstacle', 'm/s', 0, 60, 0.25),
  amount('descent_mps', 'Sink rate', 'How fast was it sinking?', 'wash', 'm/s', 0, 30, 0.3, (known) =>
    mayBe(known, 'travel', 'straight-down', 'slant-down', 'descending-turn'),
  ),
  amount('height_m', 'Height above ground', 'How high was it?', 'ground', 'm', 0, 500, 0.25),
  amount('distance_m', 'Distance', 'How far away was it?', 'sight', 'm', 0, 10_000, 0.25),
  choice(
    'yaw_burst',
    'Nose swing',
    'How far was the nose swung within about a second?',
    'wash',
    'none: Not at all | quarter: About a quarter turn | half-or-more: Half a turn or more',
    turning,
  ),
  choice(
    'snap',
    'Snap',
    'What did its attitude do?',
    'wash',
    'none: Nothing sudden | wobble: Wobbled | one-side: One side dropped | flip: Flipped over',
  ),
  choice(
    'yaw_without_roll',
    'Turned with yaw alone',
    'Was the turn asked for with yaw alone?',
    'hands',
    'yes: Yes | no: No',
    turning,
  ),
  choice(
    'flight_mode',
    'Mode',
    'Which mode was it in?',
    'hold',
    'rate: Rate | self-level: Self-level | height-hold: Height hold | position-hold: Position hold | programmed: Programmed',
  ),
  choice(
    'controller',
    'Controller',
    'What was in your hands?',
    'hands',
    'sticks: Sticks | motion: Motion controller | touch: Touch screen',
  ),
  choice(
    'pilot_relative',
    'Pilot-relative',
    'Was forward fixed to the pilot?',
    'relative',
    'on: On | off: Off',
    (_, craft) => craft.hasPilotRelative,
  ),
  choice(
    'hold_expected',
    'Hold believed on',
    'Did you believe position hold was on?',
    'hold',
    'yes: Yes | no: No',
  ),
  choice(
    'drift_direction',
    'Slid',
    'Which way did it slide?',
    'hold',
    'downwind: With the air | own-momentum: On its own way | neither: Neither | unknown: Not known',
  ),
  choice(
    'throttle_response',
    'More throttle',
    'What did more throttle do?',
    'wash',
    'normal: The usual | soft: Too little | none: Nothing | not-tried: Not tried',
  ),
  choice(
    'position_hold',
    'Position hold',
    'Position hold at the time?',
    'hold',
    'on: On and healthy | off: Off | dropped: Dropped out | not-to-be-had: Not to be had there | unknown: Not known',
  ),
  choice(
    'height_hold',
    'Height hold',
    'Height hold at the time?',
    'height',
    'on: On | off: Off | unknown: Not known',
    (known, craft) => craft.hasHeightHold && mayBe(known, 'height_trend', 'falling', 'rising'),
  ),
  choice(
    'position_fix',
    'Position fix',
    'How good was its position?',
    'hold',
    'good: Good | weak: Weak | none: None',
  ),
  choice(
    'home_point',
    'Home point',
    'Where did it believe home was?',
    'failsafe',
    'right: In the right place | moved: Moved, not known which | moved-by-itself: Moved by itself | left-behind: Left behind by pilot, boat or car | not-set: Not set | wrong: In a wrong place | unknown: Not known',
    (known) =>
      mayBe(known, 'auto_return', 'commanded', 'link-loss', 'battery') || is(known, 'travel', 'circling'),
  ),
  choice(
    'calibration',
    'Heading calibration',
    'Heading sensor, at this place?',
    'heading',
    'done: Calibrated | not-done: Not calibrated | near-metal: Near metal',
  ),
  choice(
    'speed_setting',
    'Setting',
    'Which speed setting?',
    'obstacle',
    'slow: Slow | normal: Normal | fast: Fast',
  ),
  choice(
    'setting_expected',
    'Setting believed',
    'Was it in the setting you believed?',
    'settings',
    'same: As believed | different: Another',
  ),
  choice(
    'setting_why',
    'Why another setting',
    'How did it come to be another one?',
    'settings',
    'default-after-power-up: The default after power-up | switch-knocked: The switch was knocked | left-over: Left from the last flight | not-enabled: The switch was not enabled | changed-by-itself: Changed by itself | unknown: Not known',
    (known) => is(known, 'setting_expected', 'different'),
  ),
  choice(
    'who_flew',
    'Whose hands',
    'Whose hands were on it?',
    'undone',
    'pilot: The pilot | trainer: The trainer | unsure: Not clear who had it',
  ),
  choice(
    'mode_toggled',
    'Switched in flight',
    'Was anything switched in flight?',
    'settings',
    'none: Nothing | pilot-relative: Pilot-relative | position-hold: Position hold | speed: Speed setting | other: Something else',
  ),
  choice(
    'pilot_moved',
    'Pilot moved',
    'Had you walked or turned since take-off?',
    'relative',
    'yes: Yes | no: No',
    (known) => is(known, 'pilot_relative', 'on') || is(known, 'mode_toggled', 'pilot-relative'),
  ),
  choice(
    'sensors',
    'Obstacle sensors',
    'Obstacle sensors on that side?',
    'obstacle',
    'on: On | off: Off | none: None there',
    metSomething,
  ),
  choice(
    'obstacle_side',
    'Obstacle side',
    'Where was the obstacle, seen from the craft?',
    'obstacle',
    'ahead: Ahead | behind: Behind | side: To the side | above: Above | below: Below | none: There was none',
  ),
  choice(
    'obstacle_kind',
    'Obstacle',
    'What was it?',
    'obstacle',
    'solid: Solid | thin: Thin (twig, net) | wire: Wire or cable | roof: Roof or deck | person: A person | ground: The ground | water: Water | none: Nothing',
    metSomething,
  ),
  choice(
    'noticed',
    'Noticed',
    'Did you notice it before contact?',
    'obstacle',
    'in-time: In time | late: Late | never: Never',
    metSomething,
  ),
  amount(
    'seen_at_m',
    'First seen at',
    'How far off was it when you first saw it?',
    'obstacle',
    'm',
    0,
    1000,
    0.3,
    (known) => is(known, 'noticed', 'in-time', 'late') || is(known, 'obstacle_side', 'ahead'),
  ),
  amount(
    'gap_ratio',
    'Gap width',
    'How wide was the gap, in spans of the craft?',
    'gap',
    'spans',
    1,
    50,
    0.15,
    (known) => is(known, 'phase', 'gap'),
  ),
  choice(
    'gap_reason',
    'First at the gap',
    'What went wrong first at the gap?',
    'gap',
    'slow-entry: Entered too slowly | air-moved-it: The air moved it | hands-twitched: Hands twitched | eyes-on-frame: Eyes on the frame | hesitated: Hesitated | height-bobbed: Height bobbed | next-not-ready: Not set up for the next',
    (known) => is(known, 'phase', 'gap'),
  ),
  choice(
    'place',
    'Place',
    'What was around?',
    'place',
    'open: Open ground | trees: Trees | indoors: Indoors | under-structure: Under a structure | built-up: Walls near | water: Water',
  ),
  amount('wind_mps', 'Wind', 'How much wind at flying height?', 'air', 'm/s', 0, 40, 0.25),
  amount(
    'gust_mps',
    'Gusts',
    'And in the gusts?',
    'air',
    'm/s',
    0,
    60,
    0.25,
    (known) => (known.numbers['wind_mps']?.value ?? 3) >= 2,
  ),
  choice(
    'wind_side',
    'Wind from',
    'Where did the wind come from, against the way it was moving?',
    'air',
    'head: Ahead | tail: Behind | cross: Across | calm: Calm',
  ),
  choice(
    'airflow_step',
    'Airflow changed',
    'Did it enter or leave a jet, doorway or lee?',
    'air',
    'yes: Yes | no: No',
  ),
  amount('battery_pct', 'Battery', 'How much battery was left?', 'energy', '%', 0, 100, 3),
  choice(
    'low_battery',
    'Battery warning',
    'Was there a battery warning?',
    'energy',
    'none: None | heeded: Given and heeded | ignored: Given and ignored',
  ),
  choice(
    'link',
    'Radio link',
    'How was the radio link?',
    'link',
    'steady: Steady | video-lost: Picture lost | control-lost: Control lost',
  ),
  choice(
    'radio_path',
    'Radio path',
    'Anything solid, or strong radio, between?',
    'link',
    'clear: Clear | blocked: Blocked | unknown: Not known',
  ),
  choice(
    'camera_view',
    'Picture',
    'How was the picture?',
    'sight',
    'level: Level | tilted: Tilted | too-dark: Too dark | too-bright: Too bright | frozen: Frozen | fogged: Fogged over',
    (known) => mayBe(known, 'view', 'camera-view', 'both'),
  ),
  choice(
    'picture_delay',
    'Picture late',
    'Was the picture late or jumping?',
    'sight',
    'none: No | noticed: Yes | unknown: Not known',
    (known) => mayBe(known, 'view', 'camera-view', 'both'),
  ),
  choice(
    'auto_return',
    'Automatic return',
    'Automatic return or landing?',
    'failsafe',
    'none: None | commanded: Asked for | link-loss: Link lost | battery: Battery',
  ),
  choice(
    'auto_phase',
    'Return was',
    'What was the return doing?',
    'failsafe',
    'climbing: Climbing | on-the-way: On the way | landing: Landing | cancelled: Cancelled',
    returning,
  ),
  amount(
    'return_height_m',
    'Return height',
    'Return height as set?',
    'failsafe',
    'm',
    0,
    500,
    0.05,
    returning,
  ),
  amount(
    'tallest_m',
    'Tallest thing',
    'How high was the tallest thing on the way?',
    'failsafe',
    'm',
    0,
    500,
    0.2,
    returning,
  ),
  choice(
    'sticks_before',
    'Hands',
    'What did the hands do just before?',
    'hands',
    'small: Small inputs | large: Large inputs | released: Let go | held-on: One left on unnoticed | wrong-stick: The wrong stick | wrong-way: The right stick, the wrong way',
  ),
  choice(
    'motors_cut',
    'Motors cut',
    'Did you stop the motors in the air?',
    'hands',
    'no: No | deliberate: On purpose | by-mistake: By mistake',
  ),
  choice(
    'attention',
    'Attention',
    'Where were eyes and mind?',
    'mind',
    'on-craft: On the craft | on-screen: On the screen | talked-to: Somebody talked | looked-away: Looked away | mind-elsewhere: The mind elsewhere',
  ),
  choice(
    'feeling',
    'Feeling',
    'How did it feel?',
    'mind',
    'calm: Calm | tense: Tense | froze: Froze | startled: Startled | rushed: Rushed | celebrating: Celebrating',
  ),
  choice(
    'light',
    'Light',
    'How was the light against the sky?',
    'sight',
    'clear: Clear | glare: Glare | dusk: Dusk | silhouette: Only a silhouette',
  ),
  choice(
    'surface',
    'Under the feet',
    'What was under the feet?',
    'ground',
    'hard: Hard and level | grass: Grass | rough: Rough | moving: Moving',
    nearGround,
  ),
  choice(
    'precipitation',
    'Rain',
    'Rain, fog or spray?',
    'weather',
    'none: None | fog: Fog | light: A little | rain: Rain',
  ),
  choice(
    'craft_check',
    'Pre-flight check',
    'Was the craft checked before flight?',
    'condition',
    'passed: Passed | not-done: Not done | defect: Defect found',
  ),
  choice(
    'after_inspection',
    'Looked over after',
    'Looked over afterwards, damage from the impact aside?',
    'condition',
    'sound: Sound | fault-found: A fault found',
  ),
  choice(
    'in_sight',
    'In sight',
    'Was the craft itself in sight?',
    'sight',
    'yes: Yes | barely: Barely | no: No',
  ),
  amount(
    'visibility_m',
    'Visibility',
    'How far could one see?',
    'sight',
    'm',
    10,
    100_000,
    0.3,
    (known) => is(known, 'in_sight', 'barely', 'no') || (known.numbers['distance_m']?.value ?? 0) > 100,
  ),
  choice('wildlife', 'Birds', 'Were there birds about?', 'animals', 'none: None | near: Near'),
  choice(
    'over_people',
    'Over people',
    'Did it fly over people who were not part of it?',
    'people',
    'no: No | yes: Yes',
  ),
  amount(
    'people_m',
    'Nearest person',
    'How near was anybody who was not part of it?',
    'people',
    'm',
    0,
    1000,
    0.3,
    (known) => is(known, 'over_people', 'yes') || is(known, 'obstacle_kind', 'person'),
  ),
  choice(
    'left_undone',
    'Left undone',
    'Was a step left out, before or after?',
    'undone',
    'none: None | legs: The legs | cover-or-clamp: Cover or clamp | inside-ring: Took off too near to the pilot | home-not-set: Home not set | setting-not-slow: Slow setting not taken | motors-running: Motors not stopped | recording: Recording | other: Another',
    (known) => mayBe(known, 'phase', 'takeoff', 'landing', 'ground', 'return'),
  ),
];
export type QuestionId = (typeof ROWS)[number]['id'];

export const QUESTIONS: readonly Question<QuestionId>[] = ROWS;

const BY_ID: ReadonlyMap<string, Question<QuestionId>> = new Map(
  QUESTIONS.map((question) => [question.id, question]),
);

export const isQuestionId = (id: string): id is QuestionId => BY_ID.has(id);

/** @throws RangeError when there is no such question */
export function questionOf(id: string): Question<QuestionId> {
  const question = BY_ID.get(id);
  if (!question) throw new RangeError(`There is no question "${id}".`);
  return question;
}

export const labelOf = (question: ChoiceQuestion, value: string): string =>
  question.values.find((each) => each.id === value)?.label ?? value;
