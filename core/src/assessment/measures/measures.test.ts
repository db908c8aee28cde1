import { type At, MADE_UP_CRAFT, madeUpSegment } from '../../testing/made-up-flight';
import { gate, type Solid } from '../../simulator/world';
import { USUAL_CRAFT } from '../../vocabulary/craft-facts';
import { free, leg, round, stay } from '../exercise';
import type { Segment } from '../segment';
import type { Comparing, Measuring } from './measure';
import { MEASURES, type MeasureId } from './measures';
import { reversals } from './reversals';

const inPart = (of: MeasureId): Measuring => {
  const how = MEASURES[of];
  if (how.is !== 'measure') throw new RangeError(`${of} is not measured in one part.`);
  return how.of;
};
const inAll = (of: MeasureId): Comparing => {
  const how = MEASURES[of];
  if (how.is !== 'comparison') throw new RangeError(`${of} compares no parts.`);
  return how.of;
};
const value = (of: MeasureId, from: Segment): number => inPart(of)(from)!.value;

const LINE = leg('forward', [0, 10, 3], [0, 30, 3]);
/** Along the line at 2 m/s, and what else. */
const along = (more: (t: number) => At = () => ({}), seconds = 10) =>
  madeUpSegment(LINE, seconds, (t) => ({ y: 10 + 2 * t, vy: 2, ...more(t) }));

describe('places', () => {
  test('off the line, and when it was farthest', () => {
    expect(inPart('cross-track')(along((t) => ({ x: t === 4 ? -1.5 : 0.5 })))).toEqual({
      value: 1.5,
      atS: 4,
    });
  });
  test('height, whichever way', () =>
    expect(
      value(
        'height',
        along((t) => ({ z: t < 5 ? 3.4 : 2.3 })),
      ),
    ).toBeCloseTo(0.7));
  test('past the end, and short of it', () => {
    expect(value('overshoot', along(undefined, 11))).toBeCloseTo(2);
    expect(value('miss', along(undefined, 11))).toBe(0);
    expect(value('miss', along(undefined, 9))).toBeCloseTo(2);
    expect(value('overshoot', along(undefined, 9))).toBe(0);
  });
  test('a stop missed its mark by as much as it was past it or short of it', () => {
    expect(value('stop-miss', along(undefined, 11))).toBeCloseTo(2);
    expect(value('stop-miss', along(undefined, 9))).toBeCloseTo(2);
  });
  test('nearest to the mark while passing it', () =>
    expect(
      value(
        'mark',
        along(() => ({ x: 0.8 }), 11),
      ),
    ).toBeCloseTo(0.8));
  test('carried off, and how far it took to stop', () => {
    const slides = madeUpSegment(stay('hold', [0, 10, 3], 20), 4, (t) => ({ x: t < 2 ? 1.5 * t : 3 }));
    expect(value('moved', slides)).toBe(3);
    expect(value('stopped-in', slides)).toBe(3);
  });
  test('ground covered over all parts', () =>
    expect(inAll('footprint')([along(), madeUpSegment(LINE, 1, () => ({ x: -9 }))])!.value).toBeCloseTo(20));
});

