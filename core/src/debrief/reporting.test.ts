import { reportsDue, type ReportingRule, type ToReport } from './reporting';

const RULES: readonly ReportingRule[] = [
  { when: 'crash', to: 'The insurer', withinHours: 168 },
  { when: 'injury', to: 'The authority', withinHours: 72 },
  { when: 'people', to: 'The landowner', withinHours: 24 },
  { when: 'every', to: 'The chief trainer', withinHours: 12 },
  { when: 'lost-control', to: 'The tower', withinHours: 1 },
];
const crash = (more: Partial<ToReport> = {}): ToReport => ({
  kind: 'crash',
  happenedAt: '2026-03-02T09:00:00.000Z',
  causeId: 'overcontrol',
  injury: 'none',
  ...more,
});
const told = (occurrence: ToReport) =>
  reportsDue(RULES, occurrence).map(({ rule, isCertain }) => `${isCertain ? '' : '? '}${rule.to}`);

test('what applies, the soonest first, with the hour until which it has to be told', () => {
  expect(told(crash())).toEqual(['The chief trainer', 'The insurer']);
  expect(reportsDue(RULES, crash())[0]!.by).toBe('2026-03-02T21:00:00.000Z');
  expect(reportsDue(RULES, crash({ happenedAt: null }))[0]!.by).toBeNull();
  expect(told(crash({ kind: 'near-miss' }))).toEqual(['The chief trainer']);
  expect(told(crash({ injury: 'medical', causeId: 'people-near' }))).toEqual([
    'The chief trainer',
    'The landowner',
    'The authority',
    'The insurer',
  ]);
  expect(told(crash({ causeId: 'link-loss' }))[0]).toBe('The tower');
});

test('what nobody has said yet is asked about and never left out', () => {
  expect(told(crash({ injury: null, causeId: null }))).toEqual([
    'The chief trainer',
    'The insurer',
    '? The tower',
    '? The landowner',
    '? The authority',
  ]);
});
