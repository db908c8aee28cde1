import type { Clearance } from '@skelby/core/clearance/clearance';
import type { WeaknessPage } from '@skelby/core/pages/pages';
import { View } from 'react-native';
import { chartName, curveSentence, tallyWords } from '../../shared/copy/rung-copy';
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
  const tallies = ((clearance.watch?.next ?? clearance.check)?.drills ?? []).filter(
    (drill) => drill.drillId === settings.drillId,
  );
  if (settings.purpose === 'check' && tallies.length > 0) {
    const here = tallies.find((tally) => tally.side === settings.side) ?? tallies[0]!;
    return (
      <View style={{ gap: 4 }}>
        <Words as="heading">
          {tallies.every((tally) => tally.passed)
            ? 'Check passed on this drill'
            : `Check: ${here.needed} met before two missed`}
        </Words>
        <Words as="figure">{`${here.met} met · ${here.missed} missed`}</Words>
        {tallies
          .filter((tally) => tally !== here && !tally.passed)
          .map((tally) => (
            <Words key={tally.side ?? ''} as="soft">
              {tallyWords(tally)}
            </Words>
          ))}
      </View>
    );
  }
  if (clearance.watch) return <RelapseChart watch={clearance.watch} rule={page.rule} />;
  const chart = clearance.charts.find(
    (each) => each.drillId === settings.drillId && each.side === settings.side,
  );
  if (!chart) return null;
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
