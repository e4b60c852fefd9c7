import type { Felt } from '@core/ledger';
import type { WeatherDay, WeatherSource } from '@core/sky';
import type { Units } from '@/data/device/prefs';

/** `17 °C` or `63 °F`; without the sign inside a range. */
export function degrees(celsius: number, units: Units, sign = true): string {
  const rounded = Math.round(units === 'us' ? celsius * 1.8 + 32 : celsius);
  const value = rounded < 0 ? `−${-rounded}` : String(Math.abs(rounded));
  return sign ? `${value} °${units === 'us' ? 'F' : 'C'}` : value;
}

export function rainText(mm: number, units: Units): string {
  if (mm < 0.05) return 'dry';
  return units === 'us' ? `${(mm / 25.4).toFixed(2)} in rain` : `${Math.round(mm * 10) / 10} mm rain`;
}

export const feltWords: Record<Felt, string> = {
  cold: 'cold',
  cool: 'cool',
  mild: 'as usual',
  warm: 'warm',
  hot: 'hot',
};

/** Where a day's weather is from; rain that somebody noted is never "nobody measured". */
export function sourceText({ source, rainMm }: Pick<WeatherDay, 'source' | 'rainMm'>): string {
  return source === 'climate' && rainMm !== null
    ? 'rain noted; warmth as usual for here'
    : sourceWords[source];
}

export const sourceWords: Record<WeatherSource, string> = {
  hand: 'noted by hand',
  file: 'from a file',
  station: 'made-up station',
  forecast: 'made-up station’s forecast',
  climate: 'usual for here; nobody measured',
};

/** The winds, every 45 degrees clockwise from north. */
export const WINDS = [
  'north',
  'north-east',
  'east',
  'south-east',
  'south',
  'south-west',
  'west',
  'north-west',
] as const;
