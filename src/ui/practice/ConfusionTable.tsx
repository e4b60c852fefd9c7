import { View } from 'react-native';
import type { Confusion } from '@core/practice';
import { Txt, useColours } from '../theme';
import { answerName, skillWords } from '../words';
import { BESIDE } from '../controls';

/** What is taken for what, most often first. */
export function ConfusionTable({ rows }: { rows: readonly Confusion[] }) {
  const colours = useColours();
  if (rows.length === 0) return <Txt>No mistake yet.</Txt>;
  return (
    <View role="list" style={{ gap: 2 }}>
      {rows.map(({ skill, truth, answered, count, of }) => (
        <View
          key={`${skill}${truth}${answered}`}
          role="listitem"
          style={{
            flexDirection: 'row',
            flexWrap: 'wrap',
            gap: 8,
            paddingVertical: 6,
            borderBottomWidth: 1,
            borderColor: colours.rule,
          }}
        >
          <View style={BESIDE}>
            <Txt size="strong">
              {answerName(skill, truth)} taken for {answerName(skill, answered)}
            </Txt>
            <Txt size="label" tone="muted">
              {skillWords[skill]}
            </Txt>
          </View>
          <Txt style={{ fontVariant: ['tabular-nums'] }}>
            {count} of {of}
          </Txt>
        </View>
      ))}
    </View>
  );
}
