import type { CropId } from '../crops';
import { ofPart, Shards, type Flower, type State } from '../ledger';
import { growing, type Planted } from '../patch';
import { addDays, daysBetween, localDateOf, type LocalDate } from '../time';
import { remembered } from '../remember';
import type { BudRecord } from './forecast';

/** What a flower's records hang on besides itself. */
interface Kind {
  readonly crop: CropId;
  readonly variety: string;
  readonly dusk: boolean;
}

interface Opened {
  readonly from: LocalDate | null;
  readonly to: LocalDate | null;
}

/**
 * Between which days a flower opened, from everything seen of it; nulls where nothing bounds it.
 * @example openedBetween(female, zone, false) // { from: '2026-07-06', to: '2026-07-06' }
 */
export function openedBetween(flower: Flower, zone: string, dusk: boolean): Opened {
  const on = (at: string) => localDateOf(Date.parse(at), zone);
  let to: LocalDate | null = null;
  let from: LocalDate | null = null;
  const noLater = (date: LocalDate) => {
    if (to === null || date < to) to = date;
  };
  const noEarlier = (date: LocalDate) => {
    if (from === null || date > from) from = date;
  };
  for (const { at } of flower.pollinations) noLater(on(at));
  for (const { at, stage } of flower.sightings) {
    if (stage === 'open') noLater(on(at));
    else if (stage === 'spent') noLater(addDays(on(at), -1));
  }
  // Seen shut in an evening, a dawn flower opens next morning at the earliest; a dusk flower may open that evening.
  for (const { at, stage } of flower.sightings)
    if (stage === 'pin' || stage === 'green' || stage === 'coloured')
      noEarlier(addDays(on(at), dusk ? 0 : 1));
  for (const { at, result } of flower.checks) {
    if (result === 'not-open')
      noEarlier(flower.pollinations.some((each) => on(each.at) === on(at)) ? on(at) : addDays(on(at), 1));
    // A closure found torn in the morning was torn by a flower that opened.
    else if (result === 'torn' && flower.pollinations.length === 0) noLater(on(at));
  }
  return { from, to };
}

/** What one flower teaches: for each day it was seen as a bud, when it opened after that. */
const ofFlower = remembered(
  'buds',
  (flower: Flower, { crop, variety, dusk }: Kind, zone: string) => ({ flower, crop, variety, zone, dusk }),
  recordsOfFlower,
);

function recordsOfFlower({
  flower,
  crop,
  variety,
  zone,
  dusk,
}: Kind & { readonly flower: Flower; readonly zone: string }): readonly BudRecord[] {
  const { from, to } = openedBetween(flower, zone, dusk);
  const records: BudRecord[] = [];
  for (const { at, stage } of flower.sightings) {
    if (stage === 'open' || stage === 'spent') continue;
    const seenOn = localDateOf(Date.parse(at), zone);
    const waited = from !== null && daysBetween(seenOn, from) > 1;
    // A bud of which nothing more is known teaches nothing, unless it kept shut longer than a day.
    if (to === null && !waited) continue;
    if (to !== null && to < seenOn) continue;
    const exact = from !== null && from === to ? to : null;
    records.push({
      stage,
      seenOn,
      openedOn: exact,
      openedFrom: from,
      openedTo: to,
      crop,
      variety,
      sex: flower.sex,
    });
  }
  return records;
}

/** Records older than this teach nothing new: what was seen counts for a few dozen buds at most. */
const REMEMBERED_DAYS = 800;

/** When the latest flower of a part was first seen: a part of bygone years is passed over whole. */
const lastSeenFirst = ofPart('last seen', (part) => {
  let latest = '';
  for (const { sightings } of part.values()) {
    const at = sightings[0]?.at ?? '';
    if (at > latest) latest = at;
  }
  return latest;
});

/** The flowers whose records still teach on `from`; all of a young log, the latest two seasons of an old one. */
export function teachingFlowers(state: State, from: LocalDate): Flower[] {
  const since = addDays(from, -REMEMBERED_DAYS);
  return Shards.of(state.flowers).parts.flatMap((part) =>
    lastSeenFirst(part) >= since
      ? [...part.values()].filter(({ sightings }) => (sightings[0]?.at ?? '') >= since)
      : [],
  );
}

/**
 * What some flowers of the grower's own log say of how long buds take. Each flower's part is worked out once.
 * @example recordsOf(state, zone, [female]).length // 1
 */
export function recordsOf(state: Planted, zone: string, flowers: readonly Flower[]): BudRecord[] {
  const records: BudRecord[] = [];
  const kinds = new Map<string, Kind | null>();
  for (const flower of flowers) {
    let kind = kinds.get(flower.plant);
    if (kind === undefined) {
      const found = growing(state, flower.plant);
      kind = found && {
        crop: found.crop.id,
        variety: found.variety.id,
        dusk: found.crop.clock.round === 'dusk',
      };
      kinds.set(flower.plant, kind);
    }
    if (!kind) continue;
    for (const record of ofFlower(flower, kind, zone)) records.push(record);
  }
  return records;
}

/** `recordsOf` the whole log. */
export function budRecords(state: State, zone: string): BudRecord[] {
  return recordsOf(state, zone, [...state.flowers.values()]);
}

/**
 * How many buds of a stage opened the very next day, of those where that is known.
 * @example openedNextDay([], 'coloured') // { opened: 0, known: 0 }
 */
export function openedNextDay(
  records: readonly BudRecord[],
  stage: BudRecord['stage'],
): { readonly opened: number; readonly known: number } {
  let opened = 0;
  let known = 0;
  for (const { stage: at, seenOn, openedOn, openedFrom, openedTo } of records) {
    if (at !== stage) continue;
    const after = (date: LocalDate | null | undefined) => (date ? daysBetween(seenOn, date) : null);
    const exact = after(openedOn);
    const least = exact ?? after(openedFrom);
    const most = after(openedTo);
    if (exact === 1) opened++;
    if (exact === 1 || (least !== null && least > 1) || (most !== null && most < 1)) known++;
  }
  return { opened, known };
}
