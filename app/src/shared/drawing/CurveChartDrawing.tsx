import { memo, useDeferredValue, useState } from 'react';
import { View } from 'react-native';
import { LineChart } from 'react-native-gifted-charts';
import { FONT, useTheme } from '../ui/theme';
import { Words } from '../ui/Words';

const AXIS_WIDTH = 36;
const LEAST_STEPS = 10;

export interface CurveChartProps {
  readonly curve: { readonly scores: readonly number[]; readonly limit: number };
  readonly name: string;
  /** What the chart shows, in words. */
  readonly sentence: string;
  readonly height?: number;
  readonly named?: boolean;
}

interface PictureProps {
  readonly curve: CurveChartProps['curve'];
  readonly width: number;
  readonly height: number;
}

const Picture = memo(function Picture({ curve, width, height }: PictureProps) {
  const theme = useTheme();
  const top = Math.max(curve.limit, ...curve.scores) * 1.12;
  const steps = Math.max(LEAST_STEPS, curve.scores.length - 1);
  return (
    <LineChart
      data={curve.scores.map((value) => ({ value }))}
      width={width - AXIS_WIDTH}
      height={height}
      spacing={(width - AXIS_WIDTH - 16) / steps}
      initialSpacing={6}
      endSpacing={0}
      disableScroll
      maxValue={top}
      noOfSections={2}
      hideRules
      yAxisLabelWidth={AXIS_WIDTH - 6}
      color={theme.ink}
      thickness={4}
      dataPointsColor={theme.ink}
      dataPointsRadius={4}
      yAxisColor={theme.ink}
      xAxisColor={theme.ink}
      xAxisThickness={2}
      yAxisThickness={2}
      hideYAxisText
      showReferenceLine1
      referenceLine1Position={curve.limit}
      referenceLine1Config={{
        color: theme.ink,
        thickness: 3,
        dashWidth: 8,
        dashGap: 6,
        labelText: 'Limit',
        labelTextStyle: {
          fontFamily: FONT.bold,
          fontSize: 15,
          color: theme.ink,
          marginTop: -24,
          marginLeft: 8,
        },
      }}
    />
  );
});

/**
 * A CUSUM with its limit as a dashed line: the learning curve of one drill or side, or the relapse chart of a
 * weakness. Its words change
 * at once; the picture, dearer to draw, a moment later.
 */
export function CurveChartDrawing({ curve, name, sentence, height = 150, named = true }: CurveChartProps) {
  const [width, setWidth] = useState(0);
  const drawn = useDeferredValue(curve);
  return (
    <View style={{ gap: 8 }} onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      {named ? <Words as="strong">{name}</Words> : null}
      {width > 0 ? (
        <View role="img" aria-label={`${name}: ${sentence}`}>
          <Picture curve={drawn} width={width} height={height} />
        </View>
      ) : (
        <View style={{ height }} />
      )}
      <Words as="soft">{sentence}</Words>
    </View>
  );
}
