import type { BedId, FlowerId, LotId, PatchId, PlantId, StandId, VarietyId } from '../ids';
import { atLocalTime, type LocalDate } from '../time';
import type { Diary } from './growers';

/** The variety whose two earlier seasons are on record. */
const KEPT = 'Slate Dome';

/**
 * Two earlier seasons of one variety, from the lot it was given as to the one that this year's stand was sown from; and what the
 * other varieties came as. Written after all else, so that the season of the demo stays as it is.
 */
export function writeEarlierLots(diary: Diary, patch: PatchId): void {
  const variety = [...diary.state.varieties.values()].find(({ name }) => name === KEPT)?.id;
  if (variety === undefined) return;
  const begun = time(diary, '2024-04-02', 18);
  const bed = diary.subject('bed', begun);
  diary.write(begun, 'Vesna', {
    kind: 'bedAdded',
    bed,
    patch,
    name: 'Far terrace',
    xM: 12,
    yM: 0,
    lengthM: 4.4,
    widthM: 1.6,
  });
  const given = lotFrom(diary, patch, variety, 2023, 'given', 'a handful from the seed circle’s swap');
  const first = season(diary, patch, variety, bed, 2024, 3, given);
  const second = season(diary, patch, variety, bed, 2025, 4, first);
  growOut(diary, first);
  const stand = [...diary.state.stands.values()].find((each) => each.variety === variety && each.bed !== bed);
  if (stand) sow(diary, stand.id, second, '2026-05-16');
  others(diary, patch);
}

const time = (diary: Diary, date: LocalDate, hour: number, minute = 0) =>
  atLocalTime(date, hour, minute, diary.place.zone);

function lotFrom(
  diary: Diary,
  patch: PatchId,
  variety: VarietyId,
  year: number,
  from: 'bought' | 'given' | 'fruits',
  note: string,
  fruits: readonly FlowerId[] = [],
): LotId {
  const at = time(diary, `${year}-11-20`, 17);
  const lot = diary.subject('lot', at);
  diary.write(at, 'Vesna', { kind: 'lotBegun', lot, patch, variety, from, fruits, year, note });
  return lot;
}

function sow(diary: Diary, stand: StandId, lot: LotId, date: LocalDate): void {
  diary.write(time(diary, date, 9, 50), 'Vesna', { kind: 'sownFrom', subject: stand, lot, fruit: null });
}

/** A season of a few plants, each with the pollen of the next, and the lot that came of it. */
function season(
  diary: Diary,
  patch: PatchId,
  variety: VarietyId,
  bed: BedId,
  year: number,
  count: number,
  from: LotId,
): LotId {
  const planted: LocalDate = `${year}-05-18`;
  const at = time(diary, planted, 9);
  const stand = diary.subject('stand', at);
  diary.write(at, 'Vesna', { kind: 'standAdded', stand, bed, variety, reason: 'seed' });
  const plants = Array.from({ length: count }, (_, i) => {
    const plant = diary.subject('plant', at);
    diary.write(at + 60_000 * (i + 1), 'Vesna', {
      kind: 'plantAdded',
      plant,
      stand,
      label: `${year % 100}/${i + 1}`,
      xM: 12.6 + i,
      yM: 0.8,
      plantedOn: planted,
    });
    return plant;
  });
  sow(diary, stand, from, planted);
  const fruits = plants.map((mother, i) => {
    const father = plants[(i + 1) % plants.length] as PlantId;
    return fruitOf(
      diary,
      mother,
      father,
      `${year}-07-${String(8 + i).padStart(2, '0')}`,
      `${year % 100}-${'ABCD'[i] ?? 'X'}`,
    );
  });
  for (const [i, plant] of plants.entries())
    diary.write(time(diary, `${year}-10-12`, 11, i), 'Tilen', { kind: 'plantRemoved', plant });
  return lotFrom(diary, patch, variety, year, 'fruits', '', fruits);
}

/** One fruit from its bud to the day it was picked, all of it seen. */
function fruitOf(diary: Diary, mother: PlantId, father: PlantId, evening: LocalDate, mark: string): FlowerId {
  const dusk = time(diary, evening, 19);
  const year = evening.slice(0, 4);
  const write = (at: number, draft: Parameters<Diary['write']>[2]) => diary.write(at, 'Vesna', draft);
  const bud = (plant: PlantId, sex: 'female' | 'male', minute: number) => {
    const flower = diary.subject('flower', dusk);
    write(dusk + minute * 60_000, {
      kind: 'flowerSeen',
      flower,
      plant,
      sex,
      stage: 'coloured',
      node: 11 + minute,
    });
    write(dusk + (minute + 1) * 60_000, { kind: 'flowerShut', flower, closure: 'tape' });
    return flower;
  };
  const [female, male] = [bud(mother, 'female', 0), bud(father, 'male', 2)];
  const dawn = dusk + 10.5 * 3_600_000;
  write(dawn, { kind: 'closureChecked', flower: male, result: 'whole' });
  write(dawn + 60_000, { kind: 'closureChecked', flower: female, result: 'whole' });
  write(dawn + 120_000, {
    kind: 'pollinated',
    flower: female,
    fathers: [{ plant: father, males: 1, flowers: [male] }],
    tool: 'male-flower',
    shutAgain: 'tape',
    purpose: 'seed',
    beeIn: false,
    clean: true,
  });
  write(dawn + 180_000, { kind: 'marked', flower: female, mark });
  write(dawn + 24 * 3_600_000, { kind: 'closureChecked', flower: female, result: 'whole' });
  for (const [days, sizeMm] of [
    [8, 90],
    [21, 240],
  ] as const)
    write(dawn + days * 86_400_000, {
      kind: 'lookedAt',
      flower: female,
      result: 'growing',
      sizeMm,
      markRead: true,
    });
  write(time(diary, `${year}-09-28`, 16), {
    kind: 'harvested',
    flower: female,
    harvestFor: 'seed',
    weightG: null,
    markRead: true,
  });
  return female;
}

/** Forty seedlings of the first lot, looked over in leaf: none off. */
function growOut(diary: Diary, lot: LotId): void {
  diary.write(time(diary, '2025-06-20', 18), 'Oda', {
    kind: 'grownOut',
    lot,
    fruit: null,
    stage: 'leaf',
    grown: 40,
    off: [],
  });
}

/** What the other varieties came as. */
function others(diary: Diary, patch: PatchId): void {
  for (const [name, year, from, note] of [
    ["Ferryman's Lamp", 2024, 'given', 'from an old gardener down the valley; the only seed there is'],
    ['Weir Copper', 2025, 'bought', 'one packet, 60 kernels'],
  ] as const) {
    const variety = [...diary.state.varieties.values()].find((each) => each.name === name)?.id;
    if (variety === undefined) continue;
    const lot = lotFrom(diary, patch, variety, year, from, note);
    for (const stand of diary.state.stands.values())
      if (stand.variety === variety) sow(diary, stand.id, lot, '2026-05-16');
  }
}
