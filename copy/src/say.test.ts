import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { casesOf } from '@skelby/core/drill-cases/decks';
import { DRILLS } from '@skelby/core/drills/drills';
import { NOTHING } from '@skelby/core/evidence/question';
import { SUMS, startOf, workOut } from '@skelby/core/sums/sums';
import { craftFacts, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import type { SentenceId } from '@skelby/core/vocabulary/sentence-ids';
import { SENTENCES } from './en/sentences/sentences';
import { messageWords, said } from './say';

const CORE = join(__dirname, '../../core/src');
const SOURCES = readdirSync(CORE, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts') && !file.includes('.test.') && !file.endsWith('sentence-ids.ts'))
  .map((file) => readFileSync(join(CORE, file), 'utf8'))
  .join('\n');

test('no sentence is kept that no rule decides on any more', () => {
  const named = new Set([...SOURCES.matchAll(/'([a-z-]+\.[a-z0-9-]+)'/g)].map(([, id]) => id));
  const shapes = [...SOURCES.matchAll(/`([a-z-]+\.[a-z-]*(?:\$\{[^}]+\}[a-z-]*)+)`/g)].map(
    ([, shape]) => new RegExp(`^${shape!.replaceAll('.', '\\.').replaceAll(/\$\{[^}]+\}/g, '[a-z-]+')}$`),
  );
  const idle = Object.keys(SENTENCES).filter(
    (id) => !named.has(id) && !shapes.some((shape) => shape.test(id)),
  );
  expect(idle).toEqual([]);
});

test('figures are put into words: names, lists, shares, and sentences in sentences', () => {
  expect(said({ say: 'rep.other-side', with: { sides: ['left', 'right'], drill: 'crab-leg' } })).toBe(
    'Side must be one of left, right for Crab leg.',
  );
  expect(said({ say: 'plan.none-decides', with: { drills: ['nose-in-hover', 'clock-hover'] } })).toMatch(
    /^Keep at least one tested drill \(.+ or .+\): /,
  );
  expect(
    said({
      say: 'limit.of-cause',
      with: {
        cause: 'wind-displacement',
        why: { say: 'limit.wind-share', with: { most: 4, windMps: 4.1 } },
      },
    }),
  ).toBe(
    'Carried by the wind: no more than {v:4} of wind until cleared, outside its own drills; it is {v:4.1}.',
  );
  expect(
    said({ say: 'reason.implied', with: { question: 'auto_return', by: ['auto_phase', 'low_battery'] } }),
  ).toMatch(/^[A-Z].*: as [a-z ]+ and [a-z ]+ imply$/);
  expect(said({ say: 'sum.lean-some', with: { lostM: 1.239, heightM: 5, share: 0.25 } })).toBe(
    'Some of its height: up to {m:1.24} of {m:5}, unless the throttle goes up by 25\u00a0%.',
  );
  expect(said({ say: 'chain.answer', with: { question: 'attention', value: 'talked-to' } })).toBe(
    'Attention: somebody talked',
  );
  expect(said({ say: 'chain.near-miss-with', with: { what: 'thin' } })).toBe('Near-miss: thin (twig, net)');
});

test('every form that a sentence asks for is there', () => {
  for (const [id, text] of Object.entries(SENTENCES)) {
    const open = [...text.matchAll(/\{([a-zA-Z]\w*)[|}]/g)].map(([, name]) => name!);
    try {
      said({ say: id as SentenceId, with: Object.fromEntries(open.map((name) => [name, 'x'])) });
    } catch (error) {
      // No table knows x: only a form that there is not is a fault here.
      if (error instanceof RangeError) throw error;
    }
  }
});

test('what is written with braces of its own stays as it is', () => {
  expect(said({ say: 'answer.no-number', with: { id: 'speed_mps', least: 0, most: 60, unit: ' m/s' } })).toBe(
    'speed_mps is not a number: give a number from 0 to 60 m/s, alone or as { "value", "within" }.',
  );
});

test("a school's own words are said where they are given", () => {
  const names = { drillOf: () => ({ name: 'Winch hover', dose: '3 a pack' }) };
  expect(said({ say: 'rep.no-opening', with: { drill: 'tail-in-hover' } }, names)).toBe(
    'Winch hover has no opening: leave Width empty.',
  );
});

test('a field is called by its label, or as it is written in a file', () => {
  expect(said({ say: 'field.pick-one', with: { label: 'why-missed' } })).toBe(
    'Why missed is missing: pick one.',
  );
  expect(said({ say: 'field.pick-one', with: { label: '=logged_cause' } })).toBe(
    'logged_cause is missing: pick one.',
  );
  expect(said({ say: 'unnamed.missing', with: { path: '' } })).toBe('The body is missing: give it.');
  expect(messageWords('As it was written down.')).toBe('As it was written down.');
});

test('what cannot be said is an error and not half a sentence', () => {
  expect(() => said({ say: 'field.below', with: { label: 'wind' } })).toThrow(
    '"field.below" is said without least.',
  );
  expect(() => said({ say: 'field.lost' as SentenceId })).toThrow('There is no sentence "field.lost".');
});

test('every case of every deck is read out whole, with nothing left open but lengths and speeds', () => {
  for (const craft of [
    { hasPositionHold: true, sensorSides: ['below'] },
    { hasPositionHold: false, sensorSides: [] },
  ] as const)
    for (const { id } of DRILLS.filter(({ byLot }) => byLot))
      for (const { says, answer } of casesOf(id, { craft, windLimitMps: 6.7 })) {
        for (const text of [said(says), said(answer)])
          expect(text.replaceAll(/\{[mv]:[\d.]+\}/g, '')).not.toMatch(/[{}|]|undefined|null|\.\./);
        // What is read out does not give the answer away.
        expect(said(says)).not.toContain(said(answer));
      }
});

test('every answer of every sum is said whole, and what it is refused for names the input', () => {
  const craft = craftFacts(USUAL_CRAFT);
  for (const sum of SUMS) {
    const start = startOf(sum, NOTHING, craft);
    const outcome = workOut(sum, start, craft);
    expect('worked' in outcome && said(outcome.worked.answer)).toMatch(/\.$/);
    for (const input of sum.inputs) {
      if (input.kind === 'choice') continue;
      const wrong = workOut(sum, { ...start, [input.id]: input.most + 1 }, craft);
      expect('problem' in wrong && said(wrong.problem)).toMatch(
        new RegExp(`^.+ lies outside its limits: give a number from ${input.least} to ${input.most}`),
      );
    }
  }
});
