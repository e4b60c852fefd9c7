import { View } from 'react-native';
import { FlowerDrawing } from './drawings/FlowerDrawing';
import { Button } from './controls';
import { Page } from './Page';
import { Txt } from './theme';

export interface FirstStartProps {
  readonly onBegin: () => void;
  readonly onDemo: () => void;
  readonly onFile: () => void;
}

/** The first screen of all: one's own patch, or a look round. */
export function FirstStart({ onBegin, onDemo, onFile }: FirstStartProps) {
  return (
    <Page
      title="Steady Trowel"
      foot={
        <View style={{ gap: 10 }}>
          <Button title="Begin my patch" look="main" onPress={onBegin} />
          <Button title="Look round the demo patch" onPress={onDemo} />
          <Button title="I have a file from another device" look="quiet" small onPress={onFile} />
        </View>
      }
    >
      <View
        aria-hidden
        style={{ flexDirection: 'row', justifyContent: 'center', gap: 18, paddingVertical: 24 }}
      >
        <FlowerDrawing crop="squash-maxima" sex="female" appearance="coloured" shape="ribbed" size={150} />
        <FlowerDrawing
          crop="squash-maxima"
          sex="female"
          appearance="coloured"
          shape="ribbed"
          closure="tape"
          size={150}
        />
        <FlowerDrawing crop="squash-maxima" sex="female" appearance="set" shape="ribbed" size={150} />
      </View>
      <Txt size="heading">Shut in the evening, worked at dawn, watched till it sets.</Txt>
      <Txt>
        For people who pollinate by hand: squash, melons, cucumbers, gourds and corn; tomatoes, peppers,
        aubergines, potatoes, strawberries. Which flowers to shut tonight and which to work this morning, for
        pure seed, for a cross or for the fruit; whose pollen, and what became of each.
      </Txt>
      <Txt tone="muted">
        Everything you record stays in this browser, and in the files you export. It works with no network.
      </Txt>
    </Page>
  );
}
