import { gardenDay } from '../bloom';
import { cropOf, type CropId, type FruitShape, type Stage } from '../crops';
import { emptyState, type Goal, type LedgerEvent, type State } from '../ledger';
import { mainPatch, nextPlantPlaces, type Growing } from '../patch';
import { NO_GOAL } from '../goals';
import { addDays, atLocalTime, localDateOf, type LocalDate } from '../time';
import { plantExtras } from './demoExtras';
import { writeEarlierLots } from './demoLots';
import { writeCare } from './demoCare';
import { noteSurroundings } from './demoSurroundings';
import { dawnWork, Diary, eveningWork, lookWork, loopWork } from './growers';
import { DEMO_PLACE, DEMO_SEASON_START, DEMO_SEED } from './setting';
import { budsOf, stageOn, type Bud } from './truth';

/** The first evening on which anybody wrote anything down. */
const FIRST_EVENING: LocalDate = '2026-06-18';

const PEOPLE = ['Vesna', 'Tilen', 'Oda'] as const;

const BEDS = [
  { name: 'Upper terrace', xM: 0, yM: 0, lengthM: 10, widthM: 1.6 },
  { name: 'Middle terrace', xM: 0.8, yM: 3, lengthM: 11, widthM: 1.6 },
  { name: 'Lower terrace', xM: 1.5, yM: 6.2, lengthM: 13, widthM: 2.6 },
] as const;

const STANDS: readonly { bed: number; variety: string; crop: CropId; shape: FruitShape; plants: number }[] = [
  { bed: 0, variety: "Ferryman's Lamp", crop: 'squash-moschata', shape: 'necked', plants: 7 },
  { bed: 1, variety: 'Slate Dome', crop: 'squash-maxima', shape: 'ribbed', plants: 8 },
  { bed: 2, variety: 'Long Halyard', crop: 'squash-pepo', shape: 'long', plants: 6 },
  { bed: 2, variety: 'Quiet Bell', crop: 'melon', shape: 'round', plants: 5 },
];

/**
 * The demo's ledger up to its clock's start: planting, a month of walks, rounds and looks, and last evening's
 * flowers shut and waiting. The same seed gives the same bytes. `onProgress` gets the share done, 0..1.
 */
export function demoLog(seed: number = DEMO_SEED, onProgress?: (share: number) => void): LedgerEvent[] {
  const diary = new Diary(emptyState(), seed, DEMO_SEASON_START, 'season');
  plantPatch(diary);
  const days = 26;
  for (let i = 0; i < days; i++) {
    const date = addDays(FIRST_EVENING, i);
    const by = PEOPLE[i % PEOPLE.length] as string;
    if (i > 0) {
      dawnWork(diary, date, PEOPLE[(i + 2) % PEOPLE.length] as string);
      lookWork(diary, date, by);
      loopWork(diary, date, by);
    }
    eveningWork(diary, date, by);
    onProgress?.((i + 1) / days);
  }
  setGoals(diary);
  const patch = mainPatch(diary.state);
  if (patch) {
    plantExtras(diary, patch.id, DEMO_SEASON_START);
    noteSurroundings(diary, patch.id, DEMO_SEASON_START);
    writeEarlierLots(diary, patch.id);
    writeCare(diary);
  }
  return diary.events;
}

/** What the seed circle wants of each stand, said once at the season's start. */
const GOALS: Readonly<Record<string, Partial<Goal>>> = {
  "Ferryman's Lamp": { seed: { amount: 9000, unit: 'seeds' }, mothers: 7, fathers: 7, precious: 'rare' },
  'Slate Dome': { seed: { amount: 900, unit: 'grams' }, mothers: 8, fathers: 6 },
  'Long Halyard': { seed: { amount: 1500, unit: 'seeds' }, mothers: 6, fathers: 6, kitchenFruits: 12 },
  'Quiet Bell': { seed: { amount: 110, unit: 'grams' }, mothers: 4, by: '2026-09-01' },
};

