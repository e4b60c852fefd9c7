import { useState } from 'react';
import { leavingOf } from '@core/kitchen';
import { cropOf } from '@core/crops';
import type { Stand, State } from '@core/ledger';
import { useGarden } from '@/data/garden/garden';
import { Sheet, Tile, Tiles } from '../controls';
import { Txt } from '../theme';

const SHARES = [null, 3, 5, 10] as const;

/** The stands whose open females can be left: with flowers that bear fruit, grown for the kitchen. */
export function leavable(state: State): { readonly stand: Stand; readonly name: string }[] {
  return [...state.stands.values()].flatMap((stand) => {
    const variety = state.varieties.get(stand.variety);
    const female = variety && cropOf(variety.crop).flowers.female !== undefined;
    return variety && female && stand.reason === 'fruit' && cropOf(variety.crop).family === 'cucurbit'
      ? [{ stand, name: variety.name }]
      : [];
  });
}

/** Which stand leaves how many of its open females to the insects. */
export function LeavingSheet({ onClose }: { onClose: () => void }) {
  const { state, record } = useGarden();
  const stands = leavable(state);
  const [picked, setPicked] = useState(stands.length === 1 ? stands[0]?.stand.id : undefined);
  const stand = picked === undefined ? undefined : state.stands.get(picked);
  const leaving = stand && leavingOf(state, stand);
  return (
    <Sheet open title="Leave some to the insects" onClose={onClose}>
      <Txt>
        The kitchen round says which flower to leave: by the count, so that nobody picks the best. Look at it
        afterwards like all the others, and Fruit tells what your hands bring.
      </Txt>
      {stands.length > 1 ? (
        <Tiles question="Of which stand?">
          {stands.map((each) => (
            <Tile
              key={each.stand.id}
              title={each.name}
              chosen={picked === each.stand.id}
              onPress={() => setPicked(each.stand.id)}
            />
          ))}
        </Tiles>
      ) : null}
      {stand ? (
        <Tiles question="Leave">
          {SHARES.map((every) => (
            <Tile
              key={every ?? 'none'}
              title={every === null ? 'none' : `every ${every}${every === 3 ? 'rd' : 'th'}`}
              chosen={(leaving?.every ?? null) === every}
              onPress={() => void record({ kind: 'leaveSet', stand: stand.id, every })}
            />
          ))}
        </Tiles>
      ) : null}
      {leaving ? <Txt tone="muted">{`So far ${leaving.worked} worked and ${leaving.left} left.`}</Txt> : null}
      {stands.length === 0 ? (
        <Txt tone="muted">
          For vines grown for the kitchen. Of trusses and strawberries leave a plant or a row alone, and count
          it apart: “Count” under Counted together.
        </Txt>
      ) : (
        <Txt size="label" tone="muted">
          What insects have visited gives no pure seed.
        </Txt>
      )}
    </Sheet>
  );
}
