import { causeWords, familyWords } from '@skelby/copy/causes';
import { FAMILIES, type FamilyId } from '@skelby/core/causes/cause';
import { keepFlown, logOccurrence } from '@skelby/core/commands/handles';
import type { OccurrenceFields } from '@skelby/core/schemas/records';
import { entryOf } from '../../offline/outbox/commands';
import type { CauseId } from '@skelby/core/causes/causes';
import { KINDS_OF_OCCURRENCE } from '@skelby/core/vocabulary/flying';
import { type Href, Redirect, useLocalSearchParams } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import type { Roster } from '@skelby/core/pages/pages';
import { useUnits } from '../../shared/api/use-units';
import { useRoster } from '../../offline/overlay/use-roster';
import { outbox, useOutbox } from '../../offline/outbox/use-outbox';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { Screen } from '../../shared/ui/Screen';
import { TextBox } from '../../shared/forms/TextBox';
import { Words } from '../../shared/ui/Words';
import { sayTime } from '../../shared/copy/dates';
import { KIND_WORDS } from '../../shared/copy/copy';
import { PilotStep, type StepProps } from './PilotStep';
import { type LogStep, LOG_STEPS } from './steps';
import { useLogWay } from './use-log-way';
import { CauseRows, FamilyRows } from '../../shared/ui/CausePicker';
import {
  forPilot,
  hasProgress,
  isOld,
  type LogDraft,
  occurrenceFields,
  useLogDraft,
} from '../../shared/forms/log-draft';

const isStep = (text: string | undefined): text is LogStep =>
  (LOG_STEPS as readonly string[]).includes(text ?? '');

const SEND_WITHIN_MS = 1_500;

const missing = (draft: LogDraft, step: LogStep): LogStep | null => {
  const at = LOG_STEPS.indexOf(step);
  if (at > 0 && !draft.pilotId) return 'pilot';
  if (at > 1 && !draft.kind) return 'kind';
  if (at > 2 && !draft.familyId) return 'family';
  return at > 3 && !draft.causeId ? 'cause' : null;
};

