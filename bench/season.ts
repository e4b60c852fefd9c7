import { bloomOutlook, bloomDayOf } from '../core/bloom';
import { closureFacts, cropOf } from '../core/crops';
import { fateOf, workTime } from '../core/fruitset';
import type { PlantId } from '../core/ids';
import type { Stand } from '../core/ledger';
import { seededRandom, type Random } from '../core/random';
import { goalSum, tonightPlan, type GoalStanding } from '../core/goals';
import { planRound } from '../core/planning';
import { dawnQuestion, looksDue, pollinationRound } from '../core/rounds';
import { TEST_PLACE, TestGarden } from '../core/testGarden';
import { addDays, atLocalTime, type LocalDate } from '../core/time';

const START: LocalDate = '2026-07-01';
const CROP = cropOf('squash-maxima');
/** Days after which a look tells, and the season's tail for the last ones. */
const TAIL = 9;

/**
 * The truth of one virtual season, of a family of its own (a bell curve on the log-odds, heat and rain that come and go, plants
 * that flower in fits): it shares no formula with the planner.
 */
interface Truth {
  readonly random: Random;
  readonly setOdds: number;
  readonly wholeShare: number;
  readonly heatOn: ReadonlySet<LocalDate>;
  /** Days on which a female opens, by plant. */
  readonly females: ReadonlyMap<string, readonly LocalDate[]>;
}

const bell = (random: Random) => random() + random() + random() + random() - 2;
const share = (odds: number) => 1 / (1 + Math.exp(-odds));

function truthOf(seed: number, plants: readonly PlantId[], days: number): Truth {
  const random = seededRandom(seed * 6007 + 11);
  const heatOn = new Set<LocalDate>();
  for (let d = 0; d < days; d++)
    if (random() < 0.12) for (let k = 0; k < 3; k++) heatOn.add(addDays(START, d + k));
  // One season has twice as many openings as another, round what is usual for a vine of squash (common practice: one in 3 to 10 days).
  const slow = 0.8 + 1.1 * random();
  const females = new Map(
    plants.map((id) => {
      const opens: LocalDate[] = [];
      let day = random() * 4;
      while (day < days) {
        opens.push(addDays(START, Math.floor(day)));
        // In fits and starts: two close together, then a pause.
        day += slow * (random() < 0.35 ? 1 + random() : 3 + random() * 4);
      }
      return [id as string, opens] as const;
    }),
  );
  return {
    random,
    setOdds: 0.55 + 1.1 * bell(random),
    wholeShare: 0.78 + 0.2 * random(),
    heatOn,
    females,
  };
}

export interface SeasonRun {
  readonly said: GoalStanding;
  /** The chance shown on the first evening. */
  readonly chance: number;
  /** The chances shown on the first evening and, while it went on, on every fifth after. */
  readonly chances: readonly number[];
  readonly reached: boolean;
  readonly shut: number;
  readonly wanted: number;
  readonly set: number;
  /** Shutting in the evening, males too, and working in the morning. */
  readonly minutes: number;
}

/** plan: what `tonightPlan` asks for. sum: all that the goal's plain sum still lacks. all: every female in colour. */
export type Shutting = 'plan' | 'sum' | 'all';

