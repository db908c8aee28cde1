import { minutesThere } from './session-draft';

test('the time there is ends with the lesson or with the light, whichever comes first', () => {
  const day = { startsAt: '16:00', lightUntil: null, minutes: null };
  expect(minutesThere(day)).toBeNull();
  expect(minutesThere({ ...day, minutes: 90 })).toBe(90);
  expect(minutesThere({ ...day, lightUntil: '17:45' })).toBe(105);
  expect(minutesThere({ ...day, lightUntil: '17:45', minutes: 90 })).toBe(90);
  expect(minutesThere({ ...day, lightUntil: '17:00', minutes: 90 })).toBe(60);
  expect(minutesThere({ ...day, lightUntil: '15:00' })).toBe(0);
});

test('an hour that is not written yet limits nothing', () => {
  expect(minutesThere({ startsAt: '16:00', lightUntil: '17', minutes: 60 })).toBe(60);
});
