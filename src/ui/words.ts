import type { Units } from '@/data/device/prefs';
import {
  setsByItself,
  stalkTells,
  type Closure,
  type Crop,
  type Picked,
  type Reason,
  type Sex,
  type SexSystem,
  type Stage,
  type Tool,
} from '@core/crops';
import type {
  Care,
  CheckResult,
  Flower,
  Health,
  LookResult,
  LossCause,
  MissedWhy,
  Prop,
  Shelter,
  ShelterInsects,
  State,
} from '@core/ledger';
import type { Fate } from '@core/fruitset';
import type { PlantId } from '@core/ids';
import type { Skill } from '@core/practice';
import { flowersOn, growing, plantName, type Growing, crossFather } from '@core/patch';
import { clockText, localDateOf, shortDayText } from '@core/time';
import type { StopWork } from '@core/rounds';

// One word per thing, everywhere.

export const careWords: Record<Care, string> = {
  watered: 'watered',
  fed: 'fed',
  mulched: 'mulched',
  sprayed: 'sprayed',
};

export const propWords: Record<Prop, string> = {
  sling: 'hung in a sling',
  board: 'laid on a board',
  straw: 'laid on straw',
  stake: 'tied to a stake',
};

export const closureWords: Record<Closure, string> = {
  tape: 'tape',
  'mesh-bag': 'mesh bag',
  'cloth-bag': 'cloth bag',
  tie: 'twine',
  'shoot-bag': 'shoot bag',
  'tassel-bag': 'tassel bag',
};
/** What the main key of a round's flower records, all of it: `Pollinated: 2 of plant 5, taped, mark 3-K`. */
export function workWords(state: State, work: StopWork): string {
  const fathers = work.fathers
    .map(({ plant, males }) => `${males} of plant ${state.plants.get(plant)?.label ?? '?'}`)
    .join(' and ');
  return [
    `Pollinated: ${fathers}${work.tool ? ` by ${toolWords[work.tool]}` : ''}`,
    shutWords(work.shutAgain),
    ...(work.faultless ? [faultlessWords(work.tool)] : []),
    ...(work.mark === null ? [] : [`mark ${work.mark}`]),
  ].join(', ');
}
/** What a key says that records a flower worked without a fault. */
export function faultlessWords(tool: Tool | null): string {
  return `${tool === 'brush' || tool === 'swab' ? `clean ${tool}` : 'clean hands'}, no bee in`;
}
/** How a flower was left: `taped`, `mesh bag on`, `left open`. */
export function shutWords(closure: Closure | 'open'): string {
  if (closure === 'open') return 'left open';
  if (closure === 'tape') return 'taped';
  return closure === 'tie' ? 'tied shut' : `${closureWords[closure]} on`;
}
export const toolWords: Record<Tool, string> = {
  'male-flower': 'male flower',
  brush: 'dry brush',
  swab: 'swab',
  finger: 'fingertip',
  vibration: 'vibration',
  shaking: 'shaking',
  fan: 'fan',
  anthers: 'anther cone',
  pouring: 'poured pollen',
};
export const checkWords: Record<CheckResult, string> = {
  whole: 'whole',
  torn: 'torn',
  holed: 'hole',
  insect: 'insect in it',
  'not-open': 'not open',
  gone: 'gone',
  'no-pollen': 'no loose pollen',
};
export const lookWords: Record<LookResult, string> = {
  growing: 'growing',
  bent: 'grows, but bent',
  same: 'the same',
  yellowing: 'yellowing',
  gone: 'gone',
};
export const healthWords: Record<Health, string> = { healthy: 'healthy', doubtful: 'doubtful', sick: 'sick' };
export const sexWords: Record<Sex, string> = { female: 'female', male: 'male', perfect: 'flower' };
/** A flower by the garden word for it: corn has an ear shoot and a tassel. */
export function partName(crop: Crop, sex: Sex): string {
  if (crop.family === 'corn') return sex === 'male' ? 'tassel' : 'ear shoot';
  return sexWords[sex];
}
/** The sign it is told by, in a few words. */
export function partNote(crop: Crop, sex: Sex): string {
  if (crop.family === 'corn') return sex === 'male' ? 'on top' : 'in a leaf joint';
  if (sex === 'female') return 'a small fruit below';
  return stalkTells(crop) ? 'thin straight stalk' : 'no small fruit below';
}
export const stageWords: Record<Stage, string> = {
  pin: 'pin',
  green: 'green',
  coloured: 'coloured',
  open: 'open',
  spent: 'spent',
};
export const reasonWords: Record<Reason, string> = { seed: 'pure seed', fruit: 'fruit', cross: 'a cross' };
/** What a stand is grown for; a lettuce is no fruit. */
export const reasonText = (crop: Crop, reason: Reason): string =>
  crop.family === 'quiet' && reason === 'fruit' ? 'the kitchen' : reasonWords[reason];
