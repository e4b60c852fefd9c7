import type { VarietyTraits } from './traits';
import type { Crop, Reason, Tool } from './types';

/**
 * Whether its anthers are joined in a cone that sheds inwards and can be pulled off whole: tomato and potato.
 * @example hasCone(cropOf('tomato')) // true
 */
export function hasCone(crop: Crop): boolean {
  return crop.id === 'tomato' || crop.id === 'potato';
}

/**
 * Whether that cone shuts the stigma in, so that hardly an insect reaches it: a tomato’s, but where its stigma stands out; a potato’s
 * stands out of it (common practice).
 * @example coneShuts({ crop: 'tomato', traits: { stigmaOut: true } }) // false
 */
export const coneShuts = ({
  crop,
  traits,
}: {
  readonly crop: Crop['id'];
  readonly traits: VarietyTraits;
}): boolean => crop === 'tomato' && traits.stigmaOut !== true;

/**
 * Whether its flowers stand in trusses that can be counted: not peppers' and aubergines', which stand alone or in twos.
 * @example hasTrusses(cropOf('tomato')) // true
 */
export function hasTrusses(crop: Crop): boolean {
  return hasCone(crop) || crop.family === 'strawberry';
}

/**
 * Whether its flowers pollinate themselves inside a cover, so that pure seed asks for no father: tomato, pepper, aubergine, potato,
 * and the alpine strawberry (common practice).
 * @example selfsUnderCover(cropOf('pepper')) // true
 */
export function selfsUnderCover(crop: Crop): boolean {
  return crop.family === 'nightshade' || crop.id === 'alpine-strawberry';
}

/** Flowers that one cover takes in [M]: a truss, or the buds of a twig. */
const UNDER_ONE_COVER: Readonly<Partial<Record<Crop['id'], number>>> = {
  tomato: 6,
  potato: 6,
  pepper: 2,
  aubergine: 1,
  'alpine-strawberry': 4,
};

/**
 * How many flowers one cover takes in.
 * @example flowersUnderCover(cropOf('tomato')) // 6
 */
export function flowersUnderCover(crop: Crop): number {
  return UNDER_ONE_COVER[crop.id] ?? 1;
}

/** Minutes for one cover over flowers that pollinate themselves: on, shaken on a few mornings, off and marked (common practice: about one). */
export const MINUTES_A_COVER = 1;

/** What the hands do at an open flower that is worked for its fruit, by crop and tool, and whether insects come to it (common practice). */
export function kitchenStep(crop: Crop, tool: Tool, insects = true): string {
  if (crop.family === 'cucurbit') {
    const after = insects ? 'leave the flower open: insects may add to it' : 'no need to shut it again';
    return tool === 'male-flower'
      ? `Peel a male, twist and dab over every lobe, ${after}.`
      : `See pollen on the tip, dab over every lobe, ${after}.`;
  }
  if (crop.family === 'corn')
    return 'While silk shows and tassels shed: each dry morning, once the dew is off, shake the tassels over the whole block. On day 18 peel one ear and look for gaps.';
  if (crop.family === 'strawberry' && tool === 'shaking')
    return 'Tap or flick each truss, so that its open flowers tremble.';
  if (crop.family === 'strawberry')
    return tool === 'fan'
      ? 'A fan over open flowers moves part of the pollen (indoors about a fifth of the crop): brush the rest. Keep it away from water.'
      : 'Round the whole middle of each open flower, about 3 seconds.';
  if (tool === 'vibration')
    return hasCone(crop)
      ? 'Hold the truss from below and the vibrating tool to its stalk, 3-5 seconds: a puff of pollen means a near-certain set. In the middle of the day, when it is dry. Mains tools well away from water.'
      : 'The vibrating tool to the flower’s stalk, 3-5 seconds, in the dry middle of the day.';
  if (tool === 'shaking' || tool === 'fan')
    return 'Shake or tap the plant so that its open flowers tremble, in the dry middle of the day.';
  return 'Turn the dry tip inside each open flower, over anthers and stigma: see pollen on it.';
}

/** Seconds for a flower by tool: vibrating 3-5 s, a brush about 3 s (common practice); the others [M]. */
const SECONDS_A_FLOWER: Readonly<Partial<Record<Tool, number>>> = {
  vibration: 4,
  shaking: 2,
  brush: 3,
  fan: 1,
  finger: 4,
  'male-flower': 15,
  swab: 6,
};

/**
 * Seconds at one open flower that is worked for its fruit.
 * @example kitchenSeconds('vibration') // 4
 */
export function kitchenSeconds(tool: Tool): number {
  return SECONDS_A_FLOWER[tool] ?? 5;
}

/**
 * The tools of a kitchen round, the usual first: a truss is vibrated, a strawberry brushed, corn shaken.
 * @example kitchenTools(cropOf('tomato')) // ['vibration', 'shaking', 'brush', 'swab', 'finger', 'fan']
 */
export function kitchenTools(crop: Crop): readonly Tool[] {
  if (crop.family === 'corn') return ['shaking'];
  return crop.tools.filter((tool) => tool !== 'anthers' && tool !== 'pouring');
}

/**
 * What a crop is usually worked with for the kitchen.
 * @example kitchenTool(cropOf('tomato')) // 'vibration'
 */
export function kitchenTool(crop: Crop): Tool {
  return kitchenTools(crop)[0] ?? 'brush';
}

/** Visits with a brush that a mother laid bare for a cross gets (common practice: 3-4 times on its day). */
export const VISITS_A_DAY = 4;
/** Minutes of a visit after the first: pollen on, bag on again [M]. */
const LATER_VISIT_MIN = 1.5;

/**
 * Minutes that a female takes besides her first visit: a mother of a cross is dabbed again, unless the father's cone stays on her.
 * @example laterVisits(cropOf('pepper'), 'cross', 'brush') // 4.5
 */
export function laterVisits(crop: Crop, reason: Reason, tool: Tool): number {
  const dabbed = reason === 'cross' && crop.flowers.perfect !== undefined && tool !== 'anthers';
  return dabbed ? (VISITS_A_DAY - 1) * LATER_VISIT_MIN : 0;
}

/** From this day of corn on the gaps of an ear that was only shaken over show (common practice). */
const EAR_DAY = 18;

/**
 * The day after pollination on which flowers that were counted together get their verdict.
 * @example countDay(cropOf('corn')) // 18
 */
export function countDay(crop: Crop): number {
  return crop.family === 'corn' ? EAR_DAY : crop.verdictDay.value;
}

/** How many days after marking the loop is looked at again: the stalk has grown (common practice). */
export const LOOP_DAYS = [14, 28] as const;

/** How a fruit of the crop is marked for seed, so that the mark is still there at harvest (common practice). */
export function markWords(crop: Crop): string {
  if (crop.family === 'corn') return 'Write it on the bag, and tie a tag round the stalk below the ear.';
  if (crop.id === 'melon')
    return 'A loose loop round the fruit stalk, and a second on the vine: a ripe muskmelon slips off and leaves the first behind.';
  if (crop.id === 'squash-maxima')
    return 'A loose loop round the fruit stalk, of something that neither rots nor melts in sun: leave room for a stalk of 25-30 mm.';
  if (crop.family === 'cucurbit')
    return 'A loose loop round the fruit stalk, of something that neither rots nor melts in sun.';
  return 'A loose loop of bright wool round the stalk of the fruit or truss; further flowers of that truss are pinched off.';
}
