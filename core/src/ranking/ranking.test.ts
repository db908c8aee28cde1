import fc from 'fast-check';
import { CAUSES, type CauseId } from '../causes/causes';
import { CAUSE_LIKELIHOODS } from '../causes/likelihoods';
import { USUAL_ANSWERS, USUAL_SIGNS } from '../causes/usual-answers';
import { NOTHING } from '../evidence/question';
import { QUESTIONS, questionOf } from '../evidence/questions';
import { answersOf, type Evidence } from '../evidence/evidence';
import { SIGNS } from '../evidence/signs';
import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import { evidenceShape } from '../schemas/evidence';
import { CASES } from './cases';
import { CAUSE_IDS, HYPOTHESES } from './hypotheses';
import { modelWith, PSEUDO_COUNT } from './model';
import { entropy, type Item, pooled, posterior } from './pooling';
import { rank } from './rank';

const CRAFT = craftFacts(USUAL_CRAFT);
const rankOf = (evidence: Evidence) => rank(answersOf(evidence), CRAFT);
const chances = (evidence: Evidence) =>
  Object.fromEntries(rankOf(evidence).causes.map(({ id, probability }) => [id, probability]));

/** Any evidence that the questions allow. */
const anyEvidence: fc.Arbitrary<Evidence> = fc
  .uniqueArray(fc.constantFrom(...QUESTIONS), { selector: (question) => question.id, maxLength: 12 })
  .chain((asked) =>
    fc
      .tuple(
        ...asked.map((question) =>
          question.kind === 'choice'
            ? fc.constantFrom(...question.values)
            : fc.double({ min: question.least, max: Math.min(question.most, 500), noNaN: true }),
        ),
      )
      .map((answers) => Object.fromEntries(asked.map((question, i) => [question.id, answers[i]!]))),
  );

describe('the tables', () => {
  test('every cause has weights, every choice question usual answers, every sign a usual rate, and each sums to the pseudo-count', () => {
    expect(Object.keys(CAUSE_LIKELIHOODS).sort()).toEqual(CAUSES.map((cause) => cause.id).sort());
    for (const question of QUESTIONS) {
      if (question.kind !== 'choice') continue;
      expect(Object.keys(USUAL_ANSWERS[question.id] ?? {})).toEqual(question.values);
      expect(Object.values(USUAL_ANSWERS[question.id]!).reduce((a, b) => a + b, 0)).toBeCloseTo(
        PSEUDO_COUNT,
        9,
      );
    }
    expect(Object.keys(USUAL_SIGNS).sort()).toEqual(SIGNS.map((sign) => sign.id).sort());
  });

  test.each(Object.entries(CAUSE_LIKELIHOODS))(
    '%s names only questions, values and signs that there are, and leaves room for the others',
    (_, { answers, signs }) => {
      for (const [id, counts] of Object.entries(answers)) {
        const question = questionOf(id);
        const values = question.kind === 'choice' ? question.values : [];
        expect(Object.keys(counts).filter((value) => !values.includes(value))).toEqual([]);
        const sum = Object.values(counts).reduce((a, b) => a + b, 0);
        if (Object.keys(counts).length < values.length) expect(sum).toBeLessThan(PSEUDO_COUNT);
        else expect(sum).toBeCloseTo(PSEUDO_COUNT, 9);
      }
      expect(Object.keys(signs).filter((id) => USUAL_SIGNS[id] === undefined)).toEqual([]);
      for (const held of Object.values(signs)) expect(held > 0 && held < PSEUDO_COUNT).toBe(true);
    },
  );

  test("under every cause the chances of a question's answers sum to 1", () => {
    const model = modelWith();
    for (const [, values] of model.answer) {
      CAUSE_IDS.forEach((_, c) =>
        expect([...values.values()].reduce((sum, { likelihood }) => sum + likelihood[c]!, 0)).toBeCloseTo(
          1,
          9,
        ),
      );
    }
  });
});

