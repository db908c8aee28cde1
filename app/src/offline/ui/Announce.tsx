import { openSet, withoutResult } from '@skelby/core/clearance/announced';
import type { TestSet } from '@skelby/core/clearance/facts';
import { isFirstEdition } from '@skelby/core/clearance/clearing-rule';
import type { Side } from '@skelby/core/drills/drill';
import type { DrillId } from '@skelby/core/drills/drills';
import type { WeaknessPage } from '@skelby/core/pages/pages';
import { v7 as uuid } from 'uuid';
import { sendAnnounced, sendCalledOff } from '../outbox/reps';
import { plural } from '../../shared/copy/copy';
import { todayHere } from '../../shared/copy/dates';
import { chartName } from '../../shared/copy/rung-copy';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { Words } from '../../shared/ui/Words';

interface Chart {
  readonly drillId: DrillId;
  readonly side: Side | null;
}

/** The tests that are announced to the pilot now, for one chart of a weakness. */
export interface Announced {
  /** Tests of this chart want announcing, and none is open: met and missed wait until then. */
  readonly isWanted: boolean;
  /** The open set of this chart. */
  readonly here: TestSet | null;
  /** The open set of another chart: it is finished or called off first. */
  readonly elsewhere: TestSet | null;
  /** The open set, of whichever chart. */
  readonly open: TestSet | null;
  /** Which of the set comes next, from 1. */
  readonly nth: number;
  readonly announce: (number: number) => void;
  readonly callOff: (set: TestSet) => void;
}

/**
 * @param isTest whether what is flown next is a test
 * @param left tests of the chart that still count today; null where that is not limited
 */
export function useAnnounced(
  page: WeaknessPage,
  { drillId, side }: Chart,
  isTest: boolean,
  left: number | null,
): Announced {
  const flown = { sets: page.testSets ?? [], moves: page.moves, reps: page.reps };
  const set = openSet(flown);
  const isOf = set?.drillId === drillId && set.side === side;
  const applies = isTest && !isFirstEdition(page.rule);
  return {
    isWanted: applies && !set && left !== 0,
    here: applies && isOf ? set : null,
    elsewhere: applies && set && !isOf ? set : null,
    open: set ?? null,
    nth: set ? set.number - withoutResult(set, flown) + 1 : 1,
    announce: (number) =>
      sendAnnounced(page.weakness.id, uuid(), {
        drillId,
        side,
        number,
        day: todayHere(),
        at: new Date().toISOString(),
      }),
    callOff: ({ id }) => sendCalledOff(page.weakness.id, id),
  };
}

const MOST_AT_ONCE = 4;

/** In place of met and missed, until the pilot has been told how many tests come. */
export function AnnounceFoot({
  announced,
  left,
}: {
  readonly announced: Announced;
  readonly left: number | null;
}) {
  const { elsewhere, announce, callOff } = announced;
  if (elsewhere)
    return (
      <>
        <Words as="strong">{`Announced tests of ${chartName(elsewhere)} have no result yet: fly them, or call them off.`}</Words>
        <Button icon="x" label="Call them off" onPress={() => callOff(elsewhere)} />
      </>
    );
  return (
    <>
      <Words as="strong">Say it to the pilot now: how many tests?</Words>
      <ButtonRow>
        {Array.from({ length: Math.min(left ?? MOST_AT_ONCE, MOST_AT_ONCE) }, (_, i) => (
          <Button
            key={i}
            style={{ flexGrow: 1, height: 96 }}
            label={String(i + 1)}
            says={`Announce ${plural(i + 1, 'test')}`}
            onPress={() => announce(i + 1)}
          />
        ))}
      </ButtonRow>
    </>
  );
}

/** Which of the announced tests is flown now, and the way to call off the rest before it begins. */
export function AnnouncedLine({ announced: { here, nth, callOff } }: { readonly announced: Announced }) {
  if (!here) return null;
  return (
    <Button
      kind="quiet"
      icon="x"
      label={`Test ${nth} of ${here.number}: call off ${nth === 1 ? 'all' : 'the rest'}`}
      onPress={() => callOff(here)}
    />
  );
}
