import type { Crop, Reason, Sex, SexSystem, Stage } from './types';

/** What a flower of this stage asks for now. */
export const ACTS = [
  'note',
  'wait',
  'shut',
  'pollinate',
  'use-pollen',
  'emasculate',
  'too-late',
  'nothing',
] as const;
export type Act = (typeof ACTS)[number];

/** The two times of day at which a grower reads flowers. */
export type DayPart = 'evening' | 'morning';

/** What to do with a flower at the stage it was read at. */
export interface StageAdvice {
  readonly act: Act;
  /** Whether this flower belongs in tonight's shutting. */
  readonly shutTonight: boolean;
  readonly words: string;
}

const say = (act: Act, words: string): StageAdvice => ({ act, shutTonight: false, words });
const shut = (words: string): StageAdvice => ({ act: 'shut', shutTonight: true, words });

/**
 * What a flower of this sex and stage asks for, by the reason it is grown for (common practice). Purity asks for a
 * flower that was shut before it opened; a kitchen fruit does not, nor one to which nothing else can come (`covers`: whether any
 * is needed).
 * @example stageAdvice(cropOf('squash-maxima'), 'female', 'coloured', 'seed').act // 'shut'
 */
export function stageAdvice(
  crop: Crop,
  sex: Sex,
  stage: Stage,
  reason: Reason,
  part: DayPart = 'evening',
  covers = true,
): StageAdvice {
  if (crop.family === 'corn')
    return sex === 'male' ? tasselAdvice(stage, reason, part) : earAdvice(stage, reason);
  if (crop.flowers.perfect) return perfectAdvice(crop, stage, reason, part);
  return cucurbitAdvice(crop, sex, stage, reason, part, covers);
}

/**
 * What the way a variety flowers changes, or `null`: said beside the advice for the stage.
 * @example systemAdvice('perfect', 'perfect', 'fruit') // null
 */
export function systemAdvice(
  system: SexSystem,
  sex: Sex,
  reason: Reason,
  selfing = 'allowed',
): string | null {
  if (sex !== 'female') return null;
  switch (system) {
    case 'parthenocarpic':
      return reason === 'fruit'
        ? 'This variety sets fruit without pollen: for the kitchen it needs nothing.'
        : 'This variety sets fruit without pollen, but seedless: for seed it must be pollinated.';
    case 'gynoecious':
      return reason === 'fruit'
        ? null
        : reason === 'seed'
          ? 'Nearly all its flowers are female: wait for its own few males. Other pollen makes a cross.'
          : 'Nearly all its flowers are female: its few males are precious as fathers.';
    case 'andromonoecious':
      if (reason === 'cross')
        return 'The “female” has anthers too: take them out of the shut bud before a cross.';
      return reason === 'seed' && selfing === 'never'
        ? 'The “female” has anthers too, and selfs: where own pollen is not wanted, take them out of the shut bud.'
        : null;
    default:
      return null;
  }
}

/** Crops of which growers work several females for one fruit, and are to know it beforehand. */
const SEVERAL: ReadonlySet<string> = new Set(['melon', 'cucumber']);

/**
 * How many females are worked for one that sets, said before the work; `null` where most set.
 * @example severalForOne(cropOf('squash-maxima')) // null
 */
export function severalForOne(crop: Crop): string | null {
  if (!SEVERAL.has(crop.id)) return null;
  const many = Math.max(2, Math.round(1 / crop.setShare.value));
  return `About one worked female in ${many} sets (${crop.setShare.source}): shut and work several for each fruit you want.`;
}

/**
 * `stageAdvice` for an evening walk.
 * @example eveningAdvice(cropOf('squash-maxima'), 'female', 'coloured', 'seed').act // 'shut'
 */
export function eveningAdvice(
  crop: Crop,
  sex: Sex,
  stage: Stage,
  reason: Reason,
  covers = true,
): StageAdvice {
  return stageAdvice(crop, sex, stage, reason, 'evening', covers);
}

