import type { FlightLog } from '../../flight-log/flight-log';

/** The recorder goes on for a while, 100 lines a second, with the craft where it fell. */
export function stoppedAfter(log: FlightLog, seconds: number): FlightLog {
  const more = seconds * 100;
  const columns = Object.fromEntries(
    Object.entries(log.columns).map(([name, values]) => {
      const longer = new Float64Array(values.length + more);
      longer.set(values);
      const last = values.at(-1)!;
      for (let i = 0; i < more; i += 1)
        longer[values.length + i] =
          name === 't' ? last + (i + 1) / 100 : ['vx', 'vy', 'vz'].includes(name) ? 0 : last;
      return [name, longer];
    }),
  ) as unknown as FlightLog['columns'];
  return { ...log, length: log.length + more, columns };
}
