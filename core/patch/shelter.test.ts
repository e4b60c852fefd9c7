import type { Draft, Shelter } from '../ledger';
import type { PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { coversFor, growing, insectsKeptOut, shelterOn, wantsHands, type Growing } from '.';

const DAY = '2026-07-14';

function over(
  garden: TestGarden,
  plant: PlantId,
  shelter: Shelter | null,
  more: Partial<Extract<Draft, { kind: 'shelterSet' }>> = {},
): void {
  garden.write(garden.time('2026-06-01', 12), {
    kind: 'shelterSet',
    bed: garden.growing(plant).bed.id,
    shelter,
    insects: 'out',
    lampHours: null,
    from: '2026-06-01',
    to: null,
    ...more,
  });
}
const at = (garden: TestGarden, plant: PlantId) => growing(garden.state, plant) as Growing;

test('a shelter stands from its day to its last; what was said last of a day holds for it', () => {
  const garden = new TestGarden();
  const [plant] = garden.plant('cucumber', 'Slim Tern', 1).plants as [PlantId];
  const bed = () => garden.growing(plant).bed;
  expect(shelterOn(bed(), DAY)).toBeNull();
  over(garden, plant, 'net', { to: '2026-07-20' });
  expect(shelterOn(bed(), '2026-05-31')).toBeNull();
  expect(shelterOn(bed(), '2026-07-20')?.shelter).toBe('net');
  expect(shelterOn(bed(), '2026-07-21')).toBeNull();
  over(garden, plant, null, { from: DAY });
  expect(shelterOn(bed(), '2026-07-13')?.shelter).toBe('net');
  expect(shelterOn(bed(), DAY)).toBeNull();
});

test('alone of its species in a closed house a variety needs no covers; a second one there changes that', () => {
  const garden = new TestGarden();
  const [lone] = garden.plant('squash-pepo', 'Low Lantern', 2).plants as [PlantId];
  expect(coversFor(garden.state, at(garden, lone), DAY)).toMatchObject({ needed: true, shelter: null });
  over(garden, lone, 'closed-house');
  expect(coversFor(garden.state, at(garden, lone), DAY)).toMatchObject({ needed: false, others: [] });
  // Another species is no danger, nor is the same species out in the open: no insect brings its pollen in.
  const [moschata] = garden.plant('squash-moschata', 'Long Halyard', 1).plants as [PlantId];
  over(garden, moschata, 'closed-house');
  const [rival] = garden.plant('squash-pepo', 'Green Skiff', 1).plants as [PlantId];
  expect(coversFor(garden.state, at(garden, lone), DAY).needed).toBe(false);
  over(garden, rival, 'closed-house');
  expect(coversFor(garden.state, at(garden, lone), DAY)).toMatchObject({
    needed: true,
    others: ['Green Skiff'],
  });
});

test('who stood there on the day counts: a rival gone before, or planted after, says nothing of it', () => {
  const garden = new TestGarden();
  const [lone] = garden.plant('squash-pepo', 'Low Lantern', 1).plants as [PlantId];
  const [rival] = garden.plant('squash-pepo', 'Green Skiff', 1).plants as [PlantId];
  for (const plant of [lone, rival]) over(garden, plant, 'closed-house');
  const needed = (date: string) => coversFor(garden.state, at(garden, lone), date).needed;
  expect(needed(DAY)).toBe(true);
  garden.write(garden.time('2026-07-20', 9), { kind: 'plantRemoved', plant: rival });
  // What was pollinated while it stood there is judged by what stood there.
  expect([needed(DAY), needed('2026-07-20'), needed('2026-07-21')]).toEqual([true, true, false]);
  const later = { ...garden.state.plants.get(rival)!, plantedOn: '2026-07-25', ended: null };
  const state = { ...garden.state, plants: new Map(garden.state.plants).set(rival, later) };
  const then = (date: string) => coversFor(state, at(garden, lone), date).needed;
  expect([then(DAY), then('2026-07-25')]).toEqual([false, true]);
});

test.each([
  ['a tunnel with bees in it', 'squash-pepo', 'tunnel', 'in', true],
  ['a net', 'squash-pepo', 'net', 'out', false],
  ['corn under a net, through which pollen flies', 'corn', 'net', 'out', true],
  ['corn indoors', 'corn', 'indoors', 'out', false],
] as const)('%s', (_, crop, shelter, insects, needed) => {
  const garden = new TestGarden();
  const [plant] = garden.plant(crop, 'Low Lantern', 1).plants as [PlantId];
  over(garden, plant, shelter, { insects });
  expect(coversFor(garden.state, at(garden, plant), DAY).needed).toBe(needed);
});

test('peppers of species that partly cross are not alone with each other', () => {
  const garden = new TestGarden();
  const [sweet] = garden.plant('pepper', 'Red Gable', 1).plants as [PlantId];
  const [hot] = garden.plant('pepper', 'Ember Row', 1).plants as [PlantId];
  for (const plant of [sweet, hot]) over(garden, plant, 'closed-house');
  const say = (plant: PlantId, species: 'annuum' | 'chinense' | 'baccatum') => {
    const { variety } = garden.growing(plant);
    garden.write(garden.time('2026-06-02', 9), {
      kind: 'corrected',
      subject: variety.id,
      target: variety.event,
      changes: { traits: { species } },
    });
  };
  say(sweet, 'annuum');
  say(hot, 'chinense');
  expect(coversFor(garden.state, at(garden, sweet), DAY).needed).toBe(true);
  say(hot, 'baccatum');
  expect(coversFor(garden.state, at(garden, sweet), DAY).needed).toBe(false);
});

test('where insects are kept out the flowers want hands, unless the plant fruits by itself', () => {
  const garden = new TestGarden();
  const [plant] = garden.plant('cucumber', 'Slim Tern', 1, { reason: 'fruit' }).plants as [PlantId];
  expect(wantsHands(at(garden, plant), DAY)).toBe(false);
  over(garden, plant, 'net');
  expect(insectsKeptOut(garden.growing(plant).bed, DAY)).toBe(true);
  expect(wantsHands(at(garden, plant), DAY)).toBe(true);
  const { variety } = garden.growing(plant);
  garden.write(garden.time('2026-06-02', 9), {
    kind: 'corrected',
    subject: variety.id,
    target: variety.event,
    changes: { system: 'parthenocarpic' },
  });
  expect(wantsHands(at(garden, plant), DAY)).toBe(false);
});

describe('a cage', () => {
  test('holds its own bed alone: a variety in another cage does not count, a second one in this does', () => {
    const garden = new TestGarden();
    const [lone] = garden.plant('squash-pepo', 'Low Lantern', 1).plants as [PlantId];
    const [rival] = garden.plant('squash-pepo', 'Green Skiff', 1).plants as [PlantId];
    for (const plant of [lone, rival]) over(garden, plant, 'cage');
    expect(garden.growing(lone).bed.id).not.toBe(garden.growing(rival).bed.id);
    expect(coversFor(garden.state, at(garden, lone), DAY).needed).toBe(false);
    const beside = { ...garden.growing(rival).stand, bed: garden.growing(lone).bed.id };
    const state = { ...garden.state, stands: new Map(garden.state.stands).set(beside.id, beside) };
    expect(coversFor(state, at(garden, lone), DAY)).toMatchObject({ needed: true, others: ['Green Skiff'] });
  });

  test('with bees of its own put in its flowers need no covers and no hands; through a wide mesh strange bees come', () => {
    const garden = new TestGarden();
    const [plant] = garden.plant('cucumber', 'Slim Tern', 1).plants as [PlantId];
    over(garden, plant, 'cage', { insects: 'put-in', mesh: 'fine' });
    expect(coversFor(garden.state, at(garden, plant), DAY).needed).toBe(false);
    expect(wantsHands(at(garden, plant), DAY)).toBe(false);
    over(garden, plant, 'cage', { insects: 'put-in', mesh: 'wide' });
    expect(coversFor(garden.state, at(garden, plant), DAY)).toMatchObject({ needed: true, wideMesh: true });
    over(garden, plant, 'cage', { insects: 'in' });
    expect(coversFor(garden.state, at(garden, plant), DAY)).toMatchObject({ needed: true, wideMesh: false });
  });
});
