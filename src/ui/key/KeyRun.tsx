import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { openedBetween } from '@core/bloom';
import type { Crop, FruitShape } from '@core/crops';
import {
  entryName,
  keyOf,
  mattersForSeed,
  nextStep,
  ovaryEvidence,
  readOvary,
  weigh,
  type Answers,
  type Evidence,
  type Key as IdentificationKey,
  type Measured,
  type Question,
} from '@core/key';
import type { Flower, State } from '@core/ledger';
import { flowersOn, plantName, type Growing } from '@core/patch';
import { addDays, localDateOf } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { BESIDE, Card, Button, Notice, Row, Stepper, Tile, Tiles } from '../controls';
import { FlowerDrawing, SketchDrawing } from '../drawings/FlowerDrawing';
import { Page } from '../Page';
import { rem } from '../rem';
import { Txt, useIsWide } from '../theme';
import { useShortcuts } from '../useShortcuts';
import { Verdict } from './Verdict';

export interface KeyRunProps {
  readonly crop: Crop;
  /** The plant one stands at, from the walk; the verdict can then be taken over. */
  readonly growing: Growing | null;
  readonly onLeave: () => void;
}

/** The key for one crop: question by question to a verdict, every answer open to change. */
export function KeyRun({ crop, growing, onLeave }: KeyRunProps) {
  const { state, place } = useGarden();
  const wide = useIsWide();
  const [answers, setAnswers] = useState<Answers>({});
  const [ovaryMm, setOvaryMm] = useState<number | null>(null);
  const system = growing?.variety.system ?? null;
  const key = useMemo(() => keyOf(crop.id, system), [crop.id, system]);
  const shape = growing?.variety.shape ?? crop.usualShape;
  const measured = useMemo(
    () => (growing ? measuredOn(state, growing.variety.id, place.zone) : []),
    [state, growing, place.zone],
  );
  const reading = ovaryMm === null ? null : readOvary(ovaryMm, measured);
  const evidence = reading ? ovaryEvidence(key, reading) : undefined;
  const seed = growing === null || growing.stand.reason !== 'fruit';
  const step = nextStep(key, answers, { evidence, matters: seed ? mattersForSeed : undefined });
  const asking = step.kind === 'ask' ? step.question : null;
  const give = (question: Question, answer: string | null) =>
    setAnswers((before) => ({ ...before, [question.id]: answer }));
  const back = () => setAnswers((before) => Object.fromEntries(Object.entries(before).slice(0, -1)));
  useShortcuts(
    useMemo(
      () =>
        asking
          ? Object.fromEntries([
              ...asking.answers.map(({ id }, i) => [String(i + 1), () => give(asking, id)] as const),
              ['0', () => give(asking, null)] as const,
            ])
          : {},
      [asking],
    ),
  );
  const given = Object.keys(answers).length;
  const female =
    crop.family === 'cucurbit' &&
    growing !== null &&
    (asking ? answers.below === 'swelling' : step.kind !== 'ask');
  return (
    <Page
      title="What am I looking at?"
      over={`${growing ? plantName(growing) : crop.name} · ${asking ? `question ${given + 1}` : `${given} answers`}`}
      corner={<Button title="Leave" look="quiet" small label="Leave the key" onPress={onLeave} />}
      side={
        <>
          {wide && asking ? <SoFar keyed={key} answers={answers} evidence={evidence} shape={shape} /> : null}
          {given > 0 ? (
            <Given
              questions={key.questions}
              answers={answers}
              onDrop={(id) => setAnswers(without(answers, id))}
            />
          ) : null}
          {female ? (
            <Card>
              <Stepper
                label="Measure the ovary, mm (may be left out)"
                value={ovaryMm ?? typical(measured)}
                unset={ovaryMm === null}
                least={1}
                most={200}
                onChange={setOvaryMm}
              />
              <Txt size="label" tone="muted">
                {ovaryWords(
                  growing.variety.name,
                  reading?.opened ?? null,
                  reading?.odds ?? null,
                  measured.length,
                )}
              </Txt>
            </Card>
          ) : null}
        </>
      }
      foot={
        asking ? (
          <Row gap={8} style={{ flexWrap: 'nowrap' }}>
            <Button title="Back" disabled={given === 0} onPress={back} />
            <Button title="Can’t tell" grow onPress={() => give(asking, null)} />
          </Row>
        ) : undefined
      }
    >
      {step.clash ? (
        <Notice
          tone="brick"
          title="These two do not go together"
          text={`“${answerWords(step.clash.first, answers)}” and “${answerWords(step.clash.second, answers)}” are never seen on one flower of ${crop.plural}. Look at one of them again.`}
        >
          {[step.clash.first, step.clash.second].map((question) => (
            <Button
              key={question.id}
              small
              title={`Again: ${question.text}`}
              onPress={() => setAnswers(without(answers, question.id))}
            />
          ))}
        </Notice>
      ) : null}
      {step.kind === 'ask' ? (
        <Card>
          {step.confirming ? (
            <Txt size="label" tone="muted">
              One more, to be certain before you shut it:
            </Txt>
          ) : null}
          <Txt size="heading">{step.question.text}</Txt>
          <Tiles question={step.question.text} hideQuestion>
            {step.question.answers.map(({ id, words, picture }) => (
              <Tile
                key={id}
                title={words}
                chosen={false}
                onPress={() => give(step.question, id)}
                minWidth={100}
                picture={
                  typeof picture === 'string' ? (
                    <SketchDrawing sketch={picture} petals={crop.petals} size={wide ? 150 : 112} />
                  ) : (
                    <FlowerDrawing
                      crop={crop.id}
                      sex={picture.sex}
                      appearance={picture.stage}
                      view={picture.view}
                      shape={shape}
                      system={system ?? undefined}
                      size={wide ? 150 : 112}
                    />
                  )
                }
              />
            ))}
          </Tiles>
        </Card>
      ) : (
        <Verdict
          step={step}
          answers={answers}
          keyed={key}
          crop={crop}
          growing={growing}
          shape={shape}
          ovaryMm={ovaryMm}
          onAgain={() => {
            setAnswers({});
            setOvaryMm(null);
          }}
        />
      )}
    </Page>
  );
}

