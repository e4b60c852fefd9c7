import { cropOf } from '../crops';
import { fateOf } from '../fruitset';
import { growing, mainPatch, plantName, plantsOfStand } from '../patch';
import { testIds } from '../testing';
import { fold, type AnyEvent, type NotedDay, type State } from '.';

const ids = testIds(21);
const START = Date.parse('2026-07-13T17:00:00.000Z');
let minute = 0;
const event = (draft: object, by = 'Oda'): AnyEvent => {
  const time = START + minute++ * 60_000;
  return {
    id: ids.event(time),
    v: 1,
    at: new Date(time).toISOString(),
    by,
    device: 't',
    ...draft,
  } as unknown as AnyEvent;
};

const patch = ids.subject('patch', START);
const bed = ids.subject('bed', START);
const variety = ids.subject('variety', START);
const stand = ids.subject('stand', START);
const mother = ids.subject('plant', START);
const father = ids.subject('plant', START);
const flower = ids.subject('flower', START);
const male = ids.subject('flower', START);
const place = { name: 'Weir', latitude: 46.2, longitude: 14.6, zone: 'Europe/Ljubljana' };

const garden = [
  event({ kind: 'patchBegun', patch, name: 'Weir garden' }),
  event({ kind: 'placeSet', patch, place }),
  event({ kind: 'bedAdded', bed, patch, name: 'Gate bed', xM: 0, yM: 0, lengthM: 8, widthM: 1.5 }),
  event({ kind: 'varietyAdded', variety, patch, name: 'Slate Dome', crop: 'squash-maxima', shape: 'ribbed' }),
  event({ kind: 'standAdded', stand, bed, variety, reason: 'seed' }),
  event({ kind: 'plantAdded', plant: mother, stand, label: '1', xM: 0.6, yM: 0.75, plantedOn: '2026-05-16' }),
  event({ kind: 'plantAdded', plant: father, stand, label: '2', xM: 1.8, yM: 0.75, plantedOn: null }),
];
const after = (...more: AnyEvent[]): State => fold([...garden, ...more]);

describe('patch', () => {
  test('has its name, its place and the usual ways of working until others are chosen', () => {
    expect(mainPatch(after())).toMatchObject({
      name: 'Weir garden',
      place,
      schools: { closure: 'tape', males: 'crop', proof: 'strict' },
    });
    const chosen = after(event({ kind: 'schoolChosen', patch, school: 'males', choice: '3' }));
    expect(mainPatch(chosen)?.schools).toMatchObject({ males: '3', closure: 'tape' });
  });
  test('a choice that this version does not offer leaves the default', () => {
    const odd = after(event({ kind: 'schoolChosen', patch, school: 'males', choice: 'eleven' }));
    expect(mainPatch(odd)?.schools.males).toBe('crop');
  });
  test('each value of a day’s weather stands on its own: hand over file over station, of one source the latest', () => {
    const note = (origin: 'hand' | 'file' | 'station', values: Partial<NotedDay>) =>
      event({
        kind: 'weatherNoted',
        patch,
        origin,
        days: [
          {
            date: '2026-07-10',
            minC: null,
            maxC: null,
            rainMm: null,
            dewPointC: null,
            felt: null,
            ...values,
          },
        ],
      });
    const weather = (...notes: AnyEvent[]) => mainPatch(after(...notes))?.weather['2026-07-10'];
    const file = note('file', { minC: 14, maxC: 27, dewPointC: 12, rainMm: 0 });
    // A note of rain alone leaves the temperatures and the dew point of the file.
    const rain = note('hand', { rainMm: 9 });
    for (const notes of [
      [file, rain],
      [rain, file],
    ] as const)
      expect(weather(...notes)).toMatchObject({
        minC: 14,
        maxC: 27,
        dewPointC: 12,
        rainMm: 9,
        origin: 'file',
      });
    expect(weather(file, rain, note('station', { rainMm: 1, windFromDeg: 90 }))).toMatchObject({
      rainMm: 9,
      windFromDeg: 90,
    });
    expect(weather(rain, note('hand', { rainMm: 2 }))).toMatchObject({
      rainMm: 2,
      minC: null,
      origin: 'hand',
    });
    expect(weather(file, note('hand', { maxC: 31 }))).toMatchObject({ minC: 14, maxC: 31, origin: 'hand' });
  });
  test('of two patches brought together the one begun first is in front', () => {
    const older = {
      ...event({ kind: 'patchBegun', patch: ids.subject('patch', START), name: 'Old' }),
      at: '2026-01-01T00:00:00.000Z',
    };
    expect(mainPatch(after(older as AnyEvent))?.name).toBe('Old');
  });
});

describe('plant', () => {
  test('is known by variety and label, with its crop and bed', () => {
    const found = growing(after(), mother);
    expect(found && plantName(found)).toBe('Slate Dome 1');
    expect(found?.crop).toBe(cropOf('squash-maxima'));
    expect(plantsOfStand(after(), stand)).toHaveLength(2);
  });
  test('waits unseen while the bed it stands in has not arrived from the other phone', () => {
    expect(growing(fold(garden.filter(({ kind }) => kind !== 'bedAdded')), mother)).toBeNull();
    expect(growing(after(), 'plant:01J00000000000000000000009')).toBeNull();
  });
  test('keeps its latest health, its counts and its notes; ends by death or removal', () => {
    const state = after(
      event({ kind: 'plantChecked', plant: mother, health: 'doubtful' }),
      event({ kind: 'plantChecked', plant: mother, health: 'healthy' }),
      event({ kind: 'malesCounted', plant: mother, stage: 'coloured', count: 4 }),
      event({ kind: 'noted', subject: mother, text: 'leans on the stake' }),
      event({ kind: 'plantDied', plant: father, cause: 'pest' }),
    );
    expect(state.plants.get(mother)).toMatchObject({
      health: 'healthy',
      males: [{ stage: 'coloured', count: 4 }],
      notes: [{ text: 'leans on the stake' }],
      ended: null,
    });
    expect(state.plants.get(father)?.ended).toMatchObject({ how: 'died', cause: 'pest' });
    expect(after(event({ kind: 'plantRemoved', plant: mother })).plants.get(mother)?.ended).toMatchObject({
      how: 'removed',
      cause: null,
    });
  });
});

