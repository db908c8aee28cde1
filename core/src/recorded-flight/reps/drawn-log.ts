import { type FlightLog, LOG_COLUMNS, type LogColumn } from '../../flight-log/flight-log';
import { turnAbout, turnedBy } from '../../geometry/rotation';
import { Random } from '../../simulator/random';
import { turnedAttitudes } from './placement';
import type { SmoothFlight } from '../smoothing/smooth-flight';

/** How long places of satellites, of a barometer, and measured near by err alike, s; and speeds. From memory. */
const ALIKE_S = { satellites: 25, barometer: 40, local: 3, speed: 1 } as const;
/** A compass in a small craft is off by so much, degrees (common practice: three to five). */
const HEADING_SD_DEG = 3;
/** What was not recorded is anything within these: sticks, lean in degrees, m beside the height asked. */
const ANYTHING = { stick: 1, leanDeg: 20, heightM: 1.2 } as const;
/** It changes so often, s. */
const CHANGES_S = 0.4;

/** A walk of variance 1 whose figures are alike for so long (Gauss–Markov, first order). */
function wander(length: number, hz: number, alikeS: number, random: Random): Float64Array {
  const keeps = Math.exp(-1 / (hz * alikeS));
  const fresh = Math.sqrt(1 - keeps * keeps);
  const out = new Float64Array(length);
  let at = random.normal();
  for (let i = 0; i < length; i += 1) {
    out[i] = at;
    at = keeps * at + fresh * random.normal();
  }
  return out;
}

/** The part of a flight that is judged. */
export interface JudgedPart {
  readonly flight: SmoothFlight;
  readonly log: FlightLog;
  /** The moment of the flight that its first line is. */
  readonly from: number;
  /** Taken where heights were not recorded, m. */
  readonly heightM: number;
}

type Columns = Record<LogColumn, Float64Array>;
const STICKS = ['throttle', 'yaw', 'pitch', 'roll'] as const;

/** Anything, for what nobody wrote down: a figure that comes out alike whatever it was needs none of it. */
function fillUnknown(
  columns: Columns,
  { flight: { hz }, log: { length }, heightM }: JudgedPart,
  random: Random,
): void {
  const nothing = (column: LogColumn) => columns[column].every((value) => Number.isNaN(value));
  const block = Math.max(1, Math.round(CHANGES_S * hz));
  const blocks = (most: number): Float64Array => {
    let value = 0;
    return Float64Array.from({ length }, (_, i) => {
      if (i % block === 0) value = most * (2 * random.uniform() - 1);
      return value;
    });
  };
  for (const stick of STICKS) if (nothing(stick)) columns[stick] = blocks(ANYTHING.stick);
  if (nothing('z')) {
    const off = ANYTHING.heightM * (2 * random.uniform() - 1);
    columns.z = new Float64Array(length).fill(heightM + off);
    columns.vz = new Float64Array(length);
  }
  if (nothing('qw')) {
    const nose = random.uniform() * 2 * Math.PI;
    const [right, up] = [blocks(ANYTHING.leanDeg), blocks(ANYTHING.leanDeg)];
    const rad = (deg: number) => (deg * Math.PI) / 180;
    for (const axis of ['qw', 'qx', 'qy', 'qz'] as const) columns[axis] = new Float64Array(length);
    for (let i = 0; i < length; i += 1) {
      const lean = turnedBy(turnAbout('qy', rad(up[i]!)), turnAbout('qx', rad(right[i]!)));
      const q = turnedBy(turnAbout('qz', nose), lean);
      columns.qw[i] = q.qw;
      columns.qx[i] = q.qx;
      columns.qy[i] = q.qy;
      columns.qz[i] = q.qz;
    }
  }
}

/** The same part, with anything in place of what was not recorded. */
export function filledLog(part: JudgedPart, seed: number): FlightLog {
  const { log } = part;
  const columns = Object.fromEntries(LOG_COLUMNS.map((each) => [each, log.columns[each].slice()])) as Columns;
  fillUnknown(columns, part, new Random(seed));
  return { ...log, columns };
}

/** The flight as it may have been as well, by how sure the smoother is of it. */
export function drawnLog(part: JudgedPart, seed: number): FlightLog {
  const random = new Random(seed);
  const { flight, from } = part;
  const log = filledLog(part, seed);
  const { columns, length } = log;
  const { axes, hz, recording } = flight;
  const satellites = recording.origin !== null;
  const add = (column: LogColumn, sd: Float64Array, alikeS: number) => {
    const walk = wander(length, hz, alikeS, random);
    for (let i = 0; i < length; i += 1) columns[column][i]! += sd[from + i]! * walk[i]!;
  };
  const flat = satellites ? ALIKE_S.satellites : ALIKE_S.local;
  add('x', axes.east.placeSd, flat);
  add('y', axes.north.placeSd, flat);
  add('vx', axes.east.speedSd, ALIKE_S.speed);
  add('vy', axes.north.speedSd, ALIKE_S.speed);
  if (axes.up) {
    add('z', axes.up.placeSd, satellites ? ALIKE_S.barometer : ALIKE_S.local);
    add('vz', axes.up.speedSd, ALIKE_S.speed);
  }
  const offRad = (HEADING_SD_DEG * random.normal() * Math.PI) / 180;
  return { ...log, columns: { ...columns, ...turnedAttitudes(columns, turnAbout('qz', offRad)) } };
}