describe('the nose', () => {
  test('off the way that the path runs', () =>
    expect(
      value(
        'heading',
        madeUpSegment(leg('forward', [0, 10, 3], [0, 30, 3], { nose: 'along' }), 2, (t) => ({
          noseDeg: t < 1 ? 0 : 25,
        })),
      ),
    ).toBeCloseTo(25, 3));
  test('off the way that it moves, once it moves', () => {
    expect(
      value(
        'nose-to-path',
        along(() => ({ noseDeg: 40 })),
      ),
    ).toBeCloseTo(40, 3);
    expect(inPart('nose-to-path')(madeUpSegment(LINE, 2, () => ({ noseDeg: 40, vy: 0.3 })))).toBeNull();
  });
  test('set off where it does not look', () => {
    expect(
      value(
        'blind-moves',
        along(() => ({ noseDeg: 180 })),
      ),
    ).toBe(1);
    expect(
      value(
        'blind-moves',
        along(() => ({ noseDeg: 30 })),
      ),
    ).toBe(0);
  });
  test('how long tail-on at a time while walking behind it', () => {
    const behind = stay('fly-on', [0, 10, 3], 20, { nose: 'outward' });
    expect(
      value(
        'tail-on-time',
        madeUpSegment(behind, 20, (t) => ({ noseDeg: t > 12 && t < 13 ? 50 : 10 })),
      ),
    ).toBeCloseTo(12, 1);
  });
  test('how long toward the pilot while moving', () =>
    expect(
      value(
        'nose-in-time',
        along((t) => ({ noseDeg: t >= 3 && t <= 5 ? 180 : 0 })),
      ),
    ).toBeCloseTo(2));
  test('pulses that do not point home', () => {
    const home = leg('home', [0, 30, 3], [0, 8, 3], { hands: 'find-nose' });
    const pulsed = (noseDeg: number) =>
      madeUpSegment(home, 6, (t) => ({ y: 30, noseDeg, pitch: t % 2 > 1 ? 0.2 : 0 }));
    expect(value('pulses', pulsed(90))).toBe(3);
    expect(value('pulses', pulsed(180))).toBe(0);
  });
});

