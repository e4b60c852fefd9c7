import { useMemo, useState } from 'react';
import { useRouter } from 'expo-router';
import { closuresFor, hasCone, VISITS_A_DAY, type Crop } from '@core/crops';
import type { Flower } from '@core/ledger';
import { plantName, walkOrder, type Growing } from '@core/patch';
import { crossDay, visitDrafts, type Mother } from '@core/crosses';
import { workSteps } from '@core/rounds';
import { clockText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useNextMark } from '@/data/garden/nextMark';
import { useRecording } from '@/data/garden/useRecording';
import { Card, Button, Notice, Tile, Tiles } from '@/ui/controls';
import { FlowerRow } from '@/ui/FlowerRow';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { HoldTimer } from '@/ui/round/HoldTimer';
import { Steps } from '@/ui/Steps';
import { Txt } from '@/ui/theme';
import { UndoLine } from '@/ui/UndoLine';
import { plural } from '@/ui/words';

/** Crosses of perfect flowers: fathers bagged, mothers opened, pollen on three or four times a day, bags off. */
function Crosses() {
  const { state, place, today, now, prefs, newId } = useGarden();
  const nextMark = useNextMark();
  const { busy, problem, save } = useRecording();
  const router = useRouter();
  const [coneWanted, setCone] = useState(false);
  const coneOf = (each: Crop) => coneWanted && hasCone(each);
  const day = useMemo(() => crossDay(state, place, today), [state, place, today]);
  const stands = walkOrder(state).filter(
    ({ crop, stand }) => crop.flowers.perfect && stand.reason === 'cross',
  );
  const fathers = new Set(stands.flatMap(({ stand }) => stand.goal?.fatherVariety ?? []));
  const fatherPlants = walkOrder(state).filter(({ variety }) => fathers.has(variety.id));
  const time = (at: number) => clockText(at, place.zone, prefs.clock === '12');
  const bagOf = ({ crop }: Growing) => closuresFor(crop, 'perfect')[0] ?? 'mesh-bag';
  const bud = (growing: Growing, bag: boolean) => {
    const flower = newId('flower');
    return save(
      { kind: 'flowerSeen', flower, plant: growing.plant.id, sex: 'perfect', stage: 'coloured', node: null },
      ...(bag ? [{ kind: 'flowerShut' as const, flower, closure: bagOf(growing) }] : []),
    );
  };
  const open = (flower: Flower, growing: Growing) =>
    save(
      { kind: 'emasculated', flower: flower.id },
      ...(flower.shuttings.length === 0
        ? [{ kind: 'flowerShut' as const, flower: flower.id, closure: bagOf(growing) }]
        : []),
    );
  const pollinate = (mother: Mother) => {
    const { growing, visits } = mother;
    const wanted = growing.stand.goal?.fatherVariety;
    const father = day.fathersReady.find((each) => each.growing.variety.id === wanted);
    if (!father) return Promise.resolve(false);
    const tool = coneOf(growing.crop) ? 'anthers' : 'brush';
    return save(...visitDrafts(mother, father, tool, bagOf(growing), visits === 0 ? nextMark : null));
  };
  // The key names all that it records.
  const visitTitle = ({ visits, growing }: Mother) =>
    `${coneOf(growing.crop) ? 'Cone over' : 'Dabbed'}, bagged${visits === 0 ? `, mark ${nextMark}` : ''}`;
  const crop = stands[0]?.crop;
  const cone = crop !== undefined && coneOf(crop);
  return (
    <Page
      title="Crosses"
      over="Perfect flowers: both in one"
      side={
        <Card>
          <Txt size="heading">Fathers</Txt>
          <Txt tone="muted">
            {day.fatherBagsWanted > 0
              ? `Bag ${plural(day.fatherBagsWanted, 'father bud')} today, shut and about to open: their pollen serves tomorrow.`
              : `${plural(day.fathersReady.length, 'bagged father flower')} to take pollen from.`}
          </Txt>
          {day.fathersToBag.map(({ flower, growing }) => (
            <FlowerRow key={flower.id} flower={flower} growing={growing} note="about to open">
              <Button
                title="Bag on"
                small
                label={`Bag a father bud of ${plantName(growing)}`}
                disabled={busy}
                onPress={() => void save({ kind: 'flowerShut', flower: flower.id, closure: bagOf(growing) })}
              />
            </FlowerRow>
          ))}
          {day.fathersReady.map(({ flower, growing }) => (
            <FlowerRow key={flower.id} flower={flower} growing={growing} note="bagged, open: ready" />
          ))}
          {fatherPlants.map((growing) => (
            <Button
              key={growing.plant.id}
              title={`Bag a bud on ${plantName(growing)}`}
              small
              disabled={busy}
              onPress={() => void bud(growing, true)}
            />
          ))}
        </Card>
      }
    >
      <UndoLine />
      {problem ? <Notice tone="brick" text={problem} /> : null}
      {stands.length === 0 ? (
        <Txt>
          No stand of tomato, pepper, aubergine, potato or strawberry is grown for a cross. The reason is set
          on the Patch.
        </Txt>
      ) : null}
      {day.withoutFather.map((growing) => (
        <Notice
          key={growing.stand.id}
          tone="pollen"
          text={`${growing.variety.name}: whose pollen? Choose the father’s variety in its goal.`}
        >
          <Button
            title="Choose the father"
            small
            label={`Choose the father of ${growing.variety.name}`}
            onPress={() => router.navigate({ pathname: '/goals', params: { stand: growing.stand.id } })}
          />
        </Notice>
      ))}
      {day.mothers.length > 0 && crop ? (
        <Card>
          <Txt size="heading">Pollen on</Txt>
          {hasCone(crop) ? (
            <Tiles question="How">
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
          {day.fathersReady.length === 0 ? (
            <Notice
              tone="pollen"
              text="No bagged father flower is open today: bag some now for tomorrow. A laid-bare stigma waits about two days."
            />
          ) : null}
          {day.mothers.map((mother) => (
            <FlowerRow
              key={mother.flower.id}
              flower={mother.flower}
              growing={mother.growing}
              note={`${plural(mother.visits, 'visit')}${mother.nextAt === null ? ', enough' : mother.nextAt <= now ? ', due now' : `, next ${time(mother.nextAt)}`}`}
            >
              {mother.nextAt === null ? null : (
                <Button
                  title={visitTitle(mother)}
                  small
                  label={`${visitTitle(mother)}: pollen on ${plantName(mother.growing)}, visit ${mother.visits + 1}`}
                  disabled={busy || day.fathersReady.length === 0}
                  onPress={() => void pollinate(mother)}
                />
              )}
              {mother.visits > 0 ? (
                <Button
                  title="Fruit forms"
                  small
                  label={`A fruit forms on ${plantName(mother.growing)}`}
                  disabled={busy}
                  onPress={() =>
                    void save({ kind: 'lookedAt', flower: mother.flower.id, result: 'growing', sizeMm: null })
                  }
                />
              ) : null}
            </FlowerRow>
          ))}
        </Card>
      ) : null}
      {stands.length > 0 ? (
        <Card>
          <Txt size="heading">Mothers to open</Txt>
          <Txt tone="muted">
            Petals pale, just parting, still shut: take the petals and the whole ring of anthers out without
            touching the stigma, then the bag. Green is too early; open is too late. Fine tweezers, wiped with
            spirit between flowers: keep points from eyes, spirit from flames.
          </Txt>
          {day.toEmasculate.map(({ flower, growing }) => (
            <FlowerRow key={flower.id} flower={flower} growing={growing} note="right stage">
              <Button
                title="Anthers out, bagged"
                small
                label={`Anthers out of a bud on ${plantName(growing)}`}
                disabled={busy}
                onPress={() => void open(flower, growing)}
              />
              <Button
                title="Spoilt"
                small
                label={`A bud on ${plantName(growing)} was spoilt`}
                disabled={busy}
                onPress={() => void save({ kind: 'lost', flower: flower.id, cause: 'knocked-off' })}
              />
            </FlowerRow>
          ))}
          {stands.map((growing) => (
            <Button
              key={growing.plant.id}
              title={`Bud ready on ${plantName(growing)}`}
              label={`A bud at the right stage on ${plantName(growing)}`}
              small
              disabled={busy}
              onPress={() => void bud(growing, false)}
            />
          ))}
        </Card>
      ) : null}
      {day.bagsOff.length > 0 ? (
        <Card>
          <Txt size="heading">Bags off</Txt>
          {day.bagsOff.map(({ flower, growing }) => (
            <FlowerRow
              key={flower.id}
              flower={flower}
              growing={growing}
              note={flower.mark ? `mark ${flower.mark}` : 'fruit forms'}
            >
              <Button
                title="Bag off"
                small
                label={`Bag off ${plantName(growing)}`}
                disabled={busy}
                onPress={() => void save({ kind: 'coverOff', flower: flower.id })}
              />
            </FlowerRow>
          ))}
        </Card>
      ) : null}
      {crop ? (
        <Txt size="label" tone="muted">
          {crop.caution}
        </Txt>
      ) : null}
    </Page>
  );
}

export default gated(Crosses);
