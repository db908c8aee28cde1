import { useDrills } from '../../shared/api/use-drills';
import { causeOf } from '@skelby/core/causes/causes';
import { CLOCK } from '@skelby/core/schemas/session';
import type { Means } from '@skelby/core/plan/layout/block';
import { judge } from '@skelby/core/plan/layout/judge';
import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import { ApiProblem } from '../../shared/api/client';
import type { Roster, TodayList } from '@skelby/core/pages/pages';
import { useUnits } from '../../shared/api/use-units';
import { useRoster } from '../../offline/overlay/use-roster';
import { useSessions, useToday } from '../../offline/overlay/today-queries';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { Choice, LongChoice, ManyChoice } from '../../shared/forms/Choice';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { PrintButton } from '../../shared/ui/PrintButton';
import { Row, Rows } from '../../shared/ui/Rows';
import { saveFile } from '../../shared/ui/save-file';
import { Part, Screen } from '../../shared/ui/Screen';
import { Stepper } from '../../shared/forms/Stepper';
import { TextBox } from '../../shared/forms/TextBox';
import { Words } from '../../shared/ui/Words';
import { minuteOfDay } from '../../shared/copy/dates';
import { plural } from '../../shared/copy/copy';
import { Arrange, type ArrangedPack } from './Arrange';
import { calendarOf } from './calendar';
import { type SessionSave, usePilotsToday, useSaveSession } from '../../offline/overlay/session-queries';
import { SessionClash } from './SessionClash';
import { SessionCard } from './SessionCard';
import { contentOf, minutesThere, type SessionDraft, useSessionDraft } from './session-draft';
import { useLayout } from './use-layout';

const MOST_PACKS = 12;
const MOST_PILOTS = 6;
const TIMES = [
  { value: 0, label: 'As it takes' },
  { value: 60, label: '1 h' },
  { value: 90, label: '1½ h' },
  { value: 120, label: '2 h' },
  { value: 180, label: '3 h' },
] as const;

function lightProblem({ startsAt, lightUntil }: SessionDraft): string | undefined {
  if (lightUntil === null) return undefined;
  if (!CLOCK.test(lightUntil)) return 'Light until must be written as hours:minutes, such as 17:45.';
  return CLOCK.test(startsAt) && minuteOfDay(lightUntil) <= minuteOfDay(startsAt)
    ? 'Light until is before the first take-off: put one of them right.'
    : undefined;
}

const addMinutes = (time: string, minutes: number): string => {
  const all = (minuteOfDay(time) + Math.round(minutes)) % 1440;
  return `${String(Math.floor(all / 60)).padStart(2, '0')}:${String(all % 60).padStart(2, '0')}`;
};

