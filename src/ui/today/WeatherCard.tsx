import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { weatheredCrops, weatherWarnings, type BloomDay } from '@core/bloom';
import { isKnownWeather, type WeatherDay } from '@core/sky';
import { shelterOn, walkOrder } from '@core/patch';
import { addDays } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useWeather } from '@/data/weather/weather';
import { BESIDE, Row, Card, Button, Notice } from '../controls';
import { Txt } from '../theme';
import { degrees, rainText, sourceText } from '../weather/words';
import type { Units } from '@/data/device/prefs';

/** The weather of the day that matters, where it comes from, and what it asks for. */
export function WeatherCard({ bloomDay }: { bloomDay: BloomDay }) {
  const { state, prefs } = useGarden();
  const { weatherOf } = useWeather();
  const router = useRouter();
  const { date } = bloomDay.day;
  const day = weatherOf(date);
  if (!day) return null;
  const order = walkOrder(state);
  // The air outside says nothing of what stands on a sill.
  if (order.length > 0 && order.every(({ bed }) => shelterOn(bed, date)?.shelter === 'indoors')) return null;
  const crops = weatheredCrops(order);
  const inside = order.some(({ bed }) =>
    ['tunnel', 'closed-house'].includes(shelterOn(bed, date)?.shelter ?? ''),
  );
  const before = Array.from({ length: 5 }, (_, i) => weatherOf(addDays(date, i - 5))).filter(
    (each): each is WeatherDay => each !== null,
  );
  const warnings = weatherWarnings(crops, day, {
    before,
    bloomDay,
    inside,
    degrees: (celsius) => degrees(celsius, prefs.units),
  });
  return (
    <Card style={{ gap: 6 }}>
      <Row>
        <View style={BESIDE}>
          <Txt size="strong">{weatherLine(day, prefs.units)}</Txt>
          <Txt size="label" tone="muted">
            {sourceText(day)}
          </Txt>
        </View>
        <Button title="Weather" small onPress={() => router.navigate('/weather')} />
      </Row>
      {warnings.map((warning) => (
        <Notice
          key={`${warning.kind}${warning.words}`}
          tone={warning.kind === 'rain' ? 'dusk' : 'pollen'}
          text={warning.words}
        />
      ))}
    </Card>
  );
}

function weatherLine(day: WeatherDay, units: Units): string {
  const parts = [`${degrees(day.minC, units, false)} to ${degrees(day.maxC, units)}`];
  if (!isKnownWeather(day))
    parts.push(`give or take ${Math.round(units === 'us' ? day.spreadC * 1.8 : day.spreadC)}`);
  if (day.rainMm !== null) parts.push(rainText(day.rainMm, units));
  return parts.join(' · ');
}
