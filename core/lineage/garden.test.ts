import fc from 'fast-check';
import type { FlowerId, PlantId } from '../ids';
import { matchPollen } from '../planning';
import { seededRandom } from '../random';
import { Seasons } from '../testSeasons';
import {
  ancestorsFirst,
  effectiveSizeFromSexes,
  expectedMakeup,
  fatherHistory,
  generationCode,
  generationOfFruit,
  generationOfPlant,
  growOutOf,
  inbreeding,
  kinship,
  kinshipAmong,
  lineageOf,
  mixingOf,
  mixingWith,
  mixtureOf,
  offspringLots,
  smallPopulation,
  treeOf,
  treeOfLot,
  type PedigreeRow,
} from '.';

const lineageIn = (seasons: Seasons) => lineageOf(seasons.state);

describe('descent', () => {
  test('plants sown from the fruit of two are sisters; those of a bought lot are founders', () => {
    const s = new Seasons();
    const { variety, plants } = s.stand('Slate Dome', 2);
    const [a, b] = plants as [PlantId, PlantId];
    const fruit = s.fruit(a, [b]);
    const next = s.stand('Slate Dome', 2);
    s.sow(next.stand, s.lot(variety, [fruit]));
    const [c, d] = next.plants as [PlantId, PlantId];
    const kin = kinshipAmong(lineageIn(s), [a, b, c, d]);
    expect([kin(a, b), kin(a, c), kin(c, d), kin(c, c)]).toEqual([0, 0.25, 0.25, 0.5]);
    s.sow(c, null);
    expect(kinshipAmong(lineageIn(s), [a, c, d])(c, d)).toBe(0);
  });

  test('of a mixed lot each pair of parents counts by how likely it is', () => {
    const s = new Seasons();
    const { variety, plants } = s.stand('Slate Dome', 4);
    const [a, b, c, d] = plants as [PlantId, PlantId, PlantId, PlantId];
    const lot = s.lot(variety, [s.fruit(a, [b]), s.fruit(c, [d])]);
    const next = s.stand('Slate Dome', 2);
    s.sow(next.stand, lot);
    const [e, f] = next.plants as [PlantId, PlantId];
    // Half of the time both come from one fruit and are sisters.
    expect(kinshipAmong(lineageIn(s), [e, f])(e, f)).toBeCloseTo(0.125, 10);
    expect(lineageIn(s).of(e).pairs).toHaveLength(2);
  });

  test('runners and tubers are one plant, and a cross between them is selfing', () => {
    const s = new Seasons();
    const { variety, plants } = s.stand('Slate Dome', 3);
    const [a, b, c] = plants as [PlantId, PlantId, PlantId];
    s.garden.write(s.garden.time('2020-06-01', 9), { kind: 'clonedFrom', plant: b, parent: a });
    s.garden.write(s.garden.time('2020-06-01', 9), { kind: 'clonedFrom', plant: c, parent: b });
    expect(kinshipAmong(lineageIn(s), [a, c])(a, c)).toBe(0.5);
    const fruit = s.fruit(c, [a]);
    const next = s.stand('Slate Dome', 1);
    s.sow(next.stand, s.lot(variety, [fruit]));
    const [d] = next.plants as [PlantId];
    expect(kinshipAmong(lineageIn(s), [d])(d, d)).toBe(0.75);
    expect(mixingOf(s.state, variety, '2020')).toMatchObject({ selfed: 1, mothers: 1, fathers: 1, size: 1 });
  });

  test('where each plant has one pair of parents it is the plain pedigree', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 8 }), fc.nat(), (many, seed) => {
        const random = seededRandom(seed);
        const s = new Seasons();
        const first = s.stand('Slate Dome', 3);
        const all = [...first.plants];
        const rows: PedigreeRow[] = all.map((id) => ({ id, mother: null, father: null }));
        const pick = () => all[Math.floor(random() * all.length)] as PlantId;
        for (let i = 0; i < many; i++) {
          const [mother, father] = [pick(), pick()];
          const { plants } = s.stand('Slate Dome', 1);
          const child = plants[0] as PlantId;
          s.sow(child, s.lot(first.variety, [s.fruit(mother, [father])]));
          all.push(child);
          rows.push({ id: child, mother, father });
        }
        const kin = kinshipAmong(lineageIn(s), all);
        for (const [i, row] of kinship(rows, all).entries())
          for (const [j, value] of row.entries())
            expect(kin(all[i] as PlantId, all[j] as PlantId)).toBeCloseTo(value, 10);
        expect(inbreeding(rows).size).toBe(all.length);
      }),
      { numRuns: 20 },
    );
  });

  test('its own ancestor, its own cutting, a lot without fruits, a mother never planted: told, and unknown from there', () => {
    const s = new Seasons();
    const { variety, plants } = s.stand('Slate Dome', 3);
    const [a, b, c] = plants as [PlantId, PlantId, PlantId];
    const fruit = s.fruit(a, [b]);
    const lot = s.lot(variety, [fruit]);
    s.sow(a, lot);
    expect(lineageIn(s).of(a)).toMatchObject({ pairs: [], oddities: ['cycle'] });
    expect(ancestorsFirst(lineageIn(s), [a, b, c])).toHaveLength(3);
    s.garden.write(s.garden.time('2020-06-01', 9), { kind: 'clonedFrom', plant: b, parent: b });
    expect(lineageIn(s).of(b).oddities).toEqual(['own-clone']);
    s.sow(c, s.lot(variety, []));
    expect(lineageIn(s).of(c)).toMatchObject({ pairs: [], oddities: ['no-fruits'] });
    s.sow(c, s.lot(variety, ['flower:01KS22Y8C047C4FEZDQK8YZG00' as FlowerId]));
    expect(lineageIn(s).of(c).oddities).toEqual(['no-mother']);
    s.sow(c, s.lot(variety, [fruit], 2024));
    expect(lineageIn(s).of(c).oddities).toEqual(['sown-before-ripe']);
  });

  test('thirty generations from seed to seed', () => {
    const s = new Seasons();
    const { variety, plants } = s.stand('Slate Dome', 1);
    let last = plants[0] as PlantId;
    for (let i = 0; i < 30; i++) {
      const next = s.stand('Slate Dome', 1).plants[0] as PlantId;
      s.sow(next, s.lot(variety, [s.fruit(last, [last])]));
      last = next;
    }
    expect(2 * kinshipAmong(lineageIn(s), [last])(last, last) - 1).toBeCloseTo(1 - 2 ** -30, 12);
  });
});

