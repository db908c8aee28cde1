import type { CauseId } from '../causes/causes';
import { drawFrom } from '../clearance/evidence/simulated';
import { answersOf, type Evidence } from '../evidence/evidence';
import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import { CASES } from './cases';
import { coreLeft } from './core-questions';
import { byFirst, CAUSE_IDS, HYPOTHESES, hypothesisPrior } from './hypotheses';
import { impliedBy } from './implied';
import { modelWith } from './model';
import { LEADS_TO } from './pairs';
import { type Item, sayingNothing, storyOf, heard } from './pooling';
import { rank } from './rank';
import { oneWrong, strongestLost } from './stressed';

/** Explanations instead of labels: what came first, what followed from it, and what may be remembered wrongly. */

const CRAFT = craftFacts(USUAL_CRAFT);
const rankOf = (evidence: Evidence) => rank(answersOf(evidence), CRAFT);
/** A plain case of it. */
const NOSE_IN: Evidence = {
  nose: 'toward',
  first_move: 'opposite',
  correction_effect: 'grew',
  view: 'direct-sight',
  phase: 'landing',
};
const firstOf = (evidence: Evidence) => rankOf(evidence).causes[0]!.id;

describe('pairs', () => {
  test('lead from one cause to another, leave something of each to stand alone, and add to its prior', () => {
    for (const [id, then] of Object.entries(LEADS_TO)) {
      expect(Object.keys(then)).not.toContain(id);
      const sum = Object.values(then).reduce((all, share) => all + share, 0);
      expect([id, sum > 0 && sum < 1]).toEqual([id, true]);
    }
    const { prior } = modelWith();
    const before = hypothesisPrior(prior);
    expect(before.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
    expect(byFirst(before).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
    const pairs = HYPOTHESES.reduce((sum, { second }, h) => sum + (second === null ? 0 : before[h]!), 0);
    expect(pairs).toBeCloseTo(0.2, 12);
  });

  test.each<[CauseId, CauseId, Evidence]>([
    [
      'mode-confusion',
      'no-gps-drift',
      {
        setting_expected: 'different',
        hold_expected: 'yes',
        position_hold: 'off',
        drift_direction: 'downwind',
        correction_effect: 'none',
      },
    ],
    [
      'mode-confusion',
      'obstacle-overrun',
      {
        setting_expected: 'different',
        speed_setting: 'fast',
        obstacle_side: 'ahead',
        noticed: 'late',
        speed_mps: 11,
        seen_at_m: 8,
      },
    ],
    [
      'wet-weather',
      'craft-fault',
      { precipitation: 'rain', motor_sound: 'stopped', snap: 'one-side', yaw_burst: 'none' },
    ],
    [
      'failsafe-setting',
      'link-loss',
      {
        link: 'control-lost',
        radio_path: 'blocked',
        auto_return: 'link-loss',
        return_height_m: 12,
        tallest_m: 25,
      },
    ],
  ])('%s led to %s: both are named, in order', (first, second, evidence) => {
    expect(
      rankOf(evidence)
        .causes.slice(0, 2)
        .map(({ id }) => id),
    ).toEqual([first, second]);
  });
});

describe('a wrong memory', () => {
  const item = (id: string, weight: number): Item => ({
    id,
    story: 'mirror',
    of: [id],
    weights: new Float64Array(HYPOTHESES.length).fill(weight),
  });
  test('a story is all so, or all but one answer: worked by hand', () => {
    const odds = 0.15 / 0.85;
    const both = storyOf([item('a', 2), item('b', -1)]);
    expect(heard(both, 0)).toBeCloseTo(
      Math.log(Math.exp(1.6 * 1) + odds * Math.exp(1.6 * 2) + odds * Math.exp(-1.6)),
      12,
    );
    expect(heard(storyOf([item('a', 0)]), 0)).toBeCloseTo(sayingNothing(storyOf([item('a', 0)])), 12);
    // However strongly one answer speaks, it is never believed beyond doubt.
    expect(heard(storyOf([item('a', -40)]), 0)).toBeCloseTo(Math.log(odds), 9);
  });

  test('a sign goes with any of the answers that it is made of', () => {
    const sign = { ...item('sign', 3), of: ['a', 'b'] };
    const story = storyOf([item('a', 1), item('b', 1), sign]);
    expect(story.without.map((left) => left.map(({ id }) => id))).toEqual([['b'], ['a']]);
  });

  test('one false answer does not turn a plain case: nose-in with every other answer to each question', () => {
    const plain: Evidence = { ...NOSE_IN, attention: 'talked-to' };
    for (const wrong of [
      { view: 'camera-view' },
      { phase: 'cruise' },
      { correction_effect: 'shrank' },
      { attention: 'on-screen' },
    ] as readonly Evidence[])
      expect([wrong, firstOf({ ...plain, ...wrong })]).toEqual([wrong, 'orientation-nose-in']);
  });

  test('on our own cases: the strongest answer lost, and one remembered wrongly', () => {
    const share = (cases: typeof CASES, within: number) =>
      cases.filter(({ cause, evidence }) =>
        rankOf(evidence)
          .causes.slice(0, within)
          .some(({ id }) => id === cause),
      ).length / cases.length;
    const lost = strongestLost(CASES, CRAFT);
    expect(share(lost, 1)).toBeGreaterThanOrEqual(0.7);
    expect(share(lost, 3)).toBeGreaterThanOrEqual(0.85);
    const draw = drawFrom(8);
    const wrong = [0, 1, 2, 3].flatMap(() => oneWrong(CASES, draw));
    expect(share(wrong, 1)).toBeGreaterThanOrEqual(0.7);
    expect(share(wrong, 3)).toBeGreaterThanOrEqual(0.85);
  });
});

describe('what settles settles', () => {
  test.each<[string, Evidence, CauseId]>([
    [
      'motors stopped by mistake are no own wash, whatever the fall looked like',
      {
        motors_cut: 'by-mistake',
        travel: 'straight-down',
        height_trend: 'falling',
        motor_sound: 'stopped',
        snap: 'wobble',
      },
      'wrong-stick',
    ],
    [
      'a return lower than the tallest thing on its way is a failsafe set wrong, however far out it was',
      {
        return_height_m: 15,
        tallest_m: 28,
        auto_phase: 'on-the-way',
        distance_m: 300,
        in_sight: 'no',
        view: 'camera-view',
        attention: 'on-screen',
      },
      'failsafe-setting',
    ],
    [
      'a wrong belief about hold is not explained by the drift alone',
      {
        hold_expected: 'yes',
        position_hold: 'off',
        setting_expected: 'different',
        drift_direction: 'downwind',
        place: 'open',
      },
      'mode-confusion',
    ],
    [
      'people under the path are the matter though nothing was touched',
      { over_people: 'yes', people_m: 6, obstacle_kind: 'none', view: 'camera-view' },
      'people-near',
    ],
    [
      'a cover left on, at lift-off',
      { left_undone: 'cover-or-clamp', phase: 'takeoff', craft_check: 'not-done' },
      'left-undone',
    ],
    [
      'a late and dark picture, with the craft in easy sight',
      {
        view: 'camera-view',
        camera_view: 'too-dark',
        picture_delay: 'noticed',
        in_sight: 'yes',
        attention: 'on-screen',
      },
      'camera-unread',
    ],
  ])('%s', (_, evidence, cause) => {
    expect(firstOf(evidence)).toBe(cause);
  });
});

describe('what a trainer always asks', () => {
  test('nothing is likely before it was asked; whoever cannot say has been asked', () => {
    expect(rankOf(NOSE_IN).causes[0]!.probability).toBeGreaterThan(0.7);
    expect(rankOf(NOSE_IN).stance).toBe('leaning');
    const asked = {
      ...NOSE_IN,
      attention: 'on-craft',
      feeling: 'tense',
      position_hold: 'unknown',
      setting_expected: 'same',
      auto_return: 'none',
      link: 'steady',
    };
    expect(coreLeft(answersOf(asked), CRAFT)).toEqual([]);
    expect(rankOf(asked).stance).toBe('likely');
  });

  test('at a gap what went wrong first is asked; of a craft without hold nothing about hold', () => {
    expect(coreLeft(answersOf({ phase: 'gap' }), CRAFT)).toContain('gap_reason');
    expect(coreLeft(answersOf({ phase: 'hover' }), CRAFT)).not.toContain('gap_reason');
    expect(coreLeft(answersOf({}), { ...CRAFT, hasPositionHold: false })).not.toContain('position_hold');
    expect(coreLeft(answersOf({ nose: 'toward' }), CRAFT)).toContain('first_move');
    expect(coreLeft(answersOf({ nose: 'away' }), CRAFT)).not.toContain('first_move');
    expect(
      rankOf({ phase: 'gap', obstacle_side: 'side' }).nextQuestions.filter(({ isCore }) => isCore).length,
    ).toBe(coreLeft(answersOf({ phase: 'gap' }), CRAFT).length);
  });
});

describe('implied answers', () => {
  const questions = (evidence: Evidence) => impliedBy(answersOf(evidence)).map(({ question }) => question);
  test('a question that is asked under a condition tells the condition, unless that was answered', () => {
    expect(questions({ auto_phase: 'climbing' })).toEqual(['auto_return']);
    expect(questions({ return_height_m: 20, tallest_m: 10 })).toEqual(['auto_return']);
    expect(questions({ return_height_m: 20 })).toEqual([]);
    expect(questions({ gap_ratio: 3, surface: 'grass' })).toEqual(['phase']);
    expect(questions({ gap_ratio: 3, phase: 'cruise' })).toEqual([]);
    expect(questions({ setting_why: 'left-over' })).toEqual(['setting_expected']);
    expect(questions({ setting_why: 'unknown' })).toEqual([]);
  });
  test('and it is said of one of several values, no more', () => {
    const model = modelWith();
    const at = CAUSE_IDS.indexOf('failsafe-setting');
    const [one, two] = ['commanded', 'battery'].map(
      (value) => model.answer.get('auto_return')!.get(value)!.likelihood[at]!,
    );
    expect(model.oneOf('auto_return', ['commanded', 'battery']).likelihood[at]).toBeCloseTo(one! + two!, 12);
    expect(
      rankOf({ auto_phase: 'climbing' })
        .causes[0]!.reasons.map(({ said }) => said.say)
        .join(),
    ).toContain('reason.implied');
  });
});

test('a ranking with the gain of every question takes few milliseconds of processor time', () => {
  const start = process.cpuUsage();
  for (const { evidence } of CASES) rankOf(evidence);
  const { user, system } = process.cpuUsage(start);
  expect((user + system) / 1000 / CASES.length).toBeLessThan(50);
});
