import { addDays, type Day } from '../vocabulary/day';
import { CheckTally, type DrillTally } from './check-tally';
import { whyNotCounted } from './counts-for-test';
import type { Rep, WeaknessFacts } from './facts';
import { type RelapseCurve, relapseCurve } from './relapse-curve';
import { type FlownCheck, nextCheckDue } from './spaced-checks';

/** What is seen of a signed weakness until its watch ends. */
export interface Watch {
  readonly curve: RelapseCurve;
  /** Checks flown to their end, the one before the signature first. */
  readonly checks: readonly FlownCheck[];
  /** The next spaced check: from when it counts, and how far it has been flown. */
  readonly next: { readonly from: Day; readonly drills: readonly DrillTally[] };
  /** Limited again until a second check is passed; the second edition. */
  readonly limited: boolean;
  /** Day by which the second check is asked for; null while none is. */
  readonly secondBy: Day | null;
}

export interface FollowedWatch extends Omit<Watch, 'limited' | 'secondBy'> {
  /** The rep at which the relapse chart reached its limit. */
  readonly alarm: Rep | null;
}

/**
 * Follows a signed weakness through the reps flown since: all tests and checks of its deciding drills feed
 * the relapse chart, and checks
 * flown when due space the next one.
 * @param reps live reps since the signature, in the order they were flown
 * @param before the check that was passed before the signature; null when it was signed early
 * @param signedOn day of the signature
 */
export function followWatch(
  facts: WeaknessFacts,
  reps: readonly Rep[],
  before: FlownCheck | null,
  signedOn: Day,
): FollowedWatch {
  const { keyDrills, rule, causeId, pilot } = facts;
  const seen = reps.filter(
    (rep) =>
      rep.purpose !== 'practice' &&
      keyDrills.includes(rep.drillId) &&
      whyNotCounted(rep, causeId, { mode: pilot.mode }) === null,
  );
  const curve = relapseCurve(
    rule,
    seen.map((rep) => rep.met),
  );
  const checks: FlownCheck[] = before ? [before] : [];
  const dueAfter = () =>
    checks.length === 0 ? addDays(signedOn, rule.checkGapDays) : nextCheckDue(checks, rule.checkGapDays);
  let from = dueAfter();
  let tally = new CheckTally(keyDrills);
  for (const rep of seen) {
    if (rep.purpose !== 'check' || rep.day < from) continue;
    const ended = tally.add(rep);
    if (!ended) continue;
    checks.push({ day: rep.day, passed: ended === 'passed' });
    from = dueAfter();
    tally = new CheckTally(keyDrills);
  }
  return {
    curve,
    checks,
    next: { from, drills: tally.drills() },
    alarm: curve.alarmAt === null ? null : seen[curve.alarmAt - 1]!,
  };
}
