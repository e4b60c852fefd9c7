import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { rescue } from '@/data/device/rescue';
import { Button } from './controls';
import { ControlsTheme, LightProvider, Txt } from './theme';

/** As `boot.js` left it on the page: no white flash before dawn, whatever broke. */
function lightOfPage(): 'day' | 'sun' | 'before-dawn' {
  const { light } = document.documentElement.dataset;
  return light === 'sun' || light === 'before-dawn' ? light : 'day';
}

/**
 * What stands in place of a screen that broke: what happened, that the records are safe, and the two ways on. It leans on
 * nothing that may be what broke: the records come from storage itself.
 */
export function Fault({ error }: { error: Error }) {
  const [saved, setSaved] = useState<string | null>(null);
  return (
    <ControlsTheme>
      <LightProvider light={lightOfPage()}>
        <ScrollView contentContainerStyle={{ padding: 24, gap: 16, maxWidth: 640 }}>
          <Txt size="title">This screen broke</Txt>
          <Txt>
            It is a fault of the app, not yours. What you recorded is safe in this browser: nothing was
            changed by it. Load the app again and go on; if it breaks again, save your records as a file
            first.
          </Txt>
          <Txt size="label" tone="muted" selectable>
            What the app says: {error.message || error.name}
          </Txt>
          <View style={{ gap: 12 }}>
            <Button title="Load the app again" look="main" onPress={() => window.location.assign('/')} />
            <Button
              title="Save all records as a file"
              onPress={() =>
                void rescue().then(
                  (count) => setSaved(`Saved: ${count} records.`),
                  (wrong: Error) => setSaved(`The records could not be read: ${wrong.message}`),
                )
              }
            />
          </View>
          {saved ? <Txt aria-live="polite">{saved}</Txt> : null}
        </ScrollView>
      </LightProvider>
    </ControlsTheme>
  );
}
