import { type Chart, cleanRepsToGo, type ClearingRule } from '@skelby/core';
import { useState } from 'react';
import { View } from 'react-native';
import { LineChart } from 'react-native-gifted-charts';
import { FONT, useTheme } from '../ui/theme';
import { Words } from '../ui/Words';
import { plural } from '../words/words';
import { chartName } from './rung-words';

const AXIS_WIDTH = 36;
const LEAST_STEPS = 10;

interface CurveChartProps {
  readonly chart: Chart;
  readonly rule: ClearingRule;
  readonly height?: number;
  readonly named?: boolean;
}

/** What the chart shows, in a sentence. */
export function curveSentence(chart: Chart, rule: ClearingRule): string {
  const { curve } = chart;
  if (curve.reachedAt !== null) return `Limit reached at test rep ${curve.reachedAt}.`;
  if (curve.reps === 0) return `No test rep yet; ${cleanRepsToGo(rule, curve.at)} clean ones in a row would do.`;
  return `After ${plural(curve.reps, 'test rep')}: ${cleanRepsToGo(rule, curve.at)} clean ones in a row would reach the limit.`;
}

/** The learning-curve CUSUM of one drill or side, with its limit as a dashed line. */
export function CurveChart({ chart, rule, height = 150, named = true }: CurveChartProps) {
  const theme = useTheme();
  const [width, setWidth] = useState(0);
  const { curve } = chart;
  const top = Math.max(curve.limit, ...curve.scores) * 1.12;
  const steps = Math.max(LEAST_STEPS, curve.scores.length - 1);
  const sentence = curveSentence(chart, rule);
  return (
    <View style={{ gap: 4 }} onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      {named ? <Words as="strong">{chartName(chart)}</Words> : null}
      {width > 0 ? (
        <View role="img" aria-label={`${chartName(chart)}: ${sentence}`}>
          <LineChart
            data={curve.scores.map((value) => ({ value }))} width={width - AXIS_WIDTH} height={height} spacing={(width - AXIS_WIDTH - 16) / steps}
            initialSpacing={6} endSpacing={0} disableScroll maxValue={top} noOfSections={2} hideRules yAxisLabelWidth={AXIS_WIDTH - 6}
            color={theme.ink} thickness={4} dataPointsColor={theme.ink} dataPointsRadius={4}
            yAxisColor={theme.ink} xAxisColor={theme.ink} xAxisThickness={2} yAxisThickness={2} hideYAxisText
            showReferenceLine1 referenceLine1Position={curve.limit}
            referenceLine1Config={{ color: theme.ink, thickness: 3, dashWidth: 8, dashGap: 6, labelText: 'Limit', labelTextStyle: { fontFamily: FONT.bold, fontSize: 15, color: theme.ink, marginTop: -24, marginLeft: 8 } }}
          />
        </View>
      ) : <View style={{ height }} />}
      <Words as="soft">{sentence}</Words>
    </View>
  );
}
