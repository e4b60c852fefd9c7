import { useQuery } from '@tanstack/react-query';
import { study, type Study, type StudyQuestion } from '@core/study';
import { askLog } from '../device/logWorker';
import { numberOf } from '../device/numberOf';
import { useGarden } from '../garden/garden';

/**
 * What the record says of the flowers chosen, worked out in the worker; `null` until it is. While another choice is worked out the
 * answer before stands, and `working` says so.
 */
export function useStudy(question: Omit<StudyQuestion, 'today'>): {
  readonly study: Study | null;
  readonly working: boolean;
} {
  const { state, place, today, space, store } = useGarden();
  const garden = `${space}/${[...state.patches.keys()].join()}`;
  const { data, isFetching } = useQuery({
    queryKey: ['study', garden, numberOf(state), today, question],
    queryFn: ({ signal }) => {
      const asked = { ...question, today };
      return askLog(
        { state, space, store },
        (trade, box, recent, count) => trade.study(box, recent, count, place, asked),
        () => study(state, place, asked),
        'studied',
        signal,
      );
    },
    placeholderData: (before, query) => (query?.queryKey[1] === garden ? before : undefined),
    staleTime: Infinity,
    gcTime: 60_000,
    retry: false,
    networkMode: 'always',
  });
  return { study: data ?? null, working: isFetching };
}
