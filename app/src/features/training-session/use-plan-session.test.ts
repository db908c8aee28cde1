import type { PlannedBlock } from '@skelby/core/plan/layout/block';
import type { LaidOut } from './layout.worker';
import { lightProblem, packsOf, withBlock } from './use-plan-session';

const block = (id: string, pilotId = 'a', minutes = 4) => ({ id, pilotId, minutes }) as PlannedBlock;
const laidOut = {
  layout: { packs: [{ pilotId: 'a', blocks: [block('1'), block('2')] }] },
  candidates: { blocks: [block('1'), block('2'), block('3', 'b')] },
} as unknown as LaidOut;

test('an order moved by hand stays; blocks that are no longer offered fall out, and empty packs with them', () => {
  expect(packsOf(laidOut, null)).toBe(laidOut.layout.packs);
  expect(
    packsOf(laidOut, [
      { pilotId: 'a', blockIds: ['2', 'gone'] },
      { pilotId: 'b', blockIds: ['also gone'] },
    ]),
  ).toEqual([{ pilotId: 'a', blocks: [block('2')] }]);
  expect(packsOf(null, null)).toEqual([]);
});

test("a block is put into its pilot's first pack with room, else into one of its own", () => {
  const packs = [
    { pilotId: 'a', blocks: [block('1'), block('2')] },
    { pilotId: 'a', blocks: [block('4')] },
  ];
  expect(withBlock(packs, block('5'), 8).map((pack) => pack.blocks.map(({ id }) => id))).toEqual([
    ['1', '2'],
    ['4', '5'],
  ]);
  expect(withBlock(packs, block('3', 'b'), 8)[2]).toEqual({ pilotId: 'b', blocks: [block('3', 'b')] });
  expect(withBlock(packs, block('6', 'a', 5), 8)).toHaveLength(3);
});

test('the light ends after the first take-off, and is written as a time', () => {
  expect(lightProblem({ startsAt: '16:00', lightUntil: null })).toBeUndefined();
  expect(lightProblem({ startsAt: '16:00', lightUntil: '17:45' })).toBeUndefined();
  expect(lightProblem({ startsAt: '16:00', lightUntil: '15:59' })).toContain('before the first take-off');
  expect(lightProblem({ startsAt: '16:00', lightUntil: '17' })).toContain('hours:minutes');
});
