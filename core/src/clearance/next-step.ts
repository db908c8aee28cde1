import { type Day } from '../vocabulary/day';
import type { Clearance } from './clearance';

/** What the trainer does next about a weakness. */
export type NextStep =
  | { readonly do: 'drill' }
  | { readonly do: 'wait'; readonly until: Day }
  | { readonly do: 'check' }
  | { readonly do: 'sign' }
  /** On watch; the next spaced check counts from that day. */
  | { readonly do: 'watch'; readonly until: Day }
  | { readonly do: 'nothing' };

export function nextStep(
  clearance: Pick<Clearance, 'state' | 'check'> & {
    readonly watch: { readonly next: { readonly from: Day } } | null;
  },
  today: Day,
): NextStep {
  switch (clearance.state) {
    case 'open':
    case 'drilling':
      return { do: 'drill' };
    case 'watch':
      if (!clearance.watch) return { do: 'nothing' };
      return today >= clearance.watch.next.from
        ? { do: 'check' }
        : { do: 'watch', until: clearance.watch.next.from };
    case 'closed':
    case 'withdrawn':
      return { do: 'nothing' };
    case 'ready-for-check':
      if (!clearance.check) return { do: 'drill' };
      if (clearance.check.passed) return { do: 'sign' };
      return today >= clearance.check.from ? { do: 'check' } : { do: 'wait', until: clearance.check.from };
  }
}
