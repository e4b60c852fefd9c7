import fc from 'fast-check';
import { remembered } from './remember';

const sumTimes = () => {
  const worked = { times: 0 };
  const sum = remembered(
    'sum',
    (list: readonly number[], times: number) => ({ list, times }),
    ({ list, times }) => {
      worked.times++;
      return list.reduce((a, b) => a + b, 0) * times;
    },
  );
  return { worked, sum };
};

test('is worked out once while nothing changed, and anew when anything named does', () => {
  const { worked, sum } = sumTimes();
  const list = [1, 2];
  expect([sum(list, 2), sum(list, 2)]).toEqual([6, 6]);
  expect(worked.times).toBe(1);
  expect([sum(list, 3), sum([1, 2], 3)]).toEqual([9, 9]);
  expect(worked.times).toBe(3);
});

test('gives what the work itself gives, asked in any order', () => {
  const lists = [[1], [1], [2, 3], []];
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.nat(3), fc.nat(4))), (asked) => {
      const { sum } = sumTimes();
      for (const [which, times] of asked) {
        const list = lists[which] as number[];
        expect(sum(list, times)).toBe(list.reduce((a, b) => a + b, 0) * times);
      }
    }),
  );
});
