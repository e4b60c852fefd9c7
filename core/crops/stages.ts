import { handbook, ours, practice, type Range } from './facts';
import type { StageTable } from './types';

const OPEN_TODAY = practice<Range>([0, 0], 'opened today');
const WAS_OPEN = practice<Range>([-2, -1], 'was open yesterday or before');
const SLOW_BUDS = 'small buds take some days; the grower’s own records replace it';

/** Male and female flowers of the squash family: one table, as both run the same course. */
export function cucurbitStages(colour: 'yellow' | 'white', dusk = false): StageTable {
  return {
    pin: {
      name: 'pin',
      looks: 'Tiny, green and tight by the growing tip; the sex can already be seen.',
      opensInDays: ours<Range>([3, 8], 'common practice: not before 3-4 days; the far end is ours'),
    },
    green: {
      name: 'green',
      looks: 'Bigger, still green; the petals have not filled out.',
      opensInDays: practice<Range>([2, 2], 'opens the day after tomorrow'),
    },
    coloured: {
      name: 'coloured',
      looks: `Full and plump, ${colour} showing along the petals, still shut.`,
      opensInDays: dusk
        ? handbook<Range>([0, 1], 'opens towards evening; general texts')
        : practice<Range>([1, 1], 'opens tomorrow'),
    },
    open: { name: 'open', looks: 'Open now.', opensInDays: OPEN_TODAY },
    spent: { name: 'spent', looks: 'Limp, closed again, wilted.', opensInDays: WAS_OPEN },
  };
}

/** Ear shoots of corn, from the first bulge to dry silk. */
export const earStages: StageTable = {
  pin: {
    name: 'just showing',
    looks: 'The tip of an ear shoot shows in the joint between leaf and stalk.',
    opensInDays: ours<Range>([4, 6], SLOW_BUDS),
  },
  green: {
    name: 'shoot out',
    looks: 'The ear shoot stands out of its leaf joint, flat and tight; no silk.',
    opensInDays: ours<Range>([2, 3], SLOW_BUDS),
  },
  coloured: {
    name: 'plump shoot',
    looks: 'The shoot is round and plump, its tip loosening; still no silk.',
    opensInDays: ours<Range>([1, 1], 'silk follows a loosened tip within a day or so'),
  },
  open: {
    name: 'silk out',
    looks: 'Fresh, pale, moist silks hang out of the tip.',
    opensInDays: practice<Range>([0, 0], 'silk out'),
  },
  spent: {
    name: 'silk brown',
    looks: 'The silks are brown and dry.',
    opensInDays: WAS_OPEN,
  },
};

/** Tassels of corn. */
export const tasselStages: StageTable = {
  pin: {
    name: 'in the whorl',
    looks: 'The tassel is still wrapped in the topmost leaves.',
    opensInDays: ours<Range>([5, 7], SLOW_BUDS),
  },
  green: {
    name: 'tassel out',
    looks: 'The tassel stands free; its branches are tight and still pressed to the stalk.',
    opensInDays: ours<Range>([2, 4], SLOW_BUDS),
  },
  coloured: {
    name: 'branches spread',
    looks: 'The branches spread and the spikelets swell; no anther hangs out yet.',
    opensInDays: ours<Range>([1, 1], 'anthers follow within a day or so'),
  },
  open: {
    name: 'shedding',
    looks: 'Anthers hang out and shed yellow dust at a tap.',
    opensInDays: practice<Range>([0, 0], 'anthers hanging and shedding'),
  },
  spent: {
    name: 'shed out',
    looks: 'Dry empty anthers; no dust at a tap.',
    opensInDays: practice<Range>([-8, -1], 'shed for some days'),
  },
};

/** Perfect flowers whose buds are read by the colour of the petals. */
export function perfectStages(colour: string): StageTable {
  return {
    pin: {
      name: 'tight bud',
      looks: 'A small bud wrapped wholly in its green sepals.',
      opensInDays: ours<Range>([4, 6], SLOW_BUDS),
    },
    green: {
      name: 'green petals',
      looks: 'The sepals part a little; the petals between them are still green.',
      opensInDays: ours<Range>([2, 3], SLOW_BUDS),
    },
    coloured: {
      name: 'pale, parting',
      looks: `The petals have turned pale ${colour} and are just parting; still shut.`,
      opensInDays: practice<Range>([1, 1], 'petals pale, just parting: opens next day'),
    },
    open: { name: 'open', looks: 'Fully open: it has already pollinated itself.', opensInDays: OPEN_TODAY },
    spent: { name: 'spent', looks: 'Petals withered or fallen.', opensInDays: WAS_OPEN },
  };
}

/** Strawberry flowers, which stand in trusses. */
export const strawberryStages: StageTable = {
  ...perfectStages('white'),
  pin: {
    name: 'tight bud',
    looks: 'A small green ball in the middle of the truss, no petal to be seen.',
    opensInDays: ours<Range>([4, 6], SLOW_BUDS),
  },
  green: {
    name: 'green bud',
    looks: 'A larger bud, sepals parting; the petals are still greenish and folded.',
    opensInDays: ours<Range>([2, 3], SLOW_BUDS),
  },
  coloured: {
    name: 'white bud',
    looks: 'White petals stand between the sepals like a small balloon, still shut.',
    opensInDays: ours<Range>([1, 1], 'opens next day'),
  },
  open: {
    name: 'open',
    looks: 'Wide open: white petals round a yellow middle.',
    opensInDays: OPEN_TODAY,
  },
};
