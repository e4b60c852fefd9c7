import { useMemo, useState } from 'react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { Slot, usePathname, useRouter } from 'expo-router';
import { GardenProvider, useMaybeGarden } from '@/data/garden';
import { usePrefs } from '@/data/prefs';
import { Frame } from '@/ui/Frame';
import { KeysSheet } from '@/ui/KeysSheet';
import { Notices } from '@/ui/Notices';
import { useKeys } from '@/ui/useKeys';
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

const BARE = new Set([
  '/walk',
  '/round',
  '/begin',
  '/key',
  '/practice/train',
  '/practice/rehearse',
  '/dev/gallery',
]);

function Lit() {
  const prefs = usePrefs();
  const garden = useMaybeGarden();
  const path = usePathname();
  const router = useRouter();
  const [keysShown, setKeysShown] = useState(false);
  const undo = garden?.undo;
  const open = Boolean(garden?.patch);
  useKeys(
    useMemo(
      () => ({
        t: open ? () => router.navigate('/') : null,
        p: open ? () => router.navigate('/patch') : null,
        f: open ? () => router.navigate('/fruit') : null,
        r: open ? () => router.navigate('/practice') : null,
        k: open ? () => router.navigate('/key') : null,
        u: undo ? () => void undo() : null,
        '?': () => setKeysShown(true),
      }),
      [open, router, undo],
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
        notices={<Notices inRound={BARE.has(path)} />}
        bare={bare}
      >
        <Slot />
        <KeysSheet open={keysShown} onClose={() => setKeysShown(false)} />
      </Frame>
    </LightProvider>
  );
}
