import { DRILLS, type DrillId } from '../drills/drills';
import type { Side } from '../drills/drill';
import { movementOf, sceneOf } from './scenes';
import { STEP_S } from './fly';

const FLOWN = DRILLS.filter((drill) => drill.kind === 'flown');

/** Each is worked out once: the tests below look at the same ones. */
const movements = new Map<string, ReturnType<typeof movementOf>>();
function flownOnce(id: DrillId, side: Side | null) {
  const key = `${id} ${side}`;
  const there = movements.get(key) ?? movementOf(id, side);
  movements.set(key, there);
  return there;
}

test('every flown drill is drawn, on every side it has', () => {
  for (const drill of FLOWN) {
    expect([drill.id, sceneOf(drill.id) !== null]).toEqual([drill.id, true]);
    for (const side of drill.sides.length > 0 ? drill.sides : [null])
      expect(flownOnce(drill.id, side).moments.length).toBeGreaterThan(20);
  }
});

test('nothing is flown into the ground, at the pilot, out of sight or at a speed the eye cannot follow', () => {
  const wrong: string[] = [];
  for (const drill of FLOWN)
    for (const side of drill.sides.length > 0 ? drill.sides : [null]) {
      const landed = sceneOf(drill.id)!.marks.some((mark) => mark.is === 'pad');
      const { moments } = flownOnce(drill.id, side);
      for (const [i, moment] of moments.entries()) {
        const said = `${drill.id} ${String(side)} at ${moment.t.toFixed(1)} s: ${JSON.stringify({ x: moment.x, y: moment.y, z: moment.z })}`;
        if (moment.z < 0.5 && !landed) wrong.push(`Into the ground: ${said}`);
        if (!sceneOf(drill.id)!.walks && Math.hypot(moment.x, moment.y) < 3.5)
          wrong.push(`Closer than 3.5 m to the pilot: ${said}`);
        if (Math.hypot(moment.x, moment.y) > 60 || moment.z > 60) wrong.push(`Out of the picture: ${said}`);
        const before = moments[i - 1];
        if (
          before &&
          Math.hypot(moment.x - before.x, moment.y - before.y) / (moment.t - before.t || STEP_S) > 7
        )
          wrong.push(`Too fast to follow: ${said}`);
        if (Object.values(moment.sticks).some((stick) => !(Math.abs(stick) <= 1)))
          wrong.push(`Sticks beyond their stops: ${said}`);
      }
      const { t } = moments.at(-1)!;
      if (t < 3 || t > 55) wrong.push(`${drill.id} takes ${t.toFixed(1)} s`);
    }
  expect([...new Map(wrong.map((each) => [each.split(' at ')[0], each])).values()]).toEqual([]);
});

test('a drill moves the sticks that it says it trains', () => {
  const lacking = FLOWN.map((drill) => {
    const sides = drill.sides.length > 0 ? drill.sides : [null];
    const moved = new Set(
      sides.flatMap((side) =>
        flownOnce(drill.id, side).moments.flatMap(({ sticks }) =>
          Object.entries(sticks)
            .filter(([, push]) => Math.abs(push) > 0.03)
            .map(([axis]) => axis),
        ),
      ),
    );
    return `${drill.id}: ${drill.sticks.filter((axis) => !moved.has(axis)).join()}`;
  });
  expect(lacking.filter((each) => !each.endsWith(': '))).toEqual([]);
});

test('nose-in, the pilot sees a push to the right go to the left; tail-in it goes to the right', () => {
  const firstRight = (drillId: DrillId) => {
    const { moments } = movementOf(drillId);
    const i = moments.findIndex(({ sticks }) => sticks.roll > 0.3);
    return moments[i + 10]!.x - moments[i]!.x;
  };
  expect(firstRight('nose-in-hover')).toBeLessThan(0);
  expect(firstRight('lateral-line')).toBeGreaterThan(0);
});

test('a mirrored side mirrors the wind too, and a side that a drill does not have is refused', () => {
  expect(movementOf('crab-leg', 'left').windFromDeg).toBe(270);
  expect(movementOf('crab-leg', 'right')).toMatchObject({ windFromDeg: 90, isMirrored: true });
  expect(() => movementOf('crab-leg', 'nose-in')).toThrow('one of left, right');
  expect(() => movementOf('recce-walk')).toThrow('not done with the sticks');
});
