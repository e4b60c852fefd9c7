import fc from 'fast-check';
import { NO_GOAL } from '../goals';
import { TestGarden } from '../testGarden';
import { fold, merge, validateEvent, type AnyEvent, type Draft, type Goal, type LedgerEvent } from '.';

// The events of goals, weather, clock notes, tallies and crosses (version 3).
const garden = new TestGarden();
const squash = garden.plant('squash-maxima', 'Slate Dome', 2);
const [plant] = squash.plants;
const flower = garden.see(garden.time('2026-07-01', 9), plant as never, 'female', 'coloured');
const at = garden.time('2026-07-02', 9);

const made = (draft: Draft): LedgerEvent =>
  ({
    ...(garden.events[0] as LedgerEvent),
    patch: undefined,
    name: undefined,
    ...(draft as object),
  }) as unknown as LedgerEvent;
const answer = (draft: Draft) => {
  const result = validateEvent(JSON.parse(JSON.stringify(made(draft))));
  return result.ok ? 'accepted' : `${result.field}: ${result.message}`;
};
const goal = (more: object): Draft =>
  ({ kind: 'goalSet', stand: squash.stand, goal: { ...NO_GOAL, ...more } }) as Draft;
const day = (more: object): Draft =>
  ({
    kind: 'weatherNoted',
    patch: garden.patchId,
    origin: 'hand',
    days: [{ date: '2026-07-02', minC: 12, maxC: 25, rainMm: 0, dewPointC: null, felt: null, ...more }],
  }) as Draft;

test.each<[string, Draft, RegExp]>([
  ['a goal of nothing yet', goal({}), /^accepted/],
  ['a goal taken away', { kind: 'goalSet', stand: squash.stand, goal: null }, /^accepted/],
  ['half a fruit', goal({ kitchenFruits: 2.5 }), /^goal\.kitchenFruits: .*integer/],
  ['seed in bags', goal({ seed: { amount: 3, unit: 'bags' } }), /^goal\.seed\.unit: /],
  ['no seed at all, by weight', goal({ seed: { amount: 0, unit: 'grams' } }), /^goal\.seed\.amount: /],
  ['a day that does not exist', goal({ by: '2026-02-30' }), /^goal\.by: /],
  ['certainty', goal({ assurance: 1 }), /^goal\.assurance: /],
  ['more than all set', goal({ bent: { setShare: 1.2 } }), /^goal\.bent\.setShare: /],
  ['nine males for one female', goal({ bent: { malesPerFemale: 9 } }), /^goal\.bent\.malesPerFemale: /],
  ['a father that is no variety', goal({ fatherVariety: squash.stand }), /^goal\.fatherVariety: /],
  ['a fair day', day({}), /^accepted/],
  ['colder than its coldest', day({ minC: 26 }), /the warmest lies below the coldest/],
  ['a thermometer in the fire', day({ maxC: 99 }), /maxC: /],
  ['rain upwards', day({ rainMm: -1 }), /rainMm: /],
  ['a word nobody has for it', day({ felt: 'meh' }), /felt: /],
  [
    'frost in no month',
    { kind: 'frostExpected', patch: garden.patchId, frostOn: '13-01' },
    /^frostOn: .*day of the year/,
  ],
  ['frost on a leap day', { kind: 'frostExpected', patch: garden.patchId, frostOn: '02-29' }, /^accepted/],
  ['flowers that shout', { kind: 'clockNoted', stand: squash.stand, what: 'shouted' as never }, /^what: /],
  [
    'no flower tallied',
    { kind: 'tallied', plant: plant as never, tool: 'brush', flowers: 0, truss: null },
    /^flowers: /,
  ],
  [
    'a truss below ground',
    { kind: 'tallied', plant: plant as never, tool: 'brush', flowers: 1, truss: -1 },
    /^truss: /,
  ],
  ['anthers out', { kind: 'emasculated', flower }, /^accepted/],
])('%s', (_name, draft, words) => {
  expect(answer(draft)).toMatch(words);
});

test('a year in one event, not two', () => {
  const days = (count: number) =>
    Array.from({ length: count }, (_, i) => ({
      date: new Date(Date.UTC(2025, 0, 1) + i * 86_400_000).toISOString().slice(0, 10),
      minC: null,
      maxC: null,
      rainMm: 1,
      dewPointC: null,
      felt: null,
    }));
  const noted = (count: number): Draft => ({
    kind: 'weatherNoted',
    patch: garden.patchId,
    origin: 'file',
    days: days(count),
  });
  expect(answer(noted(366))).toBe('accepted');
  expect(answer(noted(367))).toMatch(/^days: /);
  expect(answer(noted(0))).toMatch(/^days: /);
});