describe('the arithmetic', () => {
  test('Bayes: prevalence 1 %, found in 80 %, falsely in 9.6 %: 7.8 % (Eddy 1982)', () => {
    expect(
      posterior(Float64Array.of(Math.log(0.01) + Math.log(0.8), Math.log(0.99) + Math.log(0.096)))[0],
    ).toBeCloseTo(0.0776, 4);
  });

  test.each([
    [[0.5, 0.5], 1],
    [[0.5, 0.25, 0.125, 0.125], 1.75],
    [[0.5, 0.25, 0.125, 0.0625, 0.015_625, 0.015_625, 0.015_625, 0.015_625], 2],
    [[1, 0], 0],
  ])('entropy of %j is %d bits (Cover and Thomas, ch. 2)', (chance, bits) => {
    expect(entropy(Float64Array.from(chance))).toBeCloseTo(bits, 12);
  });

  test('a second answer of one story counts for six tenths, what speaks against is kept apart, and one that says nothing takes nothing', () => {
    const item = (id: string, weight: number): Item => ({
      id,
      story: 'mirror',
      of: [id],
      weights: new Float64Array(CAUSE_IDS.length).fill(weight),
    });
    expect(pooled([item('a', 2)], 0)).toBe(2);
    expect(pooled([item('a', 2), item('b', 1)], 0)).toBeCloseTo(2.6, 12);
    expect(pooled([item('a', 1), item('b', 2), item('c', 1)], 0)).toBeCloseTo(2.96, 12);
    expect(pooled([item('a', 2), item('b', -1), item('c', -2)], 0)).toBeCloseTo(-0.6, 12);
    expect(pooled([item('a', 2), item('b', 0), item('c', 1)], 0)).toBeCloseTo(2.6, 12);
    expect(pooled([], 0)).toBe(0);
  });

  test('pseudo-counts and counts add (Dirichlet): twenty own occurrences weigh as much as the start', () => {
    const [cause, at] = ['wildlife', CAUSE_IDS.indexOf('wildlife')];
    const own = modelWith({
      causes: { [cause]: 10 },
      answers: { [cause]: { place: { water: 20 } } },
      signs: { [cause]: { skimming: { held: 20, told: 20 } } },
    });
    const start = modelWith();
    expect(own.answer.get('place')!.get('water')!.likelihood[at]).toBeCloseTo(
      (start.answer.get('place')!.get('water')!.likelihood[at]! * PSEUDO_COUNT + 20) / (2 * PSEUDO_COUNT),
      12,
    );
    expect(own.sign.get('skimming')![at]).toBeCloseTo(
      (start.sign.get('skimming')![at]! * PSEUDO_COUNT + 20) / (2 * PSEUDO_COUNT),
      12,
    );
    expect(own.prior[at]).toBeGreaterThan(start.prior[at]!);
  });
});

