import type { Prefs } from './prefs';

/** The choices that lay in storage as `text`, with what is usual for the rest. What cannot be read is no loss: the usual comes back. */
export function readPrefs(text: string | null): { readonly prefs: Prefs; readonly isNew: boolean } {
  const kept = keptIn(text);
  return {
    prefs: {
      light: 'by-itself',
      // Asking the browser for its region takes a slow phone a tenth of a second: only where it was not kept.
      ...(kept.units && kept.clock ? { units: kept.units, clock: kept.clock } : ofRegion()),
      space: null,
      station: 'none',
      helpers: 0,
      team: 'as-it-comes',
      by: '',
      device: kept.device ?? `device-${crypto.getRandomValues(new Uint32Array(2)).join('-')}`,
      exportedAt: null,
      guided: false,
      ...kept,
    },
    isNew: kept.device === undefined,
  };
}

function keptIn(text: string | null): Partial<Prefs> {
  try {
    const kept: unknown = JSON.parse(text ?? '{}');
    return typeof kept === 'object' && kept !== null && !Array.isArray(kept) ? kept : {};
  } catch {
    return {};
  }
}

function ofRegion(): Pick<Prefs, 'units' | 'clock'> {
  const { locale, hour12 } = new Intl.DateTimeFormat(undefined, { hour: 'numeric' }).resolvedOptions();
  return { units: /^en-(US|LR|MM)/.test(locale) ? 'us' : 'metric', clock: hour12 ? '12' : '24' };
}
