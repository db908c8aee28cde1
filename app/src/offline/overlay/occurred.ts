import type { Occurrence, PilotPage } from '@skelby/core/pages/pages';

type Occurred = NonNullable<PilotPage['occurred']>;

/** How many there are, and how many of each kind count. */
const countsIn = (occurrences: readonly Occurrence[]): Occurred => {
  const of = (kind: Occurrence['kind']) =>
    occurrences.filter((each) => each.kind === kind && !each.withdrawnAt).length;
  return { all: occurrences.length, crashes: of('crash'), nearMisses: of('near-miss') };
};

/** The counts of a pilot's page, whose list has the newest only. @param now the list with what was done on this phone */
export function occurredNow(
  { occurred, occurrences }: Pick<PilotPage, 'occurred' | 'occurrences'>,
  now: readonly Occurrence[] = occurrences,
): Occurred {
  const [before, after] = [countsIn(occurrences), countsIn(now)];
  const { all, crashes, nearMisses } = occurred ?? before;
  return {
    all: all + after.all - before.all,
    crashes: crashes + after.crashes - before.crashes,
    nearMisses: nearMisses + after.nearMisses - before.nearMisses,
  };
}
