import { crossing, hasRounds, cropOf, kindOf } from '@core/crops';
import type { Variety } from '@core/ledger';
import { useGarden } from '@/data/garden/garden';
import { Notice, Tile, Tiles } from '../controls';
import { Txt } from '../theme';

/** Whose pollen a cross gets: the varieties that can, those that seldom do, and why the rest can't. */
export function FatherChoice({
  variety,
  chosen,
  onChoose,
}: {
  variety: Variety;
  chosen: Variety['id'] | null;
  onChoose: (father: Variety['id'] | null) => void;
}) {
  const { state } = useGarden();
  const others = [...state.varieties.values()]
    .filter((other) => other.id !== variety.id && hasRounds(cropOf(other.crop)))
    .map((other) => ({ other, ...crossing(kindOf(variety), kindOf(other)) }));
  const possible = others.filter(({ verdict }) => verdict !== 'never');
  // One sentence for each kind of crop that grows here and can't.
  const never = [...new Set(others.filter(({ verdict }) => verdict === 'never').map(({ why }) => why))];
  const doubtful = possible.find(({ other, verdict }) => other.id === chosen && verdict === 'rarely');
  return (
    <>
      {possible.length > 0 ? (
        <Tiles question="Father’s variety of the cross">
          {possible.map(({ other, verdict }) => (
            <Tile
              key={other.id}
              title={other.name}
              note={verdict === 'rarely' ? 'seldom takes' : undefined}
              chosen={chosen === other.id}
              onPress={() => onChoose(chosen === other.id ? null : other.id)}
            />
          ))}
        </Tiles>
      ) : (
        <Txt size="label">
          No other variety that can be its father grows here yet: add the father’s on the Patch.
        </Txt>
      )}
      {doubtful ? (
        <Notice
          tone="pollen"
          text={`${doubtful.why} Work many flowers: few or none will set, and the seed may not grow.`}
        />
      ) : null}
      {never.length > 0 ? (
        <Txt size="label" tone="muted">
          {`Not possible here: ${never.join(' ')}`}
        </Txt>
      ) : null}
    </>
  );
}
