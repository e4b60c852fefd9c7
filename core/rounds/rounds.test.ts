import { gardenDay, openWindow, roundDateOf } from '../bloom';
import { cornScouting } from '../corn';
import { catalogue, cropOf } from '../crops';
import { crossDay, selfingDay } from '../crosses';
import { apply, fold, type AnyEvent, type State } from '../ledger';
import type { PlantId } from '../ids';
import { fateOf } from '../fruitset';
import { walkOrder } from '../patch';
import { DEMO_PLACE, DEMO_TODAY, demoMeanwhile, demoStart } from '../simulation';
import { demoSeason } from '../testLogs';
import { TestGarden } from '../testGarden';
import { testIds } from '../testing';
import { addDays } from '../time';
import { eveningWalk, fathersFor, looksDue, nextRounds, pollinationRound, stopsOf, suggestFathers } from '.';

const zone = DEMO_PLACE.zone;
const log = demoSeason();
const demo = fold(log);
const ids = testIds(99);

function withEvent(state: State, at: string, draft: object): State {
  return apply(state, {
    id: ids.event(Date.parse(at)),
    v: 1,
    at,
    by: 'Oda',
    device: 't',
    ...draft,
  } as unknown as AnyEvent);
}

describe('the dawn round', () => {
  const round = pollinationRound(demo, DEMO_PLACE, DEMO_TODAY, 'dawn');
  test('holds the females shut last evening, in walking order', () => {
    const order = walkOrder(demo).map(({ plant }) => plant.id);
    const places = round?.stops.map(({ growing: { plant } }) => order.indexOf(plant.id)) ?? [];
    expect(places.length).toBeGreaterThan(5);
    expect(places).toEqual([...places].sort((a, b) => a - b));
    for (const { flower } of round?.stops ?? []) {
      expect(flower.sex).toBe('female');
      expect(roundDateOf(flower, cropOf('squash-maxima'), zone)).toBe(DEMO_TODAY);
    }
  });

  test('starts early enough to end before the insects', () => {
    expect(round && round.startBy + round.minutes * 60_000).toBe(round?.insectsFrom);
  });

  test('offers fathers of the same variety, others before the plant itself, none used up, torn or of another day', () => {
    for (const stop of round?.stops ?? []) {
      const offers = fathersFor(demo, stop, DEMO_TODAY, zone, 'others-first');
      for (const { growing: father, free, selfing } of offers) {
        expect(father.variety.id).toBe(stop.growing.variety.id);
        expect(selfing).toBe(father.plant.id === stop.growing.plant.id);
        for (const id of free)
          expect(roundDateOf(demo.flowers.get(id) as never, father.crop, zone)).toBe(DEMO_TODAY);
      }
      const firstOwn = offers.findIndex(({ selfing }) => selfing);
      if (firstOwn >= 0) expect(firstOwn).toBe(offers.length - 1);
      expect(fathersFor(demo, stop, DEMO_TODAY, zone, 'never').some(({ selfing }) => selfing)).toBe(false);
    }
  });

  test('a male is free until it is used or torn', () => {
    const stop = round?.stops[0];
    if (!stop) throw new Error('the demo has a round');
    const first = fathersFor(demo, stop, DEMO_TODAY, zone, 'others-first')[0];
    const [male] = first?.free ?? [];
    if (!first || !male) throw new Error('the demo has males');
    const free = (state: State) =>
      fathersFor(state, stop, DEMO_TODAY, zone, 'others-first').flatMap((offer) => offer.free);
    expect(free(demo)).toContain(male);
    expect(
      free(
        withEvent(demo, `${DEMO_TODAY}T03:10:00.000Z`, {
          kind: 'closureChecked',
          flower: male,
          result: 'torn',
        }),
      ),
    ).not.toContain(male);
    const used = withEvent(demo, `${DEMO_TODAY}T03:10:00.000Z`, {
      kind: 'pollinated',
      flower: stop.flower.id,
      fathers: [{ plant: first.growing.plant.id, males: 1, flowers: [male] }],
      tool: 'brush',
      shutAgain: 'tape',
      purpose: 'seed',
    });
    expect(free(used)).not.toContain(male);
    expect(stopsOf(used, DEMO_TODAY, zone, 'dawn')[0]?.state).toBe('worked');
  });

  test.each([
    ['whole', 'to-do'],
    ['torn', 'spoiled'],
    ['holed', 'spoiled'],
    ['not-open', 'later'],
    ['gone', 'lost'],
  ])('a closure found %s leaves the stop %s', (result, state) => {
    const flower = round?.stops[0]?.flower.id;
    const after = withEvent(demo, `${DEMO_TODAY}T03:10:00.000Z`, { kind: 'closureChecked', flower, result });
    expect(stopsOf(after, DEMO_TODAY, zone, 'dawn')[0]?.state).toBe(state);
    const tomorrow = stopsOf(after, addDays(DEMO_TODAY, 1), zone, 'dawn').some(
      (stop) => stop.flower.id === flower,
    );
    expect(tomorrow).toBe(result === 'not-open');
  });
});

