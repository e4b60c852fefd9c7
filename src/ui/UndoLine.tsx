import { useState } from 'react';
import { View } from 'react-native';
import { mdiUndo } from '@/ui/controls/iconPaths';
import { useGarden, useLedger } from '@/data/garden/garden';
import { Icon, Button } from './controls';
import { TOUCH, Txt } from './theme';
import { useLasting } from './useLasting';
import { entryWords } from './words';

/** The last entry in words, and the way to take it back. Nothing when there is none. */
export function UndoLine({ reserve = false }: { reserve?: boolean }) {
  const { state, undo } = useGarden();
  const ledger = useLedger();
  const [busy, setBusy] = useState(false);
  const last = ledger?.undoable.at(-1);
  const saving = useLasting(
    last !== undefined && ledger?.waiting.some(({ id }) => id === last.events[0]?.id) === true,
    500,
  );
  // Where taps follow each other the line keeps its room, so that nothing moves under the thumb.
  if (!last) return reserve ? <View style={{ height: TOUCH }} /> : null;
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: 6 }}>
      <Txt size="label" tone="muted" style={{ flex: 1 }} aria-live="polite">
        {saving ? 'Saving' : 'Last'}: {entryWords(state, last.events)}
      </Txt>
      <Button
        title="Undo"
        look="quiet"
        small
        disabled={busy}
        icon={<Icon path={mdiUndo} size={20} />}
        onPress={() => {
          setBusy(true);
          void undo(last.key).finally(() => setBusy(false));
        }}
      />
    </View>
  );
}
