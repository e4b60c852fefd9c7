import fc from 'fast-check';
import { fold, SCHEMA_VERSION } from '../ledger';
import { practiceHistory } from '../simulation';
import { demoSeason } from '../testLogs';
import { arbitraryLog } from '../testing';
import { compareEvents, type AnyEvent } from '../ledger';
import { csvRows, csvText, FORMAT_VERSION, fromJson, MOST_BYTES, toCsv, toJson, tooLarge } from '.';
import cases from './fixtures/csv.json';

const good = demoSeason(4).slice(0, 30) as AnyEvent[];
const changed = (change: (event: Record<string, unknown>) => unknown, index = 3) =>
  JSON.stringify({
    format: 'steady-trowel',
    version: 1,
    events: good.map((event, i) => (i === index ? change({ ...event }) : event)),
  });

describe('our file', () => {
  test('comes back as it went out', () => {
    fc.assert(
      fc.property(arbitraryLog, (log) => {
        const read = fromJson(toJson(log));
        expect(read).toMatchObject({ ok: true, repeated: 0 });
        if (read.ok) expect(read.events).toEqual([...log].sort(compareEvents));
      }),
    );
  });

  test('what a variety carries goes out and comes back; what it cannot carry is refused by name', () => {
    const variety = good.find(({ kind }) => kind === 'varietyAdded') as AnyEvent;
    const withTraits = (traits: unknown) =>
      fromJson(JSON.stringify({ format: 'steady-trowel', version: 1, events: [{ ...variety, traits }] }));
    const read = withTraits({ f1: true, picked: 'ripe' });
    expect(read.ok && read.events).toMatchObject([{ traits: { f1: true, picked: 'ripe' } }]);
    for (const wrong of [{ f1: 'yes' }, { picked: 'raw' }, { sweet: true }, 'F1'])
      expect(withTraits(wrong)).toMatchObject({ ok: false, reason: 'invalid-event' });
  });

  test('practice goes out beside the events and comes back apart from them', () => {
    const practice = practiceHistory(3).slice(0, 12);
    const read = fromJson(toJson(good, practice));
    expect(read.ok && read.practice).toEqual(practice);
    expect(read.ok && read.events).toHaveLength(good.length);
    const broken = toJson(good, practice).replace('"tookMs":', '"tookMs":"x","was":');
    expect(fromJson(broken)).toMatchObject({
      ok: false,
      reason: 'invalid-practice',
      field: 'tookMs',
      message: expect.stringMatching(/Practice record 1 of 12/),
    });
  });

  test.each([
    ['empty', '', 'not-json', /not JSON/],
    ['cut short', toJson(good).slice(0, 900), 'not-json', /cut short/],
    ['another kind of file', '{"type":"FeatureCollection"}', 'not-ours', /not a Steady Trowel file/],
    ['a bare list', '[1,2]', 'not-ours', /not a Steady Trowel file/],
    ['no events', '{"format":"steady-trowel","version":1}', 'not-ours', /no list of events/],
    [
      'a version that is none',
      '{"format":"steady-trowel","version":"x","events":[]}',
      'not-ours',
      /no version/,
    ],
    [
      'from a newer version',
      `{"format":"steady-trowel","version":${FORMAT_VERSION + 1},"events":[]}`,
      'newer-version',
      /Update first/,
    ],
    [
      'an event of a newer schema',
      changed((event) => ({ ...event, v: SCHEMA_VERSION + 1 })),
      'newer-version',
      /Event 4 of 30/,
    ],
    [
      'a broken event',
      changed((event) => ({ ...event, at: 'yesterday' })),
      'invalid-event',
      /Event 4 of 30: "at" is not a time/,
    ],
    ['not an event', changed(() => 'hello'), 'invalid-event', /Event 4 of 30/],
    [
      'a long name',
      changed((event) => ({ ...event, name: 'x'.repeat(10_000) }), 0),
      'invalid-event',
      /Event 1 of 30: "name" is longer than 80/,
    ],
    [
      'year 0',
      changed((event) => ({ ...event, at: '0000-01-01T00:00:00.000Z' })),
      'invalid-event',
      /"at" is not a time between 1990 and 2200/,
    ],
    [
      'year 9999',
      changed((event) => ({ ...event, at: '9999-01-01T00:00:00.000Z' })),
      'invalid-event',
      /"at" is not a time between 1990 and 2200/,
    ],
    [
      'right-to-left control in a name',
      changed((event) => ({ ...event, name: 'a\u202Eb' }), 0),
      'invalid-event',
      /turn the writing round/,
    ],
    [
      'a __proto__ key',
      changed((event) => event).replace(
        '"kind":"patchBegun"',
        '"__proto__":{"polluted":1},"kind":"patchBegun"',
      ),
      'invalid-event',
      /"__proto__" is not allowed/,
    ],
    [
      'one id, two contents',
      JSON.stringify({
        format: 'steady-trowel',
        version: 1,
        events: [good[0], { ...good[0], name: 'Other' }],
      }),
      'conflict',
      /Two different events carry the id/,
    ],
  ])('%s: nothing is read, and it says why', (_name, text, reason, words) => {
    const read = fromJson(text);
    expect(read).toMatchObject({ ok: false, reason, message: expect.stringMatching(words) });
    expect(({} as { polluted?: number }).polluted).toBeUndefined();
  });

  test('a file of 200 MB is refused by its size', () => {
    expect(tooLarge(200_000_000)).toMatchObject({
      ok: false,
      reason: 'too-large',
      message: expect.stringMatching(/200 MB/),
    });
    expect(MOST_BYTES).toBeLessThan(200_000_000);
  });

  test('exact repeats are dropped, and progress can stop the reading', () => {
    expect(
      fromJson(JSON.stringify({ format: 'steady-trowel', version: 1, events: [...good, ...good] })),
    ).toMatchObject({ ok: true, repeated: 30 });
    const many = JSON.stringify({ format: 'steady-trowel', version: 1, events: demoSeason(4) });
    expect(() =>
      fromJson(many, () => {
        throw new Error('stopped');
      }),
    ).toThrow('stopped');
  });
});