function KindStep() {
  return (
    <View style={{ gap: 14 }}>
      <Note icon="heart" heading="People first">
        Anyone hurt, call for help now. Then motors off, battery out, hands clear.
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
  const isFromFlight = draft.craftId !== null || draft.siteId !== null || draft.windMps !== null;
  return (
    <Words as="soft">
      {isFromFlight
        ? `${facts}. From the last flight; change it later if it was otherwise.`
        : `${facts}. Craft, site and wind can be added later.`}
    </Words>
  );
}

const TITLES: Readonly<Record<LogStep, string>> = {
  pilot: 'Who was flying?',
  kind: 'What was it?',
  family: 'What was behind it?',
  cause: 'Which of these?',
  save: 'Save it',
};

/** The draft is gone by now: the page waits to be left, and asks nothing more. */
function Saving() {
  const { unkept } = useOutbox();
  return (
    <Screen title="Saving …">
      <Words as="soft" role="status">
        {unkept.size > 0 ? 'This phone keeps nothing: leave the page open.' : 'Kept on this phone.'}
      </Words>
    </Screen>
  );
}

interface SaveStepProps extends StepProps {
  readonly causeId: CauseId;
  readonly onNote: (note: string) => void;
  readonly onDrop: () => void;
}

function SaveStep({ causeId, onNote, onDrop, ...props }: SaveStepProps) {
  return (
    <>
      <View>
        <Words as="heading">{causeWords(causeId).name}</Words>
        <Words as="soft">{causeWords(causeId).sign}</Words>
      </View>
      <TextBox
        label="What happened, in a line (optional)"
        value={props.draft.note}
        onChangeText={onNote}
        multiline
        maxLength={1000}
        hint="Your phone's own dictation works here."
      />
      <Details {...props} />
      <Button kind="quiet" label="Throw this entry away" onPress={onDrop} />
    </>
  );
}

/** What was said in the steps before this one. */
function saidBefore(step: LogStep, draft: LogDraft, who: string | undefined): string | undefined {
  const said = [
    who,
    draft.kind ? KIND_WORDS[draft.kind] : null,
    FAMILIES.some((each) => each === draft.familyId) ? familyWords(draft.familyId as FamilyId).name : null,
  ];
  return said.slice(0, LOG_STEPS.indexOf(step)).filter(Boolean).join(' · ') || undefined;
}

/** Keeps the entry and waits a moment for the server's word. @returns where to go on */
async function sent(draft: LogDraft, body: OccurrenceFields, who: string): Promise<Href> {
  const { id, flown } = draft;
  const entry = entryOf(logOccurrence, { id }, body, `${KIND_WORDS[body.kind]} of ${who}`);
  await outbox.add(entry);
  if (flown) await outbox.add(entryOf(keepFlown, { id }, flown, `Flight of ${who}`));
  await Promise.race([
    outbox.flush(),
    new Promise((resolve) => {
      setTimeout(resolve, SEND_WITHIN_MS);
    }),
  ]);
  const refused = outbox.state().items.some((item) => item.refused && item.path === entry.path);
  return refused ? '/' : `/occurrence/${id}`;
}

/** The pilot that the address names, once the roster is there; undefined when it is the draft's already. */
const namedIn = (asked: string | undefined, draft: LogDraft, roster: Roster | undefined) =>
  asked === draft.pilotId ? undefined : roster?.pilots.find((pilot) => pilot.id === asked);

/** The main act of a step, in the thumb's reach. */
function footOf(step: LogStep, go: StepProps['go'], save: () => void) {
  if (step === 'save') return <Button kind="main" icon="check" label="Save" onPress={save} />;
  return step === 'kind' ? <KindButtons go={go} /> : undefined;
}

export function Log() {
  const params = useLocalSearchParams<{ step: string; pilot?: string }>();
  const roster = useRoster();
  const { draft, change, throwAway, take } = useLogDraft();
  const way = useLogWay();
  const [sending, setSending] = useState(false);
  const [renaming, setRenaming] = useState(false);

  // From a pilot's own page the first question is answered already.
  const asked = namedIn(params.pilot, draft, roster.data);
  const { toldByFlight } = draft;
  // Begun from a flight file, it waits for nothing but who flew.
  const unfinished = hasProgress(draft) && draft.pilotId !== null && !renaming;
  // Coming from a pilot's page: what is begun is another entry, unless it is this pilot's of a moment ago.
  const comesAnew = params.pilot !== undefined && (asked !== undefined || isOld(draft));
  useEffect(() => {
    if (asked && !unfinished) change(forPilot(asked, toldByFlight));
  }, [asked, change, toldByFlight, unfinished]);

  if (sending || way.isLeaving) return <Saving />;
  if (!isStep(params.step)) return <Redirect href={way.at('pilot')} />;
  const step = params.step;
  const lacking = params.pilot && draft.pilotId === null ? null : missing(draft, step);
  if (unfinished && comesAnew) return <Redirect href={way.at('pilot')} />;
  if (lacking) return <Redirect href={way.at(lacking)} />;

  const go: StepProps['go'] = (part, next) => {
    setRenaming(false);
    change(part);
    way.on(next);
  };
  const who = roster.data?.pilots.find((pilot) => pilot.id === draft.pilotId)?.name;
  const under = saidBefore(step, draft, who);

  const save = async () => {
    const body = occurrenceFields(draft);
    if (!body) return;
    setSending(true);
    way.leave(await sent(take(), body, who ?? 'a pilot'));
  };

  return (
    <Loaded query={roster} title={TITLES[step]} up="/">
      {(data) => {
        const props = { draft, roster: data, go };
        return (
          <Screen title={TITLES[step]} under={under} up="/" foot={footOf(step, go, () => void save())}>
            {step === 'pilot' && unfinished ? (
              <Unfinished
                draft={draft}
                who={who}
                onGoOn={() => way.on(missing(draft, 'save') ?? 'save')}
                onDrop={throwAway}
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
              <SaveStep
                {...props}
                causeId={draft.causeId}
                onNote={(note) => change({ note })}
                onDrop={() => {
                  throwAway();
                  way.leave('/');
                }}
              />
            ) : null}
          </Screen>
        );
      }}
    </Loaded>
  );
}
