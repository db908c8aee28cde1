import { Writable } from 'node:stream';
import { pino } from 'pino';
import type { Context } from 'koa';
import { InFlight, requests } from './requests';

/** One line a request: what was asked, by which account, from where; nothing of what was sent. */

test('names account and address, and says none where nobody is signed in', async () => {
  const lines: Record<string, unknown>[] = [];
  const into = new Writable({
    write(chunk: Buffer, _, done) {
      lines.push(JSON.parse(chunk.toString()) as Record<string, unknown>);
      done();
    },
  });
  const log = requests(pino({ level: 'info' }, into), new InFlight());
  const asked = (who?: { readonly accountId: string }) =>
    ({
      ...{ method: 'PUT', path: '/api/reps/1', status: 200, ip: '192.0.2.7', state: {} as object },
      ...{ set: () => undefined, request: { body: { note: 'Fell into the brook.' } }, who },
    }) as unknown as Context & { readonly who?: object };
  for (const who of [{ accountId: 'a-1' }, undefined]) {
    const ctx = asked(who);
    await log(ctx, async () => {
      if (who) ctx.state['who'] = who;
    });
  }
  expect(lines.map(({ accountId, from, path, status }) => [accountId, from, path, status])).toEqual([
    ['a-1', '192.0.2.7', '/api/reps/1', 200],
    [null, '192.0.2.7', '/api/reps/1', 200],
  ]);
  expect(JSON.stringify(lines)).not.toContain('brook');
});
