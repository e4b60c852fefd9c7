import type { Felt } from '@core/ledger';

type Units = 'metric' | 'us';

/** `17 °C` or `63 °F`; without the sign inside a range. */
export function degrees(celsius: number, units: Units, sign = true): string {
  const value = Math.round(units === 'us' ? celsius * 1.8 + 32 : celsius);
  return sign ? `${value} °${units === 'us' ? 'F' : 'C'}` : String(value);
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
