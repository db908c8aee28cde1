import type { WeaknessPage } from '@skelby/core/pages/pages';
import { stripOf } from './strip-of';

const rep = (day: string, met: boolean, more: object = {}) => ({
  ...{ id: `${day} ${met} ${Math.random()}`, day, met, purpose: 'practice', takenBack: false },
  ...more,
});
const move = (id: string, kind: string, at: string, undoes: string | null = null) => ({
  ...{ id, kind, at, undoes, reason: null },
});
const strip = (part: { moves?: object[]; occurrences?: object[]; reps?: object[] }, today = '2026-03-21') =>
  stripOf({ moves: [], occurrences: [], reps: [], ...part } as unknown as WeaknessPage, today);

test('it goes from the first entry to today, each day in its place, with what was met and missed', () => {
  const { from, to, days, signs } = strip({
    occurrences: [{ day: '2026-03-01', withdrawnAt: null }],
    reps: [
      rep('2026-03-11', true),
      rep('2026-03-11', false),
      rep('2026-03-06', true),
      rep('2026-03-11', true),
    ],
  });
  expect([from, to]).toEqual(['2026-03-01', '2026-03-21']);
  expect(days).toEqual([
    { day: '2026-03-06', at: 0.25, met: 1, missed: 0 },
    { day: '2026-03-11', at: 0.5, met: 2, missed: 1 },
  ]);
  expect(signs).toEqual([{ is: 'entry', day: '2026-03-01', at: 0 }]);
});

test('what was taken back, withdrawn or undone is not on it', () => {
  const { days, signs } = strip({
    occurrences: [
      { day: '2026-03-01', withdrawnAt: null },
      { day: '2026-03-02', withdrawnAt: '2026-03-03T10:00:00Z' },
    ],
    reps: [rep('2026-03-04', true, { takenBack: true })],
    moves: [
      move('a', 'opened', '2026-03-01T10:00:00Z'),
      move('b', 'signed', '2026-03-10T10:00:00Z'),
      move('c', 'undone', '2026-03-11T10:00:00Z', 'b'),
    ],
  });
  expect(days).toEqual([]);
  expect(signs.map(({ is }) => is)).toEqual(['entry']);
});

test('a check is met where every rep of its day was; a signature stands on its day', () => {
  const check = { purpose: 'check' };
  const { signs } = strip({
    occurrences: [{ day: '2026-03-01', withdrawnAt: null }],
    reps: [
      ...[rep('2026-03-10', true, check), rep('2026-03-10', false, check)],
      ...[rep('2026-03-15', true, check), rep('2026-03-15', true, check)],
    ],
    moves: [move('a', 'opened', '2026-03-01T10:00:00Z'), move('b', 'signed', '2026-03-16T10:00:00Z')],
  });
  expect(signs.map(({ is, day }) => [is, day])).toEqual([
    ['entry', '2026-03-01'],
    ['check-missed', '2026-03-10'],
    ['check-met', '2026-03-15'],
    ['signed', '2026-03-16'],
  ]);
});

test('on the day on which it begins, and without anything, it is whole all the same', () => {
  expect(strip({ occurrences: [{ day: '2026-03-21', withdrawnAt: null }] }).signs).toEqual([
    { is: 'entry', day: '2026-03-21', at: 0 },
  ]);
  expect(strip({})).toEqual({ from: '2026-03-21', to: '2026-03-21', days: [], signs: [] });
});
