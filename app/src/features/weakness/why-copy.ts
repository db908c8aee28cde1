import type { FindDrill } from '@skelby/core/drills/drill-book';
import { causeOf } from '@skelby/core/causes/causes';
import type { DrillId } from '@skelby/core/drills/drills';
import { type LeftOut, type Weighing, weighedFor } from '@skelby/core/plan/circumstances';
import { labelOf, questionOf } from '@skelby/core/evidence/questions';
import { type KnownOfPilot, type WhyInPlan, whyPlanned } from '@skelby/core/plan/propose-plan';
import { BAND_WORDS, IN_PLACE } from '../../shared/copy/copy';

function because(why: WhyInPlan, drillId: DrillId, drillOf: FindDrill): string {
  switch (why.because) {
    case 'key':
      return 'Decides: its test reps clear the weakness';
    case 'link':
      return `Breaks the chain at its first link: ${causeOf(why.causeId).name.toLowerCase()}`;
    case 'told': {
      const question = questionOf(why.told.question);
      const answer = question.kind === 'choice' ? labelOf(question, why.told.value) : why.told.value;
      return `Told in the debrief: ${question.short.toLowerCase()}, ${answer.toLowerCase()}`;
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
    ? `This pilot flies ${IN_PLACE[weighing.place]}`
    : `This pilot flies in up to {v:${weighing.windMps}} of wind`;

/** Why a drill is in the plan, under its name. */
export function whyWords(
  drillId: DrillId,
  beside: Parameters<typeof whyPlanned>[1],
  known: KnownOfPilot,
  drillOf: FindDrill,
): string {
  const weighing = weighedFor(drillId, known);
  const why = because(whyPlanned(drillId, beside, known), drillId, drillOf);
  return [why, ...(weighing ? [asked(weighing)] : [])].join('. ');
}

/** Why the proposal leaves a drill of the cause out. */
export function leftOutWords(why: LeftOut): string {
  switch (why.for) {
    case 'craft':
      return 'none of the craft flown lately has that mode';
    case 'place':
      return `flown lately only ${why.places.map((place) => IN_PLACE[place]).join(', ')}`;
    case 'wind':
      return `wants ${why.bands.map((band) => BAND_WORDS[band].toLowerCase()).join(' or ')} wind, beyond this pilot's limit`;
    case 'level':
      return `comes off about ${Math.round(why.chance * 10)} times in 10, by this pilot's reps of such drills`;
  }
}
