import { View } from 'react-native';
import type { Stand } from '@core/ledger';
import { standName } from '@core/patch';
import type { GoalSum } from '@core/goals';
import { useGarden } from '@/data/garden/garden';
import { BESIDE, Badge, Card, Button } from '../controls';
import { Txt, useColours } from '../theme';
import { reasonWords } from '../words';
import { goalLine, standingSentence, standingTone, standingBadge } from './words';

/** One stand in the list of goals: what the record asks for, and its sum (`null` as long as it is being worked out). */
export function GoalRow({
  stand,
  sum,
  chosen = false,
  onOpen,
}: {
  stand: Stand;
  sum: GoalSum | null;
  /** It is the one that is open beside the list. */
  chosen?: boolean;
  onOpen: () => void;
}) {
  const set = stand.goal !== null;
  const colours = useColours();
  const { state } = useGarden();
  const name = standName(state, stand);
  return (
    <Card style={{ gap: 6, ...(chosen ? { borderWidth: 3, borderColor: colours.pollen } : null) }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 }}>
        <View style={BESIDE}>
          <Txt size="heading">{name}</Txt>
          <Txt size="label" tone="muted">
            {sum ? goalLine(sum) : `for ${reasonWords[stand.reason]}${set ? '' : ', no goal yet'}`}
          </Txt>
        </View>
        {sum ? <Badge text={standingBadge(sum)} tone={standingTone[sum.standing]} /> : null}
        {chosen ? null : (
          <Button
            title={set ? 'Open' : 'Set'}
            small
            label={`${set ? 'Open' : 'Set'} the goal of ${name}`}
            onPress={onOpen}
          />
        )}
      </View>
      {sum ? <Txt>{standingSentence(sum)}</Txt> : null}
    </Card>
  );
}
