import type { RosterPilot } from '@skelby/core/pages/pages';
import { othersPilots } from './use-mine';

const pilot = (id: string, trainerIds?: readonly string[]) => ({ id, trainerIds }) as unknown as RosterPilot;
const roster = {
  trainers: [
    { id: 'me', name: 'Hanne' },
    { id: 'you', name: 'Marek' },
  ],
  pilots: [
    pilot('of-all', []),
    pilot('old-copy'),
    pilot('mine', ['me', 'you']),
    pilot('yours', ['you']),
    pilot('of-who-has-gone', ['gone']),
  ],
};

test('a pilot is somebody else’s where others are named who train here, and I am not', () =>
  expect([...othersPilots(roster, 'me')]).toEqual(['yours']));
