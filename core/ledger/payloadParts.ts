import Joi from 'joi';
import { SUBJECT_KINDS, subjectIdPattern, type SubjectKind } from '../ids';
import { isInstant, isLocalDate, isZone } from '../time';
import { FELT, PRECIOUS, SEED_UNITS } from './values';

// Characters that draw nothing or turn the reading direction round: a name holding them shows as another name.
const UNSEEN = /[\u0000-\u0008\u000b-\u001f\u007f\u202a-\u202e\u2066-\u2069\ufeff]/;

/** Text of at most so many characters without unseen ones; over several lines where `lines` says so. */
export const text = (most: number, lines = false) =>
  Joi.string()
    .max(most)
    .custom((value: string, helpers) =>
      UNSEEN.test(value) || (!lines && /[\n\t]/.test(value)) ? helpers.error('text.unseen') : value,
    );
/** A name that is seen on screens. */
export const name = text(80).trim().min(1).required();
/** The id of a subject of one kind. */
export const id = (kind: SubjectKind) => Joi.string().pattern(subjectIdPattern(kind)).required();
/** The same, or `null`. */
export const orNull = (kind: SubjectKind) =>
  Joi.string().pattern(subjectIdPattern(kind)).allow(null).required();
/** The id of a subject of one of some kinds. */
export const subjectOf = (...kinds: readonly SubjectKind[]) =>
  Joi.string()
    .pattern(new RegExp(kinds.map((kind) => subjectIdPattern(kind).source).join('|')))
    .required();
/** One of some words. */
export const oneOf = (values: readonly string[]) =>
  Joi.string()
    .valid(...values)
    .required();
/** Some of some words, none twice. */
export const someOf = (values: readonly string[]) =>
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
/** A day within the years a garden log can speak of. */
export const localDate = Joi.string().custom((value: string, helpers) =>
  isLocalDate(value) && value >= EARLIEST && value < LATEST ? value : helpers.error('time.date'),
);
/** A distance on the plan, up to 10 km either way. */
export const metres = Joi.number().min(-10_000).max(10_000);
/** A side of a bed, m. */
export const sideM = Joi.number().greater(0).max(1000);
/** A whole number, 0 or more. */
export const count = Joi.number().integer().min(0);
/** Corners of a line or an area on the plan. */
export const corners = () =>
  Joi.array().items(Joi.array().ordered(metres.required(), metres.required()).length(2)).max(MOST_CORNERS);

/** Bounds that the place form and the ledger share. */
export const placeSchema = Joi.object({
  name: name.label('place name'),
  latitude: Joi.number().min(-90).max(90).required(),
  longitude: Joi.number().min(-180).max(180).required(),
  zone: Joi.string()
    .required()
    .custom((value: string, helpers) => (isZone(value) ? value : helpers.error('time.zone'))),
});

/** The id of a subject of any kind. */
export const anySubject = () => subjectOf(...SUBJECT_KINDS);

const share = () => Joi.number().greater(0).max(1);
/** What a stand is to bring. */
export const goal = () =>
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
/** More no outline of a garden needs. */
export const MOST_CORNERS = 200;
/** A year and a leap day at once: a longer file becomes several events. */
export const MOST_DAYS = 366;
