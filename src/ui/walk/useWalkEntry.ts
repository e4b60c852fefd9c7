import { useMemo, useState } from 'react';
import { doubtAbout, nodeTaken, type Doubt } from '@core/bloom';
import { closuresFor, sexesOf, type Closure, type Sex, type Stage } from '@core/crops';
import type { Draft, Flower } from '@core/ledger';
import { flowersOn, type Growing } from '@core/patch';
import {
  awaitedBuds,
  bearingSex,
  eveningDrafts,
  openDrafts,
  sameBud,
  unworkedOn,
  writtenOn,
  type EveningSight,
} from '@core/rounds';
import { openSince } from '@core/purity';
import { PAUSE_MS } from '../controls';
import { useDraft } from '@/data/device/draft';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';

/** What was tapped so long ago belongs to another walk: a morning's "open" is not there in the evening, ms [M]. */
const SEEN_FOR_MS = 2 * 3_600_000;

/** What is being tapped in. Nothing is chosen beforehand: the stage is evidence. */
export interface Looking extends Omit<EveningSight, 'sex' | 'stage'> {
  readonly sex: Sex | null;
  readonly stage: Stage | null;
}
/** As it is kept, with when it was last tapped, epoch ms. */
interface Kept extends Looking {
  readonly at: number;
}
const BLANK: Kept = { sex: null, stage: null, node: null, count: 1, ovaryMm: null, at: 0 };

/** What is done with what was seen. mother: laid bare for a cross, then bagged. */
export type EntryHow = 'note' | 'shut' | 'mother';

interface Entry {
  readonly sight: EveningSight;
  readonly how: EntryHow;
  /** The bud's own record, where it was picked from those awaited. */
  readonly bud?: Flower;
  /** Said to have been still shut when it was covered. */
  readonly stillShut?: boolean;
}

/**
 * What is being looked at on one plant of the walk, and the ways to write it down. `bees`: its open flowers are left to those of its
 * cage. `planned`: the sex that tonight's plan still wants of this plant.
 */
export function useWalkEntry(growing: Growing, bees: boolean, planned: Sex | null) {
  const { state, place, today, now, patch, newId } = useGarden();
  const { busy, problem, save: record } = useRecording();
  const { plant, crop } = growing;
  const flowers = useMemo(() => flowersOn(state, plant.id), [state, plant.id]);
  const bearer = bearingSex(crop);
  const { value, change, clear } = useLooking(growing, planned);
  const { sex, stage } = value;
  const seen: EveningSight | null = sex && stage ? { ...value, sex, stage } : null;
  const closures = closuresFor(crop, sex ?? bearer);
  const wanted = (patch?.schools.closure ?? 'tape') as Closure;
  const closure = closures.includes(wanted) ? wanted : (closures[0] as Closure);
  const [again, setAgain] = useState<Entry | null>(null);
  const [asked, setAsked] = useState<(Entry & { readonly since: number }) | null>(null);
  const [doubted, setDoubted] = useState<(Entry & { readonly doubt: Doubt }) | null>(null);
  const [resting, setResting] = useState(false);
  const tonight = useMemo(() => writtenOn(flowers, today, place.zone), [flowers, today, place.zone]);
  const awaited = useMemo(
    () => awaitedBuds(flowers, crop, state, today, place.zone),
    [flowers, crop, state, today, place.zone],
  );
  // Flowers that a record is open for: work on one of these nodes is work on that very flower.
  const unworked = useMemo(() => unworkedOn(flowers, crop), [flowers, crop]);

  const store = async ({ sight, how, bud, stillShut }: Entry) => {
    setDoubted(null);
    setAsked(null);
    const known = bud ?? sameBud(sight, awaited);
    const drafts = eveningDrafts(
      sight,
      plant.id,
      how === 'note' ? null : closure,
      known,
      () => newId('flower'),
      how === 'mother',
      stillShut,
    );
    const left = drafts.flatMap((draft): Draft[] =>
      bees && draft.kind === 'flowerSeen' && draft.stage === 'open' && draft.sex === bearer
        ? [{ kind: 'leftOpen', flower: draft.flower }]
        : [],
    );
    if (!(await record(...drafts, ...left))) return;
    setAgain({ sight: { ...sight, node: null, ovaryMm: null }, how });
    clear();
  };
  /** A cover that goes on while such flowers open proves something only if this one was still shut: one tap says so. */
  const hourAsked = (entry: Entry) => {
    const since = entry.how === 'shut' ? openSince(state, crop, now) : null;
    setDoubted(null);
    if (since === null) void store(entry);
    else setAsked({ ...entry, since });
  };
  const enter = (sight: EveningSight, how: EntryHow, bud?: Flower) => {
    // A second tap of the same press is no second flower.
    if (resting) return;
    setResting(true);
    setTimeout(() => setResting(false), PAUSE_MS);
    const known = bud ?? sameBud(sight, awaited);
    const doubt =
      doubtAbout({ ...sight, crop: crop.id, at: now }, known, now, place.zone) ??
      (known ? null : nodeTaken(sight, flowers));
    if (doubt) setDoubted({ sight, how, bud, doubt });
    else hourAsked({ sight, how, bud });
  };
  const openNow = { node: value.node, sex: bearer };
  const workOpen = async (how: 'kitchen' | 'tied', bud: Flower | null = sameBud(openNow, unworked)) => {
    if (await record(...openDrafts(openNow, plant.id, bud, () => newId('flower'), how))) clear();
  };
  return {
    value,
    /** Once both sex and stage were said. */
    seen,
    change,
    flowers,
    tonight,
    awaited,
    closure,
    busy,
    /** The pause after an entry, in which a second tap is no second flower. */
    resting,
    problem,
    record,
    again,
    enter,
    workOpen: (how: 'kitchen' | 'tied', bud?: Flower): void => void workOpen(how, bud),
    doubted,
    lookAgain: () => setDoubted(null),
    keepDoubted: () => (doubted ? hourAsked(doubted) : undefined),
    asked,
    dropAsked: () => setAsked(null),
    answer: (stillShut: boolean) => (asked ? void store({ ...asked, stillShut }) : undefined),
  };
}

/** The form of one plant. What was typed is kept; what was seen holds for this walk. */
function useLooking({ plant, crop }: Growing, planned: Sex | null) {
  const { space, now } = useGarden();
  const { value: kept, change, clear } = useDraft(`walk/${space}/${plant.id}`, BLANK);
  const sexes = sexesOf(crop);
  const fresh = Math.abs(now - kept.at) < SEEN_FOR_MS;
  // A sex that this crop doesn't have can only come from another crop's draft.
  const tapped = fresh && kept.sex && sexes.includes(kept.sex) ? kept.sex : null;
  const value: Looking = {
    ...kept,
    sex: sexes.length === 1 ? (sexes[0] as Sex) : (tapped ?? planned),
    stage: fresh ? kept.stage : null,
  };
  return { value, change: (part: Partial<Looking>) => change({ ...part, at: now }), clear };
}

/** What `useWalkEntry` gives. */
export type WalkEntry = ReturnType<typeof useWalkEntry>;
