import { fold, type AnyEvent, type LedgerEvent } from '@core/ledger';
import type { PlantId } from '@core/ids';
import { TestGarden } from '@core/testGarden';
import { entryWords } from '../entryWords';
import { storyWords } from './storyWords';

const DAY = '2026-07-14';

function patch() {
  const garden = new TestGarden();
  const { plants, stand } = garden.plant('melon', 'Round Cask', 2);
  const [mother, father] = plants as [PlantId, PlantId];
  const flower = garden.shut('2026-07-13', mother, 'female');
  const written = (draft: Parameters<TestGarden['write']>[1]) => garden.write(garden.time(DAY, 6), draft);
  return { garden, mother, father, flower, stand, written };
}

test('a pollination’s story says all that was recorded of it', () => {
  const { garden, father, flower, written } = patch();
  const event = written({
    kind: 'pollinated',
    flower,
    fathers: [{ plant: father, males: 2, flowers: [] }],
    tool: 'male-flower',
    shutAgain: null,
    purpose: 'kitchen',
    lobes: 3,
    openS: 120,
    beeIn: false,
    maleInside: true,
  });
  expect(storyWords(garden.state, event)).toBe(
    'Pollinated from Round Cask 2 (2 males) with male flower; left open; 3 lobes covered; open for 2 min; no bee got in; the male left inside; for the kitchen',
  );
});

test('and nothing that nobody said', () => {
  const { garden, flower, written } = patch();
  const event = written({ kind: 'pollinated', flower, fathers: [], purpose: 'seed' });
  expect(storyWords(garden.state, event)).toBe(
    'Pollinated from no father written down; shut again or not: not recorded',
  );
});

test('every kind of entry about a flower has words of its own in the story and in the undo line', () => {
  const { garden, mother, flower, written } = patch();
  const drafts: Parameters<TestGarden['write']>[1][] = [
    { kind: 'flowerSeen', flower, plant: mother, sex: 'female', stage: 'open', node: 7, ovaryMm: 21 },
    { kind: 'flowerShut', flower, closure: 'mesh-bag' },
    { kind: 'closureChecked', flower, result: 'torn' },
    { kind: 'closureChecked', flower, result: 'no-pollen' },
    { kind: 'emasculated', flower },
    { kind: 'missed', flower, why: 'already-shut' },
    { kind: 'marked', flower, mark: '1-A' },
    { kind: 'coverOff', flower },
    { kind: 'lookedAt', flower, result: 'bent', sizeMm: 40 },
    { kind: 'lost', flower, cause: 'borer' },
    { kind: 'harvested', flower, harvestFor: 'seed', weightG: 900 },
    { kind: 'reasonSet', subject: flower, reason: 'fruit' },
    { kind: 'noted', subject: flower, text: 'bent by the wind' },
  ];
  const events = drafts.map(written);
  const stories = events.map((event) => storyWords(garden.state, event));
  expect(new Set(stories).size).toBe(events.length);
  for (const [i, { kind }] of events.entries()) expect([kind, stories[i]]).not.toEqual([kind, kind]);
  const lines = events.map((event) => entryWords(garden.state, [event]));
  expect(new Set(lines).size).toBe(events.length);
  expect(stories[0]).toBe('Seen: female, open; node 7; ovary 21 mm');
  expect(stories[8]).toBe('Looked at: grows, but bent, 40 mm');
  expect(stories[10]).toBe('Harvested for seed; 900 g');
});

test('what was done to the patch is named by what it is, not as "the last entry"', () => {
  const { garden, mother, stand, written } = patch();
  const bed = garden.growing(mother).bed.id;
  const said = (draft: Parameters<TestGarden['write']>[1]) => entryWords(garden.state, [written(draft)]);
  expect([
    said({ kind: 'shelterSet', bed, shelter: 'net', insects: 'out', lampHours: null, from: DAY, to: null }),
    said({ kind: 'shelterSet', bed, shelter: null, insects: 'in', lampHours: null, from: DAY, to: null }),
    said({ kind: 'reasonSet', subject: stand, reason: 'fruit' }),
    said({ kind: 'reasonSet', subject: mother, reason: 'seed' }),
    said({ kind: 'fruitsPicked', stand, plant: null, count: 3, weightG: null }),
    said({ kind: 'malesPicked', stand, count: 24 }),
    said({ kind: 'plantPassed', plant: mother }),
    said({ kind: 'goalSet', stand, goal: null }),
    said({ kind: 'clockNoted', stand, what: 'opened' }),
    said({ kind: 'frostExpected', patch: garden.patchId, frostOn: '10-10' }),
    said({ kind: 'plantDied', plant: mother, cause: 'frost' }),
  ]).toEqual([
    'a net over bed 1',
    'open air over bed 1',
    'Round Cask: for fruit',
    'Round Cask 1: for pure seed',
    'picked 3 fruits, Round Cask',
    'picked 24 males for the kitchen, Round Cask',
    'nothing to write on Round Cask 1',
    'no goal for Round Cask',
    'flowers of Round Cask open',
    'the first frost',
    'died: Round Cask 1',
  ]);
});

test('a planting is named by its own events, also once it was taken back', () => {
  const garden = new TestGarden();
  const before = garden.events.length;
  garden.plant('cucumber', 'Slim Tern', 3);
  const tap = garden.events.slice(before);
  expect(entryWords(garden.state, tap)).toBe('3 plants of Slim Tern');
  const without = fold(garden.events.slice(0, before) as AnyEvent[]);
  expect(entryWords(without, tap)).toBe('3 plants of Slim Tern');
});

test('several alike are counted, the weather named by its days', () => {
  const { garden, mother, father } = patch();
  const tally = (plant: PlantId): LedgerEvent =>
    garden.write(garden.time(DAY, 9), { kind: 'tallied', plant, tool: 'brush', flowers: 5, truss: null });
  expect(entryWords(garden.state, [tally(mother), tally(father)])).toBe(
    '5 flowers worked on each of 2 plants',
  );
  expect(entryWords(garden.state, [tally(mother)])).toBe('5 flowers worked, Round Cask 1');
  const day = (date: string) => ({
    date,
    minC: 12,
    maxC: 24,
    rainMm: null,
    dewPointC: null,
    felt: null,
  });
  const weather = (...dates: string[]) =>
    garden.write(garden.time(DAY, 9), {
      kind: 'weatherNoted',
      patch: garden.patchId,
      origin: 'hand',
      days: dates.map(day),
    });
  expect(entryWords(garden.state, [weather(DAY)])).toMatch(/^the weather of \S+ ?14|14 July/);
  expect(entryWords(garden.state, [weather(DAY, '2026-07-15')])).toBe('the weather of 2 days');
});
