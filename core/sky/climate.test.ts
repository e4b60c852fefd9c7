import { addDays } from '../time';
import { climateDay } from '.';

/** The means of the months, C: general climate tables of the last decades, from memory. None of these places was used to fit the curve. */
const MEANS: Readonly<Record<string, readonly [latitude: number, longitude: number, ...months: number[]]>> = {
  // At the sea.
  Reykjavik: [64.1, -21.9, 0, 0.5, 1, 3.5, 7, 10, 11.5, 11, 8, 5, 2, 0.5],
  London: [51.5, -0.1, 5.5, 5.5, 8, 10, 13, 16.5, 18.5, 18, 15.5, 12, 8.5, 6],
  Auckland: [-36.85, 174.8, 19.5, 20, 18.5, 16.5, 14, 12, 11, 11.5, 13, 14.5, 16, 18.5],
  Lisbon: [38.7, -9.1, 11.5, 12.5, 14.5, 16, 18.5, 21.5, 23.5, 23.5, 22, 19, 15, 12.5],
  Dublin: [53.35, -6.3, 5.5, 5.5, 6.5, 8.5, 11, 13.5, 15.5, 15.5, 13, 10.5, 7.5, 5.5],
  Melbourne: [-37.8, 145, 20.5, 20.5, 19, 16, 13.5, 11, 10, 11, 13, 15, 17, 19],
  'New York': [40.7, -74, 0.5, 2, 6, 12, 17.5, 22.5, 25.5, 24.5, 20.5, 14.5, 9, 3.5],
  // Inland.
  Berlin: [52.5, 13.4, 0.5, 1.5, 5, 10, 14.5, 18, 20, 19.5, 15, 10, 5, 2],
  Moscow: [55.75, 37.6, -6.5, -6, -1, 7, 13.5, 17, 19.5, 17.5, 11.5, 5.5, -1, -5],
  Chicago: [41.9, -87.6, -4, -2, 4, 10, 16, 21.5, 24, 23, 19, 12.5, 5.5, -1],
  Ljubljana: [46.05, 14.5, 0, 2, 6, 11, 15.5, 19.5, 21.5, 21, 16, 11.5, 6, 1],
  Paris: [48.9, 2.35, 5, 5.5, 9, 12, 15.5, 19, 20.5, 20.5, 16.5, 13, 8.5, 5.5],
};

test.each(Object.entries(MEANS))(
  '%s: every month within 4 C of its mean',
  (_, [latitude, longitude, ...months]) => {
    const far = months.flatMap((mean, i) => {
      const first = `2026-${String(i + 1).padStart(2, '0')}-01`;
      const days = Array.from({ length: 28 }, (__, day) =>
        climateDay({ latitude, longitude }, addDays(first, day)),
      );
      const usual = days.reduce((sum, { minC, maxC }) => sum + (minC + maxC) / 2, 0) / days.length;
      return Math.abs(usual - mean) > 4 ? [`month ${i + 1}: ${usual.toFixed(1)} for ${mean}`] : [];
    });
    expect(months).toHaveLength(12);
    expect(far).toEqual([]);
  },
);

test('by the sea winter and summer, night and day lie nearer together than inland', () => {
  const year = (latitude: number, longitude: number) => {
    const [winter, summer] = ['2026-01-20', '2026-07-20'].map((date) =>
      climateDay({ latitude, longitude }, date),
    );
    if (!winter || !summer) throw new Error('no days');
    return { swing: Math.abs(summer.maxC - winter.maxC), night: summer.maxC - summer.minC };
  };
  // Dublin and Warsaw, Auckland and inland New South Wales: the same latitudes.
  for (const [sea, inland] of [
    [year(53.35, -6.3), year(52.2, 21)],
    [year(-36.85, 174.8), year(-34, 144)],
  ] as const) {
    expect(sea.swing).toBeLessThan(inland.swing - 2);
    expect(sea.night).toBeLessThan(inland.night - 1);
  }
});
