import type { ValidationError } from 'yup';
import { USUAL_CRAFT } from '../vocabulary/craft-facts';
import { craftAsText, craftFromText, linkSearch, practiceLinkShape } from './practice-link';

const read = (search: string) =>
  practiceLinkShape.validateSync(Object.fromEntries(new URLSearchParams(search)), {
    stripUnknown: true,
    abortEarly: false,
  });

test('a setting goes out in a link and comes back the same; what is as usual is not said', () => {
  const craft = { ...USUAL_CRAFT, sensorSides: ['ahead', 'below'] as const };
  const search = linkSearch('crab-leg', {
    side: 'left',
    wind: 5.5,
    jet: true,
    sensors: false,
    around: 'trees',
    lost: 'hover',
    craft: craftAsText(craft),
    mode: null,
  });
  expect(search).not.toContain('mode');
  expect(read(search)).toMatchObject({
    side: 'left',
    wind: 5.5,
    jet: true,
    sensors: false,
    around: 'trees',
    lost: 'hover',
    mode: null,
  });
  expect(craftFromText(read(search).craft!)).toEqual(craft);
});

test.each([
  ['wind=40', 'field.above-or-empty', { label: 'wind', most: 12 }],
  ['around=sea', 'field.other-choice-or-empty', { label: 'surroundings' }],
  ['jet=maybe', 'field.no-on-off', { label: 'stream-of-air' }],
  ['home=2', 'field.below', { label: 'return-height', least: 5 }],
  ['craft=heavy', 'link.no-craft', undefined],
  ['craft=0.9 0.35 4.5 0.1 2 15', 'link.no-craft', undefined],
])('%s is told by name and limit', (search, say, figures) => {
  let wrong: unknown[] = [];
  try {
    read(search);
  } catch (error) {
    wrong = (error as ValidationError).errors;
  }
  expect(wrong).toMatchObject([{ say, ...(figures ? { with: figures } : {}) }]);
});
