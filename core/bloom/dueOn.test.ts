import type { Flower } from '../ledger';
import type { PlantId } from '../ids';
import { cropOf } from '../crops';
import { nextRounds, pollinationRound } from '../rounds';
import { TestGarden } from '../testGarden';
import { dueOn, gardenDay, openWindow, roundDateOf } from '.';

const DAY = '2026-07-14';

function gourd() {
  const garden = new TestGarden();
  const [plant] = garden.plant('bottle-gourd', 'Tall Ewer', 1).plants as [PlantId];
  const crop = cropOf('bottle-gourd');
  const opens = openWindow(crop, gardenDay(garden.place, DAY)).opens;
  const shutAt = (at: number) => {
    const flower = garden.see(at - 60_000, plant, 'female', 'coloured');
    garden.write(at, { kind: 'flowerShut', flower, closure: 'tape' });
    return garden.state.flowers.get(flower) as Flower;
  };
  const due = (flower: Flower) => dueOn(garden.state, flower, crop, garden.place.zone);
  return { garden, crop, opens, shutAt, due };
}

test('a gourd shut before dusk is of that dusk; one still a bud once its flowers are open is of the next', () => {
  const { opens, shutAt, due } = gourd();
  expect(due(shutAt(opens - 3_600_000))).toBe(DAY);
  expect(due(shutAt(opens + 30 * 60_000))).toBe('2026-07-15');
});

test('shut on the evening walk after dusk began, it stands in the round of the evening after', () => {
  const { garden, opens, shutAt } = gourd();
  shutAt(opens + 30 * 60_000);
  expect(pollinationRound(garden.state, garden.place, DAY, 'dusk')).toBeNull();
  expect(pollinationRound(garden.state, garden.place, '2026-07-15', 'dusk')?.toDo).toHaveLength(1);
});

test('flowers of the night come before the walk once they are about to open', () => {
  const { garden, opens, shutAt } = gourd();
  shutAt(opens - 3 * 3_600_000);
  const kinds = (at: number) => nextRounds(garden.state, garden.place, at).map(({ kind }) => kind);
  expect(kinds(opens - 2 * 3_600_000).slice(0, 2)).toEqual(['walk', 'dusk']);
  expect(kinds(opens - 20 * 60_000).slice(0, 2)).toEqual(['dusk', 'walk']);
});

test('crops of the morning are due as ever', () => {
  const garden = new TestGarden();
  const [plant] = garden.plant('squash-maxima', 'Slate Dome', 1).plants as [PlantId];
  const taped = garden.shut(DAY, plant, 'female', 'tape', 21);
  const flower = garden.state.flowers.get(taped) as Flower;
  const crop = cropOf('squash-maxima');
  expect(dueOn(garden.state, flower, crop, garden.place.zone)).toBe('2026-07-15');
  expect(roundDateOf(flower, crop, garden.place.zone)).toBe('2026-07-15');
  // A bag on a green bud waits a day longer.
  const green = garden.see(garden.time(DAY, 19), plant, 'female', 'green');
  garden.write(garden.time(DAY, 19, 1), { kind: 'flowerShut', flower: green, closure: 'mesh-bag' });
  expect(dueOn(garden.state, garden.state.flowers.get(green) as Flower, crop, garden.place.zone)).toBe(
    '2026-07-16',
  );
});
