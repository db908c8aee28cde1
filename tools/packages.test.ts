import { mayShip, notices, packageProblems } from './packages';

test('an offer of licences may be shipped when one of them may', () => {
  expect(mayShip('MIT')).toBe(true);
  expect(mayShip('(GPL-3.0-only OR MIT)')).toBe(true);
  expect(mayShip('MIT AND Apache-2.0')).toBe(true);
  expect(mayShip('GPL-3.0-only')).toBe(false);
  expect(mayShip('MIT AND GPL-3.0-only')).toBe(false);
  expect(mayShip('none given')).toBe(false);
});

test('every package is pinned, locked with its checksum, and under a licence that may be shipped', () => {
  expect(packageProblems()).toEqual([]);
});

test('the notices name what the app is built with', () => {
  const text = notices();
  for (const name of ['react', 'yup', 'three', 'papaparse', '@fontsource/b612'])
    expect(text).toMatch(new RegExp(`^${name} \\d+\\.\\d+`, 'm'));
});
