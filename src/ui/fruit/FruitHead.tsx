import { View } from 'react-native';
import { BESIDE } from '../controls';
import { Txt } from '../theme';

/** Which fruit a row speaks of, and what it is asked. */
export function FruitHead({ name, says }: { name: string; says: string }) {
  return (
    <View style={BESIDE}>
      <Txt size="strong">{name}</Txt>
      <Txt size="label" tone="muted">
        {says}
      </Txt>
    </View>
  );
}
