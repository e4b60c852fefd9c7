import { useMemo } from 'react';
import { useQuery } from '@tanstack/react-query';
import { keepingHours, bloomDayOf, morningOver } from '@core/bloom';
import { walkOrder } from '@core/patch';
import type { Foresight, ForesightInput } from '@core/goals';
import { bandDay } from '@core/rounds';
import { addDays } from '@core/time';
import { useGarden, type Garden } from '../garden/garden';
import { useWeather } from '../weather/weather';
import { askLog, type LogAsker } from '../device/logWorker';
import { numberOf } from '../device/numberOf';
import { here } from './here';

type Question = LogAsker &
  Pick<Garden, 'place' | 'today'> &
  Pick<ForesightInput, 'from' | 'temperatures' | 'wet'>;

/**
 * What is foretold, worked out in the worker from its own reading of the log, so that no tap waits for it; `null` until then.
 * While the new one is worked out the one before stands, if it is of the same garden. Once the morning is over, so are today's
 * openings, and the outlook begins with tomorrow.
 */
export function useForesight(): Foresight | null {
  const { state, place, now, today, space, store } = useGarden();
  const { temperatures, wet, weatherOf } = useWeather();
  const day = bandDay(place, now);
  const morning = useMemo(
    () => bloomDayOf(state, place, day.date, weatherOf),
    [state, place, day.date, weatherOf],
  );
  const crops = useMemo(() => keepingHours(walkOrder(state)).map(({ crop }) => crop), [state]);
  const over = morningOver(morning, crops, now);
  const from = over && day.date === today ? addDays(today, 1) : day.date;
  const garden = `${space}/${[...state.patches.keys()].join()}`;
  const { data } = useQuery({
    queryKey: ['foresight', garden, numberOf(state), today, from, numberOf(temperatures), wet],
    queryFn: ({ signal }) => foretold({ state, place, today, space, store, from, temperatures, wet }, signal),
    placeholderData: (before, query) => (query?.queryKey[1] === garden ? before : undefined),
    staleTime: Infinity,
    gcTime: 60_000,
    retry: false,
    networkMode: 'always',
  });
  return data ?? null;
}

function foretold(question: Question, signal: AbortSignal): Promise<Foresight> {
  const { state, place, today, from, temperatures, wet } = question;
  const rest = { place, today, from, temperatures, wet };
  return askLog(
    question,
    (trade, box, recent, count) => trade.foresight(box, recent, count, rest),
    async () => (await here.fetch()).foresight({ state, ...rest }),
    'foretold',
    signal,
  );
}
