import type { Flower } from '@core/ledger';
import { plantName, type Growing, flowersOn } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { Card } from '../controls';
import { Runner } from '../drawings/Runner';

/** The plant's runner with this flower picked out, to find it by. */
export function WhereItIs({ flower, growing }: { flower: Flower; growing: Growing }) {
  const { state, place } = useGarden();
  const flowers = flowersOn(state, growing.plant.id).filter(
    (each) => each.sex !== 'male' || each.id === flower.id,
  );
  return (
    <Card style={{ padding: 4 }}>
      <Runner
        flowers={flowers}
        crop={growing.crop}
        shape={growing.variety.shape}
        zone={place.zone}
        chosen={flower.id}
        scale={0.62}
        summary={`${plantName(growing)} from root to tip${flower.node === null ? '' : `; this flower is at node ${flower.node}`}`}
      />
    </Card>
  );
}
