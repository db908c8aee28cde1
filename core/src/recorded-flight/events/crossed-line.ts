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
  /** Between the two ends of the line, not past one of them. */
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
      (moments.length === 0 || t[i]! - t[moments.at(-1)!]! > APART_S)
    )
      moments.push(i);
  return moments.map((i) => {
    const sd = Math.hypot(axes.east.placeSd[i]!, axes.north.placeSd[i]!);
    return flightEvent('crossed-line', t[i]!, { sure: sd > 3 ? 0.6 : 0.85 });
  });
};
