import { useState } from 'react';
import { View } from 'react-native';
import { LineChart } from 'react-native-gifted-charts';
import { FONT, useTheme } from '../ui/theme';

const AXIS_WIDTH = 44;
const HEIGHT = 150;
const SECTIONS = 3;

/** The next round figure: 1, 2 or 5 and noughts. */
function stepOf(least: number): number {
  const ten = 10 ** Math.floor(Math.log10(least));
  return ([1, 2, 5].find((each) => each * ten >= least) ?? 10) * ten;
}

export interface RateChartProps {
  /** Period after period. */
  readonly points: readonly { readonly rate: number; readonly high: number; readonly label: string }[];
  readonly centre: number;
  /** What it shows, in words. */
  readonly sentence: string;
}

/** Rates over time, with the mean and the limit above which chance alone seldom goes. */
export function RateChartDrawing({ points, centre, sentence }: RateChartProps) {
  const theme = useTheme();
  const [width, setWidth] = useState(0);
  const greatest = Math.max(1, ...points.map(({ rate, high }) => Math.max(rate, Math.min(high, 4 * centre))));
  const top = SECTIONS * stepOf(greatest / SECTIONS);
  const spacing = Math.max(4, (width - AXIS_WIDTH - 36) / Math.max(1, points.length - 1));
  const every = Math.ceil(points.length / 6);
  return (
    <View style={{ minHeight: HEIGHT }} onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      {width > 0 ? (
        <View role="img" aria-label={sentence}>
          <LineChart
            data={points.map(({ rate, label }, i) => ({
              value: rate,
              label: i % every === 0 ? label : '',
            }))}
            data2={points.map(({ high }) => ({ value: Math.min(high, top) }))}
            dataPointsColor={theme.ink}
            dataPointsRadius={5}
            hideDataPoints2
            color={theme.ink}
            color2={theme.ink}
            thickness={2}
            thickness2={2}
            strokeDashArray2={[6, 6]}
            stepChart2
            width={width - AXIS_WIDTH}
            height={HEIGHT - 30}
            spacing={spacing}
            initialSpacing={18}
            endSpacing={0}
            disableScroll
            maxValue={top}
            noOfSections={SECTIONS}
            showReferenceLine1
            referenceLine1Position={centre}
            referenceLine1Config={{ color: theme.rule, thickness: 2, dashWidth: 0, dashGap: 0 }}
            yAxisLabelWidth={AXIS_WIDTH - 6}
            yAxisTextStyle={{ fontFamily: FONT.bold, fontSize: 15, color: theme.ink }}
            xAxisLabelTextStyle={{ fontFamily: FONT.plain, fontSize: 13, color: theme.ink }}
            formatYLabel={(label) => String(Number(Number(label).toFixed(1)))}
            hideRules
            yAxisColor={theme.ink}
            xAxisColor={theme.ink}
            xAxisThickness={2}
            yAxisThickness={2}
          />
        </View>
      ) : null}
    </View>
  );
}
