import { allDrills, drillOf, DRILLS, isDrillId, isFlown } from './drills';
import { openBook, type OwnDrill, versionInForce } from './school-book';

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

afterEach(() => openBook([]));

test('a changed standard is what the drill asks for from now on; everything else of it stays', () => {
  const house = drillOf('tail-in-hover');
  openBook([
    {
      drillId: 'tail-in-hover',
      number: 2,
      fields: { byEye: '90 s within a pace', measured: '90 s, 1 m', dose: '4 a pack' },
    },
  ]);
  expect(drillOf('tail-in-hover')).toEqual({
    ...house,
    byEye: '90 s within a pace',
    measured: '90 s, 1 m',
    dose: '4 a pack',
  });
  expect([versionInForce('tail-in-hover'), versionInForce('half-thumb')]).toEqual([2, 0]);
});

test('an own drill stands among the others, and can be counted even where its words are not at hand', () => {
  expect(isDrillId(OWN)).toBe(true);
  expect(isFlown(drillOf(OWN))).toBe(true);
  expect(drillOf(OWN).sides).toEqual([]);
  openBook([{ drillId: OWN, number: 1, fields: own }]);
  expect(drillOf(OWN)).toMatchObject({ name: 'Winch hover', group: 'hover', after: [] });
  expect(drillOf(OWN).caution).toBeUndefined();
  expect(allDrills().map((drill) => drill.id)).toEqual([...DRILLS.map((drill) => drill.id), OWN]);
});

test('what only looks like an own drill is none', () => {
  expect(isDrillId('own-1')).toBe(false);
  expect(() => drillOf('own-1')).toThrow('There is no drill "own-1".');
});
