import { Button } from './controls';
import { Page } from './Page';
import { Txt } from './theme';

/** In place of something that is not on this device. */
export function NotHere({ title, back, onBack }: { title: string; back: string; onBack: () => void }) {
  return (
    <Page title={title} foot={<Button title={`Go to ${back}`} onPress={onBack} />}>
      <Txt>It may have been undone, or it is on another phone still.</Txt>
    </Page>
  );
}
