import { PLACES } from '../vocabulary/flying';
import { FITNESS, hazardChecks, placeChecks, preFlight } from './pre-flight';

/** Nothing of an inspection is ever in order by itself. */

const HOLDS = { hasPositionHold: true, sensorSides: ['below'], sensorsInFast: false } as const;
const MANUAL = { hasPositionHold: false, sensorSides: [], sensorsInFast: false } as const;
const idsOf = (list: ReturnType<typeof preFlight>) => list.map(({ id }) => id.replace('pre-flight ', ''));

test.each(PLACES)('at %s every item waits for somebody, and says what to do', (place) => {
  for (const craft of [HOLDS, MANUAL])
    for (const { id, go, said, remedy } of [
      ...preFlight({ craft, place }),
      ...placeChecks(place),
      ...FITNESS,
    ]) {
      expect(go).toBeNull();
      const item = id.split(' ')[1];
      expect([said.say, remedy?.say]).toEqual([`item.${item}`, `item-remedy.${item}`]);
    }
});

test('what is asked fits craft and place', () => {
  expect(idsOf(preFlight({ craft: HOLDS, place: 'open' }))).toEqual(
    expect.arrayContaining(['rotors', 'fix', 'heading', 'mode']),
  );
  // No satellites under a roof, and no home to go to: openings, floor and the automatic return instead.
  const hall = idsOf(preFlight({ craft: HOLDS, place: 'indoors' }));
  expect(hall).toEqual(expect.arrayContaining(['floor', 'no-return']));
  expect(hall).not.toContain('fix');
  expect(placeChecks('indoors').map(({ id }) => id)).toContain('place openings');
  expect(placeChecks('open').map(({ id }) => id)).not.toContain('place openings');
  const manual = idsOf(preFlight({ craft: MANUAL, place: 'indoors' }));
  expect(manual).not.toContain('floor');
  expect(idsOf(preFlight({ craft: MANUAL, place: 'open' }))).not.toContain('heading');
});

test('what somebody told of a place is looked at, by its words; nothing told asks nothing', () => {
  const told = 'New wire by the hut, 6 m up';
  const [check] = hazardChecks(told);
  expect(check).toMatchObject({ go: null, said: { with: { hazard: told } } });
  expect([hazardChecks(''), hazardChecks()]).toEqual([[], []]);
  // Another hazard is another thing to look at: a tick of the last one is none.
  expect(hazardChecks('Ice on the ramp')[0]!.id).not.toBe(check!.id);
});
