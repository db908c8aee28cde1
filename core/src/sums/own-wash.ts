import { airDensity } from '../reconstruct/air-density';
import { hoverInducedVelocity } from '../reconstruct/hover-induced-velocity';
import { QUIET_DESCENT_SHARE, type VortexRingPlace, vortexRingState } from '../reconstruct/vortex-ring-state';
import { sentence } from '../vocabulary/said';
import { amount, figure, numberIn, type Sum, told, usual } from './sum';

export interface WashDrawing extends VortexRingPlace {
  readonly kind: 'wash';
  readonly inducedMps: number;
}

export const OWN_WASH: Sum<WashDrawing> = {
  id: 'wash',
  wants: ['descent_mps'],
  decides: ['descent_mps'],
  inputs: [
    amount('descent_mps', 'm/s', [0, 30, 0.5]),
    amount('forward_mps', 'm/s', [0, 40, 0.5]),
    amount('altitude_m', 'm', [0, 6000, 100]),
    amount('warmer_k', '°', [-40, 40, 5]),
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
    const answer = sentence(`sum.wash-${tooFast ? 'too-fast' : place.state}`, { descentMps });
    return {
      tone: place.state === 'clean' && !tooFast ? 'for' : 'against',
      answer: sentence('sum.wash', { answer, quietMps }),
      figures: [
        figure('limit-straight-down', quietMps, 'm/s'),
        figure('trouble-from', inducedMps / 2, 'm/s'),
        figure('hover-induced-velocity-v-h', inducedMps, 'm/s'),
        figure('descent-over-v-h', place.descentShare, '', 2),
        figure('forward-speed-over-v-h', place.forwardShare, '', 2),
      ],
      drawing: { kind: 'wash', inducedMps, ...place },
    };
  },
};
