import { said } from '@skelby/copy/say';
import { causeWords } from '@skelby/copy/causes';
import { questionWords } from '@skelby/copy/questions';
import type { Ranking } from '@skelby/core/ranking/rank';
import type { QuestionId } from '@skelby/core/evidence/questions';
import type { DebriefPage, OccurrenceOfPilot, Roster } from '@skelby/core/pages/pages';
import { useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';
import { useDebrief } from '../../offline/overlay/debrief-queries';
import { useOccurrence } from '../../offline/overlay/occurrence-queries';
import { useRoster } from '../../offline/overlay/use-roster';
import { KIND_WORDS } from '../../shared/copy/copy';
import { Choice } from '../../shared/forms/Choice';
import { ReasonForm } from '../../shared/forms/ReasonForm';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { Screen, useIsWide } from '../../shared/ui/Screen';
import { SumCard } from '../../shared/forms/SumCard';
import { Words } from '../../shared/ui/Words';
import { Ask, ToldList } from './Ask';
import { Decide } from './Decide';
import { FINDING_WORDS } from './finding-copy';
import { Mentioned, SeenInVideo } from './Mentioned';
import { OwnPick } from './OwnPick';
import { RankingPanel, RankingStrip } from './RankingPanel';
import { type Debriefing, useDebriefing } from './use-debriefing';

interface PartProps {
  /** Once what was told is weighed. */
  readonly debriefing: Debriefing & { readonly ranking: Ranking };
}

/** A closed debrief: what was decided, and the way to open it again. */
function Closed({ debriefing: { page, change } }: { readonly debriefing: Debriefing }) {
  const decided = page.debrief?.findings.primary;
  return (
    <>
      <Note
        icon="lock"
        heading="This debrief is closed"
      >{`${decided ? `Decided: ${causeWords(decided).name}. ` : ''}Every version is kept; to change it, say why.`}</Note>
      <ReasonForm
        open="Reopen it"
        question="Why is it reopened?"
        act="Reopen"
        busy={false}
        error={null}
        onGive={(reason) => change({ reason })}
      />
    </>
  );
}

/** What somebody else saved meanwhile has come into this debrief. */
function Joined({ debriefing: { page, draft } }: PartProps) {
  const version = page.versions.find(({ number }) => number === draft.joinedWith);
  if (!version) return null;
  return (
    <Words as="soft" role="status">
      {`Joined with version ${version.number}${version.by ? `, by ${version.by}` : ''}, that was saved meanwhile.`}
    </Words>
  );
}

/** A question or field that was changed, by its name. */
const changedWords = (name: string): string =>
  name.startsWith('evidence.')
    ? `“${questionWords(name.slice('evidence.'.length) as QuestionId).ask}”`
    : FINDING_WORDS[name as keyof typeof FINDING_WORDS];

/** Another trainer, or another tab, has saved it meanwhile. */
function Clash({ debriefing: { page, both, goOnFrom } }: PartProps) {
  const [newest] = page.versions;
  return (
    <Note icon="users" heading="Somebody saved this debrief meanwhile">
      <Words>{`Version ${newest?.number ?? ''}${newest?.by ? `, by ${newest.by}` : ''}. Yours is still on this phone.`}</Words>
      {both && both.length > 0 ? (
        <>
          <Words>What only one of you changed is joined.</Words>
          <Words as="strong">{`Otherwise in both: ${both.map(changedWords).join(', ')}.`}</Words>
        </>
      ) : null}
      <ButtonRow>
        <Button label="Take theirs there" onPress={() => goOnFrom('theirs')} />
        <Button label="Keep mine there" onPress={() => goOnFrom('mine')} />
      </ButtonRow>
    </Note>
  );
}

function Told({ debriefing: { occurrence, draft, known, askAgain } }: PartProps) {
  const flown = occurrence.flown ?? null;
  return <ToldList evidence={draft.findings.evidence} known={known} onWant={askAgain} flown={flown} />;
}

function AskStep({ debriefing }: PartProps) {
  const { draft, known, ranking, asked, wanted, occurrence, find, change, want } = debriefing;
  const wide = useIsWide();
  return (
    <>
      {wide ? null : <RankingStrip ranking={ranking} />}
      <Ask
        evidence={draft.findings.evidence}
        known={known}
        ranking={ranking}
        asked={asked}
        layout={occurrence.pilotStickLayout}
        wanted={wanted}
        onWant={want}
        onEvidence={(evidence) => find({ evidence })}
        onSkip={(id) => change({ skipped: [...draft.skipped, id] })}
      />
      {wide ? <Told debriefing={debriefing} /> : null}
    </>
  );
}

function SumsStep({ debriefing: { sums, known, craft } }: PartProps) {
  if (sums.length === 0) return <Words>No figures: no number was told. Ask on, or decide.</Words>;
  return (
    <View style={{ gap: 28 }}>
      {sums.map((sum) => {
        const given = sum.start(known, craft);
        return <SumCard key={`${sum.id} ${JSON.stringify(given)}`} sum={sum} given={given} craft={craft} />;
      })}
    </View>
  );
}

function DecideStep({ debriefing }: PartProps) {
  const { draft, find, ranking, known, occurrence, missing, saving } = debriefing;
  return (
    <>
      <Decide
        findings={draft.findings}
        find={find}
        ranking={ranking}
        known={known}
        kind={occurrence.kind}
        missing={missing}
        wantsReason={saving.wantsReason}
      />
      <Button
        kind="quiet"
        label={saving.isPending ? 'Saving …' : 'Save it as it is and finish later'}
        disabled={saving.isPending}
        onPress={saving.saveOpen}
      />
    </>
  );
}

const STEP = { ask: AskStep, sums: SumsStep, decide: DecideStep } as const;

/** The ranking beside the step, where there is room for it; what was told under it on a phone. */
function Aside({ debriefing }: PartProps) {
  const { ranking, askAgain, step } = debriefing;
  const wide = useIsWide();
  return (
    <>
      <RankingPanel ranking={ranking} onAsk={askAgain} />
      {step === 'ask' && !wide ? <Told debriefing={debriefing} /> : null}
    </>
  );
}

function Foot({ debriefing }: PartProps) {
  const { step, setStep, sums, saving, missing, triedToClose, overtaken } = debriefing;
  const toSums = step === 'ask' && sums.length > 0;
  return (
    <>
      {saving.error ? <Words as="strong" role="alert">{`! ${saving.error.message}`}</Words> : null}
      {step === 'decide' && triedToClose && missing.length > 0 ? (
        <Words as="strong" role="alert">
          {missing.map((each) => `! ${said(each.said)}`).join('\n')}
        </Words>
      ) : null}
      {step === 'decide' ? (
        // Another act in the same place is another button: whoever presses by keys never closes by holding on.
        <Button
          key="close"
          kind="main"
          icon="check"
          label={saving.isPending ? 'Closing …' : 'Close the debrief'}
          disabled={saving.isPending || overtaken}
          onPress={saving.close}
        />
      ) : (
        <Button
          key={toSums ? 'sums' : 'decide'}
          kind={step === 'ask' ? 'plain' : 'solid'}
          icon="arrow-right"
          label={toSums ? `Look at the figures (${sums.length})` : 'Decide'}
          onPress={() => setStep(toSums ? 'sums' : 'decide')}
        />
      )}
    </>
  );
}

interface DebriefProps {
  readonly occurrence: OccurrenceOfPilot;
  readonly roster: Roster;
  readonly page: DebriefPage;
}

function Debrief({ occurrence, roster, page }: DebriefProps) {
  const debriefing = useDebriefing(occurrence, roster, page);
  const { draft, change, step, setStep, sums, asked } = debriefing;
  const wide = useIsWide();
  const Step = STEP[step];
  const head = {
    title: occurrence.pilotName,
    under: `${KIND_WORDS[occurrence.kind]}${occurrence.craftId ? '' : ' · craft not recorded: a usual one is taken'}`,
    up: `/occurrence/${occurrence.id}`,
  } as const;
  if (debriefing.isLocked)
    return (
      <Screen {...head}>
        <Closed debriefing={debriefing} />
      </Screen>
    );
  if (!draft.picked)
    return (
      <Screen {...head}>
        <OwnPick
          loggedCauseId={occurrence.causeId}
          onPick={(ownPick) => change({ picked: true, findings: { ...draft.findings, ownPick } })}
        />
      </Screen>
    );
  if (!draft.hasMentioned)
    return (
      <Screen
        {...head}
        foot={
          <Button
            kind="main"
            icon="arrow-right"
            label={draft.mentioned.length > 0 ? 'Go on' : 'None of these'}
            onPress={() => change({ hasMentioned: true })}
          />
        }
      >
        <SeenInVideo seen={debriefing.occurrence.seen ?? []} />
        <Mentioned mentioned={draft.mentioned} onChange={(mentioned) => change({ mentioned })} />
      </Screen>
    );
  const { ranking } = debriefing;
  if (ranking === null)
    return (
      <Screen {...head}>
        <Words role="status">Weighing what was told …</Words>
      </Screen>
    );
  const weighed = { ...debriefing, ranking };
  const hasAside = step === 'ask' || (step === 'decide' && wide);
  return (
    <Screen
      {...head}
      topic={`${step} ${asked ?? ''}`}
      aside={hasAside ? <Aside debriefing={weighed} /> : undefined}
      foot={<Foot debriefing={weighed} />}
    >
      {debriefing.isClash ? <Clash debriefing={weighed} /> : <Joined debriefing={weighed} />}
      <Choice
        label="Step of the debrief"
        quiet
        value={step}
        onChange={setStep}
        options={[
          { value: 'ask', label: 'Ask' },
          { value: 'sums', label: `Figures ${sums.length}` },
          { value: 'decide', label: 'Decide' },
        ]}
      />
      <Step debriefing={weighed} />
    </Screen>
  );
}

export function DebriefScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const occurrence = useOccurrence(id);
  const roster = useRoster();
  const debrief = useDebrief(id);
  const up = `/occurrence/${id}` as const;
  return (
    <Loaded query={occurrence} title="Debrief" up={up}>
      {(row) => (
        <Loaded query={roster} title="Debrief" up={up}>
          {(data) => (
            <Loaded query={debrief} title="Debrief" up={up}>
              {(page) => <Debrief key={row.id} occurrence={row} roster={data} page={page} />}
            </Loaded>
          )}
        </Loaded>
      )}
    </Loaded>
  );
}
