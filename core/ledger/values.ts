/** What a closure can be found like in the morning. */
export const CLOSURE_FOUND = ['whole', 'torn', 'holed', 'insect', 'not-open', 'gone'] as const;
/** How the closure of a female was found. */
export type ClosureFound = (typeof CLOSURE_FOUND)[number];
/** The same, and a male whose pollen does not come off. */
export const CHECK_RESULTS = [...CLOSURE_FOUND, 'no-pollen'] as const;
/** What the closure looked like at dawn. */
export type CheckResult = (typeof CHECK_RESULTS)[number];

/** What a look at a fruit can say. `bent`: it grows, but bent, pinched or one-sided. */
export const LOOK_RESULTS = ['growing', 'bent', 'same', 'yellowing', 'gone'] as const;
export type LookResult = (typeof LOOK_RESULTS)[number];

/** What a plant showed that it is not true to its variety by: its leaves and vine, its flowers, its fruit, or what came of its seed. */
export const OFF_TYPE_BY = ['leaf', 'flower', 'fruit', 'offspring'] as const;
export type OffTypeBy = (typeof OFF_TYPE_BY)[number];

/** Whether an off-type was pulled before it shed pollen, or after. */
export const ROGUED = ['before', 'after'] as const;
export type Rogued = (typeof ROGUED)[number];

/** Where the seed of a lot is from. */
export const LOT_FROM = ['fruits', 'bought', 'given', 'unknown'] as const;
export type LotFrom = (typeof LOT_FROM)[number];

/** How far plants had grown when they were looked over: only what can show by then counts. */
export const GROW_OUT_STAGES = ['seedling', 'leaf', 'flower', 'fruit'] as const;
export type GrowOutStage = (typeof GROW_OUT_STAGES)[number];

/** What flowers and fruits are lost to. */
export const LOSS_CAUSES = [
  'knocked-off',
  'not-pollinated',
  'poorly-pollinated',
  'blossom-end-rot',
  'wet-rot',
  'too-much-fruit',
  'heat',
  'drought',
  'frost',
  'borer',
  'pest',
  'weather',
  'rot',
  'picked-by-mistake',
  'unknown',
] as const;
export type LossCause = (typeof LOSS_CAUSES)[number];

/** What is done for plants beside their flowers. */
export const CARES = ['watered', 'fed', 'mulched', 'sprayed'] as const;
export type Care = (typeof CARES)[number];

/** What bears a heavy fruit. */
export const PROPS = ['sling', 'board', 'straw', 'stake'] as const;
export type Prop = (typeof PROPS)[number];

/** How a plant looks. */
export const HEALTH = ['healthy', 'doubtful', 'sick'] as const;
export type Health = (typeof HEALTH)[number];

/** Threads that can be told apart in the dusk. */
export const THREAD_COLOURS = ['red', 'white', 'blue', 'yellow', 'black'] as const;
export type ThreadColour = (typeof THREAD_COLOURS)[number];

/** What a flower is pollinated for. */
export const PURPOSES = ['seed', 'kitchen'] as const;
export type Purpose = (typeof PURPOSES)[number];

/** How much a variety’s seed matters to its keeper. */
export const PRECIOUS = ['spare', 'keep', 'rare'] as const;
/** How much the seed is worth: easy to replace, keeps a variety going, or irreplaceable. */
export type Precious = (typeof PRECIOUS)[number];

/** What can lie between a stand and a planting elsewhere. forage: other flowers, on which bees work themselves clean. */
export const BETWEEN = ['hedge', 'building', 'hill', 'water', 'forage', 'open', 'few-flowers'] as const;
export type Between = (typeof BETWEEN)[number];
/** What else is so of a planting elsewhere: larger than one's own, where the wind comes from, beehives near it. */
export const BESIDES = ['larger', 'upwind', 'hives'] as const;
export type Beside = (typeof BESIDES)[number];
/** What is weighed when a distance is chosen within its range: what the seed is worth, what lies between, what is so over there. */
export const WEIGHED = [
  ...PRECIOUS,
  'hedge',
  'building',
  'hill',
  'forage',
  'open',
  'few-flowers',
  'larger',
  'upwind',
  'large-block',
] as const;
export type WeighedReason = (typeof WEIGHED)[number];
/** What stands on the plan and stops pollen or bees. */
export const OBSTACLES = ['hedge', 'building', 'hill', 'water'] as const;
export type ObstacleKind = (typeof OBSTACLES)[number];
/** How a planting elsewhere came to be known. */
export const KNOWN_BY = ['seen', 'told', 'guessed'] as const;
export type KnownBy = (typeof KNOWN_BY)[number];

/** What wanted seed is reckoned in. */
export const SEED_UNITS = ['seeds', 'grams'] as const;

/** A day’s warmth in words, for who has no thermometer. */
export const FELT = ['cold', 'cool', 'mild', 'warm', 'hot'] as const;
export type Felt = (typeof FELT)[number];

/** Where a day’s weather was read. */
export const WEATHER_ORIGINS = ['hand', 'file', 'station'] as const;
export type WeatherOrigin = (typeof WEATHER_ORIGINS)[number];

/** What can be noted the moment it happens. */
export const CLOCK_NOTES = ['opened', 'shut', 'insects'] as const;
/** Something seen at that moment: the flowers of a stand open, or have shut; insects are about. */
export type ClockNote = (typeof CLOCK_NOTES)[number];

/** What a fruit is picked for. */
export const HARVEST_FOR = ['kitchen', 'seed'] as const;

/** What can stand over a bed. A closed house has its vents shut or netted; a tunnel is open at its ends. */
export const SHELTERS = ['tunnel', 'net', 'cage', 'closed-house', 'indoors'] as const;
export type Shelter = (typeof SHELTERS)[number];

/**
 * Whether insects are kept out of a shelter, can get in, or were put in while others are kept out; in turn: it comes off on some days,
 * while the cages of the varieties that cross with it stay shut.
 */
export const SHELTER_INSECTS = ['out', 'in', 'put-in', 'in-turn'] as const;
export type ShelterInsects = (typeof SHELTER_INSECTS)[number];

/** A mesh of 1 mm or less, which keeps small bees out, or a wider one (general texts on seed saving, from memory). */
export const MESHES = ['fine', 'wide'] as const;
export type Mesh = (typeof MESHES)[number];

/** Why a shut flower was never worked on its morning. */
export const MISSED_WHY = ['not-reached', 'already-shut', 'no-male', 'weather', 'unknown'] as const;
export type MissedWhy = (typeof MISSED_WHY)[number];
