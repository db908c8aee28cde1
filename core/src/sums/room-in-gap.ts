import { dragTimeOf } from '../reconstruct/craft-stopping';
import { type GapRoom, gapRoom } from '../reconstruct/gap-room';
import { sentence } from '../vocabulary/said';
import { amount, figure, numberIn, ofCraft, type Sum, told, usual } from './sum';

export interface GapDrawing extends GapRoom {
  readonly kind: 'gap';
  readonly ratio: number;
  readonly spanM: number;
  readonly wanderM: number;
}

/**
 * Three standard deviations to each side: fewer than three clips in a thousand passes, were nothing else to
 * move it.
 */
const WANDERS_WANTED = 3;
const USUAL_WANDER_SPANS = 0.5;

export const ROOM_IN_GAP: Sum<GapDrawing> = {
  id: 'gap',
  wants: ['gap_ratio'],
  decides: ['gap_ratio'],
  inputs: [
    amount('gap_ratio', 'spans', [1, 30, 0.5]),
    amount('speed_mps', 'm/s', [0.2, 40, 0.5]),
    amount('depth_m', 'm', [0, 50, 0.5]),
    amount('wander_m', 'm', [0.01, 3, 0.02]),
    amount('cross_mps', 'm/s', [0, 20, 0.5]),
  ],
  start: (known, craft) => ({
    gap_ratio: told(known, 'gap_ratio', 4),
    speed_mps: told(known, 'speed_mps', 3),
    depth_m: usual(0.5),
    wander_m: ofCraft(Math.round(craft.spanM * USUAL_WANDER_SPANS * 100) / 100),
    cross_mps: known.choices['wind_side'] === 'cross' ? told(known, 'wind_mps', 1) : usual(1),
  }),
  work(values, craft) {
    const [ratio, wanderM] = [numberIn(this, values, 'gap_ratio'), numberIn(this, values, 'wander_m')];
    const room = gapRoom({
      ratio,
      wanderM,
      spanM: craft.spanM,
      depthM: numberIn(this, values, 'depth_m'),
      speedMps: numberIn(this, values, 'speed_mps'),
      crossWindMps: numberIn(this, values, 'cross_mps'),
      dragTimeS: dragTimeOf(craft),
    });
    const wide = room.spareWanders >= WANDERS_WANTED;
    const fitting = 1 + (2 * WANDERS_WANTED * wanderM) / craft.spanM;
    return {
      tone: wide ? 'for' : 'against',
      answer: sentence(wide ? 'sum.gap-wide' : 'sum.gap-tight', {
        spareM: room.spareM,
        wanders: Math.round(room.spareWanders * 10) / 10,
        fitting: Math.ceil(fitting * 10) / 10,
      }),
      figures: [
        figure('spare-each-side', room.spareSpans, 'spans', 2),
        figure('in-the-gap-for', room.exposedS, 's', 2),
        figure('carried-by-the-air-in-it', room.carriedM, 'm', 2),
        figure('camera-up-tilt-for-a-level-view', room.upTiltDeg, '°', 0),
        figure('difficulty', room.difficulty, '', 1),
      ],
      drawing: { kind: 'gap', ratio, spanM: craft.spanM, wanderM, ...room },
    };
  },
};
