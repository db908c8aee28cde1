import type { SpeedSetting } from '../vocabulary/craft-facts';
import {
  heightLostInLean,
  loadFactor,
  steepestLevelLean,
  turnRadius,
  yawRateAlongPath,
} from '../reconstruct/leaning';
import { sentence } from '../vocabulary/said';
import { amount, figure, numberIn, ofCraft, type Sum, told, usual } from './sum';

export interface LeanDrawing {
  readonly kind: 'lean';
  readonly leanDeg: number;
  readonly radiusM: number;
  readonly lostM: number;
  readonly heightM: number;
}

export const LEAN_AND_TURN: Sum<LeanDrawing> = {
  id: 'lean',
  wants: ['height_trend'],
  decides: ['height_m', 'speed_mps'],
  inputs: [
    amount('speed_mps', 'm/s', [0.5, 60, 0.5]),
    amount('lean_deg', '°', [1, 75, 1]),
    amount('seconds', 's', [0, 10, 0.5]),
    amount('height_m', 'm', [0, 500, 1]),
  ],
  start: (known, craft) => ({
    speed_mps: told(known, 'speed_mps', craft.topSpeedMps.normal * 0.5),
    lean_deg: ofCraft(
      craft.leanDeg[(known.choices['speed_setting'] as SpeedSetting | undefined) ?? 'normal'],
    ),
    seconds: usual(1.5),
    height_m: told(known, 'height_m', 5),
  }),
  work(values, craft) {
    const [speedMps, leanDeg, seconds, heightM] = [
      numberIn(this, values, 'speed_mps'),
      numberIn(this, values, 'lean_deg'),
      numberIn(this, values, 'seconds'),
      numberIn(this, values, 'height_m'),
    ];
    const lostM = heightLostInLean(leanDeg, seconds);
    const radiusM = turnRadius(speedMps, leanDeg);
    const factor = loadFactor(leanDeg);
    const steepest = steepestLevelLean(craft.thrustToWeight);
    const reached = lostM >= heightM;
    return {
      tone: reached || leanDeg > steepest ? 'against' : 'for',
      answer:
        leanDeg > steepest
          ? sentence('sum.lean-too-steep', { steepestDeg: Math.round(steepest) })
          : sentence(reached ? 'sum.lean-all' : 'sum.lean-some', { lostM, heightM, share: factor - 1 }),
      figures: [
        figure('load-factor', factor, '', 2),
        figure('turn-radius', radiusM, 'm'),
        figure('yaw-rate-along-the-path', yawRateAlongPath(speedMps, leanDeg), '°/s', 0),
        figure('steepest-lean-it-holds', steepest, '°', 0),
      ],
      drawing: { kind: 'lean', leanDeg, radiusM, lostM, heightM },
    };
  },
};
