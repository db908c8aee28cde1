import { type EventFinder, flightEvent } from './flight-event';

/** Over the line and back within so long is once, s. */
const APART_S = 2;

/** It flew over a line that was marked: people stand behind it. By the two ends of each step lying on either side. */
export const crossedLineFinder: EventFinder = ({ flight, limits, airborne }) => {
  const { line } = limits;
  if (!line) return [];
  const [a, b] = line;
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const { axes, t } = flight;
  const [east, north] = [axes.east.place, axes.north.place];
  const side = (i: number) => dx * (north[i]! - a.y) - dy * (east[i]! - a.x);
  /** Whether the line lies between its own ends there. */
  const isWithin = (i: number) => {
    const along = dx * (east[i]! - a.x) + dy * (north[i]! - a.y);
    return along >= 0 && along <= dx * dx + dy * dy;
  };
  const moments: number[] = [];
  for (let i = 1; i < t.length; i += 1)
    if (
      airborne[i] === 1 &&
      side(i - 1) * side(i) < 0 &&
      isWithin(i) &&
      t[i]! - (moments.at(-1) ?? -Infinity) > APART_S
    )
      moments.push(t[i]!);
  const off = Math.hypot(axes.east.placeSd[0] ?? 0, axes.north.placeSd[0] ?? 0);
  return moments.map((atS) => flightEvent('crossed-line', atS, { sure: off > 3 ? 0.6 : 0.85 }));
};
