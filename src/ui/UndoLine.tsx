import { useMemo, useState } from 'react';
import { mdiRedo, mdiUndo } from '@/ui/controls/iconPaths';
import { restingOn } from '@core/ledger';
import { useGarden, useLedger } from '@/data/garden/garden';
import { BESIDE, Row, Icon, Button, Sheet } from './controls';
import { entryWords } from './entryWords';
import { Txt } from './theme';
import { useLasting } from './useLasting';
import { useShortcuts } from './useShortcuts';
import { plural } from './words';

/**
 * The last entry in words, and the way to take it back (also by the key u); the last one taken back, and the way to bring it back.
 * Nothing when there is neither.
 */
export function UndoLine() {
  const { state, store, undo, redo } = useGarden();
  const ledger = useLedger();
  const [busy, setBusy] = useState(false);
  const [asking, setAsking] = useState<{ key: string; words: string; resting: number } | null>(null);
  const last = ledger?.undoable.at(-1);
  const undone = ledger?.redoable.at(-1)?.tap;
  const saving = useLasting(
    last !== undefined && ledger?.waiting.some(({ id }) => id === last.events[0]?.id) === true,
    500,
  );
  const words = useMemo(() => (last ? entryWords(state, last.events) : ''), [state, last]);
  const undoneWords = useMemo(() => (undone ? entryWords(state, undone.events) : ''), [state, undone]);
  const takeBack = (key: string) => {
    setAsking(null);
    setBusy(true);
    void undo(key).finally(() => setBusy(false));
  };
  const press = async () => {
    if (!last || busy) return;
    // What rests on an entry may lie in bygone years.
    await store.rest();
    const resting = restingOn(store.ledger.state, last.events);
    if (resting > 0) setAsking({ key: last.key, words, resting });
    else takeBack(last.key);
  };
  useShortcuts({ u: last ? () => void press() : null });
  if (!last && !undone) return null;
  return (
    <Row gap={6}>
      <Txt size="label" tone="muted" style={BESIDE} aria-live="polite">
        {undone ? `Taken back: ${undoneWords}` : last ? `${saving ? 'Saving' : 'Last'}: ${words}` : ''}
      </Txt>
      {undone ? (
        <Button
          title="Redo"
          look="quiet"
          small
          label={`Redo: ${undoneWords}`}
          icon={<Icon path={mdiRedo} size={20} />}
          onPress={() => void redo(undone.key)}
        />
      ) : null}
      {last ? (
        <Button
          title="Undo"
          look="quiet"
          small
          label={`Undo: ${words}`}
          disabled={busy}
          icon={<Icon path={mdiUndo} size={20} />}
          onPress={() => void press()}
        />
      ) : null}
      {asking ? (
        <Sheet open onClose={() => setAsking(null)} title="Take it back?">
          <Txt>{`You are taking back: ${asking.words}.`}</Txt>
          <Txt>{`${plural(asking.resting, 'later entry rests', 'later entries rest')} on it and would not be seen any more. Nothing is deleted: Redo brings all of it back.`}</Txt>
          <Button title="Take it back" look="danger" onPress={() => takeBack(asking.key)} />
          <Button title="Leave it" onPress={() => setAsking(null)} />
        </Sheet>
      ) : null}
    </Row>
  );
}
