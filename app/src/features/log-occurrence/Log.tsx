import { logOccurrence } from '@skelby/core/commands/handles';
import { entryOf } from '../../offline/outbox/commands';
import { FAMILIES } from '@skelby/core/causes/cause';
import { causeOf } from '@skelby/core/causes/causes';
import { KINDS_OF_OCCURRENCE } from '@skelby/core/vocabulary/flying';
import { Redirect, useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import type { Roster } from '@skelby/core/pages/pages';
import { useUnits } from '../../shared/api/use-units';
import { useRoster } from '../../offline/overlay/use-roster';
import { outbox } from '../../offline/outbox/use-outbox';
import { Button, ButtonRow, LinkButton } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { PressRow, Rows } from '../../shared/ui/Rows';
import { Screen } from '../../shared/ui/Screen';
import { TextBox } from '../../shared/forms/TextBox';
import { Words } from '../../shared/ui/Words';
import { sayDay, sayTime } from '../../shared/copy/dates';
import { KIND_WORDS } from '../../shared/copy/copy';
import { CauseRows, FamilyRows } from '../../shared/ui/CausePicker';
import {
  forPilot,
  hasProgress,
  isOld,
  type LogDraft,
  occurrenceFields,
  useLogDraft,
} from '../../shared/forms/log-draft';

const STEPS = ['pilot', 'kind', 'family', 'cause', 'save'] as const;
type Step = (typeof STEPS)[number];
const isStep = (text: string | undefined): text is Step => (STEPS as readonly string[]).includes(text ?? '');

/** Pilots shown before the search is used. */
const SHOWN = 40;
const SEARCH_FROM = 12;
const SEND_WITHIN_MS = 1_500;

const missing = (draft: LogDraft, step: Step): Step | null => {
  const at = STEPS.indexOf(step);
  if (at > 0 && !draft.pilotId) return 'pilot';
  if (at > 1 && !draft.kind) return 'kind';
  if (at > 2 && !draft.familyId) return 'family';
  return at > 3 && !draft.causeId ? 'cause' : null;
};

interface StepProps {
  readonly draft: LogDraft;
  readonly roster: Roster;
  readonly go: (part: Partial<LogDraft>, next: Step) => void;
}

function PilotStep({ draft, roster, go }: StepProps) {
  const [wanted, setWanted] = useState('');
  const found = roster.pilots.filter((pilot) =>
    pilot.name.toLowerCase().includes(wanted.trim().toLowerCase()),
  );
  return (
    <>
      <LinkButton
        kind="quiet"
        icon="life-buoy"
        label="Just crashed? The first ten minutes"
        href={`/first-minutes${draft.siteId ? `?site=${draft.siteId}` : ''}`}
      />
      {roster.pilots.length >= SEARCH_FROM ? (
        <TextBox label="Find by name" value={wanted} onChangeText={setWanted} autoCapitalize="none" />
      ) : null}
      {roster.pilots.length === 0 ? (
        <Note icon="users" heading="No pilots yet">
          <LinkButton kind="solid" icon="plus" label="Add the first pilot" href="/pilots/new/edit" />
        </Note>
      ) : null}
      <Rows empty={roster.pilots.length === 0 ? undefined : 'No pilot of that name.'}>
        {found.slice(0, SHOWN).map((pilot) => (
          <PressRow
            key={pilot.id}
            title={pilot.name}
            under={pilot.lastFlownOn ? `Flew ${sayDay(pilot.lastFlownOn)}` : undefined}
            onPress={() => go(forPilot(pilot), 'kind')}
          />
        ))}
      </Rows>
      {found.length > SHOWN ? <Words as="soft">{`${found.length - SHOWN} more: find by name.`}</Words> : null}
    </>
  );
}

function KindStep() {
  return (
    <View style={{ gap: 14 }}>
      <Note icon="heart" heading="People first">
        Anyone hurt, call for help now. Then motors off, pack out, hands clear.
      </Note>
      <Words as="soft">A near-miss: control or separation was lost, and luck or skill saved it.</Words>
    </View>
  );
}

/** In the thumb's reach, and too large to miss with a glove on. */
function KindButtons({ go }: Pick<StepProps, 'go'>) {
  return (
    <>
      {KINDS_OF_OCCURRENCE.map((kind) => (
        <Button
          key={kind}
          label={KIND_WORDS[kind]}
          style={{ minHeight: 112 }}
          large
          onPress={() => go({ kind }, 'family')}
        />
      ))}
    </>
  );
}

interface UnfinishedProps {
  readonly draft: LogDraft;
  readonly who: string | undefined;
  readonly onGoOn: () => void;
  readonly onDrop: () => void;
  readonly onOtherPilot: () => void;
}

/**
 * An entry that was begun is finished, thrown away or put right before another is begun: what was said of one
 * pilot never stands under the next.
 */
function Unfinished({ draft, who, onGoOn, onDrop, onOtherPilot }: UnfinishedProps) {
  return (
    <Note icon="edit" heading="An entry is not finished">
      <Words>
        {[
          who,
          draft.kind ? KIND_WORDS[draft.kind] : null,
          sayTime(draft.startedAt),
          draft.note ? `“${draft.note}”` : null,
        ]
          .filter(Boolean)
          .join(' · ')}
      </Words>
      <ButtonRow>
        <Button kind="solid" label="Go on with it" onPress={onGoOn} />
        <Button label="Throw it away" onPress={onDrop} />
        <Button kind="quiet" label="It was another pilot" onPress={onOtherPilot} />
      </ButtonRow>
    </Note>
  );
}

function Details({ draft, roster }: StepProps) {
  const { say } = useUnits();
  const craft = roster.craft.find((each) => each.id === draft.craftId)?.name;
  const site = roster.sites.find((each) => each.id === draft.siteId)?.name;
  const facts = [
    sayTime(draft.startedAt),
    site,
    craft,
    draft.windMps === null ? null : `wind ${say(draft.windMps, 'm/s')}`,
  ]
    .filter(Boolean)
    .join(' · ');
  return <Words as="soft">{`${facts}. From the last flight; change it later if it was otherwise.`}</Words>;
}

const TITLES: Readonly<Record<Step, string>> = {
  pilot: 'Who was flying?',
  kind: 'What was it?',
  family: 'What was behind it?',
  cause: 'Which of these?',
  save: 'Save it',
};

export function Log() {
  const params = useLocalSearchParams<{ step: string; pilot?: string }>();
  const router = useRouter();
  const roster = useRoster();
  const { draft, change, drop, take } = useLogDraft();
  const [sending, setSending] = useState(false);
  const [renaming, setRenaming] = useState(false);

  // From a pilot's own page the first question is answered already.
  const asked =
    params.pilot === draft.pilotId
      ? undefined
      : roster.data?.pilots.find((pilot) => pilot.id === params.pilot);
  const unfinished = hasProgress(draft) && !renaming;
  // Coming from a pilot's page: what is begun is another entry, unless it is this pilot's of a moment ago.
  const comesAnew = params.pilot !== undefined && (asked !== undefined || isOld(draft));
  useEffect(() => {
    if (asked && !unfinished) change(forPilot(asked));
  }, [asked, change, unfinished]);

  // The draft is gone by now: the page waits to be left, and asks nothing more.
  if (sending)
    return (
      <Screen title="Saving …">
        <Words as="soft" role="status">
          Kept on this phone.
        </Words>
      </Screen>
    );
  if (!isStep(params.step)) return <Redirect href="/log/pilot" />;
  const step = params.step;
  const lacking = params.pilot && draft.pilotId === null ? null : missing(draft, step);
  if (unfinished && comesAnew) return <Redirect href="/log/pilot" />;
  if (lacking) return <Redirect href={`/log/${lacking}`} />;

  const go: StepProps['go'] = (part, next) => {
    setRenaming(false);
    change(part);
    router.push(`/log/${next}`);
  };
  const who = roster.data?.pilots.find((pilot) => pilot.id === draft.pilotId)?.name;
  const soFar = [
    who,
    draft.kind ? KIND_WORDS[draft.kind] : null,
    draft.familyId ? FAMILIES.find((each) => each.id === draft.familyId)?.name : null,
  ];
  const under = soFar.slice(0, STEPS.indexOf(step)).filter(Boolean).join(' · ');

  const save = async () => {
    const body = occurrenceFields(draft);
    if (!body) return;
    setSending(true);
    const { id } = take();
    const entry = entryOf(logOccurrence, { id }, body, `${KIND_WORDS[body.kind]} of ${who ?? 'a pilot'}`);
    await outbox.add(entry);
    await Promise.race([
      outbox.flush(),
      new Promise((resolve) => {
        setTimeout(resolve, SEND_WITHIN_MS);
      }),
    ]);
    const refused = outbox.state().items.some((item) => item.refused && item.path === entry.path);
    router.replace(refused ? '/' : `/occurrence/${id}`);
  };

  return (
    <Loaded query={roster} title={TITLES[step]} up="/">
      {(data) => {
        const props = { draft, roster: data, go };
        return (
          <Screen
            title={TITLES[step]}
            under={under || undefined}
            up="/"
            foot={
              step === 'save' ? (
                <Button kind="main" icon="check" label="Save" onPress={() => void save()} />
              ) : step === 'kind' ? (
                <KindButtons go={go} />
              ) : undefined
            }
          >
            {step === 'pilot' && unfinished ? (
              <Unfinished
                draft={draft}
                who={who}
                onGoOn={() => router.push(`/log/${missing(draft, 'save') ?? 'save'}`)}
                onDrop={drop}
                onOtherPilot={() => setRenaming(true)}
              />
            ) : null}
            {step === 'pilot' && !unfinished ? <PilotStep {...props} /> : null}
            {step === 'kind' ? <KindStep /> : null}
            {step === 'family' ? <FamilyRows onPick={(familyId) => go({ familyId }, 'cause')} /> : null}
            {step === 'cause' && draft.familyId ? (
              <CauseRows familyId={draft.familyId} onPick={(causeId) => go({ causeId }, 'save')} />
            ) : null}
            {step === 'save' && draft.causeId ? (
              <>
                <View>
                  <Words as="heading">{causeOf(draft.causeId).name}</Words>
                  <Words as="soft">{causeOf(draft.causeId).sign}</Words>
                </View>
                <TextBox
                  label="What happened, in a line (optional)"
                  value={draft.note}
                  onChangeText={(note) => change({ note })}
                  multiline
                  maxLength={1000}
                  hint="Your phone's own dictation works here."
                />
                <Details {...props} />
                <Button
                  kind="quiet"
                  label="Throw this entry away"
                  onPress={() => {
                    drop();
                    router.replace('/');
                  }}
                />
              </>
            ) : null}
          </Screen>
        );
      }}
    </Loaded>
  );
}
