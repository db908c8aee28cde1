import { memo } from 'react';
import { StickPlateDrawing } from './StickPlateDrawing';

/**
 * What is drawn from data. It comes with the screens that show it, all of them beyond Today: in a piece of its own it
 * would share drills, movements and shapes with theirs, and what two pieces share comes with the first page.
 */
export { CurveChartDrawing as CurveChart } from './CurveChartDrawing';
export { MovementDrawing as Movement } from './MovementDrawing';
export { RingDrawing as Ring, SideViewDrawing as SideView, SticksDrawing as SticksPicker } from './pointing';
export { RateChartDrawing as RateChart } from './RateChartDrawing';
export { SumDrawing as SumPicture } from './SumDrawing';
export { StickCurveDrawing as StickCurve } from './StickCurveDrawing';
export { ValueChartDrawing as ValueChart } from './ValueChartDrawing';

/** Both sticks as this pilot has them, with the axes a drill works. */
export const StickPlate = memo(StickPlateDrawing);