describe('CSV', () => {
  test.each(cases.map((each) => [each.id, each] as const))(
    'reference case %s (Python csv module; source in the fixture)',
    (_id, { input, expected }) => {
      if (input.kind === 'write')
        expect(csvText(input.rows as string[][], { guardFormulas: false })).toBe(
          (expected as { text: string }).text,
        );
      else expect(csvRows(input.text as string)).toEqual((expected as { rows: string[][] }).rows);
    },
  );

  test('whatever is written is read back', () => {
    // A lone empty field on a line cannot be told from an empty line.
    const row = fc.array(fc.string(), { minLength: 2, maxLength: 5 });
    fc.assert(
      fc.property(fc.array(row, { minLength: 1 }), (rows) =>
        expect(csvRows(csvText(rows, { guardFormulas: false }))).toEqual(
          rows.map((cells, i) =>
            i === 0 ? cells.map((cell, j) => (j === 0 ? cell.replace(/^\ufeff/, '') : cell)) : cells,
          ),
        ),
      ),
    );
  });

  test('no text can run in a spreadsheet; numbers stay numbers', () => {
    const text = csvText([['=HYPERLINK("http://x")', '+1', '-1', '@a', '\tx', '\rx', 'a=b', -3.5]], {
      guardFormulas: true,
    });
    expect(csvRows(text)[0]).toEqual([
      '\'=HYPERLINK("http://x")',
      "'+1",
      "'-1",
      "'@a",
      "'\tx",
      "'\rx",
      'a=b',
      '-3.5',
    ]);
  });

  test('a variety named like a formula is defused in the tables', () => {
    const hostile = demoSeason(4).map((event) =>
      event.kind === 'varietyAdded' ? { ...event, name: '=1+1' } : event,
    );
    const state = fold(hostile);
    for (const table of ['flowers', 'plants'] as const) {
      const rows = csvRows(toCsv(state, table));
      expect(rows.length).toBeGreaterThan(20);
      expect(new Set(rows.map((cells) => cells.length)).size).toBe(1);
      expect(rows.flat().filter((cell) => cell.startsWith('='))).toEqual([]);
    }
  });
});
