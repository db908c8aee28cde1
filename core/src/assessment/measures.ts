import { washIndex } from '../reconstruct/turn-fold';
import { headingOf, leanOf, type Sample, turned } from '../flight-log/flight-log';
import { type Segment, deflection, handsOff, holdsHeight, type Measured, noseError, pushOf } from './segment';
import type { MeasureId } from './measure-facts';
import { bearing, lengthOf } from '../geometry/path';
import { airAtDiscs, pilotAt, speedOver, washTrouble } from './referee';

/** Smallest deflection that counts as a move, and the largest that counts as small. Common practice. */
const MOVE = 0.08;
const REST = 0.04;
const SMALL = 0.15;
const MOVING_MPS = 0.7;
/** A move is called wrong only where it was plain what to do: the way wanted, m/s. */
const PLAIN_MPS = 0.8;
const PLAIN_AT_START_MPS = 0.4;
const UNDER_WAY_MPS = 1;
const TURN_TOLERANCE_DEG = 60;

type Measuring = (cut: Segment) => Measured | null;
type PerLine = (cut: Segment, i: number, s: Sample) => number | null;

/** The greatest of a value over the lines that are measured. */
const greatest =
  (of: PerLine): Measuring =>
  (cut) => {
    let best: Measured | null = null;
    for (let i = cut.from; i < cut.samples.length; i += 1) {
      const s = cut.samples[i]!;
      const value = of(cut, i, s);
      if (value !== null && (best === null || value > best.value)) best = { value, atS: s.t };
    }
    return best;
  };
const least =
  (of: PerLine): Measuring =>
  (cut) => {
    const found = greatest((...args) => {
      const value = of(...args);
      return value === null ? null : -value;
    })(cut);
    return found && { ...found, value: -found.value };
  };
const atEnd =
  (of: (cut: Segment, s: Sample) => number): Measuring =>
  (cut) => {
    const s = cut.samples.at(-1);
    return s ? { value: of(cut, s), atS: s.t } : null;
  };
/** How long something lasts at most without a break, s. */
const longest =
  (so: (cut: Segment, i: number, s: Sample) => boolean): Measuring =>
  (cut) => {
    let [since, best, atS]: [number | null, number, number] = [null, 0, cut.samples[cut.from]?.t ?? 0];
    for (let i = cut.from; i < cut.samples.length; i += 1) {
      const s = cut.samples[i]!;
      if (!so(cut, i, s)) {
        since = null;
        continue;
      }
      since ??= s.t;
      if (s.t - since > best) {
        best = s.t - since;
        atS = s.t;
      }
    }
    return { value: best, atS };
  };
const firstWhere = (cut: Segment, so: (s: Sample, i: number) => boolean): Sample | null =>
  cut.samples.find((s, i) => so(s, i)) ?? null;

/** Way of the nose against the way of the craft, degrees; null when it hardly moves. */
const noseToPath = (s: Sample): number | null =>
  speedOver(s) < UNDER_WAY_MPS ? null : Math.abs(turned(headingOf(s), bearing(s.vx, s.vy)));
const washIndexOf = ({ craft }: Segment, s: Sample): number => {
  const { throughMps, acrossMps, upright } = airAtDiscs(s);
  return washIndex(
    throughMps,
    acrossMps,
    craft.inducedMps,
    Math.max(0, 1 - 1 / (Math.max(0.2, upright) * craft.thrustToWeight)),
  );
};

/** Where the sticks ought to push: toward the place, less the way already on. */
function wantedPush(cut: Segment, s: Sample): readonly [number, number] {
  const { path } = cut.stage;
  const to = path.is === 'segment' ? path.to : path.is === 'point' ? path.at : null;
  return to ? [0.5 * (to[0] - s.x) - s.vx, 0.5 * (to[1] - s.y) - s.vy] : [0, 0];
}

