import { type CraftFacts, SPEED_SETTINGS, type SpeedSetting } from '../vocabulary/craft-facts';
import { G_MPS2, radians } from '../reconstruct/constants';
import { dragTimeOf, motorLag } from '../reconstruct/craft-stopping';
import { terminalSpeed } from '../reconstruct/falling';
import { hoverInducedVelocity } from '../reconstruct/hover-induced-velocity';

/** Density of the air that everything flies in, kg/m³ (ISO 2533 at sea level). */
export const DENSITY_KGM3 = 1.225;

/**
 * Share of the span that is the radius of gyration, roll and pitch; yaw. For a body with its motors at the
 * ends of its arms. From memory.
 */
const GYRATION_TILT = 0.27;
const GYRATION_YAW = 0.38;
/** Reaction torque of a small rotor over its thrust, as a share of its radius. From memory. */
const TORQUE_SHARE = 0.12;
/** Tip speed in a hover over induced velocity: √(2 / C_T) at C_T 0.012. From memory. */
const TIP_OVER_INDUCED = 12.9;

/** What the flight model needs of a craft, worked out once. SI units; body axes x ahead, y left, z up. */
export interface CraftModel {
  readonly massKg: number;
  readonly spanM: number;
  readonly rotors: number;
  readonly rotorRadiusM: number;
  readonly rotorX: Float64Array;
  readonly rotorY: Float64Array;
  /** +1 where the rotor turns clockwise from above, and so pushes the nose to the left. */
  readonly spin: Float64Array;
  readonly armM: number;
  /** Moments of inertia about x, y, z, kg m². */
  readonly inertiaX: number;
  readonly inertiaY: number;
  readonly inertiaZ: number;
  /** Full static thrust of one rotor, N. */
  readonly fullThrustN: number;
  readonly thrustToWeight: number;
  /** Reaction torque over thrust, m. */
  readonly torquePerThrustM: number;
  /** v_h of one rotor's share of the weight, m/s. */
  readonly inducedMps: number;
  /** Tip speed in a hover, m/s. */
  readonly tipMps: number;
  /** Time constant of linear drag, s: V_top / (g tan θ_max). */
  readonly dragTimeS: number;
  /** Speed at which a craft with its motors off falls steadily, m/s. */
  readonly terminalMps: number;
  /** Time constant of a motor's speed, s. */
  readonly motorLagS: number;
  readonly topSpeedMps: Readonly<Record<SpeedSetting, number>>;
  readonly leanRad: Readonly<Record<SpeedSetting, number>>;
  /** Energy in a full pack, J. */
  readonly packJ: number;
}

/** Electric power over ideal power in a hover. From memory. */
export const FIGURE_OF_MERIT = 0.55;

export function craftModel(facts: CraftFacts): CraftModel {
  const { massKg, spanM, rotors, rotorRadiusM, thrustToWeight } = facts;
  const inducedMps = hoverInducedVelocity(massKg, rotors, rotorRadiusM, DENSITY_KGM3);
  const armM = Math.max(0.3 * spanM, spanM / 2 - rotorRadiusM);
  const angles = Array.from({ length: rotors }, (_, i) => ((i + 0.5) * 2 * Math.PI) / rotors);
  const weightN = massKg * G_MPS2;
  return {
    massKg,
    spanM,
    rotors,
    rotorRadiusM,
    armM,
    thrustToWeight,
    inducedMps,
    rotorX: Float64Array.from(angles, (angle) => armM * Math.cos(angle)),
    rotorY: Float64Array.from(angles, (angle) => armM * Math.sin(angle)),
    spin: Float64Array.from(angles, (_, i) => (i % 2 === 0 ? 1 : -1)),
    inertiaX: massKg * (GYRATION_TILT * spanM) ** 2,
    inertiaY: massKg * (GYRATION_TILT * spanM) ** 2,
    inertiaZ: massKg * (GYRATION_YAW * spanM) ** 2,
    fullThrustN: (weightN * thrustToWeight) / rotors,
    torquePerThrustM: TORQUE_SHARE * rotorRadiusM,
    tipMps: TIP_OVER_INDUCED * inducedMps,
    dragTimeS: dragTimeOf(facts),
    terminalMps: terminalSpeed(massKg, spanM, DENSITY_KGM3),
    motorLagS: motorLag(rotorRadiusM),
    topSpeedMps: facts.topSpeedMps,
    leanRad: Object.fromEntries(
      SPEED_SETTINGS.map((setting) => [setting, radians(facts.leanDeg[setting])]),
    ) as Record<SpeedSetting, number>,
    packJ: ((weightN * inducedMps) / FIGURE_OF_MERIT) * facts.enduranceMin * 60,
  };
}
