import { handbook, ours, paper, practice, type Range } from './facts';
import { cucurbitStages } from './stages';
import type { Crop, Look, OpenClock } from './types';

/** The source of what general books on growing agree on. */
export const GENERAL = 'general growing texts';
/** The source of distances and of plants to save from. */
export const SEED_GUIDES = 'US seed-saving guides';

const vineLooks: readonly Look[] = [
  { day: 3, expect: 'If it took: the ovary swells and the flower dries. If not: no change yet.' },
  {
    day: 5,
    expect:
      'If it took: the centre of the flower is brown and the fruit grows. If not: the same size, and the tip discolours.',
  },
  { day: 8, expect: 'If it took: it plainly grows. If not: it is yellow and shrivels from the tip.' },
];

/** The same of a bottle gourd, which is measured sooner than it is seen. */
const gourdLooks: readonly Look[] = vineLooks.map((look) =>
  look.day === 5
    ? {
        ...look,
        expect:
          'If it took: about 75 mm long, from some 25 mm on the evening it was worked. If not: the same size.',
      }
    : look,
);

const squashClock = {
  round: 'dawn',
  opensMin: ours(-25, 'growers go out at first light and find squash open or opening'),
  bestBeforeNoonMin: ours(240, 'pollen dies through the morning: early is better'),
  shutBeforeNoonMin: practice(180, 'over by about 10:00 in summer, three hours before solar noon'),
} as const satisfies OpenClock;

const smallFlowerClock = {
  round: 'dawn',
  opensMin: ours(75, 'common practice: a little after sunrise; at 07:30 some are open and some not yet'),
  bestBeforeNoonMin: handbook(60, `${GENERAL}: best before about noon by the clock`),
  shutBeforeNoonMin: ours(-150, 'general texts: open into the afternoon, shut in the heat of the day'),
} as const satisfies OpenClock;

const gourdClock = {
  round: 'dusk',
  opensMin: ours(-60, 'general texts: opens towards evening'),
  shutAfterSunriseMin: ours(60, 'general texts: over next morning'),
} as const satisfies OpenClock;

/** Anthers open from this temperature on, C. */
const coldPollen = (fromC: number) => paper(fromC, 'Seaton & Kremer 1939');

const squashSexing = practice(
  'A male sits on a thin straight stalk right up to the petals. A female has a swelling between stalk and petals: a small fruit already.',
);
const smallSexing = practice(
  'Flowers are small and male stalks short, so the stalk is a weak sign: look for the ovary, a small fruit behind the petals.',
);

const BITTER =
  'Never eat a bitter fruit: taste a little and spit it out; cooking does not take it away. If anyone is ill after eating it, get medical help. Seed that may have crossed with ornamental gourds can give poisonous fruit.';

const yellow = cucurbitStages('yellow');
const white = cucurbitStages('white', true);

const vine = {
  family: 'cucurbit' as const,
  sexSystem: handbook('monoecious' as const, GENERAL),
  otherSystems: null,
  sexing: smallSexing,
  petals: 'yellow' as const,
  flowers: { female: yellow, male: yellow },
  looks: practice(vineLooks, 'swelling by day 2-3, fruit growing by day 4-5, verdict by day 7-10'),
  perennial: null,
  pollenFromC: null,
  daysToEatYoung: null,
  usuallyPicked: null,
  setShare: ours(0.6, 'as squash'),
  femalesADay: ours<Range>([0.1, 0.4], 'a vine in season'),
  stigmaDays: null,
  pollenDays: null,
  verdictDay: practice(5, 'fruit growing by day 4-5'),
  closures: ['tape', 'mesh-bag', 'cloth-bag', 'tie'] as const,
  tools: ['male-flower', 'brush', 'swab', 'finger'] as const,
  isolationM: handbook<Range>([245, 800], SEED_GUIDES),
  plantsToSave: handbook(
    { viable: [1, 1] as Range, keep: [5, 10] as Range, conserve: [25, 25] as Range },
    SEED_GUIDES,
  ),
  caution: BITTER,
};

const squash = {
  ...vine,
  sexing: squashSexing,
  clock: squashClock,
  pollenFromC: coldPollen(10),
  setShare: handbook(0.6, GENERAL),
  femalesADay: ours<Range>([0.1, 0.3], 'a vining squash in season'),
  malesPerFemale: practice<Range>([1, 4], 'at least one, better two to four males from other plants'),
  minutesPerFemale: ours(3, 'find, open, pollinate, shut again, mark; replaced by the log later'),
  seedsPerFruit: handbook<Range>([100, 400], GENERAL),
  spacingM: ours({ row: 1.5, plant: 1.2 }, 'vining squash on a home patch'),
};