/** First moves after hands at rest that push plainly the wrong way. */
function wrongMoves(cut: Segment): Measured {
  let [count, atS, rested] = [0, cut.samples[0]?.t ?? 0, true];
  const moves = cut.stage.path.is === 'segment';
  // A lean that is held against the wind is no move.
  const [heldX, heldY] = moves && cut.samples[0] ? pushOf(cut.samples[0]) : [0, 0];
  for (const s of cut.samples) {
    const [ox, oy] = pushOf(s);
    const [px, py] = [ox - heldX, oy - heldY];
    const push = Math.hypot(px, py);
    if (push < REST) {
      rested = true;
      continue;
    }
    if (!rested || push < MOVE) continue;
    rested = false;
    const [wx, wy] = wantedPush(cut, s);
    const wanted = Math.hypot(wx, wy);
    if (wanted > (moves ? PLAIN_AT_START_MPS : PLAIN_MPS) && (px * wx + py * wy) / (push * wanted) < -0.25) {
      count += 1;
      if (count === 1) atS = s.t;
    }
    // Of a short way only the first move is asked for: the brake at its end is another thing.
    if (moves) break;
  }
  return { value: count, atS };
}

/** Pitch and roll turned back the other way, over and again, a minute. */
export function reversals(cut: Segment): number {
  let count = 0;
  for (const axis of ['pitch', 'roll'] as const) {
    let [turnedAt, rising] = [cut.samples[0]?.[axis] ?? 0, 0];
    for (const s of cut.samples) {
      const moved = s[axis] - turnedAt;
      if (rising >= 0 && moved > 0) {
        turnedAt = s[axis];
        rising = 1;
      } else if (rising <= 0 && moved < 0) {
        turnedAt = s[axis];
        rising = -1;
      } else if (Math.abs(moved) > 0.06) {
        count += 1;
        rising = -rising;
        turnedAt = s[axis];
      }
    }
  }
  const lasted = (cut.samples.at(-1)?.t ?? 0) - (cut.samples[0]?.t ?? 0);
  return lasted > 0 ? (60 * count) / lasted : 0;
}

/**
 * Crossing of each gate's plane: how far off its middle, as a share of the room to its frame. Gates stand
 * across north.
 */
function gapMiss(cut: Segment): Measured | null {
  const gates = new Map<number, { left: number; right: number; low: number; high: number }>();
  for (const solid of cut.solids) {
    if (solid.solid !== 'wire') continue;
    const [y, x1, x2, z1, z2] = [solid.from[1], solid.from[0], solid.to[0], solid.from[2], solid.to[2]];
    const gate = gates.get(y) ?? { left: Infinity, right: -Infinity, low: Infinity, high: -Infinity };
    gates.set(y, {
      left: Math.min(gate.left, x1, x2),
      right: Math.max(gate.right, x1, x2),
      low: Math.min(gate.low, z1, z2),
      high: Math.max(gate.high, z1, z2),
    });
  }
  let worst: Measured | null = null;
  for (const [y, gate] of gates) {
    const i = cut.samples.findIndex((s, at) => at > 0 && cut.samples[at - 1]!.y < y && s.y >= y);
    if (i < 0) continue;
    const s = cut.samples[i]!;
    const [roomX, roomZ] = [
      (gate.right - gate.left - cut.craft.spanM) / 2,
      (gate.high - gate.low - cut.craft.spanM) / 2,
    ];
    const miss = Math.max(
      Math.abs(s.x - (gate.left + gate.right) / 2) / roomX,
      Math.abs(s.z - (gate.low + gate.high) / 2) / roomZ,
    );
    if (worst === null || miss > worst.value) worst = { value: miss, atS: s.t };
  }
  return worst;
}

/** Least height over a wall while over it. */
function clearance(cut: Segment): Measured | null {
  const walls = cut.solids.filter((each) => each.solid === 'box');
  return least((_, __, s) => {
    const wall = walls.find((each) => Math.abs(s.y - each.y) < each.alongM / 2 + cut.craft.spanM / 2);
    return wall ? s.z - (wall.z + wall.highM / 2) : null;
  })(cut);
}

