import type { Checkpoint } from '@skelby/core/clearance/second-edition';
import { factsOf } from '@skelby/core/weakness/facts-of';
import type { SchoolTx } from '../db/in-school';
import { holding } from './checkpoints';
import { type RepToCount, readKept, readKeptSharing } from './read-kept';

/** What is kept of a weakness, but its reps. */
type Kept = Awaited<ReturnType<typeof readKept>>[number];

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
  return unlessOneDoesNotHold(school, await readKept(school, ids, false));
}

/** The same of all that a rep counts for. */
export const sinceCheckpointsSharing = async (
  school: SchoolTx,
  flown: RepToCount,
): Promise<readonly KeptSince[]> => unlessOneDoesNotHold(school, await readKeptSharing(school, flown));

async function unlessOneDoesNotHold(school: SchoolTx, all: readonly Kept[]): Promise<readonly KeptSince[]> {
  const short = all.map((kept) => ({
    kept,
    since: holding(factsOf({ ...kept, reps: [] }), kept.checkpoint),
  }));
  if (short.every(({ kept, since }) => since !== null || kept.checkpoint === null)) return short;
  return fromTheBeginning(
    school,
    all.map(({ id }) => id),
  );
}

/** All that is kept of weaknesses, from the beginning. */
export const fromTheBeginning = async (
  school: SchoolTx,
  ids: readonly string[],
): Promise<readonly KeptSince[]> =>
  (await readKept(school, ids, true)).map((kept) => ({ kept, since: null }));
