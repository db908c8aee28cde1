import { GLOSSARY } from './en/glossary';
import { SCREEN_HELP } from './en/help';
import { glossary, helpOf } from './help';

const KEY = '01900000-0000-7000-8000-000000000001';

test('a screen has the help of its own address, whatever key stands in it', () => {
  expect(helpOf(`/weakness/${KEY}/reps`).says).toEqual(SCREEN_HELP['/weakness/reps']!.says);
  expect(helpOf(`/weakness/${KEY}/plan`).says).toEqual(SCREEN_HELP['/weakness']!.says);
  expect(helpOf('/drills/tail-in-hover').says).toEqual(SCREEN_HELP['/drills']!.says);
  expect(helpOf('/').says).toEqual(SCREEN_HELP['/']!.says);
  // What has none of its own says what Today is for.
  expect(helpOf('/weaknesses').says).toEqual(SCREEN_HELP['/']!.says);
});

test('every word of ours is explained on some screen, and once in the list', () => {
  const explained = new Set(Object.values(SCREEN_HELP).flatMap(({ terms }) => terms));
  expect(Object.keys(GLOSSARY).filter((id) => !explained.has(id as keyof typeof GLOSSARY))).toEqual([]);
  const words = glossary().map(({ word }) => word);
  expect(new Set(words).size).toBe(words.length);
  expect([...words].sort((a, b) => a.localeCompare(b))).toEqual(words);
});

test('help is short enough to be read on a field', () => {
  for (const [address, { says }] of Object.entries(SCREEN_HELP))
    expect([address, says.join(' ').length < 260]).toEqual([address, true]);
  for (const { word, means } of glossary()) expect([word, means.length < 260]).toEqual([word, true]);
});
