/** Everything that draws with SVG, in one piece of its own: no page waits for it. */
export { CurveChartDrawing } from './CurveChartDrawing';
export { MovementDrawing } from './MovementDrawing';
export { StickPlateDrawing } from './StickPlateDrawing';
export { RingDrawing, SideViewDrawing, SticksDrawing } from './pointing';
export { SumDrawing } from './SumDrawing';
export { ValueChartDrawing } from './ValueChartDrawing';
