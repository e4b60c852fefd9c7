import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { clockText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { Badge, Card, Button } from '../controls';
import { BESIDE, Txt } from '../theme';
import type { RoundBeside } from './roundsBeside';

/** The rounds beside the vines', each with what it asks for today and from when. `lead`: there is no other today. */
export function OtherRounds({ rounds, lead = false }: { rounds: readonly RoundBeside[]; lead?: boolean }) {
  const { place, now, prefs } = useGarden();
  const router = useRouter();
  if (rounds.length === 0) return null;
  const first = lead ? (rounds.find(({ from }) => from !== null && from <= now) ?? rounds[0]) : undefined;
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
      {rounds
        .filter((round) => round !== first)
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
