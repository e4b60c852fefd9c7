import { useMemo, useRef, useState } from 'react';
import { doubtAbout, nodeTaken, type Doubt } from '@core/bloom';
import { closuresFor, sexesOf, type Closure } from '@core/crops';
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
import { useDraft } from '@/data/device/draft';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';

/** Two taps closer together than this are one press of a cold thumb [M]. */
const DOUBLE_TAP_MS = 600;

const FIRST: Omit<EveningSight, 'sex'> = { stage: 'coloured', node: null, count: 1, ovaryMm: null };

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

/** What is being looked at on one plant of the walk, and the ways to write it down. `bees`: its open flowers are left to those of its cage. */
export function useWalkEntry(growing: Growing, bees = false) {
  const { state, place, today, now, patch, newId, space } = useGarden();
  const { busy, problem, save: record } = useRecording();
  const { plant, crop } = growing;
  const flowers = useMemo(() => flowersOn(state, plant.id), [state, plant.id]);
  const bearer = bearingSex(crop);
  const first: EveningSight = { ...FIRST, sex: bearer };
  const { value: kept, change, clear } = useDraft(`walk/${space}/${plant.id}`, first);
  // A sex that this crop doesn't have can only come from another crop's draft.
  const value = sexesOf(crop).includes(kept.sex) ? kept : { ...kept, sex: bearer };
  const closures = closuresFor(crop, value.sex);
  const wanted = (patch?.schools.closure ?? 'tape') as Closure;
  const closure = closures.includes(wanted) ? wanted : (closures[0] as Closure);
  const [again, setAgain] = useState<Entry | null>(null);
  const [asked, setAsked] = useState<(Entry & { readonly since: number }) | null>(null);
  const [doubted, setDoubted] = useState<(Entry & { readonly doubt: Doubt }) | null>(null);
  const savedAt = useRef(-Infinity);
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
    if (performance.now() - savedAt.current < DOUBLE_TAP_MS) return;
    savedAt.current = performance.now();
    const known = bud ?? sameBud(sight, awaited);
    const doubt =
      doubtAbout({ ...sight, crop: crop.id, at: now }, known, now, place.zone) ??
      (known ? null : nodeTaken(sight, flowers));
    if (doubt) setDoubted({ sight, how, bud, doubt });
    else hourAsked({ sight, how, bud });
  };
  const openNow = { ...value, sex: bearer, stage: 'open' as const };
  const workOpen = async (how: 'kitchen' | 'tied', bud: Flower | null = sameBud(openNow, unworked)) => {
    if (await record(...openDrafts(openNow, plant.id, bud, () => newId('flower'), how))) clear();
  };
  return {
    value,
    change,
    /** As the form begins: a coloured flower of the sex that bears. */
    first,
    flowers,
    tonight,
    awaited,
    closure,
    busy,
    problem,
    record,
    again,
    enter,
    workOpen: (how: 'kitchen' | 'tied', bud?: Flower) => void workOpen(how, bud),
    doubted,
    lookAgain: () => setDoubted(null),
    keepDoubted: () => (doubted ? hourAsked(doubted) : undefined),
    asked,
    dropAsked: () => setAsked(null),
    answer: (stillShut: boolean) => (asked ? void store({ ...asked, stillShut }) : undefined),
  };
}

/** What `useWalkEntry` gives. */
export type WalkEntry = ReturnType<typeof useWalkEntry>;
