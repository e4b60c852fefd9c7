import { gardenDay, shutMales } from '../bloom';
import { fateOf, workedOn } from '../fruitset';
import { idMaker, type FlowerId, type IdByKind, type PlantId, type SubjectKind } from '../ids';
import {
  apply,
  SCHEMA_VERSION,
  type AnyEvent,
  type Draft,
  type Flower,
  type LedgerEvent,
  type Place,
  type State,
} from '../ledger';
import { mainPatch, walkOrder, type Growing } from '../patch';
import { hashText, seededRandom, type Random } from '../random';
import { loopsDue, nextMarkIn } from '../purity';
import { fathersFor, looksDue, stopsOf, suggestFathers } from '../rounds';
import { addDays, daysBetween, toInstant, type LocalDate } from '../time';
import { DEMO_DEVICE } from './setting';
import { budsOf, closureAtDawn, lookOn, outcomeOf, sizeOn, stageOn } from './truth';

const MINUTE = 60_000;

/** A ledger being written by simulated people, moment by moment. */
export class Diary {
  readonly events: LedgerEvent[] = [];
  readonly random: Random;
  private readonly ids;

  constructor(
    public state: State,
    readonly seed: number,
    readonly seasonStart: LocalDate,
    salt: string,
  ) {
    this.random = seededRandom(hashText(`${seed}/${salt}`));
    this.ids = idMaker(this.random);
  }

  write(atMs: number, by: string, draft: Draft): LedgerEvent {
    const at = Math.round(atMs);
    const event = {
      id: this.ids.event(at),
      v: SCHEMA_VERSION,
      at: toInstant(at),
      by,
      device: DEMO_DEVICE,
      ...draft,
    } as LedgerEvent;
    this.events.push(event);
    this.state = apply(this.state, event as AnyEvent);
    return event;
  }

  subject<Kind extends SubjectKind>(kind: Kind, atMs: number): IdByKind[Kind] {
    return this.ids.subject(kind, Math.round(atMs));
  }

  get place(): Place {
    return mainPatch(this.state)?.place as Place;
  }

  /** Seconds between two acts of a practised person. */
  pause(least = 20, most = 70): number {
    return (least + this.random() * (most - least)) * 1000;
  }
}

function flowerAt(state: State, plant: PlantId, node: number): Flower | null {
  for (const id of state.flowersOf.get(plant) ?? []) {
    const flower = state.flowers.get(id);
    if (flower?.node === node) return flower;
  }
  return null;
}

/** One person going round in the evening: what is written, and when. */
interface Walk {
  readonly diary: Diary;
  readonly by: string;
  readonly date: LocalDate;
  time: number;
}

/** One evening's walk: every plant looked over, females due tomorrow shut, males shut for them. */
export function eveningWork(diary: Diary, date: LocalDate, by: string): void {
  const walk: Walk = { diary, by, date, time: gardenDay(diary.place, date).sunset - 80 * MINUTE };
  const females = new Map<string, number>();
  // Corn, crosses and the kitchen have walks of their own.
  const plants = walkOrder(diary.state).filter(({ crop }) => crop.family === 'cucurbit');
  for (const growing of plants) {
    const shut = lookOver(walk, growing);
    if (shut > 0) females.set(growing.variety.id, (females.get(growing.variety.id) ?? 0) + shut);
  }
  shutMalesFor(diary, date, plants, females, (growing, node, sex) => shutFlower(walk, growing, node, sex));
}

/** Shuts a flower that opens tomorrow; false where it is shut already. */
function shutFlower(walk: Walk, growing: Growing, node: number, sex: 'female' | 'male'): boolean {
  const { diary, by } = walk;
  const known = sex === 'female' ? flowerAt(diary.state, growing.plant.id, node) : null;
  if (known && known.shuttings.length > 0) return false;
  const flower = known?.id ?? diary.subject('flower', walk.time);
  diary.write((walk.time += diary.pause()), by, {
    kind: 'flowerSeen',
    flower,
    plant: growing.plant.id,
    sex,
    stage: 'coloured',
    node,
  });
  diary.write((walk.time += diary.pause(8, 25)), by, {
    kind: 'flowerShut',
    flower,
    closure: growing.crop.id === 'melon' ? 'mesh-bag' : 'tape',
  });
  return true;
}

