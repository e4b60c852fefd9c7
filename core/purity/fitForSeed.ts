import { coneShuts, DEFAULT_SCHOOLS, type SchoolChoices } from '../crops';
import type { EventId } from '../ids';
import type { CheckResult, Father, Flower, Pollination, ShelterView, State } from '../ledger';
import {
  coversFor,
  fatherVarietyOf,
  growing,
  mainPatch,
  reasonFor,
  type Growing,
  type Planted,
  turnOf,
} from '../patch';
import { localDateOf } from '../time';
import { anthersOut, losesAnthers } from './anthersOut';
import { openingHours } from './hours';
import { openedLater, OPENED } from './keptShut';
import { shutBefore } from './shutBefore';

/**
 * fit: every link that could be seen by now was seen. not-recorded: nothing speaks against it, and something nobody wrote down.
 * unfit: a link is broken, and no later entry can mend it.
 */
export type Fitness = 'fit' | 'not-recorded' | 'unfit';

/** What is known of one link: seen whole, not recorded, broken. */
export type LinkState = 'seen' | 'not-recorded' | 'broken';

/** What one link of the proof says, and the entries that it rests on. */
export interface FitReason {
  readonly link:
    | 'shut-before'
    | 'whole'
    | 'kept-shut'
    | 'kept'
    | 'no-insect'
    | 'shut-again'
    | 'fathers'
    | 'father-variety'
    | 'anthers-out';
  readonly state: LinkState;
  /** What it was, for words: a stage, a closure's state, a school. */
  readonly what:
    | 'shut'
    | 'no-insects-here'
    | 'bees-put-in'
    | 'caged-in-turn'
    | 'never-shut'
    | 'stood-open'
    | 'shut-after-opening'
    | 'shut-after-insects'
    | 'worked-after-insects'
    | 'worked-as-it-opened'
    | 'closed-cone'
    | CheckResult
    | 'not-looked-at'
    | 'lost'
    | 'picked'
    | 'bee-in'
    | 'no-bee'
    | 'left-open'
    | 'nobody-said'
    | 'no-father'
    | 'father-unfit'
    | 'father-not-recorded'
    | 'pure-fathers'
    | 'other-variety'
    | 'anthers-out'
    | 'anthers-late'
    | 'bagged-that-day';
  readonly events: readonly EventId[];
}

/** What a flower is fit for, and why. */
export interface SeedFitness {
  readonly verdict: Fitness;
  readonly reasons: readonly FitReason[];
}

/** The tables that say what a flower is good for. */
export type SeedTables = Planted & Pick<State, 'patches' | 'flowers'>;

/**
 * What a flower is good for as seed, from what was recorded of it alone: a female from her closure to her fathers, a male as a
 * giver of pollen. A flower not worked yet is judged by the links there can be so far. The school of proof (`strict`: shut
 * before it opened; `practical`: worked as it opened, then tied shut) moves the verdict of the first link, never the facts.
 * What the grower meant the flower for (`purpose`) does not count. Links and schools: common practice.
 * @example fitForSeed(female, state).verdict // 'fit'
 */
export function fitForSeed(
  given: Flower,
  state: SeedTables,
  schools: SchoolChoices = mainPatch(state)?.schools ?? DEFAULT_SCHOOLS,
  /** When its pollen was used, where that is asked of a male. */
  usedAt: string | null = null,
): SeedFitness {
  const found = growing(state, given.plant);
  const flower = found?.crop.family === 'corn' ? inItsBag(given, usedAt) : given;
  const house = found && closedHouse(flower, found, state);
  const cone = found !== null && selfsInItsCone(flower, found, schools);
  const before = shutBefore(flower, schools, found, state, usedAt);
  // Worked as it opened it had no closure at dawn that could be looked at.
  const bare = before.what === 'worked-as-it-opened' && flower.checks.length === 0;
  const under = <T extends FitReason>(reason: T) => (house ? underCover(reason, house) : reason);
  const reasons: FitReason[] = [
    ...(cone
      ? [closedCone(flower)]
      : [
          under(before),
          ...(bare ? [] : [under(whole(flower))]),
          ...openedLater(flower, found, state).map(under),
        ]),
    ...kept(flower),
    ...(found &&
    losesAnthers(found, reasonFor(flower, found), schools.selfing) &&
    flower.pollinations.length > 0
      ? [anthersOut(flower, found, state)]
      : []),
    ...flower.pollinations.flatMap((pollination) => [
      ...(cone ? [] : [under(insect(pollination)), under(shutAgain(pollination))]),
      ...fathersOf(pollination, found, state, schools),
    ]),
  ];
  const has = (wanted: LinkState) => reasons.some((reason) => reason.state === wanted);
  return {
    verdict: has('broken') ? 'unfit' : has('not-recorded') ? 'not-recorded' : 'fit',
    reasons,
  };
}

