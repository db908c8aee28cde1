import { answersOf } from '@skelby/core/evidence/evidence';
import { NO_EXPERIENCE } from '@skelby/core/ranking/experience';
import { rank } from '@skelby/core/ranking/rank';
import { craftFacts, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import { weighed } from './weigh';

const craft = craftFacts(USUAL_CRAFT);
const known = answersOf({ nose: 'toward', first_move: 'opposite', phase: 'landing' });

test('what is posted from a worker is the ranking, whole, and as plain data', () => {
  const { ranking } = weighed({ known, craft, lessons: null, mentioned: [] });
  expect(structuredClone(ranking)).toEqual(ranking);
  expect(ranking).toEqual(JSON.parse(JSON.stringify(rank(known, craft))));
});

test('the school’s own lessons change it when they change, and go when they go', () => {
  const of = (lessons: Parameters<typeof weighed>[0]['lessons']) =>
    weighed({ known, craft, lessons, mentioned: [] }).ranking.causes[0]!.probability;
  const start = of(null);
  expect(of({ ...NO_EXPERIENCE, causes: { 'wash-settling': 400 } })).toBeLessThan(start);
  expect(of(NO_EXPERIENCE)).toBe(start);
});
