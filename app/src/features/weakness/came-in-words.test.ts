import { sayTime } from '../../shared/copy/dates';
import { cameInWords } from './came-in-words';

test('what came in within the hour, or waits, says one time; what came in later says both', () => {
  const at = '2026-03-02T09:00:00.000Z';
  const [soon, later] = ['2026-03-02T09:40:00.000Z', '2026-03-05T18:00:00.000Z'];
  expect([undefined, null, soon].map((recordedAt) => cameInWords({ at, recordedAt: recordedAt! }))).toEqual([
    null,
    null,
    null,
  ]);
  expect(cameInWords({ at, recordedAt: later })).toBe(`came in ${sayTime(later)}`);
});
