import type { Place } from '../vocabulary/flying';
import { FAILSAFE_WORDS, failsafeFor, RETURN_MARGIN_M, returnHeight } from '../reconstruct/return-height';
import { amount, figure, metres, numberIn, type Sum, told, toldChoice, usual } from './sum';

export interface ReturnDrawing {
  readonly kind: 'return';
  readonly setM: number;
  readonly tallestM: number;
  readonly wantedM: number;
}

export const PLACE_OPTIONS = [
  { value: 'open', label: 'Open' },
  { value: 'trees', label: 'Trees' },
  { value: 'indoors', label: 'Indoors' },
  { value: 'under-structure', label: 'Under a structure' },
  { value: 'built-up', label: 'Walls near' },
  { value: 'water', label: 'Water' },
] as const satisfies readonly { value: Place; label: string }[];

export const RETURN_CLEARED: Sum<ReturnDrawing> = {
  id: 'return',
  question: 'Would the automatic return have cleared?',
  wants: ['return_height_m', 'tallest_m', 'auto_return'],
  decides: ['return_height_m', 'tallest_m'],
  formula: 'Return height wanted = tallest thing on the way + margin',
  source: "Common practice. The site's own failsafe card and local rules come first.",
  assumes:
    'Height counts from the take-off point: on a slope add the rise. It climbs first, then comes straight home.',
  inputs: [
    amount('return_height_m', 'Return height as set', 'm', [0, 500, 1]),
    amount('tallest_m', 'Tallest thing on the way', 'm', [0, 500, 1]),
    amount('margin_m', 'Margin', 'm', [0, 100, 1]),
    { kind: 'choice', id: 'place', label: 'Where it is flown', options: PLACE_OPTIONS },
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
    let answer = `Yes, with ${metres(setM - tallestM)} over the tallest thing.`;
    if (setM < tallestM)
      answer = `No: set ${metres(tallestM - setM)} below the tallest thing. Wanted ${metres(wantedM)}.`;
    else if (setM < wantedM) answer = `With less than the margin: wanted ${metres(wantedM)}.`;
    return {
      tone: setM < wantedM || failsafe.action !== 'return' ? 'against' : 'for',
      answer: `${answer} On a lost link here: ${FAILSAFE_WORDS[failsafe.action]}. ${failsafe.why}`,
      figures: [figure('Wanted', wantedM, 'm', 0), figure('Room over the tallest', setM - tallestM, 'm', 0)],
      drawing: { kind: 'return', setM, tallestM, wantedM },
    };
  },
};
