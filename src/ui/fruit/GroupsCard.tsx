import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { groupTrials, handWorkWithin, outcomeOn, type Trial } from '@core/fruitset';
import { growing, plantName } from '@core/patch';
import { shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { BESIDE, Row, Button, Card, Notice } from '../controls';
import { Txt, useColours } from '../theme';
import { fateWords, plural, toolWords } from '../words';
import { CountSheet } from './CountSheet';

const PAGE = 8;

/** A count that reaches into the days of hand work stands, and is told. */
function HandWork({ words }: { words: string | null }) {
  return words === null ? null : <Notice tone="pollen" text={words} />;
}

/** Flowers that were counted together: by the tally of the kitchen round, or by hand afterwards. */
export function GroupsCard() {
  const { state, place, today } = useGarden();
  const colours = useColours();
  const [counting, setCounting] = useState(false);
  const [shown, setShown] = useState(PAGE);
  const groups = useMemo(
    () =>
      // Not all trials, sorted out: those of an old log's flowers take a tenth of a second to be made.
      groupTrials(state, place.zone).sort((a, b) => (a.until < b.until ? 1 : -1)),
    [state, place.zone],
  );
  const nameOf = ({ plant, variety }: Trial) => {
    const found = plant === null ? null : growing(state, plant);
    return found ? plantName(found) : (state.varieties.get(variety)?.name ?? 'A stand');
  };
  const howOf = ({ how }: Trial) =>
    how === null
      ? ''
      : how === 'insects'
        ? 'left to insects'
        : how === 'before'
          ? 'before hand work'
          : toolWords[how];
  const handWorkIn = ({ stand, plant, how, on, until }: Trial) => {
    const found = state.stands.get(stand);
    const began = found
      ? handWorkWithin(state, found, { how, plant, from: on, to: until }, place.zone)
      : null;
    return began === null
      ? null
      : `Hand work is on record here from ${shortDayText(began)}: some of these may have been worked by hand.`;
  };
  const cameTo = (trial: Trial) => {
    if (trial.set !== null)
      return `${trial.set} of ${trial.worked} set${trial.bent === null ? '' : `, ${trial.bent} bent`}`;
    const outcome = outcomeOn(trial, today);
    return `${plural(trial.worked, 'flower')}: ${outcome === 'not-looked-at' ? fateWords['not-looked-at'] : fateWords.waiting}`;
  };
  return (
    <Card>
      <Row>
        <Txt size="heading" style={BESIDE}>
          Counted together
        </Txt>
        <Button title="Count" small label="Count flowers together" onPress={() => setCounting(true)} />
      </Row>
      {groups.length === 0 ? (
        <Txt tone="muted">
          Trusses shaken, flowers left to insects, what fell before you began: counted together, they show
          what your hands bring.
        </Txt>
      ) : null}
      {groups.slice(0, shown).map((trial) => (
        <View key={trial.id} style={{ borderTopWidth: 1, borderTopColor: colours.rule, paddingTop: 6 }}>
          <Txt>
            {nameOf(trial)}: {cameTo(trial)}
          </Txt>
          <Txt size="label" tone="muted">
            {[
              howOf(trial),
              trial.on === trial.until
                ? shortDayText(trial.on)
                : `${shortDayText(trial.on)} to ${shortDayText(trial.until)}`,
            ]
              .filter(Boolean)
              .join(' · ')}
          </Txt>
          <HandWork words={handWorkIn(trial)} />
        </View>
      ))}
      {groups.length > shown ? (
        <Button title={`Show more of ${groups.length}`} small onPress={() => setShown(shown + 20)} />
      ) : null}
      {counting ? <CountSheet onClose={() => setCounting(false)} /> : null}
    </Card>
  );
}
