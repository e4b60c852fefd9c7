import type { ReactElement } from 'react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react-native';
import type { AnyEvent } from '@core/ledger';
import { seededRandom } from '@core/random';
import { OpenGarden } from '@/data/garden/garden';
import { LedgerStore, memoryBox, noNeighbours } from '@/data/store';
import { partsHere } from '@/data/store/testing/parts';
import type { Prefs } from '@/data/device/prefs';
import { ControlsTheme, LightProvider } from './theme';

// The web page's own title, which pages set; there is no page here.
(globalThis as { document?: unknown }).document ??= { title: '' };

/** For component tests only: a real ledger store over memory, its clock still, and a component in its garden. */
const PREFS: Prefs = {
  light: 'day',
  units: 'metric',
  clock: '24',
  space: 'own',
  station: 'none',
  team: 'as-it-comes',
  helpers: 0,
  by: 'Oda',
  device: 'test',
  exportedAt: null,
  guided: false,
};

/** A store with these events; the device's clock stands at `now`. */
export async function gardenOf(events: readonly unknown[], now: number): Promise<LedgerStore> {
  jest.spyOn(Date, 'now').mockReturnValue(now);
  const store = await new LedgerStore({
    box: memoryBox(),
    neighbours: noNeighbours,
    clock: { now: () => now },
    random: seededRandom(3),
    device: 'test',
    by: () => 'Oda',
    parts: partsHere,
  }).open();
  await store.add(events as AnyEvent[]);
  return store;
}

export function renderIn(store: LedgerStore, element: ReactElement, prefs: Partial<Prefs> = {}) {
  const client = new QueryClient({ defaultOptions: { queries: { gcTime: Infinity } } });
  return render(
    <QueryClientProvider client={client}>
      <OpenGarden open={{ space: 'own', store, demo: null }} prefs={{ ...PREFS, ...prefs }}>
        <ControlsTheme>
          <LightProvider light="day">{element}</LightProvider>
        </ControlsTheme>
      </OpenGarden>
    </QueryClientProvider>,
  );
}
