import fc from 'fast-check';
import type { FlowerId, PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { addDays } from '../time';
import { csvRows, toCsv, type Table } from '.';

const DAY = '2026-07-02';

/** The rows of a table, each by the names of its columns. */
function rowsOf(garden: TestGarden, table: Table, today?: string): Record<string, string>[] {
  const [head = [], ...rows] = csvRows(toCsv(garden.state, table, today));
  return rows.map((cells) => Object.fromEntries(head.map((name, i) => [name, cells[i] ?? ''])));
}

function patch() {
  const garden = new TestGarden();
  const { plants } = garden.plant('squash-maxima', 'Slate Dome', 3);
  const at = (i: number) => plants[i] as PlantId;
  return { garden, at };
}

test('a whole chain of evidence is fit for seed, and says nothing is missing', () => {
  const { garden, at } = patch();
  const female = garden.shut(addDays(DAY, -1), at(0), 'female');
  const male = garden.shut(addDays(DAY, -1), at(1), 'male');
  for (const each of [female, male]) garden.check(garden.time(DAY, 5, 30), each, 'whole');
  garden.work(garden.time(DAY, 5, 41), female, [male], { beeIn: false });
  garden.write(garden.time(DAY, 5, 42), { kind: 'marked', flower: female, mark: '1-A' });
  expect(rowsOf(garden, 'flowers').find(({ flower }) => flower === female)).toMatchObject({
    'fit for seed': 'fit',
    'why not': '',
    fathers: 'Slate Dome 2',
    males: '1',
    tool: 'male-flower',
    'shut again': 'tape',
    mark: '1-A',
  });
});

test('what nobody recorded is an empty cell, and named as missing', () => {
  const { garden, at } = patch();
  const flower = garden.shut(addDays(DAY, -1), at(0), 'female');
  garden.write(garden.time(DAY, 5, 41), { kind: 'pollinated', flower, fathers: [], purpose: 'seed' });
  const row = rowsOf(garden, 'flowers')[0];
  expect(row).toMatchObject({
    tool: '',
    'shut again': '',
    fathers: '',
    males: '',
    'fit for seed': 'not-recorded',
  });
  for (const missing of ['whole: not-looked-at', 'shut-again: nobody-said', 'fathers: no-father'])
    expect(row?.['why not']).toContain(missing);
  expect(rowsOf(garden, 'trials', DAY)[0]).toMatchObject({
    tool: '',
    males: '',
    lobes: '',
    'closure before': 'tape',
    'closure after': '',
    'minutes after opening': '',
    'min (C)': '',
    outcome: 'waiting',
    'by day': '',
  });
});

test('left open is said so, and is not for seed', () => {
  const { garden, at } = patch();
  const flower = garden.shut(addDays(DAY, -1), at(0), 'female');
  garden.check(garden.time(DAY, 5, 30), flower, 'whole');
  garden.work(garden.time(DAY, 5, 41), flower, [], { shutAgain: null });
  expect(rowsOf(garden, 'flowers')[0]).toMatchObject({
    'shut again': 'open',
    'fit for seed': 'unfit',
    'why not': expect.stringContaining('shut-again: left-open'),
  });
});

test('a flower worked twice names the fathers of both visits, in both tables', () => {
  const { garden, at } = patch();
  const female = garden.shut(addDays(DAY, -1), at(0), 'female');
  const males = [1, 2].map((i) => garden.shut(addDays(DAY, -1), at(i), 'male'));
  garden.work(garden.time(DAY, 5, 41), female, males.slice(0, 1));
  garden.work(garden.time(DAY, 7), female, males.slice(1));
  for (const table of ['flowers', 'trials'] as const)
    expect(rowsOf(garden, table).find((row) => (row.flower ?? row.trial) === female)).toMatchObject({
      fathers: 'Slate Dome 2; Slate Dome 3',
      males: '2',
    });
});

test('a trial tells its sun, its weather, its outcome and between which days it came about', () => {
  const { garden, at } = patch();
  const female = garden.shut(addDays(DAY, -1), at(0), 'female');
  garden.work(garden.time(DAY, 5, 41), female, []);
  garden.write(garden.time(DAY, 20), {
    kind: 'weatherNoted',
    patch: garden.patchId,
    origin: 'hand',
    days: [{ date: DAY, minC: 14, maxC: 29, rainMm: 0, dewPointC: null, felt: null }],
  });
  garden.look(garden.time(addDays(DAY, 3), 9), female, 'same');
  garden.look(garden.time(addDays(DAY, 6), 9), female, 'growing');
  const [row] = rowsOf(garden, 'trials');
  expect(row).toMatchObject({
    'min (C)': '14',
    'max (C)': '29',
    looks: '2',
    outcome: 'set',
    'after day': '3',
    'by day': '6',
  });
  // Sunrise at 46.2 N, 14.6 E on 2 July is at 05:14 summer time (suncalc; checked against the reference values elsewhere).
  expect(Number(row?.['minutes after sunrise'])).toBeGreaterThan(20);
  expect(Number(row?.['minutes after sunrise'])).toBeLessThan(35);
});

test('without a day given, things stand as on the day of the last entry', () => {
  const { garden, at } = patch();
  const flower = garden.shut(addDays(DAY, -1), at(0), 'female');
  garden.work(garden.time(DAY, 5, 41), flower, []);
  expect(rowsOf(garden, 'trials')[0]?.outcome).toBe('waiting');
  expect(rowsOf(garden, 'trials', addDays(DAY, 40))[0]?.outcome).toBe('not-looked-at');
  garden.write(garden.time(addDays(DAY, 40), 9), { kind: 'plantChecked', plant: at(2), health: 'healthy' });
  expect(rowsOf(garden, 'trials')[0]?.outcome).toBe('not-looked-at');
  expect(rowsOf(new TestGarden(), 'trials')).toEqual([]);
});

test('the plants’ sums are those of their trials, whatever happened', () => {
  const happening = fc.record({
    plant: fc.nat(2),
    end: fc.constantFrom('growing', 'yellowing', 'nothing', 'missed', 'torn'),
  });
  fc.assert(
    fc.property(fc.array(happening, { maxLength: 12 }), fc.integer({ min: 1, max: 30 }), (all, ahead) => {
      const { garden, at } = patch();
      for (const { plant, end } of all) {
        const flower: FlowerId = garden.shut(addDays(DAY, -1), at(plant), 'female');
        if (end === 'torn') garden.check(garden.time(DAY, 5), flower, 'torn');
        if (end === 'torn' || end === 'missed') continue;
        garden.work(garden.time(DAY, 5, 41), flower, []);
        if (end !== 'nothing') garden.look(garden.time(addDays(DAY, 5), 9), flower, end);
      }
      const today = addDays(DAY, ahead);
      const trials = rowsOf(garden, 'trials', today);
      for (const row of rowsOf(garden, 'plants', today)) {
        const own = trials.filter(({ plant }) => plant === row.plant);
        const count = (outcome: string) => String(own.filter((trial) => trial.outcome === outcome).length);
        expect(row).toMatchObject({
          set: count('set'),
          dropped: count('dropped'),
          waiting: count('waiting'),
          'not looked at': count('not-looked-at'),
          missed: count('missed'),
        });
      }
    }),
    { seed: 5, numRuns: 60 },
  );
});
