import { LocalFrame } from '../local-frame';
import { isInGap, type SmoothFlight } from '../smoothing/smooth-flight';

/** One moment on the earth. */
export interface EarthPoint {
  readonly latDeg: number;
  readonly lonDeg: number;
  /** From where it began, m; null: not recorded. */
  readonly upM: number | null;
  readonly t: number;
  /** ISO 8601; null: nobody knows when. */
  readonly at: string | null;
  /** Nothing was recorded from the point before to this one. */
  readonly afterGap: boolean;
}

/** So many a second: enough for a map, and no more than most recorders wrote. */
const OUT_HZ = 10;

/** A smoothed flight on the earth, thinned out; null where its places are not on it. */
export function onEarth(flight: SmoothFlight): readonly EarthPoint[] | null {
  const { recording, axes, t, hz } = flight;
  if (recording.origin === null) return null;
  const frame = new LocalFrame(recording.origin.latDeg, recording.origin.lonDeg);
  const points: EarthPoint[] = [];
  let afterGap = false;
  for (let i = 0; i < t.length; i += Math.round(hz / OUT_HZ)) {
    if (isInGap(flight, t[i]!)) {
      afterGap = true;
      continue;
    }
    const [latDeg, lonDeg] = frame.toEarth(axes.east.place[i]!, axes.north.place[i]!);
    points.push({
      ...{ latDeg, lonDeg, afterGap },
      upM: axes.up?.place[i] ?? null,
      t: t[i]!,
      at:
        recording.startedAt === null
          ? null
          : new Date(Math.round((recording.startedAt + t[i]!) * 1000)).toISOString(),
    });
    afterGap = false;
  }
  return points;
}
