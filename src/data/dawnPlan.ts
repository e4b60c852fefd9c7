import { useEffect, useMemo, useRef, useState } from 'react';
import { morningOf, type Morning } from '@core/bloom';
import type { FlowerId } from '@core/ids';
import type { State } from '@core/ledger';
import {
  dawnQuestion,
  inHand,
  lastCheck,
  fatherVarietyOf,
  planRound,
  workTime,
  type Collecting,
  type DawnQuestion,
  type PlannedStop,
  type PollinationRound,
  type RoundPlan,
} from '@core/rounds';
import { walkOrder, type Growing } from '@core/patch';
import { localDateOf } from '@core/time';
import { useGarden } from './garden';
import { keptWorker } from './worker';
import { useWeather } from './weather';

export interface DawnPlan {
  readonly question: DawnQuestion;
  readonly morning: Morning;
  /** `null` until the planner answered once. */
  readonly plan: RoundPlan | null;
  /** Whether the plan knows the latest entry; else the one before still stands. */
  readonly fresh: boolean;
  /** When each planned stop begins, and whose it is. */
  readonly at: ReadonlyMap<string, { readonly begin: number; readonly worker: string }>;
  /** What the one who records does, in order: flowers, and collecting not yet done. */
  readonly mine: readonly PlannedStop[];
  /** Collecting of its variety that comes before a flower; empty when the males are in hand. */
  collectFor(flower: string | null): readonly Collecting[];
  /** The flowers of the round in the order planned: mine, then the others', then what is left out or done. */
  readonly order: readonly FlowerId[];
  /** How much slower (or quicker) than reckoned the round goes. */
  readonly pace: number;
  /** Variety whose pollen is on the hands now. */
  readonly hands: string | null;
}

/** Fewer flowers than this say nothing of the pace. */
const PACE_FROM = 3;

/**
 * The round planned, and planned again after every entry: a torn closure, a missing male, a flower not open yet or a slow hand
 * change it in place. Works in a worker that stays; until it answers the plan before stands.
 */
export function useDawnPlan(round: PollinationRound | null): DawnPlan | null {
  const { state, place, now, prefs } = useGarden();
  const { weatherOf } = useWeather();
  const morning = useMemo(
    () => (round ? morningOf(state, place, round.date, weatherOf) : null),
    [state, place, round, weatherOf],
  );
  const progress = useMemo(
    () => (round ? progressOf(state, round, place.zone) : null),
    [state, round, place.zone],
  );
  // Seconds pass without changing a plan; an entry or a minute do.
  const minute = Math.floor(now / 60_000) * 60_000;
  const question = useMemo(() => {
    if (!round || !morning || !progress) return null;
    const people = ['me', ...Array.from({ length: prefs.helpers }, (_, i) => `helper ${i + 1}`)];
    return dawnQuestion(state, place, round.date, round.kind, morning, {
      now: Math.max(minute, progress.lastAt ?? 0, round.window.opens),
      people,
      // Past the insects' start whole closures can still be worked, with more care: till the flowers shut.
      deadline: minute < round.end ? round.end : Math.max(round.window.closes, minute),
      pace: progress.pace,
      carrying: progress.hands,
      ...(progress.at ? { at: progress.at } : {}),
    });
  }, [state, place, round, morning, progress, prefs.helpers, minute]);
  const [answer, setAnswer] = useState<{ round: string; plan: RoundPlan; question: DawnQuestion } | null>(
    null,
  );
  const key = round ? `${round.kind}/${round.date}` : '';
  const current = answer?.round === key ? answer.plan : null;
  const fresh = answer !== null && answer.question === question;
  const before = useRef<typeof answer>(null);
  useEffect(() => {
    if (!question || question.request.stops.length === 0) return;
    let wanted = true;
    const warm = before.current?.round === key ? before.current.plan.routes : null;
    keptWorker()
      .plan({ ...question.request, ...(warm ? { current: warm } : {}) })
      .then((plan) => {
        before.current = { round: key, plan, question };
        if (wanted) setAnswer(before.current);
      })
      .catch(() => {
        // No worker here: a quick plan on this thread is better than none.
        if (wanted)
          setAnswer({ round: key, plan: planRound({ ...question.request, effort: 60_000 }), question });
      });
    return () => {
      wanted = false;
    };
  }, [question, key]);
  return useMemo(() => {
    if (!round || !question || !morning || !progress) return null;
    const toDo = new Set(round.toDo.map(({ flower }) => flower.id as string));
    const picked = ({ males }: Collecting) =>
      males.every((id) => {
        const male = state.flowers.get(id);
        return male !== undefined && inHand(male, round.date, place.zone);
      });
    const open = new Map(question.collecting.filter((each) => !picked(each)).map((each) => [each.id, each]));
    const mine = (current?.routes[0]?.stops ?? []).filter(({ id }) => toDo.has(id) || open.has(id));
    const order: string[] = mine.filter(({ id }) => toDo.has(id)).map(({ id }) => id);
    for (const { stops } of current?.routes.slice(1) ?? [])
      for (const { id } of stops) if (toDo.has(id)) order.push(id);
    const listed = new Set(order);
    for (const { flower } of round.stops) if (!listed.has(flower.id)) order.push(flower.id);
    const at = new Map(
      (current?.routes ?? []).flatMap(({ stops, worker }) =>
        stops.map(({ id, begin }) => [id, { begin, worker }] as const),
      ),
    );
    return {
      question,
      morning,
      plan: current,
      fresh,
      at,
      mine,
      collectFor: (flower) => collectFirst(flower, mine, open, question),
      order,
      pace: progress.pace,
      hands: progress.hands,
    };
  }, [round, question, morning, progress, current, fresh, state, place.zone]);
}

