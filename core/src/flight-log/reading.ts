import { PILOTED_MODES } from '../simulator/control/control';
import { SPEED_SETTINGS } from '../vocabulary/craft-facts';
import {
  type Sample,
  sampleAt,
  type FlightLog,
  LOG_EVENTS,
  type LogColumn,
  type LogEventName,
  FlightLogWriter,
} from './flight-log';

/**
 * One column of an open flight log: its name in the header with the unit in brackets, and whether a log must
 * have it.
 */
interface FileColumn {
  readonly column: LogColumn;
  readonly name: string;
  readonly unit: string | null;
  readonly needed: boolean;
  readonly most: number;
  readonly words?: readonly string[];
}

const number = (column: LogColumn, name: string, unit: string, most: number): FileColumn => ({
  column,
  name,
  unit,
  needed: true,
  most,
});
const optional = (column: LogColumn, name: string, unit: string, most: number): FileColumn => ({
  column,
  name,
  unit,
  needed: false,
  most,
});
const word = (column: LogColumn, name: string, words: readonly string[]): FileColumn => ({
  column,
  name,
  unit: null,
  needed: false,
  most: words.length,
  words,
});

/**
 * The columns of a log. East, north and up are from where the pilot stands; attitude turns body axes (ahead,
 * left, up) into them. SI units.
 */
const FILE_COLUMNS: readonly FileColumn[] = [
  number('t', 'time', 's', 86_400),
  number('x', 'east', 'm', 10_000),
  number('y', 'north', 'm', 10_000),
  number('z', 'up', 'm', 10_000),
  number('vx', 'v_east', 'm/s', 150),
  number('vy', 'v_north', 'm/s', 150),
  number('vz', 'v_up', 'm/s', 150),
  number('qw', 'q_w', '1', 1.05),
  number('qx', 'q_x', '1', 1.05),
  number('qy', 'q_y', '1', 1.05),
  number('qz', 'q_z', '1', 1.05),
  number('throttle', 'throttle', '1', 1.05),
  number('yaw', 'yaw', '1', 1.05),
  number('pitch', 'pitch', '1', 1.05),
  number('roll', 'roll', '1', 1.05),
  word('mode', 'mode', PILOTED_MODES),
  word('setting', 'setting', SPEED_SETTINGS),
  optional('relative', 'pilot_relative', '1', 1),
  optional('hold', 'hold', '1', 1),
  optional('battery', 'battery', '1', 1),
  optional('windX', 'wind_east', 'm/s', 150),
  optional('windY', 'wind_north', 'm/s', 150),
  optional('windZ', 'wind_up', 'm/s', 150),
];
const EVENT = 'event';
const titleOf = ({ name, unit }: FileColumn): string => (unit === null ? name : `${name} [${unit}]`);

const LOG_HZ = { least: 50, most: 200 } as const;
/** A gap longer than this cannot be judged over, s. */
const GAP_S = 0.25;
/** An hour at the fastest rate. */
const MOST_LINES = 720_000;
/** Larger files are not read, bytes. */
export const MOST_BYTES = 150_000_000;
const UNIT_TOLERANCE = 0.05;
const FEET = 3.2808;
/** Of what stands in a file, characters. */
const MOST_SHOWN = 20;

/** What is wrong with a log, where, and what to do. */
export class FlightLogError extends Error {
  constructor(
    message: string,
    readonly line: number | null,
    readonly column: string | null = null,
  ) {
    super(`${line === null ? '' : `Line ${line}${column ? `, ${column}` : ''}: `}${message}`);
  }
}

const SIX = 1e6;
const short = (value: number): string => (Number.isNaN(value) ? '' : String(Math.round(value * SIX) / SIX));

/** A track as an open flight log. Lines that begin with # are remarks. */
export function flightLogCsv(track: FlightLog, remarks: readonly string[] = []): string {
  const lines = [...remarks.map((remark) => `# ${remark}`), [...FILE_COLUMNS.map(titleOf), EVENT].join(',')];
  let event = 0;
  for (let i = 0; i < track.length; i += 1) {
    const s = sampleAt(track, i);
    const names: string[] = [];
    for (; event < track.events.length && track.events[event]!.t <= s.t + 1e-6; event += 1)
      names.push(track.events[event]!.is);
    lines.push(
      [
        ...FILE_COLUMNS.map(({ column, words }) => (words ? (words[s[column]] ?? '') : short(s[column]))),
        names.join(' '),
      ].join(','),
    );
  }
  return `${lines.join('\n')}\n`;
}

interface Found {
  readonly at: number;
  readonly is: FileColumn;
}

/** Reads an open flight log row by row. Give it every row in order, then ask for the track. */
export class FlightLogReader {
  private found: readonly Found[] | null = null;
  private eventAt = -1;
  private readonly writer = new FlightLogWriter();
  private lastS = -Infinity;
  private moved = 0;
  private flown = 0;

  /** @param line its number in the file, from 1. @throws FlightLogError at the first fault */
  row(cells: readonly string[], line: number): void {
    if (cells.length === 0 || (cells.length === 1 && cells[0]!.trim() === '') || cells[0]!.startsWith('#'))
      return;
    if (!this.found) {
      this.header(cells, line);
      return;
    }
    if (this.writer.length >= MOST_LINES)
      throw new FlightLogError(
        `the log is longer than ${MOST_LINES} lines: cut out the flight that should be judged.`,
        line,
      );
    const values = Object.fromEntries(FILE_COLUMNS.map(({ column }) => [column, NaN])) as Record<
      LogColumn,
      number
    >;
    for (const { at, is } of this.found) values[is.column] = this.value(cells[at], is, line);
    this.check(values, line);
    this.writer.add(values);
    const events = this.eventAt < 0 ? '' : (cells[this.eventAt] ?? '').trim();
    for (const name of events === '' ? [] : events.split(/\s+/)) {
      if (!(LOG_EVENTS as readonly string[]).includes(name))
        throw new FlightLogError(
          `"${name.slice(0, MOST_SHOWN)}" is not an event: one of ${LOG_EVENTS.join(', ')}.`,
          line,
          EVENT,
        );
      this.writer.happens(name as LogEventName, values.t);
    }
  }

