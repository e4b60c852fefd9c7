import { useState } from 'react';
import { cropOf, FRUIT_SHAPES, hasRounds, reasonsOf, systemsOf } from '@core/crops';
import type { Draft, Stand, Variety } from '@core/ledger';
import { useGarden } from '@/data/garden/garden';
import { Field, Button, Sheet, Tile, Tiles } from '../controls';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { Txt } from '../theme';
import { reasonText, systemWords } from '../words';
import { SownTiles } from '../seed/SownTiles';
import { TraitTiles } from './TraitTiles';
import { VarietyAdvice } from './VarietyAdvice';

/** Puts right what was said of a stand: its variety's name and fruit, and why it is worked by hand. */
export function StandEditSheet({
  stand,
  variety,
  onClose,
}: {
  stand: Stand;
  variety: Variety;
  onClose: () => void;
}) {
  const { record } = useGarden();
  const [name, setName] = useState(variety.name);
  const [shape, setShape] = useState(variety.shape);
  const [reason, setReason] = useState(stand.reason);
  const crop = cropOf(variety.crop);
  const [traits, setTraits] = useState(variety.traits);
  const usual = crop.sexSystem.value;
  const [system, setSystem] = useState(variety.system ?? usual);
  const systems = systemsOf(cropOf(variety.crop));
  const [sown, setSown] = useState({ lot: stand.sown?.lot ?? null, fruit: stand.sown?.fruit ?? null });
  const [error, setError] = useState<string | null>(null);
  const save = async () => {
    const wanted = name.trim();
    if (wanted === '' || wanted.length > 80)
      return setError('The variety needs a name of 1 to 80 characters');
    const drafts: Draft[] = [];
    if (
      wanted !== variety.name ||
      shape !== variety.shape ||
      system !== (variety.system ?? usual) ||
      traits !== variety.traits
    ) {
      drafts.push({
        kind: 'corrected',
        subject: variety.id,
        target: variety.event,
        changes: {
          name: wanted,
          shape,
          ...(system === (variety.system ?? usual) ? {} : { system }),
          ...(traits === variety.traits ? {} : { traits }),
        },
      });
    }
    if (reason !== stand.reason) {
      // From now on: what was worked before stays what it was worked for.
      drafts.push({ kind: 'reasonSet', subject: stand.id, reason });
    }
    if (sown.lot !== (stand.sown?.lot ?? null) || sown.fruit !== (stand.sown?.fruit ?? null))
      drafts.push({ kind: 'sownFrom', subject: stand.id, ...sown });
    if (drafts.length > 0) await record(...drafts);
    onClose();
  };
  return (
    <Sheet open onClose={onClose} title={`Edit ${variety.name}`}>
      <Field label="Variety" value={name} onChange={setName} error={error} />
      {cropOf(variety.crop).family === 'cucurbit' ? (
        <Tiles question="Its fruit">
          {FRUIT_SHAPES.map((each) => (
            <Tile
              key={each}
              title={each}
              small
              chosen={shape === each}
              onPress={() => setShape(each)}
              picture={
                <FlowerDrawing
                  sex="female"
                  appearance="coloured"
                  shape={each}
                  crop={variety.crop}
                  size={52}
                />
              }
              minWidth={58}
            />
          ))}
        </Tiles>
      ) : null}
      {systems.length > 1 ? (
        <Tiles question="Its flowers">
          {systems.map((each) => (
            <Tile
              key={each}
              title={systemWords[each]}
              small
              chosen={system === each}
              onPress={() => setSystem(each)}
              minWidth={100}
            />
          ))}
        </Tiles>
      ) : null}
      <TraitTiles crop={crop} traits={traits} onChange={setTraits} />
      <Tiles question={hasRounds(crop) ? 'What do you pollinate for?' : 'What is it for?'}>
        {[...new Set([...reasonsOf(crop), stand.reason])].map((each) => (
          <Tile
            key={each}
            title={reasonText(crop, each)}
            chosen={reason === each}
            onPress={() => setReason(each)}
            minWidth={90}
          />
        ))}
      </Tiles>
      <VarietyAdvice crop={crop} variety={{ traits, system }} reason={reason} />
      <SownTiles
        crop={variety.crop}
        lot={sown.lot}
        fruit={sown.fruit}
        none={stand.sown === null ? 'not said' : 'none of these'}
        onChange={(lot, fruit) => setSown({ lot, fruit })}
      />
      <Button title="Keep the change" look="main" onPress={() => void save()} />
      <Txt size="label" tone="muted">
        The name changes for every stand of this variety; what it was called before stays in the log.
      </Txt>
    </Sheet>
  );
}
