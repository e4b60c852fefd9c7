import { useEffect, useId, useMemo, useRef, useState } from 'react';
import { bloomDayOf, type BloomDay } from '@core/bloom';
import type { FlowerId } from '@core/ids';
import { planRound, type PlannedStop, type RoundPlan } from '@core/planning';
import {
  collectBefore,
  dawnQuestion,
  roundProgress,
  toCollect,
  type Collecting,
  type DawnQuestion,
  type PollinationRound,
} from '@core/rounds';
import { useGarden } from '../garden/garden';
import { askWorker, markWorkOf, tellWorker } from '../device/worker';
import { useWeather } from '../weather/weather';

export interface DawnPlan {
  readonly question: DawnQuestion;
  readonly morning: BloomDay;
  /** `null` until the planner answered once. */
  readonly plan: RoundPlan | null;
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

/**
 * The round planned, and planned again after every entry: a torn closure, a missing male, a flower not open yet or a slow hand
 * change it in place. Works in a worker that stays; until it answers the plan before stands.
 */
export function useDawnPlan(round: PollinationRound | null): DawnPlan | null {
  const { state, place, now, prefs } = useGarden();
  const { weatherOf } = useWeather();
  const morning = useMemo(
    () => (round ? bloomDayOf(state, place, round.date, weatherOf) : null),
    [state, place, round, weatherOf],
  );
  const progress = useMemo(
    () => (round ? roundProgress(state, round, place.zone) : null),
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
      split: prefs.team,
      ...(progress.at ? { at: progress.at } : {}),
    });
  }, [state, place, round, morning, progress, prefs.helpers, prefs.team, minute]);
  const [answer, setAnswer] = useState<{ round: string; plan: RoundPlan } | null>(null);
  const key = round ? `${round.kind}/${round.date}` : '';
  const current = answer?.round === key ? answer.plan : null;
  const before = useRef<typeof answer>(null);
  const asker = useId();
  useEffect(() => {
    if (!question || question.request.stops.length === 0) return;
    let wanted = true;
    const warm = before.current?.round === key ? before.current.plan.routes : null;
    askWorker('plan', (trade) =>
      trade.plan(asker, { ...question.request, ...(warm ? { current: warm } : {}) }),
    )
      .then((plan) => {
        if (!plan) return;
        markWorkOf('planned', 'worker');
        before.current = { round: key, plan };
        if (wanted) setAnswer(before.current);
      })
      .catch(() => {
        // No worker here: a quick plan on this thread is better than none.
        if (!wanted) return;
        markWorkOf('planned', 'screen');
        setAnswer({ round: key, plan: planRound({ ...question.request, effort: 60_000 }) });
      });
    return () => {
      wanted = false;
      tellWorker('plan', (trade) => trade.dropPlan(asker));
    };
  }, [question, key, asker]);
  return useMemo(() => {
    if (!round || !question || !morning || !progress) return null;
    const toDo = new Set(round.toDo.map(({ flower }) => flower.id as string));
    const open = new Map(toCollect(state, question, round.date, place.zone).map((each) => [each.id, each]));
    const mine = (current?.routes[0]?.stops ?? []).filter(({ id }) => toDo.has(id) || open.has(id));
    const order: string[] = mine.filter(({ id }) => toDo.has(id)).map(({ id }) => id);
    for (const { stops } of current?.routes.slice(1) ?? [])
      for (const { id } of stops) if (toDo.has(id)) order.push(id);
    const listed = new Set(order);
    for (const { flower } of round.stops) if (!listed.has(flower.id)) order.push(flower.id);
    // The plan before the latest entry may still hold what has no male any more.
    const blocked = new Set(question.request.stops.filter((stop) => stop.blocked).map(({ id }) => id));
    const at = new Map(
      (current?.routes ?? []).flatMap(({ stops, worker }) =>
        stops.filter(({ id }) => !blocked.has(id)).map(({ id, begin }) => [id, { begin, worker }] as const),
      ),
    );
    return {
      question,
      morning,
      plan: current,
      at,
      mine,
      collectFor: (flower) => collectBefore(flower, question, open, mine),
      order,
      pace: progress.pace,
      hands: progress.hands,
    };
  }, [round, question, morning, progress, current, state, place.zone]);
}
