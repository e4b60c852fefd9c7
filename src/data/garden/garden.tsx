import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useState,
  useSyncExternalStore,
  type ReactNode,
} from 'react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { IdByKind, SubjectKind } from '@core/ids';
import type { AnyEvent, Draft, Patch, Place, State } from '@core/ledger';
import { mainPatch } from '@core/patch';
import { DEMO_DEVICE, demoStart } from '@core/simulation';
import { localDateOf, type LocalDate } from '@core/time';
import { DemoClock, realClock } from '../device/clock';
import { browserNeighbours, LedgerStore, type Ledger } from '../store';
import { deviceBox, keepOnLeaving } from '../store/deviceBox';
import { demoEvents } from '../demo/demo';
import { boxName, useChangePrefs, usePrefs, type Prefs, type Space } from '../device/prefs';
import { idle } from '../device/idle';
import { later } from '../device/later';
import { rememberOpen } from '../device/rescue';
import { readAhead } from './readAhead';
import { inWorker } from '../device/worker';

export interface OpenSpace {
  readonly space: Space;
  readonly store: LedgerStore;
  readonly demo: DemoClock | null;
}

/** After a refusal of storage. */
const AGAIN_MS = 2000;

const secureRandom = () => (crypto.getRandomValues(new Uint32Array(1))[0] as number) / 4294967296;

/** How far the making of the demo has come, for the waiting screen. */
const progressKey = ['demo-progress'] as const;

async function openSpace(
  space: Space,
  prefs: () => Prefs,
  onProgress: (share: number) => void,
): Promise<OpenSpace> {
  const name = boxName(space);
  const box = deviceBox(name);
  const demo = space === 'demo' ? new DemoClock(box, demoStart()) : null;
  await demo?.load();
  const store = new LedgerStore({
    box,
    neighbours: browserNeighbours(name),
    clock: demo ?? realClock,
    random: secureRandom,
    // A visitor to the demo works on its growers' phone: there is no second one to meet.
    device: space === 'demo' ? DEMO_DEVICE : prefs().device,
    by: () => prefs().by || (space === 'demo' ? 'Visitor' : 'Grower'),
    early: true,
    pause: idle,
    parts: () => later.fetch(),
  });
  await store.open();
  rememberOpen(store);
  keepOnLeaving(name, () => store.unstored);
  if (demo && store.ledger.state.count === 0) {
    await store.add(await demoEvents(onProgress));
  }
  if (space === 'own') void navigator.storage?.persist?.().catch(() => false);
  return { space, store, demo };
}

export interface Garden {
  readonly space: Space;
  readonly prefs: Prefs;
  readonly state: State;
  /** Whether all of the state can be read: until then only what grows here now is. */
  readonly whole: boolean;
  readonly patch: Patch | null;
  /** The place of the patch; before it is known, noon at nowhere, so that no screen has to ask. */
  readonly place: Place;
  readonly now: number;
  readonly today: LocalDate;
  readonly store: LedgerStore;
  readonly demo: DemoClock | null;
  newId<Kind extends SubjectKind>(kind: Kind): IdByKind[Kind];
  /** Records one tap's worth of facts. Rejects with `invalid` and the field. */
  record(...drafts: Draft[]): Promise<readonly AnyEvent[]>;
  /** The same of something that happened earlier, epoch ms. */
  recordAt(at: number, ...drafts: Draft[]): Promise<readonly AnyEvent[]>;
  /** Takes back the tap with this key, or the last one. */
  undo(key?: string): Promise<void>;
  /** Brings back the tap with this key, if it was the last one taken back. */
  redo(key: string): Promise<void>;
  /** Demo only: moves the clock, and lets the others in the patch do their part in the meantime. */
  moveDemoTo(time: number): Promise<void>;
}

const GardenContext = createContext<Garden | null>(null);
const NOWHERE: Place = { name: '', latitude: 0, longitude: 0, zone: 'UTC' };

export interface Opening {
  readonly status: 'choosing' | 'opening' | 'open' | 'failed';
  readonly progress: number;
  readonly error: Error | null;
  retry(): void;
}

const OpeningContext = createContext<Opening>({
  status: 'opening',
  progress: 0,
  error: null,
  retry: () => undefined,
});

/** Opens the chosen space (own patch or demo) and gives it to every screen below. */
export function GardenProvider({ children }: { children: ReactNode }) {
  const prefs = usePrefs();
  const client = useQueryClient();
  const space = prefs?.space ?? null;
  const opening = useQuery({
    queryKey: ['space', space],
    enabled: space !== null,
    queryFn: () =>
      openSpace(
        space as Space,
        () => client.getQueryData(['prefs']) as Prefs,
        (share) => client.setQueryData(progressKey, share),
      ),
    staleTime: Infinity,
    gcTime: Infinity,
    retry: false,
    networkMode: 'always',
  });
  const progress = useQuery({ queryKey: progressKey, queryFn: () => 0, enabled: false, initialData: 0 }).data;
  const { refetch, error } = opening;
  const open = opening.data;
  const status: Opening['status'] =
    prefs && space === null ? 'choosing' : error ? 'failed' : open && prefs ? 'open' : 'opening';
  const about = useMemo<Opening>(
    () => ({ status, progress, error, retry: () => void refetch() }),
    [status, progress, error, refetch],
  );
  const garden = useOpened(open && open.space === space ? open : null, prefs ?? null);
  // One shape of tree whatever is open: a screen that switches patches must live through the switch.
  return (
    <OpeningContext.Provider value={about}>
      <GardenContext.Provider value={garden}>{children}</GardenContext.Provider>
    </OpeningContext.Provider>
  );
}

