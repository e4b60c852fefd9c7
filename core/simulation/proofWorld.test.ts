import { GROWN } from './proofPeople';
import { proofReport, type GradeReport } from './proofReport';

const mean = (
  reports: readonly GradeReport[],
  by: 'lots' | 'fruits',
  of: 'above' | 'likely' | 'truth',
): number =>
  reports.reduce((sum, report) => sum + report[of] * report[by], 0) /
  reports.reduce((sum, report) => sum + report[by], 0);

// At its full size, grade by grade, it stands in the bench: of so few fruits only sums can tell a right number from a wrong one.
test('careful, hasty and forgetful people in a world of its own: what is said of their seed is so', () => {
  const reports = proofReport(12);
  expect(mean(reports, 'lots', 'above')).toBeLessThan(0.05);
  const ratio = mean(reports, 'fruits', 'likely') / mean(reports, 'fruits', 'truth');
  expect(ratio).toBeGreaterThan(0.5);
  expect(ratio).toBeLessThan(2);
  for (const grown of GROWN) {
    const own = reports.filter((report) => report.grown === grown);
    // A better grade is better seed, in truth too.
    const truth = (...grades: readonly string[]) =>
      mean(
        own.filter(({ grade }) => grades.includes(grade)),
        'fruits',
        'truth',
      );
    expect(truth('sound', 'good')).toBeLessThan(truth('distance-only', 'not-pure'));
  }
});
