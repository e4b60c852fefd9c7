import { Quiet } from './quiet';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

/** Work in so many steps that notes each one it takes. */
function steps(count: number) {
  const done: number[] = [];
  function* work() {
    for (let step = 1; step <= count; step++) {
      done.push(step);
      yield;
    }
  }
  return { done, work: work() };
}

test('nothing is begun before it has been quiet for a while; then all of it is done', async () => {
  const { done, work } = steps(5);
  void new Quiet().work(work);
  await jest.advanceTimersByTimeAsync(399);
  expect(done).toEqual([]);
  await jest.runAllTimersAsync();
  expect(done).toEqual([1, 2, 3, 4, 5]);
});

test('a question that comes between two steps ends the work', async () => {
  const { done, work } = steps(5);
  const quiet = new Quiet();
  void quiet.work(work);
  await jest.advanceTimersByTimeAsync(400);
  quiet.interrupt();
  await jest.runAllTimersAsync();
  expect(done).toEqual([1]);
});

test('of two pieces of work only the later one is done', async () => {
  const old = steps(3);
  const young = steps(3);
  const quiet = new Quiet();
  void quiet.work(old.work);
  await jest.advanceTimersByTimeAsync(300);
  void quiet.work(young.work);
  await jest.runAllTimersAsync();
  expect(old.done).toEqual([]);
  expect(young.done).toEqual([1, 2, 3]);
});
