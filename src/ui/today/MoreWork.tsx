import { useMemo } from 'react';
import { View } from 'react-native';
import { useRouter, type Href } from 'expo-router';
import { roundCalendar, toCalendar } from '@core/formats';
import { cornDay, crossDay, kitchenRound, nextRounds } from '@core/rounds';
import { walkOrder } from '@core/patch';
import { clockText } from '@core/time';
import { saveFile } from '@/data/files';
import { useGarden } from '@/data/garden';
import { useWeather } from '@/data/weather';
import { Card, Key } from '../controls';
import { Txt } from '../theme';
import { plural } from '../words';

/** The rounds beside the dawn's: corn, crosses, kitchen; and the round to take along. */
export function MoreWork({ date }: { date: string }) {
  const { state, place, now, prefs } = useGarden();
  const { weatherOf } = useWeather();
  const router = useRouter();
  const rows = useMemo(() => {
    const found: { name: string; what: string; path: Href }[] = [];
    const order = walkOrder(state);
    if (order.some(({ crop, stand }) => crop.family === 'corn' && stand.reason !== 'fruit')) {
      const corn = cornDay(state, place, date);
      const parts = [
        corn.pairs.length > 0 ? plural(corn.pairs.length, 'swap') : null,
        corn.bagsWanted > 0 ? `${plural(corn.bagsWanted, 'tassel')} to bag` : null,
        corn.toBag.length > 0 ? `${plural(corn.toBag.length, 'shoot')} to bag` : null,
        `${plural(corn.toScout.length + corn.toCheck.length, 'look')} to make`,
      ].filter(Boolean);
      found.push({ name: 'Corn', what: parts.join(', '), path: '/corn' });
    }
    if (order.some(({ crop, stand }) => crop.flowers.perfect && stand.reason === 'cross')) {
      const cross = crossDay(state, place, date);
      const next = cross.mothers.find(({ nextAt }) => nextAt !== null)?.nextAt ?? null;
      const parts = [
        cross.toEmasculate.length > 0 ? `${plural(cross.toEmasculate.length, 'mother')} to open` : null,
        next !== null
          ? `next visit ${clockText(Math.max(next, now), place.zone, prefs.clock === '12')}`
          : null,
        cross.bagsOff.length > 0 ? `${plural(cross.bagsOff.length, 'bag')} to take off` : null,
      ].filter(Boolean);
      found.push({ name: 'Crosses', what: parts.join(', ') || 'nothing due', path: '/crosses' });
    }
    const kitchen = kitchenRound(state, place.zone, date);
    if (kitchen.length > 0)
      found.push({
        name: 'Kitchen round',
        what: `${plural(kitchen.length, 'plant')}, ${kitchen.reduce((sum, { today }) => sum + today, 0)} flowers today`,
        path: '/kitchen',
      });
    return found;
  }, [state, place, date, now, prefs.clock]);
  const calendar = () =>
    saveFile(
      'steady-trowel-rounds.ics',
      'text/calendar;charset=utf-8',
      toCalendar(roundCalendar(state, place, now, nextRounds(state, place, now, weatherOf))),
    );
  return (
    <Card style={{ gap: 8 }}>
      {rows.map(({ name, what, path }) => (
        <View key={name} style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
          <View style={{ flex: 1 }}>
            <Txt size="strong">{name}</Txt>
            <Txt size="label" tone="muted">
              {what}
            </Txt>
          </View>
          <Key title="Open" small label={`Open: ${name}`} onPress={() => router.navigate(path)} />
        </View>
      ))}
      <Txt size="strong">Take it along</Txt>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Key title="Round card on paper" small onPress={() => router.navigate('/card')} />
        <Key
          title="Calendar file"
          small
          label="Save rounds and looks as a calendar file"
          onPress={calendar}
        />
      </View>
    </Card>
  );
}