function setGoals(diary: Diary): void {
  let time = atLocalTime(DEMO_SEASON_START, 20, 0, DEMO_PLACE.zone);
  for (const stand of diary.state.stands.values()) {
    const goal = GOALS[diary.state.varieties.get(stand.variety)?.name ?? ''];
    if (goal)
      diary.write((time += 60_000), 'Vesna', {
        kind: 'goalSet',
        stand: stand.id,
        goal: { ...NO_GOAL, ...goal },
      });
  }
}

function plantPatch(diary: Diary): void {
  let time = atLocalTime(DEMO_SEASON_START, 9, 0, DEMO_PLACE.zone);
  const next = () => (time += 60_000);
  const by = 'Vesna';
  const patch = diary.subject('patch', time);
  diary.write(next(), by, { kind: 'patchBegun', patch, name: 'Hollin Terraces' });
  diary.write(next(), by, { kind: 'placeSet', patch, place: DEMO_PLACE });
  const beds = BEDS.map((bed) => {
    const id = diary.subject('bed', time);
    diary.write(next(), by, { kind: 'bedAdded', bed: id, patch, ...bed });
    return { id, ...bed };
  });
  const standing = new Map<string, { xM: number; yM: number }[]>();
  for (const { bed: index, variety: name, crop, shape, plants } of STANDS) {
    const bed = beds[index] as (typeof beds)[number];
    const variety = diary.subject('variety', time);
    const stand = diary.subject('stand', time);
    diary.write(next(), by, { kind: 'varietyAdded', variety, patch, name, crop, shape });
    diary.write(next(), by, { kind: 'standAdded', stand, bed: bed.id, variety, reason: 'seed' });
    const before = standing.get(bed.id) ?? [];
    const places = nextPlantPlaces(bed, before, plants, cropOf(crop));
    standing.set(bed.id, [...before, ...places]);
    for (const [i, position] of places.entries()) {
      const plant = diary.subject('plant', time);
      diary.write(next(), by, {
        kind: 'plantAdded',
        plant,
        stand,
        label: String(i + 1),
        ...position,
        plantedOn: DEMO_SEASON_START,
      });
    }
  }
}

/**
 * What the others do while the demo clock moves from one moment to another: they finish a round left undone,
 * look at fruit, and walk in the evening. What the visitor already did stays as it is. Events in time order.
 */
export function demoMeanwhile(
  state: State,
  from: number,
  to: number,
  seed: number = DEMO_SEED,
): LedgerEvent[] {
  const place = mainPatch(state)?.place;
  if (!place || to <= from) return [];
  const diary = new Diary(state, seed, DEMO_SEASON_START, `meanwhile/${from}/${to}`);
  const lastDate = localDateOf(to, place.zone);
  for (let date = localDateOf(from, place.zone), i = 0; date <= lastDate; date = addDays(date, 1), i++) {
    const day = gardenDay(place, date);
    const by = PEOPLE[i % PEOPLE.length] as string;
    const passes = (time: number) => from < time && time <= to;
    // The others come after the visitor: each part of the day is theirs only once its time has gone by.
    if (passes(day.insectsFrom + 30 * 60_000)) dawnWork(diary, date, by);
    if (passes(day.sunrise + 240 * 60_000)) {
      lookWork(diary, date, by);
      loopWork(diary, date, by);
    }
    if (passes(day.lastLight)) eveningWork(diary, date, by);
  }
  return diary.events.filter(({ at }) => Date.parse(at) <= to);
}

/** A bud as the virtual grower sees it. */
export interface SeenBud extends Bud {
  readonly stage: Stage;
}

/** What a visitor would see on a plant of the demo patch on the evening (or morning) of `date`, in node order. */
export function budsInSight(each: Growing, date: LocalDate, seed: number = DEMO_SEED): SeenBud[] {
  return budsOf(seed, each, DEMO_SEASON_START).flatMap((bud) => {
    const stage = stageOn(bud, date);
    return stage === null || stage === 'spent' ? [] : [{ ...bud, stage }];
  });
}
