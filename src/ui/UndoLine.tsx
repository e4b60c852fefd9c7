import { useState } from 'react';
import { View } from 'react-native';
import { mdiUndo } from '@/ui/controls/iconPaths';
import { useGarden } from '@/data/garden';
import { Icon, Key } from './controls';
import { TOUCH, Txt } from './theme';
import { entryWords } from './words';

/** The last entry in words, and the way to take it back. Nothing when there is none. */
export function UndoLine({ reserve = false }: { reserve?: boolean }) {
  const { ledger, state, undo } = useGarden();
  const [busy, setBusy] = useState(false);
  const last = ledger.undoable[ledger.undoable.length - 1];
  // Where taps follow each other the line keeps its room, so that nothing moves under the thumb.
  if (!last) return reserve ? <View style={{ height: TOUCH }} /> : null;
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: 6 }}>
      <Txt size="label" tone="muted" style={{ flex: 1 }} aria-live="polite">
        Last: {entryWords(state, last)}
      </Txt>
      <Key
        title="Undo"
        look="quiet"
        small
        disabled={busy}
        icon={<Icon path={mdiUndo} size={20} />}
        onPress={() => {
          setBusy(true);
          void undo().finally(() => setBusy(false));
        }}
      />
    </View>
  );
}
