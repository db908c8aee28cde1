import { validate, version } from 'uuid';
import { flownIdOf } from './flown-id';

test('the id of a flight is a UUID, the same for the same flight, and another for another', () => {
  const id = flownIdOf('1778000000 61.000 8.500');
  expect(validate(id)).toBe(true);
  expect(version(id)).toBe(8);
  expect(flownIdOf('1778000000 61.000 8.500')).toBe(id);
  expect(flownIdOf('1778000001 61.000 8.500')).not.toBe(id);
});