function Plan({ roster, list }: { readonly roster: Roster; readonly list: TodayList }) {
  const { drillOf, latest } = useDrills();
  const router = useRouter();
  const units = useUnits();
  const { draft, change, anew } = useSessionDraft();
  const save = useSaveSession();
  const { data: sessions } = useSessions();
  const inTraining = [...new Set(list.weaknesses.map((line) => line.pilotId))].flatMap(
    (id) => roster.pilots.find((pilot) => pilot.id === id) ?? [],
  );
  const pilotIds = draft.pilotIds
    .filter((id) => inTraining.some((pilot) => pilot.id === id))
    .slice(0, MOST_PILOTS);
  const site = roster.sites.find((each) => each.id === draft.siteId);
  const pilots = usePilotsToday(pilotIds, list);
  const means: Means = { packs: draft.packs, packMinutes: draft.packMinutes, minutes: minutesThere(draft) };
  const { laidOut, working, failed } = useLayout(
    pilots && pilotIds.length > 0
      ? {
          pilots,
          conditions: { windMps: draft.windMps, place: site?.place ?? null },
          means,
          today: draft.day,
          book: latest,
        }
      : null,
  );
  const pilotName = (id: string) => roster.pilots.find((pilot) => pilot.id === id)?.name ?? '';

  // What was moved by hand stays so; blocks that are no longer there, or refused meanwhile, fall out.
  const packs: readonly ArrangedPack[] = useMemo(() => {
    if (!laidOut || pilotIds.length === 0) return [];
    if (!draft.moved) return laidOut.layout.packs;
    const all = new Map(laidOut.candidates.blocks.map((block) => [block.id, block]));
    return draft.moved
      .map(({ pilotId, blockIds }) => ({ pilotId, blocks: blockIds.flatMap((id) => all.get(id) ?? []) }))
      .filter((pack) => pack.blocks.length > 0);
  }, [laidOut, draft.moved, pilotIds.length]);
  const judged = judge(packs, means, pilotName, drillOf);
  const cost = laidOut && laidOut.layout.gain > 0 ? 1 - judged.gain / laidOut.layout.gain : 0;
  const arrange = (next: readonly ArrangedPack[]) =>
    change({
      moved: next.map(({ pilotId, blocks }) => ({ pilotId, blockIds: blocks.map((block) => block.id) })),
    });
  const spare = laidOut
    ? laidOut.candidates.blocks.filter(
        (block) => !packs.some((pack) => pack.blocks.some((each) => each.id === block.id)),
      )
    : [];
  const putIn = (id: string) => {
    const block = spare.find((each) => each.id === id)!;
    const own = packs.findIndex(
      (pack) =>
        pack.pilotId === block.pilotId &&
        pack.blocks.reduce((sum, each) => sum + each.minutes, 0) + block.minutes <= draft.packMinutes,
    );
    arrange(
      own >= 0
        ? packs.map((pack, p) => (p === own ? { ...pack, blocks: [...pack.blocks, block] } : pack))
        : [...packs, { pilotId: block.pilotId, blocks: [block] }],
    );
  };
  const content = contentOf(draft, packs);
  const saveAs = (wanted: SessionSave) =>
    void save.mutateAsync(wanted).then(
      () => router.push(`/session/${draft.id}`),
      () => undefined,
    );
  const go = () =>
    saveAs({
      id: draft.id,
      content,
      basedOn: sessions?.find((each) => each.id === draft.id)?.revision ?? null,
    });
  const rested = packs.map((pack, p) => ({ ...pack, restBefore: judged.rests[p] ?? false }));
  const forCalendar = () =>
    saveFile(
      'session.ics',
      calendarOf(draft.id, content, rested, { pilotName, siteName: site?.name ?? null, findDrill: drillOf }),
      'text/calendar',
    );

  if (save.variables && save.error instanceof ApiProblem && save.error.clash.theirs)
    return (
      <SessionClash
        wanted={save.variables}
        problem={save.error}
        roster={roster}
        onMine={saveAs}
        onTheirs={() => router.push(`/session/${draft.id}`)}
      />
    );
  return (
    <Screen
      title="Session"
      up="/"
      foot={
        packs.length > 0 ? (
          <>
            {save.error ? <Words as="strong" role="alert">{`! ${save.error.message}`}</Words> : null}
            {judged.problems.length > 0 ? (
              <Words
                as="strong"
                role="alert"
              >{`! ${judged.problems[0]}${judged.problems.length > 1 ? ` And ${judged.problems.length - 1} more.` : ''}`}</Words>
            ) : null}
            <Button
              kind="main"
              icon="play"
              label={save.isPending ? 'Saving …' : 'To go or no-go'}
              disabled={
                save.isPending ||
                judged.problems.length > 0 ||
                !CLOCK.test(draft.startsAt) ||
                lightProblem(draft) !== undefined
              }
              onPress={go}
            />
          </>
        ) : undefined
      }
      aside={
        pilotIds.length === 0 ? undefined : (
          <>
            <Part heading="The session">
              {failed ? (
                <Words as="strong" role="alert">{`! ${failed}`}</Words>
              ) : laidOut === null || pilots === null ? (
                <Words as="soft" role="status">
                  Laying it out …
                </Words>
              ) : packs.length === 0 && draft.moved === null ? (
                <Words>Nothing to fly: see why below.</Words>
              ) : (
                <>
                  <Words role="status">{`${plural(packs.length, 'pack')}, ${Math.round(judged.minutes)} min, until ${addMinutes(draft.startsAt, judged.minutes)}. ${working ? 'Working on it …' : draft.moved === null ? 'The best there is for this time.' : cost < 0.005 ? 'As good as the best.' : `Your order costs ${Math.round(100 * cost)} % of what the best would bring.`}`}</Words>
                  {draft.moved ? (
                    <Button
                      kind="quiet"
                      icon="corner-up-left"
                      label="Back to the best"
                      onPress={() => change({ moved: null })}
                    />
                  ) : null}
                  <Arrange
                    packs={packs}
                    rests={judged.rests}
                    packMinutes={draft.packMinutes}
                    pilotName={pilotName}
                    onChange={arrange}
                  />
                </>
              )}
            </Part>
            {laidOut && laidOut.candidates.beforeFlying.length > 0 ? (
              <Part heading="Takes no pack">
                <Rows>
                  {laidOut.candidates.beforeFlying.map((each) => (
                    <Row
                      key={`${each.pilotId} ${each.drillId}`}
                      title={`${drillOf(each.drillId).name} · ${pilotName(each.pilotId)}`}
                      under={each.words}
                    />
                  ))}
                </Rows>
              </Part>
            ) : null}
            {spare.length > 0 ? (
              <Part heading="Left out">
                <ButtonRow>
                  {spare.slice(0, 12).map((block) => (
                    <Button
                      key={block.id}
                      kind="plain"
                      icon="plus"
                      label={`${block.reps} × ${drillOf(block.drillId).name}, ${block.purpose} · ${pilotName(block.pilotId)}`}
                      onPress={() => putIn(block.id)}
                    />
                  ))}
                </ButtonRow>
              </Part>
            ) : null}
            {laidOut && laidOut.candidates.notToday.length > 0 ? (
              <Part heading="Not today">
                <Rows>
                  {laidOut.candidates.notToday.map((each, i) => (
                    <Row
                      key={i}
                      title={`${each.drillId ? drillOf(each.drillId).name : causeOf(each.causeId).name} · ${pilotName(each.pilotId)}`}
                      under={`${each.refused ? 'Refused. ' : ''}${units.sentence(each.words)}`}
                    />
                  ))}
                </Rows>
              </Part>
            ) : null}
            {packs.length > 0 ? (
              <ButtonRow>
                <PrintButton label="Print the card" />
                <Button icon="calendar" label="Calendar file" onPress={forCalendar} />
                <Button kind="quiet" label="Start anew" onPress={anew} />
              </ButtonRow>
            ) : null}
            {packs.length > 0 ? (
              <SessionCard
                content={content}
                rests={judged.rests}
                pilotName={pilotName}
                site={site ?? null}
                weaknesses={list.weaknesses.filter(
                  (line) => pilotIds.includes(line.pilotId) && line.state !== 'watch',
                )}
              />
            ) : null}
          </>
        )
      }
    >
      {inTraining.length === 0 ? (
        <Note icon="sun" heading="Nobody is in training">
          A session is laid out for pilots with an open weakness: log what happened first.
        </Note>
      ) : (
        <View style={{ gap: 18 }}>
          <ManyChoice
            label={`Who flies (up to ${MOST_PILOTS})`}
            options={inTraining.map((pilot) => ({ value: pilot.id, label: pilot.name }))}
            values={pilotIds}
            onChange={(ids) =>
              change({
                pilotIds: ids.slice(0, MOST_PILOTS),
                moved: null,
                siteId:
                  draft.siteId ?? roster.pilots.find((pilot) => pilot.id === ids[0])?.lastSiteId ?? null,
              })
            }
          />
          <Stepper
            label="Packs"
            unit=""
            value={draft.packs}
            step={1}
            least={1}
            most={MOST_PACKS}
            onChange={(packs) => {
              if (packs !== null && packs >= 1 && packs <= MOST_PACKS)
                change({ packs: Math.round(packs), moved: null });
            }}
          />
          <Stepper
            label="Minutes of a pack, down to the reserve"
            unit="min"
            value={draft.packMinutes}
            step={1}
            least={3}
            most={40}
            onChange={(packMinutes) => {
              if (packMinutes !== null && packMinutes >= 3 && packMinutes <= 40)
                change({ packMinutes, moved: null });
            }}
          />
          <Stepper
            label="Wind now"
            unit={units.unit('m/s')}
            value={units.from(draft.windMps, 'm/s')}
            step={0.5}
            least={0}
            most={units.from(20, 'm/s')}
            onChange={(wind) => {
              if (wind !== null && wind >= 0) change({ windMps: Math.min(20, units.to(wind, 'm/s')) });
            }}
          />
          <LongChoice
            label="Site"
            options={roster.sites.map(({ id, name }) => ({ value: id, label: name }))}
            value={draft.siteId}
            onChange={(siteId) => change({ siteId })}
          />
          <Choice
            label="Time there is"
            options={TIMES}
            value={draft.minutes ?? 0}
            onChange={(minutes) => change({ minutes: minutes === 0 ? null : minutes, moved: null })}
          />
          <TextBox
            label="First take-off"
            value={draft.startsAt}
            onChangeText={(startsAt) => change({ startsAt })}
            error={
              CLOCK.test(draft.startsAt)
                ? undefined
                : 'Start must be written as hours:minutes, such as 09:30.'
            }
            inputMode="numeric"
          />
          <TextBox
            label="Light until"
            hint="Such as 17:45; empty: light enough all day."
            value={draft.lightUntil ?? ''}
            onChangeText={(light) => change({ lightUntil: light === '' ? null : light, moved: null })}
            error={lightProblem(draft)}
            inputMode="numeric"
          />
        </View>
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
