import { useMemo, useState } from 'react';
import { isolationOf, isolations, type StandIsolation } from '@core/isolation';
import { whatIf, type Corner, type Draft, type State } from '@core/ledger';
import { bedCornerTo, cornersOf, moveBy, shapeTo, snapped, type Thing } from '@core/patch';
import { useDraft } from '@/data/device/draft';
import { useGarden } from '@/data/garden/garden';
import { useRecording, type Recording } from '@/data/garden/useRecording';
import type { Units } from '@/data/device/prefs';
import { planScene, type Scene } from './scene';
import { thingIn, thingName } from './words';

export interface Plan extends Pick<Recording, 'busy' | 'problem'> {
  readonly units: Units;
  /** As it would be with what is tried. */
  readonly state: State;
  readonly scene: Scene;
  readonly chosen: Thing | null;
  readonly choose: (thing: Thing | null) => void;
  /** Tried, and not kept yet. */
  readonly tried: Draft | null;
  readonly attempt: (draft: Draft | null) => void;
  readonly move: (by: Corner) => void;
  readonly corners: readonly Corner[];
  readonly shape: (corners: readonly Corner[]) => void;
  readonly keep: () => Promise<boolean>;
  readonly putBack: () => void;
  /** The distances of every stand for seed, as it is tried. */
  readonly answers: readonly StandIsolation[];
  /** The stand whose distances are drawn. */
  readonly asked: StandIsolation | null;
  /** What that stand's distances would come to; one stand alone, so that a hand that drags is not held up. */
  readonly answerIf: (draft: Draft) => StandIsolation | null;
  /** The entry that moves what is chosen so far, or one of its corners. */
  readonly moved: (by: Corner) => Draft | null;
  readonly cornerMoved: (index: number, by: Corner) => Draft | null;
  readonly snap: (by: Corner) => Corner;
}

/** What is chosen on the plan, what is tried with it, and what that would come to. A trial outlives a reload until it is kept or put back. */
export function usePlan(): Plan {
  const { state: recorded, today, space, prefs } = useGarden();
  const { busy, problem, save } = useRecording();
  const kept = useDraft<{ tried: Draft | null }>(`plan/${space}`, { tried: null });
  const [picked, setPicked] = useState<Thing | null>(null);
  const about = kept.value.tried ? thingIn(kept.value.tried) : null;
  const tried = about && (isNew(about, recorded) || thingName(recorded, about)) ? kept.value.tried : null;
  const state = useMemo(() => (tried ? whatIf(recorded, tried) : recorded), [recorded, tried]);
  const scene = useMemo(() => planScene(state, today), [state, today]);
  // What is tried stays chosen until it is kept or put back.
  const wanted = tried ? about : picked;
  const chosen = wanted && thingName(state, wanted) !== null ? wanted : null;
  const answers = useMemo(() => isolations(state, today), [state, today]);
  const asked = askedOf(answers, chosen);
  const moved = (by: Corner) => chosen && withSize(moveBy(state, chosen, by), tried);
  const attempt = (draft: Draft | null) => {
    if (draft) kept.change({ tried: withSize(draft, tried) });
  };
  const corners = useMemo(() => {
    if (!chosen || (chosen.kind === 'stand' && !state.stands.get(chosen.id)?.outline)) return [];
    return cornersOf(state, chosen);
  }, [state, chosen]);
  return {
    units: prefs.units,
    state,
    scene,
    chosen,
    choose: (thing) => {
      if (!tried) setPicked(thing);
    },
    tried,
    attempt,
    move: (by) => attempt(moved(by)),
    corners,
    shape: (next) => chosen && attempt(shapeTo(state, chosen, next)),
    keep: async () => {
      if (!tried || !(await save(tried))) return false;
      setPicked(chosen);
      kept.clear();
      return true;
    },
    putBack: () => {
      setPicked(about && isNew(about, recorded) ? null : about);
      kept.clear();
    },
    busy,
    problem,
    answers,
    asked,
    answerIf: (draft) => asked && isolationOf(whatIf(state, draft), asked.stand.id, today),
    moved,
    cornerMoved: (index, by) => {
      const to = withCorner(corners, index, by);
      if (chosen?.kind === 'bed') return bedCornerTo(state, chosen.id, index, to[index] as Corner);
      return chosen && shapeTo(state, chosen, to);
    },
    snap: (by) => snapOf(scene, chosen, by),
  };
}

/** A bed that is tried in another size keeps it when it is moved or turned before it is kept. */
function withSize<T extends Draft | null>(draft: T, tried: Draft | null): T {
  if (draft?.kind !== 'bedPlaced' || tried?.kind !== 'bedPlaced' || !tried.sized) return draft;
  return { sized: tried.sized, ...draft };
}

function withCorner(corners: readonly Corner[], index: number, [east, south]: Corner): readonly Corner[] {
  return corners.map(([x, y], i): Corner => (i === index ? [x + east, y + south] : [x, y]));
}

/** A hedge that is drawn for the first time is not on record yet. */
function isNew(thing: Thing, recorded: State): boolean {
  return thing.kind === 'obstacle' && !recorded.obstacles.has(thing.id);
}

/** The chosen stand; of a bed, the stand in it that lacks most; of a neighbour, the stand it comes nearest to. */
function askedOf(answers: readonly StandIsolation[], chosen: Thing | null): StandIsolation | null {
  if (!chosen) return null;
  const own = answers.find(({ stand }) => stand.id === chosen.id || stand.bed === chosen.id);
  if (own) return own;
  return answers.find(({ rivals }) => rivals.some(({ id }) => id === chosen.id)) ?? null;
}

/** Beds go to the edges of other beds; everything else goes by decimetres. */
function snapOf({ beds }: Scene, chosen: Thing | null, [east, south]: Corner): Corner {
  const own = chosen?.kind === 'bed' ? beds.find(({ bed }) => bed.id === chosen.id) : undefined;
  if (!own || own.bed.turnedDeg !== 0) return [snapped(east, [], []), snapped(south, [], [])];
  const others = beds.filter((each) => each !== own && each.bed.turnedDeg === 0);
  const edges = (axis: 0 | 1) => (corners: readonly Corner[]) => [
    ...new Set(corners.map((corner) => corner[axis])),
  ];
  return [
    snapped(
      east,
      edges(0)(own.corners),
      others.flatMap(({ corners }) => edges(0)(corners)),
    ),
    snapped(
      south,
      edges(1)(own.corners),
      others.flatMap(({ corners }) => edges(1)(corners)),
    ),
  ];
}
