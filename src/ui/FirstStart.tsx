import { useEffect } from 'react';
import { View } from 'react-native';
import { FlowerDrawing } from './drawings/FlowerDrawing';
import { Button } from './controls';
import { FIRST_WORDS } from './firstWords';
import { Page } from './Page';
import { Txt } from './theme';

export interface FirstStartProps {
  readonly onBegin: () => void;
  readonly onDemo: () => void;
  readonly onFile: () => void;
}

/** The first screen of all: one's own patch, or a look round. */
export function FirstStart({ onBegin, onDemo, onFile }: FirstStartProps) {
  useEffect(() => {
    // Whoever came for the first time still has the page before them that stood before this one (`boot.js`).
    const page = globalThis as { steadyTrowelFirst?: (what: 'begin' | 'demo' | 'file') => void };
    page.steadyTrowelFirst = (what) => ({ begin: onBegin, demo: onDemo, file: onFile })[what]();
    return () => {
      delete page.steadyTrowelFirst;
    };
  }, [onBegin, onDemo, onFile]);
  return (
    <Page
      title={FIRST_WORDS.title}
      foot={
        <View style={{ gap: 10 }}>
          <Button title={FIRST_WORDS.begin} look="main" onPress={onBegin} />
          <Button title={FIRST_WORDS.demo} onPress={onDemo} />
          <Button title={FIRST_WORDS.file} look="quiet" small onPress={onFile} />
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
      <Txt size="heading">{FIRST_WORDS.heading}</Txt>
      <Txt>{FIRST_WORDS.lead}</Txt>
      <Txt tone="muted">{FIRST_WORDS.kept}</Txt>
    </Page>
  );
}