/** A tomato flower that nobody covered, where the patch saves seed without bags: it sheds into its own closed cone. */
function selfsInItsCone(flower: Flower, found: Growing, schools: SchoolChoices): boolean {
  return (
    schools.cones === 'open' &&
    coneShuts(found.variety) &&
    flower.sex === 'perfect' &&
    flower.shuttings.length === 0 &&
    flower.emasculated === null &&
    reasonFor(flower, found) === 'seed'
  );
}

function closedCone({ sightings }: Flower): FitReason {
  return {
    link: 'shut-before',
    state: 'seen',
    what: 'closed-cone',
    events: sightings.slice(0, 1).map(({ event }) => event),
  };
}

/** The shelter under which a flower opened and needed no closure; `null` where it did. */
function closedHouse(flower: Flower, found: Growing, state: SeedTables): ShelterView | null {
  if (found.bed.shelters.length === 0) return null;
  const at = flower.pollinations[0]?.at ?? flower.sightings.at(-1)?.at;
  return at === undefined ? null : shelterThen(found, at, state, flower);
}

/** What stood over a plant then, alone of its species; a flower of it must have opened after that was shut. */
function shelterThen(
  found: Growing,
  at: string,
  state: SeedTables,
  flower: Flower | null,
): ShelterView | null {
  const zone = mainPatch(state)?.place?.zone ?? 'UTC';
  const day = (time: string) => localDateOf(Date.parse(time), zone);
  const { needed, shelter } = coversFor(state, found, day(at));
  if (needed || !shelter) return null;
  if (shelter.insects === 'in-turn') {
    const open =
      flower?.pollinations.length ||
      flower?.sightings.some((each) => each.stage === 'open' && each.at === at);
    const turn = open ? turnOf(state, found, day(at), zone) : null;
    const insects = openingHours(state, found.crop, Date.parse(at))?.insectsFrom ?? Infinity;
    return turn && Date.parse(turn.at) <= insects ? { ...shelter, event: turn.event } : null;
  }
  const bud = flower?.sightings.some(
    ({ stage, at: seen }) => stage !== 'open' && stage !== 'spent' && day(seen) >= shelter.from,
  );
  return day(at) > shelter.from || bud ? shelter : null;
}

function shelterOfMales({ plant }: Father, at: string, state: SeedTables): EventId | null {
  const found = growing(state, plant);
  return found && found.bed.shelters.length > 0 ? (shelterThen(found, at, state, null)?.event ?? null) : null;
}

/** What a closure would have kept out, the shelter did: a flower left open or torn there is none the worse. A strange insect seen is. */
function underCover(reason: FitReason, { event, insects }: ShelterView): FitReason {
  const { link, state, what } = reason;
  if (insects === 'in-turn') return { link, state: 'seen', what: 'caged-in-turn', events: [event] };
  if (insects === 'put-in') return { link, state: 'seen', what: 'bees-put-in', events: [event] };
  if (state === 'seen' || what === 'insect' || what === 'bee-in') return reason;
  return { link, state: 'seen', what: 'no-insects-here', events: [event] };
}

/** What is seen of a closure so long after the work still belongs to that visit, ms [M]. */
const SAME_VISIT_MS = 6 * 3_600_000;

/** How the closure was found until the flower was worked: what is seen of it days later says nothing of that dawn. */
function whole({ checks, pollinations }: Flower): FitReason {
  const worked = pollinations.at(-1);
  const until = worked ? Date.parse(worked.at) : Infinity;
  const opened = checks.find(({ result, at }) => OPENED.has(result) && Date.parse(at) <= until);
  if (opened) return { link: 'whole', state: 'broken', what: opened.result, events: [opened.event] };
  const seen = checks.find(({ result, at }) => result === 'whole' && Date.parse(at) <= until + SAME_VISIT_MS);
  if (seen) return { link: 'whole', state: 'seen', what: 'whole', events: [seen.event] };
  return {
    link: 'whole',
    state: 'not-recorded',
    what: 'not-looked-at',
    events: checks.map(({ event }) => event),
  };
}

/** Whether there still is such a flower, for a male: what is lost or picked for the kitchen gives no pollen. */
function kept({ sex, lost, harvested, checks }: Flower): FitReason[] {
  const gone = checks.find(({ result }) => result === 'gone');
  const bare = checks.find(({ result }) => result === 'no-pollen');
  if (gone) return [{ link: 'kept', state: 'broken', what: 'gone', events: [gone.event] }];
  if (sex !== 'male') return [];
  if (bare) return [{ link: 'kept', state: 'broken', what: 'no-pollen', events: [bare.event] }];
  if (lost) return [{ link: 'kept', state: 'broken', what: 'lost', events: [lost.event] }];
  return harvested ? [{ link: 'kept', state: 'broken', what: 'picked', events: [harvested.event] }] : [];
}

