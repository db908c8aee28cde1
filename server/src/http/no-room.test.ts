import { id, rep, withWeakness } from '../testing/test-school';
import { ownSchool } from '../testing/own-school';
import { NO_ROOM, problemOf } from '../problem/problem';

/** The disk of the server is full: said so, nothing half done, and all of it goes through once there is room. */

const school = ownSchool();

/** The database answers every rep as it does when its disk is full (PostgreSQL, appendix A: 53100). */
const fill = () =>
  school.here.server.db.raw(`
    create function no_room() returns trigger language plpgsql as
      $body$ begin raise exception 'could not extend file: No space left on device' using errcode = '53100'; end $body$;
    create trigger no_room before insert on reps for each statement execute function no_room();`);
const empty = () => school.here.server.db.raw('drop trigger no_room on reps; drop function no_room()');

test('an entry is answered with what is wrong and when to come again, and a batch waits as a whole', async () => {
  const { trainer, server } = school.here;
  const { weaknessId } = await withWeakness(trainer);
  const commands = Array.from({ length: 3 }, () => {
    const key = id();
    return { key, path: `/reps/${key}`, stamp: 'flownAt', body: rep(weaknessId, { purpose: 'practice' }) };
  });
  const send = () =>
    trainer.ask<{ detail?: string; results?: { done: boolean }[] }>('POST', '/api/sync', {
      ...{ sentAt: new Date().toISOString(), minutesAheadOfUtc: 0, phone: null, commands },
    });
  await fill();
  try {
    const one = await trainer.put<{ detail: string }>(`/reps/${id()}`, rep(weaknessId));
    expect([one.status, one.headers.get('Retry-After')]).toEqual([503, '60']);
    expect(one.body.detail).toMatch(/disk of the server is full/);
    // None of it is refused: a phone gives up what is refused.
    const all = await send();
    expect([all.status, all.body.results, all.body.detail]).toEqual([503, undefined, NO_ROOM.detail]);
    // What only reads goes on.
    expect((await trainer.get(`/weaknesses/${weaknessId}`)).status).toBe(200);
  } finally {
    await empty();
  }
  const { body } = await send();
  expect(body.results!.map(({ done }) => done)).toEqual([true, true, true]);
  expect(await server.db('reps').where({ weaknessId })).toHaveLength(3);
});

test.each(['ENOSPC', 'EDQUOT'])('a file that finds no room to be received in (%s) is told the same', (code) =>
  expect(problemOf(Object.assign(new Error('write failed'), { code }))).toBe(NO_ROOM),
);
