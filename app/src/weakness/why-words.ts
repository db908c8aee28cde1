import { causeOf } from '@skelby/core/causes/causes';
import { drillOf } from '@skelby/core/drills/drills';
import type { WhyInPlan } from '@skelby/core/plan/propose-plan';

/** Why a drill is in the plan, under its name. */
export function whyWords(drillId: string, why: WhyInPlan): string {
  switch (why.because) {
    case 'key':
      return 'Decides: its test reps clear the weakness';
    case 'link':
      return `Breaks the chain at its first link: ${causeOf(why.causeId).name.toLowerCase()}`;
    case 'before':
      return `Comes before ${drillOf(why.drillId).name.toLowerCase()}`;
    case 'no-flying':
      return 'No flying needed: do it first';
    case 'widens':
      return `Supports it: ${drillOf(drillId).trains.toLowerCase()}`;
  }
}
