import { Live, standingIn } from './live';
import type { Shown } from './practice-messages';

const PART = {
  at: 0,
  of: 2,
  says: 'Out to the mark.',
  hands: 'fly',
  blind: false,
  expo: 0,
  asks: null,
  seen: null,
} as const;
const shown = (timeS: number, x: number, more: Partial<Shown> = {}): Shown => ({
  is: 'shown',
  position: [x, 10, 2],
  velocity: [0, 0, 0],
  attitude: [1, 0, 0, 0],
  timeS,
  charge: 1,
  setting: 'normal',
  landsItself: false,
  wash: 0,
  rotorSpeeds: [0.7, 0.7, 0.7, 0.7],
  landed: false,
  ended: null,
  workMs: 0.2,
  part: PART,
  pilot: { x: 0, y: 0 },
  holdLost: false,
  linkLost: false,
  returning: null,
  nearestM: null,
  clockS: null,
  ...more,
});

test('figures are read a few times a second, however often a picture is drawn', () => {
  const live = new Live();
  let told = 0;
  live.subscribe(() => {
    told += 1;
  });
  for (let frame = 0; frame < 60; frame += 1) live.show(shown(frame / 60, frame), (frame * 1000) / 60);
  expect(told).toBe(5);
  expect(live.now().path[0]).toEqual([0, 10]);
});

test('the end of a flight is shown at once, and a new one begins its own path', () => {
  const live = new Live();
  live.show(shown(0, 0), 0);
  live.show(
    shown(0.02, 1, {
      ended: { how: 'ground', atS: 0.02, speedMps: 3, solid: null } as unknown as Shown['ended'],
    }),
    20,
  );
  expect(live.now().path).toEqual([
    [0, 10],
    [1, 10],
  ]);
  live.show(shown(0, 5), 30);
  expect(live.now().path).toEqual([[5, 10]]);
});

test('prompts and buttons change only when what they say does', () => {
  const first = standingIn(shown(0, 0), null);
  expect(standingIn(shown(1, 4), first)).toBe(first);
  for (const change of [
    { holdLost: true },
    { linkLost: true },
    { returning: 'climbing' },
    { part: { ...PART, at: 1 } },
    { part: { ...PART, blind: true } },
  ] as const)
    expect(standingIn(shown(1, 4, change as Partial<Shown>), first)).not.toBe(first);
});
