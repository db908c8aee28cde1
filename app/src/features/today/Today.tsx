import { addDays, type Day, daysBetween } from '@skelby/core/vocabulary/day';
import { useMay } from '../../shared/api/use-may';
import { causeWords } from '@skelby/copy/causes';
import { type ReactNode, useDeferredValue } from 'react';
import type { TodayList } from '@skelby/core/pages/pages';
import { useRoster } from '../../offline/overlay/use-roster';
import { WaitingNote } from '../../offline/ui/WaitingNote';
import { ButtonRow, LinkButton } from '../../shared/ui/Button';
import { SmallLadder } from '../../shared/ui/Ladder';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { LinkRow, Rows } from '../../shared/ui/Rows';
import { Part, Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { sayDay, todayHere } from '../../shared/copy/dates';
import { grouped, plural } from '../../shared/copy/copy';
import { debriefRow } from './debrief-row';
import { inOrder, type TodayWeakness } from './in-order';
import { NotFinished } from './NotFinished';
import { useMine } from './use-mine';
import { Whose } from './Whose';
import { useSessionOfToday, useToday } from '../../offline/overlay/today-queries';

/** Of a list: with hundreds of pilots nobody reads them all, and each costs a phone time to draw. */
const AT_FIRST = 12;
/** What happened in so many days is debriefed before anything else. */
const FRESH_DAYS = 14;

function WeaknessRow({ line, under }: { readonly line: TodayWeakness; readonly under: string }) {
  return (
    <LinkRow
      href={`/weakness/${line.id}`}
      title={line.pilotName}
      under={under}
      before={<SmallLadder shares={line.rungs} />}
    />
  );
}

function Group({
  heading,
  lines,
  under,
}: {
  readonly heading: string;
  readonly lines: readonly TodayWeakness[];
  readonly under: (line: TodayWeakness) => string;
}): ReactNode {
  if (lines.length === 0) return null;
  return (
    <Part heading={heading}>
      <Rows atFirst={AT_FIRST}>
        {lines.map((line) => (
          <WeaknessRow key={line.id} line={line} under={under(line)} />
        ))}
      </Rows>
    </Part>
  );
}

/** The newest; where there are more than were sent, the rest has a screen of its own. */
function ToDebrief({
  heading,
  occurrences,
  left,
}: {
  readonly heading: string;
  readonly occurrences: TodayList['toDebrief'];
  /** So many more there are. */
  readonly left: number;
}) {
  if (occurrences.length === 0) return null;
  return (
    <Part heading={heading}>
      <Rows {...(left > 0 ? {} : { atFirst: AT_FIRST })}>
        {(left > 0 ? occurrences.slice(0, AT_FIRST) : occurrences).map(debriefRow)}
      </Rows>
      {left > 0 ? (
        <LinkButton
          kind="quiet"
          label={`All that is to be debriefed: ${grouped(left)} more`}
          href="/to-debrief"
        />
      ) : null}
    </Part>
  );
}

const cause = (line: TodayWeakness) => causeWords(line.causeId).name;

const WEEK_DAYS = 7;
/** How late a check is, once that is a week and more. */
function lateWords(from: Day): string {
  const weeks = Math.floor(daysBetween(from, todayHere()) / WEEK_DAYS);
  return weeks < 1 ? '' : `, ${plural(weeks, 'week')} late`;
}

interface DueNowProps {
  readonly list: Pick<TodayList, 'toDebrief' | 'weaknesses'>;
  /** So many more there are to debrief. */
  readonly left: number;
}

/** What somebody is to do now, the most pressing first. */
function DueNow({ list, left }: DueNowProps) {
  const { checks, toSign } = inOrder(list.weaknesses, todayHere());
  // What was brought in from another time never buries what is due.
  const since = addDays(todayHere(), -FRESH_DAYS);
  const fresh = list.toDebrief.filter(({ day }) => day >= since);
  const older = list.toDebrief.filter(({ day }) => day < since);
  return (
    <>
      <ToDebrief heading="To debrief" occurrences={fresh} left={older.length === 0 ? left : 0} />
      <Group
        heading="To sign"
        lines={toSign}
        under={(line) => `${cause(line)}. Check passed; your signature clears it.`}
      />
      <Group
        heading="Check due"
        lines={checks}
        under={(line) => `${cause(line)}. Due ${sayDay(line.checkFrom!)}${lateWords(line.checkFrom!)}.`}
      />
      <ToDebrief heading="To debrief, older" occurrences={older} left={left} />
      {older.length > 0 && left === 0 ? (
        <LinkButton kind="quiet" label="Settle what is history" href="/to-debrief" />
      ) : null}
    </>
  );
}

/** Where nothing is due: and in a school without pilots, how to begin. */
function NothingToDo({ isAll }: { readonly isAll: boolean }) {
  const mayKeep = useMay('keep-records');
  if (useRoster().data?.pilots.length !== 0)
    return (
      <Note
        icon="sun"
        heading={isAll ? 'Nobody needs anything now' : 'None of your pilots needs anything now'}
      >
        When something happens, log it below: six taps, and the drills follow.
      </Note>
    );
  return (
    <Note icon="sunrise" heading="A school begins with a pilot">
      <Words>Add one, and log what happens from the button below. Or look around first.</Words>
      <ButtonRow>
        {mayKeep ? (
          <LinkButton kind="solid" icon="plus" label="Add the first pilot" href="/pilots/new/edit" />
        ) : null}
        <LinkButton icon="box" label="Try the sandbox" href="/help" />
      </ButtonRow>
    </Note>
  );
}

function TodayOf({ list: all }: { readonly list: TodayList }) {
  const { hasChoice, shown, choose, isShown } = useMine();
  const list = { toDebrief: all.toDebrief.filter(isShown), weaknesses: all.weaknesses.filter(isShown) };
  const running = useSessionOfToday();
  // What is to be done now is drawn first; the longer list below follows at once.
  const drawsRest = useDeferredValue(true, false);
  const { drilling, waiting } = inOrder(list.weaknesses, todayHere());
  const nothing = list.toDebrief.length + list.weaknesses.length === 0;
  const isAll =
    list.toDebrief.length === all.toDebrief.length && list.weaknesses.length === all.weaknesses.length;
  const mayTrain = useMay('train');
  const restricted = (line: TodayWeakness) => `${cause(line)}. ${causeWords(line.causeId).restriction}.`;
  return (
    <Screen
      title="Today"
      end={
        mayTrain && all.weaknesses.length > 0 ? (
          <LinkButton icon="list" label="Plan a session" href="/session" />
        ) : undefined
      }
      foot={
        mayTrain ? (
          <LinkButton kind="main" icon="plus" label="Log a crash or near-miss" href="/log/pilot" />
        ) : undefined
      }
      aside={
        nothing || !drawsRest ? null : (
          <>
            <Group heading="Drilling" lines={drilling} under={restricted} />
            <Group
              heading="Waiting for the check"
              lines={waiting}
              under={(line) =>
                line.limited
                  ? `${cause(line)}. Limited again: second check from ${sayDay(line.checkFrom!)}.`
                  : `${cause(line)}. Check ${sayDay(line.checkFrom!)}; no practice until then.`
              }
            />
          </>
        )
      }
    >
      <WaitingNote />
      {hasChoice ? <Whose shown={shown} choose={choose} /> : null}
      {running ? (
        <LinkButton
          kind="solid"
          icon="play"
          label={running.content.state === 'running' ? 'Go on with the session' : "Today's session"}
          href={`/session/${running.id}`}
        />
      ) : null}
      {nothing ? <NothingToDo isAll={isAll} /> : null}
      <NotFinished />
      <DueNow list={list} left={all.toDebriefLeft?.[shown] ?? 0} />
    </Screen>
  );
}

/** Beside one of its weaknesses or entries, where there is room. */
export function TodayBeside() {
  const { data } = useToday();
  const { isShown } = useMine();
  if (!data) return null;
  const { checks, toSign, drilling, waiting } = inOrder(data.weaknesses.filter(isShown), todayHere());
  return (
    <>
      <ToDebrief heading="To debrief" occurrences={data.toDebrief.filter(isShown)} left={0} />
      <Group heading="To sign" lines={toSign} under={cause} />
      <Group heading="Check due" lines={checks} under={cause} />
      <Group heading="Drilling" lines={drilling} under={cause} />
      <Group heading="Waiting for the check" lines={waiting} under={cause} />
    </>
  );
}

export function Today() {
  const query = useToday();
  return (
    <Loaded query={query} title="Today">
      {(list) => <TodayOf list={list} />}
    </Loaded>
  );
}
