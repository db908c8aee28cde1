import { dragTimeOf } from '../reconstruct/craft-stopping';
import { driftDistance, driftSpeed } from '../reconstruct/drift';
import { amount, figure, metres, numberIn, ofCraft, speed, type Sum, told, usual } from './sum';

export interface DriftDrawing {
  readonly kind: 'drift';
  readonly points: readonly { readonly s: number; readonly m: number }[];
  readonly withinM: number;
}

const POINTS = 40;

export const CARRIED_BY_AIR: Sum<DriftDrawing> = {
  id: 'drift',
  question: 'How far did the air carry it?',
  wants: ['position_hold', 'drift_direction'],
  decides: ['wind_mps', 'room_m'],
  formula: 'x = w·(t − τ·(1 − e^(−t/τ))), τ = top speed / (g·tan of the lean limit)',
  source: 'Linear drag; common practice. τ is about 2 to 4 s for small craft.',
  assumes: 'At rest when hold was lost, level, no correction; wind steady.',
  inputs: [
    amount('wind_mps', 'Wind or draught', 'm/s', [0, 30, 0.5]),
    amount('seconds', 'Until the first real correction', 's', [0, 60, 0.5]),
    amount('tau_s', 'Drag time τ', 's', [0.2, 20, 0.1]),
    amount('room_m', 'Room on that side', 'm', [0.1, 500, 1]),
  ],
  start: (known, craft) => ({
    wind_mps: told(known, 'wind_mps', 2),
    seconds: usual(3),
    tau_s: ofCraft(Math.round(dragTimeOf(craft) * 10) / 10),
    room_m: told(known, 'seen_at_m', 5),
  }),
  work(values) {
    const [wind, seconds, tau, room] = [
      numberIn(this, values, 'wind_mps'),
      numberIn(this, values, 'seconds'),
      numberIn(this, values, 'tau_s'),
      numberIn(this, values, 'room_m'),
    ];
    const carried = driftDistance(wind, seconds, tau);
    return {
      tone: carried >= room ? 'against' : 'for',
      answer: `${metres(carried)}, and by then it moved at ${speed(driftSpeed(wind, seconds, tau))}. ${carried >= room ? 'That is all the room there was.' : `It had ${metres(room)}.`}`,
      figures: [
        figure('Carried', carried, 'm'),
        figure('Speed taken up', driftSpeed(wind, seconds, tau), 'm/s'),
        figure('One second earlier', carried - driftDistance(wind, Math.max(0, seconds - 1), tau), 'm'),
      ],
      drawing: {
        kind: 'drift',
        withinM: room,
        points: Array.from({ length: POINTS + 1 }, (_, i) => ({
          s: (seconds * i) / POINTS,
          m: driftDistance(wind, (seconds * i) / POINTS, tau),
        })),
      },
    };
  },
};
