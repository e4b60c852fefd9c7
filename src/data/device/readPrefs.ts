import type { TeamWay } from '@core/rounds';

export const LIGHTS = ['by-itself', 'day', 'sun', 'before-dawn'] as const;
export type Light = (typeof LIGHTS)[number];
export type Space = 'own' | 'demo';

/** The units in which lengths, temperatures and rain are shown and typed. */
export type Units = 'metric' | 'us';

/** Choices of this device, not of the patch. Kept where the page can read them before it draws (localStorage). */
export interface Prefs {
  readonly light: Light;
  readonly units: Units;
  readonly clock: '24' | '12';
  readonly space: Space | null;
  /** Weather from the made-up station; the demo always has it. */
  readonly station: 'none' | 'simulated';
  /** Who goes along on a round, besides the one who records. */
  readonly helpers: number;
  /** How they share it. */
  readonly team: TeamWay;
  /** Who is working: written into each record. */
  readonly by: string;
  readonly device: string;
  /** When the log was last carried out in a file (ISO), to ask again. */
  readonly exportedAt: string | null;
  /** Led through one flower of the demo. */
  readonly guided: boolean;
}

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
