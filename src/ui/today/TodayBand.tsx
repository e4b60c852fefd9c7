import { useMemo } from 'react';
import { bloomDayOf, inFlower, keepingHours, morningOver, type BloomDay } from '@core/bloom';
import { walkOrder } from '@core/patch';
import type { Round } from '@core/rounds';
import { clockText, dayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useWeather } from '@/data/weather/weather';
import { DawnBand, type BandBar } from '../charts/DawnBand';

/**
 * The band of what comes: this morning until its flowers have shut, then the evening, then the next morning, as soon as its round is
 * all there is. The sun, the insects, what opens, and the round. `bloom` is that of the day that matters now.
 */
export function TodayBand({ bloom, first }: { bloom: BloomDay; first: Round | undefined }) {
  const { state, place, now, today, prefs } = useGarden();
  const { weatherOf } = useWeather();
  const next = first?.kind === 'dawn' && first.date > bloom.day.date ? first.date : null;
  const morning = useMemo(
    () => (next === null ? bloom : bloomDayOf(state, place, next, weatherOf)),
    [bloom, next, state, place, weatherOf],
  );
  const { day } = morning;
  // Out of season nothing opens that could be shown.
  const grown = useMemo(() => {
    const flowering = inFlower(state, place, today);
    return walkOrder(state).filter((each) => flowering(each) === 'on');
  }, [state, place, today]);
  // What has all day would only crowd what keeps hours.
  const shown = useMemo(() => {
    const hours = keepingHours(grown);
    return hours.length > 0 ? hours : grown;
  }, [grown]);
  const evening =
    (first === undefined || (first.kind !== 'dawn' && first.date === today)) &&
    morningOver(
      morning,
      shown.map(({ crop }) => crop),
      now,
    );
  const windows = useMemo(() => {
    const bars = new Map<string, BandBar>();
    for (const { crop } of shown) {
      const squash = crop.id.startsWith('squash');
      if (crop.clock.round !== (evening ? 'dusk' : 'dawn')) continue;
      const { opens, bestUntil, closes } = morning.window(crop);
      bars.set(squash ? 'squash' : crop.id, {
        name: `${squash ? 'squash' : crop.name} open`,
        from: opens,
        best: bestUntil,
        to: closes,
      });
    }
    return [...bars.values()];
  }, [shown, morning, evening]);
  // No dusk and no dawn to draw: the hours that stand for them hang on solar noon.
  if (!day.fromSun) return null;
  const hour12 = prefs.clock === '12';
  const clock = (at: number) => clockText(at, place.zone, hour12);
  const sun = evening
    ? `sets ${clock(day.sunset)}`
    : `rises ${clock(day.sunrise)}, bees about ${clock(day.insectsFrom)}`;
  const open = windows.map(({ name, from, to }) => `${name} ${clock(from)} to ${clock(to)}`);
  return (
    <DawnBand
      day={day}
      zone={place.zone}
      now={now}
      hour12={hour12}
      windows={windows}
      round={first ? roundBar(first, evening, day.date, now) : null}
      summary={`${dayText(day.date)}: sun ${sun}. ${open.join('; ')}`}
      part={evening ? 'dusk' : 'dawn'}
    />
  );
}

/** The bar of a round that lies on the band; `null` where it is of another morning or evening. */
function roundBar(round: Round, evening: boolean, date: string, now: number): BandBar | null {
  const shown = round.kind === 'walk' ? evening : evening === (round.kind === 'dusk') && round.date === date;
  if (!shown) return null;
  const from = Math.max(now, round.kind === 'walk' ? round.startsAt : round.window.opens);
  return {
    name: round.kind === 'walk' ? 'evening walk' : 'your round',
    from,
    to: from + round.minutes * 60_000,
  };
}
