import { isWhole, roundDateOf } from '../bloom';
import { cropOf, type Closure, type Crop, type CropId } from '../crops';
import type { EventId, FlowerId, PlantId, StandId, VarietyId } from '../ids';
import type { Flower, GroupHow, LossCause, MissedWhy, Purpose, State } from '../ledger';
import { flowersOn, growing, type Growing } from '../patch';
import { localDateOf, type LocalDate } from '../time';
import { remembered } from '../remember';
import { fateFacts, fateOn, hungAt, type Fate, type FateFacts } from './fate';

/** What became of a trial. harvested: set, and picked. missed: shut, and never worked on its morning. */
export type Outcome = Fate | 'harvested' | 'missed';

/**
 * One row of the table that every count, rate and statistic reads: a female flower, or a group counted together. What hangs on
 * the day (`outcomeOn`), the place (`minutesAfterSunrise`) or its neighbours (`fruitsBefore`) is asked of the row, so that a row
 * changes only when its own flower does.
 */
export interface Trial {
  readonly id: FlowerId | EventId;
  readonly kind: 'flower' | 'group';
  readonly stand: StandId;
  readonly variety: VarietyId;
  readonly crop: CropId;
  /** `null`: a whole stand or tray. */
  readonly plant: PlantId | null;
  /** The year of the garden day; a group's first. */
  readonly season: number;
  readonly node: number | null;
  /** When it was first worked; `null` for one that was missed, and for groups counted by the day. */
  readonly at: string | null;
  /** The garden day it was worked on (or was to be), and a group's last. */
  readonly on: LocalDate;
  readonly until: LocalDate;
  readonly by: string | null;
  /** The tool, or how else a group came to its pollen; `null`: not recorded. */
  readonly how: GroupHow | null;
  /** Every father named in any of its pollinations, with the males used. */
  readonly fathers: readonly { readonly plant: PlantId; readonly males: number }[];
  readonly males: number;
  readonly purpose: Purpose | null;
  readonly lobes: number | null;
  readonly closureBefore: Closure | null;
  readonly closureAfter: Closure | 'open' | null;
  readonly looks: number;
  /** Flowers in it: 1, or a group's count. */
  readonly worked: number;
  /** Of a group: how many set, and how many of these were bent; `null` where nobody counted. */
  readonly set: number | null;
  /** Of a flower: 1 when it was last seen growing bent, 0 when growing straight. */
  readonly bent: number | null;
  readonly facts: FateFacts | null;
  readonly harvested: boolean;
  readonly cause: LossCause | null;
  /** Why it was not worked, where somebody said so. */
  readonly missed: MissedWhy | null;
}

/** What a flower's row says of its plant. */
export interface GrownAs {
  readonly stand: StandId;
  readonly variety: VarietyId;
  readonly crop: CropId;
}

/** A flower's row; `null` when it is no trial: a male, or a female neither worked nor shut whole. */
export function trialOf(flower: Flower, { stand, variety }: Growing, zone: string): Trial | null {
  return trialOn(flower, { stand: stand.id, variety: variety.id, crop: variety.crop }, zone);
}

/** `trialOf` where it is known what its plant is grown as. */
export const trialOn = remembered(
  'trial',
  (flower: Flower, { stand, variety, crop }: GrownAs, zone: string) => ({
    flower,
    stand,
    variety,
    crop,
    zone,
  }),
  rowOf,
);

function rowOf({
  flower,
  stand,
  variety,
  crop: cropId,
  zone,
}: GrownAs & { readonly flower: Flower; readonly zone: string }): Trial | null {
  const crop = cropOf(cropId);
  if (flower.sex === 'male') return null;
  const first = flower.pollinations[0] ?? flower.left;
  const last = flower.pollinations[flower.pollinations.length - 1];
  const on = first
    ? localDateOf(Date.parse(first.at), zone)
    : (openDay(flower, crop, zone) ??
      (flower.missed ? localDateOf(Date.parse(flower.missed.at), zone) : null));
  if (on === null) return null;
  const fathers = new Map<PlantId, number>();
  for (const { fathers: used } of flower.pollinations)
    for (const father of used) fathers.set(father.plant, (fathers.get(father.plant) ?? 0) + father.males);
  return {
    id: flower.id,
    kind: 'flower',
    stand,
    variety,
    crop: cropId,
    plant: flower.plant,
    season: Number(on.slice(0, 4)),
    node: flower.node,
    at: first?.at ?? null,
    on,
    until: on,
    by: first?.by ?? null,
    how: last ? (last.tool ?? null) : flower.left ? 'insects' : null,
    fathers: [...fathers].map(([id, males]) => ({ plant: id, males })),
    males: [...fathers.values()].reduce((a, b) => a + b, 0),
    purpose: last?.purpose ?? null,
    lobes: last?.lobes ?? null,
    closureBefore: flower.shuttings[0]?.closure ?? null,
    closureAfter: last?.shutAgain ?? null,
    looks: flower.looks.length,
    worked: 1,
    set: null,
    bent: bentOf(flower),
    facts: fateFacts(flower, crop, zone),
    harvested: flower.harvested !== null,
    cause: flower.lost?.cause ?? null,
    missed: flower.missed?.why ?? null,
  };
}

