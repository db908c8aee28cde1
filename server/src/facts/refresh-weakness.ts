import { isDeepStrictEqual } from 'node:util';
import type { DrillId } from '@skelby/core/drills/drills';
import { clearanceOf } from '@skelby/core/clearance/clearance';
import { inLists } from '@skelby/core/clearance/in-lists';
import { factsOf } from '@skelby/core/weakness/facts-of';
import type { SchoolTx } from '../db/in-school';
import { prepared } from '../db/prepared';
import { notFound } from '../problem/problem';
import { moveOn } from './checkpoints';
import { type KeptLists, readKeptSharing } from './read-kept';
import { repsCounting } from './reps-that-count';
import { type KeptSince, sinceCheckpoints, sinceCheckpointsSharing } from './since-checkpoints';

/**
 * Works the weakness out again and keeps what lists need to know about it; within a batch, once at its end.
 */
export async function refreshWeakness(school: SchoolTx, id: string): Promise<void> {
  if (school.deferred) {
    school.deferred.weaknesses.add(id);
    return;
  }
  await refreshAll(school, await sinceCheckpoints(school, [id]));
}

/** Works several weaknesses of one pilot out again. @throws Problem 404 where none is there */
async function refreshAll(school: SchoolTx, all: readonly KeptSince[]): Promise<void> {
  if (all.length === 0) throw notFound('weakness');
  const countingFor = await repsCounting(school, all);
  for (const each of all) {
    const { kept, since } = each;
    const facts = factsOf({ ...kept, reps: countingFor(each) });
    const clearance = clearanceOf(facts, since);
    const lists: KeptLists = { ...inLists(clearance), signedEarly: clearance.signedEarly };
    // Practice hardly ever moves anything.
    if (!isDeepStrictEqual(lists, kept.lists))
      await school.tx('weaknesses').where({ id: kept.id }).update(lists).options(prepared('lists'));
    await moveOn(school, kept.id, facts, since);
  }
}

/** Works out again every weakness that a rep counts for: its own, and those whose plan has the same drill. */
export async function refreshSharing(
  school: SchoolTx,
  pilotId: string,
  rep: { readonly weaknessId: string; readonly drillId: DrillId; readonly flownAt: string },
): Promise<void> {
  if (school.deferred) {
    school.deferred.weaknesses.add(rep.weaknessId);
    const key = `${pilotId} ${rep.drillId}`;
    const first = school.deferred.drills.get(key)?.flownAt ?? rep.flownAt;
    const flownAt = first < rep.flownAt ? first : rep.flownAt;
    school.deferred.drills.set(key, { pilotId, drillId: rep.drillId, flownAt });
    return;
  }
  await refreshAll(school, await sinceCheckpointsSharing(school, { ...rep, pilotId }));
}

/** Does now what a batch has put off. */
export async function refreshDeferred(school: SchoolTx): Promise<void> {
  const { deferred: putOff, ...now } = school;
  if (!putOff) return;
  for (const flown of putOff.drills.values())
    for (const { id } of await readKeptSharing(now, { ...flown, weaknessId: null }))
      putOff.weaknesses.add(id);
  for (const id of putOff.weaknesses) await refreshWeakness(now, id);
  putOff.weaknesses.clear();
  putOff.drills.clear();
}
