import { cropOf } from '../crops';
import { idMaker } from '../ids';
import { seededRandom } from '../random';
import { flowersOn } from '../patch';
import { TestGarden } from '../testGarden';
import { addDays } from '../time';
import { awaitedBuds, eveningDrafts, sameBud, writtenOn, type EveningSight } from '.';

const TODAY = '2026-07-10';
const crop = cropOf('squash-maxima');
const sight: EveningSight = { sex: 'female', stage: 'coloured', node: 7, count: 1, ovaryMm: null };

function seenBefore(days: number, stage: 'pin' | 'green' | 'coloured' | 'open', node = 7) {
  const garden = new TestGarden();
  const [plant] = garden.plant('squash-maxima', 'Slate Dome', 1).plants;
  if (!plant) throw new Error('no plant');
  const at = garden.time(addDays(TODAY, -days), 20);
  const flower = garden.see(at, plant, 'female', stage, node);
  const zone = garden.place.zone;
  const awaited = () => awaitedBuds(flowersOn(garden.state, plant), crop, garden.state, TODAY, zone);
  return { garden, plant, flower, zone, awaited };
}

test.each([
  ['a green bud of yesterday', 1, 'green', true],
  ['a green bud of three days ago', 3, 'green', true],
  ['a green bud of four days ago: it has opened', 4, 'green', false],
  ['a pin of five days ago', 5, 'pin', true],
  ['a pin of six days ago', 6, 'pin', false],
  ['what was seen this evening', 0, 'green', false],
  ['a flower that stood open', 1, 'open', false],
] as const)('%s: awaited or not', (_what, days, stage, expected) => {
  expect(seenBefore(days, stage).awaited()).toHaveLength(expected ? 1 : 0);
});

test('a bud shut, worked or lost is not waited for', () => {
  for (const kind of ['flowerShut', 'lost'] as const) {
    const { garden, flower, awaited } = seenBefore(1, 'green');
    const at = garden.time(TODAY, 19);
    if (kind === 'flowerShut') garden.write(at, { kind, flower, closure: 'tape' });
    else garden.write(at, { kind, flower, cause: 'pest' });
    expect(awaited()).toEqual([]);
  }
});

test('a bud at the same node goes on in its own record; without a node nothing is guessed', () => {
  const { garden, plant, flower, zone, awaited } = seenBefore(1, 'green');
  expect(sameBud(sight, awaited())?.id).toBe(flower);
  expect(sameBud({ ...sight, node: 8 }, awaited())).toBeNull();
  expect(sameBud({ ...sight, node: null }, awaited())).toBeNull();
  expect(sameBud({ ...sight, sex: 'male' }, awaited())).toBeNull();
  const never = () => {
    throw new Error('no new flower is wanted');
  };
  const drafts = eveningDrafts(sight, plant, 'tape', sameBud(sight, awaited()), never);
  for (const draft of drafts) garden.write(garden.time(TODAY, 20), draft);
  const flowers = flowersOn(garden.state, plant);
  expect(flowers).toHaveLength(1);
  expect(flowers[0]?.shuttings).toHaveLength(1);
  expect(writtenOn(flowers, TODAY, zone)).toHaveLength(1);
  expect(writtenOn(flowers, addDays(TODAY, 1), zone)).toEqual([]);
});

test('males shut are so many flowers, males only counted one count, and what nobody measured is not said', () => {
  const { garden, plant } = seenBefore(1, 'green');
  const ids = idMaker(seededRandom(4));
  let made = 0;
  const next = () => {
    made++;
    return ids.subject('flower', garden.time(TODAY, 20));
  };
  const males: EveningSight = { ...sight, sex: 'male', node: null, count: 3 };
  const shut = eveningDrafts(males, plant, 'tape', null, next);
  expect(shut.map(({ kind }) => kind)).toEqual(
    Array.from({ length: 3 }, () => ['flowerSeen', 'flowerShut']).flat(),
  );
  expect(made).toBe(3);
  expect(shut.some((draft) => 'ovaryMm' in draft)).toBe(false);
  expect(eveningDrafts(males, plant, null, null, next)).toEqual([
    { kind: 'malesCounted', plant, stage: 'coloured', count: 3 },
  ]);
});
