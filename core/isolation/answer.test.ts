import type { BedId, NeighbourId, StandId } from '../ids';
import { NO_GOAL } from '../goals';
import { validateEvent, type Draft } from '../ledger';
import { TestGarden } from '../testGarden';
import { isolationOf, isolations, waysOut } from '.';

const DAY = '2026-07-10';
type Said = Partial<Extract<Draft, { kind: 'neighbourNoted' }>>;

/** Slate Dome for seed, and what else is said. */
function patch(crop: 'squash-maxima' | 'corn' | 'pepper' | 'lettuce' = 'squash-maxima', plants = 4) {
  const garden = new TestGarden();
  const { stand } = garden.plant(crop, 'Slate Dome', plants, { reason: 'seed' }) as { stand: StandId };
  let serial = 0;
  const nextDoor = (said: Said, id?: NeighbourId) =>
    garden.nextDoor({ crop, ...said }, garden.time(DAY, 9, serial++), id);
  const answer = () => isolationOf(garden.state, stand, DAY);
  return { garden, stand, nextDoor, answer };
}

test('with nothing near it that could cross it stands alone; other species next door change nothing', () => {
  const { nextDoor, answer } = patch();
  nextDoor({ crop: 'squash-pepo', distanceM: 2 });
  nextDoor({ crop: 'cucumber', distanceM: 0 });
  expect(answer()).toMatchObject({ verdict: 'alone', rivals: [], pressure: { low: 0, high: 0 } });
});

test('a planting next door counts by its distance, and what is said later counts', () => {
  const { garden, nextDoor, answer } = patch();
  const far = nextDoor({ distanceM: 900, variety: 'Tin Lantern' });
  expect(answer()?.verdict).toBe('fine');
  nextDoor({ distanceM: 20, variety: 'Tin Lantern' }, far);
  expect(answer()).toMatchObject({
    verdict: 'too-near',
    rivals: [{ variety: 'Tin Lantern', distanceM: 20 }],
  });
  garden.write(garden.time(DAY, 12), { kind: 'neighbourGone', neighbour: far });
  expect(answer()?.verdict).toBe('alone');
  // Seen there once more.
  garden.write(garden.time(DAY, 13), { kind: 'noted', subject: far, text: 'only cut back' });
  expect(answer()?.verdict).toBe('alone');
});

test('the very same variety next door is no rival; one nobody knows is', () => {
  const { nextDoor, answer } = patch();
  nextDoor({ variety: ' slate dome ' });
  expect(answer()?.verdict).toBe('alone');
  nextDoor({ variety: null });
  expect(answer()?.rivals).toHaveLength(1);
});

test('one’s own second variety is a rival, by the distance of the nearest plants', () => {
  const { garden, stand, answer } = patch();
  garden.plant('squash-maxima', 'Tin Lantern', 3, { reason: 'fruit' });
  const found = answer();
  expect(found?.rivals).toMatchObject([{ from: 'own', variety: 'Tin Lantern', verdict: 'too-near' }]);
  const near = [...garden.state.plants.values()];
  const least = Math.min(
    ...near
      .filter((plant) => plant.stand === stand)
      .flatMap((a) => near.filter((b) => b.stand !== stand).map((b) => Math.hypot(a.xM - b.xM, a.yM - b.yM))),
  );
  expect(found?.rivals[0]?.distanceM).toBeCloseTo(least, 9);
  // Its plants gone, it is none any more.
  for (const { id, stand: of } of near)
    if (of !== stand) garden.write(garden.time(DAY, 10), { kind: 'plantRemoved', plant: id });
  expect(answer()?.verdict).toBe('alone');
});

test('one variety in a closed house needs nothing', () => {
  const { garden, stand, nextDoor, answer } = patch();
  nextDoor({ distanceM: 5 });
  const bed = garden.state.stands.get(stand)?.bed as string;
  garden.write(garden.time('2026-07-02', 8), {
    kind: 'shelterSet',
    bed,
    shelter: 'closed-house',
    insects: 'out',
    lampHours: null,
    from: '2026-07-02',
    to: null,
  });
  expect(answer()).toMatchObject({ verdict: 'closed-house', rivals: [] });
});

test('how precious the seed is comes from its goal; until somebody says, it is kept and said to be a guess', () => {
  const { garden, stand, nextDoor, answer } = patch();
  nextDoor({ distanceM: 600, between: ['hedge'] });
  expect(answer()).toMatchObject({ importance: 'keep', importanceSaid: false, verdict: 'fine' });
  garden.write(garden.time(DAY, 12), { kind: 'goalSet', stand, goal: { ...NO_GOAL, precious: 'rare' } });
  expect(answer()).toMatchObject({ importance: 'rare', importanceSaid: true, verdict: 'in-between' });
});

test('what is grown for the kitchen has no answer', () => {
  const { garden } = patch();
  garden.plant('cucumber', 'Low Lantern', 2, { reason: 'fruit' });
  expect(isolations(garden.state, DAY).map(({ variety }) => variety.name)).toEqual(['Slate Dome']);
});

