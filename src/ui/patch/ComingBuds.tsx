import { View } from 'react-native';
import { budsOfPlant, likeliest, type ComingBud, type VarietyOutlook } from '@core/bloom';
import type { Growing } from '@core/patch';
import { weekdayText } from '@core/time';
import { BESIDE, Card } from '../controls';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { Txt, useColours } from '../theme';
import { Warnings } from '../today/OutlookCard';
import { flowerPlace, partName } from '../words';
import { stagesOf } from '@core/crops';

/** When the buds of one plant will open, each as chances by day. */
export function ComingBuds({
  growing,
  outlook,
}: {
  growing: Growing;
  outlook: readonly VarietyOutlook[] | null;
}) {
  const own = outlook?.find(({ variety }) => variety === growing.variety.id);
  const from = own?.days[0]?.date ?? '';
  // A bud that has most likely opened unseen is no longer "next".
  const coming = (bud: ComingBud) =>
    bud.forecast.reduce((sum, { date, probability }) => (date >= from ? sum + probability : sum), 0) > 0.35;
  const buds = outlook ? grouped(budsOfPlant(outlook, growing.plant.id).filter(coming)) : [];
  if (!own) return null;
  const nextDay = own.nextDayHere;
  return (
    <Card>
      <Txt size="heading">Opening next</Txt>
      {buds.length === 0 ? <Txt>No bud noted on this plant lately.</Txt> : null}
      {buds.map(({ bud, count }, i) => (
        <BudRow key={i} bud={bud} count={count} growing={growing} />
      ))}
      <Warnings outlook={own} />
      {nextDay.known >= 3 ? (
        <Txt size="label" tone="muted">
          Your coloured {growing.variety.name} buds opened the next day {nextDay.opened} times out of{' '}
          {nextDay.known}.
        </Txt>
      ) : null}
    </Card>
  );
}

interface Grouped {
  readonly bud: ComingBud;
  readonly count: number;
}

/** Males counted together are one row. */
function grouped(buds: readonly ComingBud[]): Grouped[] {
  const rows: { bud: ComingBud; count: number }[] = [];
  for (const bud of buds) {
    const same = rows.find(
      (row) =>
        row.bud.sex === 'male' &&
        bud.sex === 'male' &&
        row.bud.stage === bud.stage &&
        row.bud.seenOn === bud.seenOn,
    );
    if (same) same.count++;
    else rows.push({ bud, count: 1 });
  }
  return rows;
}

function BudRow({ bud, count, growing: { crop, variety } }: Grouped & { growing: Growing }) {
  const colours = useColours();
  const best = likeliest(bud.forecast);
  const days = bud.forecast.filter(({ probability }) => probability >= 0.02).slice(0, 6);
  const name = `${count > 1 ? `${count} × ` : ''}${partName(crop, bud.sex)}`;
  const full = [name, bud.flower && count === 1 ? flowerPlace(bud.flower) : ''].filter(Boolean).join(', ');
  const share = (probability: number) => `${Math.round(probability * 100)} %`;
  return (
    <View
      role="img"
      aria-label={`${full}: ${days.map(({ date, probability }) => `${weekdayText(date)} ${share(probability)}`).join(', ')}`}
      style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10, alignItems: 'center' }}
    >
      <FlowerDrawing crop={crop.id} sex={bud.sex} appearance={bud.stage} shape={variety.shape} size={56} />
      <View style={[BESIDE, { gap: 3 }]}>
        <Txt size="strong">{full}</Txt>
        <Txt size="label" tone="muted">
          {stagesOf(crop, bud.sex)[bud.stage].name} on {weekdayText(bud.seenOn)}
          {best ? `; likeliest ${weekdayText(best.date)}` : ''}
        </Txt>
        <View style={{ flexDirection: 'row', gap: 3 }}>
          {days.map(({ date, probability }) => (
            <View
              key={date}
              style={{
                flex: Math.max(0.04, probability),
                height: 9,
                borderRadius: 2,
                borderWidth: 1,
                backgroundColor: probability >= 0.5 ? colours.pollen : colours.pollenSoft,
                borderColor: colours.pollen,
              }}
            />
          ))}
        </View>
        <Txt size="label">
          {days.map(({ date, probability }) => `${weekdayText(date)} ${share(probability)}`).join(' · ')}
        </Txt>
      </View>
    </View>
  );
}
