import { FLIGHT_MODES } from '../vocabulary/flying';
import { PILOTED_MODES, type PilotedMode } from '../simulator/control/control';
import { type FlightLog, FlightLogWriter, type LogColumn } from '../flight-log/flight-log';
import { attitudesOf } from './attitude';
import type { RecordedField } from './mapping/fields';
import type { SmoothFlight } from './smoothing/smooth-flight';

const SAME: readonly (readonly [LogColumn, RecordedField])[] = [
  ['throttle', 'stick_throttle'],
  ['yaw', 'stick_yaw'],
  ['pitch', 'stick_pitch'],
  ['roll', 'stick_roll'],
  ['battery', 'battery'],
  ['windX', 'wind_east'],
  ['windY', 'wind_north'],
  ['hold', 'hold'],
];

/** A mode of the log; NaN where the craft flew by itself, or nobody knows. */
function modeOf(index: number | undefined): number {
  const mode = index === undefined ? undefined : FLIGHT_MODES[index];
  const at = PILOTED_MODES.indexOf(mode as PilotedMode);
  return at < 0 ? NaN : at;
}

/** A smoothed flight as the log that readers of flights take: what was not recorded is NaN. */
export function asFlightLog(flight: SmoothFlight): FlightLog {
  const { t, axes, channels } = flight;
  const attitudes = attitudesOf(flight);
  const writer = new FlightLogWriter();
  const mode = channels.get('mode');
  const same = SAME.map(([column, field]) => [column, channels.get(field)] as const);
  for (let i = 0; i < t.length; i += 1) {
    const q = attitudes.at(i);
    const others = Object.fromEntries(same.map(([column, values]) => [column, values?.[i] ?? NaN])) as Record<
      'throttle' | 'yaw' | 'pitch' | 'roll' | 'battery' | 'windX' | 'windY' | 'hold',
      number
    >;
    writer.add({
      t: t[i]!,
      x: axes.east.place[i]!,
      y: axes.north.place[i]!,
      z: axes.up?.place[i] ?? NaN,
      vx: axes.east.speed[i]!,
      vy: axes.north.speed[i]!,
      vz: axes.up?.speed[i] ?? NaN,
      ...(q ?? { qw: NaN, qx: NaN, qy: NaN, qz: NaN }),
      ...others,
      mode: modeOf(mode?.[i]),
      setting: NaN,
      relative: NaN,
      windZ: NaN,
    });
  }
  return writer.track();
}
