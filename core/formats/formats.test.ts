import fc from 'fast-check';
import { fold, SCHEMA_VERSION } from '../ledger';
import { demoLog, practiceHistory } from '../simulation';
import { arbitraryLog } from '../testing';
import { compareEvents, type AnyEvent } from '../ledger';
import { csvRows, csvText, FORMAT_VERSION, fromJson, MOST_BYTES, toCsv, toJson, tooLarge } from '.';
import cases from './fixtures/csv.json';
import versionOne from './fixtures/version-1.json';
import versionTwo from './fixtures/version-2.json';
import versionThree from './fixtures/version-3.json';
import versionFour from './fixtures/version-4.json';
import versionFive from './fixtures/version-5.json';
import versionSix from './fixtures/version-6.json';
import versionSeven from './fixtures/version-7.json';
import versionEight from './fixtures/version-8.json';
import versionTen from './fixtures/version-10.json';
import versionNine from './fixtures/version-9.json';

const good = demoLog(4).slice(0, 30) as AnyEvent[];
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

  test('the fixture of version 1 is read for ever', () => {
    const read = fromJson(JSON.stringify(versionOne));
    expect(read.ok && fold(read.events).flowers.size).toBe(1);
    expect(read.ok && read.unknownKinds).toBe(1);
    // Version 2 only allows more: what version 1 wrote stands letter by letter, so two phones hold the same.
    expect(read.ok && read.events.every(({ v }) => v === 1)).toBe(true);
    expect(read.ok && read.practice).toEqual([]);
  });

  test('the fixture of version 2 is read for ever: a measured ovary, a gynoecious variety, practice beside', () => {
    const read = fromJson(JSON.stringify(versionTwo));
    if (!read.ok) throw new Error(read.message);
    const state = fold(read.events);
    expect([...state.varieties.values()].map(({ system }) => system)).toEqual(['gynoecious']);
    expect(
      [...state.flowers.values()].flatMap(({ sightings }) => sightings.map(({ ovaryMm }) => ovaryMm)),
    ).toEqual([18]);
    expect(read.practice.map(({ kind }) => kind)).toEqual(['practised', 'rehearsed']);
  });

  test('events of version 4 are read for ever: a counted group, a pollination of which no tool was said', () => {
    const read = fromJson(JSON.stringify(versionFour));
    if (!read.ok) throw new Error(read.message);
    const state = fold(read.events);
    expect([...state.stands.values()].flatMap(({ groups }) => groups)).toMatchObject([
      { how: 'insects', worked: 12, set: 7, bent: null },
    ]);
    expect([...state.flowers.values()].flatMap(({ pollinations }) => pollinations)[0]).toMatchObject({
      tool: null,
    });
    expect([...state.varieties.values()].map(({ traits }) => traits)).toEqual([{}, {}]);
  });

  test('events of version 5 are read for ever: what is said of a variety, and nothing over a bed', () => {
    const read = fromJson(JSON.stringify(versionFive));
    if (!read.ok) throw new Error(read.message);
    const state = fold(read.events);
    expect([...state.varieties.values()].map(({ traits }) => traits)).toEqual([
      { picked: 'ripe', f1: false },
      {},
    ]);
    expect([...state.beds.values()].flatMap(({ shelters }) => shelters)).toEqual([]);
    expect([...state.flowers.values()].map(({ reason, missed }) => [reason, missed])).toEqual(
      [...state.flowers.values()].map(() => [null, null]),
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

  test('events of version 3 are read for ever: goals, weather, clock notes, tallies, crosses', () => {
    const read = fromJson(JSON.stringify(versionThree));
    if (!read.ok) throw new Error(read.message);
    expect(read.unknownKinds).toBe(0);
    const state = fold(read.events);
    const [squash, tomato] = [...state.stands.values()];
    expect(squash).toMatchObject({
      goal: { seed: { amount: 20, unit: 'grams' }, mothers: 2, kitchenFruits: 3, bent: { setShare: 0.5 } },
      clock: [{ what: 'opened' }],
    });
    expect(tomato?.goal?.fatherVariety).toBe(squash?.variety);
    expect([...state.patches.values()][0]).toMatchObject({
      frostOn: '10-12',
      weather: { '2026-07-02': { minC: 14.5, felt: 'warm', origin: 'hand' } },
    });
    const flowers = [...state.flowers.values()];
    expect(flowers.flatMap(({ pollinations }) => pollinations)).toMatchObject([
      { lobes: 2, openS: 120, beeIn: true },
    ]);
    expect(flowers.filter(({ emasculatedAt }) => emasculatedAt !== null)).toHaveLength(1);
    expect([...state.plants.values()].flatMap(({ tallies }) => tallies)).toMatchObject([
      { tool: 'vibration', flowers: 6, truss: 2 },
    ]);
  });

  test('events of version 10 are read for ever: what was moved, outlined and weighed; no mark read that nobody read', () => {
    const read = fromJson(JSON.stringify(versionTen));
    if (!read.ok) throw new Error(read.message);
    const state = fold(read.events);
    expect([...state.beds.values()]).toMatchObject([{ xM: 4, yM: 6, turnedDeg: 30 }]);
    expect([...state.stands.values()]).toMatchObject([{ moved: { alongM: 1, acrossM: 0.5 } }]);
    expect([...state.neighbours.values()]).toMatchObject([{ sprayed: ['2026-06-20'], place: [60, -60] }]);
    expect([...state.flowers.values()]).toMatchObject([
      {
        mark: '1-A',
        markings: [{ mark: '1-A' }],
        markLost: null,
        looks: [{ markRead: null }],
        harvested: { markRead: null },
      },
    ]);
    expect([...state.plants.values()].every(({ offType }) => offType === null)).toBe(true);
  });

  test('events of version 9 are read for ever: what grows next door, and what is gone there', () => {
    const read = fromJson(JSON.stringify(versionNine));
    if (!read.ok) throw new Error(read.message);
    const state = fold(read.events);
    expect([...state.neighbours.values()]).toMatchObject([
      { crop: 'squash-pepo', distanceM: 120, bearingDeg: 90, goneAt: null, sprayed: [], place: null },
      { crop: 'beet', bearingDeg: null, goneAt: '2026-07-05T04:00:00.000Z' },
    ]);
    // A bed that nobody moved lies where it was measured.
    expect([...state.beds.values()]).toMatchObject([{ xM: 0, turnedDeg: 0, first: { xM: 0, yM: 0 } }]);
    expect(state.obstacles.size).toBe(0);
  });

  test('events of version 8 are read for ever: one in three left to the insects till none, and bees counted', () => {
    const read = fromJson(JSON.stringify(versionEight));
    if (!read.ok) throw new Error(read.message);
    const state = fold(read.events);
    expect([...state.stands.values()]).toMatchObject([{ leaving: null, bees: [{ visits: 4, seconds: 60 }] }]);
    expect([...state.flowers.values()].map(({ left }) => left !== null)).toEqual([true]);
    expect(state.neighbours.size).toBe(0);
  });

  test('events of version 7 are read for ever: stripped, threaded, pinched, an early count, two entries both true', () => {
    const read = fromJson(JSON.stringify(versionSeven));
    if (!read.ok) throw new Error(read.message);
    const state = fold(read.events);
    expect([...state.plants.values()].filter(({ strippedAt }) => strippedAt !== null)).toHaveLength(1);
    expect([...state.flowers.values()].map(({ thread, pinchedAt }) => [thread, pinchedAt !== null])).toEqual([
      ['red', true],
      [null, false],
    ]);
    expect([...state.stands.values()].flatMap(({ groups }) => groups)).toMatchObject([
      { early: true, set: 9 },
    ]);
    expect([...state.flowers.values()].every(({ left }) => left === null)).toBe(true);
    expect(read.events.filter(({ kind }) => kind === 'settled')).toHaveLength(1);
  });

  test('events of version 6 are read for ever: a shelter, a puff, a changed reason, what was left and what was picked', () => {
    const read = fromJson(JSON.stringify(versionSix));
    if (!read.ok) throw new Error(read.message);
    const state = fold(read.events);
    expect([...state.beds.values()].flatMap(({ shelters }) => shelters)).toMatchObject([
      { shelter: 'tunnel', insects: 'out' },
    ]);
    expect([...state.plants.values()].flatMap(({ tallies }) => tallies)).toMatchObject([{ puff: true }]);
    expect([...state.plants.values()].filter(({ reason }) => reason === 'fruit')).toHaveLength(1);
    expect([...state.flowers.values()].map(({ missed }) => missed?.why)).toEqual(['not-reached']);
    expect(
      [...state.stands.values()].map(({ picked, malesPicked }) => [picked[0]?.count, malesPicked[0]?.count]),
    ).toEqual([
      [4, undefined],
      [undefined, 24],
    ]);
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
    const many = JSON.stringify({ format: 'steady-trowel', version: 1, events: demoLog(4) });
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
    const hostile = demoLog(4).map((event) =>
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
