import { PILOTED_MODES } from '../simulator/control/control';
import { SPEED_SETTINGS } from '../vocabulary/craft-facts';
import { type Said, sentence } from '../vocabulary/said';
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
/** Faster than any craft flies, even where its places are in feet. */
const SET_BACK_MPS = 300;
/** Larger files are not read, bytes. */
export const MOST_BYTES = 150_000_000;
const UNIT_TOLERANCE = 0.05;
const FEET = 3.2808;
/** Of what stands in a file, characters. */
const MOST_SHOWN = 20;

/** What is wrong with a log, where, and what to do. */
export class FlightLogError extends Error {
  constructor(
    readonly said: Said,
    readonly line: number | null,
    /** A column by its title, or by its number where its title is the fault. */
    readonly column: string | Said | null = null,
  ) {
    super(said.say);
  }
}

const MEGA = 1e6;

/** @param bytes of the file */
export const fileTooLarge = (bytes: number): FlightLogError =>
  new FlightLogError(
    sentence('log.file-too-large', { megabytes: Math.round(bytes / MEGA), most: MOST_BYTES / MEGA }),
    null,
  );

export const lineWithoutEnd = (line: number): FlightLogError =>
  new FlightLogError(sentence('log.line-without-end'), line);

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

/** A column by its number, where its title is the fault. */
const columnAt = (at: number, title: string): Said =>
  sentence('log.column-at', { number: at + 1, title: title.slice(0, 2 * MOST_SHOWN) });

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
      throw new FlightLogError(sentence('log.too-long', { most: MOST_LINES }), line);
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
          sentence('log.other-event', { name: name.slice(0, MOST_SHOWN), events: LOG_EVENTS }),
          line,
          EVENT,
        );
      this.writer.happens(name as LogEventName, values.t);
    }
  }

  /** @throws FlightLogError when what was read is no flight */
  track(): FlightLog {
    if (!this.found) throw new FlightLogError(sentence('log.empty'), null);
    const track = this.writer.track();
    if (track.length < 2) throw new FlightLogError(sentence('log.no-lines'), null);
    const { t } = track.columns;
    const hz = (track.length - 1) / (t[track.length - 1]! - t[0]!);
    if (hz < LOG_HZ.least * (1 - UNIT_TOLERANCE) || hz > LOG_HZ.most * (1 + UNIT_TOLERANCE))
      throw new FlightLogError(sentence('log.other-rate', { hz: Math.round(hz), ...LOG_HZ }), null);
    if (this.flown > 5) {
      const times = this.moved / this.flown;
      if (times > 1.5 || times < 0.67)
        throw new FlightLogError(
          sentence(Math.abs(times - FEET) < 0.5 ? 'log.in-feet' : 'log.speeds-disagree', {
            times: times.toFixed(2),
          }),
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
          sentence(unit === undefined ? 'log.unit-missing' : 'log.other-unit', {
            unit: unit?.slice(0, MOST_SHOWN) ?? null,
            title: titleOf(is),
            give: is.unit === '1' ? sentence('log.values-to-1') : is.unit,
          }),
          line,
          columnAt(at, title),
        );
      if (found.some((each) => each.is === is))
        throw new FlightLogError(sentence('log.column-twice'), line, columnAt(at, title));
      found.push({ at, is });
    });
    const missing = FILE_COLUMNS.filter((each) => each.needed && !found.some(({ is }) => is === each)).map(
      titleOf,
    );
    if (missing.length > 0)
      throw new FlightLogError(
        sentence(missing.length === 1 ? 'log.column-missing' : 'log.columns-missing', {
          missing,
          event: EVENT,
        }),
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
          sentence('log.other-word', { text: text.slice(0, MOST_SHOWN), words: is.words }),
          line,
          titleOf(is),
        );
      return at;
    }
    if (text === '') {
      if (is.needed) throw new FlightLogError(sentence('log.cell-empty'), line, titleOf(is));
      return NaN;
    }
    const value = Number(text);
    if (!Number.isFinite(value))
      throw new FlightLogError(
        sentence('log.no-number', { text: text.slice(0, MOST_SHOWN) }),
        line,
        titleOf(is),
      );
    if (Math.abs(value) > is.most)
      throw new FlightLogError(
        sentence('log.out-of-bounds', {
          text: text.slice(0, MOST_SHOWN),
          most: is.most,
          unit: is.unit === '1' || is.unit === null ? '' : ` ${is.unit}`,
        }),
        line,
        titleOf(is),
      );
    return value;
  }

  private check(s: Sample, line: number): void {
    const size = Math.hypot(s.qw, s.qx, s.qy, s.qz);
    if (Math.abs(size - 1) > UNIT_TOLERANCE)
      throw new FlightLogError(
        sentence('log.no-unit-quaternion', { size: size.toFixed(2) }),
        line,
        sentence('log.columns-of-attitude'),
      );
    const { length } = this.writer;
    if (length > 0) {
      const step = s.t - this.lastS;
      if (step <= 0) throw new FlightLogError(sentence('log.time-stands'), line, titleOf(FILE_COLUMNS[0]!));
      if (step > GAP_S)
        throw new FlightLogError(
          sentence('log.gap', { seconds: step.toFixed(2) }),
          line,
          titleOf(FILE_COLUMNS[0]!),
        );
      const before = this.writer.line(length - 1);
      const moved = Math.hypot(s.x - before.x, s.y - before.y, s.z - before.z);
      // A simulator sets a craft back for the next try: no flight, and no other unit either.
      if (moved <= SET_BACK_MPS * step) {
        this.moved += moved;
        this.flown += Math.hypot(s.vx + before.vx, s.vy + before.vy, s.vz + before.vz) * 0.5 * step;
      }
    }
    this.lastS = s.t;
  }
}
