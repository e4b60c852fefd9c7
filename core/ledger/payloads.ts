import Joi from 'joi';
import {
  CLOSURES,
  CROP_IDS,
  FRUIT_SHAPES,
  NEIGHBOUR_IDS,
  PEPPER_SPECIES,
  PICKED,
  REASONS,
  SCHOOLS,
  SEX_SYSTEMS,
  SEXES,
  STAGES,
  TOOLS,
} from '../crops';
import { EVENT_ID, SUBJECT_KINDS, subjectIdPattern, type SubjectKind } from '../ids';
import { isInstant, isLocalDate, isZone } from '../time';
import { type EventKind } from './events';
import {
  BESIDES,
  BETWEEN,
  CHECK_RESULTS,
  CLOCK_NOTES,
  FELT,
  HARVEST_FOR,
  HEALTH,
  KNOWN_BY,
  LOOK_RESULTS,
  LOSS_CAUSES,
  MISSED_WHY,
  PRECIOUS,
  PURPOSES,
  SEED_UNITS,
  SHELTERS,
  THREAD_COLOURS,
  WEATHER_ORIGINS,
} from './values';

// Characters that draw nothing or turn the reading direction round: a name holding them shows as another name.
const UNSEEN = /[\u0000-\u0008\u000b-\u001f\u007f\u202a-\u202e\u2066-\u2069\ufeff]/;

/** Text of at most so many characters without unseen ones; over several lines where `lines` says so. */
export const text = (most: number, lines = false) =>
  Joi.string()
    .max(most)
    .custom((value: string, helpers) =>
      UNSEEN.test(value) || (!lines && /[\n\t]/.test(value)) ? helpers.error('text.unseen') : value,
    );
const name = text(80).trim().min(1).required();
const id = (kind: SubjectKind) => Joi.string().pattern(subjectIdPattern(kind)).required();
const oneOf = (values: readonly string[]) =>
  Joi.string()
    .valid(...values)
    .required();
const someOf = (values: readonly string[]) =>
  Joi.array()
    .items(Joi.string().valid(...values))
    .max(values.length)
    .unique()
    .required();
const EARLIEST = '1990-01-01';
const LATEST = '2200-01-01';
/** An instant within the years a garden log can speak of. */
export const instant = Joi.string().custom((value: string, helpers) =>
  isInstant(value) && value >= EARLIEST && value < LATEST ? value : helpers.error('time.instant'),
);
const localDate = Joi.string().custom((value: string, helpers) =>
  isLocalDate(value) && value >= EARLIEST && value < LATEST ? value : helpers.error('time.date'),
);
const metres = Joi.number().min(-10_000).max(10_000);
const count = Joi.number().integer().min(0);

/** Bounds that the place form and the ledger share. */
export const placeSchema = Joi.object({
  name: name.label('place name'),
  latitude: Joi.number().min(-90).max(90).required(),
  longitude: Joi.number().min(-180).max(180).required(),
  zone: Joi.string()
    .required()
    .custom((value: string, helpers) => (isZone(value) ? value : helpers.error('time.zone'))),
});

const anySubject = () =>
  Joi.string()
    .pattern(new RegExp(SUBJECT_KINDS.map((kind) => subjectIdPattern(kind).source).join('|')))
    .required();

const share = () => Joi.number().greater(0).max(1);
const goal = () =>
  Joi.object({
    kitchenFruits: count.min(1).max(100_000).allow(null).required(),
    seed: Joi.object({ amount: Joi.number().greater(0).max(10_000_000).required(), unit: oneOf(SEED_UNITS) })
      .allow(null)
      .required(),
    mothers: count.min(1).max(1000).allow(null).required(),
    fathers: count.min(1).max(1000).allow(null).required(),
    fatherVariety: Joi.string().pattern(subjectIdPattern('variety')).allow(null).required(),
    by: localDate.allow(null).required(),
    precious: oneOf(PRECIOUS),
    assurance: Joi.number().min(0.5).max(0.99).required(),
    bent: Joi.object({
      seedsPerFruit: Joi.number().greater(0).max(100_000),
      setShare: share(),
      wholeShare: share(),
      malesPerFemale: Joi.number().integer().min(1).max(4),
    }).required(),
  });