/** A space that is open already, given to the screens below: what the provider does once it has opened one. */
export function OpenGarden({
  open,
  prefs,
  children,
}: {
  open: OpenSpace;
  prefs: Prefs;
  children: ReactNode;
}) {
  return <GardenContext.Provider value={useOpened(open, prefs)}>{children}</GardenContext.Provider>;
}

const nothing = () => () => undefined;

/** Something of what a store holds, drawn again when it changes. */
function useOfStore<T>(store: LedgerStore | null, of: (ledger: Ledger) => T): T | null {
  return useSyncExternalStore(
    useCallback((listener: () => void) => (store ? store.subscribe(listener) : nothing()), [store]),
    () => (store ? of(store.ledger) : null),
  );
}

function useOpened(open: OpenSpace | null, prefs: Prefs | null): Garden | null {
  const store = open?.store ?? null;
  const demo = open?.demo ?? null;
  // The state alone: how the saving of an entry goes is no reason to draw the screen again (`useLedger`).
  const state = useOfStore(store, ({ state }) => state);
  const whole = useOfStore(store, (ledger) => ledger.whole) ?? false;
  useEffect(() => {
    if (!store || whole) return;
    // Once this screen stands. Where storage refuses, again later: the screens that need it wait.
    let timer: ReturnType<typeof setTimeout> | undefined;
    let left = false;
    const bring = () =>
      void idle()
        .then(() => store.rest())
        .catch(() => {
          if (!left) timer = setTimeout(bring, AGAIN_MS);
        });
    bring();
    return () => {
      left = true;
      clearTimeout(timer);
    };
  }, [store, whole]);
  const clock = demo ?? realClock;
  const [ticked, setTicked] = useState(() => clock.now());
  useEffect(() => {
    const tick = () => setTicked(clock.now());
    tick();
    const timer = setInterval(tick, 10_000);
    return () => clearInterval(timer);
  }, [clock]);
  useEffect(() => {
    if (!store) return;
    // A tab that slept may have missed what the others said.
    const wake = () => document.visibilityState === 'visible' && void store.catchUp().catch(() => undefined);
    document.addEventListener?.('visibilitychange', wake);
    return () => document.removeEventListener?.('visibilitychange', wake);
  }, [store]);
  const patch = useMemo(() => (state ? mainPatch(state) : null), [state]);
  const zone = patch?.place?.zone;
  useEffect(() => {
    // Once for an opened log: what an entry changes is little.
    return store && zone && whole ? readAhead(store.ledger.state, zone) : undefined;
  }, [store, zone, whole]);
  // While the demo's clock moves the screen stands: half the events of a night are no night.
  const [held, hold] = useState<Garden | null>(null);
  const built = useMemo<Garden | null>(() => {
    if (!open || !store || !state || !prefs) return null;
    const place = patch?.place ?? NOWHERE;
    const tick = () => setTicked(clock.now());
    const write = async (drafts: readonly Draft[], at?: number) => {
      const events = await store.record(drafts, at);
      if (demo) {
        await demo.step();
        tick();
      }
      return events;
    };
    // Just after a switch the tick may still be the other clock's.
    const now = demo ? demo.now() : ticked;
    const garden: Garden = {
      space: open.space,
      prefs,
      state,
      whole,
      patch,
      place,
      now,
      today: localDateOf(now, place.zone),
      store,
      demo,
      newId: (kind) => store.newId(kind),
      record: (...drafts) => write(drafts),
      recordAt: (at, ...drafts) => write(drafts, at),
      undo: (key) => store.undo(key),
      redo: (key) => store.redo(key),
      async moveDemoTo(time) {
        if (!demo) return;
        hold(garden);
        try {
          const events = await store.allEvents();
          const from = demo.now();
          await store.add(await inWorker((trade) => trade.demoMeanwhile(events, from, time)).result);
          await demo.moveTo(time);
        } finally {
          tick();
          hold(null);
        }
      },
    };
    return garden;
  }, [open, store, state, whole, prefs, patch, ticked, clock, demo]);
  return held ?? built;
}

/** The open garden. Throws outside one: screens under the frame always have it. */
export function useGarden(): Garden {
  const garden = useContext(GardenContext);
  if (!garden)
    throw new Error('useGarden: no garden is open here; render below GardenProvider once a space is chosen.');
  return garden;
}

export function useMaybeGarden(): Garden | null {
  return useContext(GardenContext);
}

/** The open garden's log with how its saving goes; `null` outside one. */
export function useLedger(): Ledger | null {
  return useOfStore(useContext(GardenContext)?.store ?? null, (ledger) => ledger);
}

export function useOpening(): Opening {
  return useContext(OpeningContext);
}

/** Opens the other space (own patch or demo); the one left stays as it is. */
export function useChooseSpace(): (space: Space | null) => Promise<void> {
  const change = useChangePrefs();
  return useCallback(
    async (space) => {
      await change({ space });
    },
    [change],
  );
}
