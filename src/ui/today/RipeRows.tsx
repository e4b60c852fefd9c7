import { View } from 'react-native';
import { useRouter } from 'expo-router';
import type { RipeSeed } from '@core/goals';
import { shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { BESIDE, Button, Card, Notice } from '../controls';
import { ripeLine, ripeWords } from '../fruit/ripeWords';
import { Txt } from '../theme';
import { useFlowerText } from '../useFlowerText';
import { plural } from '../words';

/** So many are listed; the rest stand on their plants. */
const SHOWN = 6;

/** Seed fruit to be taken in: which, and by what to tell it. */
export function RipeRows({ ripe }: { ripe: readonly RipeSeed[] }) {
  const router = useRouter();
  const { today } = useGarden();
  const nameOf = useFlowerText();
  const frost = ripe.find(({ why }) => why === 'frost')?.frostOn ?? null;
  const looks = [...new Map(ripe.map((each) => [each.growing.crop.id, each])).values()];
  return (
    <Card style={{ gap: 6 }}>
      <Txt size="heading">{plural(ripe.length, 'seed fruit', 'seed fruits')} to take in</Txt>
      {frost !== null ? (
        <Notice
          tone="brick"
          text={
            today <= frost
              ? `The frost that you named is on ${shortDayText(frost)}: what is out then is spoilt for seed.`
              : `The frost that you named was on ${shortDayText(frost)}: take in what is still sound.`
          }
        />
      ) : null}
      {ripe.slice(0, SHOWN).map((each) => (
        <View
          key={each.flower.id}
          style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 }}
        >
          <View style={BESIDE}>
            <Txt size="strong">
              {nameOf(each.growing, each.flower)}
              {each.flower.mark ? ` · ${each.flower.mark}` : ''}
            </Txt>
            <Txt size="label" tone="muted">
              {ripeLine(each)}
            </Txt>
          </View>
          <Button
            title="Open"
            small
            label={`Open: ${nameOf(each.growing, each.flower)}`}
            onPress={() =>
              router.navigate({
                pathname: '/plant/[id]',
                params: { id: each.flower.plant, flower: each.flower.id },
              })
            }
          />
        </View>
      ))}
      {ripe.length > SHOWN ? <Txt tone="muted">and {ripe.length - SHOWN} more</Txt> : null}
      {looks.map((each) => (
        <Txt key={each.growing.crop.id} size="label">
          {ripeWords(each)}
        </Txt>
      ))}
    </Card>
  );
}
