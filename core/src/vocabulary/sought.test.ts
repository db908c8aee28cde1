import fc from 'fast-check';
import { excerptAround, holdsWords, SOUGHT_SIGNS, wordsSought } from './sought';

test('words are found by their beginnings, whatever case, accents and signs stand around them', () => {
  expect(wordsSought('  Gústy, hut-roof GUSTY! ')).toEqual(['gusty', 'hut', 'roof']);
  expect(wordsSought(' .,;- ')).toEqual([]);
  expect(holdsWords('Clipped the hut’s roof in a GUST.', wordsSought('roof gus'))).toBe(true);
  expect(holdsWords('Clipped the hut’s roof in a gust.', wordsSought('ust'))).toBe(false);
  expect(holdsWords('Anything', [])).toBe(false);
});

test('any text is found by each of its own words, and in any order', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', maxLength: SOUGHT_SIGNS }), (text) => {
      const words = wordsSought(text);
      fc.pre(words.length > 0);
      expect(holdsWords(text, [...words].reverse())).toBe(true);
    }),
  );
});

test('an excerpt shows the word, is no longer than asked for, and is part of the text', () => {
  const text = `${'Flew out along the ridge. '.repeat(8)}A gust came over the col. ${'Then home. '.repeat(20)}`;
  const excerpt = excerptAround(text, ['gust'], 60);
  expect(excerpt).toMatch(/^… .*A gust came.* …$/);
  fc.assert(
    fc.property(
      fc.lorem({ maxCount: 40 }),
      fc.nat(),
      fc.integer({ min: 20, max: 90 }),
      (words, at, signs) => {
        const all = wordsSought(words);
        const word = all[at % all.length]!;
        const shown = excerptAround(words, [word], signs);
        const bare = shown.replace(/^… | …$/g, '');
        expect(words).toContain(bare);
        expect(bare.length).toBeLessThanOrEqual(signs);
        expect(holdsWords(shown, [word])).toBe(true);
      },
    ),
  );
});

test('a word longer than the excerpt is cut', () => {
  expect(excerptAround('a'.repeat(200), ['a'], 30)).toBe('a'.repeat(30));
});