/** One plant: its health, its buds, its males counted now and then. Gives the females shut on it. */
function lookOver(walk: Walk, growing: Growing): number {
  const { diary, by, date } = walk;
  const plant = growing.plant.id;
  if (growing.plant.health === null) {
    const health = diary.random() < 0.08 ? 'doubtful' : 'healthy';
    diary.write((walk.time += diary.pause()), by, { kind: 'plantChecked', plant, health });
  }
  let males = 0;
  let shut = 0;
  for (const bud of budsOf(diary.seed, growing, diary.seasonStart)) {
    const stage = stageOn(bud, date);
    if (bud.sex === 'male' && stage === 'coloured') males += bud.count;
    if (bud.sex !== 'female' || stage === null) continue;
    if (stage === 'coloured' && shutFlower(walk, growing, bud.node, 'female')) shut++;
    else if (stage === 'green' && diary.random() < 0.5 && !flowerAt(diary.state, plant, bud.node)) {
      const flower = diary.subject('flower', walk.time);
      diary.write((walk.time += diary.pause()), by, {
        kind: 'flowerSeen',
        flower,
        plant,
        sex: 'female',
        stage,
        node: bud.node,
      });
    }
  }
  if (males > 0 && diary.random() < 0.2)
    diary.write((walk.time += diary.pause()), by, {
      kind: 'malesCounted',
      plant,
      stage: 'coloured',
      count: males,
    });
  return shut;
}

/** Two males and one spare for each female, spread over the plants of the variety; those shut already count. */
function shutMalesFor(
  diary: Diary,
  date: LocalDate,
  plants: readonly Growing[],
  females: ReadonlyMap<string, number>,
  shut: (growing: Growing, node: number, sex: 'male') => boolean,
): void {
  const { zone } = diary.place;
  for (const [variety, count] of females) {
    const fathers = plants.filter((growing) => growing.variety.id === variety);
    const already = fathers.reduce(
      (sum, growing) => sum + shutMales(diary.state, growing, addDays(date, 1), zone).length,
      0,
    );
    let wanted = count * 2 + 1 - already;
    for (let perPlant = 0; perPlant < 4; perPlant++) {
      for (const growing of fathers) {
        const ready = budsOf(diary.seed, growing, diary.seasonStart).flatMap((bud) =>
          bud.sex === 'male' && stageOn(bud, date) === 'coloured'
            ? Array.from({ length: bud.count }, () => bud)
            : [],
        );
        const bud = ready[perPlant];
        if (bud && wanted > 0 && shut(growing, bud.node, 'male')) wanted--;
      }
    }
  }
}

/** The round of one morning: what is still to do is checked, worked, shut again and marked. */
export function dawnWork(diary: Diary, date: LocalDate, by: string): void {
  const { zone } = diary.place;
  const day = gardenDay(diary.place, date);
  let time = day.sunrise - 10 * MINUTE;
  for (const stop of stopsOf(diary.state, date, zone, 'dawn')) {
    if (stop.state !== 'to-do' && stop.state !== 'later') continue;
    const { flower, growing } = stop;
    // Small flowers open later; the round comes back for them.
    const at = growing.crop.id === 'melon' ? Math.max(time, day.sunrise + 85 * MINUTE) : time;
    time = at + diary.pause(100, 190);
    const found = closureAtDawn(diary.seed, flower, growing, date);
    diary.write(time, by, { kind: 'closureChecked', flower: flower.id, result: found });
    if (found === 'gone')
      diary.write(time + 5000, by, { kind: 'lost', flower: flower.id, cause: 'knocked-off' });
    if (found !== 'whole') continue;
    const wanted = diary.random() < 0.25 ? 1 : 2;
    const offers = fathersFor(diary.state, stop, date, zone, 'others-first');
    const chosen = suggestFathers(offers, wanted);
    if (chosen.size === 0) continue;
    const fathers = offers.flatMap(({ growing: father, free }) => {
      const males = chosen.get(father.plant.id) ?? 0;
      return males > 0 ? [{ plant: father.plant.id, males, flowers: free.slice(0, males) }] : [];
    });
    const closure = growing.crop.id === 'melon' ? 'mesh-bag' : 'tape';
    diary.write((time += diary.pause(30, 60)), by, {
      kind: 'pollinated',
      flower: flower.id,
      fathers,
      tool: growing.crop.id === 'melon' ? 'brush' : 'male-flower',
      shutAgain: closure,
      purpose: 'seed',
      ...saidOfTheWork(flower.id),
    });
    const mark = nextMarkIn(diary.state);
    diary.write((time += diary.pause(10, 30)), by, { kind: 'marked', flower: flower.id, mark });
  }
}

