import type { CornDay } from '@core/corn';
import type { Draft } from '@core/ledger';
import { plantName } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { Button, Card } from '../controls';
import { FlowerRow } from '../FlowerRow';
import { FEW_CARDS, LongList } from '../LongList';
import { Txt } from '../theme';
import { plural } from '../words';

/** Tassels to bag this afternoon, for tomorrow's swaps. */
export function TasselsCard({
  corn,
  busy,
  onSave,
}: {
  corn: CornDay;
  busy: boolean;
  onSave: (...drafts: Draft[]) => void;
}) {
  const { patch } = useGarden();
  return (
    <Card>
      <Txt size="heading">This afternoon: tassels</Txt>
      <Txt>
        {corn.bagsWanted > 0
          ? `Bag ${plural(corn.bagsWanted, 'tassel')}, as many as ears with silk: take the top leaf off, bag the whole tassel, fold round the stalk at a slant, tight.`
          : corn.silked.length > 0
            ? 'As many tassels are bagged as ears wait for pollen.'
            : 'None while no ear has silk.'}
      </Txt>
      {patch?.schools.silks === 'cut-back' && corn.silked.length > 0 ? (
        <Txt>
          {`Cut ${plural(corn.silked.length, 'silked shoot')} back by a finger’s breadth now, and put the bag on again at once. Blade away from the hand.`}
        </Txt>
      ) : null}
      <LongList
        items={corn.tasselsToBag}
        keyOf={({ flower }) => flower.id}
        about={70}
        short={FEW_CARDS}
        gap={10}
        row={({ flower, growing }) => (
          <FlowerRow
            flower={flower}
            growing={growing}
            note={flower.shuttings.length > 0 ? 'sheds still: a fresh bag' : 'shedding'}
          >
            <Button
              title="Bag on"
              small
              label={`Tassel bag on ${plantName(growing)}`}
              disabled={busy}
              onPress={() => onSave({ kind: 'flowerShut', flower: flower.id, closure: 'tassel-bag' })}
            />
          </FlowerRow>
        )}
      />
      <Txt size="label" tone="muted">
        Corn suffers badly from its own pollen: other plants’ tassels come first. Leaves and staples cut: mind
        eyes and hands.
      </Txt>
    </Card>
  );
}
