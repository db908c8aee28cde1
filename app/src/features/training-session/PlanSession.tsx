import { useSentence } from '../../shared/api/use-sentence';
import type { Roster, TodayList } from '@skelby/core/pages/pages';
import { CLOCK } from '@skelby/core/schemas/session';
import { useToday } from '../../offline/overlay/today-queries';
import { useRoster } from '../../offline/overlay/use-roster';
import { Button, LinkButton } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { LaidOutSession } from './LaidOutSession';
import { SessionClash } from './SessionClash';
import { SessionForm } from './SessionForm';
import { lightProblem, type PlanningSession, usePlanSession } from './use-plan-session';

/** What is wrong with the session, and the way on. */
function PlanFoot({ planning: { draft, judged, saving } }: { readonly planning: PlanningSession }) {
  const inWords = useSentence();
  const [first, ...more] = judged.problems;
  return (
    <>
      {saving.error ? <Words as="strong" role="alert">{`! ${saving.error.message}`}</Words> : null}
      {first ? (
        <Words
          as="strong"
          role="alert"
        >{`! ${inWords(first)}${more.length > 0 ? ` And ${more.length} more.` : ''}`}</Words>
      ) : null}
      <Button
        kind="main"
        icon="play"
        label={saving.isPending ? 'Saving …' : 'To go or no-go'}
        disabled={
          saving.isPending ||
          first !== undefined ||
          !CLOCK.test(draft.startsAt) ||
          lightProblem(draft) !== undefined
        }
        onPress={saving.save}
      />
    </>
  );
}

function Plan({ roster, list }: { readonly roster: Roster; readonly list: TodayList }) {
  const planning = usePlanSession(roster, list);
  const { saving, inTraining, pilotIds, packs } = planning;
  if (saving.clash)
    return (
      <SessionClash
        wanted={saving.clash.wanted}
        problem={saving.clash.problem}
        roster={roster}
        onMine={saving.saveAs}
        onTheirs={saving.toRunner}
      />
    );
  return (
    <Screen
      title="Session"
      up="/"
      foot={packs.length > 0 ? <PlanFoot planning={planning} /> : undefined}
      aside={
        pilotIds.length === 0 ? undefined : <LaidOutSession planning={planning} list={list} roster={roster} />
      }
    >
      {inTraining.length === 0 ? (
        <Note icon="sun" heading="Nobody is in training">
          <Words>A session is laid out for pilots with an open weakness: log what happened first.</Words>
          <LinkButton kind="solid" icon="plus" label="Log a crash or near-miss" href="/log/pilot" />
        </Note>
      ) : (
        <SessionForm
          draft={planning.draft}
          change={planning.change}
          inTraining={inTraining}
          pilotIds={pilotIds}
          roster={roster}
        />
      )}
    </Screen>
  );
}

/** Today's session: who, how many packs and what wind go in; the order that gains most comes out. */
export function PlanSession() {
  const roster = useRoster();
  const today = useToday();
  return (
    <Loaded query={roster} title="Session" up="/">
      {(data) => (
        <Loaded query={today} title="Session" up="/">
          {(list) => <Plan roster={data} list={list} />}
        </Loaded>
      )}
    </Loaded>
  );
}
