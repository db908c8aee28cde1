import { QUESTIONS } from '../evidence/questions';
import { USUAL_CRAFT } from '../vocabulary/craft-facts';
import { CRASH_SCENES, readCrash } from './crashes';
import type { Habit } from './habits';

const SCENES = (Object.entries(CRASH_SCENES) as [Habit, NonNullable<(typeof CRASH_SCENES)[Habit]>][]).flatMap(
  ([habit, scenes]) => scenes.map((scene) => ({ habit, scene })),
);

test('a habit let run goes wrong, the flight is read, and its cause comes first', () => {
  // One flight of each scene here; many in the bench, with the table of what was taken for what.
  const read = SCENES.map(({ habit, scene }) => readCrash(USUAL_CRAFT, habit, scene, 300));
  expect(read.filter((each) => each === null)).toEqual([]);
  const right = read.filter((each) => each!.ranked[0]!.id === each!.planted).length;
  expect(right / read.length).toBeGreaterThanOrEqual(0.85);
}, 60_000);

test('what is read is what a debrief asks, in its own values', () => {
  const { evidence, crashed } = readCrash(USUAL_CRAFT, 'brakes-late', CRASH_SCENES['brakes-late']![0]!, 300)!;
  expect(crashed).toBe(true);
  expect(evidence).toMatchObject({
    obstacle_side: 'ahead',
    obstacle_kind: 'solid',
    travel: 'forward',
    position_hold: 'on',
    speed_setting: 'normal',
  });
  for (const [id, value] of Object.entries(evidence)) {
    const question = QUESTIONS.find((each) => each.id === id)!;
    if (question.kind === 'number') expect([id, typeof value]).toEqual([id, 'number']);
    else if (typeof value === 'string')
      expect([id, question.values]).toEqual([id, expect.arrayContaining([value])]);
  }
});

test('a slide after hold was lost is read as one with the air', () => {
  expect(
    readCrash(USUAL_CRAFT, 'freezes-on-drift', CRASH_SCENES['freezes-on-drift']![0]!, 317)!.evidence,
  ).toMatchObject({ position_hold: 'dropped', drift_direction: 'downwind', obstacle_kind: 'solid' });
});

test('what the drill itself saw to is read with the flight: it spoke to the pilot, or turned their eyes away', () => {
  const evidenceOf = (habit: Habit) => readCrash(USUAL_CRAFT, habit, CRASH_SCENES[habit]![0]!, 300)!.evidence;
  expect(evidenceOf('talks-first')).toMatchObject({ attention: 'talked-to' });
  // An answer that comes too soon is no wrong stick: the part does not say where to go.
  expect(evidenceOf('talks-first')).not.toHaveProperty('first_move');
  expect(evidenceOf('guesses-the-nose')).toMatchObject({ attention: 'looked-away', nose: 'unknown' });
  expect(evidenceOf('watches-the-return')).toMatchObject({
    auto_return: 'commanded',
    sticks_before: 'released',
  });
  expect(evidenceOf('brakes-late')).not.toHaveProperty('attention');
});

test('leaving a line in a drill is read as growing, from where the line lies', () => {
  const scene = CRASH_SCENES['forgets-the-wind']![0]!;
  const { evidence } = readCrash(USUAL_CRAFT, 'forgets-the-wind', scene, 300)!;
  expect(evidence).toMatchObject({ correction_effect: 'grew', drift_direction: 'downwind' });
});
