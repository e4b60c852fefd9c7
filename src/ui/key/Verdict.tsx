import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { REASONS, stageAdvice, stageFacts, type Crop, type FruitShape, type Reason } from '@core/crops';
import {
  entryName,
  reasons,
  usualConfusion,
  type Answers,
  type Candidate,
  type Entry,
  type Key as IdentificationKey,
  type KeyStep,
} from '@core/key';
import type { Growing } from '@core/patch';
import { bloomDayOf, morningOver } from '@core/bloom';
import { useDraft } from '@/data/device/draft';
import { useGarden } from '@/data/garden/garden';
import { useWeather } from '@/data/weather/weather';
import { BESIDE, Row, Badge, Card, Button, Notice } from '../controls';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { Txt } from '../theme';
import { reasonWords } from '../words';

export interface VerdictProps {
  readonly step: Exclude<KeyStep, { kind: 'ask' }>;
  readonly answers: Answers;
  readonly keyed: IdentificationKey;
  readonly crop: Crop;
  readonly growing: Growing | null;
  readonly shape: FruitShape;
  readonly ovaryMm: number | null;
  readonly onAgain: () => void;
}

const percent = (chance: number) => Math.min(99, Math.round(chance * 100));

/** The end of the key: what it is, how sure, why, what it is mistaken for, and what to do now by reason. */
export function Verdict({ step, answers, keyed, crop, growing, shape, ovaryMm, onAgain }: VerdictProps) {
  const picture = (entry: Entry, size: number) => (
    <FlowerDrawing crop={crop.id} sex={entry.sex} appearance={entry.stage} shape={shape} size={size} />
  );
  if (step.kind === 'not-sure')
    return (
      <Card>
        <Txt size="heading">Not sure</Txt>
        <Txt>
          {step.candidates.length === keyed.entries.length
            ? 'Nothing was seen that tells it. Look again in better light, or tomorrow evening.'
            : 'It is one of these. Look at them beside the flower; tomorrow evening it will have moved on and be easier.'}
        </Txt>
        {step.candidates.slice(0, 5).map((candidate) => (
          <Other
            key={candidate.entry.id}
            candidate={candidate}
            picture={picture(candidate.entry, 64)}
            growing={growing}
            ovaryMm={ovaryMm}
          />
        ))}
        <Notice
          tone="pollen"
          text="When in doubt for seed: shut it. A strip of tape costs less than a lost flower."
        />
        <Button title="Ask me again" onPress={onAgain} />
      </Card>
    );
  const { entry, chance, others } = step;
  const because = reasons(keyed, answers, entry);
  return (
    <>
      <Card>
        <Row gap={14}>
          {picture(entry, 150)}
          <View style={[BESIDE, { gap: 6 }]}>
            <Txt size="title">{entryName(entry)}</Txt>
            <Badge text={`${percent(chance)} % sure`} tone={chance > 0.97 ? 'leaf' : 'pollen'} />
            <Txt size="label" tone="muted">
              {stageFacts(crop, entry.sex, entry.stage)?.looks}
            </Txt>
          </View>
        </Row>
        <Txt>
          Because: {because.for.join('; ')}.
          {because.against.length > 0 ? ` Against it: ${because.against.join('; ')}.` : ''}
        </Txt>
        <Txt tone="muted">{usualConfusion(entry)}</Txt>
        {growing ? <TakeOver entry={entry} growing={growing} ovaryMm={ovaryMm} /> : null}
        <Button title="Another flower" onPress={onAgain} />
      </Card>
      <Advice crop={crop} entry={entry} first={growing?.stand.reason ?? 'seed'} />
      {others.length > 0 ? (
        <Card>
          <Txt size="strong">It could still be</Txt>
          {others.map((candidate) => (
            <Other
              key={candidate.entry.id}
              candidate={candidate}
              picture={picture(candidate.entry, 56)}
              growing={null}
              ovaryMm={null}
            />
          ))}
        </Card>
      ) : null}
    </>
  );
}

function Other({
  candidate: { entry, chance },
  picture,
  growing,
  ovaryMm,
}: {
  candidate: Candidate;
  picture: React.ReactNode;
  growing: Growing | null;
  ovaryMm: number | null;
}) {
  return (
    <Row gap={10}>
      {picture}
      <View style={[BESIDE, { gap: 4 }]}>
        <Txt size="strong">
          {entryName(entry)} · {percent(chance)} in 100
        </Txt>
        {growing ? <TakeOver entry={entry} growing={growing} ovaryMm={ovaryMm} small /> : null}
      </View>
    </Row>
  );
}

/** Sets the walk's answers to what the key found, and goes back to the plant. */
function TakeOver({
  entry,
  growing,
  ovaryMm,
  small,
}: {
  entry: Entry;
  growing: Growing;
  ovaryMm: number | null;
  small?: boolean;
}) {
  const { space, now } = useGarden();
  const router = useRouter();
  const { ready, change } = useDraft<Record<string, unknown>>(`walk/${space}/${growing.plant.id}`, {});
  return (
    <Button
      title={small ? 'Take this one' : `Note a ${entryName(entry)} on the walk`}
      look={small ? 'plain' : 'main'}
      small={small}
      label={`Take over to the walk: ${entryName(entry)}`}
      disabled={!ready}
      onPress={() => {
        change({
          sex: entry.sex,
          stage: entry.stage,
          at: now,
          ...(entry.sex === 'female' && ovaryMm !== null ? { ovaryMm } : {}),
        });
        router.replace('/walk');
      }}
    />
  );
}

/** What to do with it now, by reason; the stand's own reason first. */
function Advice({ crop, entry, first }: { crop: Crop; entry: Entry; first: Reason }) {
  const { state, place, now, today } = useGarden();
  const { weatherOf } = useWeather();
  const part = morningOver(bloomDayOf(state, place, today, weatherOf), [crop], now) ? 'evening' : 'morning';
  const order = [first, ...REASONS.filter((reason) => reason !== first)];
  const grouped: { words: string; reasons: Reason[] }[] = [];
  for (const reason of order) {
    const { words } = stageAdvice(crop, entry.sex, entry.stage, reason, part);
    const same = grouped.find((each) => each.words === words);
    if (same) same.reasons.push(reason);
    else grouped.push({ words, reasons: [reason] });
  }
  return (
    <Card>
      <Txt size="heading">{part === 'morning' ? 'Now' : 'Tonight'}</Txt>
      {grouped.map(({ words, reasons: forWhat }) => (
        <View key={words}>
          <Txt size="strong">For {forWhat.map((reason) => reasonWords[reason]).join(', ')}</Txt>
          <Txt>{words}</Txt>
        </View>
      ))}
      {crop.family === 'nightshade' || crop.id === 'bitter-gourd' || crop.family === 'corn' ? (
        <Txt size="label" tone="muted">
          {crop.caution}
        </Txt>
      ) : null}
    </Card>
  );
}
