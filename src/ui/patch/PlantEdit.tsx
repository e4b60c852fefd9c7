import { useState } from 'react';
import { View } from 'react-native';
import { reasonsOf } from '@core/crops';
import { LOSS_CAUSES, OFF_TYPE_BY, ROGUED, type OffTypeBy } from '@core/ledger';
import { plantName, type Growing } from '@core/patch';
import { useDraft, type KeptDraft } from '@/data/device/draft';
import { labelForm, noteForm } from '@/data/forms/plantForm';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Card, Button, Notice, Row, Sheet, Tile, Tiles } from '../controls';
import { TypedField } from '../forms/TypedField';
import { useTyped } from '../forms/useTyped';
import { Txt } from '../theme';
import { HealthTiles } from './HealthTiles';
import { causeWords, reasonText } from '../words';

/** What can be said of the plant itself: its health, a note, another name, its end. */
export function PlantEdit({ growing }: { growing: Growing }) {
  const { record, space } = useGarden();
  const { plant } = growing;
  const draft = useDraft(`plant/${space}/${plant.id}`, { note: '', label: plant.label });
  const [ending, setEnding] = useState(false);
  return (
    <Card>
      <Txt size="heading">The plant</Txt>
      {plant.ended ? (
        <Txt>
          {plant.ended.how === 'died' ? 'Died' : 'Removed'}
          {plant.ended.cause ? `: ${causeWords[plant.ended.cause]}` : ''}. It is left out of walks and rounds;
          its records stay.
        </Txt>
      ) : (
        <HealthTiles plant={plant} question="Health: only healthy plants make seed mothers" />
      )}
      {plant.ended || reasonsOf(growing.crop).length < 2 ? null : (
        <Tiles question="This plant is for">
          {reasonsOf(growing.crop).map((each) => (
            <Tile
              key={each}
              title={reasonText(growing.crop, each)}
              small
              chosen={growing.stand.reason === each}
              onPress={() => void record({ kind: 'reasonSet', subject: plant.id, reason: each })}
            />
          ))}
        </Tiles>
      )}
      <OffType growing={growing} />
      {plant.notes.map((note) => (
        <Txt key={note.event}>“{note.text}”</Txt>
      ))}
      {draft.ready ? (
        <>
          <PlantNote growing={growing} draft={draft} />
          <PlantLabel growing={growing} draft={draft} />
        </>
      ) : null}
      {plant.ended ? null : (
        <Row>
          <Button title="Removed or died" look="danger" small onPress={() => setEnding(true)} />
        </Row>
      )}
      <Sheet open={ending} onClose={() => setEnding(false)} title={`${plantName(growing)}: what happened?`}>
        <Button
          title="I removed it"
          onPress={() => {
            setEnding(false);
            void record({ kind: 'plantRemoved', plant: plant.id });
          }}
        />
        <Tiles question="It died of">
          {LOSS_CAUSES.filter((cause) => ['heat', 'pest', 'weather', 'rot', 'unknown'].includes(cause)).map(
            (cause) => (
              <Tile
                key={cause}
                title={causeWords[cause]}
                chosen={false}
                onPress={() => {
                  setEnding(false);
                  void record({ kind: 'plantDied', plant: plant.id, cause });
                }}
              />
            ),
          )}
        </Tiles>
      </Sheet>
    </Card>
  );
}

type Said = KeptDraft<{ readonly note: string; readonly label: string }>;

/** A note on the plant; what is typed is kept on the device until it is on record. */
function PlantNote({ growing: { plant }, draft }: { growing: Growing; draft: Said }) {
  const { busy, problem, save } = useRecording();
  const form = useTyped<{ note: string }, { note: string }>(
    noteForm,
    { note: draft.value.note },
    draft.change,
  );
  const keep = form.keep(async ({ note }) => {
    if (!(await save({ kind: 'noted', subject: plant.id, text: note }))) return;
    draft.change({ note: '' });
    form.begin({ note: '' });
  });
  return (
    <>
      <TypedField of={form} name="note" label="A note" multiline />
      {problem ? <Notice tone="brick" text={problem} /> : null}
      <Row>
        <Button title="Keep the note" small busy={busy} onPress={keep} />
      </Row>
    </>
  );
}

/** What the plant is called. */
function PlantLabel({ growing: { plant }, draft }: { growing: Growing; draft: Said }) {
  const { busy, problem, save } = useRecording();
  const form = useTyped<{ label: string }, { label: string }>(
    labelForm,
    { label: draft.value.label },
    draft.change,
  );
  const same = form.value.label.trim() === plant.label;
  return (
    <View style={{ gap: 6 }}>
      <TypedField of={form} name="label" label="Number or name of this plant" />
      {problem ? <Notice tone="brick" text={problem} /> : null}
      <Row>
        <Button
          title="Rename"
          small
          busy={busy}
          disabled={same}
          onPress={form.keep(({ label }) =>
            save({ kind: 'corrected', subject: plant.id, target: plant.event, changes: { label } }),
          )}
        />
      </Row>
    </View>
  );
}

const shownBy: Readonly<Record<OffTypeBy, string>> = {
  leaf: 'leaf and vine',
  flower: 'its flowers',
  fruit: 'its fruit',
  offspring: 'what came of its seed',
};

/** A plant that turns out not to be what its seed promised: every fruit that its pollen served is flagged. */
function OffType({ growing: { plant, stand } }: { growing: Growing }) {
  const { record } = useGarden();
  const [asking, setAsking] = useState(false);
  const { offType } = plant;
  if (offType)
    return (
      <>
        <Txt>{`Not true to its variety, by ${shownBy[offType.shownBy]}: its fruits, and those it fathered, are not pure.`}</Txt>
        {plant.ended ? (
          <Tiles question="Pulled up: when?">
            {ROGUED.map((each) => (
              <Tile
                key={each}
                title={each === 'before' ? 'before it shed pollen' : 'after it shed pollen'}
                small
                chosen={offType.rogued === each}
                onPress={() =>
                  void record({
                    kind: 'corrected',
                    subject: plant.id,
                    target: offType.event,
                    changes: { rogued: each },
                  })
                }
              />
            ))}
          </Tiles>
        ) : null}
      </>
    );
  if (stand.reason === 'fruit') return null;
  if (!asking)
    return (
      <Button title="It is not true to its variety" look="quiet" small onPress={() => setAsking(true)} />
    );
  return (
    <Tiles question="Not true to its variety: what shows it?">
      {OFF_TYPE_BY.map((each) => (
        <Tile
          key={each}
          title={shownBy[each]}
          small
          chosen={false}
          onPress={() => {
            setAsking(false);
            void record({ kind: 'offTypeFound', plant: plant.id, shownBy: each });
          }}
        />
      ))}
    </Tiles>
  );
}