test('the ways out fit the crop and who the rival is', () => {
  const ways = (crop: 'squash-maxima' | 'corn' | 'pepper' | 'lettuce', distanceM: number) => {
    const { nextDoor, answer } = patch(crop);
    nextDoor({ distanceM });
    const found = answer();
    return found ? waysOut(found).map(({ way }) => way) : null;
  };
  expect(ways('squash-maxima', 2000)).toEqual([]);
  expect(ways('squash-maxima', 20)).toEqual(['by-hand', 'cage', 'ask', 'strip', 'accept']);
  expect(ways('corn', 20)).toEqual(['by-hand', 'later', 'ask', 'accept']);
  expect(ways('pepper', 20)).toEqual(['bag', 'cage', 'ask', 'accept']);
  expect(ways('lettuce', 1)).toEqual(['cage', 'ask', 'accept']);
});

test('one’s own second variety can be moved, by what its distance lacks', () => {
  const { garden, answer } = patch('lettuce');
  const { stand } = garden.plant('lettuce', 'Pale Cup', 2, { reason: 'seed' });
  expect(answer()?.verdict).toBe('fine');
  // Into the bed of the other.
  const bed = garden.state.stands.get(stand)?.bed as BedId;
  garden.write(garden.time(DAY, 9), { kind: 'bedPlaced', bed, xM: 0, yM: 0.5, turnedDeg: 0 });
  const found = answer();
  expect(found?.verdict).toBe('too-near');
  const [rival] = found?.rivals ?? [];
  const move = found && waysOut(found).find(({ way }) => way === 'move');
  expect(move?.fartherM).toBeCloseTo((rival?.needed.chosenM ?? NaN) - (rival?.distanceM ?? NaN), 6);
});

test.each([
  ['distanceM', { distanceM: -1 }],
  ['distanceM', { distanceM: 30_000 }],
  ['bearingDeg', { bearingDeg: 360 }],
  ['variety', { variety: '' }],
  ['crop', { crop: 'rose' }],
  ['between', { between: ['hedge', 'hedge'] }],
  ['bloomTo', { bloomFrom: '2026-07-10', bloomTo: '2026-07-01' }],
])('what can’t be said of next door is refused by its field: %s', (field, change) => {
  const { garden, nextDoor } = patch();
  nextDoor({});
  const event = garden.events.find(({ kind }) => kind === 'neighbourNoted');
  expect(validateEvent(event)).toMatchObject({ ok: true });
  const read = validateEvent({ ...event, ...change });
  expect(read.ok ? '' : read.message).toContain(field);
});

test('one variety each of pepo, maxima and moschata side by side: no rivals, and told why; a cushaw beside the butternut is one', () => {
  const garden = new TestGarden();
  const stands = (['squash-pepo', 'squash-maxima', 'squash-moschata'] as const).map(
    (crop) => garden.plant(crop, `One of ${crop}`, 3).stand,
  );
  const of = (stand: string) => isolationOf(garden.state, stand, '2026-07-13');
  for (const stand of stands) expect(of(stand)).toMatchObject({ verdict: 'alone', rivals: [] });
  expect(stands.map((stand) => of(stand)?.rare.length)).toEqual([1, 1, 2]);
  garden.plant('squash-argyrosperma', 'Grey Cushaw', 3);
  expect(stands.map((stand) => of(stand)?.rivals.length)).toEqual([0, 0, 1]);
});

test('popcorn whose silk refuses other corn needs no distance from a field of it; the corn beside it does', () => {
  const { garden, stand, nextDoor, answer } = patch('corn');
  nextDoor({ corn: 'dent', variety: 'Tin Lantern' });
  expect(answer()?.verdict).toBe('too-near');
  const said = (traits: object) =>
    garden.write(garden.time(DAY, 11), {
      kind: 'corrected',
      subject: garden.state.stands.get(stand)?.variety as string,
      target: garden.state.varieties.get(garden.state.stands.get(stand)?.variety as string)?.event as string,
      changes: { traits },
    });
  said({ corn: 'pop', barrier: true });
  expect(answer()).toMatchObject({ verdict: 'alone', rare: [expect.stringContaining('pollen barrier')] });
  said({ corn: 'sweet-su' });
  expect(answer()?.rivals[0]?.crossing.why).toContain('starchy kernels');
});

test('a tomato whose stigma stands out asks for the distance of what insects carry; a potato always does', () => {
  const far = (crop: 'tomato' | 'potato', traits: object) => {
    const garden = new TestGarden();
    const { stand, variety } = garden.plant(crop, 'Slate Dome', 4);
    garden.nextDoor({ crop, distanceM: 20 });
    garden.write(garden.time(DAY, 11), {
      kind: 'corrected',
      subject: variety,
      target: garden.state.varieties.get(variety)?.event as string,
      changes: { traits },
    });
    const found = isolationOf(garden.state, stand, DAY);
    return [found?.verdict, found?.rivals[0]?.needed.farM, found?.pressure.likely];
  };
  const [inside, out, potato] = [far('tomato', {}), far('tomato', { stigmaOut: true }), far('potato', {})];
  expect(inside.slice(0, 2)).toEqual(['fine', 15]);
  expect(out.slice(0, 2)).toEqual(['too-near', 490]);
  expect(potato.slice(0, 2)).toEqual(['too-near', 490]);
  expect(out[2]).toBeGreaterThan(inside[2] as number);
});
