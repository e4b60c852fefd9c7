import { View } from 'react-native';
import type { PollinationRound, StopState } from '@core/rounds';
import { clockText } from '@core/time';
import type { DawnPlan } from '@/data/round/dawnPlan';
import { useGarden } from '@/data/garden/garden';
import { BESIDE, Row, Card, Button } from '../controls';
import { Txt } from '../theme';
import { flowerText } from '../words';

const stateWords: Record<StopState, string> = {
  'to-do': 'to do',
  later: 'not open yet, come back',
  worked: '✓ worked',
  spoiled: 'not whole, skipped',
  lost: 'lost',
  missed: 'left, not worked',
};

const skipWords = {
  window: 'its flowers will have shut',
  pollen: 'no male to be had for it',
  time: 'no time before the end; others are worth more',
} as const;

/** The stops after this one (or all of them), to see what comes and go straight there. */
export function NextStops({
  round,
  dawn,
  numbered,
  current,
  onGo,
  all,
}: {
  round: PollinationRound;
  dawn: DawnPlan | null;
  /** Flower ids in the order of the round. */
  numbered: readonly string[];
  current: string;
  /** Left out where the list is only to be looked at. */
  onGo?: (flower: string) => void;
  all?: boolean;
}) {
  const { place, prefs } = useGarden();
  const byId = new Map(round.stops.map((stop) => [stop.flower.id as string, stop]));
  const ordered = numbered.flatMap((id) => byId.get(id) ?? []);
  const index = ordered.findIndex(({ flower }) => flower.id === current);
  const skipped = new Map((dawn?.plan?.skipped ?? []).map(({ id, reason }) => [id, reason]));
  const helperOf = (worker: string) => (worker === 'me' ? '' : ` · ${worker}`);
  const stops = all
    ? ordered
    : ordered
        .slice(index + 1)
        .filter(({ state }) => state === 'to-do' || state === 'later')
        .slice(0, 3);
  if (stops.length === 0) return null;
  const whenWords = (id: string, state: StopState): string => {
    const planned = dawn?.at.get(id);
    const why = skipped.get(id);
    if (state !== 'to-do' && state !== 'later') return stateWords[state];
    if (planned)
      return `${state === 'later' ? 'come back at ' : ''}${clockText(planned.begin, place.zone, prefs.clock === '12')}${helperOf(planned.worker)}`;
    return why ? `left out: ${skipWords[why]}` : stateWords[state];
  };
  return (
    <Card>
      <Txt size="label" tone="muted">
        {all ? 'The whole round' : 'Next'}
      </Txt>
      {stops.map(({ flower, growing, state }) => (
        <Row key={flower.id}>
          <View style={BESIDE}>
            <Txt size={flower.id === current ? 'strong' : 'body'}>{flowerText(growing, flower)}</Txt>
            <Txt size="label" tone="muted">
              {growing.bed.name} · {whenWords(flower.id, state)}
            </Txt>
          </View>
          {state === 'worked' || flower.id === current || !onGo ? null : (
            <Button
              title="Go"
              look="quiet"
              small
              label={`Go to ${flowerText(growing, flower)}`}
              onPress={() => onGo(flower.id)}
            />
          )}
        </Row>
      ))}
    </Card>
  );
}
