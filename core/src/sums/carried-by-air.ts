import { dragTimeOf } from '../reconstruct/craft-stopping';
import { driftDistance, driftSpeed } from '../reconstruct/drift';
import { sentence } from '../vocabulary/said';
import { amount, figure, numberIn, ofCraft, type Sum, told, usual } from './sum';

export interface DriftDrawing {
  readonly kind: 'drift';
  readonly points: readonly { readonly s: number; readonly m: number }[];
  readonly withinM: number;
}

const POINTS = 40;

export const CARRIED_BY_AIR: Sum<DriftDrawing> = {
  id: 'drift',
  wants: ['position_hold', 'drift_direction'],
  decides: ['wind_mps', 'room_m'],
  inputs: [
    amount('wind_mps', 'm/s', [0, 30, 0.5]),
    amount('seconds', 's', [0, 60, 0.5]),
    amount('tau_s', 's', [0.2, 20, 0.1]),
    amount('room_m', 'm', [0.1, 500, 1]),
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
      answer: sentence(carried >= room ? 'sum.drift-all' : 'sum.drift-some', {
        carried,
        speedMps: driftSpeed(wind, seconds, tau),
        room,
      }),
      figures: [
        figure('carried', carried, 'm'),
        figure('speed-taken-up', driftSpeed(wind, seconds, tau), 'm/s'),
        figure('one-second-earlier', carried - driftDistance(wind, Math.max(0, seconds - 1), tau), 'm'),
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
