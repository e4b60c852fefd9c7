import { useState } from 'react';
import { View } from 'react-native';
import { reasonsOf } from '@core/crops';
import { LOSS_CAUSES, OFF_TYPE_BY, ROGUED, type OffTypeBy } from '@core/ledger';
import { plantName, type Growing } from '@core/patch';
import { useDraft } from '@/data/device/draft';
import { useGarden } from '@/data/garden/garden';
import { Card, Field, Button, Row, Sheet, Tile, Tiles } from '../controls';
import { Txt } from '../theme';
import { HealthTiles } from './HealthTiles';
import { causeWords, reasonText } from '../words';

/** What can be said of the plant itself: its health, a note, another name, its end. */
export function PlantEdit({ growing }: { growing: Growing }) {
  const { record, space } = useGarden();
  const { plant } = growing;
  const { value, ready, change, clear } = useDraft(`plant/${space}/${plant.id}`, {
    note: '',
    label: plant.label,
  });
  const [ending, setEnding] = useState(false);
  const [error, setError] = useState<string | null>(null);
  if (!ready) return null;
  const say = (work: Promise<unknown>) => {
    setError(null);
    void work.then(clear, (problem: Error) => setError(problem.message));
  };
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
      <Field
        label="A note"
        value={value.note}
        onChange={(note) => change({ note })}
        multiline
        error={error}
      />
      <Row>
        <Button
          title="Keep the note"
          small
          disabled={value.note.trim() === ''}
          onPress={() => say(record({ kind: 'noted', subject: plant.id, text: value.note.trim() }))}
        />
      </Row>
      <View style={{ gap: 6 }}>
        <Field
          label="Number or name of this plant"
          value={value.label}
          onChange={(label) => change({ label })}
        />
        <Row>
          <Button
            title="Rename"
            small
            disabled={value.label.trim() === '' || value.label.trim() === plant.label}
            onPress={() =>
              say(
                record({
                  kind: 'corrected',
                  subject: plant.id,
                  target: plant.event,
                  changes: { label: value.label.trim().slice(0, 20) },
                }),
              )
            }
          />
          {plant.ended ? null : (
            <Button title="Removed or died" look="danger" small onPress={() => setEnding(true)} />
          )}
        </Row>
      </View>
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
