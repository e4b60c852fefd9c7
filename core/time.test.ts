import fc from 'fast-check';
import {
  addDays,
  atLocalTime,
  clockText,
  daysBetween,
  isInstant,
  isLocalDate,
  isZone,
  localDateOf,
} from './time';

const zone = 'Europe/Ljubljana';

test('a garden day begins at the midnight of the patch, summer and winter', () => {
  expect(localDateOf(Date.parse('2026-07-13T21:59:59Z'), zone)).toBe('2026-07-13');
  expect(localDateOf(Date.parse('2026-07-13T22:00:00Z'), zone)).toBe('2026-07-14');
  expect(localDateOf(Date.parse('2026-12-31T23:00:00Z'), zone)).toBe('2027-01-01');
  expect(localDateOf(Date.parse('2026-07-14T11:59:00Z'), 'Pacific/Kiritimati')).toBe('2026-07-15');
});

test('agrees with the calendar of Intl for any moment and zone', () => {
  const zones = [
    'Europe/Ljubljana',
    'America/St_Johns',
    'Asia/Kathmandu',
    'Pacific/Chatham',
    'Australia/Lord_Howe',
  ];
  fc.assert(
    fc.property(
      fc.integer({ min: Date.parse('2000-01-01'), max: Date.parse('2040-01-01') }),
      fc.constantFrom(...zones),
      (epochMs, each) => {
        const wanted = new Intl.DateTimeFormat('en-CA', {
          timeZone: each,
          year: 'numeric',
          month: '2-digit',
          day: '2-digit',
        }).format(epochMs);
        expect(localDateOf(epochMs, each)).toBe(wanted);
      },
    ),
  );
});

test('days are counted by the calendar, across both changes of the clock', () => {
  expect(daysBetween('2026-03-28', '2026-03-30')).toBe(2);
  expect(daysBetween('2026-10-24', '2026-10-26')).toBe(2);
  fc.assert(
    fc.property(fc.integer({ min: -4000, max: 4000 }), (days) => {
      expect(daysBetween('2026-02-28', addDays('2026-02-28', days))).toBe(days);
    }),
  );
});

test('a wall-clock time that spring skips gives an instant of that day', () => {
  const skipped = atLocalTime('2026-03-29', 2, 30, zone);
  expect(localDateOf(skipped, zone)).toBe('2026-03-29');
  expect(clockText(skipped, zone)).toBe('03:30');
  expect(clockText(atLocalTime('2026-07-14', 17, 5, zone), zone, true)).toBe('5:05 pm');
});

test('what is no date, instant or zone is told apart', () => {
  expect(['2026-07-14', '2026-02-30', '14.7.2026', ''].map(isLocalDate)).toEqual([true, false, false, false]);
  expect(
    ['2026-07-14T03:05:00.000Z', '2026-07-14T03:05:00Z', '2026-02-31T00:00:00.000Z'].map(isInstant),
  ).toEqual([true, false, false]);
  expect([isZone(zone), isZone('Europe/Nowhere'), isZone('')]).toEqual([true, false, false]);
  expect(() => localDateOf(0, 'Europe/Nowhere')).toThrow(expect.objectContaining({ field: 'zone' }));
});
