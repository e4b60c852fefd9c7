import type { PlantId } from '../ids';
import { contradictions } from '../rounds';
import { TestGarden } from '../testGarden';
import { fruitProof, proofOf, yearPurity } from '.';

const TODAY = '2026-07-20';

/** A female worked on the fourteenth with a male of another plant, all of it seen. */
function worked() {
  const garden = new TestGarden();
  const { plants } = garden.plant('squash-maxima', 'Slate Dome', 3);
  const [mother, father, third] = plants as [PlantId, PlantId, PlantId];
  const male = garden.shut('2026-07-13', father, 'male');
  const female = garden.shut('2026-07-13', mother, 'female');
  const dawn = (minute: number) => garden.time('2026-07-14', 5, minute);
  garden.check(dawn(0), male, 'whole');
  garden.check(dawn(5), female, 'whole');
  garden.work(dawn(10), female, [male], { beeIn: false, clean: true } as never);
  garden.write(dawn(11), { kind: 'marked', flower: female, mark: '1-A' });
  const chain = () => {
    const flower = garden.state.flowers.get(female);
    if (!flower) throw new Error('no flower');
    return proofOf(flower, garden.state, TODAY, null);
  };
  const odd = () => chain().oddities.map(({ what }) => what);
  const says = (link: string) => chain().links.find((each) => each.link === link)?.says;
  return { garden, mother, father, third, male, female, dawn, odd, says, chain };
}

describe('what cannot be so', () => {
  test('a fruit worked as it should be has nothing odd', () => {
    expect(worked().odd()).toEqual([]);
  });

  test('a father that died before: nobody can say whose pollen it was', () => {
    const { garden, father, odd, says } = worked();
    expect(says('fathers')).toBe('pure-fathers');
    garden.write(garden.time('2026-07-12', 8), { kind: 'plantDied', plant: father, cause: 'borer' });
    expect([odd(), says('fathers')]).toEqual([['father-gone'], 'father-odd']);
  });

  test('one that was pulled up the same day had given its pollen by then', () => {
    const { garden, father, odd } = worked();
    garden.write(garden.time('2026-07-14', 4), { kind: 'plantRemoved', plant: father });
    expect(odd()).toEqual([]);
  });

  test('worked before it was seen, and worked when it was gone', () => {
    const { garden, female, odd } = worked();
    garden.work(garden.time('2026-07-11', 6), female, []);
    expect(odd()).toEqual(['worked-before-seen']);
    garden.write(garden.time('2026-07-12', 8), { kind: 'lost', flower: female, cause: 'rot' });
    expect(odd()).toEqual(['worked-before-seen', 'worked-when-gone']);
  });

  test('its own father, or the father of its father', () => {
    const self = worked();
    self.garden.work(self.dawn(20), self.female, [self.female]);
    expect(self.odd()).toEqual(['circular-fathers']);
    const two = worked();
    two.garden.work(two.dawn(30), two.male, [two.female]);
    expect(two.odd()).toEqual(['circular-fathers']);
  });

  test('a male of another plant than the father named', () => {
    const { garden, female, male, third, dawn, odd } = worked();
    const fathers = [{ plant: third, males: 1, flowers: [male] }];
    garden.work(dawn(20), female, [], { fathers } as never);
    expect(odd()).toEqual(['father-elsewhere']);
  });

  test('two mothers: in doubt, and two phones are asked', () => {
    const { garden, female, mother, third, odd, says, dawn } = worked();
    const seen = { kind: 'flowerSeen', flower: female, sex: 'female', stage: 'open', node: null } as const;
    garden.write(dawn(2), { ...seen, plant: third });
    expect([odd(), says('mark-read')]).toEqual([['two-mothers'], 'two-mothers']);
    expect(contradictions(garden.state, garden.place.zone, TODAY)).toEqual([]);
    garden.add({
      ...garden.write(dawn(3), { ...seen, plant: mother }),
      id: 'event:x' as never,
      device: 'other',
    });
    expect(contradictions(garden.state, garden.place.zone, TODAY)).toHaveLength(1);
  });

  test('a mark that hangs on two fruits leaves both in doubt until one of them is gone', () => {
    const { garden, third, odd, says, dawn, female } = worked();
    const twin = garden.shut('2026-07-13', third, 'female');
    garden.work(dawn(15), twin, []);
    garden.write(dawn(16), { kind: 'marked', flower: twin, mark: '1-A' });
    expect([odd(), says('mark-read')]).toEqual([['mark-on-two'], 'mark-on-two']);
    const listed = yearPurity(garden.state, TODAY, null).varieties[0]?.fruits ?? [];
    expect(listed.find(({ flower }) => flower === female)?.grade).toBe('fair');
    garden.write(dawn(20), { kind: 'markLost', flower: twin, mark: '1-A' });
    expect(odd()).toEqual([]);
  });
});

test('one entry grades the one fruit of which it speaks, and those that its plant served', () => {
  const { garden, female, father, third } = worked();
  const other = garden.shut('2026-07-14', third, 'female');
  garden.work(garden.time('2026-07-15', 5), other, []);
  const proof = (id: string) => {
    const flower = garden.state.flowers.get(id);
    return flower && fruitProof(garden.state, flower, TODAY);
  };
  const [first, second] = [proof(female), proof(other)];
  garden.look(garden.time('2026-07-18', 8), other, 'growing');
  expect(proof(female)).toBe(first);
  expect(proof(other)).not.toBe(second);
  const now = proof(other);
  garden.write(garden.time('2026-07-19', 8), { kind: 'offTypeFound', plant: father, shownBy: 'fruit' });
  expect(proof(female)?.proof.grade).toBe('not-pure');
  expect(proof(other)).toBe(now);
});
