import { View } from 'react-native';
import type { Aim, RainAdvice, TonightPlan } from '@core/goals';
import { weekdayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useNextMark } from '@/data/garden/nextMark';
import { Card, Row, Stat } from '../controls';
import { inHundred } from '../goals/words';
import { Txt, useColours } from '../theme';
import { closureWords, listText, plural, tapeText } from '../words';

/** What to shut this evening, by variety, and what goes into the pockets for it. */
export function TonightCard({ plan }: { plan: TonightPlan | null }) {
  const { prefs, patch } = useGarden();
  const firstMark = useNextMark();
  const colours = useColours();
  if (!plan || plan.varieties.length === 0) return null;
  const { tapeCm, bags, marks, brushes } = plan.pockets;
  const females = plan.varieties.reduce((sum, each) => sum + each.females, 0);
  const males = plan.varieties.reduce((sum, each) => sum + each.males, 0);
  const looksFirst = plan.varieties.some(
    ({ aim, femalesWanted }) => aim !== null && femalesWanted !== null && femalesWanted < aim.wouldDo,
  );
  const pockets = [
    tapeCm > 0 ? `${tapeText(tapeCm, prefs.units)} tape` : null,
    ...bags.map(({ closure, count }) => plural(count, closureWords[closure])),
    marks > 0 && patch?.schools.marking !== 'when-growing'
      ? `${plural(marks, 'mark')} (from ${firstMark})`
      : null,
    brushes > 0 ? plural(brushes, 'brush', 'brushes') : null,
  ].filter(Boolean);
  return (
    <Card>
      <Txt size="heading">Shut tonight</Txt>
      {females + males === 0 ? (
        <Txt>None of the buds seen so far needs shutting tonight. The walk may find more.</Txt>
      ) : null}
      {females + males === 0 ? null : (
        <Row gap={20}>
          <Stat value={females} name={females === 1 ? 'female likely to open' : 'females likely to open'} />
          <Stat value={males} name={males === 1 ? 'male' : 'males'} />
          <Stat value={plan.minutes} name="minutes" />
        </Row>
      )}
      {plan.restAtDawn ? <Txt>You can sleep in: nothing is due at dawn.</Txt> : null}
      {plan.varieties.map((each) => (
        <View key={each.variety} style={{ borderTopWidth: 1, borderTopColor: colours.rule, paddingTop: 6 }}>
          <Txt size="strong">{each.name}</Txt>
          <Txt size="label" tone="muted">
            {varietyLine(each)}
          </Txt>
          {becauseOf(each).map((words) => (
            <Txt key={words} size="label">
              {words}
            </Txt>
          ))}
        </View>
      ))}
      {pockets.length > 0 ? <Txt tone="muted">Pockets, with the morning’s: {pockets.join(', ')}.</Txt> : null}
      <Txt size="label" tone="muted">
        From the buds seen so far; the walk finds more. Healthiest mothers first, mothers and males spread
        over plants.
        {looksFirst ? ' Why not all? You see in about a week what took, and shut more only if need be.' : ''}
      </Txt>
    </Card>
  );
}

const RAIN_WORDS: Readonly<Record<RainAdvice, string>> = {
  cover:
    'Rain is foretold: cover all the same, these mornings can’t be spared. Bags stand rain; tape only holds on dry petals.',
  fewer:
    'Rain is foretold: only what the dry mornings after it will hardly bring. Bags stand rain; tape only holds on dry petals.',
  leave: 'Rain is foretold, and there are dry mornings enough: leave them tonight.',
};

/** What hangs on rain, on days away and on time. */
function becauseOf({ rain, awaySoon, noTime, femalesWanted }: TonightPlan['varieties'][number]): string[] {
  const away = femalesWanted === 0 || awaySoon.length === 0 ? null : listText(awaySoon.map(weekdayText));
  return [
    rain ? RAIN_WORDS[rain] : null,
    away ? `You are away on ${away}: that is reckoned with.` : null,
    noTime > 0 ? `${plural(noTime, 'female')} left open: there would be no time tomorrow.` : null,
  ].flatMap((words) => words ?? []);
}

function varietyLine({
  femalesWanted: wanted,
  aim,
  females,
  males,
  shutAlready,
  leftOut,
  nobodyComes,
  rain,
}: TonightPlan['varieties'][number]): string {
  const already = shutAlready.females + shutAlready.males;
  return [
    wanted === 0
      ? females + shutAlready.females + leftOut > 0
        ? nobodyComes
          ? 'you are away at the next round: nothing to cover'
          : rain === 'leave'
            ? null
            : notTonight(aim)
        : null
      : `${plural(females, 'female')}${aim ? ` of the ${aim.wouldDo} that would do` : ' (no goal: every likely one)'}`,
    wanted !== 0 && aim?.mornings
      ? `${plural(aim.mornings, 'morning')} left${aim.guessed ? ' if frost comes early' : ''}`
      : null,
    wanted !== 0 && aim ? `chance ${inHundred(aim.chance)}` : null,
    males > 0 ? plural(males, 'male') : null,
    already > 0 ? `${already} shut already` : null,
    leftOut > 0 ? `${leftOut} may stay open` : null,
  ]
    .filter(Boolean)
    .join(' · ');
}

function notTonight(aim: Aim | null): string {
  if (!aim || aim.met) return 'its goal is met';
  return aim.tooLate ? 'too late to ripen' : 'nothing to cover tonight';
}
