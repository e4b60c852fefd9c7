import type { CropId } from '@core/crops';
import type { FlowerId, LotId } from '@core/ids';
import { fruitsOfLot } from '@core/lineage';
import { couldBeOf, lotName } from '@core/patch';
import type { LocalDate } from '@core/time';
import { lotsInOrder } from '@core/seed';
import { useMaybeGarden } from '@/data/garden/garden';
import { Tile, Tiles } from '../controls';

/** What it was sown from, of the lots of its crop; nothing where there is none. */
export function SownTiles({
  crop,
  lot,
  fruit,
  since = null,
  none,
  onChange,
}: {
  crop: CropId;
  /** `undefined`: nobody said, and nothing shows as chosen. */
  lot: LotId | null | undefined;
  fruit: FlowerId | null;
  /** Since when it stands there: what can't be is not offered. `null`: still to be planted. */
  since?: LocalDate | null;
  /** The words for "from no lot": where they record nothing, or where they are an answer. */
  none: 'not said' | 'none of these';
  onChange: (lot: LotId | null, fruit: FlowerId | null) => void;
}) {
  // The first stand of a patch is asked for before there is one.
  const state = useMaybeGarden()?.state;
  if (!state) return null;
  const lots = lotsInOrder(state).filter(
    (each) =>
      state.varieties.get(each.variety)?.crop === crop && (each.id === lot || couldBeOf(since, each, state)),
  );
  if (lots.length === 0) return null;
  const fruits = lot == null ? [] : fruitsOfLot(state, lot);
  return (
    <>
      <Tiles question="Sown from which lot?">
        {lots.map((each) => (
          <Tile
            key={each.id}
            title={lotName(each, state)}
            small
            chosen={lot === each.id}
            onPress={() => onChange(each.id, null)}
            minWidth={130}
          />
        ))}
        <Tile title={none} small chosen={lot === null} onPress={() => onChange(null, null)} minWidth={130} />
      </Tiles>
      {fruits.length > 1 ? (
        <Tiles question="From the seed of which fruit?">
          <Tile title="all mixed" small chosen={fruit === null} onPress={() => onChange(lot ?? null, null)} />
          {fruits.map((id) => (
            <Tile
              key={id}
              title={state.flowers.get(id)?.mark ?? 'no mark'}
              small
              chosen={fruit === id}
              onPress={() => onChange(lot ?? null, id)}
            />
          ))}
        </Tiles>
      ) : null}
    </>
  );
}
