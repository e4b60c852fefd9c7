import { useEffect, useMemo, useState } from 'react';
import {
  keepingHours,
  morningOf,
  morningOver,
  outlookByVariety,
  recordsOf,
  teachingFlowers,
  type BudRecord,
  type VarietyOutlook,
} from '@core/bloom';
import type { State } from '@core/ledger';
import { walkOrder } from '@core/patch';
import { bandDay } from '@core/rounds';
import { addDays, type LocalDate } from '@core/time';
import { useGarden } from './garden';
import { useWeather } from './weather';

interface Told {
  readonly state: State;
  readonly from: LocalDate;
  readonly temperatures: readonly object[];
  readonly outlook: readonly VarietyOutlook[];
}

let latest: Told | null = null;
const SLICE = 500;

/**
 * What opens in the next days. Worked out after the screen stands, so that no tap waits for it; `null` until then.
 * Once the morning is over, so are today's openings, and it begins with tomorrow.
 */
export function useOutlook(): readonly VarietyOutlook[] | null {
  const { state, place, now, today } = useGarden();
  const { temperatures, weatherOf } = useWeather();
  const day = bandDay(place, now);
  const morning = useMemo(
    () => morningOf(state, place, day.date, weatherOf),
    [state, place, day.date, weatherOf],
  );
  const crops = useMemo(() => keepingHours(walkOrder(state)).map(({ crop }) => crop), [state]);
  const over = morningOver(morning, crops, now);
  const from = over && day.date === today ? addDays(today, 1) : day.date;
  const [told, setTold] = useState<Told | null>(latest);
  const known =
    latest?.state === state && latest.from === from && latest.temperatures === temperatures ? latest : null;
  useEffect(() => {
    if (latest?.state === state && latest.from === from && latest.temperatures === temperatures) return;
    // A few flowers at a time, so that a tap in between never waits: an old log holds tens of thousands.
    const flowers = teachingFlowers(state, from);
    const records: BudRecord[] = [];
    let timer: ReturnType<typeof setTimeout>;
    const step = (at: number) => {
      for (const record of recordsOf(state, place.zone, flowers.slice(at, at + SLICE))) records.push(record);
      if (at + SLICE < flowers.length) {
        timer = setTimeout(step, 0, at + SLICE);
        return;
      }
      varieties = outlookByVariety({ state, zone: place.zone, from, records, temperatures });
      timer = setTimeout(variety, 0);
    };
    const outlook: VarietyOutlook[] = [];
    let varieties: ReturnType<typeof outlookByVariety>;
    const variety = () => {
      const next = varieties.next();
      if (next.value) {
        outlook.push(next.value);
        timer = setTimeout(variety, 0);
        return;
      }
      latest = { state, from, temperatures, outlook };
      setTold(latest);
    };
    timer = setTimeout(step, 60, 0);
    return () => clearTimeout(timer);
  }, [state, from, place.zone, temperatures]);
  // While the new one is worked out the one before stands, if it is of the same garden.
  const shown = known ?? (told?.state.patches === state.patches ? told : null);
  return shown?.outlook ?? null;
}
