import type { Answers, ChoiceQuestion, NumberQuestion, Question, EvidenceCluster, Value } from './question';

type When = Question['when'];

const values = (text: string): readonly Value[] =>
  text.split(' | ').map((each) => {
    const [id = '', label = ''] = each.split(': ');
    return { id, label };
  });

const choice = <const Id extends string>(
  id: Id,
  [short, ask]: readonly [string, string],
  story: EvidenceCluster,
  { values: text, when }: { readonly values: string; readonly when?: When },
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
  [short, ask]: readonly [string, string],
  story: EvidenceCluster,
  limits: Pick<NumberQuestion, 'unit' | 'least' | 'most' | 'spread' | 'when'>,
): NumberQuestion<Id> => ({ kind: 'number', id, short, ask, story, ...limits });

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
  choice('phase', ['Phase', 'What was being flown?'], 'phase', {
    values:
      'ground: On the ground | takeoff: Take-off | hover: Hover | cruise: Straight flight | turn: Turn | descent: Descent | gap: Gap or gate | return: Coming back | landing: Landing',
  }),
  choice('view', ['View', 'How did you see it?'], 'sight', {
    values: 'direct-sight: By eye | camera-view: On the camera | both: Both',
  }),
  choice('nose', ['Nose', 'Where did the nose point, seen from you?'], 'mirror', {
    values:
      'away: Away from the pilot | left: To the left | right: To the right | toward: Toward the pilot | unknown: The pilot could not tell',
  }),
  choice('nose_believed', ['Nose believed', 'Where did you think the nose pointed?'], 'mirror', {
    values: 'away: Away | left: To the left | right: To the right | toward: Toward me | unsure: Was not sure',
    when: (known) => !is(known, 'nose', 'away'),
  }),
  choice('first_move', ['First correction', 'Your first correction: which way did it go?'], 'mirror', {
    values:
      'as-meant: As meant | opposite: The opposite way | sideways: Sideways to it | nothing: Nothing happened | unknown: Not known',
  }),
  choice('correction_effect', ['Corrections', 'What did the corrections do?'], 'mirror', {
    values:
      'shrank: Made it better | grew: Made it worse | oscillated: Swung to and fro | none: Did nothing | unknown: Not known',
  }),
  choice('travel', ['Movement', 'How was it moving just before?'], 'wash', {
    values:
      'stationary: Standing still | forward: Forward | backward: Backward | sideways: Sideways | straight-down: Straight down | slant-down: Down on a slant | descending-turn: Turning and sinking | climbing: Climbing | circling: Circling by itself, wider and wider | orbit: Flown round something',
  }),
  choice(
    'path_folded',
    ['Path folded back', 'Did the path turn back through the air it had just left?'],
    'wash',
    { values: 'yes: Yes | no: No | unknown: Not known', when: turning },
  ),
  choice('height_trend', ['Height', 'Height in the last seconds, against what was meant?'], 'height', {
    values: 'steady: Steady | falling: Falling | rising: Rising | unknown: Not known',
  }),
  choice('power_in_turn', ['Power in the turn', 'Throttle through the turn?'], 'wash', {
    values: 'rising: Rising | steady: Steady | low: Low | unknown: Not known',
    when: turning,
  }),
  choice('motor_sound', ['Motors', 'How did the motors sound?'], 'wash', {
    values: 'steady: Steady | surging: Surging | stopped: Stopped | unknown: Not known',
  }),
  amount('speed_mps', ['Speed', 'How fast was it moving?'], 'obstacle', {
    unit: 'm/s',
    least: 0,
    most: 60,
    spread: 0.25,
  }),
  amount('descent_mps', ['Sink rate', 'How fast was it sinking?'], 'wash', {
    unit: 'm/s',
    least: 0,
    most: 30,
    spread: 0.3,
    when: (known) => mayBe(known, 'travel', 'straight-down', 'slant-down', 'descending-turn'),
  }),
  amount('height_m', ['Height above ground', 'How high was it?'], 'ground', {
    unit: 'm',
    least: 0,
    most: 500,
    spread: 0.25,
  }),
  amount('distance_m', ['Distance', 'How far away was it?'], 'sight', {
    unit: 'm',
    least: 0,
    most: 10_000,
    spread: 0.25,
  }),
  choice('yaw_burst', ['Nose swing', 'How far was the nose swung within about a second?'], 'wash', {
    values: 'none: Not at all | quarter: About a quarter turn | half-or-more: Half a turn or more',
    when: turning,
  }),
  choice('snap', ['Snap', 'What did its attitude do?'], 'wash', {
    values: 'none: Nothing sudden | wobble: Wobbled | one-side: One side dropped | flip: Flipped over',
  }),
  choice('yaw_without_roll', ['Turned with yaw alone', 'Was the turn asked for with yaw alone?'], 'hands', {
    values: 'yes: Yes | no: No',
    when: turning,
  }),
  choice('flight_mode', ['Mode', 'Which mode was it in?'], 'hold', {
    values:
      'rate: Rate | self-level: Self-level | height-hold: Height hold | position-hold: Position hold | programmed: Programmed',
  }),
  choice('controller', ['Controller', 'What was in your hands?'], 'hands', {
    values: 'sticks: Sticks | motion: Motion controller | touch: Touch screen',
  }),
  choice('pilot_relative', ['Pilot-relative', 'Was forward fixed to the pilot?'], 'relative', {
    values: 'on: On | off: Off',
    when: (_, craft) => craft.hasPilotRelative,
  }),
  choice('hold_expected', ['Hold believed on', 'Did you believe position hold was on?'], 'hold', {
    values: 'yes: Yes | no: No',
  }),
  choice('drift_direction', ['Slid', 'Which way did it slide?'], 'hold', {
    values: 'downwind: With the air | own-momentum: On its own way | neither: Neither | unknown: Not known',
  }),
  choice('throttle_response', ['More throttle', 'What did more throttle do?'], 'wash', {
    values: 'normal: The usual | soft: Too little | none: Nothing | not-tried: Not tried',
  }),
  choice('position_hold', ['Position hold', 'Position hold at the time?'], 'hold', {
    values:
      'on: On and healthy | off: Off | dropped: Dropped out | not-to-be-had: Not to be had there | unknown: Not known',
  }),
  choice('height_hold', ['Height hold', 'Height hold at the time?'], 'height', {
    values: 'on: On | off: Off | unknown: Not known',
    when: (known, craft) => craft.hasHeightHold && mayBe(known, 'height_trend', 'falling', 'rising'),
  }),
  choice('position_fix', ['Position fix', 'How good was its position?'], 'hold', {
    values: 'good: Good | weak: Weak | none: None',
  }),
  choice('home_point', ['Home point', 'Where did it believe home was?'], 'failsafe', {
    values:
      'right: In the right place | moved: Moved, not known which | moved-by-itself: Moved by itself | left-behind: Left behind by pilot, boat or car | not-set: Not set | wrong: In a wrong place | unknown: Not known',
    when: (known) =>
      mayBe(known, 'auto_return', 'commanded', 'link-loss', 'battery') || is(known, 'travel', 'circling'),
  }),
  choice('calibration', ['Heading calibration', 'Heading sensor, at this place?'], 'heading', {
    values: 'done: Calibrated | not-done: Not calibrated | near-metal: Near metal',
  }),
  choice('speed_setting', ['Setting', 'Which speed setting?'], 'obstacle', {
    values: 'slow: Slow | normal: Normal | fast: Fast',
  }),
  choice('setting_expected', ['Setting believed', 'Was it in the setting you believed?'], 'settings', {
    values: 'same: As believed | different: Another',
  }),
  choice('setting_why', ['Why another setting', 'How did it come to be another one?'], 'settings', {
    values:
      'default-after-power-up: The default after power-up | switch-knocked: The switch was knocked | left-over: Left from the last flight | not-enabled: The switch was not enabled | changed-by-itself: Changed by itself | unknown: Not known',
    when: (known) => is(known, 'setting_expected', 'different'),
  }),
  choice('who_flew', ['Whose hands', 'Whose hands were on it?'], 'undone', {
    values: 'pilot: The pilot | trainer: The trainer | unsure: Not clear who had it',
  }),
  choice('mode_toggled', ['Switched in flight', 'Was anything switched in flight?'], 'settings', {
    values:
      'none: Nothing | pilot-relative: Pilot-relative | position-hold: Position hold | speed: Speed setting | other: Something else',
  }),
  choice('pilot_moved', ['Pilot moved', 'Had you walked or turned since take-off?'], 'relative', {
    values: 'yes: Yes | no: No',
    when: (known) => is(known, 'pilot_relative', 'on') || is(known, 'mode_toggled', 'pilot-relative'),
  }),
  choice('sensors', ['Obstacle sensors', 'Obstacle sensors on that side?'], 'obstacle', {
    values: 'on: On | off: Off | none: None there',
    when: metSomething,
  }),
  choice('obstacle_side', ['Obstacle side', 'Where was the obstacle, seen from the craft?'], 'obstacle', {
    values:
      'ahead: Ahead | behind: Behind | side: To the side | above: Above | below: Below | none: There was none',
  }),
  choice('obstacle_kind', ['Obstacle', 'What was it?'], 'obstacle', {
    values:
      'solid: Solid | thin: Thin (twig, net) | wire: Wire or cable | roof: Roof or deck | person: A person | ground: The ground | water: Water | none: Nothing',
    when: metSomething,
  }),
  choice('noticed', ['Noticed', 'Did you notice it before contact?'], 'obstacle', {
    values: 'in-time: In time | late: Late | never: Never',
    when: metSomething,
  }),
  amount('seen_at_m', ['First seen at', 'How far off was it when you first saw it?'], 'obstacle', {
    unit: 'm',
    least: 0,
    most: 1000,
    spread: 0.3,
    when: (known) => is(known, 'noticed', 'in-time', 'late') || is(known, 'obstacle_side', 'ahead'),
  }),
  amount('gap_ratio', ['Gap width', 'How wide was the gap, in spans of the craft?'], 'gap', {
    unit: 'spans',
    least: 1,
    most: 50,
    spread: 0.15,
    when: (known) => is(known, 'phase', 'gap'),
  }),
  choice('gap_reason', ['First at the gap', 'What went wrong first at the gap?'], 'gap', {
    values:
      'slow-entry: Entered too slowly | air-moved-it: The air moved it | hands-twitched: Hands twitched | eyes-on-frame: Eyes on the frame | hesitated: Hesitated | height-bobbed: Height bobbed | next-not-ready: Not set up for the next',
    when: (known) => is(known, 'phase', 'gap'),
  }),
  choice('place', ['Place', 'What was around?'], 'place', {
    values:
      'open: Open ground | trees: Trees | indoors: Indoors | under-structure: Under a structure | built-up: Walls near | water: Water',
  }),
  amount('wind_mps', ['Wind', 'How much wind at flying height?'], 'air', {
    unit: 'm/s',
    least: 0,
    most: 40,
    spread: 0.25,
  }),
  amount('gust_mps', ['Gusts', 'And in the gusts?'], 'air', {
    unit: 'm/s',
    least: 0,
    most: 60,
    spread: 0.25,
    when: (known) => (known.numbers['wind_mps']?.value ?? 3) >= 2,
  }),
  choice('wind_side', ['Wind from', 'Where did the wind come from, against the way it was moving?'], 'air', {
    values: 'head: Ahead | tail: Behind | cross: Across | calm: Calm',
  }),
  choice('airflow_step', ['Airflow changed', 'Did it enter or leave a jet, doorway or lee?'], 'air', {
    values: 'yes: Yes | no: No',
  }),
  amount('battery_pct', ['Battery', 'How much battery was left?'], 'energy', {
    unit: '%',
    least: 0,
    most: 100,
    spread: 3,
  }),
  choice('low_battery', ['Battery warning', 'Was there a battery warning?'], 'energy', {
    values: 'none: None | heeded: Given and heeded | ignored: Given and ignored',
  }),
  choice('link', ['Radio link', 'How was the radio link?'], 'link', {
    values: 'steady: Steady | video-lost: Picture lost | control-lost: Control lost',
  }),
  choice('radio_path', ['Radio path', 'Anything solid, or strong radio, between?'], 'link', {
    values: 'clear: Clear | blocked: Blocked | unknown: Not known',
  }),
  choice('camera_view', ['Picture', 'How was the picture?'], 'sight', {
    values:
      'level: Level | tilted: Tilted | too-dark: Too dark | too-bright: Too bright | frozen: Frozen | fogged: Fogged over',
    when: (known) => mayBe(known, 'view', 'camera-view', 'both'),
  }),
  choice('picture_delay', ['Picture late', 'Was the picture late or jumping?'], 'sight', {
    values: 'none: No | noticed: Yes | unknown: Not known',
    when: (known) => mayBe(known, 'view', 'camera-view', 'both'),
  }),
  choice('auto_return', ['Automatic return', 'Automatic return or landing?'], 'failsafe', {
    values: 'none: None | commanded: Asked for | link-loss: Link lost | battery: Battery',
  }),
  choice('auto_phase', ['Return was', 'What was the return doing?'], 'failsafe', {
    values: 'climbing: Climbing | on-the-way: On the way | landing: Landing | cancelled: Cancelled',
    when: returning,
  }),
  amount('return_height_m', ['Return height', 'Return height as set?'], 'failsafe', {
    unit: 'm',
    least: 0,
    most: 500,
    spread: 0.05,
    when: returning,
  }),
  amount('tallest_m', ['Tallest thing', 'How high was the tallest thing on the way?'], 'failsafe', {
    unit: 'm',
    least: 0,
    most: 500,
    spread: 0.2,
    when: returning,
  }),
  choice('sticks_before', ['Hands', 'What did the hands do just before?'], 'hands', {
    values:
      'small: Small inputs | large: Large inputs | released: Let go | held-on: One left on unnoticed | wrong-stick: The wrong stick | wrong-way: The right stick, the wrong way',
  }),
  choice('motors_cut', ['Motors cut', 'Did you stop the motors in the air?'], 'hands', {
    values: 'no: No | deliberate: On purpose | by-mistake: By mistake',
  }),
  choice('attention', ['Attention', 'Where were eyes and mind?'], 'mind', {
    values:
      'on-craft: On the craft | on-screen: On the screen | talked-to: Somebody talked | looked-away: Looked away | mind-elsewhere: The mind elsewhere',
  }),
  choice('feeling', ['Feeling', 'How did it feel?'], 'mind', {
    values:
      'calm: Calm | tense: Tense | froze: Froze | startled: Startled | rushed: Rushed | celebrating: Celebrating',
  }),
  choice('light', ['Light', 'How was the light against the sky?'], 'sight', {
    values: 'clear: Clear | glare: Glare | dusk: Dusk | silhouette: Only a silhouette',
  }),
  choice('surface', ['Under the feet', 'What was under the feet?'], 'ground', {
    values: 'hard: Hard and level | grass: Grass | rough: Rough | moving: Moving',
    when: nearGround,
  }),
  choice('precipitation', ['Rain', 'Rain, fog or spray?'], 'weather', {
    values: 'none: None | fog: Fog | light: A little | rain: Rain',
  }),
  choice('craft_check', ['Pre-flight check', 'Was the craft checked before flight?'], 'condition', {
    values: 'passed: Passed | not-done: Not done | defect: Defect found',
  }),
  choice(
    'after_inspection',
    ['Looked over after', 'Looked over afterwards, damage from the impact aside?'],
    'condition',
    { values: 'sound: Sound | fault-found: A fault found' },
  ),
  choice('in_sight', ['In sight', 'Was the craft itself in sight?'], 'sight', {
    values: 'yes: Yes | barely: Barely | no: No',
  }),
  amount('visibility_m', ['Visibility', 'How far could one see?'], 'sight', {
    unit: 'm',
    least: 10,
    most: 100_000,
    spread: 0.3,
    when: (known) => is(known, 'in_sight', 'barely', 'no') || (known.numbers['distance_m']?.value ?? 0) > 100,
  }),
  choice('wildlife', ['Birds', 'Were there birds about?'], 'animals', { values: 'none: None | near: Near' }),
  choice('over_people', ['Over people', 'Did it fly over people who were not part of it?'], 'people', {
    values: 'no: No | yes: Yes',
  }),
  amount('people_m', ['Nearest person', 'How near was anybody who was not part of it?'], 'people', {
    unit: 'm',
    least: 0,
    most: 1000,
    spread: 0.3,
    when: (known) => is(known, 'over_people', 'yes') || is(known, 'obstacle_kind', 'person'),
  }),
  choice('left_undone', ['Left undone', 'Was a step left out, before or after?'], 'undone', {
    values:
      'none: None | legs: The legs | cover-or-clamp: Cover or clamp | inside-ring: Took off too near to the pilot | home-not-set: Home not set | setting-not-slow: Slow setting not taken | motors-running: Motors not stopped | recording: Recording | other: Another',
    when: (known) => mayBe(known, 'phase', 'takeoff', 'landing', 'ground', 'return'),
  }),
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
