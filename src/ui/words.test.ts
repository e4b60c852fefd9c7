import { CLOSURES, REASONS, SEXES, STAGES, TOOLS } from '@core/crops';
import {
  CHECK_RESULTS,
  fold,
  HEALTH,
  LOOK_RESULTS,
  LOSS_CAUSES,
  MISSED_WHY,
  SHELTERS,
  type AnyEvent,
} from '@core/ledger';
import { growing } from '@core/patch';
import { demoLog } from '@core/simulation';
import { entryWords } from './entryWords';
import * as words from './words';

const log = demoLog(4) as AnyEvent[];
const state = fold(log);
const first = (kind: string) => log.find((event) => event.kind === kind) as AnyEvent;

test('everything that can be recorded has a word, and no two of a kind share one', () => {
  const tables: [readonly string[], Record<string, string>][] = [
    [CLOSURES, words.closureWords],
    [TOOLS, words.toolWords],
    [CHECK_RESULTS, words.checkWords],
    [LOOK_RESULTS, words.lookWords],
    [HEALTH, words.healthWords],
    [SEXES, words.sexWords],
    [STAGES, words.stageWords],
    [REASONS, words.reasonWords],
    [LOSS_CAUSES, words.causeWords],
    [SHELTERS, words.shelterWords],
    [MISSED_WHY, words.missedWords],
  ];
  for (const [keys, table] of tables) {
    expect(Object.keys(table).sort()).toEqual([...keys].sort());
    expect(new Set(Object.values(table)).size).toBe(keys.length);
  }
});

test('one and many', () => {
  expect([words.plural(1, 'male'), words.plural(0, 'male'), words.plural(2, 'batch', 'batches')]).toEqual([
    '1 male',
    '0 males',
    '2 batches',
  ]);
});

test('lengths on the ground in the units that the grower reads', () => {
  const both = (metres: number) => [words.distanceText(metres, 'metric'), words.distanceText(metres, 'us')];
  expect(both(3)).toEqual(['3 m', '9.8 ft']);
  expect(both(118)).toEqual(['120 m', '390 ft']);
  expect(both(400)).toEqual(['400 m', '1300 ft']);
  expect(both(1600)).toEqual(['1600 m', '1 miles']);
  expect(words.lengthText(30.48, 'us')).toBe('100 ft');
});

describe('the last entry, in words', () => {
  test.each([
    ['flowerSeen', /^noted .+ \d, node \d+$/],
    ['malesCounted', /^counted \d+ males?, .+ \d$/],
    ['closureChecked', /^(whole|torn|hole|gone|not open): .+, node \d+$/],
    ['pollinated', /^pollinated .+, node \d+$/],
    ['lookedAt', /^(growing|the same|yellowing|gone): .+, node \d+$/],
    ['lost', /^lost \(.+\): .+, node \d+$/],
    ['plantChecked', /^(healthy|doubtful): .+ \d$/],
    ['marked', /^mark [FHKMPRUXY]\d+.*-. on .+, node \d+$/],
    ['coverOff', /^cover off .+, node \d+$/],
    ['bedAdded', /^the bed Upper terrace$/],
    ['plantAdded', /^1 plant of .+$/],
    ['placeSet', /^the place: /],
    ['goalSet', /^the goal of .+$/],
  ])('%s', (kind, wanted) => {
    expect(entryWords(state, [first(kind)])).toMatch(wanted);
  });
  test('a tap of several facts is named by the one that matters', () => {
    const flower = (first('pollinated') as unknown as { flower: string }).flower;
    const check = { ...first('closureChecked'), flower } as AnyEvent;
    expect(entryWords(state, [check, first('pollinated'), first('marked')])).toMatch(/^pollinated/);
  });
  test('several flowers shut at once are counted', () => {
    const shut = log.filter(({ kind }) => kind === 'flowerShut').slice(0, 3);
    expect(entryWords(state, shut)).toMatch(/^shut 3 flowers/);
    expect(entryWords(state, shut.slice(0, 1))).toMatch(/^shut .+, node \d+$/);
  });
  test('what is not known is named plainly', () => {
    expect(entryWords(state, [])).toBe('nothing');
    expect(entryWords(state, [{ ...first('marked'), kind: 'scented' } as AnyEvent])).toBe(
      'an entry of a newer version',
    );
  });
});

test('a fruit that needs no pollen says nothing about its seed', () => {
  const first = [...state.plants.keys()][0] as string;
  const found = growing(state, first);
  if (!found) throw new Error('no plant');
  expect(words.fateText('set', found)).toBe('set');
  const alone = { ...found, variety: { ...found.variety, system: 'parthenocarpic' as const } };
  expect(words.fateText('set', alone)).toBe('set, seed unknown');
  expect(words.fateText('dropped', alone)).toBe('dropped');
});
