import { useMemo } from 'react';
import { View } from 'react-native';
import { bloomDayOf } from '@core/bloom';
import { leftDrafts, leftFlowers, type LeftFlower } from '@core/rounds';
import { dayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useWeather } from '@/data/weather/weather';
import { Button, Card, Row } from '../controls';
import { Txt, useColours } from '../theme';
import { useFlowerText } from '../useFlowerText';
import { plural } from '../words';

/** Females shut for a morning that has passed, of which nobody wrote what became. Nothing when there is none. */
export function LeftCard() {
  const { state, place, now, today, record, recordAt } = useGarden();
  const nameOf = useFlowerText();
  const { weatherOf } = useWeather();
  const colours = useColours();
  const minute = Math.floor(now / 60_000) * 60_000;
  const left = useMemo(
    () => leftFlowers(state, place.zone, minute, today, (date) => bloomDayOf(state, place, date, weatherOf)),
    [state, place, minute, today, weatherOf],
  );
  if (left.length === 0) return null;
  const answer = (each: LeftFlower, what: Parameters<typeof leftDrafts>[1]) => {
    const drafts = leftDrafts(each, what);
    // What was done was done in its hours: the latest of them is the least that can be said.
    const { closes } = bloomDayOf(state, place, each.date, weatherOf).window(each.growing.crop);
    void (what === 'worked' || what === 'torn'
      ? recordAt(Math.min(closes, now), ...drafts)
      : record(...drafts));
  };
  return (
    <Card>
      <Txt size="heading">{`What became of ${left.length === 1 ? 'it' : 'them'}?`}</Txt>
      <Txt tone="muted">{`${plural(left.length, 'female')} shut, and nothing written since. One that was not reached is no failure: it counts as missed.`}</Txt>
      {left.map((each) => {
        const where = nameOf(each.growing, each.flower);
        const key = (title: string, what: Parameters<typeof leftDrafts>[1]) => (
          <Button
            title={title}
            small
            label={`${where}: ${title.toLowerCase()}`}
            onPress={() => answer(each, what)}
          />
        );
        return (
          <View
            key={each.flower.id}
            style={{ gap: 4, borderTopWidth: 1, borderTopColor: colours.rule, paddingTop: 6 }}
          >
            <Txt>
              {where} · {dayText(each.date)}
            </Txt>
            <Row gap={6}>
              {key('Not reached', 'not-reached')}
              {key('Had shut', 'already-shut')}
              {key('Worked, not noted', 'worked')}
              {key('Was torn', 'torn')}
            </Row>
          </View>
        );
      })}
      {left.length > 1 ? (
        <Button
          title="None of them was reached"
          onPress={() => void record(...left.flatMap((each) => leftDrafts(each, 'not-reached')))}
        />
      ) : null}
    </Card>
  );
}
