import type { Checkpoint } from '@skelby/core/clearance/second-edition';
import { factsOf } from '@skelby/core/weakness/facts-of';
import type { SchoolTx } from '../db/in-school';
import { holding } from './checkpoints';
import { readKept } from './read-kept';

/** What is kept of a weakness, but its reps. */
export type Kept = Awaited<ReturnType<typeof readKept>>[number];

/** A weakness, and where it is gone on from; null: from the beginning. */
export interface KeptSince {
  readonly kept: Kept;
  readonly since: Checkpoint | null;
}

/** What is kept of weaknesses since the checkpoints that hold; all of it where one does not. */
export async function sinceCheckpoints(
  school: SchoolTx,
  ids: readonly string[],
): Promise<readonly KeptSince[]> {
  const read = async (whole: boolean) =>
    (await readKept(school, ids, whole)).map((kept) => ({
      kept,
      since: holding(factsOf({ ...kept, reps: [] }), kept.checkpoint),
    }));
  const short = await read(false);
  return short.every(({ kept, since }) => since !== null || kept.checkpoint === null) ? short : read(true);
}

/** All that is kept of weaknesses, from the beginning. */
export const fromTheBeginning = async (
  school: SchoolTx,
  ids: readonly string[],
): Promise<readonly KeptSince[]> =>
  (await readKept(school, ids, true)).map((kept) => ({ kept, since: null }));
