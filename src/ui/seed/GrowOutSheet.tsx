import { ScrollView, View } from 'react-native';
import { GROW_OUT_STAGES, ROGUED, type Lot } from '@core/ledger';
import { fruitsOfLot } from '@core/lineage';
import { growOutForm, type ReadGrowOut, type TypedGrowOut } from '@/data/forms/growOutForm';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Button, Notice, Sheet, Stepper, Tile, Tiles } from '../controls';
import { TypedField } from '../forms/TypedField';
import { useTyped } from '../forms/useTyped';
import { Txt } from '../theme';
import { roguedWords, SELFED_REASON, stageTitles } from './words';

/** Plants of a lot looked over at one stage: how many, and how many were off, by what. */
export function GrowOutSheet({
  lot,
  first,
  onClose,
}: {
  lot: Lot;
  /** It is the F1 of a cross. */
  first: boolean;
  onClose: () => void;
}) {
  const { state } = useGarden();
  const { busy, problem, save } = useRecording();
  const form = useTyped<TypedGrowOut, ReadGrowOut>(growOutForm, {
    fruit: null,
    stage: null,
    grown: first ? 4 : 20,
    off: 0,
    reason: '',
    rogued: null,
  });
  const { value, wrong, set } = form;
  const { fruit, stage, grown, off, rogued } = value;
  const fruits = fruitsOfLot(state, lot.id);
  const keep = form.keep(async (read) => {
    const types = read.off === 0 ? [] : [{ reason: read.reason, count: read.off, rogued: read.rogued }];
    const counted = { fruit: read.fruit, stage: read.stage, grown: read.grown, off: types };
    if (await save({ kind: 'grownOut', lot: lot.id, ...counted })) onClose();
  });
  const said = problem ?? wrong.stage;
  return (
    <Sheet open onClose={onClose} title="Growing out: a count">
      <ScrollView style={{ maxHeight: 560 }}>
        <View style={{ gap: 12 }}>
          {fruits.length > 1 ? (
            <Tiles question="Whose seed is it?">
              <Tile title="all mixed" small chosen={fruit === null} onPress={() => set({ fruit: null })} />
              {fruits.map((id) => (
                <Tile
                  key={id}
                  title={state.flowers.get(id)?.mark ?? 'no mark'}
                  small
                  chosen={fruit === id}
                  onPress={() => set({ fruit: id })}
                />
              ))}
            </Tiles>
          ) : null}
          <Tiles question="How far have they grown?">
            {GROW_OUT_STAGES.map((each) => (
              <Tile
                key={each}
                title={stageTitles[each]}
                small
                chosen={stage === each}
                onPress={() => set({ stage: each })}
              />
            ))}
          </Tiles>
          <Stepper
            label="Plants looked over"
            value={grown}
            least={1}
            most={2000}
            onChange={(next) => set({ grown: next, off: Math.min(off, next) })}
          />
          <Stepper
            label="Off, found now"
            value={off}
            least={0}
            most={grown}
            onChange={(next) => set({ off: next })}
          />
          {off > 0 ? (
            <>
              {first ? (
                <Tile
                  title={SELFED_REASON}
                  note="selfed"
                  small
                  chosen={value.reason === SELFED_REASON}
                  onPress={() => set({ reason: SELFED_REASON })}
                />
              ) : null}
              <TypedField
                of={form}
                name="reason"
                label="What is off about them"
                placeholder="round fruit, no warts"
              />
              <Tiles question="Pulled?">
                {ROGUED.map((each) => (
                  <Tile
                    key={each}
                    title={roguedWords[each]}
                    small
                    chosen={rogued === each}
                    onPress={() => set({ rogued: rogued === each ? null : each })}
                    minWidth={140}
                  />
                ))}
              </Tiles>
            </>
          ) : null}
          <Txt size="label" tone="muted">
            Count only those not counted at an earlier stage. Pull off-types before they shed pollen.
          </Txt>
        </View>
      </ScrollView>
      {said ? <Notice tone="brick" text={said} /> : null}
      <Button title="Keep the count" look="main" disabled={busy} onPress={keep} />
    </Sheet>
  );
}
