import { View } from 'react-native';
import type { GoalPlan } from '@core/goals';
import { Txt, useColours } from '../theme';
import { inHundred } from './words';

/** What tonight is worth, or the morning where nothing is `shut`: the chance of a goal by nothing, by the plan, by all that opens. */
export function ChanceBars({
  plan: { chance, without, withAll, oneMore },
  shut,
}: {
  plan: GoalPlan;
  shut: boolean;
}) {
  const rows = [
    { name: shut ? 'Nothing tonight' : 'Nothing tomorrow', chance: without, planned: false },
    { name: 'By the plan', chance, planned: true },
    { name: 'All that open', chance: withAll, planned: false },
  ];
  return (
    <View style={{ gap: 4 }}>
      <View role="list" aria-label="Chance to reach the goal" style={{ gap: 4 }}>
        {rows.map((row) => (
          <ChanceRow key={row.name} {...row} />
        ))}
      </View>
      <Txt size="label" tone="muted">
        {oneMore < 0.005
          ? 'One more now would add next to nothing.'
          : `One more now would add about ${Math.round(oneMore * 100)} in 100.`}
      </Txt>
    </View>
  );
}

function ChanceRow({ name, chance, planned }: { name: string; chance: number; planned: boolean }) {
  const colours = useColours();
  return (
    <View role="listitem" style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 }}>
      <Txt size={planned ? 'strong' : 'label'} style={{ flexBasis: 118 }}>
        {name}
      </Txt>
      <View
        aria-hidden
        style={{
          flexGrow: 1,
          flexBasis: 80,
          height: 14,
          borderWidth: 1,
          borderColor: colours.ink,
          borderRadius: 3,
        }}
      >
        <View
          style={{
            width: `${(chance * 100).toFixed(1)}%` as `${number}%`,
            height: '100%',
            backgroundColor: planned ? colours.leaf : colours.rule,
          }}
        />
      </View>
      <Txt size={planned ? 'strong' : 'label'} style={{ minWidth: 92, textAlign: 'right' }}>
        {inHundred(chance)}
      </Txt>
    </View>
  );
}
