import { cropOf, FRUIT_SHAPES, hasRounds, reasonsOf, systemsOf } from '@core/crops';
import type { Draft, Stand, Variety } from '@core/ledger';
import { plantsOfStand, stoodSince } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { standForm, typedStand, type TypedStand } from '@/data/forms/standForm';
import { useRecording } from '@/data/garden/useRecording';
import { Button, Notice, Sheet, Tile, Tiles } from '../controls';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { TypedField } from '../forms/TypedField';
import { useTyped } from '../forms/useTyped';
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
  const { busy, problem, save } = useRecording();
  const crop = cropOf(variety.crop);
  const before = typedStand(stand, variety, crop.sexSystem.value);
  const form = useTyped<TypedStand, TypedStand>(standForm, before);
  const { value, set } = form;
  const { state } = useGarden();
  const first = plantsOfStand(state, stand.id).find(({ ended }) => !ended);
  const { shape, system, traits, reason } = value;
  const systems = systemsOf(crop);
  const keep = form.keep(async (read) => {
    const drafts = changesOf(stand, variety, before, read);
    if (drafts.length === 0 || (await save(...drafts))) onClose();
  });
  return (
    <Sheet open onClose={onClose} title={`Edit ${variety.name}`}>
      {problem ? <Notice tone="brick" text={problem} /> : null}
      <TypedField of={form} name="name" label="Variety" />
      {crop.family === 'cucurbit' ? (
        <Tiles question="Its fruit">
          {FRUIT_SHAPES.map((each) => (
            <Tile
              key={each}
              title={each}
              small
              chosen={shape === each}
              onPress={() => set({ shape: each })}
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
              onPress={() => set({ system: each })}
              minWidth={100}
            />
          ))}
        </Tiles>
      ) : null}
      <TraitTiles crop={crop} traits={traits} onChange={(next) => set({ traits: next })} />
      <Tiles question={hasRounds(crop) ? 'What do you pollinate for?' : 'What is it for?'}>
        {[...new Set([...reasonsOf(crop), stand.reason])].map((each) => (
          <Tile
            key={each}
            title={reasonText(crop, each)}
            chosen={reason === each}
            onPress={() => set({ reason: each })}
            minWidth={90}
          />
        ))}
      </Tiles>
      <VarietyAdvice crop={crop} variety={{ traits, system }} reason={reason} />
      <SownTiles
        crop={variety.crop}
        lot={value.lot}
        fruit={value.fruit}
        since={first ? stoodSince(first) : null}
        none={stand.sown === null ? 'not said' : 'none of these'}
        onChange={(lot, fruit) => set({ lot, fruit })}
      />
      <Button title="Keep the change" look="main" busy={busy} onPress={keep} />
      <Txt size="label" tone="muted">
        The name changes for every stand of this variety; what it was called before stays in the log.
      </Txt>
    </Sheet>
  );
}

/** What was said otherwise than before, as entries. */
function changesOf(stand: Stand, variety: Variety, before: TypedStand, now: TypedStand): Draft[] {
  const other = (...fields: readonly (keyof TypedStand)[]) =>
    fields.some((field) => JSON.stringify(now[field]) !== JSON.stringify(before[field]));
  const { name, shape, system, traits, reason, lot, fruit } = now;
  return [
    ...(other('name', 'shape', 'system', 'traits')
      ? [
          {
            kind: 'corrected' as const,
            subject: variety.id,
            target: variety.event,
            changes: {
              name,
              shape,
              ...(other('system') ? { system } : {}),
              ...(other('traits') ? { traits } : {}),
            },
          },
        ]
      : []),
    // From now on: what was worked before stays what it was worked for.
    ...(other('reason') ? [{ kind: 'reasonSet' as const, subject: stand.id, reason }] : []),
    ...(other('lot', 'fruit') ? [{ kind: 'sownFrom' as const, subject: stand.id, lot, fruit }] : []),
  ];
}
