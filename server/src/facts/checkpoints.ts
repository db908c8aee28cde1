import { createHash } from 'node:crypto';
import { checkpointPlace, hasCheckpoints, inputsOf } from '@skelby/core/clearance/checkpoint';
import { type Checkpoint, checkpointBefore } from '@skelby/core/clearance/second-edition';
import type { WeaknessFacts } from '@skelby/core/clearance/facts';
import type { CurveTails } from '@skelby/core/clearance/curve-tails';
import type { SchoolTx } from '../db/in-school';
import { rowsBy } from './by';
import type { KeptSince } from './since-checkpoints';

/** So many reps are worked through again before a checkpoint is moved on. */
const RENEWED_AFTER = 12;

const hangsOn = (facts: WeaknessFacts): string =>
  createHash('sha256').update(inputsOf(facts)).digest('base64');

/** A checkpoint as it is kept. */
export interface KeptCheckpoint extends Checkpoint {
  readonly hangsOn: string;
}

/** The one that is kept, where it holds for what is known now; null: from the beginning. @param facts reps and tests are not looked at */
export const holding = (facts: WeaknessFacts, kept: KeptCheckpoint | null): Checkpoint | null =>
  kept && hasCheckpoints(facts) && kept.hangsOn === hangsOn(facts) ? kept : null;

interface Curves {
  readonly id: string;
  readonly curves: CurveTails;
}

const curvesOf = async (tx: SchoolTx['tx'], ids: readonly string[]) =>
  rowsBy(
    (await tx('weakness_checkpoints').whereIn('id', ids).select('id', 'curves')) as Curves[],
    ({ id }) => id,
  );

/** The same checkpoints with what is drawn of the curves up to them. */
export async function curvesUpTo({ tx }: SchoolTx, all: readonly KeptSince[]): Promise<readonly KeptSince[]> {
  const drawn = await curvesOf(
    tx,
    all.map(({ kept }) => kept.id),
  );
  return all.map(({ kept, since }) => ({
    kept,
    since: since && {
      before: since.before,
      opening: since.opening,
      curves: drawn(kept.id)[0]?.curves ?? {},
    },
  }));
}

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
  const { curves: drawn } = since ? (await curvesOf(tx, [id]))(id)[0]! : {};
  const { opening, curves } = checkpointBefore(
    before,
    facts,
    since && { ...since, ...(drawn ? { curves: drawn } : {}) },
  );
  await tx('weakness_checkpoints')
    .insert({
      ...{ schoolId, id, before, hangsOn: hangsOn(facts) },
      ...{ opening: JSON.stringify(opening), curves: JSON.stringify(curves) },
    })
    .onConflict(['school_id', 'id'])
    .merge();
}
