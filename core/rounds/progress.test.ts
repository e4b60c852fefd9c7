import { bloomDayOf } from '../bloom';
import type { FlowerId, PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import {
  collectBefore,
  dawnQuestion,
  numberedStops,
  pollinationRound,
  roundProgress,
  toCollect,
  type PollinationRound,
} from '.';

const EVENING = '2026-07-13';
const DAWN = '2026-07-14';

function morning(varieties: readonly string[] = ['Slate Dome'], plants = 4) {
  const garden = new TestGarden();
  const stands = varieties.map((name, i) =>
    garden.plant(i % 2 === 0 ? 'squash-maxima' : 'squash-moschata', name, plants),
  );
  const shut = stands.map((stand) => ({
    females: stand.plants.map((plant) => garden.shut(EVENING, plant, 'female')),
    males: stand.plants.flatMap((plant) => [
      garden.shut(EVENING, plant, 'male'),
      garden.shut(EVENING, plant, 'male'),
    ]),
  }));
  const at = (minute: number) => garden.time(DAWN, 5, minute);
  const round = () => pollinationRound(garden.state, garden.place, DAWN, 'dawn') as PollinationRound;
  const progress = () => roundProgress(garden.state, round(), garden.place.zone);
  const work = (minute: number, mother: FlowerId | undefined, males: readonly (FlowerId | undefined)[]) => {
    garden.check(at(minute), mother as FlowerId, 'whole');
    garden.work(at(minute), mother as FlowerId, males as FlowerId[]);
  };
  const question = () =>
    dawnQuestion(garden.state, garden.place, DAWN, 'dawn', bloomDayOf(garden.state, garden.place, DAWN), {
      now: at(0),
      people: ['me'],
      deadline: round().end,
    });
  return { garden, stands, shut, at, round, progress, work, question };
}

describe('how the round goes', () => {
  test('before anything is done: as reckoned, empty hands, nowhere yet', () => {
    expect(morning().progress()).toEqual({
      pace: 1,
      hands: null,
      at: null,
      lastAt: null,
    });
  });

  test('hands carry what they touched last: a male its own variety, a flower its father’s', () => {
    const { garden, stands, shut, at, progress, work } = morning(['Slate Dome', 'Ferryman']);
    const [dome, lamp] = stands;
    garden.check(at(1), shut[0]?.males[0] as FlowerId, 'whole');
    expect(progress()).toMatchObject({ hands: dome?.variety, lastAt: at(1) });
    garden.check(at(2), shut[1]?.males[0] as FlowerId, 'whole');
    expect(progress().hands).toBe(lamp?.variety);
    work(4, shut[0]?.females[1], [shut[0]?.males[0]]);
    expect(progress()).toMatchObject({ hands: dome?.variety, lastAt: at(4) });
    // A look at a closure moves the feet and not the pollen.
    garden.check(at(6), shut[1]?.females[0] as FlowerId, 'torn');
    const { plant } = garden.growing(lamp?.plants[0] as PlantId);
    expect(progress()).toMatchObject({
      hands: dome?.variety,
      lastAt: at(6),
      at: { xM: plant.xM, yM: plant.yM },
    });
  });

  test('slow hands are slow from the third gap on, within bounds; a pause is no pace', () => {
    const { shut, progress, work } = morning(['Slate Dome'], 6);
    const females = shut[0]?.females ?? [];
    const males = shut[0]?.males ?? [];
    [0, 5, 10].forEach((minute, i) => work(minute, females[i], [males[i]]));
    expect(progress().pace).toBe(1);
    work(15, females[3], [males[3]]);
    const slow = progress().pace;
    expect(slow).toBeGreaterThan(1);
    expect(slow).toBeLessThanOrEqual(2);
    work(55, females[4], [males[4]]);
    expect(progress().pace).toBeCloseTo(slow, 1);
  });

  test('yesterday’s entries say nothing of today', () => {
    const { garden, shut, progress } = morning();
    garden.check(garden.time(EVENING, 20), shut[0]?.males[0] as FlowerId, 'whole');
    expect(progress()).toMatchObject({ hands: null, lastAt: null });
  });
});

describe('collecting', () => {
  test('comes variety by variety, all of it at once, and once it is in hand no more', () => {
    const { garden, shut, at, question } = morning(['Slate Dome', 'Ferryman']);
    const asked = question();
    const open = toCollect(garden.state, asked, DAWN, garden.place.zone);
    expect(open).toHaveLength(asked.collecting.length);
    const byId = new Map(open.map((each) => [each.id, each]));
    const route = asked.request.stops;
    const first = shut[0]?.females[0] as FlowerId;
    const before = collectBefore(first, asked, byId, route);
    expect(new Set(before.map(({ variety }) => variety)).size).toBe(1);
    expect(before.flatMap(({ males }) => males)).toHaveLength(8);
    for (const { males } of before) for (const male of males) garden.check(at(2), male, 'whole');
    const later = new Map(
      toCollect(garden.state, question(), DAWN, garden.place.zone).map((each) => [each.id, each]),
    );
    expect(collectBefore(first, question(), later, route)).toEqual([]);
    expect(collectBefore(shut[1]?.females[0] as FlowerId, question(), later, route).length).toBeGreaterThan(
      0,
    );
  });

  test('a flower nobody knows needs nothing', () => {
    const { question } = morning();
    expect(collectBefore('flower:none', question(), new Map(), [])).toEqual([]);
    expect(collectBefore(null, question(), new Map(), [])).toEqual([]);
  });
});

test('stops are numbered as they went, then what comes next, then as planned; each once', () => {
  const { garden, shut, at, round, work } = morning();
  const [a, b, c, d] = shut[0]?.females as FlowerId[];
  expect(numberedStops(round(), [], [])).toEqual(round().stops.map(({ flower }) => flower.id));
  work(9, c, [shut[0]?.males[0]]);
  garden.check(at(3), a as FlowerId, 'torn');
  const order = [d, b, a, c].map(String);
  expect(numberedStops(round(), [], order)).toEqual([a, c, d, b]);
  expect(numberedStops(round(), [b as string], order)).toEqual([a, c, b, d]);
});

test('a list someone leafs through keeps its numbers whatever a newer plan says', () => {
  const { garden, shut, at, round } = morning();
  const [a, b, c, d] = (shut[0]?.females ?? []).map(String) as [string, string, string, string];
  const leafed = [a, b, c, d];
  expect(numberedStops(round(), leafed, [d, c, b, a])).toEqual(leafed);
  garden.check(at(3), c as FlowerId, 'torn');
  expect(numberedStops(round(), leafed, [d, b, a])).toEqual([c, a, b, d]);
});
