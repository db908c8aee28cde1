import { memo, useDeferredValue, useState } from 'react';
import { View } from 'react-native';
import { LineChart } from 'react-native-gifted-charts';
import { FONT, useTheme } from '../ui/theme';
import { Words } from '../ui/Words';

const AXIS_WIDTH = 36;
const LEAST_STEPS = 10;

export interface CurveChartProps {
  readonly curve: {
    readonly scores: readonly number[];
    readonly limit: number;
    readonly scale?: 'evidence' | 'score';
  };
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

/** Evidence below this is drawn at it. */
const LEAST_EVIDENCE = 0.01;

interface Drawn {
  readonly heights: readonly number[];
  readonly limit: number;
  readonly top: number;
  /** From below; none for a score, whose height means nothing by itself. */
  readonly labels: readonly string[];
  readonly limitLabel: string;
}

/** Heights to draw: a score as it is, evidence by its power of ten. */
function drawnOf({ scores, limit, scale }: CurveChartProps['curve']): Drawn {
  if (scale !== 'evidence')
    return {
      heights: scores,
      limit,
      top: Math.max(limit, ...scores) * 1.12,
      labels: [],
      limitLabel: 'Pass',
    };
  const height = (evidence: number) => Math.log10(Math.max(evidence, LEAST_EVIDENCE) / LEAST_EVIDENCE);
  const decades = Math.ceil(height(limit) - 1e-9);
  return {
    heights: scores.map(height),
    limit: height(limit),
    top: decades,
    labels: Array.from({ length: decades + 1 }, (_, i) =>
      String(Number((LEAST_EVIDENCE * 10 ** i).toPrecision(1))),
    ),
    limitLabel: 'Pass',
  };
}

const Picture = memo(function Picture({ curve, width, height }: PictureProps) {
  const theme = useTheme();
  const { heights, limit, top, labels, limitLabel } = drawnOf(curve);
  const steps = Math.max(LEAST_STEPS, curve.scores.length - 1);
  return (
    <LineChart
      data={heights.map((value) => ({ value }))}
      width={width - AXIS_WIDTH}
      height={height}
      spacing={(width - AXIS_WIDTH - 16) / steps}
      initialSpacing={6}
      endSpacing={0}
      disableScroll
      maxValue={top}
      noOfSections={labels.length > 0 ? labels.length - 1 : 2}
      overflowTop={labels.length > 0 ? 14 : 0}
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
      hideYAxisText={labels.length === 0}
      yAxisLabelTexts={[...labels]}
      yAxisTextStyle={{ fontFamily: FONT.plain, fontSize: 13, color: theme.ink }}
      showReferenceLine1
      referenceLine1Position={limit}
      referenceLine1Config={{
        color: theme.ink,
        thickness: 3,
        dashWidth: 8,
        dashGap: 6,
        labelText: limitLabel,
        labelTextStyle: {
          fontFamily: FONT.bold,
          fontSize: 15,
          color: theme.ink,
          marginTop: labels.length > 0 ? 4 : -24,
          marginLeft: 8,
        },
      }}
    />
  );
});

/**
 * The test of one drill or side with its limit as a dashed line, or the relapse chart of a weakness: evidence on a
 * log scale, a CUSUM on a plain one. Its words change at once; the picture, dearer to draw, a moment later.
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
