import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import type { FlowerId } from '@core/ids';
import { GROW_OUT_STAGES, ROGUED, type GrowOutStage, type Lot, type Rogued } from '@core/ledger';
import { fruitsOfLot } from '@core/lineage';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Button, Field, Notice, Sheet, Stepper, Tile, Tiles } from '../controls';
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
  const [fruit, setFruit] = useState<FlowerId | null>(null);
  const [stage, setStage] = useState<GrowOutStage | null>(null);
  const [grown, setGrown] = useState(first ? 4 : 20);
  const [off, setOff] = useState(0);
  const [reason, setReason] = useState('');
  const [rogued, setRogued] = useState<Rogued | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const fruits = fruitsOfLot(state, lot.id);
  const keep = async () => {
    if (stage === null) return setWrong('Say how far they have grown.');
    if (off > 0 && reason.trim() === '') return setWrong('Say what is off about them.');
    const types = off === 0 ? [] : [{ reason: reason.trim(), count: off, rogued }];
    if (await save({ kind: 'grownOut', lot: lot.id, fruit, stage, grown, off: types })) onClose();
  };
  return (
    <Sheet open onClose={onClose} title="Growing out: a count">
      <ScrollView style={{ maxHeight: 560 }}>
        <View style={{ gap: 12 }}>
          {fruits.length > 1 ? (
            <Tiles question="Whose seed is it?">
              <Tile title="all mixed" small chosen={fruit === null} onPress={() => setFruit(null)} />
              {fruits.map((id) => (
                <Tile
                  key={id}
                  title={state.flowers.get(id)?.mark ?? 'no mark'}
                  small
                  chosen={fruit === id}
                  onPress={() => setFruit(id)}
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
                onPress={() => {
                  setWrong(null);
                  setStage(each);
                }}
              />
            ))}
          </Tiles>
          <Stepper
            label="Plants looked over"
            value={grown}
            least={1}
            most={2000}
            onChange={(next) => {
              setGrown(next);
              setOff(Math.min(off, next));
            }}
          />
          <Stepper label="Off, found now" value={off} least={0} most={grown} onChange={setOff} />
          {off > 0 ? (
            <>
              {first ? (
                <Tile
                  title={SELFED_REASON}
                  note="selfed"
                  small
                  chosen={reason === SELFED_REASON}
                  onPress={() => {
                    setWrong(null);
                    setReason(SELFED_REASON);
                  }}
                />
              ) : null}
              <Field
                label="What is off about them"
                value={reason}
                onChange={(text) => {
                  setWrong(null);
                  setReason(text.slice(0, 80));
                }}
                placeholder="round fruit, no warts"
              />
              <Tiles question="Pulled?">
                {ROGUED.map((each) => (
                  <Tile
                    key={each}
                    title={roguedWords[each]}
                    small
                    chosen={rogued === each}
                    onPress={() => setRogued(rogued === each ? null : each)}
                    minWidth={140}
                  />
                ))}
              </Tiles>
            </>
          ) : null}
          <Txt size="label" tone="muted">
            Only what was not counted at an earlier stage. Pull off-types before they shed pollen.
          </Txt>
        </View>
      </ScrollView>
      {(wrong ?? problem) ? <Notice tone="brick" text={wrong ?? problem ?? ''} /> : null}
      <Button title="Keep the count" look="main" disabled={busy} onPress={() => void keep()} />
    </Sheet>
  );
}
