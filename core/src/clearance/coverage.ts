import type { Side } from '../drills/drill';
import { drillOf, type DrillId } from '../drills/drills';
import { bandsUpTo, type WindBand } from '../vocabulary/wind-band';
import type { Rep } from './facts';

export interface CoverageCell {
  readonly drillId: DrillId;
  /** What must be shown: a side of the drill, a wind band, or simply the craft. */
  readonly what: { readonly side: Side } | { readonly band: WindBand } | 'craft';
  readonly shown: boolean;
}

/** Wind bands in which a pilot with this limit (m/s) must show a drill. */
export function bandsWanted(drillId: DrillId, windLimitMps: number): readonly WindBand[] {
  const flies = bandsUpTo(windLimitMps);
  const { bands } = drillOf(drillId);
  if (!bands) return flies;
  const both = bands.filter((band) => flies.includes(band));
  // A drill that only makes sense in more wind than the pilot flies in is shown in its least wind.
  return both.length > 0 ? both : bands.slice(0, 1);
}

/**
 * Rung 2, cell by cell: each key drill met in a counted test rep on the craft, on every side it
 * has and in every wind band the pilot will fly in.
 * @param tests counted test reps, on craft or simulator
 */
export function coverageOf(
  keyDrills: readonly DrillId[],
  windLimitMps: number,
  tests: readonly Rep[],
): readonly CoverageCell[] {
  return keyDrills.flatMap((drillId): CoverageCell[] => {
    const met = tests.filter((rep) => rep.drillId === drillId && rep.met && rep.flownOn === 'craft');
    const { sides } = drillOf(drillId);
    return [
      ...(sides.length === 0 ? [{ drillId, what: 'craft' as const, shown: met.length > 0 }] : []),
      ...sides.map((side) => ({ drillId, what: { side }, shown: met.some((rep) => rep.side === side) })),
      ...bandsWanted(drillId, windLimitMps).map((band) => ({
        drillId,
        what: { band },
        shown: met.some((rep) => rep.band === band),
      })),
    ];
  });
}