  /** @throws FlightLogError when what was read is no flight */
  track(): FlightLog {
    if (!this.found)
      throw new FlightLogError('the file is empty: a log begins with a line that names its columns.', null);
    const track = this.writer.track();
    if (track.length < 2)
      throw new FlightLogError(
        'there are no lines under the header: a log has one line for every moment.',
        null,
      );
    const { t } = track.columns;
    const hz = (track.length - 1) / (t[track.length - 1]! - t[0]!);
    if (hz < LOG_HZ.least * (1 - UNIT_TOLERANCE) || hz > LOG_HZ.most * (1 + UNIT_TOLERANCE))
      throw new FlightLogError(
        `${hz.toFixed(0)} lines a second: a log has ${LOG_HZ.least} to ${LOG_HZ.most}. Record it so, or thin it out.`,
        null,
      );
    if (this.flown > 5) {
      const times = this.moved / this.flown;
      if (times > 1.5 || times < 0.67)
        throw new FlightLogError(
          `places move ${times.toFixed(2)} times as far as the speeds say${Math.abs(times - FEET) < 0.5 ? ': are the places in feet? Give metres.' : ': give places in m and speeds in m/s.'}`,
          null,
        );
    }
    return track;
  }

  private header(cells: readonly string[], line: number): void {
    const titles = cells.map((cell) => cell.trim().replace(/^\uFEFF/, ''));
    const found: Found[] = [];
    titles.forEach((title, at) => {
      const [, name = title, unit] = /^([^[\]]*?)\s*(?:\[(.*)\])?$/.exec(title) ?? [];
      if (name === EVENT) {
        this.eventAt = at;
        return;
      }
      const is = FILE_COLUMNS.find((each) => each.name === name);
      if (!is) return;
      if (is.unit !== null && unit !== is.unit)
        throw new FlightLogError(
          `${unit === undefined ? 'the unit is missing' : `"${unit.slice(0, MOST_SHOWN)}" is not its unit`}: write "${titleOf(is)}" and give ${is.unit === '1' ? 'values from −1 to 1' : is.unit}.`,
          line,
          `column ${at + 1} "${title.slice(0, 2 * MOST_SHOWN)}"`,
        );
      if (found.some((each) => each.is === is))
        throw new FlightLogError(
          'it is there twice: leave one out.',
          line,
          `column ${at + 1} "${title.slice(0, 2 * MOST_SHOWN)}"`,
        );
      found.push({ at, is });
    });
    const missing = FILE_COLUMNS.filter((each) => each.needed && !found.some(({ is }) => is === each)).map(
      titleOf,
    );
    if (missing.length > 0)
      throw new FlightLogError(
        `${missing.length === 1 ? 'a column is' : 'columns are'} missing: ${missing.join(', ')}. Add ${missing.length === 1 ? 'it' : 'them'}; ${EVENT}, mode, hold, battery and wind may be left out.`,
        line,
      );
    this.found = found;
  }

  private value(cell: string | undefined, is: FileColumn, line: number): number {
    const text = (cell ?? '').trim();
    if (is.words) {
      if (text === '') return NaN;
      const at = is.words.indexOf(text);
      if (at < 0)
        throw new FlightLogError(
          `"${text.slice(0, MOST_SHOWN)}" is not known: one of ${is.words.join(', ')}.`,
          line,
          titleOf(is),
        );
      return at;
    }
    if (text === '') {
      if (is.needed)
        throw new FlightLogError('it is empty: every line needs a number here.', line, titleOf(is));
      return NaN;
    }
    const value = Number(text);
    if (!Number.isFinite(value))
      throw new FlightLogError(
        `"${text.slice(0, MOST_SHOWN)}" is not a number: fill it, or leave the whole line out.`,
        line,
        titleOf(is),
      );
    if (Math.abs(value) > is.most)
      throw new FlightLogError(
        `${text.slice(0, MOST_SHOWN)} is out of bounds: at most ${is.most}${is.unit === '1' || is.unit === null ? '' : ` ${is.unit}`}.`,
        line,
        titleOf(is),
      );
    return value;
  }

  private check(s: Sample, line: number): void {
    const size = Math.hypot(s.qw, s.qx, s.qy, s.qz);
    if (Math.abs(size - 1) > UNIT_TOLERANCE)
      throw new FlightLogError(
        `the attitude has length ${size.toFixed(2)}: q_w, q_x, q_y and q_z must make a unit quaternion.`,
        line,
        'q_w to q_z',
      );
    const { length } = this.writer;
    if (length > 0) {
      const step = s.t - this.lastS;
      if (step <= 0)
        throw new FlightLogError(
          'time does not go on: each line must be later than the one before.',
          line,
          titleOf(FILE_COLUMNS[0]!),
        );
      if (step > GAP_S)
        throw new FlightLogError(
          `${step.toFixed(2)} s are missing before it: a flight cannot be judged over a gap. Cut the log there.`,
          line,
          titleOf(FILE_COLUMNS[0]!),
        );
      const before = this.writer.line(length - 1);
      this.moved += Math.hypot(s.x - before.x, s.y - before.y, s.z - before.z);
      this.flown += Math.hypot(s.vx + before.vx, s.vy + before.vy, s.vz + before.vz) * 0.5 * step;
    }
    this.lastS = s.t;
  }
}
