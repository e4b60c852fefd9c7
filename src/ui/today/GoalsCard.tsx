import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { standName } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { useGoals } from '@/data/foresight/goals';
import { BESIDE, Row, Badge, Card, Button } from '../controls';
import { goalLine, standingTone, standingBadge } from '../goals/words';
import { Txt } from '../theme';

/** How the goals stand, a line each. */
export function GoalsCard() {
  const router = useRouter();
  const { state } = useGarden();
  const sums = useGoals();
  if (sums === null) return null;
  return (
    <Card style={{ gap: 6 }}>
      <Row>
        <Txt size="heading" style={BESIDE}>
          Goals
        </Txt>
        <Button
          title={sums.length === 0 ? 'Set one' : 'All goals'}
          small
          onPress={() => router.navigate('/goals')}
        />
      </Row>
      {sums.length === 0 ? (
        <Txt tone="muted">
          Say how much seed or fruit you want: the evening’s tape and the mornings follow from it.
        </Txt>
      ) : null}
      {sums.map((sum) => (
        <Row key={sum.stand.id}>
          <View style={BESIDE}>
            <Txt size="strong">{standName(state, sum.stand)}</Txt>
            <Txt size="label" tone="muted">
              {goalLine(sum)}
            </Txt>
          </View>
          <Badge text={standingBadge(sum)} tone={standingTone[sum.standing]} />
        </Row>
      ))}
    </Card>
  );
}
