import { bloomDayOf } from '@core/bloom';
import type { PlantId } from '@core/ids';
import { TestGarden } from '@core/testGarden';
import { roundsBeside } from './roundsBeside';

const rounds = (garden: TestGarden, date: string, hour = 9) =>
  roundsBeside(
    garden.state,
    garden.place,
    date,
    bloomDayOf(garden.state, garden.place, date),
    garden.time(date, hour),
  ).map(({ name, what }) => `${name}: ${what}`);

test('corn and tomatoes for seed ask for their looks in summer, and for nothing in winter', () => {
  const garden = new TestGarden();
  garden.plant('corn', 'Weir Copper', 3);
  garden.plant('tomato', 'Tallow Bead', 2);
  expect(rounds(garden, '2026-07-14')).toEqual([
    'Daily look at the corn: 3 plants: shoots to bag, silk, tassels that shed',
    'Corn: no silk yet',
    'Pure seed under bags: 2 plants to strip',
  ]);
  expect(rounds(garden, '2027-01-14')).toEqual([]);
});

test('what was begun is asked for however late it has grown', () => {
  const garden = new TestGarden();
  const { variety } = garden.plant('tomato', 'Lock Keeper', 1);
  const { plants } = garden.plant('tomato', 'Tallow Bead', 1, {
    reason: 'cross',
    goal: { seed: { amount: 60, unit: 'seeds' }, fatherVariety: variety },
  });
  const at = garden.time('2026-09-20', 9);
  const flower = garden.see(at, plants[0] as PlantId, 'perfect', 'coloured');
  garden.write(at, { kind: 'emasculated', flower });
  garden.write(at, { kind: 'flowerShut', flower, closure: 'mesh-bag' });
  garden.work(garden.time('2026-09-20', 11), flower, [], { tool: 'anthers', shutAgain: 'mesh-bag' });
  garden.look(garden.time('2026-10-02', 11), flower, 'growing');
  expect(rounds(garden, '2026-11-20')).toEqual(['Crosses: 1 bag to take off']);
});

test('a truss that was bagged and left is shaken no more once nothing flowers; its fruit still wants a mark', () => {
  const garden = new TestGarden();
  const { plants } = garden.plant('tomato', 'Tallow Bead', 1);
  const at = garden.time('2026-09-18', 18);
  garden.write(at, { kind: 'stripped', plant: plants[0] as PlantId });
  const truss = garden.see(at, plants[0] as PlantId, 'perfect', 'coloured');
  garden.write(at, { kind: 'flowerShut', flower: truss, closure: 'mesh-bag' });
  expect(rounds(garden, '2026-09-19')).toEqual(['Pure seed under bags: 1 bag to shake']);
  expect(rounds(garden, '2027-01-14')).toEqual([]);
  garden.work(garden.time('2026-09-19', 10), truss, [], { tool: 'shaking', shutAgain: 'mesh-bag' });
  garden.look(garden.time('2026-10-05', 10), truss, 'growing');
  expect(rounds(garden, '2026-11-20')).toEqual(['Pure seed under bags: 1 fruit to mark']);
});

test('somebody who grows vines alone has no rounds beside them', () => {
  const garden = new TestGarden();
  garden.plant('squash-maxima', 'Slate Dome', 2);
  expect(rounds(garden, '2026-07-14')).toEqual([]);
});
