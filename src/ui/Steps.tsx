import { View } from 'react-native';
import { Txt } from './theme';

/** A short numbered list of what the hands do. */
export function Steps({ steps }: { steps: readonly string[] }) {
  return (
    <View role="list" style={{ gap: 2 }}>
      {steps.map((step, i) => (
        <Txt key={step} size="label" tone="muted" role="listitem">
          {i + 1}. {step}
        </Txt>
      ))}
    </View>
  );
}
