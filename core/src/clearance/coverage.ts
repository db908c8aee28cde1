import type { Side } from '../drills/drill';
import { drillOf, isFlown, type DrillId } from '../drills/drills';
import { bandsUpTo, type WindBand } from '../vocabulary/wind-band';
import type { Rep } from './facts';

export interface CoverageCell {
  readonly drillId: DrillId;
  /** What must be shown: a side of the drill, a wind band, or simply that it was at the craft. */
  readonly what: { readonly side: Side } | { readonly band: WindBand } | 'craft';
  readonly shown: boolean;
}

/** Wind bands in which a pilot with this limit (m/s) must show a drill. */
export function bandsWanted(drillId: DrillId, windLimitMps: number): readonly WindBand[] {
  const drill = drillOf(drillId);
  // What is said or done on the ground is shown at the craft, whatever the wind.
  if (!isFlown(drill)) return [];
  const flies = bandsUpTo(windLimitMps);
  const { bands } = drill;
  if (!bands) return flies;
  const both = bands.filter((band) => flies.includes(band));
  // A drill that makes most sense in more wind than the pilot flies in is shown in the most there may be: nobody
  // can be asked for wind that is a no-go.
  return both.length > 0 ? both : flies.slice(-1);
}

/** How many of the last tests of a cell are looked at, and how many of them must be met. */
const LAST = 3;
const LAST_MET = 2;

/** Whether tests of one cell, oldest first, show it: one that was met, or two of the last three. */
const isShown = (tests: readonly Rep[], by: ShownBy): boolean =>
  by === 'one-hit'
    ? tests.some(({ met }) => met)
    : tests.slice(-LAST).filter(({ met }) => met).length >= LAST_MET;

/** By the first edition one hit shows a cell; by the second what was shown must still stand. */
export type ShownBy = 'one-hit' | 'still-stands';

/**
 * Rung 2, cell by cell: each key drill met in a counted test rep on the craft, on every side it
 * has and in every wind band the pilot will fly in.
 * @param tests counted test reps, on craft or simulator, oldest first
 */
export function coverageOf(
  keyDrills: readonly DrillId[],
  windLimitMps: number,
  tests: readonly Rep[],
  by: ShownBy = 'one-hit',
): readonly CoverageCell[] {
  return keyDrills.flatMap((drillId): CoverageCell[] => {
    const flown = tests.filter((rep) => rep.drillId === drillId && rep.flownOn === 'craft');
    const shownWhere = (fits: (rep: Rep) => boolean) => isShown(flown.filter(fits), by);
    const { sides } = drillOf(drillId);
    return [
      ...(sides.length === 0 ? [{ drillId, what: 'craft' as const, shown: isShown(flown, by) }] : []),
      ...sides.map((side) => ({ drillId, what: { side }, shown: shownWhere((rep) => rep.side === side) })),
      ...bandsWanted(drillId, windLimitMps).map((band) => ({
        drillId,
        what: { band },
        shown: shownWhere((rep) => rep.band === band),
      })),
    ];
  });
}