/** One season by our plans: each evening what `tonightPlan` asks for is shut, each dawn what `planRound` orders is worked, every day is looked at. */
export function runSeason(seed: number, shutting: Shutting = 'plan'): SeasonRun {
  const dice = seededRandom(seed);
  const garden = new TestGarden(TEST_PLACE, addDays(START, -40), seed);
  const planted = garden.plant(CROP.id, 'Bench Lamp', 6 + Math.floor(dice() * 10));
  const stand = () => garden.state.stands.get(planted.stand) as Stand;
  const useful = 10 + Math.floor(dice() * 25);
  const fruits = 3 + Math.floor(dice() * 16);
  const truth = truthOf(seed, planted.plants, useful);
  const ripens = CROP.daysToSeed?.value[1] ?? 60;
  garden.goal(planted.stand, {
    seed: { amount: fruits * 100, unit: 'seeds' },
    by: addDays(START, useful + ripens - 1),
    bent: { seedsPerFruit: 100 },
  });
  const fates = new Map<string, boolean>();
  let said: GoalStanding | null = null;
  let chance = 1;
  const chances: number[] = [];
  let shut = 0;
  for (let d = 0; d < useful + TAIL; d++) {
    const date = addDays(START, d - 1);
    if (d < useful) {
      const sum = goalSum(garden.state, TEST_PLACE, stand(), date);
      if (sum && d % 5 === 0 && sum.standing !== 'done') chances.push(sum.plan.chance);
      if (said === null) [said, chance] = [sum?.standing ?? 'done', sum?.plan.chance ?? 1];
      const most = { plan: null, sum: sum?.femalesToShut ?? 0, all: Infinity }[shutting];
      shut += evening(garden, truth, date, most);
      dawn(garden, truth, addDays(date, 1), fates);
    }
    looks(garden, addDays(date, 1), fates);
  }
  let [set, minutes] = [0, 0];
  const work = workTime(garden.state, CROP).minutes;
  for (const flower of garden.state.flowers.values()) {
    if (fateOf(flower, CROP, TEST_PLACE.zone, '2027-01-01') === 'set') set++;
    if (flower.shuttings.length > 0) minutes += closureFacts('tape').minutes.value;
    minutes += flower.pollinations.length * work;
  }
  return {
    said: said ?? 'done',
    chance,
    chances,
    reached: set >= fruits,
    shut,
    wanted: fruits,
    set,
    minutes,
  };
}

/** `most`: so many females, the first that come; `null`: by the plan. */
function evening(garden: TestGarden, truth: Truth, date: LocalDate, most: number | null): number {
  let at = atLocalTime(date, 19, 30, TEST_PLACE.zone);
  const tomorrow = addDays(date, 1);
  for (const [plantId, opens] of truth.females) {
    const see = (stage: 'coloured' | 'green', sex: 'female' | 'male', node: number | null) => {
      garden.see((at += 10_000), plantId as PlantId, sex, stage, node);
    };
    // One in twenty is read a day too early.
    for (const day of opens)
      if (day === tomorrow || (day === addDays(tomorrow, 1) && truth.random() < 0.05))
        see('coloured', 'female', null);
    for (let males = 0; males < 3; males++) see('coloured', 'male', null);
  }
  const outlook = bloomOutlook({ state: garden.state, zone: TEST_PLACE.zone, from: tomorrow });
  const plan = tonightPlan(garden.state, TEST_PLACE, date, outlook);
  if (most !== null) return shutFirst(garden, outlook, most, at);
  let females = 0;
  for (const { growing, females: shut, males } of plan.plants) {
    for (const { flower } of shut) {
      garden.write((at += 20_000), { kind: 'flowerShut', flower: flower.id, closure: 'tape' });
      females++;
    }
    const open = (garden.state.flowersOf.get(growing.plant.id) ?? []).filter((id) => {
      const flower = garden.state.flowers.get(id);
      const seen = flower?.sightings[0];
      return (
        flower?.sex === 'male' &&
        flower.shuttings.length === 0 &&
        seen &&
        Date.parse(seen.at) > at - 7_200_000
      );
    });
    for (const id of open.slice(0, males))
      garden.write((at += 15_000), { kind: 'flowerShut', flower: id, closure: 'tape' });
  }
  return females;
}

/** So many females that are in colour tonight, and two males for each. */
function shutFirst(
  garden: TestGarden,
  outlook: ReturnType<typeof bloomOutlook>,
  most: number,
  from: number,
): number {
  let at = from;
  const fresh = outlook
    .flatMap(({ buds }) => buds)
    .filter(({ flower }) => flower && flower.shuttings.length === 0)
    .filter(({ flower }) => Date.parse(flower?.sightings.at(-1)?.at ?? '') > from - 7_200_000);
  const females = fresh.filter(({ sex }) => sex === 'female').slice(0, most);
  const males = fresh.filter(({ sex }) => sex === 'male').slice(0, females.length * 2 + 1);
  for (const { flower } of females.length === 0 ? [] : [...females, ...males])
    if (flower) garden.write((at += 20_000), { kind: 'flowerShut', flower: flower.id, closure: 'tape' });
  return females.length;
}