test('a bottle gourd shut before dusk is worked that same dusk, while there is light to see by', () => {
  const gourd = demoSeason(8).map((event) =>
    event.kind === 'varietyAdded' ? { ...event, crop: 'bottle-gourd' as const } : event,
  );
  const state = fold(gourd);
  const shutOn = '2026-07-13';
  const round = pollinationRound(state, DEMO_PLACE, shutOn, 'dusk');
  expect(round?.stops.length).toBeGreaterThan(3);
  const day = gardenDay(DEMO_PLACE, shutOn);
  expect(round?.startBy).toBeGreaterThan(day.sunset - 2 * 3_600_000);
  expect(round?.startBy).toBeLessThan(day.lastLight + 3_600_000);
  expect(pollinationRound(state, DEMO_PLACE, DEMO_TODAY, 'dawn')).toBeNull();
});

test('suggested males are spread over plants, never more than there are', () => {
  const offer = (id: string, free: number, selfing = false) =>
    ({
      growing: { plant: { id } },
      free: Array.from({ length: free }, (_, i) => `${id}${i}`),
      shut: free,
      selfing,
    }) as never;
  const chosen = (wanted: number, ...offers: never[]) => Object.fromEntries(suggestFathers(offers, wanted));
  expect(chosen(2, offer('a', 3), offer('b', 1))).toEqual({ a: 1, b: 1 });
  expect(chosen(4, offer('a', 3), offer('b', 1))).toEqual({ a: 3, b: 1 });
  expect(chosen(2, offer('a', 0), offer('own', 2, true))).toEqual({ own: 2 });
  expect(chosen(2)).toEqual({});
});

