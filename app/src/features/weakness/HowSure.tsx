import type { Clearance } from '@skelby/core/clearance/clearance';
import type { ClearingRule } from '@skelby/core/clearance/clearing-rule';
import { whatItTakes } from '@skelby/core/clearance/rule-costs';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Button } from '../../shared/ui/Button';
import { Words } from '../../shared/ui/Words';
import { plural } from '../../shared/copy/copy';
import { sureSentences } from '../../shared/copy/sure-copy';

/** What a competent pilot will need, said before the first test. */
export function WhatItTakes({
  rule,
  clearance: { charts, coverage },
}: {
  readonly rule: ClearingRule;
  readonly clearance: Pick<Clearance, 'charts' | 'coverage'>;
}) {
  const needs = charts.map(({ curve }) => curve.limit).join();
  const { reps, ninetieth, days } = useMemo(
    () => whatItTakes(rule, needs.split(',').map(Number)),
    [rule, needs],
  );
  const asFlown = coverage.filter(({ what }) => what === 'as-flown').length;
  return (
    <Words as="soft">{`A competent pilot takes about ${reps} tests and checks on ${days} days for ${plural(charts.length, 'chart')}; nine in ten are through by ${ninetieth}.${asFlown > 0 ? ` Two or three more of ${plural(asFlown, 'drill')} are flown with hold on.` : ''}`}</Words>
  );
}

export function HowSure({ rule, mostReps }: { readonly rule: ClearingRule; readonly mostReps: number }) {
  const [open, setOpen] = useState(false);
  return (
    <View style={{ gap: 8 }}>
      <Button
        kind="quiet"
        label={open ? 'Hide how sure this is' : 'How sure is this?'}
        onPress={() => setOpen(!open)}
      />
      {open
        ? sureSentences(rule, mostReps).map((sentence) => (
            <Words key={sentence} as="soft">
              {sentence}
            </Words>
          ))
        : null}
    </View>
  );
}