describe('the ranking', () => {
  test('probabilities sum to 1, whatever is told', () => {
    fc.assert(
      fc.property(anyEvidence, (evidence) => {
        expect(rankOf(evidence).causes.reduce((sum, cause) => sum + cause.probability, 0)).toBeCloseTo(1, 9);
      }),
      { numRuns: 60 },
    );
  });

  test('the order in which answers came does not matter', () => {
    fc.assert(
      fc.property(anyEvidence, (evidence) => {
        const backwards = rankOf(Object.fromEntries(Object.entries(evidence).reverse())).causes;
        rankOf(evidence).causes.forEach(({ id, probability }) =>
          expect(backwards.find((each) => each.id === id)!.probability).toBeCloseTo(probability, 10),
        );
      }),
      { numRuns: 60 },
    );
  });

  test('a battery that is all but empty is as good as empty', () => {
    const [dead, nearly] = [0, 5e-324].map((charge) =>
      chances({ battery_pct: charge, distance_m: 1e-13, phase: 'ground' }),
    );
    for (const id of CAUSE_IDS) expect(nearly![id]).toBeCloseTo(dead![id]!, 6);
  });

  test('"not known" changes nothing; a pilot who could not tell where the nose was does', () => {
    for (const question of QUESTIONS) {
      if (question.kind !== 'choice' || question.id === 'nose' || !question.values.includes('unknown'))
        continue;
      expect(chances({ phase: 'cruise', [question.id]: 'unknown' })).toEqual(chances({ phase: 'cruise' }));
    }
    expect(rankOf({ nose: 'unknown', phase: 'cruise', view: 'direct-sight' }).causes[0]!.id).toBe(
      'orientation-lost',
    );
  });

  test('more room in front never makes "could not stop" likelier', () => {
    const at = (seen: number) =>
      chances({ obstacle_side: 'ahead', speed_mps: 10, seen_at_m: seen })['obstacle-overrun']!;
    const rooms = [5, 10, 15, 20, 30, 50, 80].map(at);
    expect(rooms).toEqual([...rooms].sort((a, b) => b - a));
    expect(rooms[0]! - rooms.at(-1)!).toBeGreaterThan(0.1);
  });

  test('a number known better moves the ranking more; a rough one less', () => {
    const at = (within: number) =>
      chances({
        obstacle_side: 'ahead',
        speed_mps: { value: 12, within: 0.5 },
        seen_at_m: { value: 10, within },
      })['obstacle-overrun']!;
    expect(at(0.5)).toBeGreaterThan(at(8));
  });

  test('the same sink rate is trouble for a lightly loaded craft and not for a heavily loaded one', () => {
    const known = answersOf({ travel: 'straight-down', descent_mps: 3 });
    const at = (massKg: number) =>
      rank(known, { ...CRAFT, massKg }).causes.find((cause) => cause.id === 'wash-settling')!.probability;
    expect(at(0.4)).toBeGreaterThan(at(6));
  });

  test('with nothing told it does not know, and is no surer than its priors', () => {
    const { causes, stance } = rank(NOTHING, CRAFT);
    expect(stance).toBe('not-known');
    expect(causes[0]!.probability).toBeLessThan(0.1);
    expect(rankOf({ wildlife: 'near' }).stance).toBe('not-known');
  });

  test('reasons and prior add up to the ranking: nothing moves it unsaid', () => {
    const evidence: Evidence = {
      phase: 'landing',
      nose: 'toward',
      first_move: 'opposite',
      correction_effect: 'grew',
      wind_mps: 2,
    };
    const { causes } = rankOf(evidence);
    const model = modelWith();
    const explanationOf = ([first, second]: readonly CauseId[]) =>
      HYPOTHESES.findIndex(
        (each) =>
          CAUSE_IDS[each.first] === first &&
          (each.second === null ? undefined : CAUSE_IDS[each.second]) === second,
      );
    const score = (id: CauseId) =>
      model.logPrior[explanationOf(causes.find((cause) => cause.id === id)!.chain)]! +
      causes.find((cause) => cause.id === id)!.reasons.reduce((sum, reason) => sum + reason.weight, 0);
    const odds = causes[0]!.probability / causes[1]!.probability;
    expect(score(causes[0]!.id) - score(causes[1]!.id)).toBeCloseTo(Math.log(odds), 0);
    expect(causes[0]!.reasons[0]).toMatchObject({
      sign: 'mirrored',
      said: { say: 'reason.sign-holds', with: { sign: 'mirrored' } },
    });
  });

  test('human factors stand beside the mechanism with a probability of their own', () => {
    const { causes, conditions } = rankOf({
      nose: 'toward',
      first_move: 'opposite',
      attention: 'talked-to',
      phase: 'landing',
    });
    expect(causes[0]!.id).toBe('orientation-nose-in');
    expect(conditions.find((each) => each.id === 'distraction')!.probability).toBeGreaterThan(0.4);
    expect(conditions.find((each) => each.id === 'panic-override')!.probability).toBeLessThan(0.2);
  });

  test('next questions: none that is answered or makes no sense, most telling first but for what is always asked, and never worth less than nothing', () => {
    fc.assert(
      fc.property(anyEvidence, (evidence) => {
        const { nextQuestions } = rankOf(evidence);
        expect(
          nextQuestions.filter(({ id, gain }) => id in evidence || gain < 0 || Number.isNaN(gain)),
        ).toEqual([]);
        // Nothing is put before another that would tell over a quarter of a bit more: what came from outside is rare.
        nextQuestions.forEach(({ gain }, i) =>
          expect(Math.max(gain, ...nextQuestions.slice(i).map((later) => later.gain))).toBeLessThan(
            gain + 0.26,
          ),
        );
      }),
      { numRuns: 60 },
    );
    expect(
      rankOf({ phase: 'landing', nose: 'toward' })
        .nextQuestions.slice(0, 3)
        .map(({ id }) => id),
    ).toContain('first_move');
    expect(rankOf({ phase: 'hover' }).nextQuestions.some(({ id }) => id === 'gap_ratio')).toBe(false);
  });

  test('answering what it asks, as under the true cause, names that cause within eight answers for most', () => {
    const model = modelWith();
    const named = CAUSE_IDS.filter((cause, c) => {
      const evidence: Record<string, string> = {};
      for (let i = 0; i < 8; i += 1) {
        const next = rankOf(evidence).nextQuestions.find(({ id }) => questionOf(id).kind === 'choice')!.id;
        evidence[next] = [...model.answer.get(next)!].sort(
          ([, a], [, b]) => b.likelihood[c]! - a.likelihood[c]!,
        )[0]![0];
      }
      return rankOf(evidence)
        .causes.slice(0, 3)
        .some(({ id }) => id === cause);
    });
    expect(named.length).toBeGreaterThanOrEqual(20);
  });
});

