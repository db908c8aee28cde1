import { lazy, Suspense } from 'react';
import { View } from 'react-native';
import type { CurveChartProps } from './CurveChartDrawing';
import type { StickPlateProps } from './StickPlateDrawing';

const CurveChartLater = lazy(() => import('./drawings').then((all) => ({ default: all.CurveChartDrawing })));
const StickPlateLater = lazy(() => import('./drawings').then((all) => ({ default: all.StickPlateDrawing })));

const CHART_HEIGHT = 150;
const PLATE_WIDTH = 84;

/** The learning-curve CUSUM of one drill or side. Its place is kept while the drawing code arrives. */
export function CurveChart(props: CurveChartProps) {
  return <Suspense fallback={<View style={{ height: (props.height ?? CHART_HEIGHT) + 48 }} />}><CurveChartLater {...props} /></Suspense>;
}

/** Both sticks as this pilot has them, with the axes a drill works. */
export function StickPlate(props: StickPlateProps) {
  const width = props.width ?? PLATE_WIDTH;
  return <Suspense fallback={<View style={{ width: 2 * width + 14, height: width }} />}><StickPlateLater {...props} /></Suspense>;
}
