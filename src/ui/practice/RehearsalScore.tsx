import { View } from 'react-native';
import type { FruitFate, Mistake, Rehearsal, RehearsalResult } from '@core/simulation';
import { Card } from '../controls';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { Txt } from '../theme';
import { plural } from '../words';

const fruitWords: Record<FruitFate, string> = {
  pure: 'pure fruit',
  dropped: 'dropped',
  'no-pollen': 'no male left for it',
};

/** The fruit, the score against perfect foresight, and what cost most. */
export function RehearsalScore({
  rehearsal,
  result,
  best,
  mistakes,
}: {
  rehearsal: Rehearsal;
  result: RehearsalResult;
  best: number;
  mistakes: readonly Mistake[];
}) {
  const worked = result.flowers.filter(({ fruit }) => fruit !== null);
  return (
    <>
      <Card>
        <Txt size="number">
          {result.fruits} of {best}
        </Txt>
        <Txt>
          {plural(result.fruits, 'pure fruit')} with {plural(result.tapeUsed, 'strip')} of tape. Who had known
          what opens, what tears and what sets would have had {best}.
        </Txt>
        <View role="list" style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }}>
          {worked.map(({ flower, fruit, males }) => (
            <View key={flower.id} role="listitem" style={{ alignItems: 'center', width: 96 }}>
              <FlowerDrawing
                crop={rehearsal.crop}
                sex="female"
                appearance={fruit === 'pure' ? 'set' : fruit === 'dropped' ? 'brown-tip' : 'yellowing'}
                shape={rehearsal.shape}
                size={100}
              />
              <Txt size="label" style={{ textAlign: 'center' }}>
                plant {flower.plant}: {fruit ? fruitWords[fruit] : ''}
                {males.length > 0 ? `, ${plural(males.length, 'male')}` : ''}
              </Txt>
            </View>
          ))}
        </View>
        {worked.length === 0 ? <Txt>No female was shut and ready: nothing could be worked.</Txt> : null}
      </Card>
      <Card>
        <Txt size="heading">{mistakes.length === 0 ? 'Nothing to regret' : 'What cost most'}</Txt>
        {mistakes.length === 0 ? <Txt>No other choice would have brought one fruit more.</Txt> : null}
        {mistakes.map(({ words, fruits, strips }) => (
          <View key={words}>
            <Txt size="strong">
              {fruits > 0 ? `Cost ${plural(fruits, 'fruit')}` : `Cost ${plural(strips, 'strip')} of tape`}
            </Txt>
            <Txt>{words}</Txt>
          </View>
        ))}
      </Card>
    </>
  );
}
