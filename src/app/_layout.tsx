import { useMemo, useState } from 'react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { Slot, usePathname, useRouter, type ErrorBoundaryProps } from 'expo-router';
import { GardenProvider, useMaybeGarden } from '@/data/garden/garden';
import { piece, usePiece } from '@/data/device/pieces';
import { useOthersPrefs, usePrefs } from '@/data/device/prefs';
import { Fault } from '@/ui/Fault';
import { Frame } from '@/ui/Frame';
import { Notices } from '@/ui/Notices';
import { useShortcuts } from '@/ui/useShortcuts';
import { ControlsTheme, LightProvider } from '@/ui/theme';

export default function Layout() {
  const [client] = useState(() => new QueryClient());
  return (
    <QueryClientProvider client={client}>
      <ControlsTheme>
        <GardenProvider>
          <Lit />
        </GardenProvider>
      </ControlsTheme>
    </QueryClientProvider>
  );
}

/** A screen that breaks takes the others along to this page, never to a white one. */
export function ErrorBoundary({ error }: ErrorBoundaryProps) {
  return <Fault error={error} />;
}

const keySheet = piece(() => import('@/ui/ShortcutsSheet'));

/** The list of keys, fetched when it is asked for. */
function Keys({ onClose }: { onClose: () => void }) {
  const { ShortcutsSheet } = usePiece(keySheet, true) ?? {};
  return ShortcutsSheet ? <ShortcutsSheet onClose={onClose} /> : null;
}

/** Work in the middle of which nothing is offered that would reload the app. */
const AT_WORK = new Set([
  '/walk',
  '/round',
  '/corn',
  '/crosses',
  '/kitchen',
  '/looks',
  '/card',
  '/begin',
  '/key',
  '/practice/children',
  '/practice/train',
  '/practice/rehearse',
]);
/** Screens without the bar of places. */
const BARE = new Set([
  '/walk',
  '/round',
  '/begin',
  '/key',
  '/practice/children',
  '/practice/train',
  '/practice/rehearse',
  '/dev/gallery',
]);

function Lit() {
  const prefs = usePrefs();
  useOthersPrefs();
  const garden = useMaybeGarden();
  const path = usePathname();
  const router = useRouter();
  const [keysShown, setKeysShown] = useState(false);
  const open = Boolean(garden?.patch);
  useShortcuts(
    useMemo(
      () => ({
        t: open ? () => router.navigate('/') : null,
        p: open ? () => router.navigate('/patch') : null,
        f: open ? () => router.navigate('/fruit') : null,
        s: open ? () => router.navigate('/seed') : null,
        r: open ? () => router.navigate('/practice') : null,
        k: open ? () => router.navigate('/key') : null,
        '/': open ? () => router.navigate('/search') : null,
        '?': () => setKeysShown(true),
      }),
      [open, router],
    ),
  );
  if (!prefs) return null;
  const light = prefs.light === 'by-itself' ? 'day' : prefs.light;
  const bare = BARE.has(path) || !garden?.patch;
  return (
    <LightProvider light={light}>
      <Frame
        current={path}
        onGo={(to) => router.navigate(to)}
        notices={<Notices atWork={AT_WORK.has(path)} bare={BARE.has(path)} />}
        bare={bare}
      >
        <Slot />
        {keysShown ? <Keys onClose={() => setKeysShown(false)} /> : null}
      </Frame>
    </LightProvider>
  );
}
