import { useState } from 'react';
import { View } from 'react-native';
import { CLOCK_NOTES, type ClockNote } from '@core/ledger';
import type { StandId } from '@core/ids';
import { walkOrder } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { Card, Key, Sheet, Tile, Tiles } from '../controls';
import { Txt } from '../theme';

const noteWords: Record<ClockNote, { title: string; note: string }> = {
  opened: { title: 'Just opened', note: 'its flowers' },
  shut: { title: 'Have shut', note: 'its flowers' },
  insects: { title: 'Insects are here', note: 'first bee seen' },
};

/** A note of the moment: what opened, shut or flew just now. The windows of the next days learn from it. */
export function SeenNow({ spreadMin }: { spreadMin: number }) {
  const { state, record } = useGarden();
  const [asking, setAsking] = useState(false);
  const [stand, setStand] = useState<StandId | null>(null);
  const stands = [
    ...new Map(
      walkOrder(state).map(({ stand: each, variety }) => [each.id, { stand: each, variety }]),
    ).values(),
  ];
  if (stands.length === 0) return null;
  const about = stand ?? stands[0]?.stand.id ?? null;
  const note = async (what: ClockNote) => {
    if (!about) return;
    await record({ kind: 'clockNoted', stand: about, what });
    setAsking(false);
  };
  return (
    <>
      <Card style={{ paddingVertical: 8 }}>
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
          <Txt size="label" tone="muted" style={{ flex: 1 }}>
            Opening and shutting are known to about {spreadMin} minutes. Notes make it closer.
          </Txt>
          <Key
            title="Seen now"
            small
            label="Note what opened, shut or flew just now"
            onPress={() => setAsking(true)}
          />
        </View>
      </Card>
      <Sheet open={asking} onClose={() => setAsking(false)} title="Seen now">
        <Tiles question="Where">
          {stands.map(({ stand: each, variety }) => (
            <Tile
              key={each.id}
              title={variety.name}
              small
              chosen={about === each.id}
              onPress={() => setStand(each.id)}
              minWidth={100}
            />
          ))}
        </Tiles>
        <Tiles question="What">
          {CLOCK_NOTES.map((what) => (
            <Tile
              key={what}
              title={noteWords[what].title}
              note={noteWords[what].note}
              chosen={false}
              onPress={() => void note(what)}
              minWidth={96}
            />
          ))}
        </Tiles>
      </Sheet>
    </>
  );
}