function insect({ event, beeIn }: Pollination): FitReason {
  if (beeIn === null)
    return { link: 'no-insect', state: 'not-recorded', what: 'nobody-said', events: [event] };
  return beeIn
    ? { link: 'no-insect', state: 'broken', what: 'bee-in', events: [event] }
    : { link: 'no-insect', state: 'seen', what: 'no-bee', events: [event] };
}

function shutAgain({ event, shutAgain: how }: Pollination): FitReason {
  if (how === null)
    return { link: 'shut-again', state: 'not-recorded', what: 'nobody-said', events: [event] };
  return how === 'open'
    ? { link: 'shut-again', state: 'broken', what: 'left-open', events: [event] }
    : { link: 'shut-again', state: 'seen', what: 'shut', events: [event] };
}

function fathersOf(
  pollination: Pollination,
  mother: Growing | null,
  state: SeedTables,
  schools: SchoolChoices,
): FitReason[] {
  const { event, fathers } = pollination;
  // A perfect flower selfs inside its cover: there is no father to name.
  if (fathers.length === 0 && mother?.crop.flowers.perfect && mother.stand.reason !== 'cross') return [];
  if (fathers.length === 0)
    return [{ link: 'fathers', state: 'not-recorded', what: 'no-father', events: [event] }];
  const wanted = mother && fatherVarietyOf(mother);
  const strange = fathers.some(({ plant }) => {
    const father = growing(state, plant);
    return father !== null && wanted !== null && father.variety.id !== wanted;
  });
  return [
    ...fathers.map((father) => pollenOf(father, pollination, state, schools)),
    ...(strange
      ? [{ link: 'father-variety', state: 'broken', what: 'other-variety', events: [event] } as const]
      : []),
  ];
}

/** A tassel under the bag that it wore when its pollen was used, or wears now: what befell an earlier one says nothing of this. */
function inItsBag(flower: Flower, usedAt: string | null): Flower {
  const bag = flower.shuttings.findLast(({ at }) => usedAt === null || at <= usedAt);
  if (flower.sex !== 'male' || flower.shuttings.length < 2 || !bag) return flower;
  const until = usedAt === null ? Infinity : Date.parse(usedAt) + SAME_VISIT_MS;
  return {
    ...flower,
    shuttings: [bag],
    checks: flower.checks.filter(({ at }) => at >= bag.at && Date.parse(at) <= until),
  };
}

/** The bag of a corn tassel that was poured on the day it went on: it still holds what flew about the day before. */
function bagOfThatDay(male: Flower, pouredAt: string, state: SeedTables): EventId | null {
  const [bag] = inItsBag(male, pouredAt).shuttings;
  if (!bag || growing(state, male.plant)?.crop.family !== 'corn') return null;
  const zone = mainPatch(state)?.place?.zone ?? 'UTC';
  const day = (at: string) => localDateOf(Date.parse(at), zone);
  return day(bag.at) >= day(pouredAt) ? bag.event : null;
}

/** Whether the males of one father are known and fit. */
function pollenOf(
  father: Father,
  { event, at }: Pollination,
  state: SeedTables,
  schools: SchoolChoices,
): FitReason {
  const cited: EventId[] = [event];
  // In a house with one variety of the species any male is pure: which of them it was need not be known.
  const house = shelterOfMales(father, at, state);
  if (house) cited.push(house);
  let known = father.flowers.length >= father.males || house !== null;
  for (const id of father.flowers) {
    const male = state.flowers.get(id);
    const sameDay = male && bagOfThatDay(male, at, state);
    if (sameDay)
      return { link: 'fathers', state: 'broken', what: 'bagged-that-day', events: [...cited, sameDay] };
    // What was pollinated itself is a mother and no father: so this goes no deeper than one step.
    const fit = male && male.pollinations.length === 0 ? fitForSeed(male, state, schools, at) : null;
    if (fit?.verdict === 'unfit')
      return {
        link: 'fathers',
        state: 'broken',
        what: 'father-unfit',
        events: [
          ...cited,
          ...fit.reasons.filter((each) => each.state === 'broken').flatMap(({ events }) => events),
        ],
      };
    if (fit?.verdict !== 'fit') known = false;
    else cited.push(...fit.reasons.flatMap(({ events }) => events));
  }
  return known
    ? { link: 'fathers', state: 'seen', what: 'pure-fathers', events: cited }
    : { link: 'fathers', state: 'not-recorded', what: 'father-not-recorded', events: cited };
}
