import { causeWords } from '@skelby/copy/causes';
import { CAUSES } from '@skelby/core/causes/causes';
import { DEFAULT_RULE, FIRST_RULE } from '@skelby/core/clearance/clearing-rule';
import { clearanceOf } from '@skelby/core/clearance/clearance';
import type { Rep } from '@skelby/core/clearance/facts';
import { plural } from './copy';
import { crashRateWords, nearMissRateWords } from './rate-copy';
import { sureSentences } from './sure-copy';
import { curveSentence, rungWords } from './rung-copy';
import { sayDay } from './dates';

/** What the screens say is true. */

describe('days as a trainer says them', () => {
  test.each([
    ['2026-03-10', 'today'],
    ['2026-03-09', 'yesterday'],
    ['2026-03-11', 'tomorrow'],
    ['2026-03-13', 'in 3 days'],
    ['2026-03-01', '9 days ago'],
    ['2026-01-02', '2 Jan'],
    ['2025-11-30', '30 Nov 2025'],
  ])('%s, on 10 March 2026, is "%s"', (day, words) => expect(sayDay(day, '2026-03-10')).toBe(words));
});

describe('rates', () => {
  test('no crash in 20 flights is not no risk', () => {
    expect(crashRateWords(0, 20)).toBe(
      '0 crashes in 20 flights: 0.0 per 100, two-sided 95 % from 0.0 to 16.8.',
    );
  });

  test('without flights there is no rate, and more crashes than flights is said to be a gap in the record', () => {
    expect(crashRateWords(1, 0)).toContain('No flights recorded');
    expect(crashRateWords(3, 2)).toContain('add the flights');
    expect(nearMissRateWords(1, 0)).toBeNull();
  });

  test('one near-miss in 40 flights: 2.5 per 100, from 0.1 to 13.9 (Garwood: 0.0253 to 5.572 in 40)', () => {
    expect(nearMissRateWords(1, 40)).toBe('1 near-miss: 2.5 per 100 flights, from 0.1 to 13.9.');
  });
});

describe('how sure the test is', () => {
  test("says the exact risk, the good pilot's wait and what packs do to it", () => {
    const sentences = sureSentences(FIRST_RULE, 12);
    expect(sentences[0]).toBe(
      'A pilot who still misses 40 % gets one chart to its limit by luck in 7.8\u00a0% of tries of 30 test reps.',
    );
    expect(sentences[1]).toContain('needs 15 test reps on average, and is through within 30 in 97\u00a0%');
    expect(sentences).toHaveLength(3);
  });

  test('evidence promises for life, and says what it does not promise', () => {
    const [promise, limits] = sureSentences(DEFAULT_RULE, 12);
    expect(promise).toContain('misses 40 % or more');
    expect(promise).toContain('at most 10\u00a0% of openings');
    expect(limits).toContain('promises nothing');
  });

  test('past the planned reps it says by how much luck has grown', () => {
    const last = sureSentences(FIRST_RULE, 60).at(-1)!;
    expect(last).toMatch(/^At the 60 test reps flown so far, luck alone would do it in \d+\s%\.$/);
    expect(Number(/in (\d+)\s%/.exec(last)![1])).toBeGreaterThan(8);
  });
});

const rep = (id: string, more: Partial<Rep> = {}): Rep => ({
  id,
  drillId: 'tail-in-hover',
  purpose: 'test',
  met: true,
  side: null,
  band: 'calm',
  flownOn: 'craft',
  mode: 'position-hold',
  pilotRelative: false,
  day: '2026-03-03',
  flownAt: `2026-03-03T10:00:${id.padStart(2, '0')}.000Z`,
  takenBack: false,
  ...more,
});

const clearanceWith = (reps: readonly Rep[]) =>
  clearanceOf({
    causeId: 'overcontrol',
    keyDrills: ['tail-in-hover'],
    pilot: { mode: 'position-hold', windLimitMps: 6.7 },
    rule: DEFAULT_RULE,
    reps,
    moves: [{ id: 'm', kind: 'opened', at: '2026-03-02T09:00:00.000Z', reason: null, undoes: null }],
  });

describe('the rungs in words', () => {
  test('before anything is flown they say what it takes', () => {
    const clearance = clearanceWith([]);
    expect(rungWords('test', clearance, DEFAULT_RULE)).toBe('Still to go, at best: Tail-in hover: 8 clean.');
    expect(rungWords('coverage', clearance, DEFAULT_RULE)).toBe(
      'To show: Tail-in hover on the craft; Tail-in hover in calm wind; Tail-in hover in light wind.',
    );
    expect(rungWords('days', clearance, DEFAULT_RULE)).toBe('Tail-in hover: 0 of 2 days.');
    expect(rungWords('kept', clearance, DEFAULT_RULE)).toBe('A check 7 days after the last practice.');
  });

  test('the evidence counts down, and a miss sets it back', () => {
    const days = ['2026-03-03', '2026-03-04'];
    const flown = (results: readonly boolean[]) =>
      results.map((met, i) => {
        const day = days[Math.floor(i / 4)]!;
        return rep(String(i), { met, day, flownAt: `${day}T10:00:0${i}.000Z` });
      });
    const says = (...results: readonly boolean[]) =>
      curveSentence(clearanceWith(flown(results)).charts[0]!, DEFAULT_RULE);
    expect(says()).toBe('No test rep yet: at best 8 met, at most 4 a day, take the evidence to 10.');
    expect(says(true, true, true, true)).toBe(
      'Evidence 2.5 of 10 after 4 test reps: at best 4 more met, at most 4 a day. A miss costs about 3.4.',
    );
    expect(says(true, true, true, false)).toContain('Evidence 0.42 of 10');
    expect(says(...Array.from({ length: 8 }, () => true))).toBe(
      'Passed: evidence 10. Misses from now on take it down again.',
    );
  });
});

test('every cause reads as a line on Today: a name without a full stop, a restriction without one', () => {
  for (const { id } of CAUSES) {
    const cause = causeWords(id);
    expect(cause.name).not.toMatch(/[.?!]$/);
    expect(cause.restriction).not.toMatch(/\.$/);
    expect(cause.name.length).toBeLessThanOrEqual(42);
  }
});

test('a count is in groups of three from five digits on', () =>
  expect([1, 2, 6249, 10_744, 1_000_000].map((count) => plural(count, 'entry', 'entries'))).toEqual([
    '1 entry',
    '2 entries',
    '6249 entries',
    '10,744 entries',
    '1,000,000 entries',
  ]));
