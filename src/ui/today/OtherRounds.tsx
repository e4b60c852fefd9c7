import { useMemo } from 'react';
import { View } from 'react-native';
import { useRouter, type Href } from 'expo-router';
import { windowNow, type BloomDay } from '@core/bloom';
import { cropOf } from '@core/crops';
import type { Place, State } from '@core/ledger';
import { walkOrder } from '@core/patch';
import { cornDay, cornScouting } from '@core/corn';
import { mayFlower } from '@core/kitchen';
import { crossDay, selfingDay, type CrossStand, type SelfingPlant } from '@core/crosses';
import { clockText, type LocalDate } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { Badge, Card, Button } from '../controls';
import { BESIDE, Txt } from '../theme';
import { plural } from '../words';

interface Other {
  readonly name: string;
  readonly what: string;
  readonly path: Href;
  /** When it is due, epoch ms; `null` = any time. */
  readonly from: number | null;
}

/** The rounds beside the vines': corn and crosses; each with what it asks for today and from when. `lead`: there is no other today. */
export function OtherRounds({ morning, lead = false }: { morning: BloomDay; lead?: boolean }) {
  const { state, place, now, prefs, today } = useGarden();
  const router = useRouter();
  const rows = useMemo(
    () =>
      [
        scoutRow(state, place, today),
        cornRow(state, place, today, morning, now),
        crossRow(state, place, today),
        selfingRow(state, place, today),
      ].filter((row) => row !== null),
    [state, place, today, morning, now],
  );
  if (rows.length === 0) return null;
  const first = lead ? (rows.find(({ from }) => from !== null && from <= now) ?? rows[0]) : undefined;
  return (
    <Card style={{ gap: 8 }}>
      {first ? (
        <>
          <Txt size="heading">{first.name}</Txt>
          <Txt tone="muted">{first.what}</Txt>
          <Button
            title="Start"
            look="main"
            label={`Open: ${first.name}`}
            onPress={() => router.navigate(first.path)}
          />
        </>
      ) : null}
      {rows
        .filter((row) => row !== first)
        .map(({ name, what, path, from }) => (
          <View key={name} style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 }}>
            <View style={BESIDE}>
              <Txt size="strong">{name}</Txt>
              <Txt size="label" tone="muted">
                {what}
              </Txt>
            </View>
            {from === null ? null : (
              <Badge
                text={from <= now ? 'due now' : `from ${clockText(from, place.zone, prefs.clock === '12')}`}
                tone="pollen"
              />
            )}
            <Button title="Open" small label={`Open: ${name}`} onPress={() => router.navigate(path)} />
          </View>
        ))}
    </Card>
  );
}

function cornRow(state: State, place: Place, today: LocalDate, morning: BloomDay, now: number): Other | null {
  if (!walkOrder(state).some(({ crop, stand }) => crop.family === 'corn' && stand.reason !== 'fruit'))
    return null;
  const corn = cornDay(state, place, today);
  const window = morning.window(cropOf('corn'));
  const pour = corn.pairs.length > 0 && windowNow(window, now) !== 'over';
  const parts = [
    pour ? `${plural(corn.pairs.length, 'swap')} when the dew is off` : null,
    corn.bagsWanted > 0 ? `${plural(corn.bagsWanted, 'tassel')} to bag` : null,
    corn.toBag.length > 0 ? `${plural(corn.toBag.length, 'shoot')} to bag` : null,
    corn.toCheck.length > 0 ? `${plural(corn.toCheck.length, 'bag')} to peep under` : null,
  ].filter(Boolean);
  const from = pour ? window.opens : null;
  return { name: 'Corn', what: parts.join(', ') || 'no silk yet', path: '/corn', from };
}

function crossRow(state: State, place: Place, today: LocalDate): Other | null {
  if (!walkOrder(state).some(({ crop, stand }) => crop.flowers.perfect && stand.reason === 'cross'))
    return null;
  const crosses = crossDay(state, place, today);
  const due = crosses.flatMap(({ mothers }) => mothers.flatMap(({ nextAt }) => nextAt ?? []));
  const from = due.length === 0 ? null : Math.min(...due);
  const sum = (of: (cross: CrossStand) => number) => crosses.reduce((all, cross) => all + of(cross), 0);
  const toOpen = sum(({ toEmasculate }) => toEmasculate.length);
  const bags = sum(({ bagsOff, lost }) => bagsOff.length + lost.length);
  const fathers = sum(({ father }) => father?.wanted ?? 0);
  const parts = [
    crosses.some(({ father }) => father === null) ? 'a father to choose' : null,
    toOpen > 0 ? `${plural(toOpen, 'mother')} to open` : null,
    due.length > 0 ? `pollen on ${plural(due.length, 'flower')}` : null,
    fathers > 0 ? `${plural(fathers, 'father bud')} to bag` : null,
    bags > 0 ? `${plural(bags, 'bag')} to take off` : null,
  ].filter(Boolean);
  return { name: 'Crosses', what: parts.join(', ') || 'look for buds about to open', path: '/crosses', from };
}

function selfingRow(state: State, place: Place, today: LocalDate): Other | null {
  const plants = selfingDay(state, place, today).filter(({ growing }) =>
    mayFlower(state, place, growing, today),
  );
  if (plants.length === 0) return null;
  const count = (of: (plant: SelfingPlant) => number) => plants.reduce((sum, plant) => sum + of(plant), 0);
  const strip = count(({ toStrip }) => Number(toStrip));
  const bag = count(({ toBag }) => toBag.length);
  const shake = count(({ toShake }) => toShake.filter(({ shakenToday }) => !shakenToday).length);
  const mark = count(({ toMark }) => toMark.length);
  const parts = [
    strip > 0 ? `${plural(strip, 'plant')} to strip` : null,
    bag > 0 ? `${plural(bag, 'bag')} to put on` : null,
    shake > 0 ? `${plural(shake, 'bag')} to shake` : null,
    mark > 0 ? `${plural(mark, 'fruit')} to mark` : null,
  ].filter(Boolean);
  return {
    name: 'Pure seed under bags',
    what: parts.join(', ') || 'look for buds about to open',
    path: '/trusses',
    from: null,
  };
}

function scoutRow(state: State, place: Place, today: LocalDate): Other | null {
  const plants = cornScouting(state, place, today).filter(({ growing }) =>
    mayFlower(state, place, growing, today),
  );
  const left = plants.filter(({ done }) => !done).length;
  if (left === 0) return null;
  return {
    name: 'Daily look at the corn',
    what: `${plural(left, 'plant')}: shoots to bag, silk, tassels that shed`,
    path: '/scout',
    from: null,
  };
}
