import type { FlowerId, PlantId } from '../ids';
import { Seasons } from '../testSeasons';
import { expectedMakeup, generationCode, generationOfFruit, generationOfLot, generationOfPlant } from '.';

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

  test('of a lot in which one father is not known nobody can say what it is', () => {
    const { s, mother, father, fruit } = cross();
    const lot = s.lot(s.garden.growing(mother).variety.id, [fruit, s.fruit(mother, [])]);
    const kind = (id: string) => {
      const found = s.state.lots.get(id);
      return found && generationOfLot(s.state, found).kind;
    };
    expect(kind(lot)).toBe('unknown');
    expect(kind(s.lot(s.garden.growing(mother).variety.id, [fruit, s.fruit(father, [mother])]))).toBe(
      'mixed',
    );
  });

  test('seed of a bought F1 hybrid is an F2 of it', () => {
    const s = new Seasons();
    const { variety, plants } = s.stand('Bought', 2);
    const found = s.state.varieties.get(variety);
    s.garden.write(s.garden.time('2020-06-01', 9), {
      kind: 'corrected',
      subject: variety,
      target: found?.event as never,
      changes: { traits: { f1: true } },
    });
    const [a, b] = plants as [PlantId, PlantId];
    expect(generationCode(generationOfPlant(s.state, a))).toBe('F1');
    const fruit = s.fruit(a, [b]);
    expect(generationCode(generationOfFruit(s.state, fruit))).toBe('F2');
  });
});
