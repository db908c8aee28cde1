import { said } from '@skelby/copy/say';
import { drillGroupName } from '@skelby/copy/drills';
import { causeWords } from '@skelby/copy/causes';
import type { DrillBook } from '@skelby/copy/drill-book';
import { useDrills } from '../../shared/api/use-drills';
import { causeOf } from '@skelby/core/causes/causes';
import { DRILL_GROUPS } from '@skelby/core/drills/drill';
import type { DrillId } from '@skelby/core/drills/drills';
import { keyDrillsFor, suits } from '@skelby/core/plan/key-drills';
import { isProposal, leftOutOf, planProblem, proposePlan } from '@skelby/core/plan/propose-plan';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { WeaknessPage } from '@skelby/core/pages/pages';
import { useKeptState } from '../../shared/storage/use-kept-state';
import { useUnits } from '../../shared/api/use-units';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { PressRow, Rows } from '../../shared/ui/Rows';
import { Part, Screen } from '../../shared/ui/Screen';
import { TextBox } from '../../shared/forms/TextBox';
import { themed } from '../../shared/ui/theme';
import { useGoBack } from '../../shared/ui/use-go-back';
import { Words } from '../../shared/ui/Words';
import { usePutPlan, useWeakness } from '../../offline/overlay/weakness-queries';
import { untilCleared } from '../../shared/copy/restriction-copy';
import { Note } from '../../shared/ui/Note';
import { leftOutWords, whyWords } from './why-copy';
import { offerUndo } from '../../shared/ui/undo';

const useStyles = themed((theme) => ({
  planned: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    paddingVertical: 10,
    borderBottomWidth: 1,
    borderBottomColor: theme.rule,
  },
  words: { flex: 1, minWidth: 0 },
}));

function AddDrill({
  page,
  chosen,
  onAdd,
}: {
  readonly page: WeaknessPage;
  readonly chosen: readonly string[];
  readonly onAdd: (id: DrillId) => void;
}) {
  const { all } = useDrills();
  const fits = all.filter((drill) => !chosen.includes(drill.id) && suits(drill.id, page.pilot.mode));
  const own = causeOf(page.weakness.causeId).drills;
  const suggested = fits.filter((drill) => own.includes(drill.id));
  const rows = (drills: DrillBook['all']) =>
    drills.map((drill) => (
      <PressRow key={drill.id} title={drill.name} under={drill.trains} onPress={() => onAdd(drill.id)} />
    ));
  return (
    <>
      {suggested.length > 0 ? (
        <Part heading="Also for this cause">
          <Rows>{rows(suggested)}</Rows>
        </Part>
      ) : null}
      {DRILL_GROUPS.map((group) => {
        const drills = fits.filter((drill) => drill.group === group && !own.includes(drill.id));
        return drills.length === 0 ? null : (
          <Part key={group} heading={drillGroupName(group)}>
            <Rows>{rows(drills)}</Rows>
          </Part>
        );
      })}
    </>
  );
}

interface Planning {
  readonly drillIds: readonly DrillId[];
  readonly reason: string;
}

/** A plan being changed. */
function usePlanForm(page: WeaknessPage) {
  const put = usePutPlan(page);
  const { causeId } = page.weakness;
  const { mode } = page.pilot;
  const { known } = page;
  const before = page.plans[0]?.drillIds ?? [];
  const [{ drillIds, reason }, keepPlanned, forget] = useKeptState<Planning>('plan', {
    drillIds: before,
    reason: '',
  });
  const setDrillIds = (ids: readonly DrillId[]) => keepPlanned({ drillIds: ids, reason });
  const isChanged = drillIds.join() !== before.join();
  const isProposed = isProposal(causeId, mode, drillIds, known);
  const up = `/weakness/${page.weakness.id}` as const;
  const goBack = useGoBack(up);
  const leave = () => {
    forget();
    goBack();
  };
  return {
    up,
    causeId,
    mode,
    known,
    drillIds,
    key: keyDrillsFor(causeOf(causeId), mode),
    leftOut: leftOutOf(causeId, mode, known).filter(({ drillId }) => !drillIds.includes(drillId)),
    isChanged,
    isProposed,
    needsReason: isChanged && !isProposed,
    problem: planProblem(causeId, mode, drillIds),
    reason,
    setReason: (text: string) => keepPlanned({ drillIds, reason: text }),
    put,
    add: (id: DrillId) => setDrillIds([...drillIds, id]),
    drop: (id: DrillId, name: string) => {
      offerUndo(`${name} dropped`, () => setDrillIds(drillIds));
      setDrillIds(drillIds.filter((each) => each !== id));
    },
    raise: (i: number) =>
      setDrillIds(drillIds.map((id, at) => (at === i - 1 ? drillIds[i]! : at === i ? drillIds[i - 1]! : id))),
    propose: () => setDrillIds(proposePlan(causeId, mode, known).map((planned) => planned.drillId)),
    save: () => put.mutate({ drillIds, reason: reason.trim() }, { onSuccess: leave }),
  };
}