const celsius = Joi.number().min(-60).max(60).allow(null).required();
/** One day of weather: the same rule for a hand, a file and a station. */
export const notedDay = Joi.object({
  date: localDate.required(),
  minC: celsius,
  maxC: celsius,
  rainMm: Joi.number().min(0).max(2000).allow(null).required(),
  dewPointC: celsius,
  felt: Joi.string()
    .valid(...FELT)
    .allow(null)
    .required(),
  windFromDeg: Joi.number().min(0).less(360).allow(null).optional(),
}).custom((day: { minC: number | null; maxC: number | null }, helpers) =>
  day.minC !== null && day.maxC !== null && day.maxC < day.minC ? helpers.error('weather.order') : day,
);
/** A year and a leap day at once: a longer file becomes several events. */
export const MOST_DAYS = 366;

/**
 * The fields of each kind of event besides those that all have. Made when a kind is first met: all at once would cost the first
 * tap after opening most of its time.
 */
export const payloads: Readonly<Record<EventKind, () => Joi.SchemaMap>> = {
  patchBegun: () => ({ patch: id('patch'), name }),
  placeSet: () => ({ patch: id('patch'), place: placeSchema.required() }),
  schoolChosen: () => ({
    patch: id('patch'),
    school: oneOf(SCHOOLS.map((school) => school.key)),
    choice: text(40).required(),
  }),
  bedAdded: () => ({
    bed: id('bed'),
    patch: id('patch'),
    name,
    xM: metres.required(),
    yM: metres.required(),
    lengthM: Joi.number().greater(0).max(1000).required(),
    widthM: Joi.number().greater(0).max(1000).required(),
  }),
  shelterSet: () => ({
    bed: id('bed'),
    shelter: Joi.string()
      .valid(...SHELTERS)
      .allow(null)
      .required(),
    insects: oneOf(['out', 'in']),
    lampHours: Joi.number().min(0).max(24).allow(null).required(),
    from: localDate.required(),
    to: localDate.allow(null).required(),
  }),
  neighbourNoted: () => ({
    neighbour: id('neighbour'),
    patch: id('patch'),
    crop: oneOf([...CROP_IDS, ...NEIGHBOUR_IDS]),
    species: Joi.string()
      .valid(...PEPPER_SPECIES)
      .optional(),
    variety: text(80).trim().min(1).allow(null).required(),
    plants: count.min(1).max(10_000_000).allow(null).required(),
    distanceM: Joi.number().min(0).max(20_000).required(),
    bearingDeg: Joi.number().min(0).less(360).allow(null).required(),
    between: someOf(BETWEEN),
    besides: someOf(BESIDES),
    bloomFrom: localDate.allow(null).required(),
    bloomTo: localDate.allow(null).required(),
    knownBy: oneOf(KNOWN_BY),
  }),
  neighbourGone: () => ({ neighbour: id('neighbour') }),
  varietyAdded: () => ({
    variety: id('variety'),
    patch: id('patch'),
    name,
    crop: oneOf(CROP_IDS),
    shape: oneOf(FRUIT_SHAPES),
    system: Joi.string()
      .valid(...SEX_SYSTEMS)
      .optional(),
    traits: Joi.object({
      species: Joi.string()
        .valid(...PEPPER_SPECIES)
        .optional(),
      picked: Joi.string()
        .valid(...PICKED)
        .optional(),
      f1: Joi.boolean().optional(),
      seedless: Joi.boolean().optional(),
      small: Joi.boolean().optional(),
    }).optional(),
  }),
  standAdded: () => ({ stand: id('stand'), bed: id('bed'), variety: id('variety'), reason: oneOf(REASONS) }),
  reasonSet: () => ({
    subject: Joi.string()
      .pattern(
        new RegExp(
          (['stand', 'plant', 'flower'] as const).map((kind) => subjectIdPattern(kind).source).join('|'),
        ),
      )
      .required(),
    reason: oneOf(REASONS),
  }),
  goalSet: () => ({ stand: id('stand'), goal: goal().allow(null).required() }),
  weatherNoted: () => ({
    patch: id('patch'),
    origin: oneOf(WEATHER_ORIGINS),
    days: Joi.array().items(notedDay).min(1).max(MOST_DAYS).required(),
  }),
  frostExpected: () => ({
    patch: id('patch'),
    frostOn: Joi.string()
      .required()
      .custom((value: string, helpers) =>
        isLocalDate(`2024-${value}`) ? value : helpers.error('time.monthDay'),
      ),
  }),
  clockNoted: () => ({ stand: id('stand'), what: oneOf(CLOCK_NOTES) }),
  plantAdded: () => ({
    plant: id('plant'),
    stand: id('stand'),
    label: text(20).trim().min(1).required(),
    xM: metres.required(),
    yM: metres.required(),
    plantedOn: localDate.allow(null).required(),
  }),
  plantRemoved: () => ({ plant: id('plant') }),
  plantDied: () => ({ plant: id('plant'), cause: oneOf(LOSS_CAUSES) }),
  plantChecked: () => ({ plant: id('plant'), health: oneOf(HEALTH) }),
  plantPassed: () => ({ plant: id('plant') }),
  stripped: () => ({ plant: id('plant') }),
  malesCounted: () => ({ plant: id('plant'), stage: oneOf(STAGES), count: count.max(500).required() }),
  tallied: () => ({
    plant: id('plant'),
    tool: oneOf(TOOLS),
    flowers: count.min(1).max(2000).required(),
    truss: count.max(200).allow(null).required(),
    puff: Joi.boolean().optional(),
  }),
  groupCounted: () => ({
    stand: id('stand'),
    plant: Joi.string().pattern(subjectIdPattern('plant')).allow(null).required(),
    from: localDate.required(),
    to: localDate.required(),
    how: oneOf([...TOOLS, 'insects', 'before']),
    worked: count.min(1).max(100_000).required(),
    set: count.max(100_000).required(),
    bent: count.max(100_000).allow(null).required(),
    early: Joi.boolean().optional(),
  }),
  fruitsPicked: () => ({
    stand: id('stand'),
    plant: Joi.string().pattern(subjectIdPattern('plant')).allow(null).required(),
    count: count.min(1).max(100_000).required(),
    weightG: Joi.number().min(0).max(20_000_000).allow(null).required(),
  }),
  leaveSet: () => ({ stand: id('stand'), every: count.min(2).max(50).allow(null).required() }),
  beesCounted: () => ({
    stand: id('stand'),
    visits: count.max(5000).required(),
    seconds: count.min(1).max(3600).required(),
  }),
  malesPicked: () => ({ stand: id('stand'), count: count.min(1).max(5000).required() }),
  flowerSeen: () => ({
    flower: id('flower'),
    plant: id('plant'),
    sex: oneOf(SEXES),
    stage: oneOf(STAGES),
    node: count.max(200).allow(null).required(),
    ovaryMm: Joi.number().greater(0).max(500).allow(null).optional(),
  }),
  flowerShut: () => ({ flower: id('flower'), closure: oneOf(CLOSURES) }),
  threaded: () => ({ flower: id('flower'), colour: oneOf(THREAD_COLOURS) }),
  closureChecked: () => ({ flower: id('flower'), result: oneOf(CHECK_RESULTS) }),
  missed: () => ({ flower: id('flower'), why: oneOf(MISSED_WHY) }),
  leftOpen: () => ({ flower: id('flower') }),
  emasculated: () => ({ flower: id('flower') }),
  pollinated: () => ({
    flower: id('flower'),
    fathers: Joi.array()
      .items(
        Joi.object({
          plant: id('plant'),
          males: Joi.number().integer().min(1).max(50).required(),
          flowers: Joi.array().items(id('flower').optional()).max(50).unique().required(),
        }),
      )
      .max(50)
      .required(),
    tool: Joi.string()
      .valid(...TOOLS)
      .optional(),
    shutAgain: Joi.string()
      .valid(...CLOSURES)
      .allow(null)
      .optional(),
    purpose: oneOf(PURPOSES),
    lobes: Joi.number().integer().min(0).max(8).optional(),
    openS: Joi.number().min(0).max(86_400).optional(),
    beeIn: Joi.boolean().optional(),
    puff: Joi.boolean().optional(),
    maleInside: Joi.boolean().optional(),
  }),
  marked: () => ({ flower: id('flower'), mark: text(20).trim().min(1).required() }),
  coverOff: () => ({ flower: id('flower') }),
  pinched: () => ({ flower: id('flower') }),
  lookedAt: () => ({
    flower: id('flower'),
    result: oneOf(LOOK_RESULTS),
    sizeMm: Joi.number().min(0).max(5000).allow(null).required(),
  }),
  lost: () => ({ flower: id('flower'), cause: oneOf(LOSS_CAUSES) }),
  harvested: () => ({
    flower: id('flower'),
    harvestFor: oneOf(HARVEST_FOR),
    weightG: Joi.number().min(0).max(2_000_000).allow(null).required(),
  }),
  noted: () => ({ subject: anySubject(), text: text(2000, true).trim().min(1).required() }),
  settled: () => ({
    subject: anySubject(),
    entries: Joi.array().items(Joi.string().pattern(EVENT_ID)).length(2).unique().required(),
  }),
  corrected: () => ({
    subject: anySubject(),
    target: Joi.string().pattern(EVENT_ID).required(),
    changes: Joi.object().unknown(true).min(1).required(),
  }),
  withdrawn: () => ({ subject: anySubject(), target: Joi.string().pattern(EVENT_ID).required() }),
};
