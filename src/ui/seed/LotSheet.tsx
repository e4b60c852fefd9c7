import { ScrollView, View } from 'react-native';
import { cropOf } from '@core/crops';
import type { FlowerId, LotId } from '@core/ids';
import { LOT_FROM } from '@core/ledger';
import { crossFather, growing } from '@core/patch';
import { fruitsWaiting } from '@core/seed';
import { lotDraft, lotForm, lotYear, type ReadLot, type TypedLot } from '@/data/forms/lotForm';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { limitsOf } from '@/data/forms/limits';
import { Button, Notice, Sheet, Stepper, Tile, Tiles } from '../controls';
import { TypedField } from '../forms/TypedField';
import { useTyped } from '../forms/useTyped';
import { Txt } from '../theme';
import { flowerText } from '../words';
import { fromWords } from './words';

/** Begins a lot: whose seed, from where, of which year. */
export function LotSheet({
  start,
  onClose,
}: {
  start: Partial<TypedLot>;
  onClose: (begun: LotId | null) => void;
}) {
  const { state, patch, today, newId } = useGarden();
  const { busy, problem, save } = useRecording();
  const form = useTyped<TypedLot, ReadLot>(lotForm, {
    variety: null,
    from: 'bought',
    fruits: [],
    year: null,
    note: '',
    ...start,
  });
  const { value, wrong, set } = form;
  const thisYear = Number(today.slice(0, 4));
  if (!patch) return null;
  const varieties = [...state.varieties.values()];
  const waiting = fruitsWaiting(state).filter(({ variety }) => variety.id === value.variety);
  const keep = form.keep(async (read) => {
    const lot = newId('lot');
    if (await save(lotDraft(lot, patch.id, read, thisYear))) onClose(lot);
  });
  const said = problem ?? wrong.variety ?? wrong.fruits;
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
                  chosen={value.variety === id}
                  onPress={() => set({ variety: id, fruits: [] })}
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
                chosen={value.from === from}
                onPress={() => set({ from })}
              />
            ))}
          </Tiles>
          {value.from === 'fruits' ? (
            <FruitTicks
              waiting={waiting.flatMap(({ fruits }) => fruits.map(({ id }) => id))}
              ticked={value.fruits}
              onChange={(fruits) => set({ fruits })}
            />
          ) : null}
          <Stepper
            label="The year it ripened"
            value={lotYear(value, thisYear)}
            least={limitsOf('lotBegun', 'year').least}
            most={thisYear}
            onChange={(year) => set({ year })}
          />
          <TypedField
            of={form}
            name="note"
            label={value.from === 'fruits' ? 'A note' : 'Who from, or what the packet says'}
          />
        </View>
      </ScrollView>
      {said ? <Notice tone="brick" text={said} /> : null}
      <Button title="Begin the lot" look="main" disabled={busy} onPress={keep} />
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
            note={`${flowerText(found, flower)}${father ? ` × ${father}` : ''}`}
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
