import { OneAtATime } from './one-at-a-time';

test('never two at once, and whoever asks at any moment, the very last one too, has a whole run after it', async () => {
  // At each of the first thirty moments after the first run was asked for.
  for (let moment = 0; moment < 30; moment += 1) {
    let [begun, ended, running] = [0, 0, 0];
    const once = new OneAtATime('a', async () => {
      begun += 1;
      running += 1;
      expect(running).toBe(1);
      await Promise.resolve();
      await Promise.resolve();
      running -= 1;
      ended += 1;
    });
    const first = once.run();
    for (let i = 0; i < moment; i += 1) await Promise.resolve();
    const before = begun;
    await once.run();
    expect(ended).toBeGreaterThan(before);
    await first;
  }
});

test('a run that fails says so to whoever asked, and the next one goes on', async () => {
  let fails = true;
  const once = new OneAtATime('b', () => (fails ? Promise.reject(new Error('broken')) : Promise.resolve()));
  await expect(once.run()).rejects.toThrow('broken');
  fails = false;
  await expect(once.run()).resolves.toBeUndefined();
});