describe('what comes next', () => {
  const kinds = (state: State, time: string) =>
    nextRounds(state, DEMO_PLACE, Date.parse(time)).map(({ kind, date }) => `${kind} ${date}`);
  test('before dawn the round, then the evening walk', () => {
    expect(nextRounds(demo, DEMO_PLACE, demoStart()).map(({ kind }) => kind)).toEqual(['dawn', 'walk']);
  });
  test('when its flowers have closed the round is over; after the walk comes the next dawn', () => {
    expect(kinds(demo, '2026-07-14T14:30:00.000Z')).toEqual(['walk 2026-07-14']);
    const evening = Date.parse('2026-07-14T20:30:00.000Z');
    const later = fold([...log, ...demoMeanwhile(demo, demoStart(), evening)]);
    expect(nextRounds(later, DEMO_PLACE, evening)[0]).toMatchObject({ kind: 'dawn', date: '2026-07-15' });
  });
  test('a plot of corn has its daily look, and no evening walk is asked for', () => {
    const garden = new TestGarden();
    garden.plant('corn', 'Weir Copper', 3, { reason: 'seed' });
    const noon = garden.time('2026-07-14', 12);
    expect(nextRounds(garden.state, garden.place, noon)).toEqual([]);
    expect(eveningWalk(garden.state, garden.place, '2026-07-14')?.plants).toHaveLength(3);
    garden.plant('squash-maxima', 'Slate Dome', 2, { reason: 'seed' });
    expect(nextRounds(garden.state, garden.place, noon)[0]).toMatchObject({ kind: 'walk', minutes: 3 });
  });
  test.each(
    catalogue.flatMap(({ id }) => (['seed', 'cross'] as const).map((reason) => [id, reason] as const)),
  )('%s grown for %s has a round or a day of its own', (crop, reason) => {
    const garden = new TestGarden();
    garden.plant(crop, 'Slate Dome', 2, { reason });
    const { state, place } = garden;
    const of = [
      nextRounds(state, place, garden.time('2026-07-14', 12)),
      cornScouting(state, place, '2026-07-14'),
      selfingDay(state, place, '2026-07-14'),
      crossDay(state, place, '2026-07-14'),
    ];
    expect(Math.max(...of.map(({ length }) => length))).toBeGreaterThan(0);
  });
  test('an empty patch has nothing to do', () => {
    expect(nextRounds(fold([]), DEMO_PLACE, demoStart())).toEqual([]);
  });
  test('the midnight sun stops nothing', () => {
    const far = { ...DEMO_PLACE, latitude: 69.6, longitude: 18.9, zone: 'Europe/Oslo' };
    expect(gardenDay(far, '2026-06-21').fromSun).toBe(false);
    expect(eveningWalk(demo, far, '2026-06-21')?.plants.length).toBe(26);
  });
  test('looks come in walking order, and only for flowers that wait', () => {
    const owed = looksDue(demo, zone, DEMO_TODAY);
    expect(owed.length).toBeGreaterThan(5);
    const way = walkOrder(demo).map(({ plant }) => plant.id);
    const places = owed.map(({ growing }) => way.indexOf(growing.plant.id));
    expect(places).toEqual([...places].sort((a, b) => a - b));
    for (const { flower, growing } of owed)
      expect(['waiting', 'not-looked-at']).toContain(fateOf(flower, growing.crop, zone, DEMO_TODAY));
  });
});

test('squash is over by about ten in July, melons open after it, gourds at dusk', () => {
  const day = gardenDay(DEMO_PLACE, DEMO_TODAY);
  const squash = openWindow(cropOf('squash-maxima'), day);
  const melon = openWindow(cropOf('melon'), day);
  const hour = (time: number) =>
    new Date(time + 2 * 3_600_000).getUTCHours() + new Date(time).getUTCMinutes() / 60;
  expect(hour(squash.closes)).toBeGreaterThan(9.3);
  expect(hour(squash.closes)).toBeLessThan(10.3);
  expect(melon.opens).toBeGreaterThan(day.sunrise);
  expect(openWindow(cropOf('bottle-gourd'), day).opens).toBeLessThan(day.sunset);
});

test('the evening walk is the vines’: corn, crosses and kitchen plants have rounds of their own', () => {
  const walk = eveningWalk(demo, DEMO_PLACE, '2026-07-14');
  expect(walk?.plants).toHaveLength(26);
  for (const { bed } of walk?.plants ?? []) expect(bed.name).toMatch(/terrace/);
  expect(walkOrder(demo).length).toBeGreaterThan(26);
});

test('a stand in a cage with bees of its own asks for no evening walk; whoever opens it finds its plants', () => {
  const garden = new TestGarden();
  const [plant] = garden.plant('squash-maxima', 'Slate Dome', 2).plants as [PlantId];
  const asked = () =>
    nextRounds(garden.state, garden.place, garden.time('2026-07-10', 12)).some(({ kind }) => kind === 'walk');
  expect(asked()).toBe(true);
  garden.write(garden.time('2026-07-01', 8), {
    kind: 'shelterSet',
    bed: garden.growing(plant).bed.id,
    shelter: 'cage',
    insects: 'put-in',
    lampHours: null,
    from: '2026-07-01',
    to: null,
  });
  expect(asked()).toBe(false);
  expect(eveningWalk(garden.state, garden.place, '2026-07-10')?.plants).toHaveLength(2);
});
