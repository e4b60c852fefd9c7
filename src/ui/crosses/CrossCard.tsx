import { useState } from 'react';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { closuresFor, hasCone, VISITS_A_DAY } from '@core/crops';
import { freeThread, standing, visitDrafts, type CrossStand, type Mother } from '@core/crosses';
import type { Draft } from '@core/ledger';
import { plantName, type Growing } from '@core/patch';
import { workSteps } from '@core/rounds';
import { clockText, shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useNextMark } from '@/data/garden/nextMark';
import { Button, Card, Notice, Tile, Tiles } from '../controls';
import { FlowerRow } from '../FlowerRow';
import { HoldTimer } from '../round/HoldTimer';
import { GoneTiles } from '../round/StopQuestions';
import { Steps } from '../Steps';
import { Txt } from '../theme';
import { faultlessWords, plural } from '../words';

interface Props {
  readonly cross: CrossStand;
  readonly busy: boolean;
  readonly onSave: (...drafts: Draft[]) => void;
}

export const bagOf = ({ crop }: Growing) => closuresFor(crop, 'perfect')[0] ?? 'mesh-bag';

/** What the mothers of one stand ask for today, from the bud to the bag that comes off. */
export function CrossCard({ cross, busy, onSave }: Props) {
  const router = useRouter();
  const { growing, father, mothers } = cross;
  const { crop, variety, stand } = growing;
  const [coneWanted, setCone] = useState(false);
  const cone = coneWanted && hasCone(crop);
  return (
    <>
      <Card>
        <Txt size="heading">{father ? `${variety.name} × ${father.name}` : variety.name}</Txt>
        <Txt size="label" tone="muted">
          {crop.caution}
        </Txt>
        {father ? null : (
          <Notice
            tone="pollen"
            text={`${variety.name}: whose pollen? Choose the father’s variety in its goal.`}
          >
            <Button
              title="Choose the father"
              small
              label={`Choose the father of ${variety.name}`}
              onPress={() => router.navigate({ pathname: '/goals', params: { stand: stand.id } })}
            />
          </Notice>
        )}
        {mothers.length > 0 ? (
          <>
            <Txt size="strong">Pollen on</Txt>
            {hasCone(crop) ? (
              <Tiles question={`${variety.name}: how`}>
                <Tile
                  title="Dab with a brush"
                  note={`up to ${VISITS_A_DAY} visits`}
                  chosen={!cone}
                  onPress={() => setCone(false)}
                />
                <Tile
                  title="Father’s cone over the stigma"
                  note="once"
                  chosen={cone}
                  onPress={() => setCone(true)}
                />
              </Tiles>
            ) : null}
            <Steps steps={workSteps(crop, cone ? 'anthers' : 'brush', 'mesh-bag')} />
            {cone ? null : <HoldTimer seconds={3} verb="Dab" />}
            {father && father.ready.length === 0 ? (
              <Notice
                tone="pollen"
                text="No bagged father flower is open today: bag some now for tomorrow."
              />
            ) : null}
            {mothers.map((mother) => (
              <MotherRow
                key={mother.flower.id}
                mother={mother}
                cross={cross}
                cone={cone}
                busy={busy}
                onSave={onSave}
              />
            ))}
          </>
        ) : null}
      </Card>
      <Opening cross={cross} busy={busy} onSave={onSave} />
      <Afterwards cross={cross} busy={busy} onSave={onSave} />
    </>
  );
}

