import { type At, MADE_UP_CRAFT, madeUpSample } from '../testing/made-up-flight';
import { drillOf, DRILLS } from '../drills/drills';
import { practiceOf } from '../simulator/practice';
import { flyDrill } from '../synthetic-pilot/fly-drill';
import { type Sample, FlightLogWriter } from '../flight-log/flight-log';
import type { Exercise } from './exercise';
import { exerciseOf, MEASURED_DRILLS } from './exercises';
import { offsetFromPath, lengthOf, type Path, wayRound } from '../geometry/path';
import { scoreLog, scoreFlightLog } from './score';

const line = (t: number, x: number, y: number, z: number, part: At = {}): Sample =>
  madeUpSample(t, { x, y, z, ...part });
function written(lines: readonly Sample[]) {
  const writer = new FlightLogWriter();
  for (const each of lines) writer.add(each);
  return writer.track();
}
const hover = (
  seconds: number,
  off: (t: number) => Partial<Sample> & { readonly dx?: number },
  nose = 0,
  y = 6,
  z = 2.5,
) =>
  written(
    Array.from({ length: seconds * 50 + 1 }, (_, i) => {
      const { dx = 0, ...part } = off(i / 50);
      return line(i / 50, dx, y, z, { noseDeg: nose, ...part });
    }),
  );

test('every flown drill that the simulator is for is measured, begins where it is set up, on each of its sides', () => {
  const flown = DRILLS.filter((drill) => drill.kind === 'flown' && drill.simulator !== 'no-use').map(
    (drill) => drill.id,
  );
  expect([...MEASURED_DRILLS].sort()).toEqual([...flown].sort());
  for (const id of flown) {
    for (const side of drillOf(id).sides.length > 0 ? drillOf(id).sides : [null]) {
      const [course, setUp] = [exerciseOf(id, side)!, practiceOf(id, side, 'position-hold')!];
      const { x, y, z, headingDeg } = setUp.start;
      const path = course.stages[0]!.path;
      const at = offsetFromPath(path, [x, y, z], 0);
      expect([id, side, Math.hypot(at.nearest[0] - x, at.nearest[1] - y, at.nearest[2] - z) < 2.5]).toEqual([
        id,
        side,
        true,
      ]);
      if (path.is === 'arc')
        expect([id, side, Math.cos(((at.bearingDeg - headingDeg) * Math.PI) / 180) > -0.2]).toEqual([
          id,
          side,
          true,
        ]);
      expect(course.standards.length).toBeGreaterThan(0);
    }
  }
});

describe('a minute over the mark', () => {
  const hovering = exerciseOf('tail-in-hover')!;
  // The hover alone, without the step aside that follows it.
  const course: Exercise = { ...hovering, stages: hovering.stages.slice(0, 1) };
  const score = (track: ReturnType<typeof hover>) => scoreFlightLog(track, course, MADE_UP_CRAFT, []);

  test('within a metre with position hold it is met', () => {
    const { met, over, values } = score(hover(62, (t) => ({ dx: 0.9 * Math.sin(t) })));
    expect([met, over]).toEqual([true, 'finished']);
    expect(values.find((each) => each.of === 'cross-track')?.value).toBeCloseTo(0.9, 2);
  });

  test('a metre and a half off misses it with position hold, and meets it without', () => {
    const held = score(hover(62, (t) => ({ dx: t > 30 && t < 31 ? 1.5 : 0 })));
    expect(held).toMatchObject({ met: false, wrong: { of: 'cross-track' } });
    expect(held.wrong!.atS).toBeCloseTo(30.02, 2);
    expect(score(hover(62, (t) => ({ mode: 2, dx: t > 30 && t < 31 ? 1.5 : 0 }))).met).toBe(true);
  });

  test('a fall is what went wrong, not what it cut short; a slide before it is', () => {
    const fallen = (of: typeof course, dx: number) => {
      const track = hover(20, (t) => ({ dx: t > 8 ? dx : 0 }));
      return scoreFlightLog({ ...track, events: [{ is: 'crash', t: 20 }] }, of, MADE_UP_CRAFT, []);
    };
    // Brake to the mark, never set out: it also stopped short, but that is not what went wrong.
    expect(fallen(exerciseOf('brake-to-mark')!, 0)).toMatchObject({
      met: false,
      over: 'crashed',
      wrong: { of: 'crash' },
    });
    expect(fallen(course, 3)).toMatchObject({ met: false, over: 'crashed', wrong: { of: 'cross-track' } });
  });

  test('a craft that comes nearer than 4 m ends the rep, whatever else was kept; above the head it may be', () => {
    const coming = (z: number) =>
      written(
        Array.from({ length: 300 }, (_, i) => line(i / 50, 0, Math.max(1, 6 - i / 100), z, { noseDeg: 0 })),
      );
    expect(scoreFlightLog(coming(2.5), course, MADE_UP_CRAFT, [])).toMatchObject({
      met: false,
      over: 'at-pilot',
    });
    expect(scoreFlightLog(coming(6), course, MADE_UP_CRAFT, []).over).not.toBe('at-pilot');
  });

  test('what is cut short is no rep', () =>
    expect(score(hover(40, () => ({})))).toMatchObject({
      met: false,
      over: 'stopped',
      wrong: { of: 'not-finished' },
    }));

  test('a log with three reps gives three', () => {
    const scores = scoreLog(
      hover(62 * 3 + 1, (t) => ({ dx: t > 80 && t < 82 ? 2 : 0 })),
      course,
      MADE_UP_CRAFT,
      [],
    );
    expect(scores.map((each) => each.met).slice(0, 3)).toEqual([true, false, true]);
  });
});