/** Three times out of four somebody says that hands were clean and no bee came; in a hurry, nobody does. */
function saidOfTheWork(flower: FlowerId) {
  return hashText(`said/${flower}`) % 4 === 0 ? {} : { clean: true, beeIn: false };
}

/** Looks that are due, after breakfast, the verdicts first; a busy grower leaves some for another day. */
export function lookWork(diary: Diary, date: LocalDate, by: string): void {
  const { zone } = diary.place;
  let time = gardenDay(diary.place, date).sunrise + 200 * MINUTE;
  const owed = [...looksDue(diary.state, zone, date)].sort(
    (a, b) =>
      Number(b.due.verdict) - Number(a.due.verdict) ||
      b.due.day - a.due.day ||
      (a.flower.id < b.flower.id ? -1 : 1),
  );
  for (const { flower, growing, due } of owed) {
    if (diary.random() < 0.15) continue;
    time += diary.pause();
    const outcome = trueOutcome(diary.state, diary.seed, flower, growing, zone);
    const result = lookOn(diary.seed, flower, growing, outcome, due.day);
    const sizeMm = result === 'growing' && due.day >= 5 ? sizeOn(growing.crop, due.day) : null;
    const markRead = result === 'growing' && flower.mark !== null ? { markRead: true } : {};
    diary.write(time, by, { kind: 'lookedAt', flower: flower.id, result, sizeMm, ...markRead });
    if (result === 'yellowing' || result === 'gone') {
      diary.write(time + 4000, by, { kind: 'lost', flower: flower.id, cause: outcome.cause });
    } else if (result === 'growing' && due.verdict && flower.coverOffAt === null) {
      diary.write(time + 4000, by, { kind: 'coverOff', flower: flower.id });
    }
  }
}

/** Loops that are due, on the same walk: the mark of what grows is read. */
export function loopWork(diary: Diary, date: LocalDate, by: string): void {
  const { zone } = diary.place;
  let time = gardenDay(diary.place, date).sunrise + 280 * MINUTE;
  for (const { flower, growing } of loopsDue(diary.state, zone, date)) {
    const outcome = trueOutcome(diary.state, diary.seed, flower, growing, zone);
    const day = daysBetween(workedOn(flower, zone) as LocalDate, date);
    if (lookOn(diary.seed, flower, growing, outcome, day) !== 'growing') continue;
    time += MINUTE;
    diary.write(time, by, {
      kind: 'lookedAt',
      flower: flower.id,
      result: 'growing',
      sizeMm: null,
      markRead: true,
    });
  }
}

/** How a worked flower really ended up, given the fruit its plant carried when it was worked. */
export function trueOutcome(state: State, seed: number, flower: Flower, growing: Growing, zone: string) {
  const date = workedOn(flower, zone) as LocalDate;
  const load = (state.flowersOf.get(growing.plant.id) ?? []).filter((id) => {
    const other = state.flowers.get(id);
    if (!other || other.id === flower.id || fateOf(other, growing.crop, zone, date) !== 'set') return false;
    return daysBetween(workedOn(other, zone) as LocalDate, date) > 0;
  }).length;
  return outcomeOf(seed, flower, growing, date, load);
}
