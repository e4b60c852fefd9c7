import { HEALTH, type Plant } from '@core/ledger';
import { useGarden } from '@/data/garden/garden';
import { Tile, Tiles } from '../controls';
import { healthWords } from '../words';

/** How healthy a plant looks: one tap, one record. */
export function HealthTiles({ plant, question }: { plant: Plant; question: string }) {
  const { record } = useGarden();
  return (
    <Tiles question={question}>
      {HEALTH.map((health) => (
        <Tile
          key={health}
          title={healthWords[health]}
          chosen={plant.health === health}
          onPress={() => void record({ kind: 'plantChecked', plant: plant.id, health })}
        />
      ))}
    </Tiles>
  );
}
