import { useDrills } from '../../shared/api/use-drills';
import { recordRep, takeRepBack } from '@skelby/core/commands/handles';
import { newRep } from '@skelby/core/commands/record-rep';
import { entryOf } from '../../offline/outbox/commands';
import { modesFor, whyNotCounted } from '@skelby/core/clearance/counts-for-test';
import type { MissReason } from '@skelby/core/clearance/facts';
import { RECORDED_VALUES } from '@skelby/core/assessment/recorded-value';
import { windBandOf } from '@skelby/core/vocabulary/wind-band';
import type { Block } from '@skelby/core/plan/layout/block';
import { reserveOf } from '@skelby/core/restrictions/restrictions';
import type { SessionFields } from '@skelby/core/schemas/session';
import { useQueryClient } from '@tanstack/react-query';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { ApiProblem } from '../../shared/api/client';
import type { Roster, TodayList, TrainingSession, WeaknessPage } from '@skelby/core/pages/pages';
import { useUnits } from '../../shared/api/use-units';
import { StickPlate } from '../../shared/drawing';
import { beginLog, forPilot } from '../../shared/forms/log-draft';
import { useRoster } from '../../offline/overlay/use-roster';
import { outbox } from '../../offline/outbox/use-outbox';
import { WaitingNote } from '../../offline/ui/WaitingNote';
import { Verdicts, WhyMissed } from '../../shared/ui/Verdicts';
import { useSessions, useToday } from '../../offline/overlay/today-queries';
import { Button, ButtonRow, LinkButton } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { Row, Rows } from '../../shared/ui/Rows';
import { Part, Screen } from '../../shared/ui/Screen';
import { SimulatorLink } from '../../shared/ui/SimulatorLink';
import { ValueEntry } from '../../shared/forms/ValueEntry';
import { Words } from '../../shared/ui/Words';
import { useWeakness } from '../../offline/overlay/weakness-queries';
import { todayHere } from '../../shared/copy/dates';
import { PURPOSE_WORDS, SIDE_WORDS } from '../../shared/copy/copy';
import { valuesLine, valuesOf, valueWords } from '../../shared/copy/value-copy';
import { useSaveSession } from '../../offline/overlay/session-queries';
import { SessionClash } from './SessionClash';
import { GoNoGo, USUAL_RESERVE_PERCENT } from './GoNoGo';
import { OwnMistakes } from './OwnMistakes';
import { type RunState, useRunState } from './run-state';
import { Metronome, PackTimer, RepTimer } from './Timers';
import { useWakeLock } from './use-wake-lock';

const LEVEL_WORDS: Readonly<Record<number, string>> = {
  [-2]: 'two steps easier than the standard',
  [-1]: 'a step easier than the standard',
  0: 'at the standard',
  1: 'a step harder than the standard',
};

interface RunProps {
  readonly session: TrainingSession;
  readonly roster: Roster;
  readonly list: TodayList;
}

interface BlockProps extends RunProps {
  readonly block: Block;
  readonly page: WeaknessPage;
  readonly state: RunState;
  readonly change: (part: Partial<RunState>) => void;
  readonly onNext: () => void;
  readonly isLast: boolean;
  readonly workOn: string | null;
}

/** Three buttons in one row of a phone, room for the thumb above them. */
const NARROW = { paddingHorizontal: 10 };

