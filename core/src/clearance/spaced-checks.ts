import { createEmptyCard, fsrs, Rating } from 'ts-fsrs';
import { addDays, type Day } from '../vocabulary/day';

/** One check that was flown to its end. */
export interface FlownCheck {
  readonly day: Day;
  readonly passed: boolean;
  /** Passed as the second one after a failure: kept, and hardly. */
  readonly second?: boolean;
}

/**
 * The open spaced-repetition scheduler FSRS with its published default weights: a check falls due when the
 * chance that the skill is
 * still there has come down to nine in ten. No chance in it (fuzz off) and no steps within a day: the same
 * checks give the same dates.
 */
const MEMORY = fsrs({ request_retention: 0.9, enable_fuzz: false, enable_short_term: false });

const ratingOf = ({ passed, second }: FlownCheck) =>
  passed ? (second ? Rating.Hard : Rating.Good) : Rating.Again;

const at = (day: Day): Date => new Date(`${day}T00:00:00Z`);

/**
 * Day on which the next check falls due, after the checks flown so far (oldest first; at least one).
 * @param gapDays no check counts sooner after the last than this
 * @throws RangeError when no check was flown
 */
export function nextCheckDue(checks: readonly FlownCheck[], gapDays: number): Day {
  const last = checks.at(-1);
  if (!last) throw new RangeError('No check was flown: the first one is due after the last practice.');
  let card = createEmptyCard(at(checks[0]!.day));
  for (const check of checks) card = MEMORY.next(card, at(check.day), ratingOf(check)).card;
  const due = card.due.toISOString().slice(0, 10);
  const earliest = addDays(last.day, gapDays);
  return due > earliest ? due : earliest;
}