describe('cases', () => {
  test('at least forty, over all causes, each valid', () => {
    expect(CASES.length).toBeGreaterThanOrEqual(40);
    expect(new Set(CASES.map((each) => each.cause))).toEqual(new Set(CAUSE_IDS));
    for (const { evidence } of CASES) expect(() => evidenceShape.validateSync(evidence)).not.toThrow();
  });

  test('the named cause comes first in at least 85 of 100, and is among the first three in at least 95', () => {
    const places = CASES.map(({ cause, evidence }) =>
      rankOf(evidence).causes.findIndex(({ id }) => id === cause),
    );
    expect(places.filter((place) => place === 0).length / CASES.length).toBeGreaterThanOrEqual(0.85);
    expect(places.filter((place) => place < 3).length / CASES.length).toBeGreaterThanOrEqual(0.95);
  });
});

describe('which of two when both fit: the first link that training can break', () => {
  test.each<[string, Evidence]>([
    [
      'failsafe-setting',
      {
        link: 'control-lost',
        radio_path: 'blocked',
        auto_return: 'link-loss',
        return_height_m: 15,
        tallest_m: 30,
        obstacle_side: 'ahead',
      },
    ],
    [
      'link-loss',
      {
        link: 'control-lost',
        radio_path: 'blocked',
        auto_return: 'link-loss',
        return_height_m: 50,
        tallest_m: 20,
      },
    ],
    [
      'battery-overrun',
      { battery_pct: 7, low_battery: 'ignored', wind_side: 'head', auto_return: 'battery', place: 'open' },
    ],
    ['failsafe-setting', { auto_return: 'battery', auto_phase: 'landing', place: 'trees', battery_pct: 10 }],
    [
      'obstacle-overhead',
      { obstacle_side: 'above', auto_return: 'none', place: 'trees', travel: 'climbing' },
    ],
    [
      'mode-confusion',
      {
        hold_expected: 'yes',
        position_hold: 'off',
        setting_expected: 'different',
        correction_effect: 'none',
      },
    ],
    [
      'no-gps-drift',
      {
        hold_expected: 'yes',
        position_hold: 'dropped',
        drift_direction: 'downwind',
        sticks_before: 'released',
      },
    ],
    [
      'coasting',
      {
        position_hold: 'off',
        drift_direction: 'own-momentum',
        sticks_before: 'released',
        hold_expected: 'no',
      },
    ],
    ['wrong-stick', { nose: 'away', first_move: 'opposite', feeling: 'rushed' }],
    ['craft-fault', { snap: 'one-side', yaw_burst: 'none', after_inspection: 'fault-found', phase: 'hover' }],
    ['yaw-tumble', { snap: 'one-side', yaw_burst: 'half-or-more', after_inspection: 'sound', phase: 'turn' }],
  ])('%s', (cause, evidence) => {
    expect(rankOf(evidence).causes[0]!.id).toBe(cause);
  });
});
