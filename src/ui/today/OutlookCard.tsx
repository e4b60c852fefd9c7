import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Path, Rect } from 'react-native-svg';
import { CATALOGUE_STRENGTH, type VarietyOutlook } from '@core/bloom';
import { dayText } from '@core/time';
import { OutlookChart } from '../charts/OutlookChart';
import { Card, Button, Notice } from '../controls';
import { Txt, useColours } from '../theme';
import { plural } from '../words';

const SHOWN = 2;

/** What opens in the next days, by variety, with what is worth knowing about it. */
export function OutlookCard({ outlook }: { outlook: readonly VarietyOutlook[] | null }) {
  const [all, setAll] = useState(false);
  if (outlook === null || outlook.length === 0) return null;
  const telling = outlook.filter(
    ({ buds, allMaleSoFar, lonely }) => buds.length > 0 || allMaleSoFar || lonely.length > 0,
  );
  const ranked = [...telling].sort((a, b) => soon(b) - soon(a));
  const shown = all ? ranked : ranked.slice(0, SHOWN);
  return (
    <Card>
      <Txt size="heading">Opening in the next days</Txt>
      {ranked.length === 0 ? (
        <Txt>
          No bud has been noted lately. Buds seen on the evening walk, pins and green ones too, make the
          forecast.
        </Txt>
      ) : (
        <Legend />
      )}
      {outlook.map((each) => (
        <Warnings key={each.variety} outlook={each} />
      ))}
      {shown.map(({ variety, name, days }) => (
        <View key={variety} style={{ gap: 2 }}>
          <Txt size="strong">{name}</Txt>
          <OutlookChart name={name} days={days} />
        </View>
      ))}
      {ranked.length > SHOWN ? (
        <Button
          small
          title={all ? 'Fewer varieties' : plural(ranked.length - SHOWN, 'more variety', 'more varieties')}
          onPress={() => setAll(!all)}
        />
      ) : null}
      {ranked.length > 0 ? (
        <Txt size="label" tone="muted">
          It starts from common practice, worth {CATALOGUE_STRENGTH} buds, and learns from every bud you note
          and see open, of the crop and of the variety.
        </Txt>
      ) : null}
      {learnt(outlook).map((words) => (
        <Txt key={words} size="label" tone="muted">
          {words}
        </Txt>
      ))}
    </Card>
  );
}

const soon = ({ days }: VarietyOutlook) => days.reduce((sum, { females }) => sum + females.mean, 0);

function Legend() {
  const colours = useColours();
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: 6, flexWrap: 'wrap' }}>
      <Svg width={18} height={18} aria-hidden>
        <Rect x={3} y={2} width={12} height={14} rx={2} fill={colours.pollen} stroke={colours.ink} />
      </Svg>
      <Txt size="label">females</Txt>
      <Svg width={18} height={18} aria-hidden>
        <Rect
          x={3}
          y={2}
          width={12}
          height={14}
          rx={2}
          fill={colours.card}
          stroke={colours.leaf}
          strokeWidth={2.5}
        />
      </Svg>
      <Txt size="label">males</Txt>
      <Svg width={18} height={18} aria-hidden>
        <Path d="M1 9 H17" stroke={colours.ink} strokeWidth={2} />
      </Svg>
      <Txt size="label" tone="muted">
        expected; the bar holds 8 times in 10
      </Txt>
    </View>
  );
}

/** Females without a father, or only males yet. */
export function Warnings({ outlook }: { outlook: VarietyOutlook }) {
  const { lonely, allMaleSoFar, name, crop } = outlook;
  const first = lonely[0];
  return (
    <>
      {first ? (
        <Notice
          tone="brick"
          standing
          title={`${name}: females and no father, ${dayText(first.date)}`}
          text={`${plural(first.females, 'female')} likely to open; the chance that no male of another plant does is ${Math.round(first.withoutMale * 100)} in 100. Note every male on the next walk, or count on one of the same plant.`}
        />
      ) : null}
      {allMaleSoFar ? (
        <Notice
          tone="leaf"
          text={`${name}: all male so far. That is normal: on ${crop.plural} males come first, often for a week or two.`}
        />
      ) : null}
    </>
  );
}

/** The grower's own figures, once per crop. */
function learnt(outlook: readonly VarietyOutlook[]): string[] {
  const crops = new Map(outlook.map((each) => [each.crop.id, each]));
  return [...crops.values()].flatMap(({ crop, nextDay: { opened, known } }) =>
    known < 3 ? [] : [`Your coloured ${crop.name} buds opened the next day ${opened} times out of ${known}.`],
  );
}
