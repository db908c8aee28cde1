import { type Day } from '../flying/day';
import type { Clearance } from './clearance';

/** What the trainer does next about a weakness. */
export type NextStep =
  | { readonly do: 'drill' }
  | { readonly do: 'wait'; readonly until: Day }
  | { readonly do: 'check' }
  | { readonly do: 'sign' }
  | { readonly do: 'watch' }
  | { readonly do: 'nothing' };

export function nextStep(clearance: Pick<Clearance, 'state' | 'check'>, today: Day): NextStep {
  switch (clearance.state) {
    case 'open':
    case 'drilling':
      return { do: 'drill' };
    case 'watch':
      return { do: 'watch' };
    case 'closed':
    case 'withdrawn':
      return { do: 'nothing' };
    case 'ready-for-check':
      if (!clearance.check) return { do: 'drill' };
      if (clearance.check.passed) return { do: 'sign' };
      return today >= clearance.check.from ? { do: 'check' } : { do: 'wait', until: clearance.check.from };
  }
}