function MotherRow({ mother, cross, cone, busy, onSave }: Props & { mother: Mother; cone: boolean }) {
  const { place, now, prefs } = useGarden();
  const nextMark = useNextMark();
  const { flower, growing, visits, nextAt, takesUntil } = mother;
  const father = cross.father?.ready[0];
  const mark = visits === 0 ? nextMark : null;
  const [otherwise, setOtherwise] = useState(false);
  const tool = cone ? 'anthers' : 'brush';
  // The key names all that it records.
  const title = `Both bags whole, ${cone ? 'cone over' : 'dabbed'}, bagged, ${faultlessWords(tool)}${mark ? `, mark ${mark}` : ''}`;
  const keep = (went: { beeIn?: boolean; clean?: boolean }, whole = false) =>
    father &&
    onSave(
      // What a bee got at is no seed, and gets no mark.
      ...visitDrafts(mother, father, tool, bagOf(growing), went.beeIn ? null : mark, went, whole),
    );
  const due =
    nextAt === null
      ? 'enough'
      : nextAt <= now
        ? 'due now'
        : `next ${clockText(nextAt, place.zone, prefs.clock === '12')}`;
  return (
    <FlowerRow
      flower={flower}
      growing={growing}
      note={`${plural(visits, 'visit')}, ${due} · takes pollen till ${shortDayText(takesUntil)} at least`}
    >
      <Button
        title={title}
        small
        label={`${title}: pollen on ${plantName(growing)}${flower.thread ? `, ${flower.thread} thread` : ''}, visit ${visits + 1}`}
        disabled={busy || !father}
        onPress={() => keep({ beeIn: false, clean: true }, true)}
      />
      {otherwise ? (
        <View style={{ width: '100%' }}>
          <Tiles question="How did it go?">
            <Tile title="a bee got in" small chosen={false} onPress={() => !busy && keep({ beeIn: true })} />
            <Tile
              title="other pollen on it"
              small
              chosen={false}
              onPress={() => !busy && keep({ clean: false })}
            />
            <Tile
              title="her bag was torn: left"
              small
              chosen={false}
              onPress={() => !busy && onSave({ kind: 'closureChecked', flower: flower.id, result: 'torn' })}
            />
            <Tile title="can’t say" small chosen={false} onPress={() => !busy && keep({})} />
          </Tiles>
        </View>
      ) : (
        <Button
          title="Not quite so"
          label={`Not quite so: pollen on ${plantName(growing)}`}
          look="quiet"
          small
          disabled={busy || !father}
          onPress={() => setOtherwise(true)}
        />
      )}
      {visits > 0 ? <FormsKey mother={mother} busy={busy} onSave={onSave} /> : null}
    </FlowerRow>
  );
}

function FormsKey({ mother: { flower, growing }, busy, onSave }: Omit<Props, 'cross'> & { mother: Mother }) {
  return (
    <Button
      title="Fruit forms"
      small
      label={`A fruit forms on ${plantName(growing)}${flower.thread ? `, ${flower.thread} thread` : ''}`}
      disabled={busy}
      onPress={() => onSave({ kind: 'lookedAt', flower: flower.id, result: 'growing', sizeMm: null })}
    />
  );
}

/** Buds at the right stage, and the plants on which to look for more. */
function Opening({ cross: { growing: first, plants, toEmasculate }, busy, onSave }: Props) {
  const { state, newId } = useGarden();
  const bud = (growing: Growing) => {
    const flower = newId('flower');
    const thread = freeThread(othersOn(growing));
    onSave(
      { kind: 'flowerSeen', flower, plant: growing.plant.id, sex: 'perfect', stage: 'coloured', node: null },
      ...(thread ? [{ kind: 'threaded' as const, flower, colour: thread }] : []),
    );
  };
  const othersOn = (growing: Growing) =>
    standing(state, growing).filter(
      ({ coverOffAt, shuttings, emasculated, sightings }) =>
        coverOffAt === null &&
        (shuttings.length > 0 || emasculated !== null || sightings.at(-1)?.stage === 'coloured'),
    );
  return (
    <Card>
      <Txt size="heading">Mothers to open: {first.variety.name}</Txt>
      <Txt tone="muted">
        Petals pale, just parting, still shut: take the petals and the whole ring of anthers out without
        touching the stigma, then the bag. Green is too early; open is too late. Fine tweezers, wiped with
        spirit between flowers: keep points from eyes, spirit from flames.
      </Txt>
      {toEmasculate.map(({ flower, growing }) => (
        <FlowerRow key={flower.id} flower={flower} growing={growing} note="right stage">
          <Button
            title="Anthers out, bagged"
            small
            label={`Anthers out of a bud on ${plantName(growing)}${flower.thread ? `, ${flower.thread} thread` : ''}`}
            disabled={busy}
            onPress={() =>
              onSave(
                { kind: 'emasculated', flower: flower.id },
                ...(flower.shuttings.length === 0
                  ? [{ kind: 'flowerShut' as const, flower: flower.id, closure: bagOf(growing) }]
                  : []),
              )
            }
          />
          <Button
            title="Knocked off"
            small
            label={`A bud on ${plantName(growing)} was knocked off`}
            disabled={busy}
            onPress={() => onSave({ kind: 'lost', flower: flower.id, cause: 'knocked-off' })}
          />
        </FlowerRow>
      ))}
      {plants.map((growing) => {
        const thread = freeThread(othersOn(growing));
        return (
          <Button
            key={growing.plant.id}
            title={`Bud ready on ${plantName(growing)}${thread ? `, ${thread} thread on` : ''}`}
            label={`A bud at the right stage on ${plantName(growing)}`}
            small
            disabled={busy}
            onPress={() => bud(growing)}
          />
        );
      })}
    </Card>
  );
}

