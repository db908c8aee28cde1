import { isDeepStrictEqual } from 'node:util';
import type { DrillId } from '@skelby/core/drills/drills';
import { clearanceOf } from '@skelby/core/clearance/clearance';
import { inLists } from '@skelby/core/clearance/in-lists';
import { factsOf } from '@skelby/core/weakness/facts-of';
import type { SchoolTx } from '../db/in-school';
import { prepared } from '../db/prepared';
import { notFound } from '../problem/problem';
import { moveOn } from './checkpoints';
import type { KeptLists } from './read-kept';
import { repsCounting } from './reps-that-count';
import { sinceCheckpoints } from './since-checkpoints';

/**
 * Works the weakness out again and keeps what lists need to know about it; within a batch, once at its end.
 */
export async function refreshWeakness(school: SchoolTx, id: string): Promise<void> {
  if (school.deferred) {
    school.deferred.weaknesses.add(id);
    return;
  }
  await refreshAll(school, [id]);
}

/** Works several weaknesses of one pilot out again. @throws Problem 404 where one is not there */
async function refreshAll(school: SchoolTx, ids: readonly string[]): Promise<void> {
  const all = await sinceCheckpoints(school, ids);
  if (all.length < ids.length) throw notFound('weakness');
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
  const sharing = await sharingSince(school, pilotId, rep);
  await refreshAll(school, [...new Set([rep.weaknessId, ...sharing])]);
}

/**
 * The pilot's open weaknesses whose plan has the drill. What was kept of any of theirs after that instant is dropped:
 * something flown then came in late, or was taken back. Also of weaknesses that are over, since they may be opened
 * again.
 */
async function sharingSince(
  school: SchoolTx,
  pilotId: string,
  { drillId, flownAt }: { readonly drillId: DrillId; readonly flownAt: string },
): Promise<string[]> {
  const { rows } = (await school.tx
    .raw(
      `
    with dropped as (
      delete from weakness_checkpoints c using weaknesses w
       where w.school_id = c.school_id and w.id = c.id and w.pilot_id = ? and c.before > ?)
    select w.id from weaknesses w
      join lateral (select drill_ids from plans p where p.school_id = w.school_id and p.weakness_id = w.id order by made_at desc limit 1) p on true
     where w.pilot_id = ? and w.state not in ('closed', 'withdrawn') and ? = any(p.drill_ids)`,
      [pilotId, flownAt, pilotId, drillId],
    )
    .options(prepared('sharing-since'))) as { rows: { id: string }[] };
  return rows.map((row) => row.id);
}

/** Does now what a batch has put off. */
export async function refreshDeferred(school: SchoolTx): Promise<void> {
  const { deferred: putOff, ...now } = school;
  if (!putOff) return;
  for (const { pilotId, ...rep } of putOff.drills.values())
    for (const id of await sharingSince(now, pilotId, rep)) putOff.weaknesses.add(id);
  for (const id of putOff.weaknesses) await refreshWeakness(now, id);
  putOff.weaknesses.clear();
  putOff.drills.clear();
}