function cucurbitAdvice(
  crop: Crop,
  sex: Sex,
  stage: Stage,
  reason: Reason,
  part: DayPart,
  covers: boolean,
): StageAdvice {
  const forSeed = reason !== 'fruit' && covers;
  switch (stage) {
    case 'pin':
      return say('note', 'Opens in three or four days: noted, nothing to do tonight.');
    case 'green':
      return say('wait', 'Opens the day after tomorrow: look again tomorrow evening.');
    case 'coloured': {
      const when = crop.clock.round === 'dusk' ? 'at the next dusk, for that one night only' : 'tomorrow';
      if (part === 'morning')
        return say(
          'wait',
          'Still shut this morning: it opens later today or tomorrow. Come back before it does.',
        );
      if (!forSeed)
        return say(
          'wait',
          `Opens ${when}: come and pollinate it then. ${covers ? 'For the kitchen it' : 'Nothing else can come to it here: it'} needs no shutting.`,
        );
      return shut(`Opens ${when}: shut it now, before any bee.`);
    }
    case 'open':
      if (forSeed)
        return say(
          'too-late',
          part === 'morning'
            ? 'Open: for seed only if it was shut before it opened. If not, bees may have been in it; fine for the kitchen, not for seed.'
            : 'Already open: bees may have been in it; fine for the kitchen, not for seed.',
        );
      return sex === 'female'
        ? say('pollinate', 'Open: pollinate it now.')
        : say('use-pollen', 'Open: its pollen can be used now.');
    case 'spent':
      return say(
        'nothing',
        sex === 'female' ? 'Over: see in a few days whether it swells.' : 'Over: nothing to do.',
      );
  }
}

function earAdvice(stage: Stage, reason: Reason): StageAdvice {
  if (stage === 'spent')
    return say('nothing', 'The silks are brown: what was to be fertilised is. Leave it till harvest.');
  if (reason === 'fruit')
    return stage === 'open'
      ? say('pollinate', 'Silk is out: shake a shedding tassel over it on a dry morning.')
      : say('wait', 'No silk yet: nothing to do for the kitchen; the wind does most of it.');
  if (stage === 'open')
    return say(
      'too-late',
      'Silk is out: unless a bag was on before, foreign pollen is already there. Not for seed.',
    );
  return shut('No silk yet: put a shoot bag on today. Once silk shows it is too late.');
}

function tasselAdvice(stage: Stage, reason: Reason, part: DayPart): StageAdvice {
  switch (stage) {
    case 'pin':
      return say('note', 'Still in the leaves: a week or so to go.');
    case 'green':
      return say('wait', 'Out but tight: look again in a day or two.');
    case 'coloured':
      return say('wait', 'About to shed: look again tomorrow afternoon.');
    case 'open':
      if (reason === 'fruit')
        return say('use-pollen', 'Shedding: tap it over the silks on a dry morning, once the dew is off.');
      return part === 'morning'
        ? say(
            'use-pollen',
            'Shedding: for seed use it only out of a bag that went on yesterday afternoon. Bag it this afternoon for tomorrow.',
          )
        : shut('Shedding: bag it this afternoon; by tomorrow morning the bag holds a dose.');
    case 'spent':
      return say('nothing', 'Shed out: no pollen left.');
  }
}

function perfectAdvice(crop: Crop, stage: Stage, reason: Reason, part: DayPart): StageAdvice {
  const brush = crop.family === 'strawberry';
  switch (stage) {
    case 'pin':
      return say('note', 'A tight bud: days to go. Nothing to do.');
    case 'green':
      return say(
        'wait',
        reason === 'cross'
          ? 'Green petals: too early to take the anthers out. Look again tomorrow.'
          : 'Green petals: some days to go.',
      );
    case 'coloured':
      if (reason === 'cross') {
        const words =
          'As a mother: take petals and the whole ring of anthers out now, without touching the stigma, then bag it. As a father: bag it for tomorrow.';
        return { act: 'emasculate', shutTonight: part === 'evening', words };
      }
      if (reason === 'seed' && part === 'evening')
        return shut(
          'Opens tomorrow: for certain purity put a bag on before it opens. It pollinates itself inside.',
        );
      return say('wait', 'Opens tomorrow: nothing to do before.');
    case 'open':
      if (reason === 'cross')
        return say(
          'use-pollen',
          'Already pollinated by itself: too late as a mother. Right as a father, if it was bagged.',
        );
      if (reason === 'seed')
        return say(
          'too-late',
          'Open: an insect may have been in it. Its seed is likely, but not provably, pure.',
        );
      return brush
        ? say('pollinate', 'Open: brush round the whole middle, about 3 seconds.')
        : say('pollinate', 'Open: hold the truss and vibrate it 3-5 seconds; a puff of pollen should show.');
    case 'spent':
      return say('nothing', 'Over: see in a week whether a fruit swells.');
  }
}
