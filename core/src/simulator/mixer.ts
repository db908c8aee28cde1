import type { CraftModel } from './craft-model';

/** What is asked of all rotors together, N and N m. */
export interface Wanted {
  thrustN: number;
  /** About x, positive: right side down. */
  rollNm: number;
  /** About y, positive: nose down. */
  pitchNm: number;
  /** About z, positive: nose left. */
  yawNm: number;
}

/**
 * Thrust of each rotor for a wanted thrust and moments, none below 0 or above `most`. Where a rotor would
 * saturate yaw is given up first, then
 * the collective is shifted, then roll and pitch are scaled together; no rotor is ever clipped by itself.
 * Source of the order: Faessler, Falanga and Scaramuzza, IEEE Robotics and Automation Letters 2017.
 * @param out receives the thrusts, N
 * @param mostN of one rotor
 */
export function mix(
  craft: CraftModel,
  out: Float64Array,
  { thrustN, rollNm, pitchNm, yawNm }: Readonly<Wanted>,
  mostN: number,
): void {
  const { rotors, rotorX, rotorY, spin, armM, torquePerThrustM } = craft;
  const tilt = 2 / (rotors * armM * armM);
  const turn = 1 / (rotors * torquePerThrustM);
  let [least, most] = [Infinity, -Infinity];
  for (let i = 0; i < rotors; i += 1) {
    const own = tilt * (rotorY[i]! * rollNm - rotorX[i]! * pitchNm);
    out[i] = own;
    if (own < least) least = own;
    if (own > most) most = own;
  }
  // Roll and pitch together never ask for more than there is between nothing and full.
  const spread = most - least;
  const scale = spread > mostN ? mostN / spread : 1;
  const share = thrustN / rotors;
  const collective = Math.min(mostN - scale * most, Math.max(-scale * least, share));
  // What room is left goes to yaw.
  let yawScale = 1;
  for (let i = 0; i < rotors; i += 1) {
    const without = collective + scale * out[i]!;
    const wanted = spin[i]! * yawNm * turn;
    if (wanted > 0 && without + wanted > mostN) yawScale = Math.min(yawScale, (mostN - without) / wanted);
    if (wanted < 0 && without + wanted < 0) yawScale = Math.min(yawScale, -without / wanted);
  }
  yawScale = Math.max(0, yawScale);
  for (let i = 0; i < rotors; i += 1) {
    const thrust = collective + scale * out[i]! + yawScale * spin[i]! * yawNm * turn;
    out[i] = thrust < 0 ? 0 : thrust > mostN ? mostN : thrust;
  }
}
