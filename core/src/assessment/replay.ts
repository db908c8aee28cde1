import type { FlightLog, LogColumn } from '../flight-log/flight-log';

/** What is needed to show a flight again, some twenty lines a second. */
const REPLAY_COLUMNS = [
  't',
  'x',
  'y',
  'z',
  'qw',
  'qx',
  'qy',
  'qz',
  'throttle',
  'yaw',
  'pitch',
  'roll',
] as const satisfies readonly LogColumn[];
export type Replay = Readonly<Record<(typeof REPLAY_COLUMNS)[number], Float32Array>>;

const HZ = 20;

/** @param fromS @param toS part of the track to show */
export function replayOf({ columns, length }: FlightLog, fromS = -Infinity, toS = Infinity): Replay {
  const chosen: number[] = [];
  let next = -Infinity;
  for (let i = 0; i < length; i += 1) {
    const t = columns.t[i]!;
    if (t < fromS || t > toS) continue;
    if (t >= next || i === length - 1) {
      chosen.push(i);
      next = t + 1 / HZ - 1e-9;
    }
  }
  return Object.fromEntries(
    REPLAY_COLUMNS.map((column) => [column, Float32Array.from(chosen, (i) => columns[column][i]!)]),
  ) as unknown as Replay;
}

/** The last line at or before a time. */
export function lineAt(replay: Replay, t: number): number {
  let [low, high] = [0, replay.t.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (replay.t[middle]! <= t) low = middle;
    else high = middle - 1;
  }
  return low;
}
