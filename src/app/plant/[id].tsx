import { useMemo, useState } from 'react';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { hasRounds, malesToAFemale } from '@core/crops';
import { growing, plantName, flowersOn, sexCount, type Growing } from '@core/patch';
import { allTrials, fateOf, countSet, type Trial } from '@core/fruitset';
import { useGarden } from '@/data/garden/garden';
import { useOutlook } from '@/data/foresight/outlook';
import { SetChart, setRow } from '@/ui/charts/SetChart';
import { Badge, Card, Button, Notice } from '@/ui/controls';
import { Runner } from '@/ui/drawings/Runner';
import { FlowerCard } from '@/ui/patch/FlowerCard';
import { ComingBuds } from '@/ui/patch/ComingBuds';
import { PlantEdit } from '@/ui/patch/PlantEdit';
import { gated } from '@/ui/Gate';
import { CountedHere } from '@/ui/fruit/CountedHere';
import { SetStats } from '@/ui/fruit/SetStats';
import { NotHere } from '@/ui/NotHere';
import { Page } from '@/ui/Page';
import { PlantSeed } from '@/ui/seed/PlantSeed';
import { Txt, useIsWide } from '@/ui/theme';
import { UndoLine } from '@/ui/UndoLine';
import { healthWords, plural, quietWords } from '@/ui/words';

/** One plant: its runner, its fruit, its history. */
function PlantPage() {
  const { id, flower: wanted } = useLocalSearchParams<{ id: string; flower?: string }>();
  const { state, place, today } = useGarden();
  const router = useRouter();
  const outlook = useOutlook();
  const wide = useIsWide();
  const [chosen, setChosen] = useState<string | null>(wanted ?? null);
  const found = growing(state, id);
  const flowers = useMemo(() => flowersOn(state, id), [state, id]);
  const trials = useMemo(() => allTrials(state, place.zone), [state, place.zone]);
  if (!found) {
    return <NotHere title="No such plant" back="Patch" onBack={() => router.replace('/patch')} />;
  }
  const { plant, variety, crop, bed } = found;
  const countOf = (wanted: (trial: Trial) => boolean) => countSet(trials.filter(wanted), today);
  const own = countOf((trial) => trial.plant === plant.id);
  const rows = [
    setRow('this plant', own),
    setRow(
      variety.name,
      countOf((trial) => trial.variety === variety.id),
    ),
    setRow(
      `all ${crop.plural}`,
      countOf((trial) => trial.crop === crop.id),
    ),
  ];
  // A season's males would crowd the runner: those used or over stay in the records, the rest is drawn.
  const drawn = flowers.filter(
    (flower) => flower.sex !== 'male' || isFresh(flower.sightings[flower.sightings.length - 1]?.at, flowers),
  );
  const fruit = flowers.filter((flower) => fateOf(flower, crop, place.zone, today) === 'set').length;
  const flower = chosen ? state.flowers.get(chosen) : undefined;
  const story = flower ? (
    <FlowerCard
      onProof={() => router.navigate({ pathname: '/proof/[id]', params: { id: flower.id } })}
      flower={flower}
      growing={found}
    />
  ) : null;
  return (
    <Page
      title={plantName(found)}
      over={`${bed.name} · ${crop.botanical}`}
      badge={
        plant.ended ? (
          <Badge text={plant.ended.how} tone="brick" />
        ) : plant.health ? (
          <Badge text={healthWords[plant.health]} tone={plant.health === 'healthy' ? 'leaf' : 'brick'} />
        ) : undefined
      }
      corner={
        <Button
          title="Back"
          look="quiet"
          small
          onPress={() => (router.canGoBack() ? router.back() : router.replace('/patch'))}
        />
      }
      side={
        <>
          {wide ? story : null}
          {plant.ended || !hasRounds(crop) ? null : <ComingBuds growing={found} outlook={outlook} />}
          <PlantEdit growing={found} />
          {found.stand.reason === 'fruit' && state.lots.size === 0 ? null : (
            <PlantSeed
              growing={found}
              onTree={() => router.navigate({ pathname: '/lineage/[id]', params: { id: plant.id } })}
            />
          )}
        </>
      }
    >
      {hasRounds(crop) ? null : <Notice tone="leaf" text={quietWords(crop)} />}
      {drawn.length > 0 || (hasRounds(crop) && plant.tallies.length === 0) ? (
        <Card style={{ padding: 4 }}>
          <Runner
            flowers={drawn}
            crop={crop}
            shape={variety.shape}
            zone={place.zone}
            chosen={chosen}
            onChoose={(each) => setChosen(each.id === chosen ? null : each.id)}
            summary={`${plantName(found)}: ${plural(drawn.length, 'flower')} from root to tip, ${fruit} set`}
          />
        </Card>
      ) : null}
      <Txt size="label" tone="muted">
        {!hasRounds(crop)
          ? ''
          : drawn.length === 0
            ? plant.tallies.length > 0
              ? 'No flower noted by itself: those counted together stand below.'
              : 'Nothing recorded on this plant yet.'
            : 'Females stand up, males hang down. Tap a node to see its story.'}
      </Txt>
      {wide ? null : story}
      <SexLine growing={found} />
      <CountedHere growing={found} />
      <UndoLine />
      {hasRounds(crop) ? (
        <Card>
          <Txt size="heading">Set and drop</Txt>
          <SetStats count={own} />
          <SetChart rows={rows} />
        </Card>
      ) : null}
    </Page>
  );
}

/** Females and males so far, beside what is usual. */
function SexLine({ growing: found }: { growing: Growing }) {
  const { state } = useGarden();
  const usual = malesToAFemale(found.crop, found.variety.system)?.value;
  const { females, males } = sexCount(state, found);
  if (!usual || females + males === 0) return null;
  return (
    <Txt size="label" tone="muted">
      {`So far ${plural(females, 'female')} and ${plural(males, 'male')} written down. ${usual[0]} to ${usual[1]} males for one female are usual; males come first.`}
    </Txt>
  );
}

const FRESH_MS = 3 * 86_400_000;

/** Seen within three days of the plant's latest sighting. */
function isFresh(
  at: string | undefined,
  flowers: readonly { sightings: readonly { at: string }[] }[],
): boolean {
  const latest = flowers.reduce(
    (most, { sightings }) => Math.max(most, Date.parse(sightings[sightings.length - 1]?.at ?? '') || 0),
    0,
  );
  return at !== undefined && latest - Date.parse(at) < FRESH_MS;
}

export default gated(PlantPage);
