import { SI_UNITS } from '@skelby/core/vocabulary/units';
import { sayValue, valuesLine, measuredWords } from './value-copy';

const FEET = { length: 'ft', speed: 'kn' } as const;

test('a value is said with its unit, in what the school reads; nothing where nothing was measured', () => {
  expect(sayValue('fore-aft-line', 1.84, SI_UNITS)).toBe('1.8\u00a0m');
  expect(sayValue('fore-aft-line', 3.048, FEET)).toBe('10\u00a0ft');
  expect(sayValue('half-thumb', 12.4, FEET)).toBe('12\u00a0s');
  expect(sayValue('fore-aft-line', 0, SI_UNITS)).toBe('0\u00a0m');
  expect(sayValue('fore-aft-line', null, SI_UNITS)).toBeNull();
  expect(sayValue('power-turn', 3, SI_UNITS)).toBeNull();
  expect(measuredWords('fore-aft-line', 2, SI_UNITS)).toBe('overshoot 2\u00a0m');
});

test('values of several reps say which were met, and stop at five', () => {
  const reps = [3, 2, 1, 4, 5, 6].map((value, i) => ({ met: i % 2 === 1, value }));
  expect(valuesLine('fore-aft-line', reps.slice(0, 2), SI_UNITS)).toBe(
    'Overshoot, newest first: 3\u00a0m missed, 2\u00a0m met',
  );
  expect(valuesLine('fore-aft-line', reps, SI_UNITS)!.split(', ')).toHaveLength(6);
  expect(valuesLine('fore-aft-line', [], SI_UNITS)).toBeNull();
});
