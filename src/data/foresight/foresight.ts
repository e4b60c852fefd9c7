import { useMemo } from 'react';
import { useQuery } from '@tanstack/react-query';
import { keepingHours, bloomDayOf, morningOver } from '@core/bloom';
import { walkOrder } from '@core/patch';
import { foresight, type Foresight } from '@core/goals';
import { bandDay } from '@core/rounds';
import { addDays } from '@core/time';
import { useGarden, type Garden } from '../garden/garden';
import { boxName } from '../device/prefs';
import { useWeather } from '../weather/weather';
import { askWorker, markWorkOf } from '../device/worker';

/** Entries made so quickly after each other are answered together. */
const PAUSE_MS = 60;
/** How often the worker is asked again when it has not read the latest entries yet, and after how long. */
const TRIES = 5;
const AGAIN_MS = 300;

const numbers = new WeakMap<object, number>();
let given = 0;

/** A number of its own for each thing: what stands for it in a query's key, which is written out at every drawing. */
function numberOf(thing: object): number {
  const known = numbers.get(thing) ?? ++given;
  numbers.set(thing, known);
  return known;
}

type Question = Pick<Garden, 'state' | 'place' | 'today' | 'space' | 'store'> &
  Pick<Parameters<typeof foresight>[0], 'from' | 'temperatures'>;

/**
 * What is foretold, worked out in the worker from its own reading of the log, so that no tap waits for it; `null` until then.
 * While the new one is worked out the one before stands, if it is of the same garden. Once the morning is over, so are today's
 * openings, and the outlook begins with tomorrow.
 */
export function useForesight(): Foresight | null {
  const { state, place, now, today, space, store } = useGarden();
  const { temperatures, weatherOf } = useWeather();
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
    queryKey: ['foresight', garden, numberOf(state), today, from, numberOf(temperatures)],
    queryFn: ({ signal }) => foretold({ state, place, today, space, store, from, temperatures }, signal),
    placeholderData: (before, query) => (query?.queryKey[1] === garden ? before : undefined),
    staleTime: Infinity,
    gcTime: 60_000,
    retry: false,
    networkMode: 'always',
  });
  return data ?? null;
}

async function foretold(question: Question, signal: AbortSignal): Promise<Foresight> {
  const { state, place, today, space, store, from, temperatures } = question;
  await pause(PAUSE_MS);
  for (let tries = 0; typeof Worker !== 'undefined' && tries < TRIES; tries++) {
    signal.throwIfAborted();
    try {
      const answer = await askWorker('log', (trade) =>
        trade.foresight(boxName(space), store.recent, state.count, { place, today, from, temperatures }),
      );
      if (answer.count === state.count) {
        markWorkOf('foretold', 'worker');
        return answer.foresight;
      }
    } catch {
      break;
    }
    await pause(AGAIN_MS);
  }
  signal.throwIfAborted();
  // No worker here, or one that cannot read the log: late on this thread is better than never.
  markWorkOf('foretold', 'screen');
  return foresight({ state, place, today, from, temperatures });
}

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
