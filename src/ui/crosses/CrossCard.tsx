import { useState } from 'react';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { hasCone, VISITS_A_DAY } from '@core/crops';
import { visitDrafts, type Mother } from '@core/crosses';
import { plantName } from '@core/patch';
import { workSteps } from '@core/rounds';
import { clockText, shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useNextMark } from '@/data/garden/nextMark';
import { Button, Card, Notice, Tile, Tiles } from '../controls';
import { FlowerRow } from '../FlowerRow';
import { HoldTimer } from '../round/HoldTimer';
import { Steps } from '../Steps';
import { Txt } from '../theme';
import { faultlessWords, plural } from '../words';
import { Afterwards } from './Afterwards';
import { bagOf, type CrossProps as Props } from './crossProps';
import { FormsKey } from './MotherKeys';
import { Opening } from './Opening';

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
