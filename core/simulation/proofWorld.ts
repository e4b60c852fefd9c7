import { gardenDay } from '../bloom';
import type { FlowerId, PlantId } from '../ids';
import type { CheckResult, Draft, Flower } from '../ledger';
import { gradeProof, proofOf, type Grade, type ProofChain, type Share } from '../purity';
import { seededRandom, type Random } from '../random';
import { TestGarden, type Planted } from '../testGarden';
import { addDays } from '../time';
import { HABITS, type Grower, type Grown, type Habit } from './proofPeople';
import { openMorning, Stigma } from './stigma';

// People who work flowers, write down some of it, and are not always right; what truly happened is known here, minute by minute. All
// numbers are invented and stand in none of the grader's. For benches and tests only.

/** A fruit of this world: its proof as the grader has it, and what share of its seed truly had a foreign father. */
export interface WorldFruit {
  readonly grown: Grown;
  readonly grower: Grower;
  readonly chain: ProofChain;
  readonly grade: Grade;
  readonly likely: number;
  readonly high: number;
  readonly truth: number;
}

const MINUTE = 60_000;
const CROP = { squash: 'squash-maxima', corn: 'corn', tomato: 'tomato' } as const;
const DAWN = '2026-07-14';
const LOOKED_OVER = '2026-10-01';

/** One flower's story: what happens to it, and what is written of it. */
class Story {
  readonly stigma: Stigma;
  readonly sunrise: number;
  readonly opens: number;
  readonly insects: number;
  readonly closes: number;
  /** The fruit that was picked is another one. */
  swapped = false;

  constructor(
    readonly garden: TestGarden,
    readonly random: Random,
    readonly habit: Habit,
    strange: number,
  ) {
    this.stigma = new Stigma(random, strange);
    this.sunrise = gardenDay(garden.place, DAWN).sunrise;
    this.opens = this.sunrise + (-35 + 40 * random()) * MINUTE;
    this.insects = this.sunrise + (40 + 50 * random()) * MINUTE;
    this.closes = this.sunrise + (270 + 60 * random()) * MINUTE;
  }

  does(chance: number): boolean {
    return this.random() < chance;
  }

  /** Insects at an open flower from one time to another, some twelve an hour. */
  visited(from: number, to: number, anHour = 12): void {
    const begin = Math.max(from, this.opens, this.insects);
    const end = Math.min(to, this.closes);
    if (end <= begin) return;
    const many = Math.round(((end - begin) / (60 * MINUTE)) * anHour * 2 * this.random());
    this.stigma.visited(many, this.minute(begin), this.minute(end));
  }

  minute(at: number): number {
    return (at - this.opens) / MINUTE;
  }

  write(at: number, draft: Draft, written = at): void {
    this.garden.write(at, draft, 'Oda', written);
  }

  check(at: number, flower: FlowerId, result: CheckResult): void {
    this.write(at, { kind: 'closureChecked', flower, result });
  }

  /** The mark: on at once or days later, where now and then it goes on the wrong one; read when it is picked, or not. */
  markAndPick(flower: FlowerId, at: number, mark: string): void {
    const late = this.does(this.habit.marksLate);
    this.write(late ? at + 5 * 24 * 60 * MINUTE : at + MINUTE, { kind: 'marked', flower, mark });
    const reads = this.does(this.habit.readsMark);
    if (this.does((late ? 0.04 : 0.0005) + (reads ? 0.0005 : 0.03))) this.swapped = true;
    this.write(this.garden.time(LOOKED_OVER, 9), {
      kind: 'harvested',
      flower,
      harvestFor: 'seed',
      weightG: null,
      ...(reads ? { markRead: true } : {}),
    });
  }
}

const evening = (story: Story, hour = 19) => story.garden.time(addDays(DAWN, -1), hour);