describe('hands', () => {
  const HOLD = stay('hold', [0, 10, 3], 20);
  test('a first push away from where it should go is wrong, toward it is not', () => {
    const pushed = (pitch: number) => madeUpSegment(LINE, 2, (t) => ({ pitch: t > 0.5 ? pitch : 0 }));
    expect(inPart('wrong-moves')(pushed(-0.3))).toEqual({ value: 1, atS: 0.52 });
    expect(value('wrong-moves', pushed(0.3))).toBe(0);
    // Nose in, the same push of the thumb goes the other way.
    expect(
      value(
        'wrong-moves',
        madeUpSegment(LINE, 2, (t) => ({ noseDeg: 180, pitch: t > 0.5 ? 0.3 : 0 })),
      ),
    ).toBe(1);
  });
  test('a stick that stays where it was is no move when the craft is turned under it, nor is a lean kept up', () => {
    const turned = (pitch: (t: number) => number, roll: (t: number) => number) =>
      madeUpSegment(LINE, 2, (t) => ({ noseDeg: t > 0.5 ? 120 : 0, pitch: pitch(t), roll: roll(t) }));
    const still = turned(
      () => -0.3,
      () => 0,
    );
    expect(value('wrong-moves', still)).toBe(0);
    const [cos, sin] = [Math.cos((120 * Math.PI) / 180), Math.sin((120 * Math.PI) / 180)];
    // The same push against the wind, by the nose as it points now.
    const kept = turned(
      (t) => (t > 0.5 ? -0.3 * cos : -0.3),
      (t) => (t > 0.5 ? 0.3 * sin : 0),
    );
    expect(value('wrong-moves', kept)).toBe(0);
    expect(
      value(
        'wrong-moves',
        madeUpSegment(LINE, 2, (t) => ({ noseDeg: t > 0.5 ? 180 : 0, pitch: t > 0.7 ? 0.6 : -0.3 })),
      ),
    ).toBe(1);
  });
  test('reversals a minute', () => {
    // Full swings of half a second: two turnings each, on one axis.
    expect(
      reversals(madeUpSegment(HOLD, 30, (t) => ({ roll: 0.2 * Math.sin(4 * Math.PI * t) }))),
    ).toBeCloseTo(240, -1);
    expect(reversals(madeUpSegment(HOLD, 30, (t) => ({ roll: 0.02 * Math.sin(4 * Math.PI * t) })))).toBe(0);
  });
  test('share of calm hands, longest neutral while moving, other sticks', () => {
    expect(
      value(
        'small-share',
        madeUpSegment(HOLD, 10, (t) => ({ roll: t < 2.5 ? 0.4 : 0.1 })),
      ),
    ).toBeCloseTo(0.75, 2);
    expect(
      value(
        'neutral',
        along((t) => ({ pitch: t > 2 && t < 5 ? 0 : 0.2 })),
      ),
    ).toBeCloseTo(3, 1);
    expect(
      value(
        'neutral',
        madeUpSegment(HOLD, 10, () => ({})),
      ),
    ).toBe(0);
    expect(
      value(
        'others',
        madeUpSegment(stay('forward-and-yaw-only', [0, 10, 3], 5, { axis: 'yaw' }), 5, () => ({
          yaw: 0.8,
          roll: 0.12,
        })),
      ),
    ).toBeCloseTo(0.12);
    expect(
      value(
        'roll-used',
        along(() => ({ roll: -0.25 })),
      ),
    ).toBe(0.25);
  });
  test('how long sticks stayed small at a time', () =>
    expect(
      value(
        'small-for',
        madeUpSegment(HOLD, 10, (t) => ({ yaw: t > 3 && t < 3.1 ? 0.5 : 0.1 })),
      ),
    ).toBeCloseTo(6.9, 1));
  test('hands off after the call, and on again', () => {
    const called = free('let-go', [0, 10, 3], { is: 'still', standS: 0.5 }, { hands: 'off' });
    const held = (t: number) => (t < 0.6 || (t > 2 && t < 2.3) ? 0.5 : 0);
    expect(
      value(
        'hands-off',
        madeUpSegment(called, 3, (t) => ({ pitch: held(t) })),
      ),
    ).toBeCloseTo(0.6);
    expect(inPart('touched-again')(madeUpSegment(called, 3, (t) => ({ pitch: held(t) })))).toEqual({
      value: 1,
      atS: 2.02,
    });
    expect(
      value(
        'touched-again',
        madeUpSegment(called, 1.5, (t) => ({ pitch: held(t) })),
      ),
    ).toBe(0);
  });
  test('the first right answer to a slide', () => {
    // Carried east of the mark: right is to lean west.
    const slid = (roll: (t: number) => number) =>
      madeUpSegment(HOLD, 4, (t) => ({ x: 2, mode: 2, roll: roll(t) }));
    expect(
      value(
        'response',
        slid((t) => (t < 1.2 ? 0 : -0.2)),
      ),
    ).toBeCloseTo(1.2);
    expect(
      value(
        'response',
        slid((t) => (t < 1.2 ? 0 : t < 2 ? 0.2 : -0.2)),
      ),
    ).toBeCloseTo(2);
  });
  test('softer sticks compared with plain ones; calm hands have nothing to better', () => {
    const at = (hertz: number, expo: number) =>
      madeUpSegment(stay('hold', [0, 10, 3], 20, { expo }), 20, (t) => ({
        pitch: 0.3 * Math.sin(2 * Math.PI * hertz * t),
      }));
    expect(inAll('calmer')([at(2, 0), at(1, 0.5)])!.value).toBeCloseTo(0.5, 1);
    expect(inAll('calmer')([at(0.05, 0), at(1, 0.5)])!.value).toBe(0);
  });
});

describe('the air', () => {
  test('sink over the induced speed of the hover', () =>
    expect(
      value(
        'sink-ratio',
        along(() => ({ vz: -0.7 * MADE_UP_CRAFT.inducedMps })),
      ),
    ).toBeCloseTo(0.7, 6));
  test('straight down at the induced speed is in its own wash, along at the same sink is less so', () => {
    const down = value(
      'wash-zone',
      madeUpSegment(LINE, 1, () => ({ vz: -MADE_UP_CRAFT.inducedMps })),
    );
    const slant = value(
      'wash-zone',
      madeUpSegment(LINE, 1, () => ({ vz: -MADE_UP_CRAFT.inducedMps, vy: 2.5 * MADE_UP_CRAFT.inducedMps })),
    );
    expect(down).toBeGreaterThan(0.5);
    expect(slant).toBeLessThan(0.1 * down);
  });
  test('wind counts: hovering in it is moving through the air', () => {
    expect(
      value(
        'wash-zone',
        madeUpSegment(LINE, 1, () => ({
          vz: -MADE_UP_CRAFT.inducedMps,
          windY: -2.5 * MADE_UP_CRAFT.inducedMps,
        })),
      ),
    ).toBeLessThan(0.1);
  });
  test('out of the column first, then power', () => {
    const first = (away: number, power: number) =>
      madeUpSegment(LINE, 3, (t) => ({ pitch: t > away ? 0.6 : 0, throttle: t > power ? 0.5 : -0.2 }));
    expect(value('sideways-first', first(0.3, 1))).toBe(1);
    expect(value('sideways-first', first(1, 0.3))).toBe(0);
  });
});