/** Pushes ahead begun while the nose was not toward home. */
function pulses(cut: Segment): Measured {
  const home = cut.stage.path.is === 'segment' ? cut.stage.path.to : ([0, 0, 0] as const);
  let [count, atS, pushing] = [0, cut.samples[0]?.t ?? 0, false];
  for (const s of cut.samples) {
    const now = s.pitch > MOVE;
    if (now && !pushing && Math.abs(turned(headingOf(s), bearing(home[0] - s.x, home[1] - s.y))) > 35) {
      count += 1;
      atS = s.t;
    }
    if (now || s.pitch < REST) pushing = now;
  }
  return { value: count, atS };
}

const meanThrottle = (samples: readonly Sample[]): number =>
  samples.reduce((sum, s) => sum + s.throttle, 0) / Math.max(1, samples.length);
const sinceStart = (cut: Segment): number => cut.samples[0]?.t ?? 0;
const after = (cut: Segment, found: Sample | null): Measured => ({
  value: (found?.t ?? cut.samples.at(-1)?.t ?? 0) - sinceStart(cut),
  atS: found?.t ?? sinceStart(cut),
});

/** Everything that is measured of a part of a flight. SI units; degrees for angles. */
export const MEASURING = {
  /** Off the mark or the line, over the ground. */
  off: greatest((cut, i) => cut.beside[i]!.crossTrackM),
  height: greatest((cut, i, s) => Math.abs(s.z - cut.beside[i]!.nearest[2])),
  heading: greatest((cut, i) => noseError(cut, i)),
  overshoot: greatest((cut, i) => Math.max(0, cut.beside[i]!.alongTrackM - lengthOf(cut.stage.path))),
  /** Stopped short of the end by. */
  miss: atEnd((cut) => Math.max(0, lengthOf(cut.stage.path) - cut.beside.at(-1)!.alongTrackM)),
  /** Nearest it came to the end of the way. */
  mark: least((cut, _, s) => {
    const { path } = cut.stage;
    return path.is === 'segment' ? Math.hypot(s.x - path.to[0], s.y - path.to[1]) : null;
  }),
  'wrong-moves': wrongMoves,
  others: (cut: Segment) =>
    greatest((_, __, s) =>
      Math.max(
        ...(['throttle', 'yaw', 'pitch', 'roll'] as const)
          .filter((axis) => axis !== cut.stage.axis)
          .map((axis) =>
            Math.abs(s[axis] - (axis === 'throttle' && !holdsHeight(s) ? cut.samples[0]!.throttle : 0)),
          ),
      ),
    )(cut),
  'small-share': (cut: Segment) => ({
    value:
      cut.samples.filter((s) => Math.max(deflection(s), Math.abs(s.yaw)) <= SMALL).length /
      Math.max(1, cut.samples.length),
    atS: firstWhere(cut, (s) => deflection(s) > SMALL)?.t ?? sinceStart(cut),
  }),
  neutral: longest((_, __, s) => deflection(s) < REST && Math.abs(s.yaw) < REST && speedOver(s) > MOVING_MPS),
  /** In the air but not yet a span up. */
  'low-time': (cut: Segment) => {
    const up = firstWhere(cut, (s) => s.z > 0.03);
    const clear = firstWhere(cut, (s) => s.z > cut.craft.spanM);
    return up && clear ? { value: clear.t - up.t, atS: clear.t } : null;
  },
  'touch-speed': (cut: Segment) => {
    const i = cut.samples.findIndex((s, at) => at > 0 && s.z < 0.01);
    if (i < 0) return null;
    return { value: Math.max(0, -cut.samples[i - 1]!.vz), atS: cut.samples[i]!.t };
  },
  'touch-miss': atEnd((cut, s) => {
    const { path } = cut.stage;
    return path.is === 'segment' ? Math.hypot(s.x - path.to[0], s.y - path.to[1]) : 0;
  }),
  'sink-ratio': greatest((cut, _, s) => -s.vz / cut.craft.inducedMps),
  'wash-zone': greatest((cut, _, s) => washTrouble(cut.craft, s)),
  'wash-index': greatest((cut, _, s) => washIndexOf(cut, s)),
  'nose-to-path': greatest((_, __, s) => noseToPath(s)),
  'throttle-rise': (cut: Segment) => {
    const half = cut.samples.slice(0, Math.ceil(cut.samples.length / 2));
    return { value: meanThrottle(half) - (cut.samples[0]?.throttle ?? 0), atS: half.at(-1)?.t ?? 0 };
  },
  'nose-in-time': longest((cut, _, s) => {
    const pilot = pilotAt(cut.course, s.t - cut.startS);
    return (
      speedOver(s) > MOVING_MPS && Math.abs(turned(headingOf(s), bearing(pilot.x - s.x, pilot.y - s.y))) < 40
    );
  }),
  lasted: atEnd((cut, s) => s.t - sinceStart(cut)),
  'height-lost': greatest((cut, _, s) => cut.samples[0]!.z - s.z),
  'hands-off': (cut: Segment) => after(cut, firstWhere(cut, handsOff)),
  /** Took the sticks again before it was over. */
  'touched-again': (cut: Segment) => {
    const off = cut.samples.findIndex(handsOff);
    const again =
      off < 0
        ? null
        : (cut.samples.slice(off).find((s) => deflection(s) > MOVE || Math.abs(s.yaw) > MOVE) ?? null);
    return { value: again ? 1 : 0, atS: again?.t ?? sinceStart(cut) };
  },
  response: (cut: Segment) =>
    after(
      cut,
      firstWhere(cut, (s) => {
        const [px, py] = pushOf(s);
        const [wx, wy] = wantedPush(cut, s);
        return deflection(s) > MOVE && px * wx + py * wy > 0;
      }),
    ),
  moved: greatest((cut, _, s) => Math.hypot(s.x - cut.samples[0]!.x, s.y - cut.samples[0]!.y)),
  'top-speed': greatest((_, __, s) => speedOver(s)),
  'stopped-in': atEnd((cut, s) => Math.hypot(s.x - cut.samples[0]!.x, s.y - cut.samples[0]!.y)),
  gap: gapMiss,
  clearance,
  /** Set off where the nose does not look. */
  'blind-moves': (cut: Segment) => {
    const bad = firstWhere(cut, (s) => {
      const angle = noseToPath(s);
      return angle !== null && angle > TURN_TOLERANCE_DEG;
    });
    return { value: bad ? 1 : 0, atS: bad?.t ?? sinceStart(cut) };
  },
  'roll-used': greatest((_, __, s) => Math.abs(s.roll)),
  pulses,
  lean: greatest((_, __, s) => leanOf(s)),
  'sideways-first': (cut: Segment) => {
    const [away, power] = [
      firstWhere(cut, (s) => deflection(s) > 0.2),
      firstWhere(cut, (s) => s.throttle > 0.15),
    ];
    return { value: away && (!power || away.t <= power.t) ? 1 : 0, atS: power?.t ?? sinceStart(cut) };
  },
  'slip-outward': (cut: Segment) => {
    const { path } = cut.stage;
    if (path.is !== 'arc') return null;
    const measured = cut.samples.slice(cut.from);
    const outward = measured.filter((s) => {
      const heading = (headingOf(s) * Math.PI) / 180;
      const right = (s.vx - (s.windX || 0)) * Math.cos(heading) - (s.vy - (s.windY || 0)) * Math.sin(heading);
      return right * Math.sign(path.sweepDeg) < 0;
    });
    return { value: outward.length / Math.max(1, measured.length), atS: sinceStart(cut) };
  },
  'lead-near': least((cut, _, s) => {
    const pilot = pilotAt(cut.course, s.t - cut.startS);
    return Math.hypot(s.x - pilot.x, s.y - pilot.y);
  }),
  'lead-far': greatest((cut, _, s) => {
    const pilot = pilotAt(cut.course, s.t - cut.startS);
    return Math.hypot(s.x - pilot.x, s.y - pilot.y);
  }),
  /** Pilot-relative mode switched while the tail was not toward the pilot. */
  'breaches-relative': (cut: Segment) => {
    let [count, atS] = [0, sinceStart(cut)];
    cut.samples.forEach((s, i) => {
      if (
        i > 0 &&
        s.relative !== cut.samples[i - 1]!.relative &&
        Math.abs(turned(headingOf(s), bearing(s.x, s.y))) > 25
      ) {
        count += 1;
        atS = s.t;
      }
    });
    return { value: count, atS };
  },
  'relative-used': (cut: Segment) => ({
    value: cut.samples.some((s) => s.relative === 1) ? 1 : 0,
    atS: sinceStart(cut),
  }),
  /** How far along it was when the stick first came back, as a share of the way. */
  'called-at': (cut: Segment) => {
    const going = cut.samples.findIndex((s) => speedOver(s) > 1.5);
    let fastest = 0;
    // Held, the stick shows it; by hand only the craft does, since the stick also leans against the wind.
    const i =
      going < 0
        ? -1
        : cut.samples.findIndex((s, at) => {
            fastest = Math.max(fastest, speedOver(s));
            return at > going && (s.mode === 3 ? s.pitch < 0.05 : speedOver(s) < 0.7 * fastest);
          });
    return i < 0
      ? null
      : { value: cut.beside[i]!.alongTrackM / lengthOf(cut.stage.path), atS: cut.samples[i]!.t };
  },
  'speed-at-answer': atEnd((_, s) => (holdsHeight(s) && s.mode === 3 ? speedOver(s) : 0)),
} as const satisfies Readonly<Record<Exclude<MeasureId, 'calmer' | 'stops-alike' | 'footprint'>, Measuring>>;

