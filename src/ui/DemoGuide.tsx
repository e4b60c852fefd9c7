import { usePathname, useRouter } from 'expo-router';
import { useChangePrefs } from '@/data/device/prefs';
import { useLedger, useMaybeGarden } from '@/data/garden/garden';
import { Button, Notice } from './controls';

interface Step {
  readonly title: string;
  readonly text: string;
  /** Where it goes on, if not here. */
  readonly to?: { readonly title: string; readonly path: '/' | '/fruit' | '/begin' };
}

/** What to do next on the way to one flower pollinated, from where one stands and what one has done. */
export function guideStep(
  path: string,
  done: { readonly picked: boolean; readonly worked: boolean },
): Step | null {
  // Whoever looks about elsewhere is left in peace.
  if (!['/', '/round', '/fruit'].includes(path)) return null;
  if (done.worked)
    return path === '/round'
      ? {
          title: 'One flower done',
          text: 'Its father, its tool and its mark are written down. Go on with the next, or press Leave: the round can be taken up again.',
        }
      : path === '/fruit'
        ? {
            title: 'What became of others',
            text: 'This is what sets and what drops. A look some days after the work gives the verdict. That is all there is to it: every evening and every dawn are like this one.',
          }
        : {
            title: 'That was a dawn',
            text: 'In some days a look tells whether the fruit set. See under Fruit what became of earlier ones.',
            to: { title: 'Show me Fruit', path: '/fruit' },
          };
  if (path === '/round')
    return done.picked
      ? {
          title: 'Now one female',
          text: 'Say how you find her tape: the demo tells what you would see. Then press the green key: pollinated, shut again, marked.',
        }
      : {
          title: 'First the males',
          text: 'Their pollen is needed before any female is opened. Press the large key at the bottom: you have them in your hand.',
        };
  return path === '/'
    ? {
        title: 'This is dawn: do one flower',
        text: 'Last evening these flowers were shut, so no bee has been in them. Press the green key that starts the round.',
      }
    : { title: 'One flower first', text: 'The round begins on Today.', to: { title: 'Today', path: '/' } };
}

/** The guided way through one flower of the demo, to be left at any time. */
export function DemoGuide() {
  const path = usePathname();
  const router = useRouter();
  const change = useChangePrefs();
  const garden = useMaybeGarden();
  // Drawn anew by every entry: what the visitor did is read from what was written here.
  useLedger();
  if (!garden?.demo) return null;
  const { recent } = garden.store;
  const did = (kind: string) => recent.some((event) => event.kind === kind);
  const step = guideStep(path, { picked: did('closureChecked'), worked: did('pollinated') });
  if (!step) return null;
  const { title, text, to } = step;
  return (
    <Notice tone="leaf" title={title} text={text}>
      {to ? <Button title={to.title} small onPress={() => router.navigate(to.path)} /> : null}
      <Button title="Leave the guide" look="quiet" small onPress={() => void change({ guided: false })} />
    </Notice>
  );
}
