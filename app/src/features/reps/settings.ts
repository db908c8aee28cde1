import type { MeasuredRep } from '../../shared/storage/measured-rep';
import type { Check, Clearance } from '@skelby/core/clearance/clearance';
import { modeNow } from '@skelby/core/clearance/form-now';
import { fliesAsJudged } from '@skelby/core/weakness/page';
import { bandsWanted } from '@skelby/core/clearance/coverage';
import type { Purpose } from '@skelby/core/clearance/facts';
import type { NextStep } from '@skelby/core/clearance/next-step';
import type { Side } from '@skelby/core/drills/drill';
import { drillOf, type DrillId } from '@skelby/core/drills/drills';
import type { FlightMode } from '@skelby/core/vocabulary/flying';
import type { WindBand } from '@skelby/core/vocabulary/wind-band';
import type { WeaknessPage } from '@skelby/core/pages/pages';
import type { Level } from '@skelby/core/vocabulary/training';
import { useDraft } from '../../shared/storage/use-draft';
import { todayHere } from '../../shared/copy/dates';

/** How the next rep is flown. Kept on the phone, so that a refresh between two reps changes nothing. */
export interface Settings {
  readonly drillId: DrillId;
  readonly purpose: Purpose;
  readonly side: Side | null;
  readonly band: WindBand;
  readonly flownOn: 'craft' | 'simulator';
  readonly mode: FlightMode;
  readonly pilotRelative: boolean;
  readonly pack: number;
  readonly day: string;
  /** A miss that waits for its reason: the instant of the attempt. */
  readonly missedAt: string | null;
  /** A rep met very soon after the last one, which waits for a word; absent in what an older version kept. */
  readonly soonAt?: string | null;
  /** What was measured of the attempt that comes next; absent in what an older version kept. */
  readonly measure?: number | null;
  /** What a recorded flight says of it; null or absent: none was judged. */
  readonly flightSays?: string | null;
  /** When it was flown, where a flight of another day shows it: it is practice then, since nobody announced it. */
  readonly flownThen?: MeasuredRep['flownThen'];
  /** Width of the opening in spans, and stage of the drill, where it has them. */
  readonly widthSpans?: number | null;
  /** From the pilot, m. */
  readonly distanceM?: number | null;
  readonly stage?: number | null;
  /** Easier or harder than the standard; practice only. */
  readonly level?: Level;
}

const nameOf = (weaknessId: string) => `counter.${weaknessId}`;

/** The side with the fewest test reps so far goes next. */
export function sideNext(drillId: DrillId, clearance: Pick<Clearance, 'charts'>): Side | null {
  const { sides } = drillOf(drillId);
  if (sides.length === 0) return null;
  const repsOn = (side: Side) =>
    clearance.charts.find((chart) => chart.drillId === drillId && chart.side === side)?.curve;
  const open = sides.filter((side) => (repsOn(side)?.reachedAt ?? null) === null);
  return [...(open.length > 0 ? open : sides)].sort(
    (a, b) => (repsOn(a)?.reps ?? 0) - (repsOn(b)?.reps ?? 0),
  )[0]!;
}

export interface NextUp {
  readonly drillId: DrillId;
  readonly side: Side | null;
}

/**
 * Once what is being counted is there: the next deciding drill or side that is not; null while it is not, or
 * when all are.
 */
export function nextUp(
  now: Pick<Settings, 'drillId' | 'side' | 'purpose'>,
  clearance: Pick<Clearance, 'charts' | 'check'>,
): NextUp | null {
  if (now.purpose === 'check') {
    const drills = clearance.check?.drills ?? [];
    const here = drills.filter((drill) => drill.drillId === now.drillId);
    if (here.length === 0 || here.some((drill) => !drill.passed)) return null;
    const open = drills.find((drill) => !drill.passed);
    return open ? { drillId: open.drillId, side: open.side ?? drillOf(open.drillId).sides[0] ?? null } : null;
  }
  const here = clearance.charts.find((chart) => chart.drillId === now.drillId && chart.side === now.side);
  if (now.purpose !== 'test' || !here || here.curve.reachedAt === null) return null;
  const open = clearance.charts.filter((chart) => chart.curve.reachedAt === null);
  const next = open.find((chart) => chart.drillId === now.drillId) ?? open[0];
  return next ? { drillId: next.drillId, side: next.side } : null;
}

/** A check goes round the sides of a drill that are not through, one attempt each. */
export function sideAfter(
  drillId: DrillId,
  side: Side | null,
  check: Pick<Check, 'drills'> | null = null,
): Side | null {
  const isThrough = (each: Side) =>
    check?.drills.some((drill) => drill.drillId === drillId && drill.side === each && drill.passed) ?? false;
  const all = drillOf(drillId).sides;
  const sides = all.filter((each) => each === side || !isThrough(each));
  return sides.length === 0 ? null : sides[(side === null ? 0 : sides.indexOf(side) + 1) % sides.length]!;
}

/** What a drill starts with: the pilot's own mode, the band that is still wanted, the side that is behind. */
export function forDrill(
  drillId: DrillId,
  page: WeaknessPage,
  clearance: Clearance,
  next: NextStep,
): Pick<
  Settings,
  | 'drillId'
  | 'purpose'
  | 'side'
  | 'band'
  | 'flownOn'
  | 'mode'
  | 'widthSpans'
  | 'distanceM'
  | 'stage'
  | 'level'
> {
  const drill = drillOf(drillId);
  const wanted = clearance.coverage.find(
    (cell) => cell.drillId === drillId && !cell.shown && typeof cell.what === 'object' && 'band' in cell.what,
  );
  const band =
    wanted && typeof wanted.what === 'object' && 'band' in wanted.what
      ? wanted.what.band
      : (bandsWanted(drillId, page.pilot.windLimitMps)[0] ?? 'calm');
  const decides = clearance.charts.some((chart) => chart.drillId === drillId);
  return {
    drillId,
    purpose: next.do === 'check' && decides ? 'check' : 'practice',
    side: sideNext(drillId, clearance),
    band,
    flownOn: 'craft',
    mode: modeNow(drillId, next.do === 'check' && decides ? 'check' : 'test', fliesAsJudged(page), clearance),
    widthSpans: drill.widthsSpans?.at(-1) ?? null,
    distanceM: drill.distancesM?.[0] ?? null,
    stage: drill.stages ? 1 : null,
    level: 0,
  };
}

/** @param wanted a drill asked for by its link, which goes before the one counted last */
export function useSettings(weaknessId: string, begin: () => Settings, wanted?: string) {
  const { draft: settings, change } = useDraft<Settings>({
    name: nameOf(weaknessId),
    begin,
    // Another day starts afresh, but a verdict that still waits for an answer is not dropped.
    goOn: (last) =>
      last.missedAt ||
      last.soonAt ||
      (last.day === todayHere() && (wanted === undefined || wanted === last.drillId))
        ? last
        : null,
  });
  return { settings, change };
}
