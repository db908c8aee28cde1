import { forecastSentence } from './forecast-copy';

const LATELY = { met: 18, missed: 2 };

test('the middle and what eight of ten need are said, with packs where they were counted', () => {
  const reps = { middle: 15, low: 10, high: 68 };
  const said = forecastSentence(LATELY, { reps, packs: { middle: 2, low: 2, high: 2 }, notThrough: 0 });
  expect(said).toContain('last 20 (18 met), it takes about 15 more reps, check included, about 2 packs;');
  expect(said).toContain('eight times in ten 10 to 68.');
  expect(forecastSentence(LATELY, { reps, packs: null, notThrough: 0 })).not.toContain('pack');
});

test('where one in ten is never through there is no upper end, and where most are not it says so', () => {
  const said = forecastSentence(LATELY, {
    reps: { middle: 141, low: 27, high: null },
    packs: { middle: 29, low: 6, high: null },
    notThrough: 0.3,
  });
  expect(said).toContain('about 29 packs (6 or more); nine times in ten 27 or more.');
  expect(forecastSentence({ met: 10, missed: 10 }, null)).toMatch(/hardly be cleared/);
});
