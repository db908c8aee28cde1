import type { WordedDrill } from '@skelby/copy/drills';
import { sendRep, sendUndo } from '../../offline/outbox/reps';
import { useDrills } from '../../shared/api/use-drills';
import type { Clearance } from '@skelby/core/clearance/clearance';
import { whyNotCounted, type WhyNotCounted } from '@skelby/core/clearance/counts-for-test';
import type { MissReason, Purpose } from '@skelby/core/clearance/facts';
import { nextStep, type NextStep } from '@skelby/core/clearance/next-step';
import { lastFlownAt } from '@skelby/core/clearance/last-flown';
import { testsLeft } from '@skelby/core/clearance/tests-left';
import { newRep, type RepFields } from '@skelby/core/commands/record-rep';
import type { DrillCase } from '@skelby/core/drill-cases/case';
import { caseNow } from '@skelby/core/drill-cases/case-now';
import { atLevel } from '@skelby/copy/levels';
import type { Level } from '@skelby/core/vocabulary/training';
import { type DrillId } from '@skelby/core/drills/drills';
import type { RecordedRep, WeaknessPage } from '@skelby/core/pages/pages';
import { useEffect, useRef } from 'react';
import { v7 as uuid } from 'uuid';
import { useWorkedOut } from '../../offline/overlay/weakness-queries';
import { type Announced, useAnnounced } from '../../offline/ui/Announce';
import { takeMeasuredRep } from '../../shared/storage/measured-rep';
import { todayHere } from '../../shared/copy/dates';
import { purposesFor } from './HowFlown';
import { forDrill, nextUp, type NextUp, type Settings, sideAfter, useSettings } from './settings';

export interface Counting {
  readonly clearance: Clearance;
  readonly next: NextStep;
  readonly reps: readonly RecordedRep[];
  readonly drillIds: readonly DrillId[];
  readonly drill: WordedDrill<DrillId>;
  /** The task of the level that is practised, or the standard. */
  readonly asked: string;
  /** The case of the next attempt, where every attempt is one. */
  readonly drawn: DrillCase | null;
  readonly settings: Settings;
  readonly change: (part: Partial<Settings>) => void;
  readonly pickDrill: (drillId: DrillId) => void;
  /** When the last attempt that stands ended; null too where a recorded flight shows the next: that took as long as it took. */
  readonly lastAt: string | null;
  readonly record: (met: boolean, missReason: MissReason | null, flownAt: string) => void;
  readonly undo: (rep: RecordedRep, reason: string) => void;
  /** Why a test or check flown this way would not count. */
  readonly notCounted: WhyNotCounted | null;
  /** Test reps of this chart that still count today; null where that is not limited. */
  readonly testsLeftToday: number | null;
  readonly announced: Announced;
  /** Drill or side to go on with, once this one is there. */
  readonly upNext: NextUp | null;
  readonly goOn: (to: NextUp) => void;
  readonly allThere: boolean;
  /** The drill after this one, where this one is only there to prepare for it. */
  readonly afterWarmUp: WordedDrill<DrillId> | null;
}

/** The drill that is counted first: the one asked for, else one that the check or the test still wants. */
function firstDrill(
  drillIds: readonly DrillId[],
  clearance: Clearance,
  next: NextStep,
  wanted: string | undefined,
): DrillId {
  const asked = drillIds.find((id) => id === wanted);
  if (asked) return asked;
  if (next.do !== 'check') return drillIds[0]!;
  const stillToCheck = clearance.charts.find(
    (chart) => clearance.check?.drills.some((each) => each.drillId === chart.drillId && !each.passed) ?? true,
  );
  return stillToCheck?.drillId ?? drillIds[0]!;
}

/** The purpose that was chosen, where the drill still allows it. */
function allowedPurpose(settings: Settings, clearance: Clearance, next: NextStep): Purpose {
  const purposes = purposesFor(settings.drillId, clearance, next);
  return purposes.includes(settings.purpose) ? settings.purpose : purposes[0]!;
}

/** Of the attempt that comes next. */
export const NOTHING_MEASURED = { measure: null, flightSays: null, flownThen: null } as const;

/** What every counting begins with. */
const FRESH = { pilotRelative: false, pack: 1, missedAt: null, soonAt: null, ...NOTHING_MEASURED } as const;

/** Tests and checks are flown at the standard. */
export const levelOf = ({ purpose, level }: Settings): Level => (purpose === 'practice' ? (level ?? 0) : 0);

type Verdict = Pick<RecordedRep, 'met' | 'flownAt'> & { readonly missReason: MissReason | null };

/** What else belongs to a rep. */
interface Around {
  readonly drillVersion: number;
  readonly drawn: DrillCase | null;
  readonly testSetId: string | null;
}