/** One drill on the screen: the standard, the plate, met or missed. */
function BlockScreen({
  session,
  roster,
  list,
  block,
  page,
  state,
  change,
  onNext,
  isLast,
  workOn,
}: BlockProps) {
  const { drillOf, versionInForce } = useDrills();
  const router = useRouter();
  const { sentence, units } = useUnits();
  const awake = useWakeLock();
  const { content } = session;
  const drill = drillOf(block.drillId);
  const pilot = roster.pilots.find((each) => each.id === block.pilotId);
  const mode = modesFor(drill.assistance, page.pilot.mode)[0]!;
  const flown = page.reps.filter(
    (rep) =>
      rep.sessionId === session.id &&
      rep.drillId === block.drillId &&
      rep.purpose === block.purpose &&
      rep.pack === state.pack + 1 &&
      !rep.takenBack,
  );
  const met = flown.filter((rep) => rep.met).length;
  const newestFirst = [...flown].sort((a, b) => b.flownAt.localeCompare(a.flownAt));
  const last = newestFirst[0];
  const valuesSaid = valuesLine(drill.id, valuesOf(newestFirst), units);
  const enough = flown.length >= block.reps;
  const notCounted =
    block.purpose === 'practice'
      ? null
      : whyNotCounted(
          { drillId: drill.id, mode, pilotRelative: false, side: block.side },
          block.causeId,
          page.pilot.mode,
        );
  const open = list.weaknesses.filter((line) => line.pilotId === block.pilotId && line.state !== 'watch');

  const record = (isMet: boolean, missReason: MissReason | null, flownAt: string) => {
    const rep = newRep({
      weaknessId: page.weakness.id,
      drillId: drill.id,
      purpose: block.purpose,
      met: isMet,
      missReason,
      side: block.side,
      band: windBandOf(content.windMps),
      flownOn: 'craft',
      mode,
      pilotRelative: false,
      pack: state.pack + 1,
      level: block.level,
      measure: state.measure,
      sessionId: session.id,
      drillVersion: versionInForce(drill.id),
      day: todayHere(),
      flownAt,
    });
    void outbox.add(entryOf(recordRep, { id: uuid() }, rep, `rep of ${drill.name}`));
    change({ missedAt: null, measure: null });
  };
  const undo = () => {
    if (last)
      void outbox.add(
        entryOf(
          takeRepBack,
          { id: last.id },
          { reason: 'Undone in the session' },
          `undo of a rep of ${drill.name}`,
        ),
      );
  };
  const happened = () => {
    const side = block.side ? `, ${SIDE_WORDS[block.side].toLowerCase()}` : '';
    beginLog({
      ...(pilot ? forPilot(pilot) : {}),
      pilotId: block.pilotId,
      windMps: content.windMps,
      siteId: content.siteId,
      note: `In ${drill.name}${side}, ${PURPOSE_WORDS[block.purpose].toLowerCase()} rep ${flown.length + 1}.`,
    });
    router.push('/log/kind');
  };

  return (
    <Screen
      title={drill.name}
      under={`${page.pilot.name} · pack ${state.pack + 1} of ${content.packs.length}`}
      up="/session"
      foot={
        state.missedAt ? (
          <WhyMissed
            onReason={(reason) => record(false, reason, state.missedAt!)}
            onCancel={() => change({ missedAt: null })}
          />
        ) : (
          <>
            <ButtonRow>
              <Button kind="main" style={NARROW} label="Crash or near-miss" onPress={happened} />
              {last ? (
                <Button
                  style={NARROW}
                  label="Undo"
                  says={`Undo last: ${[last.met ? 'met' : 'missed', valueWords(last.drillId, last.measure, units)].filter(Boolean).join(', ')}`}
                  onPress={undo}
                />
              ) : null}
              <Button
                kind={enough ? 'solid' : 'plain'}
                style={NARROW}
                label={isLast ? 'End' : 'Next'}
                onPress={onNext}
              />
            </ButtonRow>
            <Verdicts
              onMet={() => record(true, null, new Date().toISOString())}
              onMissed={() => change({ missedAt: new Date().toISOString() })}
            />
          </>
        )
      }
    >
      <WaitingNote brief />
      {workOn ? (
        <Note icon="eye" heading="Working on">
          {workOn}
        </Note>
      ) : null}
      <View style={{ flexDirection: 'row', gap: 16, alignItems: 'center' }}>
        <View style={{ flex: 1, gap: 4 }}>
          <Words as="heading">{sentence(drill.byEye)}</Words>
          <Words as="strong">
            {[
              `${PURPOSE_WORDS[block.purpose]}, ${LEVEL_WORDS[block.level]}`,
              block.side ? SIDE_WORDS[block.side] : null,
            ]
              .filter(Boolean)
              .join(' · ')}
          </Words>
        </View>
        {drill.sticks.length > 0 ? (
          <StickPlate layout={page.pilot.stickLayout} moves={drill.sticks} width={54} names={false} />
        ) : null}
      </View>
      <Words as="figure" role="status">{`${flown.length} of ${block.reps} · ${met} met`}</Words>
      {valuesSaid ? <Words as="soft">{valuesSaid}</Words> : null}
      {enough ? <Words as="soft">That is the block: rest the hands, then on.</Words> : null}
      {notCounted ? (
        <Note icon="alert-triangle">
          Recorded, but it will not count: this mode is not the one the pilot has to show it in.
        </Note>
      ) : null}
      {drill.caution ? <Words as="soft">{`Caution: ${drill.caution}`}</Words> : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10, alignItems: 'center' }}>
        <PackTimer
          startedAt={state.packStartedAt}
          minutes={content.packMinutes}
          reservePercent={reserveOf(open, USUAL_RESERVE_PERCENT)}
          onStart={() => change({ packStartedAt: Date.now() })}
        />
        <RepTimer
          onTime={(seconds) => {
            if (RECORDED_VALUES[drill.id]?.unit === 's') change({ measure: seconds });
          }}
        />
        <Metronome />
      </View>
      <ValueEntry drillId={drill.id} value={state.measure} onChange={(value) => change({ measure: value })} />
      {awake ? null : <Words as="soft">This phone may go dark: keep its screen on in its settings.</Words>}
      <LinkButton
        kind="quiet"
        icon="play-circle"
        label="See it flown"
        href={`/drills/${drill.id}?pilot=${block.pilotId}`}
      />
      {block.purpose === 'check' ? null : (
        <SimulatorLink
          drill={drill}
          label="Fly it on the simulator"
          with={{
            pilot: block.pilotId,
            weakness: page.weakness.id,
            purpose: block.purpose,
            side: block.side,
            session: session.id,
          }}
        />
      )}
    </Screen>
  );
}

