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
  ['wind=40', 'Wind is above 12 m/s'],
  ['around=sea', 'Surroundings must be one of none, poles'],
  ['jet=maybe', 'Stream of air must be 1 or 0'],
  ['home=2', 'Return height is below 5 m'],
  ['craft=heavy', 'Craft must be mass, span'],
  ['craft=0.9 0.35 4.5 0.1 2 15', 'Craft must be mass, span'],
])('%s is told by name and limit', (search, message) => expect(() => read(search)).toThrow(message));
