import type { SubjectId } from '../ids';
import { subjectOf, type AnyEvent, type LedgerEvent } from './events';
import { inForce } from './inForce';
import type { State } from './state';

/** The event that begins a subject, by its kind. */
const FOUNDING: ReadonlySet<string> = new Set([
  'patchBegun',
  'bedAdded',
  'varietyAdded',
  'standAdded',
  'plantAdded',
  'flowerSeen',
] satisfies LedgerEvent['kind'][]);

/**
 * How many other entries would lose what they speak of if these events were taken back: what was written of the subjects they
 * begin, and of all that stands on those (a bed's stands, a stand's plants, a plant's flowers).
 */
export function restingOn(state: State, events: readonly AnyEvent[]): number {
  const taken = new Set(events.map(({ id }) => id));
  const founded = new Set<SubjectId>();
  for (const event of events) {
    const subject = FOUNDING.has(event.kind) ? subjectOf(event) : null;
    // A flower seen again keeps its first sighting.
    if (subject !== null && foundingsLeft(state, subject, taken) === 0) founded.add(subject);
  }
  if (founded.size === 0) return 0;
  for (const { id, bed, variety } of state.stands.values())
    if (founded.has(bed) || founded.has(variety)) founded.add(id);
  for (const { id, stand } of state.plants.values()) if (founded.has(stand)) founded.add(id);
  for (const [plant, flowers] of state.flowersOf)
    if (founded.has(plant)) for (const flower of flowers) founded.add(flower);
  let resting = 0;
  for (const subject of founded)
    resting += inForce(state.log.get(subject) ?? []).filter(({ id }) => !taken.has(id)).length;
  return resting;
}

function foundingsLeft(state: State, subject: SubjectId, taken: ReadonlySet<string>): number {
  return inForce(state.log.get(subject) ?? []).filter(({ id, kind }) => FOUNDING.has(kind) && !taken.has(id))
    .length;
}
