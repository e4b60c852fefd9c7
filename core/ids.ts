import { decodeTime, monotonicFactory } from 'ulid';
import type { Random } from './random';

declare const brand: unique symbol;
type Branded<Kind extends string> = string & { readonly [brand]?: Kind };

/**
 * What events can speak of. A new subject is one word here, one entry of `core/ledger/subjects.ts` (the compiler asks for it), its
 * view, and its events.
 */
export const SUBJECT_KINDS = [
  'patch',
  'bed',
  'variety',
  'stand',
  'plant',
  'flower',
  'neighbour',
  'obstacle',
  'lot',
] as const;
export type SubjectKind = (typeof SUBJECT_KINDS)[number];

/** The id type of each kind of subject. */
export type IdByKind = { readonly [Kind in SubjectKind]: Branded<Kind> };
/** The id of anything an event can speak of. */
export type SubjectId = IdByKind[SubjectKind];

/** The id of an event: a ULID, so that ids sort by when they were made. */
export type EventId = Branded<'event'>;
export type PatchId = IdByKind['patch'];
export type BedId = IdByKind['bed'];
export type VarietyId = IdByKind['variety'];
export type StandId = IdByKind['stand'];
export type PlantId = IdByKind['plant'];
export type FlowerId = IdByKind['flower'];
/** A planting in somebody else's garden. */
export type NeighbourId = IdByKind['neighbour'];
/** A hedge, a building: what stands on the plan besides beds. */
export type ObstacleId = IdByKind['obstacle'];
/** Seed kept together. */
export type LotId = IdByKind['lot'];

const ULID = '[0-7][0-9A-HJKMNP-TV-Z]{25}';
/** What an event’s id looks like. */
export const EVENT_ID = new RegExp(`^${ULID}$`);
/** What an id of this kind looks like. */
export function subjectIdPattern(kind: SubjectKind): RegExp {
  return new RegExp(`^${kind}:${ULID}$`);
}

/**
 * The kind written in front of a subject's id, or `null` when it is none of ours.
 * @example subjectKindOf('bed:0190a1b2-c3d4-7e5f-8a9b-0c1d2e3f4a5b') // 'bed'
 */
export function subjectKindOf(id: string): SubjectKind | null {
  const kind = id.slice(0, id.indexOf(':')) as SubjectKind;
  return SUBJECT_KINDS.includes(kind) ? kind : null;
}

/** Makes ids that sort by the time they were made, also within one millisecond (ULID, monotonic). */
export interface IdMaker {
  event(epochMs: number): EventId;
  subject<Kind extends SubjectKind>(kind: Kind, epochMs: number): IdByKind[Kind];
}

/** Makes ids that sort by time; `random` gives 0 to 1. */
export function idMaker(random: Random): IdMaker {
  const next = monotonicFactory(random);
  return {
    event: (epochMs) => next(epochMs),
    subject: <Kind extends SubjectKind>(kind: Kind, epochMs: number) =>
      `${kind}:${next(epochMs)}` as IdByKind[Kind],
  };
}

/**
 * When an entry was written, by the clock of the device that wrote it (epoch ms): its own time may be an earlier one.
 * @example writtenAt('01J2P8A0000000000000000000') // 1720881315840
 */
export function writtenAt(event: EventId): number {
  return decodeTime(event);
}