/** Whether the fruit was bent when last seen to grow; `null` where nobody saw it grow. */
function bentOf({ looks }: Flower): number | null {
  const grown = looks.filter(({ result }) => result === 'growing' || result === 'bent').at(-1);
  return grown ? Number(grown.result === 'bent') : null;
}

/** The day on which a shut female was to be worked; `null` when it could not be: torn, lost, never shut. */
function openDay(flower: Flower, crop: Crop, zone: string): LocalDate | null {
  if (crop.family === 'corn' || flower.lost || flower.harvested) return null;
  return flower.checks.every(({ result }) => isWhole(result)) ? roundDateOf(flower, crop, zone) : null;
}

/**
 * What became of a trial by a garden day; `null` while its morning is still to come. A tally that nobody counted afterwards waits
 * for its verdict, and after the grace is not looked at.
 * @example outcomeOn(trials[0], '2026-07-13') // 'set'
 */
export function outcomeOn(trial: Trial, today: LocalDate): Outcome | null {
  const crop = cropOf(trial.crop);
  if (trial.kind === 'group') {
    if (trial.set !== null) return 'set';
    return fateOn({ day0: trial.until, set: null, failed: null }, crop, today);
  }
  if (trial.facts === null) return trial.on < today || trial.missed !== null ? 'missed' : null;
  const fate = fateOn(trial.facts, crop, today);
  return fate === 'set' && trial.harvested ? 'harvested' : fate;
}

/**
 * Between which days after its pollination the outcome came about: after the look before, by the look that shows it.
 * @example outcomeDays(trials[0]) // { after: 0, by: 6 }
 */
export function outcomeDays({ facts }: Trial): { readonly after: number; readonly by: number } | null {
  const told = facts?.failed ?? facts?.set;
  return told ? { after: told.after, by: told.day } : null;
}

/**
 * Minutes from that day's sunrise (ms) to the work; `null` without a time.
 * @example minutesAfterSunrise({ at: '2026-07-06T04:10:00.000Z' }, Date.UTC(2026, 6, 6, 3, 20)) // 50
 */
export function minutesAfterSunrise({ at }: Pick<Trial, 'at'>, sunriseMs: number): number | null {
  return at === null ? null : Math.round((Date.parse(at) - sunriseMs) / 60_000);
}

/**
 * Minutes from the opening to the work, where somebody noted that day when the stand's flowers opened.
 * @example minutesAfterOpening(state, trials[0], zone) // null
 */
export function minutesAfterOpening(state: State, trial: Trial, zone: string): number | null {
  const { at, on } = trial;
  if (at === null) return null;
  const noted = state.stands
    .get(trial.stand)
    ?.clock.find((note) => note.what === 'opened' && localDateOf(Date.parse(note.at), zone) === on);
  return noted ? Math.round((Date.parse(at) - Date.parse(noted.at)) / 60_000) : null;
}

/**
 * Fruits that stood on the plant when a flower was worked: set by then, and neither lost nor picked.
 * @example fruitsBefore(state, trials[0], zone) // 0
 */
export function fruitsBefore(state: State, trial: Trial, zone: string): number | null {
  const { at, plant } = trial;
  const found = plant === null || at === null ? null : growing(state, plant);
  if (!found || at === null) return null;
  return flowersOn(state, found.plant.id).filter((flower) => {
    const facts = flower.id === trial.id ? null : fateFacts(flower, found.crop, zone);
    return facts !== null && hungAt(facts, at);
  }).length;
}
