import fc from 'fast-check';
import { bloomDayOf } from '../bloom';
import type { PlantId } from '../ids';
import { planRound } from '../planning';
import { TestGarden } from '../testGarden';
import { chainPace, dawnQuestion, shareByVariety, stopsOf, teamMinutes } from '.';

const EVENING = '2026-07-05';
const DATE = '2026-07-06';

/** Stands of so many females each, all shut for one dawn, with a male apiece. */
function garden(...females: number[]) {
  const made = new TestGarden();
  for (const [i, many] of females.entries()) {
    const { plants } = made.plant(i % 2 ? 'squash-pepo' : 'squash-maxima', `Variety ${i}`, 2);
    const [mother, father] = plants as [PlantId, PlantId];
    for (let n = 0; n < many; n++) {
      made.shut(EVENING, mother, 'female');
      made.shut(EVENING, father, 'male');
    }
  }
  return made;
}
const stopsIn = (made: TestGarden) => stopsOf(made.state, DATE, made.place.zone, 'dawn');

test('every variety goes to somebody, and nobody stands idle', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 1, maxLength: 5 }),
      fc.integer({ min: 1, max: 4 }),
      (females, people) => {
        const made = garden(...females);
        const stops = stopsIn(made);
        const workers = Array.from({ length: people }, (_, i) => `p${i}`);
        const shares = shareByVariety(made.state, stops, workers);
        expect(shares.map(({ worker }) => worker)).toEqual(workers);
        expect(new Set(shares.flatMap(({ varieties }) => varieties.map(({ variety }) => variety))).size).toBe(
          females.length,
        );
        expect(shares.every(({ varieties }) => varieties.length > 0)).toBe(true);
        const all = shares.reduce((sum, { minutes }) => sum + minutes, 0);
        expect(Math.max(...shares.map(({ minutes }) => minutes))).toBeGreaterThanOrEqual(all / people - 1e-9);
      },
    ),
    { numRuns: 40 },
  );
});

test('one with many flowers is alone with them; two share the rest', () => {
  const made = garden(6, 2, 3);
  const shares = shareByVariety(made.state, stopsIn(made), ['me', 'helper 1']);
  expect(shares.map(({ varieties }) => varieties.map(({ flowers }) => flowers))).toEqual([[6], [3, 2]]);
});

test('the plan sends nobody to a variety that is another’s, and its males are picked by who works it', () => {
  const made = garden(3, 3);
  const stops = stopsIn(made);
  const plan = (split: 'by-variety' | 'as-it-comes') => {
    const question = dawnQuestion(
      made.state,
      made.place,
      DATE,
      'dawn',
      bloomDayOf(made.state, made.place, DATE),
      {
        now: made.time(DATE, 4, 30),
        people: ['me', 'helper 1'],
        deadline: made.time(DATE, 8),
        split,
      },
    );
    return { question, plan: planRound({ ...question.request, effort: 60_000 }) };
  };
  const { question, plan: shared } = plan('by-variety');
  const pollen = new Map(question.request.stops.map(({ id, pollen: of }) => [id, of]));
  const handled = shared.routes.map(({ stops: own }) => new Set(own.map(({ id }) => pollen.get(id))).size);
  expect(handled).toEqual([1, 1]);
  expect(shared.skipped).toEqual([]);
  const done = shared.routes.flatMap(({ stops: own }) => own.map(({ id }) => id));
  expect(stops.every(({ flower }) => done.includes(flower.id))).toBe(true);
});

test('a chain goes together: one route, quicker with each of up to three people', () => {
  expect([1, 2, 3, 4].map(chainPace)).toEqual([1, 0.55, 0.45, 0.45]);
  const made = garden(4);
  const request = (people: string[]) =>
    dawnQuestion(made.state, made.place, DATE, 'dawn', bloomDayOf(made.state, made.place, DATE), {
      now: made.time(DATE, 4, 30),
      people,
      deadline: made.time(DATE, 8),
      split: 'chain',
    }).request;
  const alone = planRound(request(['me']));
  const three = planRound(request(['me', 'helper 1', 'helper 2']));
  expect(three.routes).toHaveLength(1);
  expect(three.finish).toBeLessThan(alone.finish);
});

test('minutes: as it comes they divide, by variety the longest part counts', () => {
  const shares = [
    { worker: 'a', varieties: [], minutes: 30 },
    { worker: 'b', varieties: [], minutes: 10 },
  ];
  expect(teamMinutes(40, 2, 'as-it-comes', [])).toBe(20);
  expect(teamMinutes(40, 2, 'by-variety', shares)).toBe(30);
  expect(teamMinutes(40, 2, 'chain', [])).toBe(22);
});
