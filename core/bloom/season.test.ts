import fc from 'fast-check';
import type { CropId } from '../crops';
import type { PlantId } from '../ids';
import { TestGarden, TEST_PLACE } from '../testGarden';
import { addDays } from '../time';
import { floweringOf, seasonOf } from '.';

test('nothing flowers outdoors in January, unless somebody saw it; indoors it may: one rule for every stand', () => {
  const garden = new TestGarden(undefined, '2026-01-02');
  const [plant] = garden.plant('strawberry', 'Sill Red', 1, { reason: 'fruit' }).plants as [PlantId];
  const may = (date: string) =>
    floweringOf(garden.state, garden.place, garden.growing(plant).stand, date) === 'on';
  expect(may('2026-01-20')).toBe(false);
  expect(may('2026-05-20')).toBe(true);
  garden.write(garden.time('2026-01-20', 9), {
    kind: 'tallied',
    plant,
    tool: 'brush',
    flowers: 3,
    truss: null,
  });
  expect(may('2026-01-25')).toBe(true);
  expect(may('2026-02-20')).toBe(false);
  garden.write(garden.time('2026-02-20', 9), {
    kind: 'shelterSet',
    bed: garden.growing(plant).bed.id,
    shelter: 'indoors',
    insects: 'out',
    lampHours: 14,
    from: '2026-02-20',
    to: null,
  });
  expect(may('2026-02-20')).toBe(true);
});

const CROPS = ['squash-maxima', 'watermelon', 'corn', 'tomato', 'strawberry', 'potato'] as const;
const date = (from: string, days: number) => fc.integer({ min: 0, max: days }).map((n) => addDays(from, n));

/** A stand of a crop, with a frost that was named or not. */
function stood(
  crop: CropId,
  reason: 'seed' | 'fruit' | 'cross',
  frostOn: string | null,
  latitude: number,
  longitude = TEST_PLACE.longitude,
) {
  const place = { ...TEST_PLACE, latitude, longitude };
  const garden = new TestGarden(place, latitude > 0 ? '2026-05-20' : '2025-11-20');
  if (frostOn)
    garden.write(garden.time(garden.began, 12), { kind: 'frostExpected', patch: garden.patchId, frostOn });
  const { stand } = garden.plant(crop, 'Slate Dome', 2, { reason });
  const at = garden.state.stands.get(stand);
  if (!at) throw new Error('no stand');
  return { garden, at, flowering: (on: string) => floweringOf(garden.state, place, at, on) };
}

test('from the day after a frost that was named nothing that is annual flowers again, whatever it is grown for', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...CROPS),
      fc.constantFrom('seed' as const, 'fruit' as const, 'cross' as const),
      date('2026-09-10', 60),
      fc.integer({ min: 1, max: 500 }),
      (crop, reason, frost, after) => {
        const { garden, at, flowering } = stood(crop, reason, frost.slice(5), 46);
        const on = addDays(frost, after);
        const season = seasonOf(garden.state, garden.place, at, on);
        if (crop === 'strawberry') expect((season.frost.late ?? '') < on).toBe(season.over);
        else {
          expect(season).toMatchObject({ over: true, frost: { late: frost } });
          expect(flowering(on)).toBe('over');
        }
      },
    ),
    { numRuns: 60 },
  );
});

test('in midwinter nothing flowers outdoors, north and south and in the polar night, though nobody named a frost', () => {
  // From the Alps to Lapland, and down Patagonia: there is no garden farther south.
  const where = fc.oneof(
    fc.integer({ min: 44, max: 70 }).map((latitude) => ({ latitude, longitude: 14.5 })),
    fc.integer({ min: -54, max: -42 }).map((latitude) => ({ latitude, longitude: -71 })),
  );
  fc.assert(
    fc.property(
      fc.constantFrom(...CROPS),
      fc.constantFrom('seed' as const, 'fruit' as const),
      where,
      fc.integer({ min: 0, max: 50 }),
      (crop, reason, { latitude, longitude }, days) => {
        const { flowering } = stood(crop, reason, null, latitude, longitude);
        expect(flowering(addDays(latitude > 0 ? '2026-12-10' : '2026-06-10', days))).not.toBe('on');
      },
    ),
    { numRuns: 60 },
  );
});

test('in summer all of them may flower, and a flower that was seen after the frost is worth more than its date', () => {
  for (const crop of CROPS) expect(stood(crop, 'seed', '10-05', 46).flowering('2026-07-20')).toBe('on');
  const { garden, flowering } = stood('squash-maxima', 'seed', '10-05', 46);
  const [plant] = [...garden.state.plants.keys()] as PlantId[];
  garden.see(garden.time('2026-10-04', 9), plant as PlantId, 'female', 'open');
  expect(flowering('2026-10-07')).toBe('over');
  garden.see(garden.time('2026-10-08', 9), plant as PlantId, 'female', 'open');
  expect(flowering('2026-10-09')).toBe('on');
  expect(flowering('2026-11-09')).toBe('over');
});

test('corn’s bloom is short: five weeks after its first silk nobody is sent to look for more (common practice: two weeks)', () => {
  const { garden, flowering } = stood('corn', 'seed', null, 46);
  const [plant] = [...garden.state.plants.keys()] as PlantId[];
  garden.see(garden.time('2026-07-10', 9), plant as PlantId, 'female', 'open');
  expect(flowering('2026-07-30')).toBe('on');
  expect(flowering('2026-08-20')).toBe('not-now');
  // Where nobody wrote down any, by the days from planting: 55 to 80 (common practice).
  const unseen = stood('corn', 'seed', null, 46).flowering;
  expect(unseen('2026-08-05')).toBe('on');
  expect(unseen('2026-09-02')).toBe('not-now');
});
