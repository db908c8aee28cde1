import { airDensity } from '../reconstruct/air-density';
import { dragTimeOf } from '../reconstruct/craft-stopping';
import { hoverInducedVelocity } from '../reconstruct/hover-induced-velocity';
import { yawRateAlongPath } from '../reconstruct/leaning';
import { type Turn, turnFold, WASH_INDEX_LIMIT } from '../reconstruct/turn-fold';
import type { SpeedSetting } from '../vocabulary/craft-facts';
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
  question: 'Did the turn fold back?',
  wants: ['yaw_burst'],
  decides: ['speed_mps', 'yaw_deg'],
  formula:
    'Wash index = clamp(−v·n / v_h, 0, 1) × fade(speed across the disc / v_h) × (1 − power in hand); n the thrust direction',
  source: "Index: our definition, from momentum theory. Path: Newton's second law with linear drag.",
  assumes:
    'Still air; the lean follows the nose; the nose turns at a steady rate. Limit 0.3 for drills (common practice). Power in hand is what holding height in this lean leaves of full thrust.',
  inputs: [
    amount('speed_mps', 'Speed into the turn', 'm/s', [0, 40, 0.5]),
    amount('yaw_deg', 'Nose swung', '°', [0, 360, 15]),
    amount('yaw_s', 'Within', 's', [0.2, 10, 0.2]),
    amount('descent_mps', 'Sink rate', 'm/s', [0, 20, 0.5]),
    amount('lean_deg', 'Lean', '°', [1, 70, 1]),
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
    const path = `In this lean the path turns at ${Math.round(fits)} °/s, and the nose was swung at ${Math.round(swungDps)} °/s.`;
    let answer = 'No: its own wash stayed behind it.';
    if (over) answer = `Yes: the nose outran the path and the wash came back at it. ${path}`;
    else if (outran)
      answer = `It may have, once it slowed: the nose outran the path, and it slid on sideways or backwards. ${path}`;
    return {
      tone: over || outran ? 'against' : 'for',
      answer,
      figures: [
        figure('Highest wash index', turn.worst.washIndex, '', 2),
        figure('Limit for drills', WASH_INDEX_LIMIT, '', 1),
        figure('Power in hand', turn.powerInHand * 100, '%', 0),
        figure('Yaw rate the path can follow', fits, '°/s', 0),
      ],
      drawing: { kind: 'turn', ...turn },
    };
  },
};