/** The squash family: separate male and female flowers, open for one morning (or one night). */
export const cucurbits: readonly Crop[] = [
  {
    ...squash,
    id: 'squash-pepo',
    name: 'squash (pepo)',
    plural: 'pepo squash',
    botanical: 'Cucurbita pepo',
    kinds: 'courgette, acorn, spaghetti, most small pumpkins, ornamental gourds',
    otherSystems: practice(['parthenocarpic'] as const, 'some courgettes fruit without pollen'),
    usualShape: 'long',
    daysToEat: handbook<Range>([45, 60], `${GENERAL}: picked ripe`),
    daysToEatYoung: handbook<Range>([4, 8], `${GENERAL}: picked young`),
    usuallyPicked: ours('young' as const, 'courgettes and patty pans are what most grow of it'),
    daysToSeed: handbook<Range>([50, 60], GENERAL),
    seedsPerFruit: handbook<Range>([100, 300], GENERAL),
    femalesADay: ours<Range>([0.3, 0.7], 'a courgette in season'),
    spacingM: ours({ row: 1.2, plant: 1 }, 'bush types'),
  },
  {
    ...squash,
    id: 'squash-maxima',
    name: 'squash (maxima)',
    plural: 'maxima squash',
    botanical: 'Cucurbita maxima',
    kinds: 'kabocha, hubbard, giant pumpkins',
    usualShape: 'ribbed',
    daysToEat: handbook<Range>([45, 60], GENERAL),
    daysToSeed: handbook<Range>([50, 75], `${GENERAL}: late kinds 60-75`),
  },
  {
    ...squash,
    id: 'squash-moschata',
    name: 'squash (moschata)',
    plural: 'moschata squash',
    botanical: 'Cucurbita moschata',
    kinds: 'butternut, cheese pumpkins',
    usualShape: 'necked',
    daysToEat: handbook<Range>([45, 60], GENERAL),
    daysToSeed: handbook<Range>([50, 75], `${GENERAL}: late kinds 60-75`),
  },
  {
    ...squash,
    id: 'squash-argyrosperma',
    name: 'squash (cushaw)',
    plural: 'cushaw squash',
    botanical: 'Cucurbita argyrosperma',
    kinds: 'green-striped, silver-seed',
    usualShape: 'necked',
    daysToEat: handbook<Range>([45, 60], GENERAL),
    daysToSeed: handbook<Range>([50, 60], GENERAL),
  },
  {
    ...vine,
    id: 'melon',
    name: 'melon',
    plural: 'melons',
    botanical: 'Cucumis melo',
    kinds: 'muskmelon, honeydew, snake melon',
    sexSystem: handbook('andromonoecious' as const, 'many melons; general texts'),
    otherSystems: handbook(['monoecious'] as const, GENERAL),
    usualShape: 'round',
    clock: smallFlowerClock,
    pollenFromC: coldPollen(18),
    setShare: handbook(0.25, `${GENERAL}: a vine gives up most of its females by nature`),
    femalesADay: ours<Range>([0.5, 1.5], 'a plant in season'),
    malesPerFemale: practice<Range>([1, 3]),
    minutesPerFemale: ours(3.5, 'small flowers are slower to open and shut'),
    daysToEat: handbook<Range>([35, 45], GENERAL),
    daysToEatYoung: handbook<Range>([5, 10], `${GENERAL}: snake melon`),
    usuallyPicked: ours('ripe' as const, 'all but snake melons'),
    daysToSeed: handbook<Range>([35, 60], `${GENERAL}: at slip, later where it doesn’t slip`),
    seedsPerFruit: handbook<Range>([200, 600], GENERAL),
    spacingM: ours({ row: 1.2, plant: 0.6 }, 'on the flat'),
    caution: `The "female" of many melons also has anthers: for a cross they must come out first. ${BITTER}`,
  },
  {
    ...vine,
    id: 'watermelon',
    name: 'watermelon',
    plural: 'watermelons',
    botanical: 'Citrullus lanatus',
    kinds: 'watermelon; citron melon too, as they cross',
    otherSystems: handbook(['andromonoecious'] as const, GENERAL),
    usualShape: 'ribbed',
    clock: smallFlowerClock,
    pollenFromC: coldPollen(15.5),
    setShare: handbook(0.5, GENERAL),
    femalesADay: ours<Range>([0.1, 0.4], 'a plant in season'),
    malesPerFemale: paper<Range>([2, 4], 'Adlerz 1966: 500-1000 grains spread over all three lobes'),
    minutesPerFemale: ours(3.5, 'small flowers are slower to open and shut'),
    daysToEat: handbook<Range>([28, 55], GENERAL),
    daysToSeed: handbook<Range>([28, 55], GENERAL),
    seedsPerFruit: handbook<Range>([200, 800], GENERAL),
    spacingM: ours({ row: 1.8, plant: 1 }, 'on the flat'),
  },
  {
    ...vine,
    id: 'cucumber',
    name: 'cucumber',
    plural: 'cucumbers',
    botanical: 'Cucumis sativus',
    kinds: 'slicing, pickling, long cucumbers',
    otherSystems: practice(
      ['gynoecious', 'parthenocarpic', 'andromonoecious'] as const,
      'some types are nearly all female, or set with no pollen at all; a few old ones have anthers in the females',
    ),
    usualShape: 'long',
    clock: smallFlowerClock,
    pollenFromC: coldPollen(15.5),
    setShare: handbook(0.6, GENERAL),
    femalesADay: ours<Range>([0.5, 1.5], 'a plant in season'),
    malesPerFemale: practice<Range>([1, 3]),
    minutesPerFemale: ours(3.5, 'small flowers are slower to open and shut'),
    daysToEat: handbook<Range>([4, 12], GENERAL),
    daysToSeed: handbook<Range>([35, 50], `${GENERAL}: yellow to orange and fat`),
    seedsPerFruit: handbook<Range>([100, 300], GENERAL),
    spacingM: ours({ row: 1, plant: 0.4 }, 'on a trellis'),
  },
  {
    ...vine,
    id: 'bottle-gourd',
    name: 'bottle gourd',
    plural: 'bottle gourds',
    botanical: 'Lagenaria siceraria',
    kinds: 'bottle gourd, calabash',
    sexing: squashSexing,
    petals: 'white',
    usualShape: 'bottle',
    flowers: { female: white, male: white },
    clock: gourdClock,
    malesPerFemale: practice<Range>([1, 3]),
    minutesPerFemale: ours(3, 'as squash'),
    looks: practice(gourdLooks, 'fruit from about 25 to 75 mm by day 4-5'),
    daysToEat: handbook<Range>([10, 15], GENERAL),
    daysToSeed: handbook<Range>([60, 90], `${GENERAL}: dry and rattling`),
    seedsPerFruit: handbook<Range>([80, 400], GENERAL),
    spacingM: ours({ row: 2, plant: 1.5 }, 'on a trellis'),
  },
  {
    ...vine,
    id: 'luffa',
    name: 'luffa (smooth)',
    plural: 'smooth luffas',
    botanical: 'Luffa aegyptiaca',
    kinds: 'sponge gourd, smooth luffa',
    usualShape: 'long',
    clock: {
      ...smallFlowerClock,
      opensMin: ours(0, 'general texts: smooth luffa opens in the morning'),
    },
    malesPerFemale: practice<Range>([1, 3]),
    minutesPerFemale: ours(3, 'as squash'),
    daysToEat: handbook<Range>([10, 15], GENERAL),
    daysToSeed: handbook<Range>([60, 90], `${GENERAL}: dry and rattling`),
    seedsPerFruit: handbook<Range>([80, 400], GENERAL),
    spacingM: ours({ row: 2, plant: 1 }, 'on a trellis'),
  },
  {
    ...vine,
    id: 'luffa-ridged',
    name: 'luffa (ridged)',
    plural: 'ridged luffas',
    botanical: 'Luffa acutangula',
    kinds: 'ridged or angled luffa',
    usualShape: 'long',
    flowers: { female: cucurbitStages('yellow', true), male: cucurbitStages('yellow', true) },
    clock: { ...gourdClock, opensMin: ours(-90, 'general texts: ridged luffa opens towards evening') },
    malesPerFemale: practice<Range>([1, 3]),
    minutesPerFemale: ours(3, 'as squash'),
    daysToEat: handbook<Range>([10, 15], GENERAL),
    daysToSeed: handbook<Range>([60, 90], `${GENERAL}: dry and rattling`),
    seedsPerFruit: handbook<Range>([80, 400], GENERAL),
    spacingM: ours({ row: 2, plant: 1 }, 'on a trellis'),
  },
  {
    ...vine,
    id: 'bitter-gourd',
    name: 'bitter gourd',
    plural: 'bitter gourds',
    botanical: 'Momordica charantia',
    kinds: 'bitter gourd, bitter melon',
    usualShape: 'long',
    clock: {
      ...smallFlowerClock,
      opensMin: ours(-15, 'general texts: bitter gourd opens in the morning'),
    },
    malesPerFemale: practice<Range>([1, 2]),
    minutesPerFemale: ours(3, 'as squash'),
    daysToEat: ours([12, 20], 'picked green, well before ripe'),
    daysToSeed: ours([25, 40], 'orange and splitting'),
    seedsPerFruit: ours([10, 35], 'few large seeds'),
    spacingM: ours({ row: 1.5, plant: 0.6 }, 'on a trellis'),
    caution:
      'The fruit is bitter by nature: not in pregnancy, nor with diabetes medicines without medical advice. The seeds of ripe fruit are not for eating.',
  },
];
