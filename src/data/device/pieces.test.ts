import { piece } from './pieces';

test('a piece is a promise until it is here, and is fetched once', async () => {
  let fetched = 0;
  const get = piece(() => Promise.resolve({ number: ++fetched }));
  await expect(get()).resolves.toEqual({ number: 1 });
  expect(get()).toEqual({ number: 1 });
  expect(fetched).toBe(1);
});

test('one that could not be had is asked for again', async () => {
  let online = false;
  const get = piece(() => (online ? Promise.resolve({}) : Promise.reject(new Error('offline'))));
  await expect(get()).rejects.toThrow('offline');
  online = true;
  await expect(get()).resolves.toEqual({});
});
