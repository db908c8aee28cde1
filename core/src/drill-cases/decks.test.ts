import type { CaseContext } from './case';
import { caseNow } from './case-now';
import { casesOf, deckFor, drawCase, isCaseOf } from './decks';
import { DRILLS } from '../drills/drills';

/**
 * Whoever answers by rote must not be cleared. A deck of fewer than twenty different right answers lets a pilot
 * who always says the same thing meet more than one attempt in twenty.
 */

const CONTEXTS: readonly CaseContext[] = [true, false].flatMap((hasPositionHold) =>
  [2, 6.7, 12].map((windLimitMps) => ({
    craft: { hasPositionHold, sensorSides: hasPositionHold ? (['below'] as const) : [] },
    windLimitMps,
  })),
);
const DECKS = DRILLS.filter(({ id }) => deckFor(id).length > 0).map(({ id }) => id);
const KEY = '01900000-0000-7000-8000-00000000002a';

test('the drills with cases are those that say so', () => {
  expect(DRILLS.filter(({ byLot }) => byLot).map(({ id }) => id)).toEqual(DECKS);
  expect([...DECKS].sort()).toEqual([
    'calibrate-here',
    'go-no-go',
    'lost-link-choice',
    'mode-readback',
    'preflight-aloud',
    'prelanding-aloud',
    'setting-readback',
  ]);
});

test.each(DECKS)('%s: always the same answer, or any by chance, meets at most one in twenty', (drillId) => {
  for (const context of CONTEXTS) {
    const cases = casesOf(drillId, context);
    expect(new Set(cases.map(({ id }) => id)).size).toBe(cases.length);
    const right = new Map<string, number>();
    for (const answer of cases.map((each) => JSON.stringify(each.answer)))
      right.set(answer, (right.get(answer) ?? 0) + 1);
    for (const [answer, times] of right)
      if (times / cases.length > 1 / 20) throw new Error(`${times} of ${cases.length} are "${answer}"`);
    const byChance = [...right.values()].reduce((sum, times) => sum + (times / cases.length) ** 2, 0);
    expect(byChance).toBeLessThanOrEqual(1 / 20);
  }
});

test.each(DECKS)('%s: what is read out does not give the answer away', (drillId) => {
  for (const { says, answer } of casesOf(drillId, CONTEXTS[0]!)) expect(says).not.toEqual(answer);
});

/** Which checks of the flight each scene is about, for a beginner's wind limit. */
const ABOUT: Readonly<Record<string, readonly string[]>> = {
  windy: ['wind', 'gust'],
  gusty: ['gust'],
  gale: ['wind', 'gust'],
  'people-on-the-slope': ['people'],
  'people-under-height': ['people'],
  drizzle: ['rain'],
  dusk: ['light'],
  dark: ['light'],
  'thin-reserve': ['reserve'],
  'over-the-limit': ['height'],
  'fast-in-trees': ['sensors'],
};

test('the scenes go where they look good, and are refused for what stands in them', () => {
  const answers = new Map(
    casesOf('go-no-go', { ...CONTEXTS[0]!, windLimitMps: 6.7 }).map(({ id, answer }) => [id, answer]),
  );
  const go = [...answers].filter(([, answer]) => answer.say === 'scene.go').map(([id]) => id);
  expect(go).toEqual(['good-morning', 'half-pack', 'last-light', 'low-and-near']);
  const checks: Readonly<Record<string, RegExp>> = {
    wind: /"check\.wind"/,
    gust: /"check\.gust"/,
    people: /"check\.people"/,
    rain: /"check\.rain"/,
    light: /"check\.light(-gone)?"/,
    reserve: /"check\.reserve"/,
    height: /"check\.height"/,
    sensors: /"check\.sensors-off"/,
  };
  for (const [id, about] of Object.entries(ABOUT))
    for (const each of about) expect(JSON.stringify(answers.get(id))).toMatch(checks[each]!);
});

test('a lost link: over the tallest thing by ten metres where it may, and never up under a roof', () => {
  const byId = new Map(casesOf('lost-link-choice', CONTEXTS[0]!).map(({ id, answer }) => [id, answer]));
  expect(byId.get('mast')!.with).toMatchObject({ action: 'return', returnHeightM: 55 });
  expect(byId.get('bridge')!.with).toMatchObject({ action: 'hover', why: 'under-structure' });
  expect(byId.get('tall-limit')!.with).toMatchObject({ action: 'hover', why: 'above-limit' });
  const without = casesOf('lost-link-choice', {
    craft: { hasPositionHold: false, sensorSides: [] },
    windLimitMps: 6.7,
  });
  for (const { answer } of without) expect(answer.with).toMatchObject({ action: 'descend', why: 'no-hold' });
});

test('the same case until the attempt is recorded, then another, and all of them in time', () => {
  const pilot = { mode: 'position-hold', windLimitMps: 6.7 } as const;
  const attempts: { id: string; drillId: string; flownAt: string; caseId: string }[] = [];
  const seen = new Set<string>();
  for (let i = 0; i < 300; i += 1) {
    const now = caseNow('lost-link-choice', KEY, pilot, attempts)!;
    expect(caseNow('lost-link-choice', KEY, pilot, [...attempts].reverse())).toEqual(now);
    expect(attempts.slice(-12).map(({ caseId }) => caseId)).not.toContain(now.id);
    attempts.push({
      id: String(i),
      drillId: 'lost-link-choice',
      flownAt: new Date(i * 60_000).toISOString(),
      caseId: now.id,
    });
    seen.add(now.id);
  }
  expect(seen.size).toBe(21);
  expect(caseNow('tail-in-hover', KEY, pilot, [])).toBeNull();
});

test('by lot, none of the last dozen, and an answer only where there are cases', () => {
  const cases = casesOf('preflight-aloud', CONTEXTS[0]!);
  const used: string[] = [];
  for (let i = 0; i < 200; i += 1) {
    const drawn = drawCase(cases, used, ((i * 37) % 100) / 100)!;
    expect(used.slice(0, 12)).not.toContain(drawn.id);
    used.unshift(drawn.id);
  }
  expect(new Set(used).size).toBeGreaterThan(cases.length / 2);
  expect(drawCase([], [], 0.5)).toBeNull();
  expect(isCaseOf('preflight-aloud', 'rotor-loose')).toBe(true);
  expect(isCaseOf('preflight-aloud', 'constructor')).toBe(false);
  expect(casesOf('constructor', CONTEXTS[0]!)).toEqual([]);
});
