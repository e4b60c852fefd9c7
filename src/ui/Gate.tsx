import { useDeferredValue, type ComponentType, type ReactNode } from 'react';
import { View } from 'react-native';
import { LinearProgress } from '@rneui/themed';
import { useRouter } from 'expo-router';
import { useChooseSpace, useMaybeGarden, useOpening } from '@/data/garden/garden';
import { FirstStart } from './FirstStart';
import { Button, Notice } from './controls';
import { Page } from './Page';
import { Txt, useColours } from './theme';

/**
 * A screen that shows only once there is a patch for it; before that the first start, the wait, or what went
 * wrong. Each route wraps itself, so that the router under it is never taken away: it would lose its place.
 */
export function gated(Screen: ComponentType, { needsPatch = true }: { needsPatch?: boolean } = {}) {
  return function Gated() {
    return (
      <Gate needsPatch={needsPatch}>
        <Screen />
      </Gate>
    );
  };
}

function Gate({ needsPatch, children }: { needsPatch: boolean; children: ReactNode }) {
  const { status, progress, error, retry } = useOpening();
  const garden = useMaybeGarden();
  // The first screen of a garden is much to draw: React does it in slices, and the page answers meanwhile.
  const drawn = useDeferredValue(garden !== null);
  const choose = useChooseSpace();
  const router = useRouter();
  const colours = useColours();
  const first = (
    <FirstStart
      onBegin={() => {
        router.navigate('/begin');
        void choose('own');
      }}
      onDemo={() => router.navigate('/demo')}
      onFile={() => {
        router.navigate('/settings');
        void choose('own');
      }}
    />
  );
  if (status === 'choosing') return first;
  if (status === 'failed') {
    return (
      <Page title="The records cannot be opened">
        <Notice
          tone="brick"
          title="This browser refuses its storage"
          text={`Nothing was changed. Private windows and blocked site data do this: allow this site to store data, then try again. (${error?.message ?? 'no reason given'})`}
        >
          <Button title="Try again" onPress={retry} />
        </Notice>
      </Page>
    );
  }
  if (status === 'opening' || !garden || !drawn) {
    return (
      <View role="status" style={{ flex: 1, justifyContent: 'center', padding: 32, gap: 12 }}>
        <Txt size="heading">{progress > 0 ? 'Growing the demo patch' : 'Opening'}</Txt>
        <LinearProgress
          variant={progress > 0 ? 'determinate' : 'indeterminate'}
          value={progress}
          color={colours.pollen}
          trackColor={colours.rule}
          aria-label="Progress"
        />
      </View>
    );
  }
  if (!garden.patch && needsPatch) return first;
  return children;
}