export const shelterWords: Record<Shelter, string> = {
  tunnel: 'a tunnel',
  net: 'a net',
  cage: 'a cage',
  'closed-house': 'a closed house',
  indoors: 'indoors',
};
/** Whether insects come to what stands under it. */
export const insectWords: Record<ShelterInsects, string> = {
  out: 'insects kept out',
  in: 'insects can get in',
  'put-in': 'bees of its own put in',
  'in-turn': 'caged in turn with others',
};
export const missedWords: Record<MissedWhy, string> = {
  'not-reached': 'not reached in time',
  'already-shut': 'it had shut already',
  'no-male': 'no male to be had',
  weather: 'the weather',
  unknown: 'can’t tell',
};
export const fateWords: Record<Fate, string> = {
  waiting: 'waiting',
  'not-looked-at': 'not looked at',
  set: 'set',
  'lost-later': 'set, lost later',
  dropped: 'dropped',
};
/** What became of a flower, where fruit that needs no pollen says nothing about seed. */
export function fateText(fate: Fate, { variety, crop }: Pick<Growing, 'variety' | 'crop'>): string {
  return fate === 'set' && setsByItself(crop, variety.system) ? 'set, seed unknown' : fateWords[fate];
}
/** Why a crop that selfs has no rounds, and what keeps its seed pure instead. */
export function quietWords({ plural: name, isolationM }: Crop): string {
  const apart = isolationM?.value;
  return `Nothing to shut or to work: ${name} self before the flower opens. ${apart ? `For pure seed ${apart[0]} to ${apart[1]} m from other ${name} are enough.` : ''}`;
}
export const causeWords: Record<LossCause, string> = {
  'knocked-off': 'knocked off',
  'not-pollinated': 'not pollinated',
  'poorly-pollinated': 'poorly pollinated',
  'blossom-end-rot': 'blossom-end rot',
  'wet-rot': 'wet rot',
  drought: 'drought',
  frost: 'frost',
  borer: 'borer',
  'picked-by-mistake': 'picked by mistake',
  'too-much-fruit': 'too much fruit',
  heat: 'heat',
  pest: 'pest',
  weather: 'weather',
  rot: 'rot',
  unknown: 'unknown',
};
/** How to tell one cause from another, where growers mix them up. */
export const causeHints: Partial<Record<LossCause, string>> = {
  'not-pollinated': 'yellowed, never grew',
  'poorly-pollinated': 'bent, pinched, or a brown tip and stopped within about 5 days',
  'blossom-end-rot': 'grew well, then a sunken leathery dark patch at the blossom end',
  'wet-rot': 'whiskery grey-black mould from the dead flower, in wet heat',
  borer: 'a hole, with frass',
};

export const systemWords: Record<SexSystem, string> = {
  monoecious: 'male and female apart',
  andromonoecious: 'female with anthers',
  gynoecious: 'nearly all female',
  parthenocarpic: 'sets without pollen',
  perfect: 'both in one',
};
/** How a variety's fruit is picked, with the crop's own words for it. */
export function pickedWords(crop: Crop, picked: Picked): string {
  if (crop.id === 'pepper') return picked === 'young' ? 'green' : 'in full colour';
  return picked === 'young' ? 'young' : 'ripe';
}
export const systemNotes: Partial<Record<SexSystem, string>> = {
  monoecious: 'no anthers in the female',
  gynoecious: 'for seed wait for its own few males',
  parthenocarpic: 'for seed it still wants pollen',
};

export const skillWords: Record<Skill, string> = {
  sex: 'male or female',
  stage: 'how far on',
  shut: 'shut it tonight?',
  usable: 'usable at dawn?',
  'mother-bud': 'the mother bud',
  'ear-clean': 'is the ear clean?',
  took: 'took or failed',
  tip: 'brown tip or rot',
};
const ANSWERS: Readonly<Record<string, string>> = {
  took: 'took',
  failed: 'failed',
  pollination: 'too little pollen',
  'end-rot': 'blossom-end rot',
};
/** An answer of the trainer, across crops. */
export function answerName(skill: Skill, id: string): string {
  if (skill === 'shut') return id === 'yes' ? 'shut it' : 'leave it';
  if (skill === 'usable') return id === 'yes' ? 'usable' : 'spoiled';
  if (skill === 'ear-clean') return id === 'yes' ? 'a clean ear' : 'a spoiled ear';
  return ANSWERS[id] ?? id;
}

