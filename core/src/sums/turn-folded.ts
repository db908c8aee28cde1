import { airDensity } from '../reconstruct/air-density';
import { dragTimeOf } from '../reconstruct/craft-stopping';
import { hoverInducedVelocity } from '../reconstruct/hover-induced-velocity';
import { yawRateAlongPath } from '../reconstruct/leaning';
import { type Turn, turnFold, WASH_INDEX_LIMIT } from '../reconstruct/turn-fold';
import type { SpeedSetting } from '../vocabulary/craft-facts';
import { sentence } from '../vocabulary/said';
import { amount, figure, numberIn, ofCraft, type Sum, told, usual } from './sum';

export interface TurnDrawing extends Turn {
  readonly kind: 'turn';
}

/** The nose outran the path when it was swung so much faster than that turns, and by so much at least. */
const OUTRUNS = 1.5;
const LEAST_SWING_DEG = 60;

const SWING_DEG: Readonly<Record<string, number>> = { none: 0, quarter: 90, 'half-or-more': 180 };

export const TURN_FOLDED: Sum<TurnDrawing> = {
  id: 'fold',
  wants: ['yaw_burst'],
  decides: ['speed_mps', 'yaw_deg'],
  inputs: [
    amount('speed_mps', 'm/s', [0, 40, 0.5]),
    amount('yaw_deg', '°', [0, 360, 15]),
    amount('yaw_s', 's', [0.2, 10, 0.2]),
    amount('descent_mps', 'm/s', [0, 20, 0.5]),
    amount('lean_deg', '°', [1, 70, 1]),
  ],
  start: (known, craft) => ({
    speed_mps: told(known, 'speed_mps', craft.topSpeedMps.normal * 0.6),
    yaw_deg: known.choices['yaw_burst']
      ? { value: SWING_DEG[known.choices['yaw_burst']] ?? 180, origin: 'told' }
      : usual(180),
    yaw_s: usual(1),
    descent_mps: told(known, 'descent_mps', 0.5),
    lean_deg: ofCraft(
      craft.leanDeg[(known.choices['speed_setting'] as SpeedSetting | undefined) ?? 'normal'],
    ),
  }),
  work(values, craft) {
    const [speedMps, yawDeg, leanDeg] = [
      numberIn(this, values, 'speed_mps'),
      numberIn(this, values, 'yaw_deg'),
      numberIn(this, values, 'lean_deg'),
    ];
    const turn = turnFold({
      speedMps,
      yawDeg,
      leanDeg,
      yawS: numberIn(this, values, 'yaw_s'),
      descentMps: numberIn(this, values, 'descent_mps'),
      thrustToWeight: craft.thrustToWeight,
      inducedMps: hoverInducedVelocity(craft.massKg, craft.rotors, craft.rotorRadiusM, airDensity(0)),
      dragTimeS: dragTimeOf(craft),
    });
    const over = turn.worst.washIndex > WASH_INDEX_LIMIT;
    const fits = yawRateAlongPath(Math.max(0.1, speedMps), leanDeg);
    const swungDps = yawDeg / numberIn(this, values, 'yaw_s');
    const outran = swungDps > fits * OUTRUNS && yawDeg >= LEAST_SWING_DEG;
    const rates = { pathDps: Math.round(fits), swungDps: Math.round(swungDps) };
    let answer = sentence('sum.fold-no');
    if (over) answer = sentence('sum.fold-yes', rates);
    else if (outran) answer = sentence('sum.fold-outran', rates);
    return {
      tone: over || outran ? 'against' : 'for',
      answer,
      figures: [
        figure('highest-wash-index', turn.worst.washIndex, '', 2),
        figure('limit-for-drills', WASH_INDEX_LIMIT, '', 1),
        figure('power-in-hand', turn.powerInHand * 100, '%', 0),
        figure('yaw-rate-the-path-can-follow', fits, '°/s', 0),
      ],
      drawing: { kind: 'turn', ...turn },
    };
  },
};
