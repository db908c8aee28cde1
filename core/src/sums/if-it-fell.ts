import { airDensity } from '../reconstruct/air-density';
import { falling, terminalSpeed } from '../reconstruct/falling';
import { amount, figure, metres, numberIn, ofCraft, speed, type Sum, told } from './sum';

export interface FallDrawing {
  readonly kind: 'fall';
  readonly heightM: number;
  readonly aheadM: number;
  readonly speedMps: number;
}

export const IF_IT_FELL: Sum<FallDrawing> = {
  id: 'fall',
  question: 'What would a falling craft have done?',
  wants: ['height_m'],
  decides: ['height_m', 'speed_mps'],
  formula:
    'Gravity, and drag g·(v / v_t)² against the path; without drag √(2·g·h + level speed²); energy ½·m·v²',
  source: 'Any mechanics text.',
  assumes:
    'Motors cut, still air: wind can carry it further. Terminal speed from a flat body of a third of the span squared. Not the energy a standard counts as passed on to a head.',
  inputs: [
    amount('height_m', 'Height above ground', 'm', [0, 300, 1]),
    amount('speed_mps', 'Speed', 'm/s', [0, 60, 0.5]),
    amount('mass_kg', 'Mass', 'kg', [0.02, 30, 0.1]),
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
      answer: `Down within ${Math.round(fall.seconds * 10) / 10} s at ${speed(fall.speedMps)}, up to ${metres(Math.round(fall.aheadM))} ahead. Nobody may be there: a person in the path ends the discussion.`,
      figures: [
        figure('Time to the ground', fall.seconds, 's'),
        figure('Speed there', fall.speedMps, 'm/s'),
        figure('Energy there', fall.energyJ, 'J', 0),
        figure('Lands ahead', fall.aheadM, 'm', 0),
      ],
      drawing: { kind: 'fall', heightM, aheadM: fall.aheadM, speedMps },
    };
  },
};
