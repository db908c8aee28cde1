import { attitudeRange, detectionRange, oneMinuteOfArc } from '../reconstruct/sight-range';
import { sentence } from '../vocabulary/said';
import { amount, figure, numberIn, ofCraft, type Sum, told } from './sum';

export interface SightDrawing {
  readonly kind: 'sight';
  readonly distanceM: number;
  readonly attitudeM: number;
  readonly detectionM: number;
}

export const READABLE: Sum<SightDrawing> = {
  id: 'sight',
  wants: ['distance_m'],
  decides: ['distance_m'],
  inputs: [
    amount('distance_m', 'm', [0, 5000, 10]),
    amount('visibility_m', 'm', [10, 50_000, 500]),
    amount('span_m', 'm', [0.05, 4, 0.05]),
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
    const figures = { attitudeM: Math.round(attitudeM), detectionM: Math.round(detectionM) };
    let answer = sentence('sum.sight-yes', figures);
    if (distanceM > detectionM) answer = sentence('sum.sight-unseen', figures);
    else if (distanceM > attitudeM) answer = sentence('sum.sight-dot', figures);
    else if (distanceM > attitudeM / 2) answer = sentence('sum.sight-hardly', figures);
    return {
      tone: distanceM > attitudeM / 2 ? 'against' : 'for',
      answer,
      figures: [
        figure('attitude-range', attitudeM, 'm', 0),
        figure('half-of-it-for-training', attitudeM / 2, 'm', 0),
        figure('seen-at-all-out-to', detectionM, 'm', 0),
      ],
      drawing: { kind: 'sight', distanceM, attitudeM, detectionM },
    };
  },
};
