import { placeWords } from '@skelby/copy/places';
import { questionWords, valueWords } from '@skelby/copy/questions';
import { methodWords } from '@skelby/copy/methods';
import { causeWords } from '@skelby/copy/causes';
import type { FindWordedDrill } from '@skelby/copy/drill-book';
import type { DrillId } from '@skelby/core/drills/drills';
import { type LeftOut, type Weighing, weighedFor } from '@skelby/core/plan/circumstances';
import { type KnownOfPilot, type WhyInPlan, whyPlanned } from '@skelby/core/plan/propose-plan';
import { gapSpeedIn } from '@skelby/core/methods/methods';
import type { FlightMode } from '@skelby/core/vocabulary/flying';
import { BAND_WORDS } from '../../shared/copy/copy';

function because(why: WhyInPlan, drillId: DrillId, drillOf: FindWordedDrill): string {
  switch (why.because) {
    case 'key':
      return 'Its tests clear the weakness';
    case 'link':
      return `Breaks the chain at its first link: ${causeWords(why.causeId).name.toLowerCase()}`;
    case 'told': {
      const { question, value } = why.told;
      return `Told in the debrief: ${questionWords(question).short.toLowerCase()}, ${valueWords(question, value).toLowerCase()}`;
    }
    case 'method': {
      const { name } = methodWords(why.question);
      return `By how this pilot is taught: ${name.toLowerCase()}`;
    }
    case 'before':
      return `Comes before ${drillOf(why.drillId).name.toLowerCase()}`;
    case 'no-flying':
      return 'No flying needed: do it first';
    case 'widens':
      return `Supports it: ${drillOf(drillId).trains.toLowerCase()}`;
  }
}

const asked = (weighing: Weighing): string =>
  weighing.for === 'place'
    ? `This pilot flies ${placeWords(weighing.place)}`
    : `This pilot flies in up to {v:${weighing.windMps}} of wind`;

const THROUGH_GAPS: readonly DrillId[] = ['gap-ladder', 'gap-chain', 'portal-drop'];
const GAP_WORDS = {
  slow: 'Flown slow: level, then commit',
  faster: 'Flown a little faster than is comfortable: speed is authority',
} as const;

/** How fast a gap is flown, by how the pilot is taught. */
const gapWords = (drillId: DrillId, mode: FlightMode, { methods }: KnownOfPilot): readonly string[] =>
  methods && THROUGH_GAPS.includes(drillId) ? [GAP_WORDS[gapSpeedIn(methods, mode)]] : [];

/** Why a drill is in the plan, under its name. */
export function whyWords(
  drillId: DrillId,
  beside: Parameters<typeof whyPlanned>[1],
  known: KnownOfPilot,
  drillOf: FindWordedDrill,
): string {
  const weighing = weighedFor(drillId, known);
  const why = because(whyPlanned(drillId, beside, known), drillId, drillOf);
  return [why, ...(weighing ? [asked(weighing)] : []), ...gapWords(drillId, beside.mode, known)].join('. ');
}

/** Why the proposal leaves a drill of the cause out. */
export function leftOutWords(why: LeftOut): string {
  switch (why.for) {
    case 'craft':
      return 'none of the craft flown lately has that mode';
    case 'place':
      return `flown lately only ${why.places.map(placeWords).join(', ')}`;
    case 'wind':
      return `wants ${why.bands.map((band) => BAND_WORDS[band].toLowerCase()).join(' or ')} wind, beyond this pilot's limit`;
    case 'level':
      return `comes off about ${Math.round(why.chance * 10)} times in 10, by this pilot's reps of such drills`;
  }
}
