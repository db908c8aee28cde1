/** Where the windmill state begins, in descents of v_h. */
const WINDMILL = -2;

/**
 * Induced velocity over v_h in axial descent, x = V_z / v_h from −2 to 0, where momentum theory has no
 * answer.
 * Source: Leishman, Principles of Helicopter Aerodynamics, ch. 2 (fit to measurements).
 */
export const axialDescentFit = (x: number): number => 1 - x * (1.125 + x * (1.372 + x * (1.718 + x * 0.655)));

const NEWTON_STEPS = 6;

/**
 * Momentum theory: v_i = v_h² / √(V_xy² + (V_z + v_i)²), by Newton's method on the speed through the disc.
 * Source: Leishman, ch. 2.
 * @param inducedMps v_h, m/s
 * @param acrossMps V_xy, across the disc, 0 or more
 * @param climbMps V_z, along the disc's axis, positive in a climb
 */
export function momentumInflow(inducedMps: number, acrossMps: number, climbMps: number): number {
  const square = inducedMps * inducedMps;
  let vi = climbMps >= 0 ? inducedMps / (1 + climbMps / (2 * inducedMps)) : inducedMps;
  for (let i = 0; i < NEWTON_STEPS; i += 1) {
    const through = climbMps + vi;
    const speed = Math.sqrt(acrossMps * acrossMps + through * through);
    const miss = vi * speed - square;
    const slope = speed + (vi * through) / speed;
    const next = vi - miss / Math.max(0.2 * inducedMps, slope);
    vi = next > 0 ? next : vi / 2;
  }
  return vi;
}

/**
 * Speed at which a rotor pushes the air down, m/s: momentum theory in a climb, in level flight and in the
 * windmill state; the fit to measurements in
 * axial descent; a blend of both across the disc, up to v_h.
 */
export function inducedVelocity(inducedMps: number, acrossMps: number, climbMps: number): number {
  const x = climbMps / inducedMps;
  if (x >= 0) return momentumInflow(inducedMps, acrossMps, climbMps);
  const axial =
    x > WINDMILL ? inducedMps * axialDescentFit(x) : inducedMps * (-x / 2 - Math.sqrt((x * x) / 4 - 1));
  const share = Math.min(1, acrossMps / inducedMps);
  if (share <= 0) return axial;
  const blend = share * share * (3 - 2 * share);
  return axial + blend * (momentumInflow(inducedMps, acrossMps, climbMps) - axial);
}

/**
 * How fast thrust falls with the flow through the disc, at one speed of the rotor: σa / (4 C_T) of
 * blade-element theory. From memory.
 */
const FLOW_SLOPE = 6;
const LEAST = 0.1;
const MOST = 1.6;

/**
 * Thrust over static thrust at the same rotor speed: less in a climb, more in a descent, by blade-element
 * theory (Leishman, ch. 3), held within bounds.
 * @param throughMps V_z + v_i
 * @param staticInducedMps v_h of the static thrust
 * @param tipMps speed of the blade tips
 */
export function flowFactor(throughMps: number, staticInducedMps: number, tipMps: number): number {
  const factor = 1 - (FLOW_SLOPE * (throughMps - staticInducedMps)) / tipMps;
  return factor < LEAST ? LEAST : factor > MOST ? MOST : factor;
}