/** Mothers between their pollen and their fruit, those that came to nothing, and bags to take off. */
function Afterwards({ cross: { growing: first, waiting, lost, bagsOff }, busy, onSave }: Props) {
  const router = useRouter();
  if (waiting.length + lost.length + bagsOff.length === 0) return null;
  return (
    <Card>
      <Txt size="heading">Afterwards: {first.variety.name}</Txt>
      {waiting.map((mother) => (
        <FlowerRow
          key={mother.flower.id}
          flower={mother.flower}
          growing={mother.growing}
          note={`${plural(mother.visits, 'visit')}${mother.flower.mark ? `, mark ${mother.flower.mark}` : ''} · look from ${shortDayText(mother.lookFrom)}`}
        >
          <FormsKey mother={mother} busy={busy} onSave={onSave} />
          <DroppedKey mother={mother} busy={busy} onSave={onSave} />
        </FlowerRow>
      ))}
      {lost.map(({ flower, growing, why }) => (
        <FlowerRow
          key={flower.id}
          flower={flower}
          growing={growing}
          note={
            why === 'over' ? 'no pollen came in time: her stigma is past it' : 'spoilt: something got to her'
          }
        >
          <Button
            title="Bag off, left"
            small
            label={`Bag off the spent flower of ${plantName(growing)}`}
            disabled={busy}
            onPress={() =>
              onSave(
                { kind: 'coverOff', flower: flower.id },
                // That no pollen came is on record; what a torn bag let in is no cause that anybody saw.
                ...(why === 'over'
                  ? [{ kind: 'lost' as const, flower: flower.id, cause: 'not-pollinated' as const }]
                  : []),
              )
            }
          />
        </FlowerRow>
      ))}
      {bagsOff.map(({ flower, growing }) => (
        <FlowerRow
          key={flower.id}
          flower={flower}
          growing={growing}
          note={flower.mark ? `mark ${flower.mark}` : 'fruit forms'}
        >
          <Button
            title="Bag whole, off"
            small
            label={`Bag off ${plantName(growing)}, still whole`}
            disabled={busy}
            onPress={() =>
              onSave(
                { kind: 'closureChecked', flower: flower.id, result: 'whole' },
                { kind: 'coverOff', flower: flower.id },
              )
            }
          />
          <Button
            title="Bag torn, off"
            small
            label={`Bag off ${plantName(growing)}, torn`}
            disabled={busy}
            onPress={() =>
              onSave(
                { kind: 'closureChecked', flower: flower.id, result: 'torn' },
                { kind: 'coverOff', flower: flower.id },
              )
            }
          />
          {flower.mark ? (
            <Button
              title="Its label"
              small
              label={`Label for ${flower.mark}`}
              onPress={() => router.navigate({ pathname: '/label', params: { flower: flower.id } })}
            />
          ) : null}
        </FlowerRow>
      ))}
    </Card>
  );
}

/** A flower that fell: the cause is asked, and none is written that nobody said. */
function DroppedKey({
  mother: { flower, growing },
  busy,
  onSave,
}: Omit<Props, 'cross'> & { mother: Mother }) {
  const [asking, setAsking] = useState(false);
  return (
    <>
      <Button
        title="Dropped"
        small
        label={`The flower on ${plantName(growing)} dropped`}
        disabled={busy}
        onPress={() => setAsking(!asking)}
      />
      {asking ? (
        <GoneTiles
          onCause={(cause) =>
            onSave(
              { kind: 'lookedAt', flower: flower.id, result: 'gone', sizeMm: null },
              { kind: 'lost', flower: flower.id, cause },
            )
          }
        />
      ) : null}
    </>
  );
}
