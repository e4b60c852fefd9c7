import { cropOf } from '../crops';
import type { FlowerId, PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { addDays, type LocalDate } from '../time';
import { allTrials, dropCurve, fatesByDay, followedFruit, likelyCauses, sizesOf, usualSizes } from '.';

const DAY0 = '2026-07-01';
const TODAY = '2026-07-21';

/** Squashes worked on 1 July, with a hand for what became of each. */
function patch() {
  const garden = new TestGarden();
  const { plants, variety } = garden.plant('squash-maxima', 'Slate Dome', 4);
  const [one, two] = plants as [PlantId, PlantId];
  const on = (day: number, hour = 18) => garden.time(addDays(DAY0, day), hour);
  const worked = (plant: PlantId = one) => {
    const flower = garden.see(on(0, 6), plant, 'female', 'open');
    garden.work(on(0, 6), flower, []);
    return flower;
  };
  const followed = (flower: FlowerId, today: LocalDate = TODAY) => {
    const trial = allTrials(garden.state, garden.place.zone).find(({ id }) => id === flower);
    const found =
      trial &&
      followedFruit(
        trial,
        garden.state.plants.get(trial.plant ?? '')?.ended?.at ?? null,
        garden.place.zone,
        today,
      );
    return found && { after: found.after, by: found.by, end: found.end };
  };
  return { garden, variety, one, two, on, worked, followed };
}

test('a drop lies between the look before and the look that found it', () => {
  const { garden, on, worked, followed } = patch();
  const flower = worked();
  garden.look(on(3), flower, 'same');
  garden.look(on(7), flower, 'gone');
  garden.write(on(7), { kind: 'lost', flower, cause: 'not-pollinated' });
  expect(followed(flower)).toEqual({ after: 3, by: 7, end: 'pollen' });
});

test('one that set hangs until today, or until it must be ripe; one without a verdict as long as it was seen', () => {
  const { garden, on, worked, followed } = patch();
  const [set, waits] = [worked(), worked()];
  garden.look(on(6), set, 'growing');
  garden.look(on(3), waits, 'same');
  expect(followed(set)).toEqual({ after: 20, by: 20, end: null });
  expect(followed(set, '2027-07-01')).toEqual({ after: 75, by: 75, end: null });
  expect(followed(waits)).toEqual({ after: 3, by: 3, end: null });
});

test('nobody looked: missing, and no drop', () => {
  const { worked, followed } = patch();
  expect(followed(worked())).toBeNull();
});

test('harvest and the end of the plant are ends of their own', () => {
  const { garden, two, on, worked, followed } = patch();
  const [picked, orphan] = [worked(), worked(two)];
  garden.look(on(6), picked, 'growing');
  garden.write(on(9), { kind: 'harvested', flower: picked, harvestFor: 'kitchen', weightG: null });
  garden.write(on(10), { kind: 'harvested', flower: picked, harvestFor: 'kitchen', weightG: null });
  garden.look(on(3), orphan, 'same');
  garden.write(on(8), { kind: 'plantDied', plant: two, cause: 'pest' });
  expect(followed(picked)).toMatchObject({ end: 'harvested', after: 6 });
  expect(followed(orphan)).toEqual({ after: 3, by: 8, end: 'plant-ended' });
});

test('a look before the pollination, a slip of the pen, breaks nothing', () => {
  const { garden, on, worked, followed } = patch();
  const flower = worked();
  garden.look(on(-2), flower, 'growing');
  expect(followed(flower)).toBeNull();
  garden.look(on(6), flower, 'gone');
  const found = followed(flower);
  expect(found?.end).toBe('unknown');
  const curve = dropCurve([found as NonNullable<typeof found>]);
  expect(curve.earliest[0]?.time).toBe(0);
});

test('the layers of what becomes of fruits fill the whole on every day', () => {
  const { garden, on, worked } = patch();
  const flowers = Array.from({ length: 8 }, () => worked());
  flowers.forEach((flower, i) => {
    garden.look(on(2 + i), flower, i % 2 ? 'growing' : 'gone');
    if (i % 2 === 0) garden.write(on(2 + i), { kind: 'lost', flower, cause: i % 4 ? 'heat' : 'borer' });
  });
  const fruits = allTrials(garden.state, garden.place.zone).flatMap(
    (trial) =>
      followedFruit(
        trial,
        garden.state.plants.get(trial.plant ?? '')?.ended?.at ?? null,
        garden.place.zone,
        TODAY,
      ) ?? [],
  );
  const fates = fatesByDay(fruits);
  expect(fates[0]).toEqual({ day: 0, remaining: 1, byEnd: {} });
  for (const { remaining, byEnd } of fates)
    expect(remaining + Object.values(byEnd).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12);
  expect(fates.at(-1)?.byEnd).toMatchObject({ pest: expect.any(Number), weather: expect.any(Number) });
});

test('all dropped: the curve comes down to nothing; none dropped: it has no step', () => {
  const fruit = (by: number, end: 'pollen' | null) => ({ trial: {} as never, after: by - 1, by, end });
  expect(dropCurve([fruit(4, 'pollen'), fruit(6, 'pollen')]).latest.at(-1)?.survival).toBe(0);
  expect(dropCurve([fruit(4, null)]).latest).toEqual([]);
  expect(dropCurve([])).toMatchObject({ followed: 0, dropped: 0 });
});

describe('causes in the order in which the record speaks for them', () => {
  const ask = (make: (p: ReturnType<typeof patch>, flower: FlowerId) => void, more = {}) => {
    const p = patch();
    const flower = p.worked();
    make(p, flower);
    return likelyCauses({
      flower: p.garden.state.flowers.get(flower) as never,
      crop: p.garden.growing(p.one).crop,
      zone: p.garden.place.zone,
      load: null,
      days: [],
      ...more,
    }).map(({ cause }) => cause);
  };
  test('it never grew, whenever that was found: pollination', () => {
    expect(ask(() => undefined)[0]).toBe('not-pollinated');
  });
  test('it had grown well: end rot before pollination', () => {
    expect(ask(({ garden, on }, flower) => garden.look(on(6), flower, 'growing'))).toEqual([
      'blossom-end-rot',
    ]);
  });
  test('older fruits and heat are told where they were written down', () => {
    const days = [{ date: '2026-07-02', minC: 18, maxC: 36, rainMm: 0, dewPointC: null, felt: null }];
    const grown = ({ garden, on }: ReturnType<typeof patch>, flower: FlowerId) =>
      garden.look(on(3), flower, 'growing');
    expect(ask(grown, { load: 3, days })).toEqual(['too-much-fruit', 'heat']);
  });
  test('well grown and given up under older fruits: load before end rot; a melon gets no end rot', () => {
    const grown = ({ garden, on }: ReturnType<typeof patch>, flower: FlowerId) =>
      garden.look(on(7), flower, 'growing');
    expect(ask(grown, { load: 3 })).toEqual(['too-much-fruit', 'blossom-end-rot']);
    expect(ask(grown, { crop: cropOf('melon') })).toEqual([]);
  });
  test('one male is a clue wherever a crop wants more than one', () => {
    const one = (crop: 'squash-maxima' | 'corn') => {
      const p = patch();
      const flower = p.garden.shut('2026-06-30', p.one, 'female');
      const male = p.garden.shut('2026-06-30', p.two, 'male');
      p.garden.work(p.garden.time('2026-07-01', 6), flower, [male]);
      p.garden.look(p.garden.time('2026-07-05', 8), flower, 'growing');
      return likelyCauses({
        flower: p.garden.state.flowers.get(flower) as never,
        crop: cropOf(crop),
        zone: p.garden.place.zone,
        load: null,
        days: [],
      });
    };
    expect(one('squash-maxima')).toMatchObject([{ cause: 'poorly-pollinated', clues: ['few-males'] }]);
    expect(one('corn')).toEqual([]);
  });
  test('nothing written, nothing likely', () => {
    expect(ask(({ garden, on }, flower) => garden.look(on(3), flower, 'growing'))).toEqual([]);
  });
});

test('usual sizes are the middle half of three fruits that set, or more', () => {
  const { garden, variety, on, worked } = patch();
  const flowers = [60, 70, 90].map((sizeMm) => {
    const flower = worked();
    garden.write(on(6), { kind: 'lookedAt', flower, result: 'growing', sizeMm });
    return flower;
  });
  expect(sizesOf(garden.state.flowers.get(flowers[0] as FlowerId) as never, garden.place.zone)).toEqual([
    { day: 6, sizeMm: 60 },
  ]);
  expect(usualSizes(garden.state, variety, garden.place.zone)).toEqual([
    { day: 6, count: 3, medianMm: 70, lowMm: 65, highMm: 80 },
  ]);
});
