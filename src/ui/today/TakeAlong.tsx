import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { nextRounds } from '@core/rounds';
import { later } from '@/data/device/later';
import { useGarden } from '@/data/garden/garden';
import { useWeather } from '@/data/weather/weather';
import { Card, Button } from '../controls';
import { Txt } from '../theme';

/** The rounds on paper and in the grower's calendar. */
export function TakeAlong() {
  const { state, store, place, now } = useGarden();
  const { weatherOf } = useWeather();
  const router = useRouter();
  const calendar = async () => {
    const [{ saveRounds }] = await Promise.all([later.fetch(), store.rest()]);
    await saveRounds(state, place, now, nextRounds(state, place, now, weatherOf));
  };
  return (
    <Card style={{ gap: 8 }}>
      <Txt size="heading">Take it along</Txt>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button title="Round card on paper" small onPress={() => router.navigate('/card')} />
        <Button
          title="Calendar file"
          small
          label="Save rounds and looks as a calendar file"
          onPress={() => void calendar()}
        />
      </View>
      <Txt size="label" tone="muted">
        Importing it again updates the same entries.
      </Txt>
    </Card>
  );
}