interface FormProps {
  readonly form: ReturnType<typeof usePlanForm>;
}

/** The drills in order, each to be raised or dropped. */
function Planned({ form: { drillIds, causeId, mode, key, known, raise, drop } }: FormProps) {
  const { drillOf } = useDrills();
  const { sentence } = useUnits();
  const styles = useStyles();
  return (
    <View role="list">
      {drillIds.map((id, i) => (
        <View key={id} role="listitem" style={styles.planned}>
          <View style={styles.words}>
            <Words as="strong">{`${i + 1}. ${drillOf(id).name}`}</Words>
            <Words as="soft">{sentence(whyWords(id, { causeId, mode, key }, known, drillOf))}</Words>
          </View>
          {i > 0 ? (
            <Button icon="arrow-up" label="" says={`${drillOf(id).name} earlier`} onPress={() => raise(i)} />
          ) : null}
          <Button
            icon="x"
            label=""
            says={`Drop ${drillOf(id).name}`}
            onPress={() => drop(id, drillOf(id).name)}
          />
        </View>
      ))}
    </View>
  );
}

function SavePlan({ form: { put, problem, isChanged, save } }: FormProps) {
  const { drillOf } = useDrills();
  const wrong = problem ? said(problem, { drillOf }) : put.error?.message;
  return (
    <>
      {wrong ? <Words as="strong" role="alert">{`! ${wrong}`}</Words> : null}
      <Button
        kind="main"
        icon="check"
        label={put.isPending ? 'Saving …' : 'Use this plan'}
        disabled={put.isPending || !isChanged || problem !== null}
        onPress={save}
      />
    </>
  );
}

function PlanOf({ page }: { readonly page: WeaknessPage }) {
  const { drillOf } = useDrills();
  const form = usePlanForm(page);
  const [adding, setAdding] = useState(false);
  const { up, causeId, reason, put } = form;
  if (adding) {
    return (
      <Screen
        title="Add a drill"
        under={page.pilot.name}
        up={up}
        foot={<Button label="Back to the plan" onPress={() => setAdding(false)} />}
      >
        <AddDrill
          page={page}
          chosen={form.drillIds}
          onAdd={(id) => {
            form.add(id);
            setAdding(false);
          }}
        />
      </Screen>
    );
  }
  return (
    <Screen
      title="Change the plan"
      under={`${page.pilot.name} · ${causeWords(causeId).name}`}
      up={up}
      foot={<SavePlan form={form} />}
    >
      <Note icon="slash" heading="Until cleared">
        {untilCleared(causeId)}
      </Note>
      <Planned form={form} />
      <ButtonRow>
        <Button icon="plus" label="Add a drill" onPress={() => setAdding(true)} />
        {form.isProposed ? null : <Button kind="quiet" label="Back to the proposal" onPress={form.propose} />}
      </ButtonRow>
      {form.leftOut.map(({ drillId, why }) => (
        <Words key={drillId} as="soft">{`Left out: ${drillOf(drillId).name}, ${leftOutWords(why)}.`}</Words>
      ))}
      {form.needsReason ? (
        <TextBox
          label="Why another plan than the proposal?"
          value={reason}
          onChangeText={form.setReason}
          maxLength={300}
          multiline
          error={put.error && reason.trim() === '' ? 'Reason is empty: say why in a few words.' : undefined}
        />
      ) : null}
    </Screen>
  );
}

export function PlanScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const query = useWeakness(id);
  return (
    <Loaded query={query} title="Change the plan" up={`/weakness/${id}`}>
      {(page) => <PlanOf page={page} />}
    </Loaded>
  );
}
