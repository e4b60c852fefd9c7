import { fetchAhead, piece } from './pieces';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

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

test('what was not asked for comes by itself later, whatever becomes of the piece before it', async () => {
  const broken = piece(() => Promise.reject(new Error('offline')));
  const sound = piece(() => Promise.resolve({ here: true }));
  fetchAhead();
  await jest.advanceTimersByTimeAsync(2900);
  expect(sound()).toBeInstanceOf(Promise);
  await jest.runAllTimersAsync();
  expect(sound()).toEqual({ here: true });
  await expect(broken()).rejects.toThrow('offline');
});
