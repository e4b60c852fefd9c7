import { View } from 'react-native';
import type { PollinationRound, StopState } from '@core/rounds';
import { plantName } from '@core/patch';
import { Card, Key } from '../controls';
import { Txt } from '../theme';
import { flowerPlace } from '../words';

const stateWords: Record<StopState, string> = {
  'to-do': 'to do',
  later: 'not open yet, come back',
  worked: '✓ worked',
  spoiled: 'not whole, skipped',
  lost: 'lost',
};

/** The stops after this one (or all of them), to see what comes and go straight there. */
export function NextStops({
  round,
  current,
  onGo,
  all,
}: {
  round: PollinationRound;
  current: string;
  onGo: (flower: string) => void;
  all?: boolean;
}) {
  const index = round.stops.findIndex(({ flower }) => flower.id === current);
  const stops = all
    ? round.stops
    : round.stops
        .slice(index + 1)
        .filter(({ state }) => state === 'to-do' || state === 'later')
        .slice(0, 3);
  if (stops.length === 0) return null;
  return (
    <Card>
      <Txt size="label" tone="muted">
        {all ? 'The whole round' : 'Next'}
      </Txt>
      {stops.map(({ flower, growing, state }) => (
        <View key={flower.id} style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
          <View style={{ flex: 1 }}>
            <Txt size={flower.id === current ? 'strong' : 'body'}>
              {plantName(growing)}, {flowerPlace(flower)}
            </Txt>
            <Txt size="label" tone="muted">
              {growing.bed.name} · {stateWords[state]}
            </Txt>
          </View>
          {state === 'worked' || flower.id === current ? null : (
            <Key
              title="Go"
              look="quiet"
              small
              label={`Go to ${plantName(growing)}, ${flowerPlace(flower)}`}
              onPress={() => onGo(flower.id)}
            />
          )}
        </View>
      ))}
    </Card>
  );
}
