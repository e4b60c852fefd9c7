import { cropOf, kitchenTools } from '../crops';
import type { PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { kitchenRound } from '.';

const DAY = '2026-07-14';

describe('the kitchen round', () => {
  test('takes fruit stands and seed stands with a kitchen goal, and counts today’s flowers only', () => {
    const garden = new TestGarden();
    const tomato = garden.plant('tomato', 'Lock Keeper', 1, { reason: 'fruit' });
    const squash = garden.plant('squash-pepo', 'Long Halyard', 1, { goal: { kitchenFruits: 4 } });
    garden.plant('squash-pepo', 'Seed Halyard', 1);
    const plant = tomato.plants[0] as PlantId;
    const tally = (at: number, flowers: number, truss: number | null) =>
      garden.write(at, { kind: 'tallied', plant, tool: 'shaking', flowers, truss });
    tally(garden.time('2026-07-13', 23, 30), 9, 1);
    tally(garden.time(DAY, 0, 30), 4, 2);
    tally(garden.time(DAY, 12), 3, 3);
    const round = kitchenRound(garden.state, garden.place.zone, DAY);
    expect(round.map(({ growing }) => growing.plant.id)).toEqual([plant, squash.plants[0]]);
    expect(round[0]).toMatchObject({ today: 7, tool: 'shaking', lastTruss: 3 });
    expect(round[1]).toMatchObject({ today: 0, tool: 'male-flower', lastTruss: null });
  });

  test('offers no tool of a cross', () => {
    expect(kitchenTools(cropOf('tomato'))).not.toContain('anthers');
    expect(kitchenTools(cropOf('strawberry'))[0]).toBe('brush');
  });
});
