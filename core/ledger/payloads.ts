import Joi from 'joi';
import {
  CORN_KINDS,
  CROP_IDS,
  FRUIT_SHAPES,
  NEIGHBOUR_IDS,
  PEPPER_SPECIES,
  PICKED,
  REASONS,
  ROGUE_STAGES,
  SCHOOLS,
  SEX_SYSTEMS,
  STAGES,
  TOOLS,
} from '../crops';
import { EVENT_ID } from '../ids';
import { isLocalDate } from '../time';
import type { EventKind } from './events';
import { flowerPayloads } from './flowerPayloads';
import {
  text,
  name,
  id,
  oneOf,
  someOf,
  localDate,
  metres,
  sideM,
  count,
  corners,
  placeSchema,
  anySubject,
  subjectOf,
  orNull,
  goal,
  notedDay,
  MOST_DAYS,
} from './payloadParts';
import {
  BESIDES,
  BETWEEN,
  CARES,
  CLOCK_NOTES,
  HEALTH,
  KNOWN_BY,
  LOSS_CAUSES,
  OBSTACLES,
  GROW_OUT_STAGES,
  LOT_FROM,
  OFF_TYPE_BY,
  ROGUED,
  MESHES,
  SHELTER_INSECTS,
  SHELTERS,
  WEATHER_ORIGINS,
  WEIGHED,
} from './values';

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
    lengthM: sideM.required(),
    widthM: sideM.required(),
  }),
  shelterSet: () => ({
    bed: id('bed'),
    shelter: Joi.string()
      .valid(...SHELTERS)
      .allow(null)
      .required(),
    insects: oneOf(SHELTER_INSECTS),
    mesh: Joi.string()
      .valid(...MESHES)
      .allow(null)
      .optional(),
    lampHours: Joi.number().min(0).max(24).allow(null).required(),
    from: localDate.required(),
    to: localDate.allow(null).required(),
  }),
  bedPlaced: () => ({
    bed: id('bed'),
    xM: metres.required(),
    yM: metres.required(),
    turnedDeg: Joi.number().min(0).less(360).required(),
    sized: Joi.object({
      lengthM: sideM.required(),
      widthM: sideM.required(),
      firstXM: metres.required(),
      firstYM: metres.required(),
    }).optional(),
  }),
  standPlaced: () => ({ stand: id('stand'), alongM: metres.required(), acrossM: metres.required() }),
  outlineSet: () => ({ stand: id('stand'), outline: corners().min(3).allow(null).required() }),
  obstacleNoted: () => ({
    obstacle: id('obstacle'),
    patch: id('patch'),
    what: oneOf(OBSTACLES),
    corners: corners().min(2).required(),
    area: Joi.boolean().required(),
  }),
  obstacleGone: () => ({ obstacle: id('obstacle') }),
  weightSet: () => ({
    patch: id('patch'),
    reason: oneOf(WEIGHED),
    weight: Joi.number().min(-1).max(1).allow(null).required(),
  }),
  cageOpened: () => ({ bed: id('bed') }),
  neighbourNoted: () => ({
    neighbour: id('neighbour'),
    patch: id('patch'),
    crop: oneOf([...CROP_IDS, ...NEIGHBOUR_IDS]),
    species: Joi.string()
      .valid(...PEPPER_SPECIES)
      .optional(),
    corn: Joi.string()
      .valid(...CORN_KINDS)
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
    sprayed: Joi.array().items(localDate).max(100).unique().optional(),
    place: Joi.array().ordered(metres.required(), metres.required()).length(2).optional(),
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
      stigmaOut: Joi.boolean().optional(),
      corn: Joi.string()
        .valid(...CORN_KINDS)
        .optional(),
      barrier: Joi.boolean().optional(),
    }).optional(),
    from: id('plant').optional(),
  }),
  standAdded: () => ({ stand: id('stand'), bed: id('bed'), variety: id('variety'), reason: oneOf(REASONS) }),
  reasonSet: () => ({
    subject: subjectOf('stand', 'plant', 'flower'),
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
  morningsSet: () => ({
    patch: id('patch'),
    weekdays: Joi.array().items(Joi.number().integer().min(1).max(7)).max(7).unique().allow(null).required(),
    minutes: Joi.number().integer().min(1).max(600).allow(null).required(),
  }),
  morningTold: () => ({ patch: id('patch'), date: localDate.required(), comes: Joi.boolean().required() }),
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
  offTypeFound: () => ({
    plant: id('plant'),
    shownBy: oneOf(OFF_TYPE_BY),
    rogued: Joi.string()
      .valid(...ROGUED)
      .optional(),
  }),
  lotBegun: () => ({
    lot: id('lot'),
    patch: id('patch'),
    variety: id('variety'),
    from: oneOf(LOT_FROM),
    fruits: Joi.array().items(id('flower').optional()).max(5000).unique().required(),
    year: Joi.number().integer().min(1900).max(2199).required(),
    note: text(200).trim().allow('').required(),
  }),
  sownFrom: () => ({
    subject: subjectOf('stand', 'plant'),
    lot: orNull('lot'),
    fruit: orNull('flower'),
  }),
  clonedFrom: () => ({ plant: id('plant'), parent: orNull('plant') }),
  grownOut: () => ({
    lot: id('lot'),
    fruit: orNull('flower'),
    stage: oneOf(GROW_OUT_STAGES),
    grown: count.min(1).max(100_000).required(),
    off: Joi.array()
      .items(
        Joi.object({
          reason: name,
          count: count.min(1).max(100_000).required(),
          rogued: Joi.string()
            .valid(...ROGUED)
            .allow(null)
            .required(),
        }),
      )
      .max(50)
      .required(),
  }),
  keeperChosen: () => ({
    plant: id('plant'),
    trait: name,
    note: text(500, true).trim().allow('').required(),
  }),
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
    plant: orNull('plant'),
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
    plant: orNull('plant'),
    count: count.min(1).max(100_000).required(),
    weightG: Joi.number().min(0).max(20_000_000).allow(null).required(),
  }),
  lookedOver: () => ({ stand: id('stand'), stage: oneOf(ROGUE_STAGES) }),
  careGiven: () => ({
    stand: id('stand'),
    care: oneOf(CARES),
    product: text(80).trim().allow('').required(),
    reentryHours: count.max(720).allow(null).required(),
    daysToHarvest: count.max(365).allow(null).required(),
    on: localDate.optional(),
  }),
  leaveSet: () => ({ stand: id('stand'), every: count.min(2).max(50).allow(null).required() }),
  beesCounted: () => ({
    stand: id('stand'),
    visits: count.max(5000).required(),
    seconds: count.min(1).max(3600).required(),
  }),
  malesPicked: () => ({ stand: id('stand'), count: count.min(1).max(5000).required() }),
  ...flowerPayloads,
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
