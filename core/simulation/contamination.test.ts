import { calibration } from './contamination';

test('held to made-up lots that share no formula: the truth lies within the range, and the range is narrow', () => {
  const all = calibration('all', 300);
  const three = calibration('three', 300);
  for (const { above, below } of [all, three]) {
    expect(above).toBeLessThanOrEqual(0.05);
    expect(below).toBeLessThanOrEqual(0.15);
  }
  expect(all.width).toBeLessThanOrEqual(0.03);
  expect(three.width).toBeLessThanOrEqual(0.15);
  // A range that holds whatever it says would be no range.
  expect(three.width).toBeGreaterThan(all.width);
});
