import { ApiProblem, NoConnection } from '../../shared/api/client';
import { sendAs } from './own-outbox';

const three = {
  commands: ['a', 'b', 'c'].map((key) => ({ key, path: `/own/reps/${key}`, body: { met: key !== 'b' } })),
};

test('each goes out as the holder of the link, in order', async () => {
  const put = jest.fn().mockResolvedValue({});
  await expect(sendAs(() => 'the-link', put)('/sync', three)).resolves.toEqual({
    results: ['a', 'b', 'c'].map((key) => ({ key, done: true })),
    clockAheadS: 0,
  });
  expect(put.mock.calls).toEqual(three.commands.map(({ path, body }) => ['the-link', path, body]));
});

test('what is refused is told with its reason, and the others go through', async () => {
  const put = jest.fn((_: string, path: string) =>
    path.endsWith('b')
      ? Promise.reject(new ApiProblem(404, 'This link leads nowhere any more.'))
      : Promise.resolve({}),
  );
  const { results } = await sendAs(() => 'l', put)('/sync', three);
  expect(results).toEqual([
    { key: 'a', done: true },
    { key: 'b', done: false, status: 404, detail: 'This link leads nowhere any more.' },
    { key: 'c', done: true },
  ]);
});

test('signal lost half-way: what went through is said, the rest stays; lost at once, nothing is', async () => {
  const put = jest.fn((_: string, path: string) =>
    path.endsWith('a') ? Promise.resolve({}) : Promise.reject(new NoConnection()),
  );
  const send = sendAs(() => 'l', put);
  expect((await send('/sync', three)).results).toEqual([{ key: 'a', done: true }]);
  await expect(send('/sync', { commands: three.commands.slice(1) })).rejects.toBeInstanceOf(NoConnection);
});

test('a server that is busy is tried again later', async () => {
  await expect(
    sendAs(
      () => 'l',
      () => Promise.reject(new ApiProblem(503, 'Stopping.')),
    )('/sync', three),
  ).rejects.toMatchObject({ status: 503 });
});