describe('solids', () => {
  test('a gate is passed off its middle by a share of the room there is', () => {
    const solids = gate([0, 20, 3], 0, 2);
    const span = USUAL_CRAFT.spanM;
    expect(
      value(
        'gap',
        madeUpSegment(
          leg('fly-across', [0, 10, 3], [0, 30, 3]),
          10,
          (t) => ({ x: (2 - span) / 4, y: 10 + 2 * t, vy: 2 }),
          { solids },
        ),
      ),
    ).toBeCloseTo(0.5, 1);
    expect(
      value(
        'gap',
        madeUpSegment(leg('fly-across', [0, 10, 3], [0, 30, 3]), 10, (t) => ({ y: 10 + 2 * t, vy: 2 }), {
          solids,
        }),
      ),
    ).toBeLessThan(0.02);
  });
  test('off the middle of a gate in metres, sideways or up, the worst of two', () => {
    const through = (x: number, z: number) =>
      madeUpSegment(leg('fly-across', [0, 10, 3], [0, 40, 3]), 15, (t) => ({ x, z, y: 10 + 2 * t, vy: 2 }), {
        solids: [...gate([0, 20, 3], 0, 2), ...gate([0.5, 30, 3], 0, 2)],
      });
    expect(value('gap-offset', through(0.2, 3))).toBeCloseTo(0.3);
    expect(value('gap-offset', through(0.2, 3.6))).toBeCloseTo(0.6, 1);
  });
  test('over a wall by', () => {
    const solids: readonly Solid[] = [
      { solid: 'box', x: 0, y: 20, z: 1, alongM: 0.4, acrossM: 10, highM: 2, turnedDeg: 0 },
    ];
    expect(
      value(
        'clearance',
        madeUpSegment(
          leg('up-over-it', [0, 10, 3], [0, 30, 3]),
          10,
          (t) => ({ y: 10 + 2 * t, z: t > 4 && t < 6 ? 3.2 : 0.5 }),
          { solids },
        ),
      ),
    ).toBeCloseTo(1.2);
  });
  test('how long until it climbs, and how far up it went', () => {
    const up = (s: (t: number) => number) =>
      madeUpSegment(leg('up-over-it', [0, 10, 3], [0, 30, 3]), 6, (t) => ({
        z: 3 + 2 * Math.max(0, t - 1.4),
        vz: s(t),
      }));
    expect(
      value(
        'climbs-after',
        up((t) => (t < 1.4 ? 0.2 : 2)),
      ),
    ).toBeCloseTo(1.4, 1);
    expect(
      value(
        'climbs-after',
        up(() => 0.2),
      ),
    ).toBeCloseTo(6, 1);
    expect(
      value(
        'height-gained',
        up(() => 0.2),
      ),
    ).toBeCloseTo(9.2, 1);
  });
});

