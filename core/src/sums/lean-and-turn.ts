import { percent } from '../vocabulary/percent';
import type { SpeedSetting } from '../vocabulary/craft-facts';
import {
  heightLostInLean,
  loadFactor,
  steepestLevelLean,
  turnRadius,
  yawRateAlongPath,
} from '../reconstruct/leaning';
import { amount, figure, metres, numberIn, ofCraft, type Sum, told, usual } from './sum';

export interface LeanDrawing {
  readonly kind: 'lean';
  readonly leanDeg: number;
  readonly radiusM: number;
  readonly lostM: number;
  readonly heightM: number;
}

export const LEAN_AND_TURN: Sum<LeanDrawing> = {
  id: 'lean',
  question: 'What did the lean cost?',
  wants: ['height_trend'],
  decides: ['height_m', 'speed_mps'],
  formula:
    'Height lost ½·g·(1 − cos θ)·t²; load factor 1 / cos θ; radius V² / (g·tan θ); yaw rate g·tan θ / V',
  source: 'Load factor and turn: FAA-H-8083-25C.',
  assumes:
    'Throttle left where it held the hover, no height hold, no drag on the sinking: the height lost is an upper bound.',
  inputs: [
    amount('speed_mps', 'Speed', 'm/s', [0.5, 60, 0.5]),
    amount('lean_deg', 'Lean', '°', [1, 75, 1]),
    amount('seconds', 'Without more throttle for', 's', [0, 10, 0.5]),
    amount('height_m', 'Height above ground', 'm', [0, 500, 1]),
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
          ? `More than it can hold: past ${Math.round(steepest)}° full thrust no longer carries this craft.`
          : `${reached ? 'All of its height' : 'Some of its height'}: up to ${metres(lostM)} of ${metres(heightM)}, unless the throttle goes up by ${percent(factor - 1)}.`,
      figures: [
        figure('Load factor', factor, '', 2),
        figure('Turn radius', radiusM, 'm'),
        figure('Yaw rate along the path', yawRateAlongPath(speedMps, leanDeg), '°/s', 0),
        figure('Steepest lean it holds', steepest, '°', 0),
      ],
      drawing: { kind: 'lean', leanDeg, radiusM, lostM, heightM },
    };
  },
};
