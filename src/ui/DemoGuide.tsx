import { usePathname, useRouter } from 'expo-router';
import { useChangePrefs } from '@/data/device/prefs';
import { useLedger, useMaybeGarden } from '@/data/garden/garden';
import { Button, Notice } from './controls';
import { guideStep } from './guideStep';
import { isNight } from './round/isNight';
import { LightProvider, useLight } from './theme';

/** The guided way through one flower of the demo, to be left at any time. */
export function DemoGuide() {
  const path = usePathname();
  const router = useRouter();
  const change = useChangePrefs();
  const garden = useMaybeGarden();
  const light = useLight();
  // Renders after every entry: what the visitor did is read from what was written here.
  useLedger();
  if (!garden?.demo) return null;
  const { recent } = garden.store;
  const did = (kind: string) => recent.some((event) => event.kind === kind);
  const step = guideStep(path, { picked: did('closureChecked'), worked: did('pollinated') });
  if (!step) return null;
  const { title, text, to } = step;
  // Drawn in the light of the screen under it.
  const dark = path === '/round' && isNight(garden);
  return (
    <LightProvider light={dark ? 'before-dawn' : light}>
      <Notice tone="leaf" title={title} text={text}>
        {to ? <Button title={to.title} small onPress={() => router.navigate(to.path)} /> : null}
        <Button title="Leave the guide" look="quiet" small onPress={() => void change({ guided: false })} />
      </Notice>
    </LightProvider>
  );
}
