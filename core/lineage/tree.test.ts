import type { PlantId } from '../ids';
import { Seasons } from '../testSeasons';
import { kinshipAmong, lineageOf, offspringLots, treeOf, treeOfLot } from '.';

const lineageIn = (seasons: Seasons) => lineageOf(seasons.state);

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
