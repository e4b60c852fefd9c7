import { View } from 'react-native';
import { growing } from '@core/patch';
import type { Flower } from '@core/ledger';
import { localDateOf, shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { Card } from '../controls';
import { Txt } from '../theme';
import { causeWords, flowerText, lookWords, plantText, plural, toolWords } from '../words';

/** Who its mother and fathers are, and what was seen of it since. */
export function FruitLife({ flower }: { flower: Flower }) {
  const { state, place, prefs } = useGarden();
  const mother = growing(state, flower.plant);
  const day = (at: string) => shortDayText(localDateOf(Date.parse(at), place.zone));
  const size = (mm: number) =>
    prefs.units === 'us' ? `${Math.round((mm / 25.4) * 10) / 10} in` : `${mm} mm`;
  const { pollinations, looks, lost, harvested } = flower;
  return (
    <>
      <Card>
        <Txt size="heading">Mother and fathers</Txt>
        <Txt>{`Mother: ${mother ? flowerText(mother, flower) : 'not known'}`}</Txt>
        {pollinations.length === 0 ? <Txt>Father: no work on record.</Txt> : null}
        {pollinations.map(({ event, at, fathers, tool, by }) => (
          <View key={event}>
            <Txt>
              {fathers.length === 0
                ? 'Father: nobody said.'
                : `${fathers.length > 1 ? 'Fathers' : 'Father'}: ${fathers
                    .map(({ plant, males }) => `${plantText(state, plant)} (${plural(males, 'male')})`)
                    .join(', ')}`}
            </Txt>
            <Txt size="label" tone="muted">
              {[day(at), ...(tool ? [toolWords[tool]] : []), by].filter((word) => word !== '').join(' · ')}
            </Txt>
          </View>
        ))}
      </Card>
      <Card>
        <Txt size="heading">Looks</Txt>
        {looks.length === 0 ? <Txt>Nobody has looked at it since.</Txt> : null}
        {looks.map(({ event, at, result, sizeMm, markRead }) => (
          <Txt key={event}>
            {[
              `${day(at)}: ${lookWords[result]}`,
              ...(sizeMm === null ? [] : [size(sizeMm)]),
              ...(markRead ? ['mark read'] : []),
            ].join(' · ')}
          </Txt>
        ))}
        {lost ? <Txt>{`${day(lost.at)}: lost, ${causeWords[lost.cause]}`}</Txt> : null}
        {harvested ? (
          <Txt>{`${day(harvested.at)}: picked for ${harvested.harvestFor === 'seed' ? 'seed' : 'the kitchen'}`}</Txt>
        ) : null}
      </Card>
    </>
  );
}
