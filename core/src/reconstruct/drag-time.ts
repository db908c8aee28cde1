import { G_MPS2, radians } from './constants';
import { within } from './valid';

/**
 * Time constant τ in s with which the air slows a craft, from its record: at top speed and full lean drag
 * balances the lean, so τ = V_top / (g tan θ_max). Drag taken as growing with speed, in proportion.
 * Source: linear rotor drag, Faessler et al. 2018.
 * @param topSpeedMps 0.5 to 100
 * @param leanLimitDeg 1 to 85
 */
export const dragTime = (topSpeedMps: number, leanLimitDeg: number): number =>
  within('Top speed', topSpeedMps, [0.5, 100, 'm/s']) /
  (G_MPS2 * Math.tan(radians(within('Lean limit', leanLimitDeg, [1, 85, '°']))));
