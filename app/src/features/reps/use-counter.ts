import type { DrillBook } from '@skelby/core/drills/drill-book';
import { useDrills } from '../../shared/api/use-drills';
import type { Clearance } from '@skelby/core/clearance/clearance';
import { whyNotCounted, type WhyNotCounted } from '@skelby/core/clearance/counts-for-test';
import type { MissReason, Purpose } from '@skelby/core/clearance/facts';
import { nextStep, type NextStep } from '@skelby/core/clearance/next-step';
import { recordRep, takeRepBack } from '@skelby/core/commands/handles';
import { newRep } from '@skelby/core/commands/record-rep';
import type { Drill } from '@skelby/core/drills/drill';
import { type DrillId } from '@skelby/core/drills/drills';
import type { RecordedRep, WeaknessPage } from '@skelby/core/pages/pages';
import { v7 as uuid } from 'uuid';
import { entryOf } from '../../offline/outbox/commands';
import { outbox } from '../../offline/outbox/use-outbox';
import { useWorkedOut } from '../../offline/overlay/weakness-queries';
import { todayHere } from '../../shared/copy/dates';
import { purposesFor } from './HowFlown';
import { forDrill, nextUp, type NextUp, type Settings, sideAfter, useSettings } from './settings';

export interface Counting {
  readonly clearance: Clearance;
  readonly next: NextStep;
  readonly reps: readonly RecordedRep[];
  readonly drillIds: readonly DrillId[];
  readonly drill: Drill<DrillId>;
  readonly settings: Settings;
  readonly change: (part: Partial<Settings>) => void;
  readonly pickDrill: (drillId: DrillId) => void;
  readonly record: (met: boolean, missReason: MissReason | null, flownAt: string) => void;
  readonly undo: (rep: RecordedRep, reason: string) => void;
  /** Why a test or check flown this way would not count. */
  readonly notCounted: WhyNotCounted | null;
  /** Drill or side to go on with, once this one is there. */
  readonly upNext: NextUp | null;
  readonly goOn: (to: NextUp) => void;
  readonly allThere: boolean;
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
    (chart) => !clearance.check?.drills.find((each) => each.drillId === chart.drillId)?.passed,
  );
  return stillToCheck?.drillId ?? drillIds[0]!;
}

/** The purpose that was chosen, where the drill still allows it. */
function allowedPurpose(settings: Settings, clearance: Clearance, next: NextStep): Purpose {
  const purposes = purposesFor(settings.drillId, clearance, next);
  return purposes.includes(settings.purpose) ? settings.purpose : purposes[0]!;
}

function sendRep(
  page: WeaknessPage,
  flown: Settings,
  rep: Pick<RecordedRep, 'met' | 'flownAt'> & { readonly missReason: MissReason | null },
  { drillOf, versionInForce }: DrillBook,
): void {
  const { drillId, purpose, side, band, flownOn, mode, pilotRelative, pack, measure = null } = flown;
  const body = newRep({
    ...rep,
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
    drillVersion: versionInForce(drillId),
    day: todayHere(),
  });
  void outbox.add(entryOf(recordRep, { id: uuid() }, body, `rep of ${drillOf(drillId).name}`));
}

const sendUndo = (rep: RecordedRep, reason: string, { drillOf }: DrillBook): void =>
  void outbox.add(
    entryOf(takeRepBack, { id: rep.id }, { reason }, `undo of a rep of ${drillOf(rep.drillId).name}`),
  );

/** Counting the reps of one weakness. @param wanted a drill asked for by its link */
export function useCounter(page: WeaknessPage, wanted: string | undefined): Counting {
  const book = useDrills();
  const { clearance, reps, drillIds } = useWorkedOut(page);
  const next = nextStep(clearance, todayHere());
  const begin = (): Settings => ({
    ...forDrill(firstDrill(drillIds, clearance, next, wanted), page, clearance, next),
    pilotRelative: false,
    pack: 1,
    day: todayHere(),
    missedAt: null,
    measure: null,
  });
  const { settings, change } = useSettings(page.weakness.id, begin, wanted);
  const flown = { ...settings, purpose: allowedPurpose(settings, clearance, next) };
  const { drillId, purpose, side } = flown;
  return {
    clearance,
    next,
    reps,
    drillIds,
    drill: book.drillOf(drillId),
    settings: flown,
    change,
    pickDrill: (id) => change({ ...forDrill(id, page, clearance, next), measure: null }),
    record: (met, missReason, flownAt) => {
      sendRep(page, flown, { met, missReason, flownAt }, book);
      change({
        missedAt: null,
        measure: null,
        day: todayHere(),
        ...(purpose === 'check' ? { side: sideAfter(drillId, side) } : {}),
      });
    },
    undo: (rep, reason) => sendUndo(rep, reason, book),
    notCounted: purpose === 'practice' ? null : whyNotCounted(flown, page.weakness.causeId, page.pilot.mode),
    upNext: clearance.watch ? null : nextUp(flown, clearance),
    goOn: (to) =>
      change(
        to.drillId === drillId
          ? { side: to.side }
          : {
              ...forDrill(to.drillId, page, clearance, next),
              purpose,
              side: to.side,
              measure: null,
            },
      ),
    allThere: clearance.charts.every((chart) => chart.curve.reachedAt !== null),
  };
}
