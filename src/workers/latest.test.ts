import { Latest } from './latest';

function* counting(to: number, seen: { at: number }): Generator<void, number> {
  for (seen.at = 0; seen.at < to; seen.at++) {
    const until = performance.now() + 2;
    while (performance.now() < until);
    yield;
  }
  return to;
}

test('a newer question ends the one before, and only of the same asker', async () => {
  const latest = new Latest();
  const [first, second, other] = [{ at: 0 }, { at: 0 }, { at: 0 }];
  const answers = await Promise.all([
    latest.run('round', counting(1000, first)),
    latest.run('today', counting(40, other)),
    latest.run('round', counting(40, second)),
  ]);
  expect(answers).toEqual([null, 40, 40]);
  expect(first.at).toBeLessThan(100);
});

test('what is dropped ends; what goes wrong is said', async () => {
  const latest = new Latest();
  const seen = { at: 0 };
  const dropped = latest.run('round', counting(1000, seen));
  latest.drop('round');
  expect(await dropped).toBeNull();
  expect(seen.at).toBeLessThan(100);
  await expect(
    latest.run(
      'round',
      (function* (): Generator<void, never> {
        yield;
        throw new Error('no person');
      })(),
    ),
  ).rejects.toThrow('no person');
});
