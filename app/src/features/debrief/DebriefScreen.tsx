import type { QuestionId } from '@skelby/core/evidence/questions';
import { causeOf } from '@skelby/core/causes/causes';
import { capturedEvidence, missingToClose } from '@skelby/core/debrief/findings';
import { answersOf } from '@skelby/core/evidence/evidence';
import { craftFacts, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import { rank } from '@skelby/core/ranking/rank';
import { sumsFor } from '@skelby/core/sums/sums';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { ApiProblem } from '../../shared/api/client';
import type { DebriefPage, OccurrenceOfPilot, Roster } from '@skelby/core/pages/pages';
import { useRoster } from '../../offline/overlay/use-roster';
import { useOccurrence, useWeaknessKey } from '../../offline/overlay/occurrence-queries';
import { SumCard } from '../../shared/ui/SumCard';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { Choice } from '../../shared/forms/Choice';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { ReasonForm } from '../../shared/forms/ReasonForm';
import { Screen, useIsWide } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { KIND_WORDS } from '../../shared/copy/copy';
import { Ask, nextOf, ToldList } from './Ask';
import { useDebrief, useModel, useSaveDebrief } from '../../offline/overlay/debrief-queries';
import { chainOf, Decide } from './Decide';
import { useDebriefDraft } from './draft';
import { OwnPick } from './OwnPick';
import { RankingPanel, RankingStrip } from './RankingPanel';

type Step = 'ask' | 'sums' | 'decide';

interface DebriefProps {
  readonly occurrence: OccurrenceOfPilot;
  readonly roster: Roster;
  readonly page: DebriefPage;
}

function Debrief({ occurrence, roster, page }: DebriefProps) {
  const router = useRouter();
  const wide = useIsWide();
  const model = useModel();
  const site = roster.sites.find((each) => each.id === occurrence.siteId);
  const captured = useMemo(
    () =>
      capturedEvidence({
        windMps: occurrence.windMps,
        place: site?.place ?? null,
        mode: occurrence.pilotMode,
      }),
    [occurrence, site],
  );
  const {
    draft,
    change,
    find,
    drop,
    rebase,
    saved: justSaved,
    overtaken,
  } = useDebriefDraft(occurrence.id, page, captured);
  const save = useSaveDebrief(occurrence);
  const weaknessKey = useWeaknessKey(occurrence.pilotId);
  const [step, setStep] = useState<Step>('ask');
  const [wanted, setWanted] = useState<QuestionId | null>(null);
  const [tried, setTried] = useState(false);
  const craft = useMemo(
    () => craftFacts(roster.craft.find((each) => each.id === occurrence.craftId) ?? USUAL_CRAFT),
    [roster, occurrence],
  );
  const { findings } = draft;
  const known = useMemo(() => answersOf(findings.evidence), [findings.evidence]);
  const ranking = useMemo(() => {
    const started = performance.now();
    const ranked = rank(known, craft, model);
    performance.measure('skelby.rank', { start: started });
    return ranked;
  }, [known, craft, model]);
  const sums = useMemo(() => sumsFor(known), [known]);
  const closedBefore = !justSaved && page.debrief?.state === 'closed';
  const under = `${KIND_WORDS[occurrence.kind]}${occurrence.craftId ? '' : ' · craft not recorded: a usual one is taken'}`;
  const up = `/occurrence/${occurrence.id}` as const;

  if (closedBefore && draft.reason === '') {
    return (
      <Screen title={occurrence.pilotName} under={under} up={up}>
        <Note
          icon="lock"
          heading="This debrief is closed"
        >{`Decided: ${causeOf(page.debrief!.findings.primary!).name}. Every version is kept; to change it, say why.`}</Note>
        <ReasonForm
          open="Reopen it"
          question="Why is it reopened?"
          act="Reopen"
          busy={false}
          error={null}
          onGive={(reason) => change({ reason })}
        />
      </Screen>
    );
  }
  if (!draft.picked) {
    return (
      <Screen title={occurrence.pilotName} under={under} up={up}>
        <OwnPick
          loggedCauseId={occurrence.causeId}
          onPick={(ownPick) => {
            change({ picked: true, findings: { ...findings, ownPick } });
          }}
        />
      </Screen>
    );
  }

  const proposed = ranking.stance === 'not-known' ? null : ranking.causes[0]!.id;
  const complete = {
    ...findings,
    chain: chainOf(findings, known, occurrence.kind),
    overruleReason: findings.overruleReason.trim(),
    wentWell: findings.wentWell.trim(),
  };
  const missing = missingToClose(complete, proposed);
  const send = (state: 'open' | 'closed') => {
    const saved = state === 'closed' ? complete : findings;
    const weaknessId = saved.primary
      ? weaknessKey(saved.primary, draft.keys.weaknessId)
      : draft.keys.weaknessId;
    save.mutate(
      { base: draft.base, state, reason: draft.reason, findings: saved, keys: { ...draft.keys, weaknessId } },
      {
        onSuccess: () => {
          drop();
          if (state === 'closed') router.replace(`/weakness/${weaknessId}`);
          else router.replace(up);
        },
      },
    );
  };
  const close = () => {
    setTried(true);
    if (missing.length === 0) send('closed');
  };
  const askAgain = (id: QuestionId | null) => {
    setWanted(id);
    if (id !== null) setStep('ask');
  };
  const asked = nextOf(ranking, draft.skipped, wanted);
  const panel = <RankingPanel ranking={ranking} onAsk={askAgain} />;
  const told = <ToldList evidence={findings.evidence} known={known} onWant={askAgain} />;
  const sumCards = sums.map((sum) => (
    <SumCard
      key={`${sum.id} ${JSON.stringify(sum.start(known, craft))}`}
      sum={sum}
      given={sum.start(known, craft)}
      craft={craft}
    />
  ));

  return (
    <Screen
      title={occurrence.pilotName}
      under={under}
      up={up}
      topic={`${step} ${asked ?? ''}`}
      aside={
        step === 'ask' ? (
          wide ? (
            panel
          ) : (
            <>
              {panel}
              {told}
            </>
          )
        ) : step === 'decide' && wide ? (
          panel
        ) : undefined
      }
      foot={
        <>
          {save.error ? <Words as="strong" role="alert">{`! ${save.error.message}`}</Words> : null}
          {step === 'decide' && tried && missing.length > 0 ? (
            <Words as="strong" role="alert">
              {missing.map((each) => `! ${each.message}`).join('\n')}
            </Words>
          ) : null}
          {step === 'decide' ? (
            <Button
              kind="main"
              icon="check"
              label={save.isPending ? 'Closing …' : 'Close the debrief'}
              disabled={save.isPending || overtaken}
              onPress={close}
            />
          ) : (
            <Button
              kind={step === 'ask' ? 'plain' : 'solid'}
              icon="arrow-right"
              label={step === 'ask' && sums.length > 0 ? `Look at the sums (${sums.length})` : 'Decide'}
              onPress={() => setStep(step === 'ask' && sums.length > 0 ? 'sums' : 'decide')}
            />
          )}
        </>
      }
    >
      {overtaken || (save.error instanceof ApiProblem && save.error.status === 409) ? (
        <Note icon="users" heading="Somebody saved this debrief meanwhile">
          <Words>{`Version ${page.versions[0]?.number ?? ''}${page.versions[0]?.by ? `, by ${page.versions[0].by}` : ''}. Yours is still on this phone.`}</Words>
          <ButtonRow>
            <Button
              label="Take theirs"
              onPress={() => {
                save.reset();
                rebase('theirs');
              }}
            />
            <Button
              label="Keep mine on top"
              onPress={() => {
                save.reset();
                rebase('mine');
              }}
            />
          </ButtonRow>
        </Note>
      ) : null}
      <Choice
        label="Step of the debrief"
        quiet
        value={step}
        onChange={setStep}
        options={[
          { value: 'ask', label: 'Ask' },
          { value: 'sums', label: `Sums ${sums.length}` },
          { value: 'decide', label: 'Decide' },
        ]}
      />
      {step === 'ask' ? (
        <>
          {wide ? null : <RankingStrip ranking={ranking} />}
          <Ask
            evidence={findings.evidence}
            known={known}
            ranking={ranking}
            asked={asked}
            layout={occurrence.pilotStickLayout}
            wanted={wanted}
            onWant={setWanted}
            onEvidence={(evidence) => find({ evidence })}
            onSkip={(id) => change({ skipped: [...draft.skipped, id] })}
          />
          {wide ? told : null}
        </>
      ) : null}
      {step === 'sums' ? (
        sums.length === 0 ? (
          <Words>No number or state was told that a sum could work with. Ask on, or decide.</Words>
        ) : (
          <View style={{ gap: 28 }}>{sumCards}</View>
        )
      ) : null}
      {step === 'decide' ? (
        <>
          <Decide
            findings={findings}
            find={find}
            ranking={ranking}
            known={known}
            kind={occurrence.kind}
            missing={missing}
            wantsReason={
              save.error instanceof ApiProblem &&
              save.error.errors.some((each) => each.field === 'findings.overruleReason')
            }
          />
          <Button
            kind="quiet"
            label={save.isPending ? 'Saving …' : 'Save it as it is and finish later'}
            disabled={save.isPending}
            onPress={() => send('open')}
          />
        </>
      ) : null}
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