describe('generations', () => {
  function cross() {
    const s = new Seasons();
    const lamp = s.stand("Ferryman's Lamp", 2);
    const dome = s.stand('Slate Dome', 2);
    const [mother] = lamp.plants as [PlantId];
    const [father] = dome.plants as [PlantId];
    const fruit = s.fruit(mother, [father]);
    const code = (plant: PlantId) => generationCode(generationOfPlant(s.state, plant));
    const child = (from: FlowerId, name = 'Lamp × Dome') => {
      const { stand, variety, plants } = s.stand(name, 1);
      s.sow(stand, s.lot(variety, [from]));
      return plants[0] as PlantId;
    };
    return { s, lamp, dome, mother, father, fruit, code, child };
  }

  test('F1, F2, F3 by selfing; reciprocals are two things', () => {
    const { s, fruit, code, child, mother, father } = cross();
    const f1 = child(fruit);
    const f2 = child(s.fruit(f1, [f1]));
    const f3 = child(s.fruit(f2, [f2]));
    expect([f1, f2, f3].map(code)).toEqual(['F1', 'F2', 'F3']);
    expect(expectedMakeup(generationOfPlant(s.state, f3))).toEqual({ heterozygosity: 0.25, recurrent: null });
    const other = child(s.fruit(father, [mother]));
    expect(generationOfPlant(s.state, other)).not.toEqual(generationOfPlant(s.state, f1));
    expect(code(other)).toBe('F1');
    // An F1 with its reciprocal: the same two parents, selfed as far.
    expect(code(child(s.fruit(f1, [other])))).toBe('F2');
  });

  test('backcrosses are counted, towards one parent only, and selfed after', () => {
    const { s, lamp, dome, fruit, code, child } = cross();
    const [, recurrent] = lamp.plants as [PlantId, PlantId];
    const bc1 = child(s.fruit(child(fruit), [recurrent]));
    const bc2 = child(s.fruit(recurrent, [bc1]));
    expect([bc1, bc2].map(code)).toEqual(['BC1', 'BC2']);
    expect(expectedMakeup(generationOfPlant(s.state, bc2))).toEqual({
      heterozygosity: 0.25,
      recurrent: 0.875,
    });
    expect(code(child(s.fruit(bc2, [bc2])))).toBe('BC2F2');
    const other = child(s.fruit(bc2, [dome.plants[0] as PlantId]));
    expect(generationOfPlant(s.state, other).kind).toBe('mixed');
  });

  test('a father nobody knows leaves it unknown; two kinds of father in one fruit make it mixed', () => {
    const { s, mother, father, lamp } = cross();
    const kind = (...fathers: PlantId[]) => {
      const fruit = s.fruit(mother, fathers);
      return generationOfFruit(s.state, fruit).kind;
    };
    const own = lamp.plants[1] as PlantId;
    expect([kind(), kind(father, own), kind(own), kind(father)]).toEqual([
      'unknown',
      'mixed',
      'pure',
      'cross',
    ]);
  });
});

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
    const next = s.stand('Slate Dome', 2);
    s.sow(next.stand, s.lot(variety, [s.fruit(a, [b])]));
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
});

