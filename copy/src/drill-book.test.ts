import { bookOf } from './drill-book';
import { drillOf, DRILLS, isDrillId, isFlown } from '@skelby/core/drills/drills';
import type { OwnDrill } from '@skelby/core/drills/school-book';
import { wordedDrill } from './drills';

const OWN = 'own-01900000-0000-7000-8000-000000000001';
const own: OwnDrill = {
  name: 'Winch hover',
  trains: 'Standing over the winch point',
  task: 'Hover over the cross for a minute.',
  byEye: 'A minute over the cross',
  measured: '60 s within 1 m',
  dose: '3 a pack',
  caution: '',
  group: 'hover',
  kind: 'flown',
  simulator: 'allowed',
  sticks: ['pitch', 'roll'],
};

test('a changed standard is what the drill asks for from now on; everything else of it stays', () => {
  const house = wordedDrill('tail-in-hover');
  const book = bookOf([
    { drillId: 'tail-in-hover', number: 1, fields: { byEye: 'An older one', measured: '', dose: '' } },
    {
      drillId: 'tail-in-hover',
      number: 2,
      fields: { byEye: '90 s within a pace', measured: '90 s, 1 m', dose: '4 a pack' },
    },
  ]);
  expect(book.drillOf('tail-in-hover')).toEqual({
    ...house,
    byEye: '90 s within a pace',
    measured: '90 s, 1 m',
    dose: '4 a pack',
  });
  expect([book.versionInForce('tail-in-hover'), book.versionInForce('half-thumb')]).toEqual([2, 0]);
  expect(wordedDrill('tail-in-hover')).toEqual(house);
});

test('an own drill stands among the others, and can be counted even where its words are not at hand', () => {
  expect(isDrillId(OWN)).toBe(true);
  expect(isFlown(drillOf(OWN))).toBe(true);
  expect(drillOf(OWN).sides).toEqual([]);
  const book = bookOf([{ drillId: OWN, number: 1, fields: own }]);
  expect(book.drillOf(OWN)).toMatchObject({ name: 'Winch hover', group: 'hover', after: [] });
  expect(book.drillOf(OWN).caution).toBeUndefined();
  expect(book.all.map((drill) => drill.id)).toEqual([...DRILLS.map((drill) => drill.id), OWN]);
});

test('what only looks like an own drill is none', () => {
  expect(isDrillId('own-1')).toBe(false);
  expect(() => drillOf('own-1')).toThrow('There is no drill "own-1".');
});
