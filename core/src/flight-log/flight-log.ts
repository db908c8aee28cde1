import { FLYING_MODES, type FlyingMode } from '../simulator/control/control';
import { SPEED_SETTINGS, type SpeedSetting } from '../vocabulary/craft-facts';

/**
 * What is written down of a flight, in this order. World axes x east, y north, z up from the pilot's feet;
 * attitude body to world; sticks −1 to 1.
 */
export const TRACK_COLUMNS = [
  't',
  'x',
  'y',
  'z',
  'vx',
  'vy',
  'vz',
  'qw',
  'qx',
  'qy',
  'qz',
  'throttle',
  'yaw',
  'pitch',
  'roll',
  'mode',
  'setting',
  'relative',
  'hold',
  'battery',
  'windX',
  'windY',
  'windZ',
] as const;
export type TrackColumn = (typeof TRACK_COLUMNS)[number];

/**
 * One line of a track. Numbers in SI units; mode and setting as places in their lists; relative and hold 1 or
 * 0; battery 0 to 1; wind NaN where nobody knows it.
 */
export type Sample = Readonly<Record<TrackColumn, number>>;

/** Something that happened in a flight, s from its beginning. */
export interface TrackEvent {
  readonly t: number;
  readonly is: TrackEventName;
}
export const TRACK_EVENTS = [
  'call',
  'answer',
  'hold-lost',
  'upset',
  'snap-over',
  'return',
  'take-over',
  'link-lost',
  'link-back',
  'crash',
  'landed',
] as const;
export type TrackEventName = (typeof TRACK_EVENTS)[number];

/** A flight written down, column by column. */
export interface Track {
  readonly length: number;
  readonly columns: Readonly<Record<TrackColumn, Float64Array>>;
  readonly events: readonly TrackEvent[];
}

/** Lines a second that a recorder writes. */
export const TRACK_HZ = 100;

export const modeIndex = (mode: FlyingMode): number => FLYING_MODES.indexOf(mode);
export const modeAt = (sample: Sample): FlyingMode => FLYING_MODES[sample.mode] ?? 'position-hold';
export const settingIndex = (setting: SpeedSetting): number => SPEED_SETTINGS.indexOf(setting);
export const settingAt = (sample: Sample): SpeedSetting => SPEED_SETTINGS[sample.setting] ?? 'normal';

function lineOf(c: Readonly<Record<TrackColumn, Float64Array>>, i: number): Sample {
  return {
    t: c.t[i]!,
    x: c.x[i]!,
    y: c.y[i]!,
    z: c.z[i]!,
    vx: c.vx[i]!,
    vy: c.vy[i]!,
    vz: c.vz[i]!,
    qw: c.qw[i]!,
    qx: c.qx[i]!,
    qy: c.qy[i]!,
    qz: c.qz[i]!,
    throttle: c.throttle[i]!,
    yaw: c.yaw[i]!,
    pitch: c.pitch[i]!,
    roll: c.roll[i]!,
    mode: c.mode[i]!,
    setting: c.setting[i]!,
    relative: c.relative[i]!,
    hold: c.hold[i]!,
    battery: c.battery[i]!,
    windX: c.windX[i]!,
    windY: c.windY[i]!,
    windZ: c.windZ[i]!,
  };
}

/** Line `i` of a track. */
export const sampleAt = ({ columns }: Track, i: number): Sample => lineOf(columns, i);

/** A track being written. */
export class TrackWriter {
  private room = 2_000;
  private count = 0;
  private columns = TrackWriter.columns(this.room);
  private readonly happened: TrackEvent[] = [];

  private static columns(room: number): Record<TrackColumn, Float64Array> {
    return Object.fromEntries(TRACK_COLUMNS.map((column) => [column, new Float64Array(room)])) as Record<
      TrackColumn,
      Float64Array
    >;
  }

  get length(): number {
    return this.count;
  }

  add(sample: Sample): void {
    if (this.count === this.room) {
      this.room *= 2;
      const wider = TrackWriter.columns(this.room);
      for (const column of TRACK_COLUMNS) wider[column].set(this.columns[column]);
      this.columns = wider;
    }
    for (const column of TRACK_COLUMNS) this.columns[column][this.count] = sample[column];
    this.count += 1;
  }

  /** Line `i` of what is written. */
  line(i: number): Sample {
    return lineOf(this.columns, i);
  }

  happens(is: TrackEventName, t: number): void {
    this.happened.push({ t, is });
  }

  /** What is written so far. The columns are views: they do not grow, and are not copied. */
  track(): Track {
    return {
      length: this.count,
      events: [...this.happened],
      columns: Object.fromEntries(
        TRACK_COLUMNS.map((column) => [column, this.columns[column].subarray(0, this.count)]),
      ) as unknown as Record<TrackColumn, Float64Array>,
    };
  }
}

/** Degrees clockwise from north to which the nose points. */
export const headingOf = ({ qw, qx, qy, qz }: Pick<Sample, 'qw' | 'qx' | 'qy' | 'qz'>): number =>
  90 - (Math.atan2(2 * (qx * qy + qw * qz), 1 - 2 * (qy * qy + qz * qz)) * 180) / Math.PI;

/** Lean from upright, degrees. */
export const leanOf = ({ qx, qy }: Pick<Sample, 'qx' | 'qy'>): number =>
  (Math.acos(Math.max(-1, Math.min(1, 1 - 2 * (qx * qx + qy * qy)))) * 180) / Math.PI;

/** Difference of two bearings, −180 to 180 degrees. */
export const turned = (fromDeg: number, toDeg: number): number =>
  ((((toDeg - fromDeg) % 360) + 540) % 360) - 180;

/** The thrust axis in world axes. */
export const thrustAxis = ({
  qw,
  qx,
  qy,
  qz,
}: Pick<Sample, 'qw' | 'qx' | 'qy' | 'qz'>): readonly [number, number, number] => [
  2 * (qx * qz + qw * qy),
  2 * (qy * qz - qw * qx),
  1 - 2 * (qx * qx + qy * qy),
];
