import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { cropOf } from '@core/crops';
import type { FlowerId, LotId } from '@core/ids';
import { LOT_FROM } from '@core/ledger';
import { crossFather, growing, plantName } from '@core/patch';
import { fruitsWaiting } from '@core/seed';
import { lotDraft, lotYear, wrongInLot, type LotForm } from '@/data/forms/lotForm';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Button, Field, Notice, Sheet, Stepper, Tile, Tiles } from '../controls';
import { Txt } from '../theme';
import { flowerPlace } from '../words';
import { fromWords } from './words';

/** Begins a lot: whose seed, from where, of which year. */
export function LotSheet({
  start,
  onClose,
}: {
  start: Partial<LotForm>;
  onClose: (begun: LotId | null) => void;
}) {
  const { state, patch, today, newId } = useGarden();
  const { busy, problem, save } = useRecording();
  const [form, setForm] = useState<LotForm>({
    variety: null,
    from: 'bought',
    fruits: [],
    year: null,
    note: '',
    ...start,
  });
  const thisYear = Number(today.slice(0, 4));
  const [wrong, setWrong] = useState<ReturnType<typeof wrongInLot>>(null);
  const change = (part: Partial<LotForm>) => {
    setWrong(null);
    setForm((before) => ({ ...before, ...part }));
  };
  if (!patch) return null;
  const varieties = [...state.varieties.values()];
  const waiting = fruitsWaiting(state).filter(({ variety }) => variety.id === form.variety);
  const keep = async () => {
    const found = wrongInLot(form);
    if (found) return setWrong(found);
    const lot = newId('lot');
    if (await save(lotDraft(lot, patch.id, form, thisYear))) onClose(lot);
  };
  return (
    <Sheet open onClose={() => onClose(null)} title="Begin a lot of seed">
      <ScrollView style={{ maxHeight: 560 }}>
        <View style={{ gap: 12 }}>
          <Txt tone="muted">A lot is seed that is kept together: one packet, one jar.</Txt>
          {varieties.length === 0 ? (
            <Notice tone="pollen" text="No variety is on record yet. Add plants on the Patch first." />
          ) : (
            <Tiles question="Which variety?">
              {varieties.map(({ id, name, crop }) => (
                <Tile
                  key={id}
                  title={name}
                  note={cropOf(crop).name}
                  small
                  chosen={form.variety === id}
                  onPress={() => change({ variety: id, fruits: [] })}
                  minWidth={104}
                />
              ))}
            </Tiles>
          )}
          <Tiles question="Where is it from?">
            {LOT_FROM.map((from) => (
              <Tile
                key={from}
                title={fromWords[from]}
                small
                chosen={form.from === from}
                onPress={() => change({ from })}
              />
            ))}
          </Tiles>
          {form.from === 'fruits' ? (
            <FruitTicks
              waiting={waiting.flatMap(({ fruits }) => fruits.map(({ id }) => id))}
              ticked={form.fruits}
              onChange={(fruits) => change({ fruits })}
            />
          ) : null}
          <Stepper
            label="The year it ripened"
            value={lotYear(form, thisYear)}
            least={1900}
            most={thisYear}
            onChange={(year) => change({ year })}
          />
          <Field
            label={form.from === 'fruits' ? 'A note' : 'Who from, or what the packet says'}
            value={form.note}
            onChange={(note) => change({ note })}
            error={wrong?.field === 'note' ? wrong.message : null}
          />
        </View>
      </ScrollView>
      {problem || (wrong && wrong.field !== 'note') ? (
        <Notice tone="brick" text={problem ?? wrong?.message ?? ''} />
      ) : null}
      <Button title="Begin the lot" look="main" disabled={busy} onPress={() => void keep()} />
    </Sheet>
  );
}

/** The fruits of a variety that were picked for seed and are in no lot yet, to be ticked. */
function FruitTicks({
  waiting,
  ticked,
  onChange,
}: {
  waiting: readonly FlowerId[];
  ticked: readonly FlowerId[];
  onChange: (fruits: readonly FlowerId[]) => void;
}) {
  const { state } = useGarden();
  if (waiting.length === 0)
    return (
      <Notice
        tone="pollen"
        text="No fruit of it that was picked for seed waits for a lot. Write down on its look that it was picked for seed."
      />
    );
  return (
    <Tiles question="From which fruits?">
      {waiting.map((id) => {
        const flower = state.flowers.get(id);
        const found = flower ? growing(state, flower.plant) : null;
        if (!flower || !found) return null;
        const father = crossFather(state, found);
        const on = ticked.includes(id);
        return (
          <Tile
            key={id}
            title={flower.mark ?? 'no mark'}
            note={`${plantName(found)}, ${flowerPlace(flower)}${father ? ` × ${father}` : ''}`}
            small
            chosen={on}
            onPress={() => onChange(on ? ticked.filter((each) => each !== id) : [...ticked, id])}
            minWidth={140}
          />
        );
      })}
    </Tiles>
  );
}
