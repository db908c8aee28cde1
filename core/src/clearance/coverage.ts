import type { Side } from '../drills/drill';
import { drillOf, isFlown, type DrillId } from '../drills/drills';
import { bandsUpTo, type WindBand } from '../vocabulary/wind-band';
import { LAST_LOOKED_AT, type ShownRep } from './shown-tests';

export interface CoverageCell {
  readonly drillId: DrillId;
  /**
   * What must be shown: a side of the drill, a wind band, simply that it was at the craft, or that it is met as it is
   * usually flown where another form decides.
   */
  readonly what: { readonly side: Side } | { readonly band: WindBand } | 'craft' | 'as-flown';
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

/** How many of the last tests of a cell must be met. */
const LAST_MET = 2;

/** Whether tests of one cell, oldest first, show it: one that was met, or two of the last three. */
const isShown = (tests: readonly ShownRep[], by: ShownBy): boolean =>
  by === 'one-hit'
    ? tests.some(({ met }) => met)
    : tests.slice(-LAST_LOOKED_AT).filter(({ met }) => met).length >= LAST_MET;

/** By the first edition one hit shows a cell; by the second what was shown must still stand. */
export type ShownBy = 'one-hit' | 'still-stands';

/** Tests, on craft or simulator, oldest first. */
interface Shown {
  /** Those that move a chart. */
  readonly counted: readonly ShownRep[];
  /** Those in the mode that is usually flown; null or absent where no other form decides. */
  readonly asFlown?: readonly ShownRep[] | null;
}

/**
 * Rung 2, cell by cell: each key drill met in a counted test rep on the craft, on every side it
 * has and in every wind band the pilot will fly in.
 */
export function coverageOf(
  keyDrills: readonly DrillId[],
  windLimitMps: number,
  { counted, asFlown = null }: Shown,
  by: ShownBy = 'one-hit',
): readonly CoverageCell[] {
  return keyDrills.flatMap((drillId): CoverageCell[] => {
    const flown = counted.filter((rep) => rep.drillId === drillId && rep.flownOn === 'craft');
    const shownWhere = (fits: (rep: ShownRep) => boolean) => isShown(flown.filter(fits), by);
    const { sides, handsForm } = drillOf(drillId);
    const usual = asFlown?.filter((rep) => rep.drillId === drillId && rep.flownOn === 'craft');
    return [
      ...(sides.length === 0 ? [{ drillId, what: 'craft' as const, shown: isShown(flown, by) }] : []),
      ...sides.map((side) => ({ drillId, what: { side }, shown: shownWhere((rep) => rep.side === side) })),
      ...bandsWanted(drillId, windLimitMps).map((band) => ({
        drillId,
        what: { band },
        shown: shownWhere((rep) => rep.band === band),
      })),
      ...(usual && handsForm ? [{ drillId, what: 'as-flown' as const, shown: isShown(usual, by) }] : []),
    ];
  });
}
