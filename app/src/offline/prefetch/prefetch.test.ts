/** @jest-environment jsdom */
import { QueryClient } from '@tanstack/react-query';
import { keep } from '../../shared/storage/storage';
import { dropForgotten } from './prefetch';

/** A phone drops what it keeps of a pilot who was forgotten, at its next contact, and does so once. */

const pilots = (forgottenAt: string | null) =>
  [{ id: 'p1', name: forgottenAt ? 'Forgotten pilot 1' : 'Liv Dahl', forgottenAt }] as never;

test('pages with the name are gone once a pilot was forgotten, and only then', () => {
  keep('me', { name: 'A. Trainer' });
  const client = new QueryClient();
  const pages = [['pilot', 'p1'], ['occurrence', 'o1'], ['flights']] as const;
  const fill = () => pages.forEach((key) => client.setQueryData(key, { name: 'Liv Dahl' }));
  client.setQueryData(['me'], { name: 'A. Trainer' });
  fill();
  dropForgotten(client, { pilots: pilots(null) });
  expect(client.getQueryData(pages[0])).toBeDefined();
  dropForgotten(client, { pilots: pilots('2026-11-30T10:00:00Z') });
  const left = client.getQueryCache().getAll();
  expect(JSON.stringify(left.map(({ state }) => state.data))).not.toContain('Liv Dahl');
  expect(client.getQueryData(['me'])).toBeDefined();
  // What is read afterwards stays.
  client.setQueryData(['pilot', 'p1'], { name: 'Forgotten pilot 1' });
  dropForgotten(client, { pilots: pilots('2026-11-30T10:00:00Z') });
  expect(client.getQueryData(['pilot', 'p1'])).toBeDefined();
  client.clear();
});
