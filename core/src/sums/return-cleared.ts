import { type Place, PLACES } from '../vocabulary/flying';
import { failsafeFor, RETURN_MARGIN_M, returnHeight } from '../reconstruct/return-height';
import { sentence } from '../vocabulary/said';
import { amount, figure, numberIn, type Sum, told, toldChoice, usual } from './sum';

export interface ReturnDrawing {
  readonly kind: 'return';
  readonly setM: number;
  readonly tallestM: number;
  readonly wantedM: number;
}

export const RETURN_CLEARED: Sum<ReturnDrawing> = {
  id: 'return',
  wants: ['return_height_m', 'tallest_m', 'auto_return'],
  decides: ['return_height_m', 'tallest_m'],
  inputs: [
    amount('return_height_m', 'm', [0, 500, 1]),
    amount('tallest_m', 'm', [0, 500, 1]),
    amount('margin_m', 'm', [0, 100, 1]),
    { kind: 'choice', id: 'place', options: PLACES },
  ],
  start: (known) => ({
    return_height_m: told(known, 'return_height_m', 30),
    tallest_m: told(known, 'tallest_m', 20),
    margin_m: usual(RETURN_MARGIN_M),
    place: toldChoice(known, 'place', 'open'),
  }),
  work(values) {
    const [setM, tallestM, marginM] = [
      numberIn(this, values, 'return_height_m'),
      numberIn(this, values, 'tallest_m'),
      numberIn(this, values, 'margin_m'),
    ];
    const wantedM = returnHeight(tallestM, marginM);
    const failsafe = failsafeFor(values['place'] as Place);
    let answer = sentence('sum.return-yes', { overM: setM - tallestM });
    if (setM < tallestM) answer = sentence('sum.return-no', { belowM: tallestM - setM, wantedM });
    else if (setM < wantedM) answer = sentence('sum.return-scant', { wantedM });
    return {
      tone: setM < wantedM || failsafe.action !== 'return' ? 'against' : 'for',
      answer: sentence('sum.return', { answer, action: failsafe.action, why: failsafe.why }),
      figures: [figure('wanted', wantedM, 'm', 0), figure('room-over-the-tallest', setM - tallestM, 'm', 0)],
      drawing: { kind: 'return', setM, tallestM, wantedM },
    };
  },
};