/** Squash: shut in the evening or too late, a closure that holds or does not, males, bees, hands, shut again, looked at next day. */
function squash(story: Story, [mother, father]: readonly [PlantId, PlantId], strange: number): FlowerId {
  const { garden, habit, random } = story;
  const late = story.does(habit.late);
  const shutAt = late ? Math.round(story.sunrise + 150 * MINUTE * random()) : evening(story);
  const open = shutAt > story.opens;
  const flower = garden.ids.subject('flower', shutAt);
  const seenOpen = open && story.does(0.5);
  const seen = { kind: 'flowerSeen', flower, plant: mother, sex: 'female', node: null } as const;
  story.write(shutAt, { ...seen, stage: seenOpen ? 'open' : 'coloured' });
  story.write(shutAt, {
    kind: 'flowerShut',
    flower,
    closure: 'tape',
    ...(late && !open && story.does(habit.tells) ? { stillShut: true } : {}),
  });
  if (open) story.visited(story.opens, shutAt);
  const workedAt = Math.max(shutAt + 5 * MINUTE, story.sunrise + (-10 + 110 * random()) * MINUTE);
  // Torn at dawn by the flower itself, or let go by a loose top.
  const torn = story.does(0.06);
  const looked = story.does(habit.looks);
  if (torn) story.visited(story.opens, workedAt);
  if (looked) story.check(workedAt - MINUTE, flower, torn && story.does(0.97) ? 'torn' : 'whole');
  const male = garden.shut(addDays(DAWN, -1), father, 'male');
  const maleTorn = story.does(0.05);
  const maleLooked = story.does(habit.looks);
  const bad = maleTorn && !(maleLooked && story.does(0.95));
  if (maleLooked) story.check(workedAt - 2 * MINUTE, male, 'whole');
  const dirty = story.does(habit.dirty);
  // One of three males was of a plant that is not true: nobody sees that in a flower.
  const untrue = story.does(0.004);
  const foreign =
    (bad ? strange * 0.4 * random() : 0) + (dirty ? 0.02 + 0.1 * random() : 0) + (untrue ? 0.4 : 0);
  story.stigma.lands(900 * (0.5 + random()), Math.min(1, foreign), story.minute(workedAt));
  const bee = workedAt > story.insects && story.does(0.06);
  if (bee) story.stigma.visited(1, story.minute(workedAt), story.minute(workedAt) + 1);
  const left = story.does(habit.leavesOpen);
  const gaveWay = !left && story.does(0.03);
  if (left) story.visited(workedAt, story.closes);
  if (gaveWay) story.visited(workedAt + 40 * MINUTE, story.closes, 6);
  worked(story, flower, [{ plant: father, males: 1, flowers: [male] }], workedAt, { bee, dirty, left });
  if (story.does(habit.looks))
    story.check(
      garden.time(addDays(DAWN, 1), 8),
      flower,
      (gaveWay || left) && story.does(0.95) ? 'torn' : 'whole',
    );
  return flower;
}

/** What is written of the work itself, at once or from memory; people mostly notice what went wrong. */
function worked(
  story: Story,
  flower: FlowerId,
  fathers: Extract<Draft, { kind: 'pollinated' }>['fathers'],
  at: number,
  went: { readonly bee: boolean; readonly dirty: boolean; readonly left: boolean },
  closure: 'tape' | 'tassel-bag' = 'tape',
): void {
  const { garden, habit } = story;
  const said = {
    beeIn: went.bee && story.does(0.9),
    // Pollen of another variety on the brush is seen less often.
    clean: !(went.dirty && story.does(0.5)),
    shutAgain: went.left ? null : closure,
  };
  const tells = story.does(habit.tells);
  const shut = tells || story.does(0.5);
  story.write(at, {
    kind: 'pollinated',
    flower,
    fathers,
    purpose: 'seed',
    ...(tells ? { beeIn: said.beeIn, clean: said.clean } : {}),
    ...(shut ? { shutAgain: said.shutAgain } : {}),
  });
  if (tells || !story.does(habit.fromMemory)) return;
  const visit = garden.state.flowers.get(flower)?.pollinations[0];
  if (!visit) return;
  // Weeks later half of what went wrong is forgotten.
  const remembered = { beeIn: said.beeIn && story.does(0.5), clean: said.clean || story.does(0.5) };
  story.write(garden.time('2026-08-05', 20), {
    kind: 'corrected',
    subject: flower,
    target: visit.event,
    changes: remembered,
  });
}

/** Corn: the shoot bagged before its silk or after, the tassel's bag of the afternoon or of the morning, the pour, the bag until the silk is brown. */
function corn(story: Story, [mother, father]: readonly [PlantId, PlantId], strange: number): FlowerId {
  const { garden, habit, random } = story;
  const late = story.does(habit.late / 2);
  const bagged = garden.time(addDays(DAWN, -5), 9);
  const flower = garden.ids.subject('flower', bagged);
  const seenSilk = late && story.does(0.7);
  const seen = { kind: 'flowerSeen', flower, plant: mother, sex: 'female', node: null } as const;
  story.write(bagged, { ...seen, stage: seenSilk ? 'open' : 'green' });
  story.write(bagged, { kind: 'flowerShut', flower, closure: 'shoot-bag' });
  // Silk that was out for some hours took what the wind brought.
  let foreign = late ? strange * (0.2 + 0.6 * random()) : 0;
  const mix = (share: number, part: number) => (foreign += (1 - foreign) * part * share);
  story.write(garden.time(addDays(DAWN, -1), 9), { ...seen, stage: 'open' });
  const poured = garden.time(DAWN, 9, 30);
  const sameDay = story.does(habit.late / 2);
  const tassel = garden.see(garden.time(addDays(DAWN, -1), 10), father, 'male', 'open');
  story.write(sameDay ? garden.time(DAWN, 8) : evening(story, 16), {
    kind: 'flowerShut',
    flower: tassel,
    closure: 'tassel-bag',
  });
  if (sameDay) mix(strange, 0.5);
  for (const each of [flower, tassel]) {
    const torn = story.does(0.04);
    if (torn) mix(strange, 0.3 * random() + 0.2);
    if (story.does(habit.looks))
      story.check(poured - MINUTE, each, torn && story.does(0.95) ? 'torn' : 'whole');
  }
  mix(strange, 0.01 * random());
  const dirty = story.does(habit.dirty / 2);
  if (dirty) mix(1, 0.02 + 0.05 * random());
  const left = story.does(habit.leavesOpen / 2);
  if (left) mix(strange, 0.3);
  const gone = !left && story.does(0.05);
  if (gone) mix(strange, 0.1 * random());
  worked(
    story,
    flower,
    [{ plant: father, males: 1, flowers: [tassel] }],
    poured,
    { bee: false, dirty, left },
    'tassel-bag',
  );
  if (story.does(habit.looks))
    story.check(garden.time(addDays(DAWN, 8), 9), flower, gone && story.does(0.95) ? 'torn' : 'whole');
  story.stigma.lands(1, foreign, 0);
  return flower;
}

