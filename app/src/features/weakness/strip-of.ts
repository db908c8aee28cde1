import { liveMoves } from '@skelby/core/clearance/standing';
import type { WeaknessPage } from '@skelby/core/pages/pages';
import { type Day, daysBetween } from '@skelby/core/vocabulary/day';

/** What of a weakness's history stands on its strip. */
export type StripSign = 'entry' | 'signed' | 'check-met' | 'check-missed';

export interface Strip {
  readonly from: Day;
  readonly to: Day;
  /** Days on which reps were flown, oldest first; `at` from 0 to 1 between the two ends. */
  readonly days: readonly {
    readonly day: Day;
    readonly at: number;
    readonly met: number;
    readonly missed: number;
  }[];
  readonly signs: readonly { readonly is: StripSign; readonly day: Day; readonly at: number }[];
}

const dayOfMove = (at: string): Day => at.slice(0, 10);

/** From the first entry to today. @param page with the reps that are to be seen */
export function stripOf(page: Pick<WeaknessPage, 'moves' | 'occurrences' | 'reps'>, today: Day): Strip {
  const live = new Set(liveMoves(page.moves).map(({ id }) => id));
  const moves = page.moves.filter(({ id }) => live.has(id));
  const reps = page.reps.filter(({ takenBack }) => !takenBack);
  const entries = page.occurrences.filter(({ withdrawnAt }) => withdrawnAt === null).map(({ day }) => day);
  const from = [today, ...entries, ...reps.map(({ day }) => day), ...moves.map(({ at }) => dayOfMove(at))]
    .sort()
    .at(0)!;
  const long = Math.max(1, daysBetween(from, today));
  const at = (day: Day): number => Math.min(1, Math.max(0, daysBetween(from, day) / long));
  const byDay = new Map<Day, { met: number; missed: number }>();
  const checks = new Map<Day, boolean>();
  for (const { day, met, purpose } of reps) {
    const counted = byDay.get(day) ?? { met: 0, missed: 0 };
    byDay.set(day, met ? { ...counted, met: counted.met + 1 } : { ...counted, missed: counted.missed + 1 });
    if (purpose === 'check') checks.set(day, (checks.get(day) ?? true) && met);
  }
  const sign = (is: StripSign, day: Day) => ({ is, day, at: at(day) });
  return {
    ...{ from, to: today },
    days: [...byDay].map(([day, counted]) => ({ day, at: at(day), ...counted })).sort((a, b) => a.at - b.at),
    signs: [
      ...[...new Set(entries)].map((day) => sign('entry', day)),
      ...[...checks].map(([day, met]) => sign(met ? 'check-met' : 'check-missed', day)),
      ...moves
        .filter(({ kind }) => kind === 'signed' || kind === 'signed-early')
        .map(({ at: when }) => sign('signed', dayOfMove(when))),
    ].sort((a, b) => a.at - b.at),
  };
}