/** Measures that compare several parts with each other. */
export const COMPARING = {
  /** Reversals with the calmest softening over those with none; nothing to better under twelve a minute. */
  calmer: (cuts: readonly Segment[]): Measured | null => {
    const plain = cuts.filter((cut) => cut.stage.softening === 0).map(reversals)[0];
    const softened = cuts.filter((cut) => (cut.stage.softening ?? 0) > 0).map(reversals);
    if (plain === undefined || softened.length === 0) return null;
    return { value: plain < 12 ? 0 : Math.min(...softened) / plain, atS: cuts[0]!.samples[0]?.t ?? 0 };
  },
  /** How far the second stop was from the first, as a share. */
  'stops-alike': (cuts: readonly Segment[]): Measured | null => {
    const [first, second] = cuts.map((cut) => MEASURING['stopped-in'](cut));
    return first && second
      ? { value: Math.abs(second.value - first.value) / Math.max(0.5, first.value), atS: second.atS }
      : null;
  },
  /** Widest distance over the ground between two places, by their extents. */
  footprint: (cuts: readonly Segment[]): Measured | null => {
    const all = cuts.flatMap((cut) => cut.samples);
    if (all.length === 0) return null;
    const extent = (of: (s: Sample) => number) => {
      let [low, high] = [Infinity, -Infinity];
      for (const s of all) {
        low = Math.min(low, of(s));
        high = Math.max(high, of(s));
      }
      return high - low;
    };
    return {
      value: Math.max(
        extent((s) => s.x),
        extent((s) => s.y),
      ),
      atS: all.at(-1)!.t,
    };
  },
} as const satisfies Readonly<Partial<Record<MeasureId, (cuts: readonly Segment[]) => Measured | null>>>;
