import { piece } from './pieces';

test('a piece is fetched when asked for, and then it is here', async () => {
  let fetched = 0;
  const of = piece(() => Promise.resolve({ number: ++fetched }));
  expect([of.here, fetched]).toEqual([null, 0]);
  await expect(of.fetch()).resolves.toEqual({ number: 1 });
  expect(of.here).toEqual({ number: 1 });
  await of.fetch();
  expect(fetched).toBe(1);
});

test('one that could not be had is asked for again', async () => {
  let online = false;
  const of = piece(() => (online ? Promise.resolve({}) : Promise.reject(new Error('offline'))));
  await expect(of.fetch()).rejects.toThrow('offline');
  expect(of.here).toBeNull();
  online = true;
  await expect(of.fetch()).resolves.toEqual({});
});
