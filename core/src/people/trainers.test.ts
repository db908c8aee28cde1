import { trainedNowBy } from './trainers';

const [here, also] = [
  { id: 'a', name: 'Hanne' },
  { id: 'b', name: 'Marek' },
];
const school = { trainers: [here, also] };

test('those who are named and still train here; nobody named, or only who has gone, is everybody', () => {
  expect(trainedNowBy({ trainerIds: ['b', 'gone'] }, school)).toEqual([also]);
  expect(trainedNowBy({ trainerIds: ['gone'] }, school)).toEqual([]);
  expect(trainedNowBy({ trainerIds: [] }, school)).toEqual([]);
  // Copies that an older version kept.
  expect(trainedNowBy({}, school)).toEqual([]);
  expect(trainedNowBy({ trainerIds: ['a'] }, {})).toEqual([]);
});
