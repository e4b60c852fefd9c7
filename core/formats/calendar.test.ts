import ICAL from 'ical.js';
import fc from 'fast-check';
import { toCalendar, type CalendarEntry } from '.';
import cases from './fixtures/calendar.json';

/** Content lines as RFC 5545 unfolds them, by name without parameters' order. */
function properties(text: string): Map<string, string> {
  const lines = text.replace(/\r\n[ \t]/g, '').split('\r\n');
  const inside = lines.slice(lines.indexOf('BEGIN:VEVENT') + 1, lines.indexOf('END:VEVENT'));
  return new Map(inside.map((line) => [line.slice(0, line.indexOf(':')), line.slice(line.indexOf(':') + 1)]));
}

function physicalLines(text: string): void {
  const bytes = Buffer.from(text, 'utf8');
  for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  // A character cut in two would not come back.
  expect(bytes.toString('utf8')).toBe(text);
  expect(text).not.toContain('\uFFFD');
}

describe('iCalendar: reference events (source in the fixture)', () => {
  test.each(cases.map((each) => [each.input.name, each] as const))('%s', (_name, { input, expected }) => {
    const text = toCalendar([input.event as unknown as CalendarEntry]);
    physicalLines(text);
    const got = properties(text);
    for (const [name, value] of Object.entries(expected.properties))
      expect([name, got.get(name)]).toEqual([name, value]);
  });
});

test('an independent reader gives back what was written, alarms and sequence too', () => {
  const words = fc
    .string({ unit: 'grapheme', maxLength: 120 })
    // The sign for a character that was cut in two is what `physicalLines` looks for.
    .map((text) => text.replace(/[\p{Cc}\p{Zl}\p{Zp}\p{Cs}\uFFFD]/gu, '').trim());
  fc.assert(
    fc.property(words, words, fc.integer({ min: 0, max: 600 }), (summary, description, minutes) => {
      fc.pre(summary !== '' && description !== '');
      const text = toCalendar([
        {
          uid: 'dawn-2026-07-14@patch',
          stamp: '2026-07-13T18:00:00.000Z',
          start: '2026-07-14T05:41',
          timeZone: 'Europe/Ljubljana',
          minutes,
          summary,
          description,
          alarmsMin: [30],
          sequence: 3,
        },
      ]);
      physicalLines(text);
      const event = new ICAL.Event(
        new ICAL.Component(ICAL.parse(text) as never).getFirstSubcomponent('vevent') as never,
      );
      expect(event.summary).toBe(summary);
      expect(event.description).toBe(description);
      expect(event.uid).toBe('dawn-2026-07-14@patch');
      expect(event.sequence).toBe(3);
      expect(event.startDate.toJSDate().toISOString()).toBe('2026-07-14T03:41:00.000Z');
      expect(event.duration.toSeconds()).toBe(minutes * 60);
      const alarm = event.component.getFirstSubcomponent('valarm');
      expect(String(alarm?.getFirstPropertyValue('trigger'))).toBe('-PT30M');
    }),
    { numRuns: 60 },
  );
});

test('the clock of the place through a change of summer time', () => {
  const at = (start: string) =>
    properties(
      toCalendar([
        {
          uid: 'a',
          stamp: '2026-01-01T00:00:00Z',
          start,
          timeZone: 'Europe/Ljubljana',
          minutes: 60,
          summary: 's',
        },
      ]),
    ).get('DTSTART');
  expect(at('2026-03-28T06:00')).toBe('20260328T050000Z');
  expect(at('2026-03-29T06:00')).toBe('20260329T040000Z');
});

test.each([
  ['uid', { uid: '' }],
  ['start', { start: '2026-07-14T29:00' }],
  ['timeZone', { timeZone: 'Moon/Base' }],
  ['lastDay', { allDay: true, start: '2026-07-14', lastDay: '2026-07-13' }],
  ['minutes', { minutes: -5 }],
])('%s: what is no calendar is refused by name', (field, wrong) => {
  const entry = {
    uid: 'a',
    stamp: '2026-01-01T00:00:00Z',
    start: '2026-07-14T05:00',
    timeZone: 'UTC',
    minutes: 10,
    summary: 's',
  };
  expect(() => toCalendar([{ ...entry, ...wrong }])).toThrow(expect.objectContaining({ field }));
});
