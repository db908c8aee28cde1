import type { Roster, TodayList, TrainingSession } from '@skelby/core/pages/pages';
import type { Block } from '@skelby/core/plan/layout/block';
import { useLocalSearchParams } from 'expo-router';
import { useSessions, useToday } from '../../offline/overlay/today-queries';
import { useRoster } from '../../offline/overlay/use-roster';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { Screen } from '../../shared/ui/Screen';
import { OneBlock } from './BlockScreen';
import { GoNoGo } from './GoNoGo';
import { OwnMistakes } from './OwnMistakes';
import { SessionClash } from './SessionClash';
import { SessionOver } from './SessionOver';
import { useRun } from './use-run';

interface RunProps {
  readonly session: TrainingSession;
  readonly roster: Roster;
  readonly list: TodayList;
}

function Run({ session, roster, list }: RunProps) {
  const run = useRun(session);
  const { content } = session;
  const { state, pack, block } = run;
  if (run.clash)
    return (
      <SessionClash
        wanted={run.clash.wanted}
        problem={run.clash.problem}
        roster={roster}
        onMine={run.keepMine}
        onTheirs={run.takeTheirs}
      />
    );
  if (content.state === 'done') return <SessionOver content={content} roster={roster} />;
  if (content.goNoGo === null)
    return (
      <GoNoGo
        sessionId={session.id}
        content={content}
        roster={roster}
        site={roster.sites.find((each) => each.id === content.siteId) ?? null}
        weaknesses={list.weaknesses}
        busy={run.isBusy}
        error={run.error?.message ?? null}
        onGo={run.begin}
      />
    );
  if (!pack) return <SessionOver content={{ ...content, own: [...state.own] }} roster={roster} />;
  if (state.phase === 'own')
    return (
      <OwnMistakes
        key={state.pack}
        pack={state.pack + 1}
        pilot={roster.pilots.find((each) => each.id === pack.pilotId)?.name ?? ''}
        blocks={pack.blocks as readonly Block[]}
        onBack={run.back}
        onDone={run.endPack}
      />
    );
  if (!block) return <SessionOver content={content} roster={roster} />;
  return (
    <OneBlock
      key={`${state.pack} ${state.block}`}
      session={session}
      roster={roster}
      list={list}
      block={block}
      state={state}
      change={run.change}
      workOn={run.workOn}
      isLast={run.isLast}
      onNext={run.next}
      onBack={run.back}
    />
  );
}

/** A session in the field: go or no-go, then one drill after the other. */
export function Runner() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const sessions = useSessions();
  const roster = useRoster();
  const list = useToday();
  return (
    <Loaded query={sessions} title="Session" up="/session">
      {(all) => (
        <Loaded query={roster} title="Session" up="/session">
          {(data) => (
            <Loaded query={list} title="Session" up="/session">
              {(now) => {
                const session = all.find((each) => each.id === id);
                return session ? (
                  <Run key={id} session={session} roster={data} list={now} />
                ) : (
                  <Screen title="Session" up="/session">
                    <Note icon="help-circle" heading="Not here">
                      There is no such session: plan one.
                    </Note>
                  </Screen>
                );
              }}
            </Loaded>
          )}
        </Loaded>
      )}
    </Loaded>
  );
}
