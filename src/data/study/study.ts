import { useQuery } from '@tanstack/react-query';
import type { Remote } from 'comlink';
import type { AnyEvent, Place, State } from '@core/ledger';
import { yearPurity, type YearPurity } from '@core/purity';
import { seedOverview, type SeedOverview } from '@core/seed';
import { study, weekOf, type Study, type StudyQuestion, type Week } from '@core/study';
import type { LocalDate } from '@core/time';
import type { Trade } from '../../workers/trade.worker';
import { askLog, type Answered } from '../device/logWorker';
import { numberOf } from '../device/numberOf';
import { useGarden } from '../garden/garden';

/** How a question is put to the worker, and answered where there is none. */
interface Asked<T> {
  readonly ask: (
    trade: Remote<Trade>,
    box: string,
    recent: readonly AnyEvent[],
    count: number,
    place: Place,
    today: LocalDate,
  ) => Promise<Answered<T>>;
  readonly here: (state: State, place: Place, today: LocalDate) => T;
}

/** An answer from the record by the worker; `data` is null until there is one, and the one before stands while another is worked out. */
function useAnswer<T>(key: readonly unknown[], { ask, here }: Asked<T>) {
  const { state, place, today, space, store } = useGarden();
  const garden = `${space}/${[...state.patches.keys()].join()}`;
  const { data, isFetching } = useQuery({
    queryKey: ['study', garden, numberOf(state), today, ...key],
    queryFn: ({ signal }) =>
      askLog(
        { state, space, store },
        (trade, box, recent, count) => ask(trade, box, recent, count, place, today),
        () => here(state, place, today),
        'studied',
        signal,
      ),
    placeholderData: (before, query) => (query?.queryKey[1] === garden ? before : undefined),
    staleTime: Infinity,
    gcTime: 60_000,
    retry: false,
    networkMode: 'always',
  });
  return { data: data ?? null, working: isFetching };
}

/** What the record says of the flowers chosen; `working` while another choice is worked out. */
export function useStudy(question: Omit<StudyQuestion, 'today'>): {
  readonly study: Study | null;
  readonly working: boolean;
} {
  const { data, working } = useAnswer<Study>(['flowers', question], {
    ask: (trade, box, recent, count, place, today) =>
      trade.study(box, recent, count, place, { ...question, today }),
    here: (state, place, today) => study(state, place, { ...question, today }),
  });
  return { study: data, working };
}

/** How pure the fruits of a year are (`null`: of the last one that has any); `null` until it is known. */
export function useYearPurity(year: string | null): YearPurity | null {
  return useAnswer<YearPurity>(['purity', year], {
    ask: (trade, box, recent, count, _place, today) => trade.purity(box, recent, count, today, year),
    here: (state, _place, today) => yearPurity(state, today, year),
  }).data;
}

/** All lots of seed and what comes into the next; `null` until it is known. */
export function useSeedOverview(): SeedOverview | null {
  return useAnswer<SeedOverview>(['seed'], {
    ask: (trade, box, recent, count, _place, today) => trade.seed(box, recent, count, today),
    here: (state, _place, today) => seedOverview(state, today),
  }).data;
}

/** What the last seven days came to; `null` until it is known. */
export function useWeek(): Week | null {
  return useAnswer<Week>(['week'], {
    ask: (trade, box, recent, count, place, today) => trade.week(box, recent, count, place, today),
    here: weekOf,
  }).data;
}
