import { LocalFrame } from './local-frame';

/** A place as far as flights need to know it. */
export interface KnownPlace {
  readonly id: string;
  readonly tallestM?: number;
  readonly latitudeDeg?: number | null;
  readonly longitudeDeg?: number | null;
}

/** Further from a site than this nobody says they fly there, m. */
const THERE_M = 1_500;

/** The known place that a flight began nearest to. @returns its key and how far off it is, m; null: none is near */
export function nearestSite(
  origin: { readonly latDeg: number; readonly lonDeg: number } | null,
  sites: readonly KnownPlace[],
): { readonly id: string; readonly awayM: number } | null {
  if (!origin) return null;
  const frame = new LocalFrame(origin.latDeg, origin.lonDeg);
  const near = sites
    .flatMap(({ id, latitudeDeg, longitudeDeg }) =>
      typeof latitudeDeg === 'number' && typeof longitudeDeg === 'number'
        ? [{ id, awayM: Math.hypot(...frame.toLocal(latitudeDeg, longitudeDeg)) }]
        : [],
    )
    .sort((a, b) => a.awayM - b.awayM)[0];
  return near && near.awayM <= THERE_M ? near : null;
}
