import type { EventId, FlowerId, PlantId } from '../ids';
import type { Flower, Pollination, State } from '../ledger';
import { remembered } from '../remember';
import { doubleMarks } from './findMark';

/**
 * What can't be so as it was written: kept as recorded, and somebody has to say how it was.
 *
 * - worked-before-seen: worked earlier than anybody saw it
 * - worked-when-gone: worked after it was lost or picked
 * - father-gone: a father's plant had died, or was taken out, before the work
 * - father-not-yet: a father's plant was only planted later
 * - father-elsewhere: a male that grew on another plant than the father named
 * - circular-fathers: its pollen came from a flower that had its own from this one
 * - two-mothers: said to grow on two plants
 * - mark-on-two: its mark hangs on another fruit as well
 */
export interface Oddity {
  readonly what:
    | 'worked-before-seen'
    | 'worked-when-gone'
    | 'father-gone'
    | 'father-not-yet'
    | 'father-elsewhere'
    | 'circular-fathers'
    | 'two-mothers'
    | 'mark-on-two';
  readonly events: readonly EventId[];
  /** The father's plant, or the other plant, where one is meant. */
  readonly plant: PlantId | null;
}

/** Oddities after which nobody can say whose pollen it was; the others leave open which fruit it is, or only what hour it was. */
export const FATHER_ODD: ReadonlySet<Oddity['what']> = new Set([
  'father-gone',
  'father-not-yet',
  'father-elsewhere',
  'circular-fathers',
]);

/** What in the record of a flower can't be so, `day` telling the garden's day of an instant. */
export function odditiesOf(
  flower: Flower,
  state: Pick<State, 'plants' | 'flowers'> & { readonly twins: readonly Flower[] },
  day: (at: string) => string,
): Oddity[] {
  const { pollinations, sightings, lost, harvested } = flower;
  const [worked] = pollinations;
  const [seen] = sightings;
  const odd: Oddity[] = [];
  if (worked && seen && worked.at < seen.at)
    odd.push({ what: 'worked-before-seen', events: [worked.event, seen.event], plant: null });
  const over = [lost, harvested].filter((each) => each !== null);
  for (const end of over) {
    const late = pollinations.find(({ at }) => at > end.at);
    if (late) odd.push({ what: 'worked-when-gone', events: [late.event, end.event], plant: null });
  }
  for (const visit of pollinations) odd.push(...oddFathers(flower, visit, state, day));
  const other = sightings.find(({ plant }) => plant !== flower.plant);
  const own = sightings.findLast(({ plant }) => plant === flower.plant);
  if (other && own) odd.push({ what: 'two-mothers', events: [other.event, own.event], plant: other.plant });
  const { twins } = state;
  if (twins.length > 0)
    odd.push({
      what: 'mark-on-two',
      events: twins.flatMap(({ markings }) =>
        markings.filter(({ goneAt }) => goneAt === null).map(({ event }) => event),
      ),
      plant: twins.find(({ id }) => id !== flower.id)?.plant ?? null,
    });
  return odd;
}

/** The flowers whose mark hangs on a flower too, itself among them; none where its mark hangs on it alone. */
export function twinsOf({ id }: Flower, state: Pick<State, 'flowers'>): readonly Flower[] {
  return (twinsBy(state).get(id) ?? []).flatMap((twin) => state.flowers.get(twin) ?? []);
}

const twinsBy = remembered(
  'twins',
  ({ flowers }: Pick<State, 'flowers'>) => ({ flowers }),
  (state): ReadonlyMap<FlowerId, readonly FlowerId[]> => {
    const twins = new Map<FlowerId, readonly FlowerId[]>();
    for (const { flowers } of doubleMarks(state))
      // A fruit with two marks may have its twins by either.
      for (const id of flowers) twins.set(id, [...new Set([...(twins.get(id) ?? []), ...flowers])].sort());
    return twins;
  },
);

function oddFathers(
  { id }: Flower,
  { event, at, fathers }: Pollination,
  state: Pick<State, 'plants' | 'flowers'>,
  day: (at: string) => string,
): Oddity[] {
  return fathers.flatMap(({ plant, flowers }): Oddity[] => {
    const father = state.plants.get(plant);
    const ended = father?.ended;
    const planted = father?.plantedOn;
    const males = flowers.flatMap((male) => state.flowers.get(male) ?? []);
    const stray = males.find((male) => male.plant !== plant);
    const circle = flowers.some((male) => circles(male, id, state));
    return [
      // On its last day its males may have been picked before it was pulled up.
      ...(ended && day(ended.at) < day(at)
        ? [{ what: 'father-gone' as const, events: [event, ended.event], plant }]
        : []),
      ...(father && planted && planted > day(at)
        ? [{ what: 'father-not-yet' as const, events: [event, father.event], plant }]
        : []),
      ...(stray ? [{ what: 'father-elsewhere' as const, events: [event], plant: stray.plant }] : []),
      ...(circle ? [{ what: 'circular-fathers' as const, events: [event], plant }] : []),
    ];
  });
}

/** Whether a male is the flower itself, or had its own pollen from it. */
function circles(male: FlowerId, mother: FlowerId, state: Pick<State, 'flowers'>): boolean {
  const visits = state.flowers.get(male)?.pollinations ?? [];
  return (
    male === mother || visits.some(({ fathers }) => fathers.some(({ flowers }) => flowers.includes(mother)))
  );
}