describe('flower', () => {
  const story = () => [
    event({ kind: 'flowerSeen', flower, plant: mother, sex: 'female', stage: 'green', node: 12 }),
    event({ kind: 'flowerSeen', flower, plant: mother, sex: 'female', stage: 'coloured', node: null }),
    event({ kind: 'flowerShut', flower, closure: 'tape' }),
    event({ kind: 'closureChecked', flower, result: 'whole' }),
    event(
      {
        kind: 'pollinated',
        flower,
        fathers: [{ plant: father, males: 1, flowers: [male] }],
        tool: 'brush',
        shutAgain: 'tape',
        purpose: 'seed',
      },
      'Vesna',
    ),
    event({ kind: 'marked', flower, mark: '1-A' }),
    event({ kind: 'coverOff', flower }),
    event({ kind: 'lookedAt', flower, result: 'growing', sizeMm: 60 }),
    event({ kind: 'harvested', flower, harvestFor: 'seed', weightG: 2400 }),
  ];
  test('gathers its whole story in order, and keeps a node once given', () => {
    const view = after(...story()).flowers.get(flower);
    expect(view).toMatchObject({
      plant: mother,
      node: 12,
      sightings: [{ stage: 'green' }, { stage: 'coloured' }],
      shuttings: [{ closure: 'tape', by: 'Oda' }],
      checks: [{ result: 'whole' }],
      pollinations: [{ by: 'Vesna', purpose: 'seed', fathers: [{ plant: father, males: 1 }] }],
      mark: '1-A',
      looks: [{ result: 'growing', sizeMm: 60 }],
      harvested: { harvestFor: 'seed', weightG: 2400 },
      lost: null,
    });
    expect(view && fateOf(view, cropOf('squash-maxima'), place.zone, '2026-08-01')).toBe('set');
  });
  test('lobes and seconds that older versions wrote unasked are not recorded; what was put right stands', () => {
    const [sighting] = story();
    const worked = (v: number, lobes: number, openS: number) => ({
      ...event({
        kind: 'pollinated',
        flower,
        fathers: [],
        tool: 'brush',
        shutAgain: 'tape',
        purpose: 'seed',
        lobes,
        openS,
      }),
      v,
    });
    const read = (...more: AnyEvent[]) => {
      const { lobes, openS } =
        after(sighting as AnyEvent, ...more).flowers.get(flower)?.pollinations[0] ?? {};
      return [lobes, openS];
    };
    expect(read(worked(3, 3, 40))).toEqual([null, null]);
    expect(read(worked(2, 3, 40))).toEqual([null, null]);
    expect(read(worked(3, 2, 40))).toEqual([2, 40]);
    expect(read(worked(4, 3, 40))).toEqual([3, 40]);
    const old = worked(3, 2, 40);
    const right = event({ kind: 'corrected', subject: flower, target: old.id, changes: { lobes: 3 } });
    expect(read(old, { ...right, v: 4 })).toEqual([3, 40]);
  });
  test('left open, shut, and nobody said so are three things', () => {
    const [sighting] = story();
    const shutAgain = (said: object) =>
      after(
        sighting as AnyEvent,
        event({ kind: 'pollinated', flower, fathers: [], tool: 'brush', purpose: 'seed', ...said }),
      ).flowers.get(flower)?.pollinations[0]?.shutAgain;
    expect([{ shutAgain: null }, { shutAgain: 'tape' }, {}].map(shutAgain)).toEqual(['open', 'tape', null]);
  });
  test('is listed under its plant, and moves when the sighting is corrected to another', () => {
    const seen = event({
      kind: 'flowerSeen',
      flower,
      plant: mother,
      sex: 'female',
      stage: 'coloured',
      node: 3,
    });
    expect(after(seen).flowersOf.get(mother)).toEqual([flower]);
    const moved = after(
      seen,
      event({ kind: 'corrected', subject: flower, target: seen.id, changes: { plant: father } }),
    );
    expect(moved.flowersOf.get(mother)).toBeUndefined();
    expect(moved.flowersOf.get(father)).toEqual([flower]);
  });
  test('without a sighting there is no flower yet, whatever else was said of it', () => {
    expect(after(...story().slice(2)).flowers.get(flower)).toBeUndefined();
  });
  test('a male has no fate, nor has a female never worked', () => {
    const state = after(
      event({ kind: 'flowerSeen', flower: male, plant: father, sex: 'male', stage: 'coloured', node: 5 }),
      ...story().slice(0, 3),
    );
    for (const id of [male, flower])
      expect(
        fateOf(state.flowers.get(id) as never, cropOf('squash-maxima'), place.zone, '2026-08-01'),
      ).toBeNull();
  });
});
