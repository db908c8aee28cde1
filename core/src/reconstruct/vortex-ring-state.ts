import { within } from './valid';

export const VORTEX_RING_STATES = ['clean', 'own-wash', 'edge', 'windmill'] as const;
export type VortexRingState = (typeof VORTEX_RING_STATES)[number];

export interface VortexRingPlace {
  /** Descent over hover induced velocity. */
  readonly descentShare: number;
  /** Speed across the disc over hover induced velocity. */
  readonly forwardShare: number;
  /** 0 in clean air to 1 in the middle of the trouble, smooth across the edge, where it is ½. */
  readonly trouble: number;
  readonly state: VortexRingState;
}

/** Middle and half-width of the region, as shares of the hover induced velocity. */
export const VORTEX_RING_REGION = { descentMiddle: 1, descentHalf: 0.5, forwardEdge: 1 } as const;
const EDGE_WIDTH = 0.15;
const WINDMILL_FROM = 2;

/**
 * Where a descent lies on the map of wash states. The region of trouble is drawn as half an ellipse: descent
 * of
 * 0.5 to 1.5 v_h, and forward speed up to about 1 v_h.
 * Source: Leishman, Principles of Helicopter Aerodynamics, ch. 2 and 12; outline after Johnson,
 * NASA/TP-2005-213477.
 * The ellipse and the width of its edge are ours.
 * @param descentMps sink rate, positive downward, −50 to 100 m/s
 * @param forwardMps speed through the air across the disc, 0 to 100 m/s
 * @param inducedMps hover induced velocity, 0.5 to 40 m/s
 * @throws RangeError outside these
 */
export function vortexRingState(descentMps: number, forwardMps: number, inducedMps: number): VortexRingPlace {
  within('Hover induced velocity', inducedMps, [0.5, 40, 'm/s']);
  const descentShare = within('Descent', descentMps, [-50, 100, 'm/s']) / inducedMps;
  const forwardShare = within('Forward speed', forwardMps, [0, 100, 'm/s']) / inducedMps;
  const away = Math.hypot(
    (descentShare - VORTEX_RING_REGION.descentMiddle) / VORTEX_RING_REGION.descentHalf,
    forwardShare / VORTEX_RING_REGION.forwardEdge,
  );
  const trouble = 1 / (1 + Math.exp((away - 1) / EDGE_WIDTH));
  let state: VortexRingState = 'clean';
  if (trouble >= 0.75) state = 'own-wash';
  else if (trouble >= 0.25) state = 'edge';
  else if (descentShare >= WINDMILL_FROM && forwardShare < 1) state = 'windmill';
  return { descentShare, forwardShare, trouble, state };
}

/** Vertical descents up to this share of the hover induced velocity are quiet. Common practice. */
export const QUIET_DESCENT_SHARE = 0.25;
