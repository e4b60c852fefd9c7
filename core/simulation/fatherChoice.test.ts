import { fatherChoice } from '.';

test('fathers chosen by what each gave before mix a lot better than the nearest male does', () => {
  const { advised, nearest, 'nearest-other': other } = fatherChoice(60);
  expect(advised / nearest).toBeGreaterThan(1.2);
  expect(advised / other).toBeGreaterThan(1.1);
  // Ten plants that serve both ways are at most ten.
  expect(advised).toBeLessThanOrEqual(10);
});
