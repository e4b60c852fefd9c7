import { cropOf, type CropId, type FruitShape, type Reason } from '../crops';
import type { FlowerId, PatchId, PlantId, StandId, VarietyId } from '../ids';
import type { Goal } from '../ledger';
import { nextPlantPlaces } from '../patch';
import { NO_GOAL } from '../goals';
import { atLocalTime, type LocalDate } from '../time';
import type { Diary } from './growers';

/**
 * What grows in the demo beside the vines: corn with silk and tassel bags on, a tomato cross under way, strawberries and
 * tomatoes for the kitchen. Written after the season of the vines, so that theirs stays as it is.
 */
export function plantExtras(diary: Diary, patch: PatchId, start: LocalDate): void {
  corn(diary, patch, start);
  tomatoes(diary, patch, start);
  strawberries(diary, patch, start);
}

interface Extra {
  readonly bed: string;
  readonly xM: number;
  readonly yM: number;
  readonly lengthM: number;
  readonly widthM: number;
  readonly variety: string;
  readonly crop: CropId;
  readonly shape: FruitShape;
  readonly plants: number;
  readonly reason: Reason;
}

function plantIn(diary: Diary, patch: PatchId, start: LocalDate, extra: Extra) {
  const { bed: name, xM, yM, lengthM, widthM, variety: called, crop, shape, plants: count, reason } = extra;
  let time = at(diary, start, 11);
  const write = (draft: Parameters<Diary['write']>[2]) => diary.write((time += 60_000), 'Vesna', draft);
  const bed = diary.subject('bed', time);
  const variety = diary.subject('variety', time);
  const stand = diary.subject('stand', time);
  write({ kind: 'bedAdded', bed, patch, name, xM, yM, lengthM, widthM });
  write({ kind: 'varietyAdded', variety, patch, name: called, crop, shape });
  write({ kind: 'standAdded', stand, bed, variety, reason });
  const plants = nextPlantPlaces({ xM, yM, lengthM, widthM }, [], count, cropOf(crop)).map((spot, i) => {
    const plant = diary.subject('plant', time);
    write({ kind: 'plantAdded', plant, stand, label: String(i + 1), ...spot, plantedOn: start });
    return plant;
  });
  return { variety, stand, plants };
}

function at(diary: Diary, date: LocalDate, hour: number, minute = 0): number {
  return atLocalTime(date, hour, minute, diary.place.zone);
}

function goal(diary: Diary, stand: StandId, date: LocalDate, wanted: Partial<Goal>): void {
  diary.write(at(diary, date, 20, 30), 'Vesna', { kind: 'goalSet', stand, goal: { ...NO_GOAL, ...wanted } });
}

function corn(diary: Diary, patch: PatchId, start: LocalDate): void {
  const { stand, plants } = plantIn(diary, patch, start, {
    bed: 'Wall bed',
    xM: 0.5,
    yM: 10.4,
    lengthM: 4.5,
    widthM: 1.6,
    variety: 'Weir Copper',
    crop: 'corn',
    shape: 'long',
    plants: 8,
    reason: 'seed',
  });
  goal(diary, stand, start, { seed: { amount: 1800, unit: 'seeds' }, mothers: 6, precious: 'rare' });
  const seen = (time: number, plant: PlantId, sex: 'female' | 'male', stage: 'green' | 'open') => {
    const flower = diary.subject('flower', time);
    diary.write(time, 'Tilen', { kind: 'flowerSeen', flower, plant, sex, stage, node: null });
    return flower;
  };
  const bag = (time: number, flower: FlowerId, closure: 'shoot-bag' | 'tassel-bag') =>
    diary.write(time, 'Tilen', { kind: 'flowerShut', flower, closure });
  const ears = [1, 3, 4, 6].map((i, turn) => {
    const time = at(diary, '2026-07-09', 9, 5 * turn);
    const ear = seen(time, plants[i] as PlantId, 'female', 'green');
    bag(time + 60_000, ear, 'shoot-bag');
    return { ear, plant: plants[i] as PlantId };
  });
  // Silk under two of the bags; as many tassels bagged yesterday afternoon.
  ears.slice(0, 2).forEach(({ ear, plant }, turn) =>
    diary.write(at(diary, turn === 0 ? '2026-07-12' : '2026-07-13', 9, turn), 'Tilen', {
      kind: 'flowerSeen',
      flower: ear,
      plant,
      sex: 'female',
      stage: 'open',
      node: null,
    }),
  );
  for (const [turn, i] of [5, 7].entries()) {
    const tassel = seen(at(diary, '2026-07-13', 9, 20 + turn), plants[i] as PlantId, 'male', 'open');
    bag(at(diary, '2026-07-13', 16, 10 + turn), tassel, 'tassel-bag');
  }
  seen(at(diary, '2026-07-13', 9, 30), plants[0] as PlantId, 'male', 'open');
}

