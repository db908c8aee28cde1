import { G_MPS2 } from './constants';
import { driftDistance } from './drift';
import { within } from './valid';

export interface GapFrom {
  /** Gap width over the craft's widest span, 1 to 50. */
  readonly ratio: number;
  readonly spanM: number;
  /** How deep the gap is along the path, m, 0 to 100. */
  readonly depthM: number;
  readonly speedMps: number;
  /** Standard deviation of the pilot's sideways wander on a straight line, m, 0.01 to 5. */
  readonly wanderM: number;
  /** Air across the gap, m/s, 0 to 30. */
  readonly crossWindMps: number;
  readonly dragTimeS: number;
}

export interface GapRoom {
  /** Room on each side of a craft in the middle, m. */
  readonly spareM: number;
  readonly spareSpans: number;
  /** The same in standard deviations of the pilot's own wander. */
  readonly spareWanders: number;
  /** How long any part of the craft is within the gap, s. */
  readonly exposedS: number;
  /** How far the air moves an uncorrected craft in that time, m. */
  readonly carriedM: number;
  /** Camera up-tilt at which the view is level at this speed, °. */
  readonly upTiltDeg: number;
  /** Length over free width (steering law, Accot and Zhai 1997): higher is harder. */
  readonly difficulty: number;
}

/**
 * How much room a gap leaves. Up-tilt is the lean that balances drag at this speed, arctan(V / gτ).
 * Sources: steering law, Accot and Zhai 1997; the rest is geometry.
 * @throws RangeError when an input lies outside the ranges above
 */
export function gapRoom({
  ratio,
  spanM,
  depthM,
  speedMps,
  wanderM,
  crossWindMps,
  dragTimeS,
}: GapFrom): GapRoom {
  within('Gap ratio', ratio, [1, 50, 'spans']);
  within('Span', spanM, [0.02, 10, 'm']);
  within('Depth', depthM, [0, 100, 'm']);
  within('Speed', speedMps, [0.1, 100, 'm/s']);
  within('Wander', wanderM, [0.01, 5, 'm']);
  const spareM = ((ratio - 1) * spanM) / 2;
  const exposedS = (depthM + spanM) / speedMps;
  return {
    spareM,
    spareSpans: spareM / spanM,
    spareWanders: spareM / wanderM,
    exposedS,
    carriedM: driftDistance(crossWindMps, exposedS, dragTimeS),
    upTiltDeg: (Math.atan(speedMps / (G_MPS2 * dragTimeS)) * 180) / Math.PI,
    difficulty: spareM > 0 ? (depthM + spanM) / (2 * spareM) : Infinity,
  };
}