export function plural(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}

/** `a, b, and c`. */
export const listText = (items: readonly string[]): string => new Intl.ListFormat('en').format(items);

/** `node 12, red thread`: what somebody noted of where it is; empty where nobody did. */
export const flowerPlace = ({ node, thread }: Pick<Flower, 'node' | 'thread'>): string =>
  [node === null ? null : `node ${node}`, thread === null ? null : `${thread} thread`]
    .filter((part) => part !== null)
    .join(', ');

/** `Slate Dome 2, node 12`; `Weir Copper 1, ear`. */
export function flowerText(of: Growing, flower: Pick<Flower, 'node' | 'thread' | 'sex'>): string {
  const ear = of.crop.family === 'corn' ? (flower.sex === 'male' ? 'tassel' : 'ear') : '';
  return [plantName(of), ear, flowerPlace(flower)].filter(Boolean).join(', ');
}

/** The same, and where the plant has another that would be called so, the day it was worked or seen, and the hour too if need be. */
export function flowerTextIn(state: State, zone: string, of: Growing, flower: Flower): string {
  const text = flowerText(of, flower);
  const alike = flowersOn(state, of.plant.id).filter(
    (each) => each.id !== flower.id && !each.lost && !each.harvested && flowerText(of, each) === text,
  );
  if (alike.length === 0) return text;
  const at = (each: Flower) => Date.parse((each.pollinations[0] ?? each.sightings[0] ?? each.left)?.at ?? '');
  const day = (each: Flower) => (Number.isNaN(at(each)) ? '' : shortDayText(localDateOf(at(each), zone)));
  const same = alike.some((each) => day(each) === day(flower));
  const hour = same && !Number.isNaN(at(flower)) ? clockText(at(flower), zone) : '';
  return [text, day(flower), hour].filter(Boolean).join(', ');
}

/** `Slate Dome 2`, wherever all that is known is its id. */
export function plantText(state: State, plant: PlantId): string {
  const found = growing(state, plant);
  return found ? plantName(found) : 'a plant not on this phone';
}

/** The same, wherever the flower alone is known. */
export function flowerName(state: State, flower: Flower): string {
  const found = growing(state, flower.plant);
  return found ? flowerText(found, flower) : 'A flower';
}

/** `Tallow Bead × Lock Keeper` of a cross, else the variety. */
export function parentsText(state: State, mother: Growing): string {
  const father = crossFather(state, mother);
  return father === null ? mother.variety.name : `${mother.variety.name} × ${father}`;
}

/** A length of tape in the grower's units. */
export function tapeText(cm: number, units: Units): string {
  if (units === 'us') return `${Math.ceil(cm / 30.48)} ft`;
  return cm < 100 ? `${Math.ceil(cm)} cm` : `${(cm / 100).toFixed(1)} m`;
}

const FOOT_M = 0.3048;
const MILE_M = 1609.344;

/** What lengths on the ground are typed and read in. */
export const groundUnit = (units: Units) =>
  units === 'us'
    ? ({ name: 'feet', short: 'ft', metres: FOOT_M } as const)
    : ({ name: 'metres', short: 'm', metres: 1 } as const);

/** A length as it was measured, to a tenth. */
export function lengthText(metres: number, units: Units): string {
  const { short, metres: one } = groundUnit(units);
  return `${Math.round((metres / one) * 10) / 10} ${short}`;
}

/** A distance without more figures than it is worth. */
export function distanceText(metres: number, units: Units): string {
  if (metres < 20) return lengthText(metres, units);
  if (units === 'us' && metres >= MILE_M / 2) return `${Math.round((metres / MILE_M) * 10) / 10} miles`;
  const { short, metres: one } = groundUnit(units);
  const step = metres < 200 ? (units === 'us' ? 10 : 5) : units === 'us' ? 50 : 10;
  return `${Math.round(metres / one / step) * step} ${short}`;
}

/** `5 to 10`, or `25` where both ends are the same. */
export function rangeText([least, most]: readonly [number, number]): string {
  return least === most ? String(least) : `${least} to ${most}`;
}
