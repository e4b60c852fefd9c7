import { View } from 'react-native';
import { KIND_OF_CAUSE, type DropKind } from '@core/fruitset';
import type { LossCause } from '@core/ledger';
import { LINE_DRAWN, LINE_NAME } from '../charts/chartLine';
import { Card } from '../controls';
import { rem } from '../rem';
import { Txt, useColours } from '../theme';
import { causeWords } from '../words';
import { endWords } from './studyWords';

/** What was lost, by cause, the commonest first; called as in the picture of what becomes of a fruit, with what was noted beneath. */
export function CausesCard({ causes }: { causes: ReadonlyMap<LossCause, number> }) {
  const colours = useColours();
  const kinds = new Map<DropKind, { count: number; causes: [LossCause, number][] }>();
  for (const [cause, count] of causes) {
    const kind = kinds.get(KIND_OF_CAUSE[cause]) ?? { count: 0, causes: [] };
    kind.count += count;
    kind.causes.push([cause, count]);
    kinds.set(KIND_OF_CAUSE[cause], kind);
  }
  const sorted = [...kinds].sort((a, b) => b[1].count - a[1].count);
  if (sorted.length === 0) return null;
  return (
    <Card>
      <Txt size="heading">Why they were lost</Txt>
      {sorted.map(([kind, { count, causes: noted }]) => (
        <View key={kind} style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center' }}>
          <View style={LINE_NAME}>
            <Txt>{endWords[kind]}</Txt>
            {noted.length > 1 || causeWords[noted[0]?.[0] ?? 'unknown'] !== endWords[kind] ? (
              <Txt size="label" tone="muted">
                {noted.map(([cause, of]) => `${causeWords[cause]} ${of}`).join(', ')}
              </Txt>
            ) : null}
          </View>
          <View style={LINE_DRAWN}>
            <View style={{ flex: 1, height: 14, backgroundColor: colours.rule, borderRadius: 3 }}>
              <View
                style={{
                  width: `${(100 * count) / (sorted[0]?.[1].count ?? 1)}%`,
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