/** A tomato truss in its bag: shaken inside, its bag whole or not when fruits stand. What flies about reaches few of its stigmas. */
function tomato(story: Story, [mother]: readonly [PlantId, PlantId], strange: number): FlowerId {
  const { garden, habit, random } = story;
  const late = story.does(habit.late);
  const bagged = late ? garden.time(DAWN, 8) : evening(story, 18);
  const flower = garden.ids.subject('flower', bagged);
  const seen = { kind: 'flowerSeen', flower, plant: mother, sex: 'perfect', node: null } as const;
  const seenOpen = late && story.does(0.5);
  story.write(bagged, { ...seen, stage: seenOpen ? 'open' : 'coloured' });
  story.write(bagged, { kind: 'flowerShut', flower, closure: 'mesh-bag' });
  let foreign = late ? strange * random() : 0;
  const torn = story.does(0.05);
  if (torn) foreign += (1 - foreign) * strange * random();
  for (const day of [DAWN, addDays(DAWN, 1)]) {
    const at = garden.time(day, 11);
    if (story.does(habit.looks)) story.check(at, flower, torn && story.does(0.9) ? 'torn' : 'whole');
    story.write(at, {
      kind: 'pollinated',
      flower,
      fathers: [],
      purpose: 'seed',
      ...(story.does(habit.tells) ? { shutAgain: 'mesh-bag', beeIn: false } : {}),
    });
  }
  const off = garden.time(addDays(DAWN, 10), 9);
  if (story.does(habit.looks)) story.check(off, flower, torn && story.does(0.95) ? 'torn' : 'whole');
  story.write(off, { kind: 'coverOff', flower });
  story.stigma.lands(1, foreign, 0);
  return flower;
}

const TELL = { squash, corn, tomato } as const;
const FRUITS_A_GARDEN = 10;

/** Ten fruits of one garden and one person, with what flies about there, which the plan knows to within four times either way. */
export function worldFruits(seed: number, grown: Grown, grower: Grower): WorldFruit[] {
  const random = seededRandom(seed);
  const garden = new TestGarden(undefined, '2026-05-20', seed);
  // A tomato's cone lets little in: what flies about counts less for it, in truth and in the plan's reckoning.
  const strange = (grown === 'tomato' ? 0.3 : 1) * 0.004 * 90 ** random();
  const odds = strange / (1 - strange);
  const wrong = odds * 4 ** (2 * random() - 1);
  const share = (of: number) => of / (1 + of);
  const pressure: Share = { low: share(wrong / 4), likely: share(wrong), high: share(wrong * 4) };
  const planted: Planted = garden.plant(CROP[grown], 'Slate Dome', 2);
  const [mother, father] = planted.plants as [PlantId, PlantId];
  return Array.from({ length: FRUITS_A_GARDEN }, (_, i): WorldFruit => {
    const story = new Story(garden, random, HABITS[grower], strange);
    const flower = TELL[grown](story, [mother, father], strange);
    const at = grown === 'tomato' ? garden.time(addDays(DAWN, 10), 9) : garden.time(DAWN, 10);
    story.markAndPick(flower, at, `1-${String.fromCharCode(65 + i)}`);
    const chain = proofOf(
      garden.state.flowers.get(flower) as Flower,
      garden.state,
      addDays(LOOKED_OVER, 1),
      pressure,
    );
    const { grade, foreignShare } = gradeProof(chain);
    const own = story.stigma.share ?? 0;
    const truth = story.swapped ? openMorning(random, strange) : own;
    return { grown, grower, chain, grade, likely: foreignShare.likely, high: foreignShare.high, truth };
  });
}