function tomatoes(diary: Diary, patch: PatchId, start: LocalDate): void {
  const tunnel = { yM: 10.4, lengthM: 3, widthM: 1.6, crop: 'tomato', shape: 'round' } as const;
  const mothers = plantIn(diary, patch, start, {
    ...tunnel,
    bed: 'Tunnel, left',
    xM: 6.2,
    variety: 'Tallow Bead',
    plants: 2,
    reason: 'cross',
  });
  const fathers = plantIn(diary, patch, start, {
    ...tunnel,
    bed: 'Tunnel, right',
    xM: 9.8,
    variety: 'Lock Keeper',
    plants: 2,
    reason: 'fruit',
  });
  goal(diary, mothers.stand, start, {
    seed: { amount: 120, unit: 'seeds' },
    fatherVariety: fathers.variety as VarietyId,
    by: '2026-09-20',
  });
  goal(diary, fathers.stand, start, { kitchenFruits: 40 });
  tomatoCross(diary, mothers.plants, fathers.plants[0] as PlantId);
  for (const [i, plant] of fathers.plants.entries())
    diary.write(at(diary, '2026-07-13', 12, 5 + i), 'Oda', {
      kind: 'tallied',
      plant,
      tool: 'vibration',
      flowers: 7 + i,
      truss: 3,
    });
}

/** A tomato cross: fathers bagged, a mother emasculated and bagged, worked twice; a bud left for tomorrow. */
function tomatoCross(diary: Diary, mothers: readonly PlantId[], right: PlantId): void {
  const [left, next] = mothers as [PlantId, PlantId];
  const bud = (time: number, plant: PlantId) => {
    const flower = diary.subject('flower', time);
    diary.write(time, 'Oda', {
      kind: 'flowerSeen',
      flower,
      plant,
      sex: 'perfect',
      stage: 'coloured',
      node: null,
    });
    return flower;
  };
  const bag = (time: number, flower: FlowerId) =>
    diary.write(time, 'Oda', { kind: 'flowerShut', flower, closure: 'mesh-bag' });
  for (const [date, minute] of [
    ['2026-07-12', 0],
    ['2026-07-13', 3],
  ] as const)
    bag(at(diary, date, 17, minute + 1), bud(at(diary, date, 17, minute), right));
  const mother = bud(at(diary, '2026-07-13', 8), left);
  diary.write(at(diary, '2026-07-13', 8, 10), 'Oda', { kind: 'emasculated', flower: mother });
  bag(at(diary, '2026-07-13', 8, 11), mother);
  for (const [visit, hour] of [9, 13].entries()) {
    diary.write(at(diary, '2026-07-13', hour), 'Oda', {
      kind: 'pollinated',
      flower: mother,
      fathers: [{ plant: right, males: 1, flowers: [] }],
      tool: 'brush',
      shutAgain: 'mesh-bag',
      purpose: 'seed',
    });
    if (visit === 0)
      diary.write(at(diary, '2026-07-13', hour, 1), 'Oda', { kind: 'marked', flower: mother, mark: 'T-A' });
  }
  bud(at(diary, '2026-07-13', 18, 30), next);
}

function strawberries(diary: Diary, patch: PatchId, start: LocalDate): void {
  const { stand, plants } = plantIn(diary, patch, start, {
    bed: 'Tunnel bench',
    xM: 6.2,
    yM: 12.8,
    lengthM: 6,
    widthM: 0.6,
    variety: 'Sluice Red',
    crop: 'strawberry',
    shape: 'round',
    plants: 6,
    reason: 'fruit',
  });
  goal(diary, stand, start, { kitchenFruits: 150 });
  for (const [i, plant] of plants.entries())
    diary.write(at(diary, '2026-07-13', 13, i), 'Oda', {
      kind: 'tallied',
      plant,
      tool: 'brush',
      flowers: 4 + (i % 3),
      truss: null,
    });
}