function OneBlock(props: Omit<BlockProps, 'page'>) {
  const { drillOf } = useDrills();
  const query = useWeakness(props.block.weaknessId);
  return (
    <Loaded query={query} title={drillOf(props.block.drillId).name} up="/session">
      {(page) => <BlockScreen {...props} page={page} />}
    </Loaded>
  );
}

function Over({ content, roster }: { readonly content: SessionFields; readonly roster: Roster }) {
  const nameOf = (id: string) => roster.pilots.find((pilot) => pilot.id === id)?.name ?? '';
  return (
    <Screen
      title="Session over"
      under={content.day}
      up="/"
      foot={<LinkButton kind="solid" label="To Today" href="/" />}
    >
      {content.own.length > 0 ? (
        <Part heading="What the pilots saw">
          <Rows>
            {content.own.map((each, i) => (
              <Row
                key={i}
                title={`${nameOf(each.pilotId)}, pack ${each.pack}`}
                under={[
                  each.mistakes.join('; ') || 'Nothing noted.',
                  each.next ? `Next: ${each.next}.` : null,
                ]
                  .filter(Boolean)
                  .join(' ')}
              />
            ))}
          </Rows>
        </Part>
      ) : null}
      {content.goNoGo?.reason ? (
        <Note icon="alert-triangle" heading="Flown against a no-go">
          {content.goNoGo.reason}
        </Note>
      ) : null}
      <Words>Packs out, motors cold. What was flown stands with each weakness.</Words>
    </Screen>
  );
}

function Run({ session, roster, list }: RunProps) {
  const save = useSaveSession();
  const client = useQueryClient();
  const { content } = session;
  const { state, change } = useRunState(session.id);
  const put = (part: Partial<SessionFields>) =>
    save
      .mutateAsync({ id: session.id, content: { ...content, ...part }, basedOn: session.revision ?? null })
      .then(
        () => undefined,
        () => undefined,
      );
  const site = roster.sites.find((each) => each.id === content.siteId) ?? null;
  if (save.variables && save.error instanceof ApiProblem && save.error.clash.theirs)
    return (
      <SessionClash
        wanted={save.variables}
        problem={save.error}
        roster={roster}
        onMine={(again) => save.mutate(again)}
        onTheirs={() => {
          save.reset();
          void client.invalidateQueries({ queryKey: ['sessions'] });
        }}
      />
    );
  if (content.state === 'done') return <Over content={content} roster={roster} />;
  if (content.goNoGo === null)
    return (
      <GoNoGo
        content={content}
        pilots={roster.pilots}
        site={site}
        weaknesses={list.weaknesses}
        busy={save.isPending}
        error={save.error?.message ?? null}
        onGo={(goNoGo) => void put({ goNoGo, state: 'running' })}
      />
    );
  const pack = content.packs[state.pack];
  const own = [...state.own];
  if (!pack) return <Over content={{ ...content, own }} roster={roster} />;
  const lastPack = state.pack === content.packs.length - 1;
  if (state.phase === 'own') {
    const done = (mistakes: readonly string[], next: string) => {
      const all = [...own, { pilotId: pack.pilotId, pack: state.pack + 1, mistakes: [...mistakes], next }];
      change({ phase: 'fly', pack: state.pack + 1, block: 0, packStartedAt: null, measure: null, own: all });
      void put({ own: all, state: lastPack ? 'done' : 'running' });
    };
    return (
      <OwnMistakes
        key={state.pack}
        pilot={roster.pilots.find((each) => each.id === pack.pilotId)?.name ?? ''}
        blocks={pack.blocks as readonly Block[]}
        onDone={done}
      />
    );
  }
  const block = pack.blocks[state.block] as Block | undefined;
  if (!block) return <Over content={content} roster={roster} />;
  const endOfPack = state.block === pack.blocks.length - 1;
  const workOn = [...own].reverse().find((each) => each.pilotId === pack.pilotId && each.next)?.next ?? null;
  return (
    <OneBlock
      key={`${state.pack} ${state.block}`}
      session={session}
      roster={roster}
      list={list}
      block={block}
      state={state}
      change={change}
      workOn={workOn}
      isLast={endOfPack && lastPack}
      onNext={() =>
        change(
          endOfPack
            ? { phase: 'own', missedAt: null, measure: null }
            : { block: state.block + 1, missedAt: null, measure: null },
        )
      }
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
