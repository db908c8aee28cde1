import { wordedDrill } from '@skelby/copy/drills';
import type { DrillId } from '@skelby/core/drills/drills';
import ICAL from 'ical.js';
import { calendarOf } from './calendar';

const block = (drillId: DrillId, reps: number) => ({
  id: drillId,
  pilotId: 'p',
  weaknessId: 'w',
  causeId: 'overcontrol' as const,
  drillId,
  side: null,
  purpose: 'practice' as const,
  level: 0 as const,
  reps,
  minutes: 4,
  gain: 1,
  isNew: false,
  after: [],
  apartFrom: null,
  why: '',
});

test('a general iCalendar library reads back the day, the hour, how long it takes and what is flown', () => {
  const text = calendarOf(
    '01900000-0000-7000-8000-000000000001',
    { day: '2026-03-29', startsAt: '09:30', packMinutes: 8 },
    [
      { pilotId: 'a', blocks: [block('tail-in-hover', 6)], restBefore: false },
      { pilotId: 'a', blocks: [block('half-thumb', 6)], restBefore: false },
      { pilotId: 'a', blocks: [block('single-stick', 3)], restBefore: true },
    ],
    {
      findDrill: wordedDrill,
      pilotName: () =>
        'Tove; "Lindqvane", of the long and much too long name for one line of a calendar file',
      siteName: 'Merrow Moor, airstrip',
    },
  );
  const event = new ICAL.Event(
    new ICAL.Component(ICAL.parse(text) as unknown as string[]).getFirstSubcomponent('vevent')!,
  );
  expect(event.uid).toBe('01900000-0000-7000-8000-000000000001@skelby');
  expect(event.startDate.toString()).toBe('2026-03-29T09:30:00');
  // Three packs of 8 minutes, two changes of 4 and one rest of 15.
  expect(event.duration.toSeconds()).toBe((3 * 8 + 2 * 4 + 15) * 60);
  expect(event.summary).toContain('Tove; "Lindqvane"');
  expect(event.location).toBe('Merrow Moor, airstrip');
  expect(event.description.split('\n')).toHaveLength(3);
  expect(event.description).toContain('Rest. Pack 3');
});

test('lines are folded and ended as RFC 5545 asks', () => {
  const text = calendarOf(
    'x',
    { day: '2026-03-29', startsAt: '09:30', packMinutes: 8 },
    [{ pilotId: 'a', blocks: [block('tail-in-hover', 6)], restBefore: false }],
    { findDrill: wordedDrill, pilotName: () => 'N'.repeat(200), siteName: null },
  );
  const lines = text.split('\r\n');
  expect(lines.at(-1)).toBe('');
  for (const line of lines) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  expect(lines[0]).toBe('BEGIN:VCALENDAR');
  expect(text).toMatch(/VERSION:2\.0/);
  expect(text).toMatch(/DTSTAMP:\d{8}T\d{6}Z/);
});
