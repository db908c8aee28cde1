import { aloud, flownAloud } from './aloud';

test('what is read aloud has no signs between, ends each sentence once, and leaves out what is not said', () => {
  expect(aloud('Tail in hover', null, '', 'Test · Calm wind · Pack 1', 'Hold it for ten seconds.')).toBe(
    'Tail in hover. Test, Calm wind, Pack 1. Hold it for ten seconds.',
  );
});

test('how it stands is told in two figures', () => {
  expect(flownAloud([{ met: true }, { met: false }], 6)).toBe('2 of 6 flown, 1 met.');
  expect(flownAloud([])).toBe('0 flown, 0 met.');
});
