import { PILOTED_MODES, type PilotedMode } from '../simulator/control/control';
import { SPEED_SETTINGS, type SpeedSetting } from '../vocabulary/craft-facts';

/**
 * What is written down of a flight, in this order. World axes x east, y north, z up from the pilot's feet;
 * attitude body to world; sticks −1 to 1.
 */
export const LOG_COLUMNS = [
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
export type LogColumn = (typeof LOG_COLUMNS)[number];

/**
 * One line of a track. Numbers in SI units; mode and setting as places in their lists; relative and hold 1 or
 * 0; battery 0 to 1. NaN: not recorded, and nobody knows.
 */
export type Sample = Readonly<Record<LogColumn, number>>;

/** Something that happened in a flight, s from its beginning. */
export interface LogEvent {
  readonly t: number;
  readonly is: LogEventName;
}
export const LOG_EVENTS = [
  'call',
  'answer',
  'answer-1',
  'answer-2',
  'answer-3',
  'answer-4',
  'answer-5',
  'hold-lost',
  'upset',
  'snap-over',
  'return',
  'take-over',
  'link-lost',
  'link-back',
  'lands-itself',
  'crash',
  'landed',
] as const;
export type LogEventName = (typeof LOG_EVENTS)[number];

/** One of the answers to choose from, by its place in the list. */
export type AnswerNumber = 1 | 2 | 3 | 4 | 5;
const ANSWERED = /^answer(?:-(\d))?$/;
/** Which answer was given; 0 where one was given without a choice, null for any other event. */
export function answerIn(is: LogEventName): AnswerNumber | 0 | null {
  const found = ANSWERED.exec(is);
  return found && (Number(found[1] ?? 0) as AnswerNumber | 0);
}

/** A flight written down, column by column. */
export interface FlightLog {
  readonly length: number;
  readonly columns: Readonly<Record<LogColumn, Float64Array>>;
  readonly events: readonly LogEvent[];
}

/** Lines a second that a recorder writes. */
export const LOG_HZ = 100;

export const modeIndex = (mode: PilotedMode): number => PILOTED_MODES.indexOf(mode);
export const modeAt = (sample: Sample): PilotedMode => PILOTED_MODES[sample.mode] ?? 'position-hold';
export const settingIndex = (setting: SpeedSetting): number => SPEED_SETTINGS.indexOf(setting);
export const settingAt = (sample: Sample): SpeedSetting => SPEED_SETTINGS[sample.setting] ?? 'normal';

function lineOf(c: Readonly<Record<LogColumn, Float64Array>>, i: number): Sample {
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
export const sampleAt = ({ columns }: FlightLog, i: number): Sample => lineOf(columns, i);

/** A track being written. */
export class FlightLogWriter {
  private room = 2_000;
  private count = 0;
  private columns = FlightLogWriter.columns(this.room);
  private readonly happened: LogEvent[] = [];

  private static columns(room: number): Record<LogColumn, Float64Array> {
    return Object.fromEntries(LOG_COLUMNS.map((column) => [column, new Float64Array(room)])) as Record<
      LogColumn,
      Float64Array
    >;
  }

  get length(): number {
    return this.count;
  }

  add(sample: Sample): void {
    if (this.count === this.room) {
      this.room *= 2;
      const wider = FlightLogWriter.columns(this.room);
      for (const column of LOG_COLUMNS) wider[column].set(this.columns[column]);
      this.columns = wider;
    }
    for (const column of LOG_COLUMNS) this.columns[column][this.count] = sample[column];
    this.count += 1;
  }

  /** Line `i` of what is written. */
  line(i: number): Sample {
    return lineOf(this.columns, i);
  }

  happens(is: LogEventName, t: number): void {
    this.happened.push({ t, is });
  }

  /** What is written so far. The columns are views: they do not grow, and are not copied. */
  track(): FlightLog {
    return {
      length: this.count,
      events: [...this.happened],
      columns: Object.fromEntries(
        LOG_COLUMNS.map((column) => [column, this.columns[column].subarray(0, this.count)]),
      ) as unknown as Record<LogColumn, Float64Array>,
    };
  }
}

/** Difference of two bearings, −180 to 180 degrees. */
export const turned = (fromDeg: number, toDeg: number): number =>
  ((((toDeg - fromDeg) % 360) + 540) % 360) - 180;
