import type { FamilyId } from '@skelby/core/causes/cause';
import { causeWords, familyWords } from '@skelby/copy/causes';
import { type CauseId, causeOf } from '@skelby/core/causes/causes';
import { onReleaseIn } from '@skelby/core/vocabulary/flying';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { type ComponentType, createContext, useContext, useState } from 'react';
import { View } from 'react-native';
import type { OccurrenceOfPilot, Roster } from '@skelby/core/pages/pages';
import { useUnits } from '../../shared/api/use-units';
import { ReportsDue } from '../../offline/ui/ReportsDue';
import { useRoster } from '../../offline/overlay/use-roster';
import { CauseRows, FamilyRows } from '../../shared/ui/CausePicker';
import { Button, ButtonRow, LinkButton } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { May } from '../../shared/ui/May';
import { Note } from '../../shared/ui/Note';
import { ReasonForm } from '../../shared/forms/ReasonForm';
import { Part, Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { sayTime, todayHere } from '../../shared/copy/dates';
import { KIND_WORDS, STANDING_LINE } from '../../shared/copy/copy';
import {
  useConfirm,
  useOccurrence,
  useTakeConfirmationBack,
  useWithdraw,
} from '../../offline/overlay/occurrence-queries';

const Flown = createContext<ComponentType<{ readonly occurrence: OccurrenceOfPilot }> | null>(null);

function Facts({
  occurrence,
  roster,
}: {
  readonly occurrence: OccurrenceOfPilot;
  readonly roster: Roster | undefined;
}) {
  const { say } = useUnits();
  const OfFlight = useContext(Flown);
  const craft = roster?.craft.find((each) => each.id === occurrence.craftId)?.name;
  const site = roster?.sites.find((each) => each.id === occurrence.siteId)?.name;
  const facts = [
    sayTime(occurrence.happenedAt),
    site,
    craft,
    occurrence.windMps === null ? null : `wind ${say(occurrence.windMps, 'm/s')}`,
  ]
    .filter(Boolean)
    .join(' · ');
  return (
    <View style={{ gap: 6 }}>
      {occurrence.note ? <Words>{`“${occurrence.note}”`}</Words> : null}
      <Words as="soft">{facts}</Words>
      <LinkButton kind="quiet" label="Change the details" href={`/occurrence/${occurrence.id}/edit`} />
      {OfFlight && occurrence.flown ? <OfFlight occurrence={occurrence} /> : null}
    </View>
  );
}

/** What of it has to be reported; whether somebody was hurt, the debrief says. */
function Reports({
  occurrence: { kind, happenedAt },
  roster,
  causeId,
}: {
  readonly occurrence: OccurrenceOfPilot;
  readonly roster: Roster | undefined;
  readonly causeId: CauseId | null;
}) {
  return (
    <ReportsDue
      rules={roster?.reporting ?? []}
      occurrence={{ kind, happenedAt, causeId, injury: kind === 'crash' ? null : 'none' }}
    />
  );
}

function CauseTold({
  causeId,
  mode,
}: {
  readonly causeId: CauseId;
  readonly mode: OccurrenceOfPilot['pilotMode'];
}) {
  const cause = causeWords(causeId);
  return (
    <>
      <Part heading={cause.name}>
        <Words>{cause.how}</Words>
        {causeOf(causeId).humanFactor ? (
          <Note icon="help-circle">
            Seldom the cause on its own. What did it make the pilot do wrong? If you can name that, pick it
            instead.
          </Note>
        ) : null}
      </Part>
      <Part heading="What the hands should have done">
        <Words>{cause.respond[onReleaseIn(mode)]}</Words>
      </Part>
    </>
  );
}

/** Another cause than the one logged: family, then cause, in place. */
function OtherCause({ onPick }: { readonly onPick: (causeId: CauseId) => void }) {
  const [familyId, setFamilyId] = useState<FamilyId | null>(null);
  if (!familyId)
    return (
      <Part heading="What was behind it?">
        <FamilyRows onPick={setFamilyId} />
      </Part>
    );
  return (
    <Part
      heading={familyWords(familyId).name}
      end={<Button kind="quiet" label="Other family" onPress={() => setFamilyId(null)} />}
    >
      <CauseRows familyId={familyId} onPick={onPick} />
    </Part>
  );
}

/** First on the page on the day itself, when somebody may still be shaken; at its end later. */
function PeopleFirst() {
  return (
    <Note icon="heart" heading="People first">
      <Words>
        See to anyone hurt or shaken before you debrief. Motors off, battery out, hands clear of the rotors.
      </Words>
      <Words>{`Injury or a third party: report it as your local rules require. ${STANDING_LINE}`}</Words>
    </Note>
  );
}

const BroughtIn = () => (
  <Note icon="download" heading="Brought in from a file">
    Its cause was confirmed elsewhere. Confirm it here to put the pilot on drills.
  </Note>
);

function ToConfirm({
  occurrence,
  roster,
}: {
  readonly occurrence: OccurrenceOfPilot;
  readonly roster: Roster | undefined;
}) {
  const router = useRouter();
  const { confirm, weaknessOf } = useConfirm(occurrence);
  const withdraw = useWithdraw(occurrence);
  const [causeId, setCauseId] = useState(occurrence.confirmedCauseId ?? occurrence.causeId);
  const [picking, setPicking] = useState(false);
  const cause = causeWords(causeId);
  const justNow = occurrence.day === todayHere();
  // This page turns into another as soon as the cause is confirmed on this phone; the way on must outlive it.
  // A refusal shows as the error.
  const act = () =>
    void confirm.mutateAsync(causeId).then(
      () => router.replace(`/weakness/${weaknessOf(causeId)}`),
      () => undefined,
    );
  return (
    <Screen
      title={occurrence.pilotName}
      under={KIND_WORDS[occurrence.kind]}
      up="/"
      foot={
        picking ? undefined : (
          <>
            {confirm.error ? <Words as="strong" role="alert">{`! ${confirm.error.message}`}</Words> : null}
            <LinkButton
              kind="main"
              icon="message-circle"
              label="Debrief"
              href={`/occurrence/${occurrence.id}/debrief`}
            />
            <May right="train">
              <Button
                icon="check"
                label={confirm.isPending ? 'Confirming …' : `Confirm: ${cause.name}`}
                disabled={confirm.isPending}
                onPress={act}
              />
            </May>
          </>
        )
      }
    >
      {picking || !justNow ? null : <PeopleFirst />}
      <Facts occurrence={occurrence} roster={roster} />
      <Reports occurrence={occurrence} roster={roster} causeId={occurrence.confirmedCauseId} />
      {occurrence.confirmedCauseId ? <BroughtIn /> : null}
      {picking ? (
        <OtherCause
          onPick={(picked) => {
            setCauseId(picked);
            setPicking(false);
          }}
        />
      ) : (
        <>
          <CauseTold causeId={causeId} mode={occurrence.pilotMode} />
          <May right="train">
            <Button label="It was something else" onPress={() => setPicking(true)} />
          </May>
          {justNow ? null : <PeopleFirst />}
          <ReasonForm
            open="Logged by mistake: withdraw it"
            question="Why is it withdrawn?"
            act="Withdraw"
            busy={withdraw.isPending}
            error={withdraw.error?.message ?? null}
            onGive={(reason) => withdraw.mutate(reason)}
          />
        </>
      )}
    </Screen>
  );
}

function Confirmed({
  occurrence,
  causeId,
  roster,
}: {
  readonly occurrence: OccurrenceOfPilot;
  readonly causeId: CauseId;
  readonly roster: Roster | undefined;
}) {
  const takeBack = useTakeConfirmationBack(occurrence);
  return (
    <Screen
      title={occurrence.pilotName}
      under={KIND_WORDS[occurrence.kind]}
      up="/"
      foot={
        <LinkButton
          kind="solid"
          icon="arrow-right"
          label="Open the weakness"
          href={`/weakness/${occurrence.weaknessId}`}
        />
      }
    >
      <Facts occurrence={occurrence} roster={roster} />
      <Reports occurrence={occurrence} roster={roster} causeId={causeId} />
      <CauseTold causeId={causeId} mode={occurrence.pilotMode} />
      <ButtonRow>
        <LinkButton icon="message-circle" label="Debrief" href={`/occurrence/${occurrence.id}/debrief`} />
        <LinkButton icon="file-text" label="Debrief sheet" href={`/occurrence/${occurrence.id}/sheet`} />
      </ButtonRow>
      <ReasonForm
        open="Take the confirmation back"
        question="Why was it not this cause?"
        act="Take it back"
        busy={takeBack.isPending}
        error={takeBack.error?.message ?? null}
        onGive={(reason) => takeBack.mutate(reason)}
      />
    </Screen>
  );
}

function Withdrawn({
  occurrence,
  roster,
}: {
  readonly occurrence: OccurrenceOfPilot;
  readonly roster: Roster | undefined;
}) {
  return (
    <Screen title={occurrence.pilotName} under={KIND_WORDS[occurrence.kind]} up="/">
      <Note
        icon="slash"
        heading="Withdrawn"
      >{`${occurrence.withdrawnReason ?? ''} It stays on record and counts for nothing.`}</Note>
      <Facts occurrence={occurrence} roster={roster} />
    </Screen>
  );
}

type OfFlight = ComponentType<{ readonly occurrence: OccurrenceOfPilot }>;

/** @param ofFlight what is told of the flight that an entry was made of */
export function OccurrenceScreen({ ofFlight }: { readonly ofFlight: OfFlight }) {
  const { id } = useLocalSearchParams<{ id: string }>();
  const query = useOccurrence(id);
  const roster = useRoster();
  return (
    <Flown.Provider value={ofFlight}>
      <Loaded query={query} title="Entry" up="/">
        {(occurrence) => {
          if (occurrence.withdrawnAt) return <Withdrawn occurrence={occurrence} roster={roster.data} />;
          if (occurrence.confirmedCauseId && occurrence.weaknessId)
            return (
              <Confirmed occurrence={occurrence} causeId={occurrence.confirmedCauseId} roster={roster.data} />
            );
          return <ToConfirm key={occurrence.id} occurrence={occurrence} roster={roster.data} />;
        }}
      </Loaded>
    </Flown.Provider>
  );
}
