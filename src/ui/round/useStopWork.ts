import { useMemo } from 'react';
import { bloomDayOf } from '@core/bloom';
import { lastTool, saidTool } from '@core/fruitset';
import { malesFor } from '@core/goals';
import { fatherVarietyOf } from '@core/patch';
import {
  fathersFor,
  matchedFathers,
  stopWork,
  suggestFathers,
  whyNoFather,
  type PollinationRound,
  type Stop,
} from '@core/rounds';
import { clockText } from '@core/time';
import { useDraft } from '@/data/device/draft';
import { useGarden } from '@/data/garden/garden';
import { useNextMark } from '@/data/garden/nextMark';
import type { DawnPlan } from '@/data/round/dawnPlan';
import { useWeather } from '@/data/weather/weather';
import { NOTHING_SAID, type Answers } from './StopWork';

const HALF_AN_HOUR = 30 * 60_000;

/** What is known of one flower of the round, what was answered, and the work that follows from both. */
export function useStopWork(round: PollinationRound, stop: Stop, dawn: DawnPlan | null) {
  const { state, place, patch, space } = useGarden();
  const { flower, growing } = stop;
  const { crop } = growing;
  const { value: answers, change, clear } = useDraft<Answers>(`stop-3/${space}/${flower.id}`, NOTHING_SAID);
  const schools = patch?.schools;
  const selfing = answers.selfOnce ? 'allowed' : (schools?.selfing ?? 'others-first');
  const offers = useMemo(
    () => fathersFor(state, stop, round.date, place.zone, selfing),
    [state, stop, round.date, place.zone, selfing],
  );
  const match = dawn?.question.match;
  const suggested = useMemo(() => {
    const matched = matchedFathers(state, match?.pairs ?? [], flower.id);
    return matched.size > 0
      ? matched
      : suggestFathers(offers, malesFor(state, crop, growing.stand.goal).value);
  }, [match, flower.id, state, offers, crop, growing.stand.goal]);
  const mark = useNextMark();
  const work = stopWork(stop, answers, {
    offers,
    suggested,
    saidTool: saidTool(state, crop),
    mark: schools?.marking === 'when-growing' ? null : mark,
  });
  const noMales = offers.every(({ free }) => free.length === 0);
  const kitchen = work.purpose === 'kitchen';
  const strange = dawn?.hands && dawn.hands !== fatherVarietyOf(growing) && !answers.clean;
  return {
    answers,
    change,
    clear,
    offers,
    work,
    noMales,
    kitchen,
    tool: work.tool ?? lastTool(state, crop),
    /** Name of the variety whose pollen is still on hands or brush. */
    carried: strange ? (state.varieties.get(dawn.hands ?? '')?.name ?? null) : null,
    noFather: noMales && !kitchen ? whyNoFather(state, stop, round.date, place.zone, selfing) : null,
  };
}

/** When the flower's pollen can be had this morning, and the hour at which one that is not open yet is worth another look. */
export function useStopHours(round: PollinationRound, stop: Stop, dawn: DawnPlan | null) {
  const { state, place, prefs, now } = useGarden();
  const { weatherOf } = useWeather();
  const { crop } = stop.growing;
  const bloomDay = dawn?.morning ?? bloomDayOf(state, place, round.date, weatherOf);
  const window = bloomDay.window(crop);
  const cold = bloomDay.pollen(crop);
  const comeBack = now < window.opens ? window.opens : Math.max(cold?.from ?? 0, now + HALF_AN_HOUR);
  return { window, cold, comeBack: clockText(comeBack, place.zone, prefs.clock === '12') };
}
