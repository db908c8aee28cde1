import { may, RIGHTS, ROLES } from '@skelby/core/people/roles';
import { readdirSync } from 'node:fs';
import path from 'node:path';
import { rightOfAddress } from './right-of-address';

const ROUTES = path.join(__dirname, '..', '..', 'app', '(school)');

/** Every page of the school, with something in the place of each key. */
const addresses = readdirSync(ROUTES, { recursive: true })
  .map(String)
  .filter((name) => name.endsWith('.tsx') && !name.endsWith('_layout.tsx'))
  .map((name) => `/${name.replace(/\.tsx$/, '').replace(/\/?index$/, '')}`.replace(/\[\w+\]/g, '8cd8bbd4'));

test('a reader reaches every page that is there to be read, and none on which something is entered', () => {
  expect(addresses.length).toBeGreaterThan(25);
  const entered = addresses.filter((address) => !may('reader', rightOfAddress(address)));
  expect(entered.sort()).toEqual([
    '/drills/8cd8bbd4/edit',
    '/log/8cd8bbd4',
    '/occurrence/8cd8bbd4/debrief',
    '/occurrence/8cd8bbd4/edit',
    '/pilots/8cd8bbd4/course/8cd8bbd4',
    '/pilots/8cd8bbd4/edit',
    '/school/history',
    '/school/people',
    '/school/rule',
    '/session',
    '/weakness/8cd8bbd4/plan',
    '/weakness/8cd8bbd4/reps',
  ]);
});

test('an owner reaches all of them; what follows the address does not matter', () => {
  expect(addresses.filter((address) => !may('owner', rightOfAddress(address)))).toEqual([]);
  expect(rightOfAddress('/flights/new?pilot=1')).toBe('keep-records');
  expect(rightOfAddress('/flights/1#top')).toBe('read');
  expect(ROLES.map((role) => may(role, rightOfAddress('/school/people')))).toEqual([
    true,
    true,
    false,
    false,
  ]);
  expect(RIGHTS).toContain(rightOfAddress('/'));
});

test('a pilot reaches their account and practice, and no page of the school', () => {
  const reached = ['/practice', ...addresses].filter((address) => may('pilot', rightOfAddress(address)));
  expect(reached).toEqual(['/practice', '/account']);
});
