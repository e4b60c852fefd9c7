import { useMemo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { mdiChevronRight, mdiPencil } from '@/ui/controls/iconPaths';
import { useRouter } from 'expo-router';
import { fateOf, type Fate } from '@core/fruitset';
import {
  compareBeds,
  comparePlants,
  flowersOn,
  growing,
  plantsOfStand,
  shelterOn,
  type Growing,
} from '@core/patch';
import { cropOf, hasRounds } from '@core/crops';
import type { Bed, Stand, State } from '@core/ledger';
import { CareButton } from '@/ui/care/CareButton';
import { useGarden } from '@/data/garden/garden';
import { BESIDE, Row, Badge, Card, Icon, Button } from '@/ui/controls';
import { SprayNotice } from '@/ui/care/SprayNotice';
import { BedSheet } from '@/ui/patch/BedSheet';
import { CoverAdvice } from '@/ui/patch/CoverAdvice';
import { LastSeasonCard } from '@/ui/patch/LastSeasonCard';
import { ShelterSheet } from '@/ui/patch/ShelterSheet';
import { StandEditSheet } from '@/ui/patch/StandEditSheet';
import { StandSheet } from '@/ui/patch/StandSheet';
import { gated } from '@/ui/Gate';
import { LongList } from '@/ui/LongList';
import { Page } from '@/ui/Page';
import { rem } from '@/ui/rem';
import { Txt, useColours, useIsWide } from '@/ui/theme';
import { UndoLine } from '@/ui/UndoLine';
import {
  healthWords,
  insectWords,
  lengthText,
  plural,
  quietWords,
  reasonText,
  shelterWords,
} from '@/ui/words';

/** What grows where: beds, stands, plants, with counts. */
function PatchPage() {
  const router = useRouter();
  const { state, patch, prefs } = useGarden();
  const [editing, setEditing] = useState<Bed | 'new' | null>(null);
  const [planting, setPlanting] = useState<Bed | null>(null);
  const wide = useIsWide();
  const beds = useMemo(() => [...state.beds.values()].sort(compareBeds), [state.beds]);
  const { living, ended } = useMemo(() => growth(state), [state]);
  const [bygone, shown] = useMemo(() => {
    // All that was ever planted there has ended.
    const over = new Set(beds.filter(({ id }) => ended.has(id) && !living.has(id)));
    return [[...over], beds.filter((bed) => !over.has(bed))];
  }, [beds, living, ended]);
  const standing = [...living.values()].reduce((sum, count) => sum + count, 0);
  const [all, setAll] = useState(false);
  const cards = (all ? [...shown, ...bygone] : shown).map((bed) => (
    <BedCard key={bed.id} bed={bed} onEdit={() => setEditing(bed)} onPlant={() => setPlanting(bed)} />
  ));
  const half = wide && cards.length > 1 ? Math.ceil(cards.length / 2) : cards.length;
  return (
    <Page
      title={patch?.name ?? 'Patch'}
      over={`${plural(beds.length, 'bed')}, ${plural(standing, 'plant')}`}
      side={cards.length > half ? cards.slice(half) : undefined}
      corner={
        <View style={{ alignItems: 'flex-end' }}>
          <Button title="Plan" look="quiet" small onPress={() => router.navigate('/plan')} />
          <Button title="Who could cross" look="quiet" small onPress={() => router.navigate('/crossing')} />
        </View>
      }
      foot={<Button title="Add a bed" onPress={() => setEditing('new')} />}
    >
      <UndoLine />
      <LastSeasonCard />
      {beds.length === 0 ? <Txt>No bed yet. Add one, then what grows in it.</Txt> : null}
      {cards.slice(0, half)}
      {bygone.length > 0 ? (
        <Button
          title={
            all
              ? 'Hide the beds of earlier seasons'
              : `Show ${plural(bygone.length, 'bed')} of earlier seasons`
          }
          small
          onPress={() => setAll(!all)}
        />
      ) : null}
      {editing ? (
        <BedSheet
          bed={editing === 'new' ? null : editing}
          beds={beds}
          units={prefs.units}
          onClose={() => setEditing(null)}
        />
      ) : null}
      {planting ? <StandSheet bed={planting} onClose={() => setPlanting(null)} /> : null}
    </Page>
  );
}

/** How many plants of each bed live, and how many have ended. */
function growth({ plants, stands }: State) {
  const living = new Map<string, number>();
  const ended = new Map<string, number>();
  plants.forEach((plant) => {
    const bed = stands.get(plant.stand)?.bed;
    const counts = plant.ended ? ended : living;
    if (bed !== undefined) counts.set(bed, (counts.get(bed) ?? 0) + 1);
  });
  return { living, ended };
}

function BedCard({ bed, onEdit, onPlant }: { bed: Bed; onEdit: () => void; onPlant: () => void }) {
  const { state, prefs } = useGarden();
  const { today } = useGarden();
  const [covering, setCovering] = useState(false);
  const stands = [...state.stands.values()].filter((stand) => stand.bed === bed.id);
  const shelter = shelterOn(bed, today);
  const length = (metres: number) => lengthText(metres, prefs.units);
  return (
    <Card>
      <Row gap={0}>
        <View style={BESIDE}>
          <Txt size="heading">{bed.name}</Txt>
          <Txt size="label" tone="muted">
            {length(bed.lengthM)} by {length(bed.widthM)} ·{' '}
            {shelter?.shelter
              ? `${shelterWords[shelter.shelter]}, ${insectWords[shelter.insects]}`
              : 'open air'}
          </Txt>
        </View>
        <Button
          title="Cover"
          look="quiet"
          small
          label={`What stands over ${bed.name}`}
          onPress={() => setCovering(true)}
        />
        <Button
          title="Edit"
          look="quiet"
          small
          label={`Edit ${bed.name}`}
          icon={<Icon path={mdiPencil} size={20} />}
          onPress={onEdit}
        />
      </Row>
      {stands.map((stand) => (
        <StandRows key={stand.id} stand={stand} />
      ))}
      {covering ? <ShelterSheet bed={bed} onClose={() => setCovering(false)} /> : null}
      <Button title={`Add plants to ${bed.name}`} small onPress={onPlant} />
    </Card>
  );
}

function StandRows({ stand }: { stand: Stand }) {
  const { state } = useGarden();
  const [editing, setEditing] = useState(false);
  const variety = state.varieties.get(stand.variety);
  const [ended, setEnded] = useState(false);
  const plants = [...plantsOfStand(state, stand.id)]
    .sort(comparePlants)
    .flatMap((plant) => growing(state, plant.id) ?? []);
  if (!variety) return null;
  const living = plants.filter(({ plant }) => !plant.ended);
  const gone = plants.length - living.length;
  const count = plural(living.length, 'plant');
  return (
    <View>
      <Row gap={0}>
        <View style={BESIDE}>
          <Txt size="strong">{variety.name}</Txt>
          <Txt size="label" tone="muted">
            {cropOf(variety.crop).name} · for {reasonText(cropOf(variety.crop), stand.reason)} · {count}
          </Txt>
        </View>
        <CareButton stand={stand} name={variety.name} />
        <Button
          title="Edit"
          look="quiet"
          small
          label={`Edit ${variety.name}`}
          onPress={() => setEditing(true)}
        />
      </Row>
      <SprayNotice stand={stand} />
      {editing ? <StandEditSheet stand={stand} variety={variety} onClose={() => setEditing(false)} /> : null}
      {hasRounds(cropOf(variety.crop)) ? null : (
        <Txt size="label" tone="muted">
          {quietWords(cropOf(variety.crop))}
        </Txt>
      )}
      {living[0] && hasRounds(living[0].crop) ? <CoverAdvice growing={living[0]} /> : null}
      <LongList
        items={ended ? plants : living}
        keyOf={({ plant }) => plant.id}
        row={(each) => <PlantRow growing={each} />}
        about={49}
      />
      {gone > 0 ? (
        <Button
          title={ended ? 'Hide those that ended' : `Show ${gone} that ended`}
          label={`${ended ? 'Hide those that ended' : `Show ${gone} that ended`}: ${variety.name}`}
          look="quiet"
          small
          onPress={() => setEnded(!ended)}
        />
      ) : null}
    </View>
  );
}

function PlantRow({ growing: { plant, crop, variety } }: { growing: Growing }) {
  const { state, place, today } = useGarden();
  const router = useRouter();
  const colours = useColours();
  const flowers = flowersOn(state, plant.id);
  const count = (wanted: Fate) =>
    flowers.filter((flower) => fateOf(flower, crop, place.zone, today) === wanted).length;
  const waiting = count('waiting');
  const counted = plant.tallies.reduce((sum, tally) => sum + tally.flowers, 0);
  const set = count('set');
  const words = [
    set > 0 || (counted === 0 && hasRounds(crop)) ? `${set} set` : null,
    waiting > 0 ? `${waiting} waiting` : null,
    count('not-looked-at') > 0 ? `${count('not-looked-at')} not looked at` : null,
    count('dropped') > 0 ? `${count('dropped')} dropped` : null,
    counted > 0 ? `${plural(counted, 'flower')} counted` : null,
  ]
    .filter(Boolean)
    .join(', ');
  return (
    <Pressable
      role="link"
      aria-label={`${variety.name} ${plant.label}: ${plant.ended ? plant.ended.how : words}`}
      onPress={() => router.navigate({ pathname: '/plant/[id]', params: { id: plant.id } })}
      style={{
        flexDirection: 'row',
        flexWrap: 'wrap',
        alignItems: 'center',
        gap: 8,
        minHeight: 48,
        borderTopWidth: 1,
        borderTopColor: colours.rule,
      }}
    >
      <Txt size="strong" style={{ minWidth: 36 }}>
        {plant.label}
      </Txt>
      <Txt style={[BESIDE, { minWidth: rem(64) }]} tone={plant.ended ? 'muted' : 'ink'}>
        {plant.ended ? plant.ended.how : flowers.length + counted === 0 ? 'no flower yet' : words}
      </Txt>
      {plant.health && plant.health !== 'healthy' && !plant.ended ? (
        <Badge text={healthWords[plant.health]} tone="brick" />
      ) : null}
      <Icon path={mdiChevronRight} tone="muted" />
    </Pressable>
  );
}

export default gated(PatchPage);
