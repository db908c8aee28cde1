import type { TodayList } from '@skelby/core/pages/pages';
import { inOrder } from './in-order';

const line = (id: string, more: object): TodayList['weaknesses'][number] => ({
  id,
  pilotId: 'p',
  pilotName: id,
  causeId: 'overcontrol',
  state: 'drilling',
  checkFrom: null,
  checkPassed: false,
  rungs: [0, 0, 0, 0, 0],
  openedAt: '2026-03-01T09:00:00.000Z',
  ...more,
});

test('Today sorts by what the trainer does next, the longest overdue check first', () => {
  const ready = { state: 'ready-for-check' };
  const { checks, toSign, drilling, waiting } = inOrder(
    [
      line('due today', { ...ready, checkFrom: '2026-03-10' }),
      line('drilling', {}),
      line('overdue', { ...ready, checkFrom: '2026-03-04' }),
      line('resting', { ...ready, checkFrom: '2026-03-11' }),
      line('passed', { ...ready, checkFrom: '2026-03-04', checkPassed: true }),
      line('new', { state: 'open' }),
    ],
    '2026-03-10',
  );
  expect(checks.map((each) => each.id)).toEqual(['overdue', 'due today']);
  expect(toSign.map((each) => each.id)).toEqual(['passed']);
  expect(drilling.map((each) => each.id)).toEqual(['drilling', 'new']);
  expect(waiting.map((each) => each.id)).toEqual(['resting']);
});

test('a pilot limited again on watch stands on Today until the second check is flown', () => {
  const limited = { state: 'watch', limited: true, checkFrom: '2026-03-11' };
  const [before, after] = ['2026-03-10', '2026-03-11'].map((day) => inOrder([line('back', limited)], day));
  expect(before!.waiting.map((each) => each.id)).toEqual(['back']);
  expect(after!.checks.map((each) => each.id)).toEqual(['back']);
  expect(inOrder([line('sound', { ...limited, limited: false })], '2026-03-10').waiting).toEqual([]);
});
