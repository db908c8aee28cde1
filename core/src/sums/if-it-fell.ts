import { airDensity } from '../reconstruct/air-density';
import { falling, terminalSpeed } from '../reconstruct/falling';
import { sentence } from '../vocabulary/said';
import { amount, figure, numberIn, ofCraft, type Sum, told } from './sum';

export interface FallDrawing {
  readonly kind: 'fall';
  readonly heightM: number;
  readonly aheadM: number;
  readonly speedMps: number;
}

export const IF_IT_FELL: Sum<FallDrawing> = {
  id: 'fall',
  wants: ['height_m'],
  decides: ['height_m', 'speed_mps'],
  inputs: [
    amount('height_m', 'm', [0, 300, 1]),
    amount('speed_mps', 'm/s', [0, 60, 0.5]),
    amount('mass_kg', 'kg', [0.02, 30, 0.1]),
  ],
  start: (known, craft) => ({
    height_m: told(known, 'height_m', 10),
    speed_mps: told(known, 'speed_mps', 5),
    mass_kg: ofCraft(craft.massKg),
  }),
  work(values, craft) {
    const [heightM, speedMps, massKg] = [
      numberIn(this, values, 'height_m'),
      numberIn(this, values, 'speed_mps'),
      numberIn(this, values, 'mass_kg'),
    ];
    const fall = falling({
      massKg,
      heightM,
      speedMps,
      terminalMps: terminalSpeed(massKg, craft.spanM, airDensity(0)),
    });
    return {
      tone: 'open',
      answer: sentence('sum.fall', {
        seconds: Math.round(fall.seconds * 10) / 10,
        speedMps: fall.speedMps,
        aheadM: Math.round(fall.aheadM),
      }),
      figures: [
        figure('time-to-the-ground', fall.seconds, 's'),
        figure('speed-there', fall.speedMps, 'm/s'),
        figure('energy-there', fall.energyJ, 'J', 0),
        figure('lands-ahead', fall.aheadM, 'm', 0),
      ],
      drawing: { kind: 'fall', heightM, aheadM: fall.aheadM, speedMps },
    };
  },
};
