import { bloomDayOf } from '../bloom';
import { cardHtml } from '../formats';
import type { FlowerId, PlantId } from '../ids';
import { validateEvent, SCHEMA_VERSION } from '../ledger';
import { TestGarden } from '../testGarden';
import { markAt } from '../purity';
import {
  BLANK_ENTRY,
  cardDrafts,
  cardRows,
  dawnQuestion,
  pollinationRound,
  readCardLine,
  type CardEntry,
} from '.';

const EVENING = '2026-07-13';
const DAWN = '2026-07-14';

function card(names: readonly string[] = ['Slate Dome']) {
  const garden = new TestGarden();
  for (const name of names) {
    const stand = garden.plant('squash-maxima', name, 3);
    for (const plant of stand.plants) {
      garden.shut(EVENING, plant as PlantId, 'female');
      for (let i = 0; i < 2; i++) garden.shut(EVENING, plant as PlantId, 'male');
    }
  }
  const round = pollinationRound(garden.state, garden.place, DAWN, 'dawn');
  const question = dawnQuestion(
    garden.state,
    garden.place,
    DAWN,
    'dawn',
    bloomDayOf(garden.state, garden.place, DAWN),
    { now: round?.window.opens ?? 0, people: ['me'], deadline: round?.end ?? 0 },
  );
  return { garden, rows: cardRows(garden.state, round?.stops ?? [], question.match, (row) => markAt(row)) };
}
const entry = (more: Partial<CardEntry> = {}): CardEntry => ({
  found: 'whole',
  males: null,
  shutAgain: null,
  marked: true,
  ...more,
});
const kinds = (drafts: readonly { kind: string }[]) => drafts.map(({ kind }) => kind);

test('a line filled in: closure, pollination and mark; every fact passes the ledger', () => {
  const { garden, rows } = card();
  const [row] = rows;
  if (!row) throw new Error('no row');
  const drafts = cardDrafts(row, entry({ males: 2, shutAgain: 'tape' }));
  expect(kinds(drafts)).toEqual(['closureChecked', 'pollinated', 'marked']);
  expect(drafts.at(-2)).toMatchObject({ flower: row.stop.flower.id, shutAgain: 'tape', purpose: 'seed' });
  for (const draft of drafts) {
    const event = garden.write(garden.time(DAWN, 6), draft as never);
    expect(validateEvent({ ...event, v: SCHEMA_VERSION })).toMatchObject({ ok: true });
  }
  expect(garden.state.flowers.get(row.stop.flower.id)).toMatchObject({ mark: row.mark });
});

test('blanks stay blank: no males as printed, no closure as before, no mark, no tool', () => {
  const [row] = card().rows;
  if (!row) throw new Error('no row');
  // Found whole, and nothing else pencilled: nobody said that it was worked.
  expect(kinds(cardDrafts(row, { ...BLANK_ENTRY, found: 'whole' }))).toEqual(['closureChecked']);
  const marked = cardDrafts(row, { ...BLANK_ENTRY, found: 'whole', marked: true });
  expect(kinds(marked)).toEqual(['closureChecked', 'pollinated', 'marked']);
  expect(marked[1]).toEqual({
    kind: 'pollinated',
    flower: row.stop.flower.id,
    fathers: [],
    purpose: 'seed',
  });
});

test('blank lines give nothing; torn, gone, no males: only what was seen', () => {
  const [row] = card().rows;
  if (!row) throw new Error('no row');
  expect(cardDrafts(row, entry({ found: null }))).toEqual([]);
  expect(kinds(cardDrafts(row, entry({ found: 'torn' })))).toEqual(['closureChecked']);
  expect(kinds(cardDrafts(row, entry({ found: 'gone' })))).toEqual(['closureChecked', 'lost']);
  expect(kinds(cardDrafts(row, entry({ males: 0 })))).toEqual(['closureChecked']);
  expect(cardDrafts(row, entry({ males: 1, shutAgain: 'open', marked: false })).at(-1)).toMatchObject({
    kind: 'pollinated',
    shutAgain: null,
    fathers: [{ males: 1 }],
  });
});

test.each([
  ['3 W 2 T x', { ok: true, line: 3, entry: { found: 'whole', males: 2, shutAgain: 'tape', marked: true } }],
  ['3, w; o', { ok: true, entry: { found: 'whole', males: null, shutAgain: 'open', marked: null } }],
  ['1 n', { ok: true, entry: { found: 'not-open' } }],
  ['99 W', { ok: false, field: 'line' }],
  ['1.5 W', { ok: false, field: 'line' }],
  ['', { ok: false, field: 'line' }],
  ['2', { ok: false, field: 'found' }],
  ['2 Q', { ok: false, field: 'found' }],
  ['2 W 40', { ok: false, field: 'males' }],
  ['2 W K', { ok: false, field: 'shut' }],
  ['2 <script> 1', { ok: false, field: 'found' }],
])('pencilled "%s"', (text, answer) => {
  expect(readCardLine(text, 11)).toMatchObject(answer);
});

test('the page is plain: names with markup are text, every flower has its line, the paper is said', () => {
  const { rows } = card(['<img src=x onerror=alert(1)> & "Dome"']);
  const head = {
    patch: '</style><b>',
    title: 'Dawn round',
    startBy: '05:40',
    end: '06:23',
    people: '3 flowers',
  };
  for (const [paper, size] of [
    ['A4', 'A4'],
    ['Letter', 'Letter'],
    ['strip', '80mm'],
  ] as const) {
    const html = cardHtml(rows, head, paper);
    expect(html).not.toMatch(/<img|<\/style><b>/);
    expect(html).toContain('&lt;img src=x onerror=alert(1)&gt; &amp; &quot;Dome&quot;');
    expect(html).toContain(`@page{size:${size}`);
    expect(html.match(/<tr><td/g)).toHaveLength(rows.length);
  }
});

test('what the card cannot know of a flower that is gone meanwhile stays out', () => {
  const { garden, rows } = card();
  const [row] = rows;
  if (!row) throw new Error('no row');
  const fathers = row.fathers.map((father) => ({ ...father, males: [] as string[] }));
  expect(cardDrafts({ ...row, fathers }, entry({ males: 2, marked: null })).at(-1)).toMatchObject({
    kind: 'pollinated',
    fathers: [],
  });
  expect(garden.state.flowers.has(row.stop.flower.id as FlowerId)).toBe(true);
});
