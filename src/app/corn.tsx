import { useMemo } from 'react';
import { useRouter } from 'expo-router';
import { bloomDayOf } from '@core/bloom';
import { cornDay, cornScouting } from '@core/corn';
import { cropOf } from '@core/crops';
import type { Draft } from '@core/ledger';
import { plantName } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { useWeather } from '@/data/weather/weather';
import { Badge, Button, Card, Notice } from '@/ui/controls';
import { ChainCard } from '@/ui/corn/ChainCard';
import { SwapsCard } from '@/ui/corn/SwapsCard';
import { TasselsCard } from '@/ui/corn/TasselsCard';
import { FlowerRow } from '@/ui/FlowerRow';
import { gated } from '@/ui/Gate';
import { FEW_CARDS, LongList } from '@/ui/LongList';
import { Page } from '@/ui/Page';
import { Txt } from '@/ui/theme';
import { ToToday } from '@/ui/ToToday';
import { UndoLine } from '@/ui/UndoLine';
import { WINDS } from '@/ui/weather/words';
import { plural } from '@/ui/words';

/** Corn's day: this morning's swaps, silk under the bags, tassels to bag this afternoon; the daily look has a list of its own. */
function Corn() {
  const { state, place, today } = useGarden();
  const { busy, problem, save } = useRecording();
  const { weatherOf } = useWeather();
  const wind = weatherOf(today)?.windFromDeg ?? null;
  const corn = useMemo(() => cornDay(state, place, today, wind), [state, place, today, wind]);
  const dry = useMemo(
    () => bloomDayOf(state, place, today, weatherOf).window(cropOf('corn')),
    [state, place, today, weatherOf],
  );
  const onSave = (...drafts: Draft[]) => void save(...drafts);
  return (
    <Page
      title="Corn"
      corner={<ToToday />}
      over={wind === null ? 'no wind known' : `wind from the ${WINDS[Math.round(wind / 45) % 8]}`}
      badge={
        corn.covered > 0 ? <Badge text={`${plural(corn.covered, 'ear')} covered`} tone="leaf" /> : undefined
      }
      side={
        <>
          <DailyLook />
          {corn.tooLate.length > 0 ? (
            <Notice
              tone="brick"
              text={`${plural(corn.tooLate.length, 'ear')} had silk out before a bag, or stood open: foreign pollen is there. Good to eat, not for seed.`}
            />
          ) : null}
          <ChainCard />
        </>
      }
    >
      <UndoLine />
      {problem ? <Notice tone="brick" text={problem} /> : null}
      <SwapsCard corn={corn} dry={dry} wind={wind} busy={busy} onSave={onSave} />
      {corn.toCheck.length > 0 ? (
        <Card>
          <Txt size="heading">Silk under the bag?</Txt>
          <Txt size="label" tone="muted">
            Hold the light behind a translucent bag and look through it: one that is lifted lets pollen in.
          </Txt>
          <LongList
            items={corn.toCheck}
            keyOf={({ flower }) => flower.id}
            about={70}
            short={FEW_CARDS}
            gap={10}
            row={({ flower, growing }) => (
              <FlowerRow flower={flower} growing={growing} note="bag on, no silk yet">
                <Button
                  title="Silk is out"
                  small
                  label={`Silk is out on ${plantName(growing)}`}
                  disabled={busy}
                  onPress={() =>
                    onSave({
                      kind: 'flowerSeen',
                      flower: flower.id,
                      plant: growing.plant.id,
                      sex: 'female',
                      stage: 'open',
                      node: flower.node,
                    })
                  }
                />
              </FlowerRow>
            )}
          />
        </Card>
      ) : null}
      <TasselsCard corn={corn} busy={busy} onSave={onSave} />
    </Page>
  );
}

/** The way to the daily look, and how much of it is left. */
function DailyLook() {
  const { state, place, today } = useGarden();
  const router = useRouter();
  const plants = useMemo(() => cornScouting(state, place, today), [state, place, today]);
  const left = plants.filter(({ done }) => !done).length;
  const bare = plants.reduce(
    (sum, { ears }) => sum + ears.filter(({ stands }) => stands === 'bare').length,
    0,
  );
  if (plants.length === 0) return <Txt>No corn grown for seed or a cross stands here.</Txt>;
  return (
    <Card>
      <Txt size="heading">The daily look</Txt>
      <Txt tone="muted">
        {left === 0
          ? 'Every plant was looked at today.'
          : `${plural(left, 'plant')} still to look at: new shoots, silk, tassels that shed.`}
        {bare > 0 ? ` ${plural(bare, 'shoot')} without a bag.` : ''}
      </Txt>
      <Button
        title={left === 0 ? 'See the rows' : 'Go along the rows'}
        look={left > 0 || bare > 0 ? 'main' : 'plain'}
        onPress={() => router.navigate('/scout')}
      />
    </Card>
  );
}

export default gated(Corn);
