import { useState } from 'react';
import { useGarden } from '@/data/garden/garden';
import type { Draft } from '@core/ledger';
import { Button, Tile, Tiles } from '../controls';
import { WINDS } from '../weather/words';

/** Where the wind comes from, felt by hand: noted for today, beside whatever else is known of the day. */
export function WindTiles({
  fromDeg,
  busy,
  onSave,
}: {
  fromDeg: number | null;
  busy: boolean;
  onSave: (...drafts: Draft[]) => void;
}) {
  const { patch, today } = useGarden();
  const [asking, setAsking] = useState(fromDeg === null);
  if (!asking)
    return (
      <Button
        title="The wind has turned"
        look="quiet"
        small
        disabled={busy}
        onPress={() => setAsking(true)}
      />
    );
  const chosen = fromDeg === null ? null : Math.round(fromDeg / 45) % 8;
  return (
    <Tiles question="Wind from (what is spilt drifts with it)">
      {WINDS.map((name, i) => (
        <Tile
          key={name}
          title={name}
          small
          chosen={chosen === i}
          minWidth={64}
          onPress={() => {
            if (!patch || busy) return;
            setAsking(false);
            onSave({
              kind: 'weatherNoted',
              patch: patch.id,
              origin: 'hand',
              days: [
                {
                  date: today,
                  minC: null,
                  maxC: null,
                  rainMm: null,
                  dewPointC: null,
                  felt: null,
                  windFromDeg: i * 45,
                },
              ],
            });
          }}
        />
      ))}
    </Tiles>
  );
}
