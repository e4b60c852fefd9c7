import type { Flower } from '@core/ledger';
import type { Growing } from '@core/patch';
import type { EveningSight } from '@core/rounds';
import { budsInSight } from '@core/simulation';
import { Card, Row, Tile } from '../controls';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { Txt } from '../theme';
import { sexWords } from '../words';

/** Demo only: what a visitor would find on the plant, as there is no real one to look at. */
export function InSight({
  growing,
  date,
  known,
  onPick,
}: {
  growing: Growing;
  date: string;
  known: readonly Flower[];
  onPick: (sight: Partial<EveningSight>) => void;
}) {
  const buds = budsInSight(growing, date).filter(
    ({ node, sex }) => !known.some((flower) => flower.node === node && flower.sex === sex),
  );
  return (
    <Card>
      <Txt size="label" tone="muted">
        In the demo patch you would see on this plant (tap one to pick it up):
      </Txt>
      {buds.length === 0 ? <Txt>Nothing more tonight.</Txt> : null}
      <Row gap={6}>
        {buds.map(({ node, sex, stage, count }) => (
          <Tile
            key={`${node}${sex}`}
            title={`node ${node}`}
            label={`Node ${node}: ${count > 1 ? `${count} ` : ''}${sexWords[sex]}, look at the picture for the stage`}
            chosen={false}
            onPress={() => onPick({ sex, stage, node, count: sex === 'male' ? count : 1 })}
            picture={
              <FlowerDrawing
                sex={sex}
                appearance={stage}
                shape={growing.variety.shape}
                crop={growing.crop.id}
                size={56}
              />
            }
            minWidth={62}
          />
        ))}
      </Row>
    </Card>
  );
}
