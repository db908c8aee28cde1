import { sendRep, sendUndo } from '../../offline/outbox/reps';
import { newestFirst } from '@skelby/core/vocabulary/flown-order';
import { whyNotCounted, type WhyNotCounted } from '@skelby/core/clearance/counts-for-test';
import { modeNow } from '@skelby/core/clearance/form-now';
import { drillOf, isFlown } from '@skelby/core/drills/drills';
import { clearanceOfPage, fliesAsJudged } from '@skelby/core/weakness/page';
import type { MissReason } from '@skelby/core/clearance/facts';
import { lastFlownAt } from '@skelby/core/clearance/last-flown';
import { testsLeft } from '@skelby/core/clearance/tests-left';
import { caseNow } from '@skelby/core/drill-cases/case-now';
import type { Drill } from '@skelby/core/drills/drill';
import { atLevel } from '@skelby/copy/levels';
import { widthAt } from '@skelby/core/drills/levels';
import type { Level } from '@skelby/core/vocabulary/training';
import { restricts } from '@skelby/core/clearance/open-states';
import { newRep } from '@skelby/core/commands/record-rep';
import type { RecordedRep, Roster, TodayList, TrainingSession, WeaknessPage } from '@skelby/core/pages/pages';
import type { Block } from '@skelby/core/plan/layout/block';
import { windBandOf } from '@skelby/core/vocabulary/wind-band';
import { useRouter } from 'expo-router';
import { v7 as uuid } from 'uuid';
import { useDrills } from '../../shared/api/use-drills';
import { PURPOSE_WORDS, SIDE_WORDS } from '../../shared/copy/copy';
import { todayHere } from '../../shared/copy/dates';
import { useAnnounced } from '../../offline/ui/Announce';
import { beginLog, forPilot } from '../../shared/forms/log-draft';
import type { RunState } from './run-state';

export interface BlockProps {
  readonly session: TrainingSession;
  readonly roster: Roster;
  readonly list: TodayList;
  readonly block: Block;
  readonly page: WeaknessPage;
  readonly state: RunState;
  readonly change: (part: Partial<RunState>) => void;
  readonly onNext: () => void;
  /** To the block before; null where there is none in the pack. */
  readonly onBack: (() => void) | null;
  readonly isLast: boolean;
  readonly workOn: string | null;
}

/** With hold on it moves no chart, and fills a cell of the coverage all the same. */
const showsSomething = (why: WhyNotCounted | null): boolean => why === null || why === 'with-hold';

/** Reps of this very block that stand, the newest first. */
const repsOfBlock = ({ page, session, block, state }: BlockProps): readonly RecordedRep[] =>
  page.reps
    .filter(
      (rep) =>
        rep.sessionId === session.id &&
        rep.drillId === block.drillId &&
        rep.purpose === block.purpose &&
        rep.pack === state.pack + 1 &&
        !rep.takenBack,
    )
    .sort(newestFirst);

/** What is known of a crash or near-miss in this block before anybody is asked. */
function occurrenceIn({ session, roster, block }: BlockProps, drillName: string, nth: number) {
  const pilot = roster.pilots.find((each) => each.id === block.pilotId);
  const side = block.side ? `, ${SIDE_WORDS[block.side].toLowerCase()}` : '';
  return {
    ...(pilot ? forPilot(pilot) : {}),
    pilotId: block.pilotId,
    windMps: session.content.windMps,
    siteId: session.content.siteId,
    note: `In ${drillName}${side}, ${PURPOSE_WORDS[block.purpose].toLowerCase()} rep ${nth}.`,
  };
}

/** The mode in which a block is flown, and whether its reps show anything. */
function howItCounts({ page, block: { drillId, side, purpose } }: BlockProps) {
  const { causeId } = page.weakness;
  const flies = fliesAsJudged(page);
  const mode = modeNow(drillId, purpose, flies, clearanceOfPage(page));
  const why = whyNotCounted({ drillId, mode, pilotRelative: false, side }, causeId, flies);
  return {
    mode,
    /** Where it is not the pilot's usual one, and there is something to fly. */
    otherMode: isFlown(drillOf(drillId)) && mode !== flies.mode ? mode : null,
    counts: purpose === 'practice' || showsSomething(why),
  };
}

/** Width and distance of a block: as its level asks for them, or as the trainer set the distance. */
const setUpOf = (drill: Drill, level: Level, distanceM: number | null) => ({
  widthSpans: widthAt(drill, level),
  distanceM: distanceM ?? drill.distancesM?.[0] ?? null,
});

/** One block of a session being flown: its reps, and what can be done to them. */
export function useBlock(props: BlockProps) {
  const { session, list, block, page, state, change } = props;
  const router = useRouter();
  const { drillOf, versionInForce } = useDrills();
  const drill = drillOf(block.drillId);
  const how = howItCounts(props);
  const flown = repsOfBlock(props);
  const left = testsLeft(page.rule, page.reps, block, todayHere());
  const announced = useAnnounced(page, block, block.purpose === 'test', left);
  const drawn = caseNow(drill.id, page.weakness.id, page.pilot, page.reps);
  const setUp = setUpOf(drill, block.level, state.distanceM);
  const record = (met: boolean, missReason: MissReason | null, flownAt: string) => {
    const rep = newRep({
      weaknessId: page.weakness.id,
      drillId: drill.id,
      purpose: block.purpose,
      met,
      missReason,
      side: block.side,
      band: windBandOf(session.content.windMps),
      flownOn: 'craft',
      mode: how.mode,
      pilotRelative: false,
      pack: state.pack + 1,
      level: block.level,
      measure: state.measure,
      caseId: drawn?.id ?? null,
      testSetId: announced.here?.id ?? null,
      ...setUp,
      sessionId: session.id,
      craftId: props.roster.pilots.find(({ id }) => id === block.pilotId)?.lastCraftId ?? null,
      drillVersion: versionInForce(drill.id),
      day: todayHere(),
      flownAt,
    });
    sendRep(uuid(), rep, `rep of ${drill.name}`);
    change({ missedAt: null, soonAt: null, measure: null });
  };
  return {
    drill,
    ...how,
    /** The task of this block's level, and what that level is called. */
    asked: atLevel(drill, block.level, versionInForce(drill.id) > 0),
    setUp,
    announced,
    left,
    drawn,
    flown,
    last: flown[0],
    lastAt: lastFlownAt(page.reps),
    met: flown.filter((rep) => rep.met).length,
    isEnough: flown.length >= block.reps,
    open: list.weaknesses.filter((line) => line.pilotId === block.pilotId && restricts(line)),
    record,
    undo: (rep: RecordedRep) => sendUndo(rep.id, drill.name, 'Undone in the session'),
    logOccurrence: () => {
      beginLog(occurrenceIn(props, drill.name, flown.length + 1));
      router.push('/log/kind');
    },
  };
}

export type FlyingBlock = ReturnType<typeof useBlock>;