function dawn(garden: TestGarden, truth: Truth, date: LocalDate, fates: Map<string, boolean>): void {
  const round = pollinationRound(garden.state, TEST_PLACE, date, 'dawn');
  if (!round) return;
  const morning = bloomDayOf(garden.state, TEST_PLACE, date);
  const question = dawnQuestion(garden.state, TEST_PLACE, date, 'dawn', morning, {
    now: round.window.opens,
    people: ['me'],
    deadline: round.end,
  });
  const plan = planRound({ ...question.request, effort: 20_000 });
  const males = new Map<string, string[]>();
  for (const { female, male } of question.match.pairs)
    males.set(female, [...(males.get(female) ?? []), male]);
  for (const { id, end } of plan.routes[0]?.stops ?? []) {
    const flower = garden.state.flowers.get(id as never);
    if (!flower || flower.sex !== 'female') continue;
    const opensLater = !(truth.females.get(flower.plant) ?? []).includes(date);
    const whole = truth.random() < truth.wholeShare;
    const result = opensLater ? 'not-open' : whole ? 'whole' : 'torn';
    garden.write(end - 60_000, { kind: 'closureChecked', flower: flower.id, result });
    if (result !== 'whole') continue;
    const fathers = (males.get(id) ?? []).flatMap((male) => {
      const from = garden.state.flowers.get(male as never);
      return from ? [{ plant: from.plant, males: 1, flowers: [from.id] }] : [];
    });
    if (fathers.length === 0) continue;
    garden.write(end, {
      kind: 'pollinated',
      flower: flower.id,
      fathers,
      tool: 'male-flower',
      shutAgain: 'tape',
      purpose: 'seed',
    });
    const odds = truth.setOdds - (truth.heatOn.has(date) ? 0.7 : 0) - (fathers.length < 2 ? 0.5 : 0);
    fates.set(flower.id, truth.random() < share(odds));
  }
}

function looks(garden: TestGarden, date: LocalDate, fates: ReadonlyMap<string, boolean>): void {
  const at = atLocalTime(date, 10, 0, TEST_PLACE.zone);
  for (const { flower, due } of looksDue(garden.state, TEST_PLACE.zone, date))
    garden.write(at, {
      kind: 'lookedAt',
      flower: flower.id,
      result: fates.get(flower.id) ? 'growing' : due.day >= 5 ? 'yellowing' : 'same',
      sizeMm: null,
    });
}

const shareOf = <T>(all: readonly T[], is: (each: T) => boolean) =>
  ((100 * all.filter(is).length) / Math.max(1, all.length)).toFixed(1);
const median = (numbers: readonly number[]) =>
  [...numbers].sort((a, b) => a - b)[Math.floor(numbers.length / 2)] ?? 0;

/**
 * How often goals were reached where 90 % assurance was asked for, by what they were called at first; whether the chances shown held; and
 * what the plan saves against the plain sum and against shutting all there is, in the same seasons.
 */
export function benchSeasons(seeds: number): void {
  const all = Array.from({ length: seeds }, (_, i) => i + 1);
  const runs = all.map((seed) => runSeason(seed));
  for (const said of new Set(runs.map((run) => run.said))) {
    const these = runs.filter((run) => run.said === said);
    console.log(
      `seasons said ${said}: ${shareOf(these, ({ reached }) => reached)} % of ${these.length} reached`,
    );
  }
  const shown = runs.flatMap(({ chances, reached }) => chances.map((chance) => ({ chance, reached })));
  for (let tenth = 0; tenth < 10; tenth++) {
    const these = shown.filter(({ chance }) => Math.min(9, Math.floor(chance * 10)) === tenth);
    if (these.length > 0)
      console.log(
        `chances of ${tenth * 10}-${tenth * 10 + 10} in 100: ${shareOf(these, ({ reached }) => reached)} % of ${these.length} came true`,
      );
  }
  for (const shutting of ['plan', 'sum', 'all'] as const) {
    const these = shutting === 'plan' ? runs : all.map((seed) => runSeason(seed, shutting));
    const sum = (of: (run: SeasonRun) => number) => these.reduce((total, run) => total + of(run), 0);
    console.log(
      `shut by ${shutting}: ${shareOf(these, ({ reached }) => reached)} % reached; females shut for a fruit wanted: median ${median(these.map(({ shut, wanted }) => shut / wanted)).toFixed(2)}, ${(sum(({ shut }) => shut) / sum(({ wanted }) => wanted)).toFixed(2)} in all; fruits too many: ${(sum(({ set, wanted }) => Math.max(0, set - wanted)) / these.length).toFixed(2)} a season; minutes for a fruit wanted: median ${median(these.map(({ minutes, wanted }) => minutes / wanted)).toFixed(1)}`,
    );
  }
}
