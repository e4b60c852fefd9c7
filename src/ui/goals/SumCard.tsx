import { View } from 'react-native';
import type { GoalSum } from '@core/rounds';
import { shortDayText } from '@core/time';
import { useGarden } from '@/data/garden';
import { Badge, Card } from '../controls';
import { Txt, useColours } from '../theme';
import { closureWords, plural } from '../words';
import { fromWords, standingSentence, standingTone, standingWords } from './words';

const pct = (share: number) => `${Math.round(share * 100)} %`;

/** The way from what is wanted back to tonight's tape, a line for each step. */
export function SumCard({ sum }: { sum: GoalSum }) {
  const { prefs } = useGarden();
  const { crop, goal } = sum;
  const forSeed = sum.fruitsForSeed > 0;
  const rate = sum.setRate;
  const length =
    prefs.units === 'us' ? `${(sum.tapeCm / 30.48).toFixed(1)} ft` : `${(sum.tapeCm / 100).toFixed(1)} m`;
  const rows: [string, string, string][] = [];
  if (sum.seeds !== null && sum.seedsPerFruit) {
    rows.push([
      'Seeds',
      String(Math.round(sum.seeds)),
      goal.seed?.unit === 'grams' ? `${goal.seed.amount} g by the usual weight` : 'wanted',
    ]);
    rows.push([
      'Fruits for seed',
      String(sum.fruitsForSeed),
      `${sum.seedsPerFruit.value} seeds in one (${fromWords[sum.seedsPerFruit.from]})${goal.mothers && goal.mothers >= sum.fruitsForSeed ? `; one for each of ${goal.mothers} mothers` : ''}`,
    ]);
  }
  if (sum.fruitsForKitchen > 0) rows.push(['Fruits for the kitchen', String(sum.fruitsForKitchen), 'wanted']);
  rows.push(['Set or waiting', `${sum.setAlready} + ${sum.waiting}`, 'already on the plants']);
  rows.push([
    'Pollinations',
    Number.isFinite(sum.pollinations) ? String(sum.pollinations) : 'too many',
    `${pct(sum.setShare.value)} set (${fromWords[sum.setShare.from]}${rate.own.n > 0 && sum.setShare.from === 'records' ? `, ${rate.own.k} of ${rate.own.n} here` : ''}); enough with ${pct(goal.assurance)} certainty`,
  ]);
  if (forSeed) {
    rows.push([
      'Females to shut',
      String(sum.femalesToShut),
      `${pct(sum.wholeShare.value)} stay whole in ${closureWords[sum.closure]} (${fromWords[sum.wholeShare.from]})`,
    ]);
    rows.push([
      crop.flowers.perfect
        ? 'Father buds to bag'
        : crop.family === 'corn'
          ? 'Tassels to bag'
          : 'Males to shut',
      String(sum.malesToShut),
      `${sum.malesPerFemale.value} for one, and a spare`,
    ]);
    rows.push([
      'Pockets',
      sum.tapeCm > 0 ? length : plural(sum.bags, 'bag'),
      `${sum.tapeCm > 0 ? 'tape, ' : ''}${plural(sum.marks, 'mark')}, a brush of its own`,
    ]);
  }
  rows.push(['Time', `${sum.minutes} min`, 'in all, evenings and mornings']);
  if (sum.morningsLeft !== null)
    rows.push([
      'Mornings left',
      String(sum.morningsLeft),
      `until ${sum.lastUsefulOn ? shortDayText(sum.lastUsefulOn) : '–'}; about ${sum.perMorning.toFixed(1)} females open a day`,
    ]);
  return (
    <Card>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center', gap: 8 }}>
        <Txt size="heading">The sum</Txt>
        <Badge text={standingWords[sum.standing]} tone={standingTone[sum.standing]} />
      </View>
      <Txt>{standingSentence(sum)}</Txt>
      {rows.map(([name, value, why]) => (
        <SumRow key={name} name={name} value={value} why={why} />
      ))}
    </Card>
  );
}

function SumRow({ name, value, why }: { name: string; value: string; why: string }) {
  const colours = useColours();
  return (
    <View
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: 10,
        borderTopWidth: 1,
        borderTopColor: colours.rule,
        paddingTop: 6,
      }}
    >
      <View style={{ flex: 1 }}>
        <Txt size="strong">{name}</Txt>
        <Txt size="label" tone="muted">
          {why}
        </Txt>
      </View>
      <Txt size="heading" style={{ fontVariant: ['tabular-nums'], textAlign: 'right', minWidth: 64 }}>
        {value}
      </Txt>
    </View>
  );
}