/** On a wide screen: what it may be after the answers so far. */
function SoFar({
  keyed,
  answers,
  evidence,
  shape,
}: {
  keyed: IdentificationKey;
  answers: Answers;
  evidence?: Evidence;
  shape: FruitShape;
}) {
  const weights = weigh(keyed, answers, evidence);
  const ranked = keyed.entries
    .map((entry, i) => ({ entry, chance: weights[i] ?? 0 }))
    .sort((a, b) => b.chance - a.chance)
    .slice(0, 5);
  return (
    <Card>
      <Txt size="strong">It may be</Txt>
      <Row gap={12}>
        {ranked.map(({ entry, chance }) => (
          <View key={entry.id} style={{ alignItems: 'center', width: rem(92) }}>
            <FlowerDrawing
              crop={entry.crop}
              sex={entry.sex}
              appearance={entry.stage}
              shape={shape}
              size={84}
            />
            <Txt size="label" style={{ textAlign: 'center' }}>
              {entryName(entry)}
            </Txt>
            <Txt size="label" tone="muted">
              {Math.round(chance * 100)} in 100
            </Txt>
          </View>
        ))}
      </Row>
    </Card>
  );
}

const without = (answers: Answers, id: string): Answers =>
  Object.fromEntries(Object.entries(answers).filter(([each]) => each !== id));

const answerWords = (question: Question, answers: Answers): string =>
  question.answers.find(({ id }) => id === answers[question.id])?.words ?? 'can’t tell';

function Given({
  questions,
  answers,
  onDrop,
}: {
  questions: readonly Question[];
  answers: Answers;
  onDrop: (id: string) => void;
}) {
  return (
    <Card>
      <Txt size="strong">So far</Txt>
      {Object.keys(answers).map((id) => {
        const question = questions.find((each) => each.id === id);
        if (!question) return null;
        return (
          <Row key={id}>
            <View style={BESIDE}>
              <Txt size="label" tone="muted">
                {question.text}
              </Txt>
              <Txt>{answerWords(question, answers)}</Txt>
            </View>
            <Button title="Change" small label={`Change: ${question.text}`} onPress={() => onDrop(id)} />
          </Row>
        );
      })}
    </Card>
  );
}

/** Ovaries measured on a variety, with whether the flower opened the next day. */
function measuredOn(state: State, variety: string, zone: string): Measured[] {
  const stands = new Set(
    [...state.stands.values()].filter((stand) => stand.variety === variety).map(({ id }) => id),
  );
  const plants = [...state.plants.values()].filter(({ stand }) => stands.has(stand));
  return plants.flatMap((plant) =>
    flowersOn(state, plant.id).flatMap((flower) =>
      flower.sightings.flatMap(({ at, ovaryMm }) => {
        const next = ovaryMm === null ? null : openedNextMorning(flower, at, zone);
        return ovaryMm === null || next === null ? [] : [{ ovaryMm, openedNextDay: next }];
      }),
    ),
  );
}

function openedNextMorning(flower: Flower, at: string, zone: string): boolean | null {
  const { from, to } = openedBetween(flower, zone, false);
  const next = addDays(localDateOf(Date.parse(at), zone), 1);
  if (from === next && to === next) return true;
  if (from !== null && from > next) return false;
  return to !== null && to < next ? false : null;
}

const typical = (measured: readonly Measured[]): number =>
  measured.length === 0
    ? 25
    : Math.round(measured.reduce((sum, { ovaryMm }) => sum + ovaryMm, 0) / measured.length);

function ovaryWords(
  variety: string,
  opened: { least: number; most: number; count: number } | null,
  odds: number | null,
  known: number,
): string {
  if (known === 0)
    return `No ovary of ${variety} has been measured yet. What you measure on the walk is compared here later.`;
  if (!opened) return `Measured on ${variety} so far: ${known}. Set a length to compare it.`;
  const range = `Those of ${variety} that opened next day measured ${opened.least}–${opened.most} mm (${opened.count}).`;
  if (odds === null) return `${range} Too few yet to weigh.`;
  return `${range} This length makes tomorrow ${odds >= 1 ? `${odds.toFixed(1)} times likelier` : `${(1 / odds).toFixed(1)} times less likely`}.`;
}
