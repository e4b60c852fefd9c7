import { useQuery } from '@tanstack/react-query';
import type { Goal, Stand } from '@core/ledger';
import type { GoalSum } from '@core/goals';
import { askLog } from '../device/logWorker';
import { numberOf } from '../device/numberOf';
import { useGarden } from '../garden/garden';
import { useWeather } from '../weather/weather';
import { here } from './here';

/** The sum of a goal that is only being thought of: `null` where there is none, `undefined` until it is worked out; the one before stands meanwhile. */
export function useSumOf(stand: Stand, goal: Goal): GoalSum | null | undefined {
  const { state, place, today, space, store } = useGarden();
  const { wet } = useWeather();
  const thought = { ...stand, goal };
  const { data } = useQuery({
    queryKey: ['goal sum', space, numberOf(state), today, stand.id, goal, wet],
    queryFn: ({ signal }) =>
      askLog(
        { state, space, store },
        (trade, box, recent, count) =>
          trade.goalSum(box, recent, count, { place, today, wet, stand: thought }),
        async () => (await here.fetch()).sumOf({ state, place, today, wet, stand: thought }),
        'foretold',
        signal,
      ),
    placeholderData: (before, query) => (query?.queryKey[4] === stand.id ? (before ?? undefined) : undefined),
    staleTime: Infinity,
    gcTime: 60_000,
    retry: false,
    networkMode: 'always',
  });
  return data;
}
