import type { Answers, ChoiceQuestion, NumberQuestion, Question, EvidenceCluster } from './question';

type When = Question['when'];

const choice = <const Id extends string>(
  id: Id,
  story: EvidenceCluster,
  { values: text, when }: { readonly values: string; readonly when?: When },
): ChoiceQuestion<Id> => ({
  kind: 'choice',
  id,
  story,
  values: text.split(' '),
  ...(when ? { when } : {}),
});

const amount = <const Id extends string>(
  id: Id,
  story: EvidenceCluster,
  limits: Pick<NumberQuestion, 'unit' | 'least' | 'most' | 'spread' | 'when'>,
): NumberQuestion<Id> => ({ kind: 'number', id, story, ...limits });

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
  choice('phase', 'phase', {
    values: 'ground takeoff hover cruise turn descent gap return landing',
  }),
  choice('view', 'sight', {
    values: 'direct-sight camera-view both',
  }),
  choice('nose', 'mirror', {
    values: 'away left right toward unknown',
  }),
  choice('nose_believed', 'mirror', {
    values: 'away left right toward unsure',
    when: (known) => !is(known, 'nose', 'away'),
  }),
  choice('first_move', 'mirror', {
    values: 'as-meant opposite sideways nothing unknown',
  }),
  choice('correction_effect', 'mirror', {
    values: 'shrank grew oscillated none unknown',
  }),
  choice('travel', 'wash', {
    values:
      'stationary forward backward sideways straight-down slant-down descending-turn climbing circling orbit',
  }),
  choice('path_folded', 'wash', { values: 'yes no unknown', when: turning }),
  choice('height_trend', 'height', {
    values: 'steady falling rising unknown',
  }),
  choice('power_in_turn', 'wash', {
    values: 'rising steady low unknown',
    when: turning,
  }),
  choice('motor_sound', 'wash', {
    values: 'steady surging stopped unknown',
  }),
  amount('speed_mps', 'obstacle', {
    unit: 'm/s',
    least: 0,
    most: 60,
    spread: 0.25,
  }),
  amount('descent_mps', 'wash', {
    unit: 'm/s',
    least: 0,
    most: 30,
    spread: 0.3,
    when: (known) => mayBe(known, 'travel', 'straight-down', 'slant-down', 'descending-turn'),
  }),
  amount('height_m', 'ground', {
    unit: 'm',
    least: 0,
    most: 500,
    spread: 0.25,
  }),
  amount('distance_m', 'sight', {
    unit: 'm',
    least: 0,
    most: 10_000,
    spread: 0.25,
  }),
  choice('yaw_burst', 'wash', {
    values: 'none quarter half-or-more',
    when: turning,
  }),
  choice('snap', 'wash', {
    values: 'none wobble one-side flip',
  }),
  choice('yaw_without_roll', 'hands', {
    values: 'yes no',
    when: turning,
  }),
  choice('flight_mode', 'hold', {
    values: 'rate self-level height-hold position-hold programmed',
  }),
  choice('controller', 'hands', {
    values: 'sticks motion touch',
  }),
  choice('pilot_relative', 'relative', {
    values: 'on off',
    when: (_, craft) => craft.hasPilotRelative,
  }),
  choice('hold_expected', 'hold', {
    values: 'yes no',
  }),
  choice('drift_direction', 'hold', {
    values: 'downwind own-momentum neither unknown',
  }),
  choice('throttle_response', 'wash', {
    values: 'normal soft none not-tried',
  }),
  choice('position_hold', 'hold', {
    values: 'on off dropped not-to-be-had unknown',
  }),
  choice('height_hold', 'height', {
    values: 'on off unknown',
    when: (known, craft) => craft.hasHeightHold && mayBe(known, 'height_trend', 'falling', 'rising'),
  }),
  choice('position_fix', 'hold', {
    values: 'good weak none',
  }),
  choice('home_point', 'failsafe', {
    values: 'right moved moved-by-itself left-behind not-set wrong unknown',
    when: (known) =>
      mayBe(known, 'auto_return', 'commanded', 'link-loss', 'battery') || is(known, 'travel', 'circling'),
  }),
  choice('calibration', 'heading', {
    values: 'done not-done near-metal',
  }),
  choice('speed_setting', 'obstacle', {
    values: 'slow normal fast',
  }),
  choice('setting_expected', 'settings', {
    values: 'same different',
  }),
  choice('setting_why', 'settings', {
    values: 'default-after-power-up switch-knocked left-over not-enabled changed-by-itself unknown',
    when: (known) => is(known, 'setting_expected', 'different'),
  }),
  choice('who_flew', 'undone', {
    values: 'pilot trainer unsure',
  }),
  choice('mode_toggled', 'settings', {
    values: 'none pilot-relative position-hold speed other',
  }),
  choice('pilot_moved', 'relative', {
    values: 'yes no',
    when: (known) => is(known, 'pilot_relative', 'on') || is(known, 'mode_toggled', 'pilot-relative'),
  }),
  choice('sensors', 'obstacle', {
    values: 'on off none',
    when: metSomething,
  }),
  choice('obstacle_side', 'obstacle', {
    values: 'ahead behind side above below none',
  }),
  choice('obstacle_kind', 'obstacle', {
    values: 'solid thin wire roof person ground water none',
    when: metSomething,
  }),
  choice('noticed', 'obstacle', {
    values: 'in-time late never',
    when: metSomething,
  }),
  amount('seen_at_m', 'obstacle', {
    unit: 'm',
    least: 0,
    most: 1000,
    spread: 0.3,
    when: (known) => is(known, 'noticed', 'in-time', 'late') || is(known, 'obstacle_side', 'ahead'),
  }),
  amount('gap_ratio', 'gap', {
    unit: 'spans',
    least: 1,
    most: 50,
    spread: 0.15,
    when: (known) => is(known, 'phase', 'gap'),
  }),
  choice('gap_reason', 'gap', {
    values: 'slow-entry air-moved-it hands-twitched eyes-on-frame hesitated height-bobbed next-not-ready',
    when: (known) => is(known, 'phase', 'gap'),
  }),
  choice('place', 'place', {
    values: 'open trees indoors under-structure built-up water',
  }),
  amount('wind_mps', 'air', {
    unit: 'm/s',
    least: 0,
    most: 40,
    spread: 0.25,
  }),
  amount('gust_mps', 'air', {
    unit: 'm/s',
    least: 0,
    most: 60,
    spread: 0.25,
    when: (known) => (known.numbers['wind_mps']?.value ?? 3) >= 2,
  }),
  choice('wind_side', 'air', {
    values: 'head tail cross calm',
  }),
  choice('airflow_step', 'air', {
    values: 'yes no',
  }),
  amount('battery_pct', 'energy', {
    unit: '%',
    least: 0,
    most: 100,
    spread: 3,
  }),
  choice('low_battery', 'energy', {
    values: 'none heeded ignored',
  }),
  choice('link', 'link', {
    values: 'steady video-lost control-lost',
  }),
  choice('radio_path', 'link', {
    values: 'clear blocked unknown',
  }),
  choice('camera_view', 'sight', {
    values: 'level tilted too-dark too-bright frozen fogged',
    when: (known) => mayBe(known, 'view', 'camera-view', 'both'),
  }),
  choice('picture_delay', 'sight', {
    values: 'none noticed unknown',
    when: (known) => mayBe(known, 'view', 'camera-view', 'both'),
  }),
  choice('auto_return', 'failsafe', {
    values: 'none commanded link-loss battery',
  }),
  choice('auto_phase', 'failsafe', {
    values: 'climbing on-the-way landing cancelled',
    when: returning,
  }),
  amount('return_height_m', 'failsafe', {
    unit: 'm',
    least: 0,
    most: 500,
    spread: 0.05,
    when: returning,
  }),
  amount('tallest_m', 'failsafe', {
    unit: 'm',
    least: 0,
    most: 500,
    spread: 0.2,
    when: returning,
  }),
  choice('sticks_before', 'hands', {
    values: 'small large released held-on wrong-stick wrong-way',
  }),
  choice('motors_cut', 'hands', {
    values: 'no deliberate by-mistake',
  }),
  choice('attention', 'mind', {
    values: 'on-craft on-screen talked-to looked-away mind-elsewhere',
  }),
  choice('feeling', 'mind', {
    values: 'calm tense froze startled rushed celebrating',
  }),
  choice('light', 'sight', {
    values: 'clear glare dusk silhouette',
  }),
  choice('surface', 'ground', {
    values: 'hard grass rough moving',
    when: nearGround,
  }),
  choice('precipitation', 'weather', {
    values: 'none fog light rain',
  }),
  choice('craft_check', 'condition', {
    values: 'passed not-done defect',
  }),
  choice('after_inspection', 'condition', { values: 'sound fault-found' }),
  choice('in_sight', 'sight', {
    values: 'yes barely no',
  }),
  amount('visibility_m', 'sight', {
    unit: 'm',
    least: 10,
    most: 100_000,
    spread: 0.3,
    when: (known) => is(known, 'in_sight', 'barely', 'no') || (known.numbers['distance_m']?.value ?? 0) > 100,
  }),
  choice('wildlife', 'animals', { values: 'none near' }),
  choice('over_people', 'people', {
    values: 'no yes',
  }),
  amount('people_m', 'people', {
    unit: 'm',
    least: 0,
    most: 1000,
    spread: 0.3,
    when: (known) => is(known, 'over_people', 'yes') || is(known, 'obstacle_kind', 'person'),
  }),
  choice('left_undone', 'undone', {
    values:
      'none legs cover-or-clamp inside-ring home-not-set setting-not-slow motors-running recording other',
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
