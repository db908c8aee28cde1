import fc from 'fast-check';
import { CHANGE_MINUTES, REST_MINUTES } from './block';
import { minutesOf, restsIn } from './sequence';
import { takeOffs } from './timeline';

test('a pack takes off when the one before is down and changed, and its pilot has rested', () => {
  // Worked by hand: 8 + 4, 8 + 4 + a rest of 15.
  expect(takeOffs([false, false, true], { packMinutes: 8 })).toEqual([0, 12, 39]);
  expect([CHANGE_MINUTES, REST_MINUTES]).toEqual([4, 15]);
  expect(takeOffs([], { packMinutes: 8 })).toEqual([]);
});

test('with the last pack flown it is as long as the session is told to be, whoever flies when', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 1, maxLength: 14 }),
      fc.integer({ min: 1, max: 40 }),
      (order, packMinutes) => {
        const rests = restsIn(order);
        const last = takeOffs(rests, { packMinutes }).at(-1)!;
        expect(last + packMinutes).toBe(minutesOf({ order, rests }, { packMinutes }));
      },
    ),
  );
});
