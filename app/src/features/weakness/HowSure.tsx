import type { Clearance } from '@skelby/core/clearance/clearance';
import type { ClearingRule } from '@skelby/core/clearance/clearing-rule';
import { whatItTakes } from '@skelby/core/clearance/rule-costs';
import { FEWEST_LATELY, forecastOf, repsAPackOf, wentLately } from '@skelby/core/clearance/forecast';
import type { WeaknessState } from '@skelby/core/clearance/rungs';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Button } from '../../shared/ui/Button';
import { Words } from '../../shared/ui/Words';
import { plural } from '../../shared/copy/copy';
import { sureSentences } from '../../shared/copy/sure-copy';
import { forecastSentence } from './forecast-copy';
import type { WorkedOut } from '../../offline/overlay/weakness-queries';

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

/** What is still ahead, if reps go on as they went lately; nothing before there are enough of them. */
export function AtThisRate({ rule, worked }: { readonly rule: ClearingRule; readonly worked: WorkedOut }) {
  const { clearance, reps, facts } = worked;
  const said = useMemo(() => {
    if (!BEFORE_SIGNATURE.includes(clearance.state)) return null;
    const lately = wentLately(reps, facts.keyDrills);
    if (lately.met + lately.missed < FEWEST_LATELY) return null;
    return forecastSentence(lately, forecastOf(rule, clearance, lately, repsAPackOf(reps)));
  }, [rule, clearance, reps, facts.keyDrills]);
  return said && <Words as="soft">{said}</Words>;
}
const BEFORE_SIGNATURE: readonly WeaknessState[] = ['open', 'drilling', 'ready-for-check'];

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