test('with the nose toward the pilot the same thumb pushes the other way: the first move is judged in the world', () => {
  const course = exerciseOf('nose-in-hover')!;
  // Hover, then the craft is to go to the pilot's right; with its nose toward the pilot that is roll to the
  // left.
  const flown = (roll: number) =>
    written(
      Array.from({ length: 50 * 22 }, (_, i) => {
        const t = i / 50;
        return line(t, t > 17 ? Math.min(1.5, (t - 17) * 0.7) : 0, 12, 3, {
          roll: t > 16.5 && t < 17.5 ? roll : 0,
          noseDeg: 180,
        });
      }),
    );
  const wrong = (roll: number) =>
    scoreFlightLog(flown(roll), course, MADE_UP_CRAFT, []).values.find((each) => each.of === 'wrong-moves')!
      .value;
  expect(wrong(-0.3)).toBe(0);
  expect(wrong(0.3)).toBe(1);
});

test('what was flown live is judged the same from what was written down, surprises and all', () => {
  for (const id of [
    'release-drill',
    'surprise-hold-loss',
    'tumble-recovery',
    'return-takeover',
    'pause-then-talk',
  ] as const) {
    const { score, track } = flyDrill(MADE_UP_CRAFT, { drillId: id, side: null, windMps: 3.5, seed: 7 });
    expect([id, score.over, score.met]).toEqual([id, 'finished', true]);
    expect(scoreFlightLog(track, exerciseOf(id)!, MADE_UP_CRAFT, [])).toEqual(score);
  }
});

describe('paths', () => {
  const arc: Path = { is: 'arc', centre: [0, 24, 5], radiusM: 12, fromDeg: -90, sweepDeg: 720 };
  test('a lap round is counted on, not started over', () => {
    let round = 0;
    for (let deg = 0; deg <= 700; deg += 10) {
      const b = ((-90 + deg) * Math.PI) / 180;
      round = wayRound(arc as Extract<Path, { is: 'arc' }>, 12 * Math.sin(b), 24 + 12 * Math.cos(b), round);
    }
    expect(round).toBeCloseTo(700, 6);
    expect(lengthOf(arc)).toBeCloseTo(12 * 4 * Math.PI, 9);
  });
  test('beside a line: how far along, how far off, and past its end', () => {
    const path: Path = { is: 'segment', from: [0, 6, 2], to: [0, 26, 2] };
    expect(offsetFromPath(path, [1, 16, 2])).toMatchObject({
      alongTrackM: 10,
      crossTrackM: 1,
      nearest: [0, 16, 2],
      bearingDeg: 0,
    });
    expect(offsetFromPath(path, [0, 30, 2]).alongTrackM).toBe(24);
  });
});
