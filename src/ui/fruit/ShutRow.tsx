import { CLOSURE_FOUND, type Flower } from '@core/ledger';
import { type Growing } from '@core/patch';
import { useRecording } from '@/data/garden/useRecording';
import { Button, Card, Tile, Tiles } from '../controls';
import { useFlowerText } from '../useFlowerText';
import { checkWords } from '../words';
import { FruitHead } from './FruitHead';

/** How a closure can be found the day after the work; a flower that is gone is said at its look. */
const FOUND = CLOSURE_FOUND.filter((each) => each !== 'not-open' && each !== 'gone');

/** One key for a walk on which all were found as they should be. */
export function AllShut({ flowers }: { flowers: readonly Flower[] }) {
  const { busy, save } = useRecording();
  return (
    <Button
      title={`All ${flowers.length} are still shut and whole`}
      busy={busy}
      onPress={() =>
        void save(
          ...flowers.map(({ id }) => ({ kind: 'closureChecked', flower: id, result: 'whole' }) as const),
        )
      }
    />
  );
}

/** A flower that was worked and shut again, and has to stay shut: nobody can see tomorrow whether it did today. */
export function ShutRow({ flower, growing }: { flower: Flower; growing: Growing }) {
  const nameOf = useFlowerText();
  const { busy, save } = useRecording();
  const name = nameOf(growing, flower);
  return (
    <Card style={{ paddingVertical: 8 }}>
      <FruitHead
        name={name}
        says={`Is it still shut? ${growing.bed.name}${flower.mark ? ` · mark ${flower.mark}` : ''}`}
      />
      <Tiles question="Its closure" hideQuestion>
        {FOUND.map((result) => (
          <Tile
            key={result}
            title={checkWords[result]}
            label={`${name}: its closure is ${checkWords[result]}`}
            small
            minWidth={64}
            chosen={false}
            onPress={() => {
              if (!busy) void save({ kind: 'closureChecked', flower: flower.id, result });
            }}
          />
        ))}
      </Tiles>
    </Card>
  );
}
