import { airDensity } from '../reconstruct/air-density';
import { hoverInducedVelocity } from '../reconstruct/hover-induced-velocity';
import { QUIET_DESCENT_SHARE, type VortexRingPlace, vortexRingState } from '../reconstruct/vortex-ring-state';
import { amount, figure, numberIn, speed, type Sum, told, usual } from './sum';

export interface WashDrawing extends VortexRingPlace {
  readonly kind: 'wash';
  readonly inducedMps: number;
}

const ANSWERS = {
  'own-wash': 'Yes: it sank inside its own wash.',
  edge: 'At the edge of it: shaking, and little to spare.',
  clean: 'No: it stayed clear of its own wash.',
  windmill: 'It fell faster than its own wash: beyond the shaking, and hard to stop.',
} as const;

export const OWN_WASH: Sum<WashDrawing> = {
  id: 'wash',
  question: 'Was it in its own wash?',
  wants: ['descent_mps'],
  decides: ['descent_mps'],
  formula: 'v_h = √(T / 2ρA); trouble at descent 0.5 to 1.5 v_h with forward speed under about 1 v_h',
  source:
    'Momentum theory: Leishman, Principles of Helicopter Aerodynamics, ch. 2 and 12. Air: ISO 2533. Outline after NASA/TP-2005-213477.',
  assumes:
    'Thrust is the weight; the rotors do not overlap; speeds are through the air. The soft edge of the region is ours. Under 0.25 v_h straight down is quiet (common practice).',
  inputs: [
    amount('descent_mps', 'Sink rate', 'm/s', [0, 30, 0.5]),
    amount('forward_mps', 'Forward speed', 'm/s', [0, 40, 0.5]),
    amount('altitude_m', 'Above sea level', 'm', [0, 6000, 100]),
    amount('warmer_k', 'Warmer than standard', '°', [-40, 40, 5]),
  ],
  start: (known) => {
    const straight = known.choices['travel'] === 'straight-down';
    const descent = known.numbers['descent_mps']?.value ?? 3;
    const flown = known.numbers['speed_mps']?.value;
    return {
      descent_mps: told(known, 'descent_mps', 3),
      forward_mps: straight
        ? { value: 0, origin: 'told' }
        : flown === undefined
          ? usual(0)
          : {
              value: Math.round(Math.sqrt(Math.max(0, flown ** 2 - descent ** 2)) * 10) / 10,
              origin: 'told',
            },
      altitude_m: usual(0),
      warmer_k: usual(0),
    };
  },
  work(values, craft) {
    const inducedMps = hoverInducedVelocity(
      craft.massKg,
      craft.rotors,
      craft.rotorRadiusM,
      airDensity(numberIn(this, values, 'altitude_m'), numberIn(this, values, 'warmer_k')),
    );
    const place = vortexRingState(
      numberIn(this, values, 'descent_mps'),
      numberIn(this, values, 'forward_mps'),
      inducedMps,
    );
    const quietMps = inducedMps * QUIET_DESCENT_SHARE;
    const descentMps = numberIn(this, values, 'descent_mps');
    // Clear of the shaking, and past the limit for coming straight down: nothing to praise.
    const tooFast = place.state === 'clean' && place.forwardShare < 1 && descentMps > quietMps;
    const answer = tooFast
      ? `Not yet in its own wash, and past the limit for coming straight down: it sank at ${speed(descentMps)}.`
      : ANSWERS[place.state];
    return {
      tone: place.state === 'clean' && !tooFast ? 'for' : 'against',
      answer: `${answer} Straight down, keep under ${speed(quietMps)}.`,
      figures: [
        figure('Limit straight down', quietMps, 'm/s'),
        figure('Trouble from', inducedMps / 2, 'm/s'),
        figure('Hover induced velocity v_h', inducedMps, 'm/s'),
        figure('Descent over v_h', place.descentShare, '', 2),
        figure('Forward speed over v_h', place.forwardShare, '', 2),
      ],
      drawing: { kind: 'wash', inducedMps, ...place },
    };
  },
};
