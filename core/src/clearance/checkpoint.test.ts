import fc from 'fast-check';
import { Diary } from '../testing/diary';
import { addDays } from '../vocabulary/day';
import { checkpointPlace, inputsOf } from './checkpoint';
import { DEFAULT_RULE } from './clearing-rule';
import type { WeaknessFacts } from './facts';
import { inLists } from './in-lists';
import { checkpointBefore, secondEditionOf } from './second-edition';

/** Going on from where it stood comes to the same as beginning at the beginning, whatever happened. */

const RULES = [
  DEFAULT_RULE,
  { ...DEFAULT_RULE, test: 'strict' as const },
  { ...DEFAULT_RULE, test: 'learning-curve' as const },
  { ...DEFAULT_RULE, passDays: 3, sidesAlike: true },
];
const KEYS = [['tail-in-hover'], ['half-thumb', 'tail-in-hover'], ['clock-hover']] as const;

interface Step {
  readonly days: number;
  readonly what: 'test' | 'test' | 'check' | 'practice' | 'signed' | 'signed-early' | 'again' | 'stamp';
  readonly drill: number;
  readonly side: number;
  readonly met: boolean;
  readonly number: number;
  readonly announced: boolean;
  readonly takenBack: boolean;
}
const STEP: fc.Arbitrary<Step> = fc.record({
  days: fc.constantFrom(0, 0, 1, 1, 3, 8, 40),
  what: fc.constantFrom(
    'test',
    'test',
    'test',
    'check',
    'check',
    'practice',
    'signed',
    'signed-early',
    'again',
    'stamp',
  ),
  drill: fc.nat(1),
  side: fc.nat(3),
  met: fc.constantFrom(true, true, true, false),
  number: fc.integer({ min: 1, max: 5 }),
  announced: fc.boolean(),
  takenBack: fc.constantFrom(false, false, false, true),
});
const SIDES = ['tail-on', 'nose-left', 'nose-in', 'nose-right'] as const;

function lived(steps: readonly Step[], rule: number, key: number): WeaknessFacts {
  const keyDrills = KEYS[key]!;
  const diary = new Diary(
    { mode: 'position-hold', windLimitMps: 6.7 },
    keyDrills,
    'overcontrol',
    RULES[rule],
  );
  const sets: NonNullable<WeaknessFacts['sets']>[number][] = [];
  const stamps = [{ at: diary.moves[0]!.at, mode: 'position-hold' as const, windLimitMps: 6.7 }];
  let day = '2026-03-03';
  for (const step of steps) {
    day = addDays(day, step.days);
    const drillId = keyDrills[step.drill % keyDrills.length]!;
    const side = drillId === 'clock-hover' ? SIDES[step.side]! : null;
    switch (step.what) {
      case 'signed':
      case 'signed-early':
        diary.move(step.what, day);
        break;
      case 'again':
        diary.move('occurrence-added', day);
        break;
      case 'stamp':
        stamps.push({ at: diary.instant(day), mode: 'position-hold', windLimitMps: step.met ? 6.7 : 9 });
        break;
      default: {
        const id = `s${sets.length}`;
        const told = step.what === 'test' && step.announced;
        if (told)
          sets.push({
            id,
            drillId,
            side,
            number: step.number + 1,
            day,
            at: diary.instant(day),
            calledOffAt: null,
          });
        for (let i = 0; i < step.number; i += 1)
          diary.rep(day, step.met || i > 1, {
            drillId,
            side,
            purpose: step.what,
            band: i % 2 === 0 ? 'calm' : 'light',
            testSetId: told ? id : null,
            takenBack: step.takenBack && i === 0,
          });
      }
    }
  }
  diary.more = { sets, stamps };
  return diary.facts();
}

/** Places at which it may be gone on from, as the record grew. */
const placesIn = (facts: WeaknessFacts): readonly string[] => [
  ...new Set(
    facts.reps.flatMap((rep) => {
      // Known by the end of that day: what came later is not there yet.
      const known = facts.reps.filter(({ flownAt }) => flownAt <= rep.flownAt);
      const sets = (facts.sets ?? []).filter(({ at }) => at <= rep.flownAt);
      const moves = facts.moves.filter(({ at }) => at <= rep.flownAt);
      return checkpointPlace({ ...facts, reps: known, sets, moves }) ?? [];
    }),
  ),
];

const decided = (facts: WeaknessFacts, since: Parameters<typeof secondEditionOf>[1] = null) => {
  const all = secondEditionOf(facts, since);
  const { passDays } = facts.rule;
  return {
    ...inLists(all),
    ...{ early: all.signedEarly, unproven: all.isUnproven, relapsed: all.relapsed, failedAt: all.failedAt },
    ...{ openings: all.openings, spent: all.spent, reps: all.reps, check: all.check, coverage: all.coverage },
    charts: all.charts.map(({ curve }) => [curve.share, curve.toGo, curve.reachedAt !== null, curve.reps]),
    days: all.days.map(({ drillId, days }) => [drillId, Math.min(days.length, passDays)]),
    checks: all.watch?.checks,
    // Of the curves the last points, as they are drawn.
    drawn: all.charts.map(({ curve }) => [curve.scores.slice(-20), curve.since.slice(-20)]),
    watched: all.watch?.curve.scores.slice(-20),
  };
};
/** As it comes back from where it is written down. */
const writtenDown = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
/** What is still to be known of a life that is gone on from there. */
const since = (facts: WeaknessFacts, from: string): WeaknessFacts => ({
  ...facts,
  reps: facts.reps.filter(({ flownAt }) => flownAt >= from),
  sets: (facts.sets ?? []).filter(({ at }) => at >= from),
});

test.each(RULES.flatMap((_, rule) => KEYS.map((__, key) => [rule, key] as const)))(
  'by rule %i with deciding drills %i',
  (rule, key) => {
    let compared = 0;
    fc.assert(
      fc.property(fc.array(STEP, { minLength: 4, maxLength: 30 }), fc.nat(), (steps, nth) => {
        const facts = lived(steps, rule, key);
        const places = placesIn(facts);
        if (places.length === 0) return;
        const whole = decided(facts);
        const at = places[nth % places.length]!;
        const first = writtenDown(checkpointBefore(at, facts));
        expect(decided(since(facts, at), first)).toEqual(whole);
        // And from there to a later one.
        const later = places.at(-1)!;
        const second = writtenDown(
          checkpointBefore(later, later >= at ? since(facts, at) : facts, later >= at ? first : null),
        );
        expect(decided(since(facts, later), second)).toEqual(whole);
        compared += 1;
      }),
      { numRuns: 60 },
    );
    expect(compared).toBeGreaterThan(20);
  },
);

test('what it hangs on beside reps and tests: the rule, the pilot, the plan, and every move', () => {
  const facts = lived([], 0, 0);
  const is = inputsOf(facts);
  const rep = new Diary().met('2026-03-03', 1).reps;
  expect(inputsOf({ ...facts, reps: rep, sets: [] })).toBe(is);
  const others: readonly Partial<WeaknessFacts>[] = [
    { rule: { ...facts.rule, riskPercent: 5 } },
    { pilot: { ...facts.pilot, windLimitMps: 3 } },
    { keyDrills: ['half-thumb'] },
    { deciding: [{ at: facts.moves[0]!.at, keyDrills: ['half-thumb'] }] },
    { stamps: [] },
    { causeId: 'coasting' },
    { moves: [...facts.moves, { ...facts.moves[0]!, id: 'late', kind: 'undone', undoes: 'm0' }] },
  ];
  for (const other of others) expect(inputsOf({ ...facts, ...other })).not.toBe(is);
});
