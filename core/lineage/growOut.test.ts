import type { PlantId } from '../ids';
import { Seasons } from '../testSeasons';
import { growOutOf } from '.';

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
