import { USUAL_HEIGHT_LIMIT_M } from '../go-no-go/judge';
import { FAILSAFE_WORDS, lostLinkOn } from '../reconstruct/return-height';
import { metres } from '../sums/sum';
import type { Place } from '../vocabulary/flying';
import type { Deck } from './case';

interface LostLinkPlace {
  readonly id: string;
  readonly place: Place;
  readonly says: string;
  readonly tallestM: number;
  readonly ceilingM?: number;
  readonly heightLimitM?: number;
  /** What lies under the way, and must be clear of it. */
  readonly below: string;
}

/** Made-up places of a mountain-rescue air unit. */
const PLACES: readonly LostLinkPlace[] = [
  { id: 'meadow', place: 'open', says: 'Meadow, hay barn', tallestM: 8, below: 'the mown track' },
  {
    id: 'hut',
    place: 'open',
    says: 'Slope with a hut and its flagpole',
    tallestM: 12,
    below: 'the hut door',
  },
  { id: 'pylon', place: 'open', says: 'Valley floor, one pylon', tallestM: 34, below: 'the wires' },
  { id: 'mast', place: 'open', says: 'Ridge with a relay mast', tallestM: 45, below: 'the hikers’ path' },
  { id: 'quarry', place: 'open', says: 'Quarry, rim all round', tallestM: 27, below: 'the crusher' },
  { id: 'lift', place: 'open', says: 'Chair-lift line, tallest support', tallestM: 18, below: 'the chairs' },
  { id: 'church', place: 'open', says: 'Field beside a steeple', tallestM: 39, below: 'the churchyard' },
  { id: 'snow', place: 'open', says: 'Snow bowl, nothing built', tallestM: 3, below: 'the ski track' },
  { id: 'crane', place: 'open', says: 'Open ground, a crane works', tallestM: 52, below: 'the crew' },
  { id: 'spruce', place: 'open', says: 'Clearing, spruces at its edge', tallestM: 24, below: 'the log pile' },
  { id: 'turbine', place: 'open', says: 'Hill with a wind turbine', tallestM: 98, below: 'the service road' },
  { id: 'dam', place: 'water', says: 'Lake behind a dam', tallestM: 21, below: 'the open water' },
  { id: 'ferry', place: 'water', says: 'Lake shore, ferry mast', tallestM: 15, below: 'the landing stage' },
  { id: 'tarn', place: 'water', says: 'Tarn, low shore', tallestM: 5, below: 'the bathers' },
  { id: 'gorge', place: 'water', says: 'River gorge, walls', tallestM: 60, below: 'the rapids' },
  {
    id: 'tall-limit',
    place: 'open',
    says: 'Cliff on the way home; the height limit here is low',
    tallestM: 75,
    heightLimitM: 60,
    below: 'the climbers at the foot',
  },
  { id: 'beech', place: 'trees', says: 'Under beeches', tallestM: 22, below: 'the picnic benches' },
  { id: 'street', place: 'built-up', says: 'Between barns in a yard', tallestM: 11, below: 'the yard' },
  {
    id: 'bridge',
    place: 'under-structure',
    says: 'Under a road bridge',
    tallestM: 30,
    ceilingM: 14,
    below: 'the stream',
  },
  { id: 'hall', place: 'indoors', says: 'In a drill hall', tallestM: 7, ceilingM: 7, below: 'the people' },
  {
    id: 'awning',
    place: 'open',
    says: 'Open side of a long roof',
    tallestM: 9,
    ceilingM: 12,
    below: 'the parked cars',
  },
];

/** What a lost link should do by itself, for this craft at that place. The height is what the sum gives. */
export const LOST_LINK_DECK: Deck = PLACES.map(
  ({ id, place, says, tallestM, ceilingM = null, heightLimitM = USUAL_HEIGHT_LIMIT_M, below }) => ({
    id,
    of: ({ craft }) => {
      const { action, why, returnHeightM } = lostLinkOn({ place, tallestM, ceilingM, heightLimitM, craft });
      const roof = ceilingM === null ? '' : `, roof at ${metres(ceilingM)}`;
      const holds = craft.hasPositionHold
        ? 'A craft that holds its position'
        : 'A craft without position hold';
      const height = returnHeightM === null ? '' : ` at ${metres(returnHeightM)}`;
      return {
        says: `${holds}. ${says}: tallest ${metres(tallestM)}${roof}, limit ${metres(heightLimitM)}. Beneath: ${below}.`,
        answer: `${FAILSAFE_WORDS[action]}${height}, clear of ${below}. ${why}`,
      };
    },
  }),
);
