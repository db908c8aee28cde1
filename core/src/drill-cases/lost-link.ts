import { USUAL_HEIGHT_LIMIT_M } from '../go-no-go/judge';
import { lostLinkOn } from '../reconstruct/return-height';
import type { Place } from '../vocabulary/flying';
import { sentence } from '../vocabulary/said';
import type { Deck } from './case';

interface LostLinkPlace {
  readonly id: string;
  readonly place: Place;
  readonly tallestM: number;
  readonly ceilingM?: number;
  readonly heightLimitM?: number;
}

/** Made-up places of a mountain-rescue air unit. */
const PLACES: readonly LostLinkPlace[] = [
  { id: 'meadow', place: 'open', tallestM: 8 },
  {
    id: 'hut',
    place: 'open',
    tallestM: 12,
  },
  { id: 'pylon', place: 'open', tallestM: 34 },
  { id: 'mast', place: 'open', tallestM: 45 },
  { id: 'quarry', place: 'open', tallestM: 27 },
  { id: 'lift', place: 'open', tallestM: 18 },
  { id: 'church', place: 'open', tallestM: 39 },
  { id: 'snow', place: 'open', tallestM: 3 },
  { id: 'crane', place: 'open', tallestM: 52 },
  { id: 'spruce', place: 'open', tallestM: 24 },
  { id: 'turbine', place: 'open', tallestM: 98 },
  { id: 'dam', place: 'water', tallestM: 21 },
  { id: 'ferry', place: 'water', tallestM: 15 },
  { id: 'tarn', place: 'water', tallestM: 5 },
  { id: 'gorge', place: 'water', tallestM: 60 },
  {
    id: 'tall-limit',
    place: 'open',
    tallestM: 75,
    heightLimitM: 60,
  },
  { id: 'beech', place: 'trees', tallestM: 22 },
  { id: 'street', place: 'built-up', tallestM: 11 },
  {
    id: 'bridge',
    place: 'under-structure',
    tallestM: 30,
    ceilingM: 14,
  },
  { id: 'hall', place: 'indoors', tallestM: 7, ceilingM: 7 },
  {
    id: 'awning',
    place: 'open',
    tallestM: 9,
    ceilingM: 12,
  },
];

/** What a lost link should do by itself, for this craft at that place. The height is what the sum gives. */
export const LOST_LINK_DECK: Deck = PLACES.map(
  ({ id, place, tallestM, ceilingM = null, heightLimitM = USUAL_HEIGHT_LIMIT_M }) => ({
    id,
    of: ({ craft }) => {
      const { action, why, returnHeightM } = lostLinkOn({ place, tallestM, ceilingM, heightLimitM, craft });
      const holds = craft.hasPositionHold ? 'holds' : 'free';
      const roofed = ceilingM === null ? 'open' : 'roofed';
      return {
        says: sentence(`case.lost-link-${holds}-${roofed}`, { id, tallestM, ceilingM, heightLimitM }),
        answer:
          returnHeightM === null
            ? sentence('case.lost-link-does', { action, id, why })
            : sentence('case.lost-link-does-at', { action, returnHeightM, id, why }),
      };
    },
  }),
);
