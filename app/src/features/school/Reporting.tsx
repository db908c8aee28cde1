import { setReporting } from '@skelby/core/commands/handles';
import { REPORT_WHEN, type ReportingRule } from '@skelby/core/debrief/reporting';
import { useState } from 'react';
import { View } from 'react-native';
import { useSaveNow } from '../../offline/overlay/record-queries';
import { useRoster } from '../../offline/overlay/use-roster';
import { REPORT_WHEN_WORDS } from '../../shared/copy/report-copy';
import { Choice } from '../../shared/forms/Choice';
import { Stepper } from '../../shared/forms/Stepper';
import { TextBox } from '../../shared/forms/TextBox';
import { Button } from '../../shared/ui/Button';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { offerUndo } from '../../shared/ui/undo';

const FRESH: ReportingRule = { when: 'injury', to: '', withinHours: 72 };
const MOST_HOURS = 720;

/** A rule being written. */
function NewRule({ onAdd }: { readonly onAdd: (rule: ReportingRule) => void }) {
  const [rule, setRule] = useState(FRESH);
  const put = (part: Partial<ReportingRule>) => setRule((last) => ({ ...last, ...part }));
  return (
    <View style={{ gap: 12 }}>
      <Choice
        label="When"
        value={rule.when}
        onChange={(when) => put({ when })}
        options={REPORT_WHEN.map((value) => ({ value, label: REPORT_WHEN_WORDS[value] }))}
      />
      <TextBox
        label="Whom to tell, and how"
        value={rule.to}
        onChangeText={(to) => put({ to })}
        maxLength={200}
      />
      <Stepper
        label="Within hours"
        value={rule.withinHours}
        onChange={(withinHours) => put({ withinHours: withinHours ?? FRESH.withinHours })}
        least={1}
        most={MOST_HOURS}
        step={1}
        unit="h"
      />
      <Button
        icon="plus"
        label="Add this rule"
        disabled={rule.to.trim() === ''}
        onPress={() => {
          onAdd({ ...rule, to: rule.to.trim() });
          setRule(FRESH);
        }}
      />
    </View>
  );
}

/** What this school has to report after an occurrence, to whom, and how soon. */
export function Reporting() {
  const roster = useRoster();
  const save = useSaveNow(setReporting);
  const [adding, setAdding] = useState(false);
  const rules = roster.data?.reporting ?? [];
  const put = (next: readonly ReportingRule[]) => {
    save.mutate({ keys: {}, body: { rules: [...next] } });
    setAdding(false);
  };
  return (
    <Part
      heading="To be reported"
      end={adding ? null : <Button icon="plus" label="Add a rule" onPress={() => setAdding(true)} />}
    >
      <Words as="soft">
        Shown after every crash and near-miss it applies to. Local rules decide what belongs here.
      </Words>
      {rules.map((rule, i) => (
        <View key={`${rule.when} ${rule.to}`} style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
          <Words
            style={{ flex: 1 }}
          >{`${REPORT_WHEN_WORDS[rule.when]}: ${rule.to}, within ${rule.withinHours} h`}</Words>
          <Button
            icon="x"
            label=""
            says={`Leave out ${rule.to}`}
            onPress={() => {
              offerUndo(`${rule.to} left out`, () => put(rules));
              put(rules.filter((_, at) => at !== i));
            }}
          />
        </View>
      ))}
      {adding ? <NewRule onAdd={(rule) => put([...rules, rule])} /> : null}
      {save.error ? <Words as="strong" role="alert">{`! ${save.error.message}`}</Words> : null}
    </Part>
  );
}
