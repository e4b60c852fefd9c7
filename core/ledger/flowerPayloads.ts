import Joi from 'joi';
import { CLOSURES, SEXES, STAGES, TOOLS } from '../crops';
import type { EventKind } from './events';
import { text, id, oneOf, count } from './payloadParts';
import {
  CHECK_RESULTS,
  HARVEST_FOR,
  LOOK_RESULTS,
  LOSS_CAUSES,
  MISSED_WHY,
  PROPS,
  PURPOSES,
  THREAD_COLOURS,
} from './values';

/** The fields of what is written of one flower, made when a kind is first met. */
export const flowerPayloads = {
  flowerSeen: () => ({
    flower: id('flower'),
    plant: id('plant'),
    sex: oneOf(SEXES),
    stage: oneOf(STAGES),
    node: count.max(200).allow(null).required(),
    ovaryMm: Joi.number().greater(0).max(500).allow(null).optional(),
  }),
  flowerShut: () => ({ flower: id('flower'), closure: oneOf(CLOSURES), stillShut: Joi.valid(true) }),
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
    clean: Joi.boolean().optional(),
  }),
  markLost: () => ({ flower: id('flower'), mark: text(40).optional() }),
  marked: () => ({ flower: id('flower'), mark: text(20).trim().min(1).required() }),
  coverOff: () => ({ flower: id('flower') }),
  pinched: () => ({ flower: id('flower') }),
  lookedAt: () => ({
    flower: id('flower'),
    result: oneOf(LOOK_RESULTS),
    sizeMm: Joi.number().min(0).max(5000).allow(null).required(),
    markRead: Joi.boolean().optional(),
  }),
  propped: () => ({ flower: id('flower'), prop: oneOf(PROPS) }),
  lost: () => ({ flower: id('flower'), cause: oneOf(LOSS_CAUSES) }),
  harvested: () => ({
    flower: id('flower'),
    harvestFor: oneOf(HARVEST_FOR),
    weightG: Joi.number().min(0).max(2_000_000).allow(null).required(),
    markRead: Joi.boolean().optional(),
  }),
} satisfies Partial<Record<EventKind, () => Joi.SchemaMap>>;
