import type { Fact } from './facts';
import type { Crop } from './types';
import { practice, handbook } from './facts';

/** A point on which growers disagree: every main school is offered, one is the default, and the screen says why. */
export interface School {
  readonly key: string;
  readonly question: string;
  readonly why: Fact<string>;
  readonly choices: readonly { readonly value: string; readonly label: string; readonly words: string }[];
  readonly fallback: string;
  /** The crops that it is about; all where left out. */
  readonly of?: Crop['family'];
}

/** Where growers disagree: the question, the schools, which is the default and why they differ. */
export const SCHOOLS = [
  {
    key: 'selfing',
    question: 'Pollen from the same plant?',
    why: handbook(
      'Selfing keeps seed true to one mother; mixing plants keeps the variety broad. Squash family plants stand selfing fairly well.',
      'general texts',
    ),
    choices: [
      {
        value: 'others-first',
        label: 'Other plants first',
        words: 'The same plant is offered last, and marked as selfing.',
      },
      {
        value: 'allowed',
        label: 'Same plant welcome',
        words: 'True to that mother: own males are offered with the rest.',
      },
      { value: 'never', label: 'Never', words: 'Own males are not offered.' },
    ],
    fallback: 'others-first',
  },
  {
    key: 'closure',
    question: 'Shut flowers with?',
    why: practice(
      'Tape is quick, and can be torn by a strong flower. A drawstring mesh bag also works on small flowers, and must not be drawn too tight.',
    ),
    choices: [
      { value: 'tape', label: 'Tape', words: 'At least 25 mm wide, half on the petals, half above.' },
      { value: 'mesh-bag', label: 'Mesh bag', words: 'Drawn snug, not so tight that it bruises.' },
      {
        value: 'cloth-bag',
        label: 'Cloth or paper bag',
        words: 'The whole tip if it is large; paper fails in rain.',
      },
      { value: 'tie', label: 'Twine or peg', words: 'Weaker proof unless the flower was also shut before.' },
    ],
    fallback: 'tape',
  },
  {
    key: 'proof',
    question: 'What makes seed pure?',
    why: practice(
      'A flower that was shut before it opened can have had no other pollen. Some work it as it opens, before the insects fly, and tie it shut after: quicker, and weaker proof.',
    ),
    choices: [
      {
        value: 'strict',
        label: 'Shut before it opened',
        words: 'A flower that stood open unshut is not for seed.',
      },
      {
        value: 'practical',
        label: 'Worked as it opened',
        words: 'Before insects, then tied shut: counts for seed too, as the weaker proof it is.',
      },
    ],
    fallback: 'strict',
  },
  {
    key: 'males',
    question: 'Males for one female?',
    why: practice(
      'At least one, better two to four: uneven or scant pollen gives drops and bent fruit. How many a flower needs hangs on the crop: a watermelon wants 500-1000 grains spread over all its lobes (Adlerz 1966, from memory).',
    ),
    choices: [
      {
        value: 'crop',
        label: 'As the crop needs',
        words: 'The middle of what is usual for each: a squash 2, a watermelon 3.',
      },
      { value: '1', label: '1', words: 'When males are scarce.' },
      { value: '2', label: '2', words: 'The usual.' },
      { value: '3', label: '3', words: 'For flowers that set badly.' },
      { value: '4', label: '4', words: 'For the hardest.' },
    ],
    fallback: 'crop',
  },
  {
    key: 'sharing',
    question: 'Females that one male may serve?',
    why: practice(
      'A good fruit needs many grains (squash on the order of a thousand), so most give each male to one female. A large male stretches to a second where males are few.',
    ),
    choices: [
      { value: '1', label: 'One', words: 'All its pollen in one place.' },
      { value: '2', label: 'Two', words: 'When males are scarce.' },
      { value: '3', label: 'Three', words: 'Only for large flowers full of pollen.' },
    ],
    fallback: '1',
  },
  {
    key: 'cones',
    question: 'Tomatoes for seed: bagged?',
    why: practice(
      'A tomato sheds inwards into a closed cone and mostly selfs. Many save seed without bags where no bees work them; where the stigma sticks out of the cone about one seed in twenty is crossed.',
    ),
    choices: [
      {
        value: 'bagged',
        label: 'Bagged',
        words: 'A truss is covered before anything in it opens: certain.',
      },
      {
        value: 'open',
        label: 'Without bags',
        words: 'For kinds with a closed cone; weaker evidence, and said so on every fruit.',
      },
    ],
    fallback: 'bagged',
    of: 'nightshade',
  },
  {
    key: 'silks',
    of: 'corn',
    question: 'Corn silk, the afternoon before it is poured over?',
    why: practice(
      'Some cut the tip of the shoot back, silks and all, and put the bag on again at once: by morning the silk stands as an even brush and takes pollen on every thread. Others leave the bag alone, since each time it comes off something may get in.',
    ),
    choices: [
      { value: 'left', label: 'Left alone', words: 'The bag stays on until the pollen is poured.' },
      {
        value: 'cut-back',
        label: 'Cut back',
        words: 'A finger’s breadth off the tip, the bag on again at once.',
      },
    ],
    fallback: 'left',
  },
  {
    key: 'mornings',
    question: 'A flower that is still fresh next morning?',
    why: practice(
      'Most growers count the first morning only: by the next its pollen is all but dead and the stigma fading. Some work a flower that is still fresh a second time, watermelons above all: it is one flower worked twice.',
    ),
    choices: [
      {
        value: 'one',
        label: 'One morning only',
        words: 'A worked flower is done with: next, look whether it took.',
      },
      {
        value: 'second',
        label: 'A second morning',
        words: 'It stands in the next round too, as one that may be worked again if it is still fresh.',
      },
    ],
    fallback: 'one',
  },
  {
    key: 'insects',
    question: 'Which insects come first?',
    why: handbook(
      'Honeybees begin about an hour after sunrise, bumblebees at first light, squash bees (in the Americas) often before it. Growers go by what flies where they are.',
      'general texts',
    ),
    choices: [
      { value: 'honeybees', label: 'Honeybees', words: 'About an hour after sunrise, later in the cold.' },
      { value: 'bumblebees', label: 'Bumblebees', words: 'From first light: only shut flowers are sure.' },
      {
        value: 'squash-bees',
        label: 'Squash bees',
        words: 'Half an hour before first light: only a flower shut the evening before is safe.',
      },
    ],
    fallback: 'honeybees',
  },
  {
    key: 'marking',
    question: 'When to put the mark on?',
    why: practice(
      'When the petals fall nothing else tells a hand-pollinated fruit from the rest. Marking only what grows saves marks and loses some fruit.',
    ),
    choices: [
      { value: 'now', label: 'At once', words: 'Each flower gets the next mark in the round.' },
      {
        value: 'when-growing',
        label: 'Once it grows',
        words: 'The mark is offered at the look that shows it growing.',
      },
    ],
    fallback: 'now',
  },
] as const satisfies readonly School[];

/** The questions on which growers differ. */
export type SchoolKey = (typeof SCHOOLS)[number]['key'];
/** A choice for each of them. */
export type SchoolChoices = Readonly<Record<SchoolKey, string>>;

/** What holds where a patch has not chosen. */
export const DEFAULT_SCHOOLS: SchoolChoices = Object.fromEntries(
  SCHOOLS.map((school) => [school.key, school.fallback]),
) as SchoolChoices;
