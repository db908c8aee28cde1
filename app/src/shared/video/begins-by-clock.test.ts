import { beginsByClock } from './begins-by-clock';

const FLIGHT = { startedAt: 1_800_000_000, lastsS: 120 };
/** Written so many seconds after the flight began. */
const writtenAfter = (s: number) => ({ lastModified: (FLIGHT.startedAt + s) * 1000 });

test('a video that was running when the flight began starts before it, and one from the middle of it after', () => {
  expect(beginsByClock(writtenAfter(90), 100, FLIGHT)).toBeCloseTo(-10, 6);
  expect(beginsByClock(writtenAfter(90), 30, FLIGHT)).toBeCloseTo(60, 6);
});

test('a copy of another day, a flight without a clock and a video of unknown length offer nothing', () => {
  expect(beginsByClock(writtenAfter(86_400), 30, FLIGHT)).toBeNull();
  expect(beginsByClock(writtenAfter(-1), 30, FLIGHT)).toBeNull();
  expect(beginsByClock(writtenAfter(90), 30, { ...FLIGHT, startedAt: null })).toBeNull();
  expect(beginsByClock(writtenAfter(90), NaN, FLIGHT)).toBeNull();
  expect(beginsByClock(null, 30, FLIGHT)).toBeNull();
});
