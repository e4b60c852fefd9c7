import { useState } from 'react';
import { useRouter } from 'expo-router';
import { useQueryClient } from '@tanstack/react-query';
import { exportEverything } from '@/data/device/exports';
import { useChooseSpace, useGarden } from '@/data/garden/garden';
import { demoStart } from '@core/simulation';
import { Card, Field, Button, Notice } from '../controls';
import { Txt } from '../theme';

const WORD = 'start afresh';

/** Clears the patch of this device: only after an export in this very place, or the words typed out. */
export function StartAfresh() {
  const { store, space, today, patch, demo } = useGarden();
  const [typed, setTyped] = useState('');
  const [exported, setExported] = useState(false);
  const choose = useChooseSpace();
  const client = useQueryClient();
  const router = useRouter();
  if (!patch) return null;
  const allowed = space === 'demo' || exported || typed.trim().toLowerCase() === WORD;
  const clear = async () => {
    await store.clear();
    demo?.reset(demoStart());
    store.close();
    client.removeQueries({ queryKey: ['space', space] });
    await choose(space === 'demo' ? 'demo' : null);
    router.replace('/');
  };
  return (
    <Card>
      <Txt size="heading">{space === 'demo' ? 'Start the demo again' : 'Start afresh'}</Txt>
      {space === 'demo' ? (
        <Txt>Puts the demo patch back to its first morning.</Txt>
      ) : (
        <>
          <Notice
            tone="brick"
            text={`This deletes every record of ${patch.name} on this device. Export first, or write “${WORD}”.`}
          />
          <Button
            title="Export everything first"
            small
            onPress={() =>
              void store
                .allEvents()
                .then((events) => exportEverything(events, space, today))
                .then(() => setExported(true))
            }
          />
          <Field label={`Or write: ${WORD}`} value={typed} onChange={setTyped} />
        </>
      )}
      <Button
        title={space === 'demo' ? 'Start the demo again' : `Delete ${patch.name} from this device`}
        look="danger"
        disabled={!allowed}
        onPress={() => void clear()}
      />
    </Card>
  );
}
