import { useState } from 'react';
import type { CropId } from '@core/crops';
import type { PlantId } from '@core/ids';
import type { Draft } from '@core/ledger';
import { lineageOf } from '@core/lineage';
import { lotName, plantsOfStand, sownFrom, sownSaid, stoodSince, type Growing } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Button, Card, Field, Notice, Row, Tile, Tiles } from '../controls';
import { Txt } from '../theme';
import { plantText } from '../words';
import { SownTiles } from './SownTiles';
import { lineageOddityText } from './words';

/** What a plant of a crop is grown on from, besides seed. */
const CLONE: Readonly<Partial<Record<CropId, string>>> = { strawberry: 'runner', potato: 'tuber' };

/** Where a plant comes from, and whether it is one to keep seed of. */
export function PlantSeed({ growing: each, onTree }: { growing: Growing; onTree: () => void }) {
  const { state } = useGarden();
  const { busy, problem, save } = useRecording();
  const [asking, setAsking] = useState<'lot' | 'clone' | 'keep' | 'variety' | null>(null);
  const { plant, crop } = each;
  const sown = sownSaid(plant, state);
  const canBe = sown === null || sownFrom(plant, state) !== null;
  const lot = sown?.lot == null ? undefined : state.lots.get(sown.lot);
  const fruit = sown?.fruit == null ? undefined : state.flowers.get(sown.fruit);
  // A plant of a variety that began as one seedling is of its tubers, without anybody saying so of each.
  const self = lineageOf(state).self(plant.id);
  const from = plant.cloneOf ?? (self === plant.id ? null : self);
  const cropLots = [...state.lots.values()].some(
    ({ variety }) => state.varieties.get(variety)?.crop === each.variety.crop,
  );
  return (
    <Card>
      <Txt size="heading">Where it comes from</Txt>
      {problem ? <Notice tone="brick" text={problem} /> : null}
      <Txt>
        {from !== null
          ? `A runner, tuber or cutting of ${plantText(state, from)}: one and the same parent.`
          : lot
            ? `${canBe ? 'Sown' : 'Said to be sown'} from ${lotName(lot, state)}${fruit ? `, fruit ${fruit.mark ?? 'without a mark'}` : ''}.`
            : 'From which seed, nobody said.'}
      </Txt>
      {canBe ? null : <Notice tone="brick" text={lineageOddityText['sown-before-ripe']} />}
      {plant.keepers.map(({ event, trait, note, by }) => (
        <Txt key={event}>{`Kept for ${trait}${note ? `: ${note}` : ''}${by ? ` (${by})` : ''}`}</Txt>
      ))}
      <Row>
        <Button title="Its forebears" small onPress={onTree} />
        {cropLots ? (
          <Button
            title="Sown from"
            small
            look="quiet"
            onPress={() => setAsking(asking === 'lot' ? null : 'lot')}
          />
        ) : null}
        {crop.flowers.perfect ? (
          <Button
            title={`A ${CLONE[crop.id] ?? 'cutting'} of`}
            small
            look="quiet"
            onPress={() => setAsking(asking === 'clone' ? null : 'clone')}
          />
        ) : null}
        {crop.id === 'potato' && plant.cloneOf === null ? (
          <Button
            title="Make it a variety"
            small
            look="quiet"
            onPress={() => setAsking(asking === 'variety' ? null : 'variety')}
          />
        ) : null}
        {plant.ended ? null : (
          <Button
            title="Keep it for …"
            small
            look="quiet"
            onPress={() => setAsking(asking === 'keep' ? null : 'keep')}
          />
        )}
      </Row>
      {asking === 'lot' ? (
        <SownTiles
          crop={each.variety.crop}
          lot={sown?.lot}
          fruit={sown?.fruit ?? null}
          since={stoodSince(plant)}
          none="none of these"
          onChange={(to, of) => void save({ kind: 'sownFrom', subject: plant.id, lot: to, fruit: of })}
        />
      ) : null}
      {asking === 'clone' ? (
        <CloneTiles
          each={each}
          onChoose={(to) => void save({ kind: 'clonedFrom', plant: plant.id, parent: to })}
        />
      ) : null}
      {asking === 'variety' ? (
        <VarietyForm each={each} busy={busy} onSave={save} onDone={() => setAsking(null)} />
      ) : null}
      {asking === 'keep' ? (
        <KeepForm
          busy={busy}
          onKeep={async (trait, note) => {
            if (await save({ kind: 'keeperChosen', plant: plant.id, trait, note })) setAsking(null);
          }}
        />
      ) : null}
    </Card>
  );
}

/** The other plants of its stand and variety, of one of which it is a runner, a tuber or a cutting. */
function CloneTiles({ each, onChoose }: { each: Growing; onChoose: (parent: PlantId | null) => void }) {
  const { state } = useGarden();
  const stands = [...state.stands.values()].filter(({ variety }) => variety === each.variety.id);
  const others = stands
    .flatMap(({ id }) => plantsOfStand(state, id))
    .filter(({ id }) => id !== each.plant.id);
  if (others.length === 0) return <Txt>There is no other plant of this variety.</Txt>;
  return (
    <Tiles question="A runner, tuber or cutting of which plant?">
      {others.map(({ id, label }) => (
        <Tile
          key={id}
          title={`${each.variety.name} ${label}`}
          small
          chosen={each.plant.cloneOf === id}
          onPress={() => onChoose(id)}
          minWidth={110}
        />
      ))}
      <Tile title="of none" small chosen={each.plant.cloneOf === null} onPress={() => onChoose(null)} />
    </Tiles>
  );
}

function KeepForm({
  busy,
  onKeep,
}: {
  busy: boolean;
  onKeep: (trait: string, note: string) => Promise<void>;
}) {
  const [trait, setTrait] = useState('');
  const [note, setNote] = useState('');
  return (
    <>
      <Field
        label="For which trait"
        value={trait}
        onChange={(text) => setTrait(text.slice(0, 80))}
        placeholder="early, sweet, no mildew"
      />
      <Field label="What you saw" value={note} onChange={(text) => setNote(text.slice(0, 500))} multiline />
      <Button
        title="Keep this plant"
        disabled={busy || trait.trim() === ''}
        onPress={() => void onKeep(trait.trim(), note.trim())}
      />
    </>
  );
}

/** A potato seedling is a finished variety, kept by its tubers. */
function VarietyForm({
  each,
  busy,
  onSave,
  onDone,
}: {
  each: Growing;
  busy: boolean;
  onSave: (draft: Draft) => Promise<boolean>;
  onDone: () => void;
}) {
  const { patch, newId } = useGarden();
  const [name, setName] = useState('');
  if (!patch) return null;
  const { crop, shape } = each.variety;
  const keep = async () => {
    const draft: Draft = {
      kind: 'varietyAdded',
      variety: newId('variety'),
      patch: patch.id,
      name: name.trim(),
      crop,
      shape,
      from: each.plant.id,
    };
    if (await onSave(draft)) onDone();
  };
  return (
    <>
      <Txt tone="muted">
        Every potato seedling is a new variety, finished at once: keep it by its tubers. Plants of it then
        count as this one plant.
      </Txt>
      <Field label="Its name" value={name} onChange={(text) => setName(text.slice(0, 80))} />
      <Button title="Name the variety" disabled={busy || name.trim() === ''} onPress={() => void keep()} />
    </>
  );
}
