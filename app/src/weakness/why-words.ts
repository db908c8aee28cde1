import { drillOf } from '@skelby/core/drills/drills';
import type { WhyInPlan } from '@skelby/core/plan/propose-plan';

export function whyWords(why: WhyInPlan): string {
  switch (why.because) {
    case 'key':
      return 'Decides: its test reps clear the weakness';
    case 'before':
      return `Comes before ${drillOf(why.drillId).name.toLowerCase()}`;
    case 'no-flying':
      return 'No flying needed: do it first';
    case 'widens':
      return 'Widens it once the deciding drills come off';
  }
}
