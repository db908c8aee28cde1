import { createHash } from 'node:crypto';
import { checkpointPlace, hasCheckpoints, inputsOf } from '@skelby/core/clearance/checkpoint';
import { type Checkpoint, checkpointBefore } from '@skelby/core/clearance/second-edition';
import type { WeaknessFacts } from '@skelby/core/clearance/facts';
import type { SchoolTx } from '../db/in-school';

/** So many reps are worked through again before a checkpoint is moved on. */
const RENEWED_AFTER = 30;

const hangsOn = (facts: WeaknessFacts): string =>
  createHash('sha256').update(inputsOf(facts)).digest('base64');

/** A checkpoint as it is kept. */
export interface KeptCheckpoint extends Checkpoint {
  readonly hangsOn: string;
}

/** The one that is kept, where it holds for what is known now; null: from the beginning. @param facts reps and tests are not looked at */
export const holding = (facts: WeaknessFacts, kept: KeptCheckpoint | null): Checkpoint | null =>
  kept && hasCheckpoints(facts) && kept.hangsOn === hangsOn(facts) ? kept : null;

/** Drops what was kept after tests that were announced, or called off: they may have been so late. */
export async function dropSince({ tx }: SchoolTx, weaknessId: string, at: string): Promise<void> {
  await tx('weakness_checkpoints').where({ id: weaknessId }).where('before', '>', at).delete();
}

/** Moves the checkpoint on where much has been flown since. @param facts with the reps since the one that holds */
export async function moveOn(
  { tx, schoolId }: SchoolTx,
  id: string,
  facts: WeaknessFacts,
  since: Checkpoint | null,
): Promise<void> {
  if (!hasCheckpoints(facts) || facts.reps.length <= RENEWED_AFTER) return;
  const before = checkpointPlace(facts);
  if (before === null || (since && before <= since.before)) return;
  const { opening } = checkpointBefore(before, facts, since);
  await tx('weakness_checkpoints')
    .insert({ schoolId, id, before, hangsOn: hangsOn(facts), opening: JSON.stringify(opening) })
    .onConflict(['school_id', 'id'])
    .merge();
}
