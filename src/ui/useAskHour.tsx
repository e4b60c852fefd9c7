import { useState, type ReactNode } from 'react';
import { hourDoubt } from '@core/bloom';
import type { Crop } from '@core/crops';
import { clockText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useWeather } from '@/data/weather/weather';
import { Button, Sheet } from './controls';
import { Txt } from './theme';

/** Asks back before an open flower is written as worked at an hour at which the crop's flowers are shut. */
export function useAskHour(crop: Crop): {
  readonly ask: (go: () => void) => void;
  readonly sheet: ReactNode;
} {
  const { state, place, now, prefs } = useGarden();
  const { weatherOf } = useWeather();
  const [asked, setAsked] = useState<{ readonly words: string; readonly go: () => void } | null>(null);
  const ask = (go: () => void) => {
    const doubt = hourDoubt(state, place, crop, now, weatherOf);
    if (!doubt) return go();
    const at = clockText(doubt.at, place.zone, prefs.clock === '12');
    const words =
      doubt.what === 'shut'
        ? `Flowers of ${crop.plural} shut by about ${at} here. A shut flower takes no pollen, and by then the pollen is mostly dead. Was this one open, and worked just now?`
        : `Flowers of ${crop.plural} open from about ${at} here. Was this one open, and worked just now?`;
    setAsked({ words, go });
  };
  return {
    ask,
    sheet: (
      <Sheet open={asked !== null} onClose={() => setAsked(null)} title="Open at this hour?">
        <Txt>{asked?.words}</Txt>
        <Button title="No, write nothing" look="main" onPress={() => setAsked(null)} />
        <Button
          title="Yes, worked just now"
          onPress={() => {
            asked?.go();
            setAsked(null);
          }}
        />
      </Sheet>
    ),
  };
}
