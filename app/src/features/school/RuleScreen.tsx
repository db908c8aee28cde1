import type { ClearingRule } from '@skelby/core/clearance/clearing-rule';
import type { RuleCosts } from '@skelby/core/clearance/rule-costs';
import { percent } from '@skelby/core/vocabulary/percent';
import { View } from 'react-native';
import { useRule } from '../../offline/overlay/rule-queries';
import { STANDING_LINE } from '../../shared/copy/copy';
import { Choice } from '../../shared/forms/Choice';
import { ReasonForm } from '../../shared/forms/ReasonForm';
import { Stepper } from '../../shared/forms/Stepper';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { Part, Screen } from '../../shared/ui/Screen';
import { themed } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';
import { useRuleForm } from './use-rule-form';

const useStyles = themed((theme) => ({
  row: {
    flexDirection: 'row',
    gap: 8,
    borderBottomWidth: 1,
    borderBottomColor: theme.rule,
    paddingVertical: 6,
  },
  name: { flex: 2 },
  cell: { flex: 1 },
  bar: { height: 10, backgroundColor: theme.ink },
}));

const TESTS = [
  { value: 'evidence', label: 'Evidence: holds for life' },
  { value: 'strict', label: 'Strict evidence: a good day counts for less, judged when it is over' },
  { value: 'learning-curve', label: 'Learning curve: within the planned reps' },
] as const;

const SIGNERS = [
  { value: 'any', label: 'Any trainer' },
  { value: 'second', label: 'Somebody who counted none of its tests' },
] as const;

type Form = ReturnType<typeof useRuleForm>;

/** The numbers of the rule, each with its limits. */
function Numbers({ rule, change }: Pick<Form, 'rule' | 'change'>) {
  const whole = (
    name: Exclude<keyof Form['rule'], 'test' | 'sidesAlike' | 'secondSigner'>,
    label: string,
    unit: string,
    [least, most]: readonly [number, number],
  ) => (
    <Stepper
      label={label}
      unit={unit}
      value={rule[name]}
      step={1}
      least={least}
      most={most}
      error={undefined}
      onChange={(value) => value !== null && change({ [name]: Math.round(value) })}
    />
  );
  return (
    <Part heading="The rule">
      <Choice label="Test" options={TESTS} value={rule.test} onChange={(test) => change({ test })} />
      {whole('unacceptableMissPercent', 'Not yet competent: misses', '%', [20, 60])}
      {whole('acceptableMissPercent', 'Competent: misses', '%', [2, 25])}
      {whole('riskPercent', 'Risk of clearing by luck', '%', [1, 25])}
      {rule.test === 'learning-curve' ? whole('plannedReps', 'Planned reps', 'reps', [10, 120]) : null}
      {whole('testsADay', 'Tests of a chart a day', 'reps', [1, 6])}
      {whole('passDays', 'Met on separate days', 'days', [2, 6])}
      {whole('checkGapDays', 'Rest before the check', 'days', [5, 30])}
      {whole('mostDaysBetweenChecks', 'Between checks on watch, at most', 'days', [30, 180])}
      <Choice
        label="Signed by"
        options={SIGNERS}
        value={rule.secondSigner ? 'second' : 'any'}
        onChange={(signer) => change({ secondSigner: signer === 'second' })}
      />
    </Part>
  );
}

/** Names the columns of a table of two rules. */
function Head({ of }: { readonly of: string }) {
  const styles = useStyles();
  return (
    <View style={styles.row}>
      <Words as="soft" style={styles.name}>
        {of}
      </Words>
      <Words as="soft" style={styles.cell}>
        In force
      </Words>
      <Words as="soft" style={styles.cell}>
        These numbers
      </Words>
    </View>
  );
}

/** Two rules side by side: the share that luck lets through, drawn, and the reps of a competent pilot. */
function Costs({ now, wanted }: { readonly now: RuleCosts | null; readonly wanted: RuleCosts }) {
  const styles = useStyles();
  const bar = (share: number) => (
    <View style={styles.cell}>
      <Words>{percent(share, share < 0.0995 ? 1 : 0)}</Words>
      <View style={[styles.bar, { width: `${Math.min(100, 100 * share)}%` }]} />
    </View>
  );
  return (
    <View style={{ gap: 18 }}>
      <View>
        <Head of="Not competent and let through one chart" />
        {wanted.letThrough.flatMap(({ reps, independent, together }, i) => [
          <View key={reps} style={styles.row}>
            <Words style={styles.name}>{`By ${reps} test reps`}</Words>
            {bar(now?.letThrough[i]?.independent ?? 0)}
            {bar(independent)}
          </View>,
          <View key={`${reps} together`} style={styles.row}>
            <Words as="soft" style={styles.name}>
              with good and bad days
            </Words>
            {bar(now?.letThrough[i]?.together ?? 0)}
            {bar(together)}
          </View>,
        ])}
      </View>
      <View>
        <Head of="Reps of a competent pilot, check included" />
        {wanted.competent.map(({ charts, reps, ninetieth }, i) => (
          <View key={charts} style={styles.row}>
            <Words style={styles.name}>{charts === 1 ? 'One chart' : `${charts} charts`}</Words>
            <Words style={styles.cell}>{String(now?.competent[i]?.reps ?? '–')}</Words>
            <Words style={styles.cell}>{`${reps}, nine in ten by ${ninetieth}`}</Words>
          </View>
        ))}
      </View>
      <Words as="soft">
        Made-up pilots, before the check; good and bad days hang together with correlation 0.15.
      </Words>
    </View>
  );
}

function RuleOf({ inForce }: { readonly inForce: ClearingRule }) {
  const form = useRuleForm(inForce);
  const { wanted, now } = form;
  return (
    <Screen
      title="Clearing rule"
      up="/school"
      aside={
        <Part heading="What it costs">
          {wanted.problem ? <Words as="strong" role="alert">{`! ${wanted.problem}`}</Words> : null}
          {wanted.costs ? <Costs now={now.costs} wanted={wanted.costs} /> : null}
        </Part>
      }
    >
      <Numbers rule={form.rule} change={form.change} />
      {form.isSaved && !form.isOther ? (
        <Note icon="check" live>
          In force for what is opened from now on; what is open keeps its own.
        </Note>
      ) : null}
      {form.isOther && !wanted.problem ? (
        <ReasonForm
          open="Put these numbers in force"
          question="Why? What is open now keeps the rule it was opened under."
          act="Put in force"
          busy={form.isSaving}
          error={form.error}
          onGive={form.save}
        />
      ) : null}
      <Words as="soft">{STANDING_LINE}</Words>
    </Screen>
  );
}

/** How weaknesses are cleared in this school, and what that costs, seen before it is chosen. */
export function RuleScreen() {
  const rule = useRule();
  return (
    <Loaded query={rule} title="Clearing rule" up="/school">
      {(inForce) => <RuleOf key={JSON.stringify(inForce)} inForce={inForce} />}
    </Loaded>
  );
}