describe('growing out', () => {
  test('none off among sixty proves under 5 %; two off among sixty no more than about 10', () => {
    const s = new Seasons();
    const { variety, plants } = s.stand('Slate Dome', 2);
    const [a, b] = plants as [PlantId, PlantId];
    const lot = s.lot(variety, [s.fruit(a, [b])]);
    const found = () => growOutOf(s.state, s.state.lots.get(lot) as never);
    expect(found()).toMatchObject({ grown: 0, upTo: null, range: null });
    s.count(lot, null, 60, 0, 'leaf');
    expect(found()).toMatchObject({ grown: 60, off: 0, stage: 'leaf' });
    expect(found().upTo).toBeCloseTo(1 - 0.05 ** (1 / 60), 8);
    s.count(lot, null, 58, 2);
    expect(found()).toMatchObject({ grown: 60, off: 2, stage: 'fruit' });
    // Published: 2 of 60, one-sided 95 %.
    expect(found().upTo).toBeCloseTo(0.1011, 3);
  });

  test('two off-types traced to the one father who served all fruits that gave them', () => {
    const s = new Seasons();
    const { variety, plants } = s.stand('Slate Dome', 4);
    const [a, b, good, bad] = plants as [PlantId, PlantId, PlantId, PlantId];
    const [one, two, three] = [s.fruit(a, [bad]), s.fruit(b, [bad]), s.fruit(a, [good])];
    const lot = s.lot(variety, [one, two, three]);
    s.count(lot, one, 20, 1);
    s.count(lot, two, 20, 1);
    s.count(lot, three, 20, 0);
    const { fathers } = growOutOf(s.state, s.state.lots.get(lot) as never);
    expect(fathers).toMatchObject([
      { father: bad, grown: 40, off: 2, fruits: 2, stands: true },
      { father: good, grown: 20, off: 0, fruits: 1, stands: false },
    ]);
  });

  test('plants on record prove nothing of themselves: only those found off are told', () => {
    const s = new Seasons();
    const { variety, plants } = s.stand('Slate Dome', 2);
    const [a, b] = plants as [PlantId, PlantId];
    const lot = s.lot(variety, [s.fruit(a, [b])]);
    const next = s.stand('Slate Dome', 5);
    s.sow(next.stand, lot);
    const [off] = next.plants as [PlantId];
    s.garden.write(s.garden.time('2021-07-01', 9), {
      kind: 'offTypeFound',
      plant: off,
      shownBy: 'leaf',
      rogued: 'before',
    });
    expect(growOutOf(s.state, s.state.lots.get(lot) as never)).toMatchObject({
      grown: 0,
      upTo: null,
      onRecord: { grown: 5, off: 1 },
    });
  });
});

describe('the tree', () => {
  /** Three generations: two founders, a lot of their fruits, its plants, and theirs. */
  function three() {
    const s = new Seasons();
    const { variety, plants } = s.stand('Slate Dome', 2);
    const [a, b] = plants as [PlantId, PlantId];
    const first = s.lot(variety, [s.fruit(a, [b]), s.fruit(b, [a])]);
    const sisters = s.stand('Slate Dome', 3);
    s.sow(sisters.stand, first);
    const [c, d, e] = sisters.plants as [PlantId, PlantId, PlantId];
    const second = s.lot(variety, [s.fruit(c, [d]), s.fruit(d, [e])]);
    const last = s.stand('Slate Dome', 1);
    s.sow(last.stand, second);
    return { s, a, b, c, d, e, first, second, last: last.plants[0] as PlantId };
  }

  test('one of several has the parents of all of them; no further than was asked', () => {
    const { s, a, b, c, d, e, last, second } = three();
    const tree = treeOf(s.state, last, 2);
    expect(tree.parents).toMatchObject({
      mother: { plants: [c, d] },
      father: { plants: [d, e] },
      selfed: false,
    });
    expect(tree.parents?.mother.parents).toMatchObject({
      mother: { plants: [a, b] },
      father: { plants: [b, a] },
    });
    expect(treeOf(s.state, last, 1).parents?.mother).toMatchObject({ parents: null, more: true });
    const lot = s.state.lots.get(second);
    expect(lot && treeOfLot(s.state, lot, 1).parents?.mother.plants).toEqual([c, d]);
    expect(treeOf(s.state, a, 3)).toMatchObject({ parents: null, more: false });
  });

  test('what came of a plant: the lots it bore seed of, and those it fathered', () => {
    const { s, d, first, second, last } = three();
    expect(offspringLots(s.state, d)).toEqual([{ lot: second, asMother: 1, asFather: 1, sown: [last] }]);
    expect(offspringLots(s.state, last)).toEqual([]);
    expect(offspringLots(s.state, three().a).some(({ lot }) => lot === first)).toBe(true);
  });

  test('a potato seedling named as a variety is one plant with all that grow of its tubers', () => {
    const s = new Seasons();
    const [seedling] = s.stand('Seedlings', 1, 'potato').plants as [PlantId];
    const named = s.stand('Number Nine', 2, 'potato');
    const before = s.state.varieties.get(named.variety);
    s.garden.write(s.garden.time('2020-10-01', 9), {
      kind: 'corrected',
      subject: named.variety,
      target: before?.event as never,
      changes: { from: seedling },
    });
    const [tuber] = named.plants as [PlantId];
    expect(lineageIn(s).self(tuber)).toBe(seedling);
    expect(kinshipAmong(lineageIn(s), [tuber, seedling])(tuber, seedling)).toBe(0.5);
  });
});
