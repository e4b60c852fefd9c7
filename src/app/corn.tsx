import { useMemo } from 'react';
import { View } from 'react-native';
import { flowersOn, plantName, walkOrder, type Growing } from '@core/patch';
import { bloomDayOf, windowNow } from '@core/bloom';
import { clockText } from '@core/time';
import { cornDay, pourDrafts, type Ear, type EarPair } from '@core/corn';
import { workSteps } from '@core/rounds';
import { stageFacts, cropOf } from '@core/crops';
import type { Draft } from '@core/ledger';
import { useGarden } from '@/data/garden/garden';
import { useNextMark } from '@/data/garden/nextMark';
import { useRecording } from '@/data/garden/useRecording';
import { useWeather } from '@/data/weather/weather';
import { Badge, Card, Button, Notice, Row } from '@/ui/controls';
import { FlowerRow } from '@/ui/FlowerRow';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { Steps } from '@/ui/Steps';
import { Txt } from '@/ui/theme';
import { UndoLine } from '@/ui/UndoLine';
import { WINDS } from '@/ui/weather/words';
import { plural } from '@/ui/words';

/** Corn's day: this morning's swaps, silk under the bags, tassels to bag this afternoon, shoots to scout. */
function Corn() {
  const { state, place, today, now, prefs, newId } = useGarden();
  const nextMark = useNextMark();
  const { busy, problem, save } = useRecording();
  const { weatherOf } = useWeather();
  const wind = weatherOf(today)?.windFromDeg ?? null;
  const corn = useMemo(() => cornDay(state, place, today, wind), [state, place, today, wind]);
  const crop = cropOf('corn');
  const dry = useMemo(
    () => bloomDayOf(state, place, today, weatherOf).window(cropOf('corn')),
    [state, place, today, weatherOf],
  );
  const time = (at: number) => clockText(at, place.zone, prefs.clock === '12');
  const pour = (pair: EarPair) => save(...pourDrafts(pair, nextMark));
  const newShoot = (growing: Growing) => {
    const flower = newId('flower');
    return save(
      {
        kind: 'flowerSeen',
        flower,
        plant: growing.plant.id,
        sex: 'female',
        stage: 'green',
        node: null,
      },
      { kind: 'flowerShut', flower, closure: 'shoot-bag' },
    );
  };
  const seenShedding = (growing: Growing) => {
    // A plant has one tassel: seen again, it is the same.
    const known = flowersOn(state, growing.plant.id).find(({ sex, lost }) => sex === 'male' && !lost);
    return save({
      kind: 'flowerSeen',
      flower: known?.id ?? newId('flower'),
      plant: growing.plant.id,
      sex: 'male',
      stage: 'open',
      node: null,
    });
  };
  const silkUnbagged = (growing: Growing) =>
    save({
      kind: 'flowerSeen',
      flower: newId('flower'),
      plant: growing.plant.id,
      sex: 'female',
      stage: 'open',
      node: null,
    });
  const plants = walkOrder(state)
    .filter(({ crop: { family }, stand }) => family === 'corn' && stand.reason !== 'fruit')
    .sort((a, b) => (a.stand.id === b.stand.id ? 0 : a.stand.id < b.stand.id ? -1 : 1));
  const over = windowNow(dry, now) === 'over';
  const nothing = plants.length === 0;
  return (
    <Page
      title="Corn"
      over={wind === null ? 'no wind known' : `wind from the ${WINDS[Math.round(wind / 45) % 8]}`}
      badge={
        corn.covered > 0 ? <Badge text={`${plural(corn.covered, 'ear')} covered`} tone="leaf" /> : undefined
      }
      side={
        <>
          <Card>
            <Txt size="heading">Every day: shoots</Txt>
            <Txt tone="muted">
              A bag goes on before any silk shows: slide it over, wedge it between ear and stalk, cut the leaf
              below and trim the shoot’s leaf tips. {stageFacts(crop, 'female', 'green')?.looks ?? ''}
            </Txt>
            {corn.toBag.map(({ flower, growing }) => (
              <FlowerRow key={flower.id} flower={flower} growing={growing} note="no bag yet">
                <Button
                  title="Bag on"
                  small
                  label={`Shoot bag on ${plantName(growing)}`}
                  disabled={busy}
                  onPress={() => void save({ kind: 'flowerShut', flower: flower.id, closure: 'shoot-bag' })}
                />
                <SilkKey ear={{ flower, growing }} busy={busy} onSave={save} />
              </FlowerRow>
            ))}
            {plants.map((growing, i) => (
              <View key={growing.plant.id} style={{ gap: 4 }}>
                {plants[i - 1]?.stand.id === growing.stand.id ? null : (
                  <Txt size="strong">{growing.variety.name}</Txt>
                )}
                <Row gap={6}>
                  <Txt style={{ flexBasis: '100%' }}>Plant {growing.plant.label}</Txt>
                  <Button
                    title="New shoot, bagged"
                    small
                    label={`New shoot on ${plantName(growing)}, bag on`}
                    disabled={busy}
                    onPress={() => void newShoot(growing)}
                  />
                  <Button
                    title="Sheds"
                    small
                    label={`The tassel of ${plantName(growing)} sheds`}
                    disabled={busy}
                    onPress={() => void seenShedding(growing)}
                  />
                  <Button
                    title="Silk, no bag"
                    small
                    label={`Silk without a bag on ${plantName(growing)}: spoiled for seed`}
                    disabled={busy}
                    onPress={() => void silkUnbagged(growing)}
                  />
                </Row>
              </View>
            ))}
            {nothing ? <Txt>No corn grown for seed or a cross stands here.</Txt> : null}
          </Card>
          {corn.tooLate.length > 0 ? (
            <Notice
              tone="brick"
              text={`${plural(corn.tooLate.length, 'ear')} had silk out before a bag, or stood open: foreign pollen is there. Good to eat, not for seed.`}
            />
          ) : null}
        </>
      }
    >
      <UndoLine />
      {problem ? <Notice tone="brick" text={problem} /> : null}
      <Card>
        <Txt size="heading">This morning: swaps</Txt>
        {corn.pairs.length > 0 ? (
          <>
            {over ? (
              <Notice
                tone="pollen"
                text="The morning is over: pollen in yesterday’s bags is dead by now. Bag tassels anew this afternoon; what was poured this morning can still be entered."
              />
            ) : (
              <Steps steps={workSteps(crop, 'pouring', 'shoot-bag')} />
            )}
            <Txt size="label" tone="muted">
              From about {time(dry.opens)} to {time(dry.closes)}: when the dew is off and before the breeze.
              Pollen lives minutes in the open.{' '}
              {wind === null ? '' : 'In this order: what is spilt drifts over ears already covered.'}
            </Txt>
            <Txt size="label" tone="muted">
              {crop.caution}
            </Txt>
          </>
        ) : (
          <Txt tone="muted">
            {corn.unpaired > 0
              ? `${plural(corn.unpaired, 'silked ear')} and no tassel bag from yesterday: bag as many tassels this afternoon.`
              : 'No ear with silk under its bag yet.'}
          </Txt>
        )}
        {corn.pairs.map((pair) => (
          <FlowerRow
            key={pair.ear.flower.id}
            flower={pair.ear.flower}
            growing={pair.ear.growing}
            note={`${pair.turn}. from the tassel of ${plantName(pair.tassel.growing)} · silk ${pair.ear.silkDays === 0 ? 'since today' : plural(pair.ear.silkDays, 'day')}`}
          >
            <Button
              title={`Both bags whole, poured, covered, mark ${nextMark}`}
              small
              label={`Both bags whole, poured over ${plantName(pair.ear.growing)} and covered, mark ${nextMark}`}
              disabled={busy}
              onPress={() => void pour(pair)}
            />
            <Button
              title="Bag torn"
              small
              label={`The tassel bag of ${plantName(pair.tassel.growing)} is torn`}
              disabled={busy}
              onPress={() =>
                void save({ kind: 'closureChecked', flower: pair.tassel.flower.id, result: 'torn' })
              }
            />
          </FlowerRow>
        ))}
      </Card>
      {corn.toCheck.length > 0 ? (
        <Card>
          <Txt size="heading">Silk under the bag?</Txt>
          {corn.toCheck.map((ear) => (
            <FlowerRow
              key={ear.flower.id}
              flower={ear.flower}
              growing={ear.growing}
              note="bag on, no silk yet"
            >
              <SilkKey ear={ear} busy={busy} onSave={save} />
            </FlowerRow>
          ))}
        </Card>
      ) : null}
      <Card>
        <Txt size="heading">This afternoon: tassels</Txt>
        <Txt>
          {corn.bagsWanted > 0
            ? `Bag ${plural(corn.bagsWanted, 'tassel')}, as many as ears with silk: take the top leaf off, bag the whole tassel, fold round the stalk at a slant, tight.`
            : corn.silked.length > 0
              ? 'As many tassels are bagged as ears wait for pollen.'
              : 'None while no ear has silk.'}
        </Txt>
        {corn.tasselsToBag.map(({ flower, growing }) => (
          <FlowerRow key={flower.id} flower={flower} growing={growing} note="shedding">
            <Button
              title="Bag on"
              small
              label={`Tassel bag on ${plantName(growing)}`}
              disabled={busy}
              onPress={() => void save({ kind: 'flowerShut', flower: flower.id, closure: 'tassel-bag' })}
            />
          </FlowerRow>
        ))}
        <Txt size="label" tone="muted">
          Corn suffers badly from its own pollen: other plants’ tassels come first. Leaves and staples cut:
          mind eyes and hands.
        </Txt>
      </Card>
    </Page>
  );
}

function SilkKey({
  ear,
  busy,
  onSave,
}: {
  ear: Ear;
  busy: boolean;
  onSave: (...drafts: Draft[]) => Promise<boolean>;
}) {
  return (
    <Button
      title="Silk is out"
      small
      label={`Silk is out on ${plantName(ear.growing)}`}
      disabled={busy}
      onPress={() =>
        void onSave({
          kind: 'flowerSeen',
          flower: ear.flower.id,
          plant: ear.growing.plant.id,
          sex: 'female',
          stage: 'open',
          node: ear.flower.node,
        })
      }
    />
  );
}

export default gated(Corn);
