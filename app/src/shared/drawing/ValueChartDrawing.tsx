import { recordedValueWords } from '@skelby/copy/recorded-values';
import type { DrillId } from '@skelby/core/drills/drills';
import { RECORDED_VALUES } from '@skelby/core/assessment/recorded-value';
import { useState } from 'react';
import { View } from 'react-native';
import { LineChart } from 'react-native-gifted-charts';
import { useUnits } from '../api/use-units';
import { valuesLine } from '../copy/value-copy';
import { FONT, useTheme } from '../ui/theme';
import { Words } from '../ui/Words';

const AXIS_WIDTH = 44;
const HEIGHT = 110;
const DOT = 12;
/** More would stand on each other on a phone. */
const SHOWN = 40;

export interface ValueChartProps {
  readonly drillId: DrillId;
  /** In the order they were flown. */
  readonly reps: readonly { readonly id: string; readonly met: boolean; readonly value: number }[];
}

/** So many times the greatest value that was met is the top of the picture: one runaway hides no progress. */
const TOP = 3;

/** The top of the picture, in the unit of the values. */
function topOf(values: readonly number[], reps: ValueChartProps['reps'], step: number): number {
  const met = values.filter((_, i) => reps[i]!.met);
  const room = met.length > 0 ? TOP * Math.max(step, ...met) : Infinity;
  return Math.max(step, Math.min(room, Math.max(...values)));
}

/** What was measured of a drill, rep by rep: met filled, missed hollow. */
export function ValueChartDrawing({ drillId, reps: all }: ValueChartProps) {
  const theme = useTheme();
  const { units, unit, from } = useUnits();
  const [width, setWidth] = useState(0);
  const recorded = RECORDED_VALUES[drillId];
  const reps = all.slice(-SHOWN);
  if (!recorded || reps.length < 2) return null;
  const heading = `${recordedValueWords(drillId)}, ${unit(recorded.unit)}, ${all.length > SHOWN ? `the last ${SHOWN} reps` : 'rep by rep'}`;
  const newestFirst = [...reps].reverse();
  const sentence = valuesLine(drillId, newestFirst, units)!;
  const values = reps.map(({ value }) => from(value, recorded.unit));
  const top = topOf(values, reps, recorded.step);
  const beyond = values.some((value) => value > top);
  const dot = (met: boolean) => (
    <View
      style={{
        width: DOT,
        height: DOT,
        borderRadius: DOT / 2,
        borderWidth: 3,
        borderColor: theme.ink,
        backgroundColor: met ? theme.ink : theme.ground,
      }}
    />
  );
  return (
    <View style={{ gap: 8 }} onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      <Words as="strong">{heading}</Words>
      {width > 0 ? (
        <View role="img" aria-label={sentence}>
          <LineChart
            data={reps.map(({ met }, i) => ({
              value: Math.min(top, values[i]!),
              customDataPoint: () => dot(met),
            }))}
            width={width - AXIS_WIDTH}
            height={HEIGHT}
            spacing={Math.min(48, (width - AXIS_WIDTH - 24) / Math.max(1, reps.length - 1))}
            initialSpacing={10}
            endSpacing={0}
            disableScroll
            maxValue={top * 1.15}
            noOfSections={2}
            yAxisLabelWidth={AXIS_WIDTH - 6}
            yAxisTextStyle={{ fontFamily: FONT.bold, fontSize: 15, color: theme.ink }}
            showFractionalValues
            roundToDigits={1}
            formatYLabel={(label) => String(Number(Number(label).toFixed(1)))}
            hideRules
            color={theme.rule}
            thickness={2}
            dataPointsWidth={DOT}
            dataPointsHeight={DOT}
            yAxisColor={theme.ink}
            xAxisColor={theme.ink}
            xAxisThickness={2}
            yAxisThickness={2}
          />
        </View>
      ) : (
        <View style={{ height: HEIGHT }} />
      )}
      <Words as="soft">{`Filled: met. Hollow: missed.${beyond ? ' At the top: more than drawn.' : ''}`}</Words>
    </View>
  );
}
