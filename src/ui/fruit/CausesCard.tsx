import { View } from 'react-native';
import type { LossCause } from '@core/ledger';
import { LINE_DRAWN, LINE_NAME } from '../charts/chartLine';
import { Card } from '../controls';
import { rem } from '../rem';
import { Txt, useColours } from '../theme';
import { causeWords } from '../words';

/** What was lost, by cause, the commonest first. */
export function CausesCard({ causes }: { causes: ReadonlyMap<LossCause, number> }) {
  const colours = useColours();
  const sorted = [...causes].sort((a, b) => b[1] - a[1]);
  if (sorted.length === 0) return null;
  return (
    <Card>
      <Txt size="heading">Why they were lost</Txt>
      {sorted.map(([cause, count]) => (
        <View key={cause} style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center' }}>
          <Txt style={LINE_NAME}>{causeWords[cause]}</Txt>
          <View style={LINE_DRAWN}>
            <View style={{ flex: 1, height: 14, backgroundColor: colours.rule, borderRadius: 3 }}>
              <View
                style={{
                  width: `${(100 * count) / (sorted[0]?.[1] ?? 1)}%`,
                  height: 14,
                  backgroundColor: colours.brick,
                  borderRadius: 3,
                }}
              />
            </View>
            <Txt style={{ minWidth: rem(30), textAlign: 'right' }}>{count}</Txt>
          </View>
        </View>
      ))}
    </Card>
  );
}
