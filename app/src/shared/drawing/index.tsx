import { lazy, memo, Suspense } from 'react';
import { View } from 'react-native';
import type { CurveChartProps } from './CurveChartDrawing';
import type { MovementProps } from './MovementDrawing';
import type { RingProps, SideViewProps, SticksProps } from './pointing';
import type { StickPlateProps } from './StickPlateDrawing';
import type { SumPictureProps } from './SumDrawing';
import type { ValueChartProps } from './ValueChartDrawing';

const CurveChartLater = lazy(() => import('./drawings').then((all) => ({ default: all.CurveChartDrawing })));
const StickPlateLater = lazy(() => import('./drawings').then((all) => ({ default: all.StickPlateDrawing })));
const MovementLater = lazy(() => import('./drawings').then((all) => ({ default: all.MovementDrawing })));
const SumLater = lazy(() => import('./drawings').then((all) => ({ default: all.SumDrawing })));
const ValueChartLater = lazy(() => import('./drawings').then((all) => ({ default: all.ValueChartDrawing })));
const RingLater = lazy(() => import('./drawings').then((all) => ({ default: all.RingDrawing })));
const SideViewLater = lazy(() => import('./drawings').then((all) => ({ default: all.SideViewDrawing })));
const SticksLater = lazy(() => import('./drawings').then((all) => ({ default: all.SticksDrawing })));

const CHART_HEIGHT = 150;
const PLATE_WIDTH = 84;

/** The learning-curve CUSUM of one drill or side. Its place is kept while the drawing code arrives. */
export function CurveChart(props: CurveChartProps) {
  return (
    <Suspense fallback={<View style={{ height: (props.height ?? CHART_HEIGHT) + 48 }} />}>
      <CurveChartLater {...props} />
    </Suspense>
  );
}

/** Both sticks as this pilot has them, with the axes a drill works. */
export const StickPlate = memo(function StickPlate(props: StickPlateProps) {
  const width = props.width ?? PLATE_WIDTH;
  return (
    <Suspense fallback={<View style={{ width: 2 * width + 14, height: width }} />}>
      <StickPlateLater {...props} />
    </Suspense>
  );
});

/** The movement of a drill in time. */
export function Movement(props: MovementProps) {
  return (
    <Suspense fallback={<View style={{ height: 780 }} />}>
      <MovementLater {...props} />
    </Suspense>
  );
}

/** A sum, drawn to scale. */
export function SumPicture(props: SumPictureProps) {
  return (
    <Suspense fallback={<View style={{ height: 174 }} />}>
      <SumLater {...props} />
    </Suspense>
  );
}

/** What was measured of a drill, rep by rep. */
export function ValueChart(props: ValueChartProps) {
  return (
    <Suspense fallback={<View style={{ height: 174 }} />}>
      <ValueChartLater {...props} />
    </Suspense>
  );
}

/** Points a nose or a wind. */
export function Ring(props: RingProps) {
  return (
    <Suspense fallback={<View style={{ height: 240 }} />}>
      <RingLater {...props} />
    </Suspense>
  );
}

/** Points at distance and height. */
export function SideView(props: SideViewProps) {
  return (
    <Suspense fallback={<View style={{ height: 200 }} />}>
      <SideViewLater {...props} />
    </Suspense>
  );
}

/** Points at how far the sticks were moved. */
export function SticksPicker(props: SticksProps) {
  return (
    <Suspense fallback={<View style={{ height: 156 }} />}>
      <SticksLater {...props} />
    </Suspense>
  );
}