/** What is collected before a flower: all of that variety that I need, in one go. */
function collectFirst(
  flower: string | null,
  mine: readonly PlannedStop[],
  open: ReadonlyMap<string, Collecting>,
  question: DawnQuestion,
): Collecting[] {
  const needs = question.request.stops.find(({ id }) => id === flower)?.needs ?? [];
  const own = needs.flatMap((id) => open.get(id) ?? []);
  const first = own[0];
  if (!first) return [];
  const planned = mine.flatMap(({ id }) => {
    const each = open.get(id);
    return each && each.variety === first.variety ? [each] : [];
  });
  return [...new Set([...planned, ...own])];
}

interface Progress {
  readonly pace: number;
  readonly hands: string | null;
  readonly at: { readonly xM: number; readonly yM: number } | null;
  readonly lastAt: number | null;
}

/** How the round goes so far, from its own entries: flowers worked and males picked. */
function progressOf(state: State, round: PollinationRound, zone: string): Progress {
  const today = ({ at }: { at: string }) => localDateOf(Date.parse(at), zone) === round.date;
  const worked = round.stops
    .flatMap(({ flower, growing }) =>
      flower.pollinations.filter(today).map(({ at }) => ({ at: Date.parse(at), growing })),
    )
    .sort((a, b) => a.at - b.at);
  const carried = [...worked, ...malesPicked(state, round, zone)];
  const handled: { at: number; growing: Growing }[] = [...carried];
  for (const { flower, growing } of round.stops)
    for (const check of flower.checks.filter(today)) handled.push({ at: Date.parse(check.at), growing });
  if (handled.length === 0) return { pace: 1, hands: null, at: null, lastAt: null };
  const last = handled.reduce((a, b) => (b.at >= a.at ? b : a));
  const touched = carried.length > 0 ? carried.reduce((a, b) => (b.at >= a.at ? b : a)) : null;
  let taken = 0;
  let reckoned = 0;
  let gaps = 0;
  for (let i = 1; i < worked.length; i++) {
    const { at, growing } = worked[i] as (typeof worked)[number];
    const minutes = (at - (worked[i - 1] as (typeof worked)[number]).at) / 60_000;
    const usual = workTime(state, growing.crop).minutes;
    // A pause is no pace.
    if (minutes > usual * 3) continue;
    taken += minutes;
    reckoned += usual;
    gaps++;
  }
  const { plant } = last.growing;
  return {
    pace: gaps < PACE_FROM ? 1 : Math.min(2, Math.max(0.6, taken / reckoned)),
    // A male carries its own variety's pollen, a flower worked that of its father.
    hands: touched ? ('variety' in touched ? touched.variety : fatherVarietyOf(touched.growing)) : null,
    at: { xM: plant.xM, yM: plant.yM },
    lastAt: last.at,
  };
}

interface Picked {
  readonly at: number;
  readonly growing: Growing;
  readonly variety: string;
}

/** The males picked this morning, of the plants that may be fathers in this round. */
function malesPicked(state: State, round: PollinationRound, zone: string): Picked[] {
  const wanted = new Set<string>(round.stops.map(({ growing }) => fatherVarietyOf(growing)));
  return walkOrder(state)
    .filter(({ variety }) => wanted.has(variety.id))
    .flatMap((growing) =>
      (state.flowersOf.get(growing.plant.id) ?? []).flatMap((id): Picked[] => {
        const flower = state.flowers.get(id);
        const check = flower && lastCheck(flower);
        return flower?.sex === 'male' && check && inHand(flower, round.date, zone)
          ? [{ at: Date.parse(check.at), growing, variety: growing.variety.id }]
          : [];
      }),
    );
}
