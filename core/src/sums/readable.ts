import { attitudeRange, detectionRange, oneMinuteOfArc } from '../reconstruct/sight-range';
import { amount, figure, metres, numberIn, ofCraft, type Sum, told } from './sum';

export interface SightDrawing {
  readonly kind: 'sight';
  readonly distanceM: number;
  readonly attitudeM: number;
  readonly detectionM: number;
}

export const READABLE: Sum<SightDrawing> = {
  id: 'sight',
  question: 'Could the pilot read its attitude there?',
  wants: ['distance_m'],
  decides: ['distance_m'],
  formula: 'Attitude out to 327 m × largest dimension + 20 m; detected out to 0.3 × visibility',
  source:
    'From memory of European guidance on visual line of sight; local rules come first. One minute of arc: 20/20 acuity.',
  assumes:
    'Clear light and normal sight. Glare, dusk or a plain background shorten it; training stays inside half the attitude range.',
  inputs: [
    amount('distance_m', 'Distance', 'm', [0, 5000, 10]),
    amount('visibility_m', 'Visibility', 'm', [10, 50_000, 500]),
    amount('span_m', 'Largest dimension', 'm', [0.05, 4, 0.05]),
  ],
  start: (known, craft) => ({
    distance_m: told(known, 'distance_m', 80),
    visibility_m: told(known, 'visibility_m', 5000),
    span_m: ofCraft(craft.spanM),
  }),
  work(values) {
    const [distanceM, span] = [numberIn(this, values, 'distance_m'), numberIn(this, values, 'span_m')];
    const [attitudeM, detectionM] = [
      attitudeRange(span),
      Math.min(detectionRange(numberIn(this, values, 'visibility_m')), oneMinuteOfArc(span)),
    ];
    let answer = `Yes: attitude can be read out to about ${metres(Math.round(attitudeM))}.`;
    if (distanceM > detectionM)
      answer = `No: beyond about ${metres(Math.round(detectionM))} it cannot even be seen.`;
    else if (distanceM > attitudeM)
      answer = `No: it is a dot there. Attitude can be read out to about ${metres(Math.round(attitudeM))}.`;
    else if (distanceM > attitudeM / 2)
      answer = `Hardly: past half of the ${metres(Math.round(attitudeM))} at which attitude can be read.`;
    return {
      tone: distanceM > attitudeM / 2 ? 'against' : 'for',
      answer,
      figures: [
        figure('Attitude range', attitudeM, 'm', 0),
        figure('Half of it, for training', attitudeM / 2, 'm', 0),
        figure('Seen at all out to', detectionM, 'm', 0),
      ],
      drawing: { kind: 'sight', distanceM, attitudeM, detectionM },
    };
  },
};