test('weather: a hand stands over a file, a file over a station, whatever comes later; of equals the later', () => {
  const each = new TestGarden();
  const note = (minute: number, origin: 'hand' | 'file' | 'station', maxC: number) =>
    each.write(each.time('2026-07-02', 10, minute), {
      kind: 'weatherNoted',
      patch: each.patchId,
      origin,
      days: [{ date: '2026-07-02', minC: null, maxC, rainMm: null, dewPointC: null, felt: null }],
    });
  const noted = () => each.state.patches.get(each.patchId)?.weather['2026-07-02'];
  note(1, 'station', 20);
  note(2, 'file', 21);
  note(3, 'station', 22);
  expect(noted()).toMatchObject({ maxC: 21, origin: 'file' });
  note(4, 'hand', 23);
  note(5, 'file', 24);
  expect(noted()).toMatchObject({ maxC: 23, origin: 'hand' });
  note(6, 'hand', 25);
  expect(noted()).toMatchObject({ maxC: 25, origin: 'hand' });
});

test('the latest goal stands, an older one comes back when it is withdrawn', () => {
  const each = new TestGarden();
  const { stand } = each.plant('squash-maxima', 'Slate Dome', 1);
  const set = (hour: number, kitchenFruits: number) =>
    each.write(each.time('2026-07-02', hour), {
      kind: 'goalSet',
      stand,
      goal: { ...NO_GOAL, kitchenFruits },
    });
  set(9, 4);
  const second = set(10, 8);
  const wanted = () => each.state.stands.get(stand)?.goal?.kitchenFruits;
  expect(wanted()).toBe(8);
  each.write(each.time('2026-07-02', 11), { kind: 'withdrawn', subject: stand, target: second.id });
  expect(wanted()).toBe(4);
});

const arbitraryDraft: fc.Arbitrary<Draft> = fc.oneof(
  fc.integer({ min: 1, max: 40 }).map((kitchenFruits): Draft => ({
    kind: 'goalSet',
    stand: squash.stand,
    goal: { ...NO_GOAL, kitchenFruits } as Goal,
  })),
  fc
    .tuple(fc.constantFrom('hand', 'file', 'station'), fc.integer({ min: 0, max: 35 }))
    .map(([origin, maxC]): Draft => ({
      kind: 'weatherNoted',
      patch: garden.patchId,
      origin: origin as 'hand',
      days: [{ date: '2026-07-02', minC: null, maxC, rainMm: null, dewPointC: null, felt: null }],
    })),
  fc
    .constantFrom('opened', 'shut', 'insects')
    .map((what): Draft => ({ kind: 'clockNoted', stand: squash.stand, what: what as 'shut' })),
  fc.integer({ min: 1, max: 9 }).map((flowers): Draft => ({
    kind: 'tallied',
    plant: plant as never,
    tool: 'brush',
    flowers,
    truss: null,
  })),
  fc.constant<Draft>({ kind: 'emasculated', flower }),
);

test('two phones’ logs of them merge to one state, in any order', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(arbitraryDraft, fc.integer({ min: 0, max: 600 })), { minLength: 1, maxLength: 14 }),
      fc.integer({ min: 0, max: 14 }),
      (drafts, cut) => {
        const writer = new TestGarden(undefined, undefined, 9);
        const events = [
          ...garden.events,
          ...drafts.map(([draft, minute]) => writer.write(at + minute * 60_000, draft)),
        ] as AnyEvent[];
        const one = events.slice(0, events.length - Math.min(cut, drafts.length));
        const other = [...events].reverse();
        const whole = fold(events);
        for (const log of [merge(one, other), merge(other, one), [...events].reverse()]) {
          const state = fold(log);
          expect(state.stands.get(squash.stand)).toEqual(whole.stands.get(squash.stand));
          expect(state.patches.get(garden.patchId)).toEqual(whole.patches.get(garden.patchId));
          expect(state.plants.get(plant as never)).toEqual(whole.plants.get(plant as never));
          expect(state.flowers.get(flower)).toEqual(whole.flowers.get(flower));
        }
      },
    ),
    { seed: 12, numRuns: 60 },
  );
});
