import type { CraftModel } from './craft-model';
import type { Wind } from './gusts-dryden';

/** What a pilot hears of a craft: power, wash and wind come to the ear before they come to the eye. */

export interface HeardFrom {
  /** Of each rotor as a share of the fastest it turns. */
  readonly rotorSpeeds: ArrayLike<number>;
  /** 0 in clean air to 1 and more in its own wash. */
  readonly wash: number;
  /** m and m/s, in the world. */
  readonly position: readonly [number, number, number];
  readonly velocity: readonly [number, number, number];
  readonly pilot: { readonly x: number; readonly y: number };
  /** Mean wind, as the scene has it. */
  readonly wind: Pick<Wind, 'speedMps' | 'fromDeg'>;
  /** At the craft itself, as its camera would hear it. */
  readonly isAboard: boolean;
}

export interface Heard {
  /** Blades that pass a second, of each rotor, as they reach the ear. */
  readonly bladeHz: readonly number[];
  /** Of the rotors, 0 to 1. */
  readonly loudness: number;
  /** Of the broken air they beat in their own wash, 0 to 1. */
  readonly wash: number;
  /** Of the wind about the ear, 0 to 1. */
  readonly wind: number;
}

const SOUND_MPS = 343;
const BLADES = 2;
const EAR_M = 1.6;
/** As loud as it gets: a hover at this distance. Half as loud each time the distance doubles (free field). */
const LOUDEST_M = 3;
/** Sound pressure grows with the square of the tip speed and more: common for small rotors. */
const LOUDER_WITH_SPEED = 2.5;
/** The wind is all one hears from here on. */
const LOUDEST_WIND_MPS = 14;

/** Against air that moves towards where the wind does not come from, m/s. */
function airspeed([vx, vy, vz]: HeardFrom['velocity'], { speedMps, fromDeg }: HeardFrom['wind']): number {
  const from = (fromDeg * Math.PI) / 180;
  return Math.hypot(vx + speedMps * Math.sin(from), vy + speedMps * Math.cos(from), vz);
}

const within = (value: number) => Math.min(1, Math.max(0, value));

/**
 * Pitch by blades that pass, shifted as the craft comes or goes (Doppler), loudness by tip speed and distance.
 * @param craft its tip speed is that of a hover
 */
export function heardOf(
  craft: Pick<CraftModel, 'tipMps' | 'rotorRadiusM' | 'thrustToWeight'>,
  from: HeardFrom,
): Heard {
  const { rotorSpeeds, position, velocity, pilot, wind, isAboard } = from;
  const [dx, dy, dz] = [position[0] - pilot.x, position[1] - pilot.y, position[2] - EAR_M];
  const away = Math.hypot(dx, dy, dz);
  const leaves = away > 0 ? (velocity[0] * dx + velocity[1] * dy + velocity[2] * dz) / away : 0;
  const shift = isAboard ? 1 : SOUND_MPS / (SOUND_MPS + leaves);
  const hoverShare = 1 / Math.sqrt(craft.thrustToWeight);
  const hoverHz = craft.tipMps / (2 * Math.PI * craft.rotorRadiusM);
  const shares = Array.from(rotorSpeeds, (share) => share / hoverShare);
  const mean = shares.reduce((sum, share) => sum + share, 0) / shares.length;
  const near = isAboard ? 1 : LOUDEST_M / Math.max(LOUDEST_M, away);
  const loudness = within(near * (0.5 * mean ** LOUDER_WITH_SPEED));
  return {
    bladeHz: shares.map((share) => share * hoverHz * BLADES * shift),
    loudness,
    wash: within(from.wash) * near,
    wind: within((isAboard ? airspeed(velocity, wind) : wind.speedMps) / LOUDEST_WIND_MPS) ** 2,
  };
}
