import { View } from 'react-native';
import type { ToLookAt } from '@core/rounds';
import { useGarden } from '@/data/garden/garden';
import { rogueWords } from '../fruit/rogueWords';
import { useLookDays } from '../fruit/useLookDays';
import { BETWEEN, Row, BESIDE, Card, Button } from '../controls';
import { flowerAppearance } from '../drawings/appearance';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { Txt, useColours, useIsWide } from '../theme';
import { useFlowerText } from '../useFlowerText';
import { plural } from '../words';

/** Fruit that is owed a look today. */
export function LooksCard({ looks, onOpen }: { looks: ToLookAt; onOpen: () => void }) {
  const { owed, counts, total } = looks;
  const [unmarked, shut, loops] = [looks.unmarked.length, looks.shut.length, looks.loops.length];
  const { place } = useGarden();
  const nameOf = useFlowerText();
  const colours = useColours();
  const shown = useIsWide() ? 8 : 4;
  const lookDays = useLookDays();
  const more = [
    ...counts.map(
      ({ growing, worked }) => `${growing.variety.name}: about ${worked} counted, how many grow?`,
    ),
    ...(shut > 0 ? [`${plural(shut, 'worked flower')}: still shut?`] : []),
    ...(unmarked > 0 ? [`${plural(unmarked, 'seed fruit', 'seed fruits')} without a mark`] : []),
    ...looks.rogues.map(
      ({ variety, stage }) => `${variety.name}, ${rogueWords[stage]}: all true to the variety?`,
    ),
    ...(loops > 0 ? [`${plural(loops, 'loop')} to look at: tight, or gone?`] : []),
  ];
  if (owed.length === 0 && more.length === 0) {
    return (
      <Card>
        <Txt size="heading">No fruit to look at</Txt>
        <Txt tone="muted">{`Worked flowers come up here on the days when a look tells something${lookDays ? `: ${lookDays}` : ''}.`}</Txt>
      </Card>
    );
  }
  const verdicts = owed.filter(({ due }) => due.verdict).length;
  return (
    <Card>
      <Row style={[BETWEEN, { alignItems: 'baseline' }]}>
        <Txt size="heading">
          {owed.length > 0 ? `${plural(owed.length, 'fruit', 'fruits')} to look at` : 'To look at'}
        </Txt>
        {owed.length > 0 ? (
          <Txt size="label" tone="muted">
            {plural(verdicts, 'verdict')} due
          </Txt>
        ) : null}
      </Row>
      {owed.slice(0, shown).map(({ flower, growing, due }) => (
        <View
          key={flower.id}
          style={{
            flexDirection: 'row',
            flexWrap: 'wrap',
            alignItems: 'center',
            gap: 10,
            borderBottomWidth: 1,
            borderBottomColor: colours.rule,
            paddingVertical: 4,
          }}
        >
          <FlowerDrawing
            {...flowerAppearance(flower, growing.crop, place.zone)}
            shape={growing.variety.shape}
            crop={growing.crop.id}
            size={38}
          />
          <Txt style={BESIDE}>{nameOf(growing, flower)}</Txt>
          <Txt size="label" tone="muted">
            day {due.day}
            {due.verdict ? ' · verdict' : ''}
          </Txt>
        </View>
      ))}
      {more.map((words) => (
        <Txt key={words}>{words}</Txt>
      ))}
      <Button
        title={owed.length === 0 ? 'Open' : `Look at ${total === 1 ? 'it' : `all ${total}`}`}
        label={owed.length === 0 ? 'Open: what to look at' : undefined}
        onPress={onOpen}
      />
    </Card>
  );
}
