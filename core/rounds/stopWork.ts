import type { Closure, Tool } from '../crops';
import type { CheckResult, Draft, Father, LossCause, Purpose } from '../ledger';
import { isWhole } from '../bloom';
import { reasonFor } from '../patch';
import type { FatherOffer, Stop } from './stops';

/** How a flower of the round was found: its closure, or that it had shut again by itself. */
export type Found = CheckResult | 'already-shut';

/** What was answered at one flower of a round, tile by tile. `null`: not answered, and so not recorded. */
export interface StopAnswers {
  readonly found: Found | null;
  /** Whether it is worked for the kitchen although it was meant for seed: its closure failed, or there is no father. */
  readonly kitchen: boolean;
  /** Males by plant; `null` = as the main key names them. */
  readonly males: Readonly<Record<string, number>> | null;
  readonly tool: Tool | null;
  /** The tool in hand is damp, and another not taken yet. */
  readonly damp: boolean;
  /** `null` = as the main key names it. */
  readonly shutAgain: Closure | 'open' | null;
  readonly lobes: number | null;
  readonly openS: number | null;
  readonly beeIn: boolean | null;
  /** Melon: whether the male was left inside; for a cross, whether the anthers came out first. */
  readonly maleInside: boolean | null;
  readonly anthersOut: boolean | null;
  /** Whether hands and tool were clean of other varieties' pollen. */
  readonly handsClean: boolean | null;
  /** Whether the single questions of how it went are open: then only what is answered there is recorded. */
  readonly went: boolean;
}

/** A stop at which nothing has been answered yet. */
export const NO_ANSWERS: StopAnswers = {
  found: null,
  kitchen: false,
  males: null,
  tool: null,
  damp: false,
  shutAgain: null,
  lobes: null,
  openS: null,
  beeIn: null,
  maleInside: null,
  anthersOut: null,
  handsClean: null,
  went: false,
};

/** What the work at a flower comes to by the answers so far: just what the main key says in words, and records. */
export interface StopWork {
  /** Whether it is worked at all: whole, or for the kitchen in spite of its closure. */
  readonly pollinating: boolean;
  /** Whether the closure failed, so that it is asked what now. */
  readonly spoiled: boolean;
  readonly fathers: readonly Father[];
  readonly males: number;
  /** Named only where the grower said it here, or said it last time. */
  readonly tool: Tool | null;
  readonly shutAgain: Closure | 'open';
  readonly purpose: Purpose;
  /** Whether the main key says that nothing went wrong: no bee in, hands and tool clean. */
  readonly faultless: boolean;
  /** What it is worked with is damp: next to nothing would reach the stigma, and so nothing is recorded of it. */
  readonly damp: boolean;
  /** Put on now; `null`: none. A kitchen fruit, or one that a bee got at, gets none. */
  readonly mark: string | null;
}

/** What a stop has to offer before anything is answered. */
export interface StopOffer {
  readonly offers: readonly FatherOffer[];
  /** Males by plant as the round's matching has them. */
  readonly suggested: ReadonlyMap<string, number>;
  /** The tool said last for this crop; `null` before any. */
  readonly saidTool: Tool | null;
  /** The next mark, where the patch marks at once. */
  readonly mark: string | null;
}

/**
 * What a female wears as a rule after she was worked: her closure again; an ear gets the tassel's own bag.
 * @example shutAgainWith({ flower: female, growing: mother }) // 'tape'
 */
export function shutAgainWith({ flower }: Pick<Stop, 'flower' | 'growing'>): Closure {
  const worn = flower.shuttings[flower.shuttings.length - 1]?.closure ?? 'tape';
  return worn === 'shoot-bag' ? 'tassel-bag' : worn;
}

/** The work at one flower from its answers. */
export function stopWork(stop: Stop, answers: StopAnswers, offer: StopOffer): StopWork {
  const { found, beeIn } = answers;
  const whole = found === 'whole';
  const spoiled = found !== null && found !== 'gone' && found !== 'already-shut' && !isWhole(found);
  const forKitchen =
    reasonFor(stop.flower, stop.growing) === 'fruit' || ((spoiled || whole) && answers.kitchen);
  const fathers = offer.offers.flatMap(({ growing: { plant }, free }): Father[] => {
    const count = answers.males ? (answers.males[plant.id] ?? 0) : (offer.suggested.get(plant.id) ?? 0);
    const flowers = free.slice(0, count);
    return flowers.length > 0 ? [{ plant: plant.id, males: flowers.length, flowers }] : [];
  });
  const good = whole && !forKitchen && beeIn !== true;
  return {
    pollinating: whole || (spoiled && answers.kitchen),
    spoiled,
    fathers,
    males: fathers.reduce((sum, { males }) => sum + males, 0),
    tool: answers.tool ?? offer.saidTool,
    shutAgain: answers.shutAgain ?? (good ? shutAgainWith(stop) : 'open'),
    purpose: forKitchen ? 'kitchen' : 'seed',
    faultless:
      good && !answers.went && beeIn === null && answers.handsClean === null && answers.shutAgain !== 'open',
    damp: answers.damp,
    mark: good ? offer.mark : null,
  };
}

/**
 * The facts of one flower: how its closure was found and, where it was worked, the pollination and the mark. Only what was
 * answered here or stands in the main key's own words; whether the males were whole is said where they are picked.
 */
export function stopDrafts({ flower: { id } }: Stop, answers: StopAnswers, work: StopWork): Draft[] {
  if (answers.found === null) return [];
  // A flower that has shut can't be worked; how its closure was nobody said.
  if (answers.found === 'already-shut') return [{ kind: 'missed', flower: id, why: 'already-shut' }];
  const drafts: Draft[] = [{ kind: 'closureChecked', flower: id, result: answers.found }];
  if (!work.pollinating || work.damp) return drafts;
  const { lobes, openS, maleInside, anthersOut } = answers;
  const beeIn = work.faultless ? false : answers.beeIn;
  const handsClean = work.faultless ? true : answers.handsClean;
  if (anthersOut) drafts.push({ kind: 'emasculated', flower: id });
  drafts.push({
    kind: 'pollinated',
    flower: id,
    fathers: work.fathers,
    ...(work.tool === null ? {} : { tool: work.tool }),
    shutAgain: work.shutAgain === 'open' ? null : work.shutAgain,
    purpose: work.purpose,
    ...(lobes === null ? {} : { lobes }),
    ...(openS === null ? {} : { openS }),
    ...(beeIn === null ? {} : { beeIn }),
    ...(maleInside === null ? {} : { maleInside }),
    ...(handsClean === null ? {} : { clean: handsClean }),
  });
  if (work.mark !== null) drafts.push({ kind: 'marked', flower: id, mark: work.mark });
  return drafts;
}

/** A whole flower left as it is, since no male is to be had for it. */
export function withoutMaleDrafts({ flower: { id } }: Pick<Stop, 'flower'>): Draft[] {
  return [
    { kind: 'closureChecked', flower: id, result: 'whole' },
    { kind: 'missed', flower: id, why: 'no-male' },
  ];
}

/** A flower found gone, and how: its closure's state and the loss. */
export function goneDrafts({ flower: { id } }: Pick<Stop, 'flower'>, cause: LossCause): Draft[] {
  return [
    { kind: 'closureChecked', flower: id, result: 'gone' },
    { kind: 'lost', flower: id, cause },
  ];
}

/** Males picked and said to be whole, all of them: what the key for it says. */
export function pickedDrafts(males: readonly string[]): Draft[] {
  return males.map((flower) => ({ kind: 'closureChecked', flower, result: 'whole' }));
}
