import type { FlowerId, PlantId } from '../ids';
import { matchPollen } from '../planning';
import { Seasons } from '../testSeasons';
import {
  effectiveSizeFromSexes,
  fatherHistory,
  fathersNext,
  kinshipAmong,
  lineageOf,
  mixingOf,
  mixingWith,
  mixtureOf,
  smallPopulation,
} from '.';

const lineageIn = (seasons: Seasons) => lineageOf(seasons.state);

describe('mixing', () => {
  test('ten mothers and one father are 3.6 plants, with ten others as fathers 20, and ten both ways 10', () => {
    const s = new Seasons();
    const { variety, plants } = s.stand('Slate Dome', 21);
    const mothers = plants.slice(0, 10);
    const size = (fathers: readonly PlantId[]) =>
      mixtureOf(
        mothers.map((mother, i) => ({
          fruit: 'flower:x' as FlowerId,
          pairs: [{ mother, father: fathers[i % fathers.length] as PlantId, weight: 1 }],
        })),
        kinshipAmong(lineageIn(s), plants),
      );
    expect(size(plants.slice(20)).size).toBeCloseTo(effectiveSizeFromSexes(1, 10), 10);
    expect(size(plants.slice(10, 20)).size).toBeCloseTo(20, 10);
    expect(size([...mothers.slice(1), mothers[0] as PlantId])).toMatchObject({ selfed: 0, evenness: 1 });
    expect(size([...mothers.slice(1), mothers[0] as PlantId]).size).toBeCloseTo(10, 10);
    expect(mixingOf(s.state, variety, '2020')).toMatchObject({ fruits: 0, size: 0, selfed: 0 });
  });

  test('kin counts: two sisters are fewer than two strangers', () => {
    const s = new Seasons();
    const { variety, plants } = s.stand('Slate Dome', 4);
    const [a, b, c, d] = plants as [PlantId, PlantId, PlantId, PlantId];
    const lot = s.lot(variety, [s.fruit(a, [b])]);
    const next = s.stand('Slate Dome', 2);
    s.sow(next.stand, lot);
    const [e, f] = next.plants as [PlantId, PlantId];
    const strangers = mixingWith(s.state, variety, '2021', [{ mother: c, fathers: [d] }]);
    const sisters = mixingWith(s.state, variety, '2021', [{ mother: e, fathers: [f] }]);
    expect(strangers.size).toBeCloseTo(2, 10);
    expect(sisters.size).toBeCloseTo(4 / 3, 10);
    expect(sisters.sizeUnrelated).toBeCloseTo(2, 10);
  });

  test('tonight’s matching takes who gave least this year, and no sister where there is another', () => {
    const s = new Seasons();
    const { variety, plants } = s.stand('Slate Dome', 3);
    const [a, b, c] = plants as [PlantId, PlantId, PlantId];
    s.fruit(a, [b]);
    const history = fatherHistory(s.state, '2020', plants);
    expect([a, b, c].map(history.already)).toEqual([1, 1, 0]);
    const match = (rules: Partial<Parameters<typeof matchPollen>[0]['rules']>) =>
      matchPollen({
        females: [{ id: 'f', plant: a, variety, value: 1, wants: 1, purpose: 'seed' }],
        males: [b, c].map((plant) => ({ id: `m ${plant}`, plant, variety, pure: true })),
        rules: { selfing: 'never', femalesPerMale: 1, ...rules },
      }).pairs[0]?.male;
    expect(match({})).toBe(`m ${b}`);
    expect(match(history)).toBe(`m ${c}`);
    expect(match({ kinship: (_, father) => (father === b ? 0.25 : 0) })).toBe(`m ${c}`);
  });

  test('what a small lot loses: 5 % of ten plants a generation, all but nothing of a hundred', () => {
    expect(smallPopulation(10)).toMatchObject({ lost: 0.05, plantsForRare: 30 });
    expect(smallPopulation(10).lostInTen).toBeCloseTo(1 - 0.95 ** 10, 10);
    expect(smallPopulation(25).keepsRare).toBeCloseTo(0.923, 3);
    expect(smallPopulation(0).lost).toBe(1);
  });

  test('tomorrow’s fathers: of a cross those of the other variety, of a tomato that selfs in its cover none', () => {
    const s = new Seasons();
    const dome = s.garden.plant('squash-maxima', 'Slate Dome', 2);
    const lamp = s.garden.plant('squash-maxima', 'Lamp', 1, {
      reason: 'cross',
      goal: { fatherVariety: dome.variety },
    });
    const tomato = s.stand('Tallow Bead', 2, 'tomato');
    const next = (variety: string) =>
      fathersNext(s.state, variety, mixingOf(s.state, variety, '2020').plants).map(({ plant }) => plant);
    expect(next(lamp.variety)).toEqual(dome.plants);
    expect(next(dome.variety)).toEqual(dome.plants);
    expect(next(tomato.variety)).toEqual([]);
    s.fruit(lamp.plants[0] as PlantId, [dome.plants[0] as PlantId]);
    expect(fathersNext(s.state, lamp.variety, mixingOf(s.state, lamp.variety, '2020').plants)).toEqual([
      { plant: dome.plants[1], asMother: 0, asFather: 0 },
      { plant: dome.plants[0], asMother: 0, asFather: 1 },
    ]);
  });
});
