import type { Clearance } from '@skelby/core/clearance/clearance';
import { CHECK_ATTEMPTS } from '@skelby/core/clearance/clearing-rule';
import type { WeaknessPage } from '@skelby/core/pages/pages';
import { View } from 'react-native';
import { chartName, curveSentence } from '../../shared/copy/rung-copy';
import { CurveChart } from '../../shared/drawing';
import { RelapseChart } from '../../shared/drawing/OnWatch';
import { Words } from '../../shared/ui/Words';
import type { Settings } from './settings';

/** Where the drill stands: the chart, or the tally of the check. */
export function DrillStanding({
  settings,
  clearance,
  page,
}: {
  readonly settings: Settings;
  readonly clearance: Clearance;
  readonly page: WeaknessPage;
}) {
  const tally = (clearance.watch?.next ?? clearance.check)?.drills.find(
    (drill) => drill.drillId === settings.drillId,
  );
  if (settings.purpose === 'check' && tally) {
    return (
      <View>
        <Words as="heading">
          {tally.passed
            ? 'Check passed on this drill'
            : `Check: ${tally.met + tally.missed} of ${CHECK_ATTEMPTS} flown`}
        </Words>
        <Words as="figure">{`${tally.met} met · ${tally.missed} missed`}</Words>
      </View>
    );
  }
  if (clearance.watch) return <RelapseChart watch={clearance.watch} rule={page.rule} />;
  const chart = clearance.charts.find(
    (each) => each.drillId === settings.drillId && each.side === settings.side,
  );
  if (!chart) return <Words as="soft">This drill does not decide: practise it as long as it helps.</Words>;
  return (
    <CurveChart
      curve={chart.curve}
      name={chartName(chart)}
      sentence={curveSentence(chart, page.rule)}
      height={118}
      named={chart.side !== null}
    />
  );
}
