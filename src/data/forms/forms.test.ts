import { fold, validateEvent, type AnyEvent } from '@core/ledger';
import { testIds } from '@core/testing';
import { memoryBox } from '../store';
import { DemoClock } from '../device/clock';
import { placeForm, placeOf, typedPlace, type ReadPlace } from './placeForm';
import { plantingDrafts, type Planting } from './planting';
import { readTyped } from './typed';

describe('the place form', () => {
  const good = { placeName: 'Weir', latitude: '46.2', longitude: '14.6', zone: 'Europe/Ljubljana' };
  test('reads numbers with point or comma', () => {
    const read = readTyped<ReadPlace>(placeForm, { ...good, latitude: ' 46,25 ' });
    const place = { name: 'Weir', latitude: 46.25, longitude: 14.6, zone: 'Europe/Ljubljana' };
    expect(read.ok && placeOf(read.value)).toEqual(place);
    expect(typedPlace(place)).toEqual({ ...good, latitude: '46.25' });
  });
  test.each([
    ['latitude', { latitude: '91' }, /^The latitude must be a number of degrees from -90 to 90$/],
    ['latitude', { latitude: '' }, /must be a number/],
    ['longitude', { longitude: '14 east' }, /must be a number/],
    ['longitude', { longitude: '-181' }, /from -180 to 180/],
    ['zone', { zone: 'Ljubljana time' }, /Pick a town/],
    ['placeName', { placeName: ' ' }, /^Write a name for the place/],
    ['placeName', { placeName: 'x'.repeat(200) }, /of at most 80 letters$/],
  ])('%s: %p is answered at its field', (field, change, wanted) => {
    const read = readTyped(placeForm, { ...good, ...change });
    expect(!read.ok && read.wrong[field]).toMatch(wanted);
  });
});

describe('planting', () => {
  const ids = testIds(5);
  let time = Date.parse('2026-05-16T08:00:00.000Z');
  const newId = ((kind: 'plant') => ids.subject(kind, time++)) as never;
  const patch = ids.subject('patch', 1);
  const bed = { id: ids.subject('bed', 1), first: { xM: 0, yM: 0 }, lengthM: 8, widthM: 1.5 };
  const wanted: Planting = {
    crop: 'squash-maxima',
    variety: ' Slate Dome ',
    shape: 'ribbed',
    plants: 3,
    reason: 'seed',
  };
  const events = (drafts: readonly object[]): AnyEvent[] =>
    drafts.map(
      (draft) =>
        ({
          id: ids.event(time),
          v: 1,
          at: new Date(time++).toISOString(),
          by: 'Oda',
          device: 't',
          ...draft,
        }) as AnyEvent,
    );
  const first = events([
    { kind: 'bedAdded', patch, bed: bed.id, name: 'Gate bed', xM: 0, yM: 0, lengthM: 8, widthM: 1.5 },
    ...plantingDrafts(newId, fold([]), patch, bed, wanted, '2026-05-16'),
  ]);

  test('makes sound facts: a variety, a stand, numbered plants in the bed', () => {
    expect(first.filter((event) => !validateEvent(event).ok)).toEqual([]);
    const state = fold(first);
    expect([...state.varieties.values()].map(({ name }) => name)).toEqual(['Slate Dome']);
    expect([...state.plants.values()].map(({ label, plantedOn }) => [label, plantedOn])).toEqual([
      ['1', '2026-05-16'],
      ['2', '2026-05-16'],
      ['3', '2026-05-16'],
    ]);
  });
  test('more of the same variety joins it, numbers going on, none standing on another', () => {
    const more = events(
      plantingDrafts(newId, fold(first), patch, bed, { ...wanted, variety: 'slate dome', plants: 2 }, null),
    );
    const state = fold([...first, ...more]);
    expect(state.varieties.size).toBe(1);
    const plants = [...state.plants.values()];
    expect(plants.map(({ label }) => label).sort()).toEqual(['1', '2', '3', '4', '5']);
    expect(new Set(plants.map(({ xM, yM }) => `${xM}/${yM}`)).size).toBe(5);
  });
  test('the same name in another crop is another variety', () => {
    const melon = events(plantingDrafts(newId, fold(first), patch, bed, { ...wanted, crop: 'melon' }, null));
    expect(fold([...first, ...melon]).varieties.size).toBe(2);
  });
});

describe('the demo clock', () => {
  test('stands still, moves on by hand and with each record, never back, and is kept', async () => {
    const box = memoryBox();
    const clock = new DemoClock(box, 1000);
    expect(clock.now()).toBe(1000);
    await clock.step();
    expect(clock.now()).toBe(21_000);
    await clock.moveTo(500);
    expect(clock.now()).toBe(21_000);
    const again = new DemoClock(box, 1000);
    await again.load();
    expect(again.now()).toBe(21_000);
  });
  test('starts where it should when what was kept is no time', async () => {
    const clock = new DemoClock(memoryBox(new Map([['clock', 'noon']])), 1000);
    await clock.load();
    expect(clock.now()).toBe(1000);
  });
});
