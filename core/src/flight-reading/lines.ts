import type { Ended } from '../simulator/simulated-flight';
import type { Solid } from '../simulator/world';
import type { CraftFacts } from '../vocabulary/craft-facts';
import type { Failsafe } from '../reconstruct/return-height';
import {
  type FlightLog,
  type LogColumn,
  type LogEventName,
  type Sample,
  sampleAt,
} from '../flight-log/flight-log';
import { pushOf, type Segment } from '../assessment/segment';

/** A flight, and what is known beside it. */
export interface ReadFrom {
  /** Columns that were not recorded are NaN. */
  readonly track: FlightLog;
  /** The parts of the drill that was flown; none where it was no drill. */
  readonly cuts: readonly Segment[];
  /** The moment at which it was over, s. */
  readonly atS: number;
  /** What it ended on; null: nothing was met. */
  readonly ended: Ended;
  readonly facts: CraftFacts;
  /** What stood there, as far as is known. */
  readonly solids: readonly Solid[];
  /** A file may begin in the air, and far from its pilot: what then nobody knows. Absent: both are known. */
  readonly notKnown?: readonly ('pilot' | 'ground')[];
  /** What a simulator knows of its own flight and no recorder does. Absent: the flight was recorded outside. */
  readonly simulated?: {
    readonly returnHeightM?: number;
    readonly onLinkLoss?: Failsafe;
    /** Whether the pilot walked about meanwhile. */
    readonly pilotWalked?: boolean;
  };
}

export const mean = (values: readonly number[]): number =>
  values.length === 0 ? NaN : values.reduce((sum, each) => sum + each, 0) / values.length;
export const median = (values: readonly number[]): number => {
  const sorted = values.filter(Number.isFinite).sort((a, b) => a - b);
  return sorted.length === 0 ? NaN : sorted[Math.floor(sorted.length / 2)]!;
};

/** Mean push of the sticks along a way, −1 to 1. @param way east and north, of any length but none */
export const pushedAlong = (
  lines: readonly Sample[],
  way: (s: Sample) => readonly [x: number, y: number],
): number =>
  mean(
    lines.map((s) => {
      const [[px, py], [x, y]] = [pushOf(s), way(s)];
      return (px * x + py * y) / Math.hypot(x, y);
    }),
  );

/** From this mode on place is held (`PILOTED_MODES`). */
const HOLDS_FROM_MODE = 3;
/** Whether it goes where it is pushed and else stays, as far as its mode and what it told say. */
export const placeIsHeld = ({ mode, hold }: Sample): boolean => mode >= HOLDS_FROM_MODE && hold !== 0;

/** Under so many lines a second neither snaps nor first corrections can be told. */
export const FEWEST_HZ = 4;
/** Speeds are worked out of places over so long where nobody recorded them, s. */
const SPEED_OVER_S = 1;

const STICKS: readonly LogColumn[] = ['throttle', 'yaw', 'pitch', 'roll'];
const ATTITUDE: readonly LogColumn[] = ['qw', 'qx', 'qy', 'qz'];

/** The lines of a flight up to the moment it was over, and which of their columns were recorded. */
export class Lines {
  readonly all: readonly Sample[];
  readonly hz: number;
  private readonly known = new Map<LogColumn, boolean>();

  constructor(readonly from: ReadFrom) {
    const { track, atS } = from;
    const lines: Sample[] = [];
    for (let i = 0; i < track.length; i += 1) {
      const s = sampleAt(track, i);
      if (s.t <= atS + 1e-6) lines.push(s);
    }
    const raw = lines.length > 0 ? lines : [sampleAt(track, 0)];
    this.all = raw.some(({ vx }) => Number.isFinite(vx)) ? raw : withSpeeds(raw);
    const lasted = this.last.t - this.all[0]!.t;
    this.hz = lasted > 0 ? (this.all.length - 1) / lasted : 0;
  }

  get last(): Sample {
    return this.all.at(-1)!;
  }

  /** Whether a column was recorded at all. */
  has(column: LogColumn): boolean {
    const known = this.known.get(column);
    if (known !== undefined) return known;
    const found = this.all.some((s) => Number.isFinite(s[column]));
    this.known.set(column, found);
    return found;
  }

  get hasSticks(): boolean {
    return STICKS.every((column) => this.has(column));
  }
  get hasAttitude(): boolean {
    return ATTITUDE.every((column) => this.has(column));
  }
  get hasWind(): boolean {
    return this.has('windX') && this.has('windY');
  }
  /** Fast enough to tell a snap, a burst or a first correction. */
  get isFast(): boolean {
    return this.hz >= FEWEST_HZ;
  }

  between(fromS: number, toS: number): readonly Sample[] {
    return this.all.filter(({ t }) => t >= fromS && t <= toS);
  }

  happened(event: LogEventName): boolean {
    return this.from.track.events.some(({ is, t }) => is === event && t <= this.last.t + 1e-6);
  }

  /** The part of the drill that was being flown at a moment; null outside one. */
  cutAt(t: number): Segment | null {
    return (
      this.from.cuts.find(
        ({ samples }) => (samples[0]?.t ?? Infinity) <= t && (samples.at(-1)?.t ?? -Infinity) >= t,
      ) ?? null
    );
  }
}

/** So often is enough to look at how a flight goes, s. */
const LOOK_S = 0.05;

/** Lines at most so often: a recorder may be faster than anything that is read of it. */
export function thinned(lines: readonly Sample[]): readonly Sample[] {
  const kept: Sample[] = [];
  for (const s of lines) if (kept.length === 0 || s.t - kept.at(-1)!.t >= LOOK_S - 1e-6) kept.push(s);
  return kept;
}

/** Speeds out of places, over a second, so that a place that wanders is no speed. */
function withSpeeds(lines: readonly Sample[]): readonly Sample[] {
  let from = 0;
  return lines.map((s, i) => {
    while (from < i - 1 && s.t - lines[from]!.t > SPEED_OVER_S) from += 1;
    const before = lines[Math.max(0, Math.min(from, i - 1))]!;
    const dt = s.t - before.t;
    if (dt <= 0) return { ...s, vx: 0, vy: 0, vz: 0 };
    return { ...s, vx: (s.x - before.x) / dt, vy: (s.y - before.y) / dt, vz: (s.z - before.z) / dt };
  });
}