describe('take-off and landing', () => {
  test('how long under a span from the ground', () => {
    const span = MADE_UP_CRAFT.spanM;
    expect(
      value(
        'low-time',
        madeUpSegment(LINE, 5, (t) => ({ z: t < 1 ? 0 : (t - 1) * span })),
      ),
    ).toBeCloseTo(1 - 0.03 / span, 1); // off the ground from 3 cm
    expect(inPart('low-time')(madeUpSegment(LINE, 1, () => ({ z: 0 })))).toBeNull();
  });
  test('left hanging over the pad counts, up and down again too', () => {
    const span = MADE_UP_CRAFT.spanM;
    const hung = (t: number) =>
      t < 1 ? 2 * span : t < 4 ? 0.5 * span : t < 5 ? 2 * span : t < 6 ? 0.5 * span : 0;
    expect(
      value(
        'low-time',
        madeUpSegment(LINE, 8, (t) => ({ z: hung(t) })),
      ),
    ).toBeCloseTo(4, 1);
    // One that never gets clear is low for as long as it flies.
    expect(
      value(
        'low-time',
        madeUpSegment(LINE, 8, () => ({ z: 0.5 * span })),
      ),
    ).toBeCloseTo(8, 1);
  });
  test('how hard and how far off the pad', () => {
    const down = leg('down-to-3-m', [0, 10, 3], [0, 10, 0]);
    const landed = madeUpSegment(down, 4, (t) => ({
      x: 0.3,
      z: Math.max(0, 1.5 - 0.5 * t),
      vz: t < 3 ? -0.5 : 0,
    }));
    expect(value('touch-speed', landed)).toBeCloseTo(0.5);
    expect(value('touch-miss', landed)).toBeCloseTo(0.3);
  });
});

test('leading a pilot who walks: nearest and farthest are from where they have come to', () => {
  const walk = {
    points: [
      [0, 0],
      [0, 20],
    ] as const,
    speedMps: 1,
  };
  const led = madeUpSegment(stay('fly-out', [0, 6, 2], 20), 10, (t) => ({ y: t + (t < 5 ? 6 : 8) }), {
    course: { walk },
  });
  expect(value('lead-near', led)).toBeCloseTo(6);
  expect(value('lead-far', led)).toBeCloseTo(8);
});

test('a turn that slips outward: nose inside the curve, sliding to the other side', () => {
  const turn = round('round-one', { centre: [0, 20, 5], radiusM: 8, fromDeg: 180, sweepDeg: 360 });
  // Clockwise from the south: it flies west. The nose points north-west of west, inside; its right hand is
  // north-east, and it slides from it.
  expect(
    value(
      'slip-outward',
      madeUpSegment(turn, 2, () => ({ vx: -3, noseDeg: 300 })),
    ),
  ).toBe(1);
  expect(
    value(
      'slip-outward',
      madeUpSegment(turn, 2, () => ({ vx: -3, noseDeg: 240 })),
    ),
  ).toBe(0);
});

test('turned back at a share of the way: the stick with hold, the speed without', () => {
  const out = (mode: number) =>
    madeUpSegment(LINE, 8, (t) => ({
      y: 10 + 2 * t,
      vy: mode === 3 || t < 6 ? 2 : 1,
      mode,
      pitch: t < 5 ? 0.2 : 0,
    }));
  expect(value('called-at', out(3))).toBeCloseTo(0.5, 1);
  expect(value('called-at', out(2))).toBeCloseTo(0.6, 1);
});

test('pilot-relative mode is switched with the tail to the pilot, or not', () => {
  const switched = (noseDeg: number) => madeUpSegment(LINE, 4, (t) => ({ noseDeg, relative: t > 2 ? 1 : 0 }));
  expect(value('breaches-relative', switched(0))).toBe(0);
  expect(value('breaches-relative', switched(90))).toBe(1);
  expect(value('relative-used', switched(0))).toBe(1);
  expect(value('relative-used', along())).toBe(0);
});

test('two stops compared', () => {
  const stop = (metres: number) => madeUpSegment(LINE, 2, (t) => ({ y: 10 + (metres * t) / 2 }));
  expect(inAll('stops-alike')([stop(5), stop(6)])!.value).toBeCloseTo(0.2);
  expect(inAll('stops-alike')([stop(5)])).toBeNull();
});
