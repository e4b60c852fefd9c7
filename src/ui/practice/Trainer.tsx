import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { LinearProgress } from '@rneui/themed';
import { cropOf, type CropId } from '@core/crops';
import { makeQuestion, nextUp, type PracticeRecord, type TrainerQuestion } from '@core/practice';
import { hashText, seededRandom } from '@core/random';
import { useGarden } from '@/data/garden/garden';
import type { Practice } from '@/data/practice/practice';
import { Card, Button, Notice, Row, Tile, Tiles } from '../controls';
import { Page } from '../Page';
import { Txt, useColours } from '../theme';
import { useShortcuts } from '../useShortcuts';
import { answerName, plural, skillWords } from '../words';
import { SpecimenView } from './SpecimenView';

const SESSION_MS = 120_000;

export interface TrainerProps {
  readonly records: readonly PracticeRecord[];
  readonly crops: readonly CropId[];
  readonly inWords: boolean;
  readonly keep: Practice['keep'];
  readonly onLeave: () => void;
}

interface Answered {
  readonly question: TrainerQuestion;
  readonly given: string;
}

/** One question after another; the answer explains itself, and the session ends by itself after two minutes. */
export function Trainer({ records, crops, inWords, keep, onLeave }: TrainerProps) {
  const { now: gardenNow } = useGarden();
  const colours = useColours();
  const [seed] = useState(() => crypto.getRandomValues(new Uint32Array(1))[0] as number);
  const [started] = useState(() => performance.now());
  const [ms, setMs] = useState(0);
  const [done, setDone] = useState<readonly Answered[]>([]);
  const [given, setGiven] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [shownAs, setShownAs] = useState(inWords);
  const asked = done.length;
  // The records as they stood when the question was drawn: an answer must not change the question it answers.
  const [basis, setBasis] = useState(records);
  const question = useMemo(() => {
    const random = seededRandom(hashText(`${seed}/${asked}`));
    const next = nextUp(basis, crops, gardenNow, random);
    return { next, question: makeQuestion(next.skill, next.crop, random, next.hard) };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- a new question only once the last was left
  }, [seed, asked, basis, crops]);
  const shownSince = useRef(0);
  useEffect(() => {
    shownSince.current = performance.now();
  }, [question]);
  useEffect(() => {
    const timer = setInterval(() => setMs(performance.now() - started), 1000);
    return () => clearInterval(timer);
  }, [started]);
  const one = question.question;
  const answer = useCallback(
    (id: string) => {
      if (given !== null) return;
      setGiven(id);
      const tookMs = Math.min(86_400_000, Math.round(performance.now() - shownSince.current));
      keep({
        kind: 'practised',
        skill: one.skill,
        crop: one.crop,
        truth: one.truth,
        answered: id,
        tookMs,
        inWords: shownAs,
      }).then(
        () => setTrouble(null),
        (problem: Error) => setTrouble(problem.message),
      );
    },
    [given, one, keep, shownAs],
  );
  const over = ms >= SESSION_MS;
  const next = useCallback(() => {
    if (given === null) return;
    setDone((before) => [...before, { question: one, given }]);
    setBasis(records);
    setGiven(null);
  }, [given, one, records]);
  useShortcuts(
    useMemo(
      () => ({
        ...Object.fromEntries(one.options.map(({ id }, i) => [String(i + 1), () => answer(id)] as const)),
        Enter: given === null ? null : next,
        w: () => setShownAs((before) => !before),
      }),
      [one, given, answer, next],
    ),
  );
  if (over && given === null) return <SessionDone done={done} onLeave={onLeave} />;
  const right = given === one.truth;
  return (
    <Page
      title={one.text}
      over={`${cropOf(one.crop).name} · ${skillWords[one.skill]}`}
      corner={
        <Button
          title="Leave"
          look="quiet"
          small
          label="Leave the trainer; answers are kept"
          onPress={onLeave}
        />
      }
      banner={
        <View style={{ paddingHorizontal: 16, paddingBottom: 4 }}>
          <LinearProgress
            animation={false}
            value={Math.min(1, ms / SESSION_MS)}
            color={colours.pollen}
            trackColor={colours.rule}
            aria-label="Time of the session"
          />
        </View>
      }
      foot={
        given === null ? (
          <Tiles question={one.text} hideQuestion>
            {one.options.map(({ id, words }) => (
              <Tile
                key={id}
                title={words}
                chosen={false}
                onPress={() => answer(id)}
                minWidth={one.options.length > 3 ? 96 : 130}
              />
            ))}
          </Tiles>
        ) : (
          <Button title={over ? 'See how it went' : 'Next'} look="main" onPress={next} />
        )
      }
    >
      {trouble ? (
        <Notice
          tone="brick"
          title="The answer could not be stored"
          text={`${trouble} It counts until you leave; the garden’s records are not touched.`}
        />
      ) : null}
      <Card>
        <SpecimenView question={one} inWords={shownAs} chosen={given} />
        <Row>
          <Button
            title={shownAs ? 'Show the drawing' : 'In words'}
            small
            onPress={() => setShownAs(!shownAs)}
          />
        </Row>
      </Card>
      {given === null ? null : (
        <Notice
          tone={right ? 'leaf' : 'brick'}
          title={right ? 'Right.' : `No: ${optionWords(one, one.truth)}, not ${optionWords(one, given)}.`}
          text={one.why}
        />
      )}
    </Page>
  );
}

const optionWords = (question: TrainerQuestion, id: string): string =>
  question.options.find((option) => option.id === id)?.words ?? answerName(question.skill, id);

function SessionDone({ done, onLeave }: { done: readonly Answered[]; onLeave: () => void }) {
  const wrong = done.filter(({ question, given }) => question.truth !== given);
  return (
    <Page
      title="Two minutes are over"
      over={plural(done.length, 'question')}
      foot={<Button title="Back to Practice" look="main" onPress={onLeave} />}
    >
      <Card>
        <Txt size="number">
          {done.length - wrong.length} of {done.length} right
        </Txt>
        {wrong.length === 0 ? (
          <Txt>Not one mistake. Harder look-alikes come next.</Txt>
        ) : (
          <Txt>Worth another look:</Txt>
        )}
        {wrong.slice(0, 6).map(({ question, given }, i) => (
          <View key={i}>
            <Txt size="strong">
              {cropOf(question.crop).name}: {optionWords(question, question.truth)}, not{' '}
              {optionWords(question, given)}
            </Txt>
            <Txt>{question.why}</Txt>
          </View>
        ))}
      </Card>
    </Page>
  );
}