/** The rep that was just flown, as it is sent. */
function repOf(
  page: WeaknessPage,
  flown: Settings,
  verdict: Verdict,
  { drillVersion, drawn, testSetId }: Around,
): RepFields {
  const {
    drillId,
    purpose,
    side,
    band,
    flownOn,
    mode,
    pilotRelative,
    pack,
    measure = null,
    flightSays,
  } = flown;
  const { widthSpans = null, distanceM = null, stage = null, flownThen } = flown;
  return newRep({
    ...verdict,
    weaknessId: page.weakness.id,
    drillId,
    purpose,
    side,
    band,
    flownOn,
    mode,
    pilotRelative,
    pack,
    measure,
    judgedBy: flightSays ? 'flight' : null,
    caseId: drawn?.id ?? null,
    testSetId,
    level: levelOf(flown),
    widthSpans,
    distanceM,
    stage,
    drillVersion,
    day: todayHere(),
    // Older than its weakness it says why it comes now.
    ...(flownThen ? { ...flownThen, lateReason: 'Judged from a flight file.' } : {}),
  });
}

const begun = (page: WeaknessPage, drillId: DrillId, clearance: Clearance, next: NextStep): Settings => ({
  ...forDrill(drillId, page, clearance, next),
  ...FRESH,
  day: todayHere(),
});

/** The drill that a plan goes on with after one that decides nothing. */
function nextAfter(
  drillId: DrillId,
  drillIds: readonly DrillId[],
  { charts }: Pick<Clearance, 'charts'>,
  drillOf: (id: DrillId) => WordedDrill<DrillId>,
): WordedDrill<DrillId> | null {
  if (charts.some((chart) => chart.drillId === drillId)) return null;
  const to = drillIds[drillIds.indexOf(drillId) + 1];
  return to ? drillOf(to) : null;
}

/** The check that is flown: on watch, or for the signature. */
const checkIn = ({ watch, check }: Clearance) => watch?.next ?? check;

/** A rep that a recorded flight shows comes with what was measured of it; whoever counts decides. */
function useMeasuredRep(weaknessId: string, change: (part: Partial<Settings>) => void) {
  const changing = useRef(change);
  changing.current = change;
  useEffect(() => {
    const rep = takeMeasuredRep(weaknessId);
    if (!rep) return;
    const { says: flightSays, ...others } = rep;
    changing.current({ ...others, flownOn: 'craft', flightSays });
  }, [weaknessId]);
}

/** What is counted next: nobody announced a flight of another day. */
const asFlown = (settings: Settings, clearance: Clearance, next: NextStep): Settings => ({
  ...settings,
  purpose: settings.flownThen ? 'practice' : allowedPurpose(settings, clearance, next),
});

/** Counting the reps of one weakness. @param wanted a drill asked for by its link */
export function useCounter(page: WeaknessPage, wanted: string | undefined): Counting {
  const { drillOf, versionInForce } = useDrills();
  const { clearance, facts, reps, drillIds } = useWorkedOut(page);
  const next = nextStep(clearance, todayHere());
  const { settings, change } = useSettings(
    page.weakness.id,
    () => begun(page, firstDrill(drillIds, clearance, next, wanted), clearance, next),
    wanted,
  );
  useMeasuredRep(page.weakness.id, change);
  const flown = asFlown(settings, clearance, next);
  const { drillId, purpose, side } = flown;
  const drill = drillOf(drillId);
  const left = testsLeft(page.rule, reps, { drillId, side }, todayHere());
  const announced = useAnnounced(page, { drillId, side }, purpose === 'test', left);
  const drawn = caseNow(drillId, page.weakness.id, page.pilot, reps);
  return {
    clearance,
    next,
    reps,
    drillIds,
    drill,
    asked: atLevel(drill, levelOf(flown), versionInForce(drillId) > 0).asks,
    drawn,
    settings: flown,
    change,
    pickDrill: (id) => change({ ...forDrill(id, page, clearance, next), ...NOTHING_MEASURED }),
    lastAt: settings.flightSays ? null : lastFlownAt(reps),
    record: (met, missReason, flownAt) => {
      const rep = repOf(
        page,
        flown,
        { met, missReason, flownAt },
        { drillVersion: versionInForce(drillId), drawn, testSetId: announced.here?.id ?? null },
      );
      sendRep(uuid(), rep, `rep of ${drill.name}`);
      change({
        missedAt: null,
        soonAt: null,
        ...NOTHING_MEASURED,
        day: todayHere(),
        ...(purpose === 'check' ? { side: sideAfter(drillId, side, checkIn(clearance)) } : {}),
      });
    },
    undo: (rep, reason) => sendUndo(rep.id, drillOf(rep.drillId).name, reason),
    notCounted: purpose === 'practice' ? null : whyNotCounted(flown, page.weakness.causeId, facts.pilot),
    testsLeftToday: left,
    announced,
    upNext: clearance.watch ? null : nextUp(flown, clearance),
    goOn: ({ drillId: to, side: toSide }) =>
      change({
        ...(to === drillId ? {} : { ...forDrill(to, page, clearance, next), purpose, ...NOTHING_MEASURED }),
        side: toSide,
      }),
    afterWarmUp: nextAfter(drillId, drillIds, clearance, drillOf),
    allThere: clearance.charts.every((chart) => chart.curve.reachedAt !== null),
  };
}
