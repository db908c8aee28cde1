import type { RosterPilot } from '@skelby/core/pages/pages';
import { isMine } from './use-mine';

const pilot = (id: string, trainerIds?: readonly string[]) => ({ id, trainerIds }) as unknown as RosterPilot;
const roster = {
  pilots: [pilot('of-all', []), pilot('old-copy'), pilot('mine', ['me', 'you']), pilot('yours', ['you'])],
};

test('pilots who have named no trainer are everybody’s, others are of whom they have named', () =>
  expect(
    ['of-all', 'old-copy', 'mine', 'yours', 'not-yet-here'].filter((id) => isMine(id, roster, 'me')),
  ).toEqual(['of-all', 'old-copy', 'mine', 'not-yet-here']));
