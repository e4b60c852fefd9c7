import { Component, useDeferredValue, type ComponentType, type ReactNode } from 'react';
import { View } from 'react-native';
import { LinearProgress } from '@rneui/themed';
import { useRouter } from 'expo-router';
import { TrowelError } from '@core/errors';
import { useChooseSpace, useMaybeGarden, useOpening } from '@/data/garden/garden';
import { FirstStart } from './FirstStart';
import { Button, Notice } from './controls';
import { Page } from './Page';
import { Txt, useColours } from './theme';

interface Needs {
  readonly needsPatch?: boolean;
  /** Shows nothing of bygone years: it need not wait for them. */
  readonly early?: boolean;
}

/**
 * A screen that shows only once there is a patch for it; before that the first start, the wait, or what went
 * wrong. Each route wraps itself, so that the router under it is never taken away: it would lose its place.
 */
export function gated(Screen: ComponentType, { needsPatch = true, early = false }: Needs = {}) {
  return function Gated() {
    return (
      <Gate needsPatch={needsPatch} early={early}>
        <Screen />
      </Gate>
    );
  };
}

function Gate({ needsPatch, early, children }: Required<Needs> & { children: ReactNode }) {
  const { status, progress, error, retry } = useOpening();
  const garden = useMaybeGarden();
  // The first screen of a garden is much to draw: React does it in slices, and the page answers meanwhile.
  const drawn = useDeferredValue(garden !== null);
  const choose = useChooseSpace();
  const router = useRouter();
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
  if (status === 'opening' || !garden || !drawn || !(garden.whole || early))
    return <Waiting progress={progress} />;
  if (!garden.patch && needsPatch) return first;
  return early ? <Patience whole={garden.whole}>{children}</Patience> : children;
}

function Waiting({ progress }: { progress: number }) {
  const colours = useColours();
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

/** An early screen that asks for bygone years after all waits for them, instead of breaking. */
class Patience extends Component<{ readonly whole: boolean; readonly children: ReactNode }> {
  override state: { readonly error: unknown } = { error: null };

  static getDerivedStateFromError(error: unknown) {
    return { error };
  }

  override componentDidUpdate() {
    if (this.props.whole && isEarly(this.state.error)) this.setState({ error: null });
  }

  override render() {
    const { error } = this.state;
    if (error === null) return this.props.children;
    if (isEarly(error)) return <Waiting progress={0} />;
    throw error;
  }
}

const isEarly = (error: unknown) => error instanceof TrowelError && error.reason === 'not-here';
