import type { Batch } from './batch';
import { putClockRight } from './clock';

const NOW = Date.parse('2026-03-03T10:00:00.000Z');
const HOUR = 3_600_000;
const DAY = 24 * HOUR;

const iso = (ms: number) => new Date(ms).toISOString();
const rep = (flownAtMs: number, day = iso(flownAtMs).slice(0, 10)): Batch['commands'][number] => ({
  key: 'k',
  path: '/reps/r',
  stamp: 'flownAt',
  body: { met: true, day, flownAt: iso(flownAtMs) },
});
const sent = (sentAtMs: number, ...commands: Batch['commands']): Batch => ({
  sentAt: iso(sentAtMs),
  minutesAheadOfUtc: 60,
  phone: null,
  commands,
});
const times = (batch: Batch) => putClockRight(batch, NOW).commands.map((command) => command.body['flownAt']);

test('a clock that is right, or a minute off, changes nothing', () => {
  const batch = sent(NOW + 60_000, rep(NOW - DAY), rep(NOW - HOUR));
  expect(putClockRight(batch, NOW)).toEqual({ commands: batch.commands, aheadMs: 0 });
});

test('a clock a day ahead when it sends: every stamp moves back a day, and so does the day it was flown on', () => {
  const { commands, aheadMs } = putClockRight(
    sent(NOW + DAY, rep(NOW + DAY - 2 * HOUR), rep(NOW + DAY - HOUR)),
    NOW,
  );
  expect(commands.map((command) => command.body)).toEqual([
    { met: true, day: '2026-03-03', flownAt: iso(NOW - 2 * HOUR) },
    { met: true, day: '2026-03-03', flownAt: iso(NOW - HOUR) },
  ]);
  expect(aheadMs).toBe(DAY);
});

test('a clock a day behind when it sends: every stamp moves forward a day', () => {
  expect(times(sent(NOW - DAY, rep(NOW - DAY - HOUR)))).toEqual([iso(NOW - HOUR)]);
});

test('a clock that was a day ahead and has been set since: stamps in the future move back together, in their order, and the others stay', () => {
  expect(times(sent(NOW, rep(NOW - 3 * HOUR), rep(NOW + 20 * HOUR), rep(NOW + 21 * HOUR)))).toEqual([
    iso(NOW - 3 * HOUR),
    iso(NOW - HOUR),
    iso(NOW),
  ]);
});

test('the day is the day where it was flown, not in UTC', () => {
  const ten = Date.parse('2026-03-03T23:30:00.000Z');
  const { commands } = putClockRight({ ...sent(ten + DAY, rep(ten + DAY, '2026-03-05')) }, ten);
  expect(commands[0]!.body['day']).toBe('2026-03-04'); // an hour ahead of UTC it is past midnight
});

test('what a trainer typed is left alone', () => {
  const typed: Batch['commands'][number] = {
    key: 'k',
    path: '/occurrences/o',
    stamp: null,
    body: { happenedAt: iso(NOW + 5 * DAY), day: '2026-03-08' },
  };
  expect(putClockRight(sent(NOW + DAY, typed), NOW).commands).toEqual([typed]);
});
