import { View } from 'react-native';
import { growing } from '@core/patch';
import { marksWorn, type FindMark, type MarkFound } from '@core/purity';
import type { Flower } from '@core/ledger';
import { localDateOf, shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useNextMark } from '@/data/garden/nextMark';
import { useRecording } from '@/data/garden/useRecording';
import { BESIDE, Row, Button, Card, Notice } from '../controls';
import { flowerAppearance } from '../drawings/appearance';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { Txt } from '../theme';
import { causeWords, flowerText } from '../words';
import { wrongWords } from './words';

export interface FoundMarkProps {
  readonly found: FindMark;
  readonly onProof: (flower: Flower) => void;
  readonly onPlant: (flower: Flower) => void;
  /** Another mark is tried instead. */
  readonly onMark: (mark: string) => void;
}

/** Where a mark leads: to its fruit, to two that carry it, or to the marks that are written most nearly so. */
export function FoundMark({ found, onMark, ...go }: FoundMarkProps) {
  if (found.kind === 'found') {
    const worn = found.fruits.filter(({ still }) => still);
    return (
      <>
        {worn.length > 1 ? (
          <Notice
            tone="brick"
            text={`${worn[0]?.mark} is on ${worn.length} fruits. Go and see which one it hangs on, and say so at the other.`}
          />
        ) : null}
        {found.fruits.map((each) => (
          <FoundFruit key={each.flower} found={each} twice={worn.length > 1 && each.still} {...go} />
        ))}
      </>
    );
  }
  return (
    <Card>
      <Txt role="status">{wrongWords(found)}</Txt>
      {found.nearest.length > 0 ? (
        <>
          <Txt size="label" tone="muted">
            The nearest on record
          </Txt>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}>
            {[...new Set(found.nearest.map(({ mark }) => mark))].map((mark) => (
              <Button key={mark} title={mark} small onPress={() => onMark(mark)} />
            ))}
          </View>
        </>
      ) : null}
    </Card>
  );
}

function FoundFruit({
  found: { mark, flower: id, still },
  twice,
  onProof,
  onPlant,
}: { found: MarkFound; twice: boolean } & Pick<FoundMarkProps, 'onProof' | 'onPlant'>) {
  const { state, place } = useGarden();
  const { busy, problem, save } = useRecording();
  const next = useNextMark();
  const flower = state.flowers.get(id);
  const found = flower && growing(state, flower.plant);
  if (!flower || !found) return null;
  const name = flowerText(found, flower);
  return (
    <Card>
      <Row gap={10}>
        <FlowerDrawing
          {...flowerAppearance(flower, found.crop, place.zone)}
          shape={found.variety.shape}
          crop={found.crop.id}
          size={64}
        />
        <View style={BESIDE}>
          <Txt size="heading">{name}</Txt>
          <Txt size="label" tone="muted">
            {[found.bed.name, ...fateWords(flower, place.zone)].join(' · ')}
          </Txt>
        </View>
      </Row>
      {problem ? <Notice tone="brick" text={problem} /> : null}
      {still ? null : (
        <Txt>
          {flower.mark
            ? `${mark} was its mark before; now it carries ${flower.mark}.`
            : `${mark} was its mark; it is gone.`}
        </Txt>
      )}
      {twice ? (
        <Button
          title={`It is not on this one: ${next} goes on`}
          label={`${mark} is not on ${name}: mark ${next} goes on`}
          busy={busy}
          onPress={() =>
            void save(
              { kind: 'markLost', flower: flower.id, mark },
              { kind: 'marked', flower: flower.id, mark: next },
            )
          }
        />
      ) : null}
      <TwoMarks flower={flower} name={name} />
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <Button title="Proof" label={`Proof of ${name}`} grow onPress={() => onProof(flower)} />
        <Button title="Its plant" label={`The plant of ${name}`} grow onPress={() => onPlant(flower)} />
      </View>
    </Card>
  );
}

/** A fruit that was marked twice: asked which mark hangs, as the other would be found on the ground one day and taken for its own. */
export function TwoMarks({ flower, name }: { flower: Flower; name: string }) {
  const { busy, save } = useRecording();
  const worn = marksWorn(flower);
  if (worn.length < 2) return null;
  return (
    <>
      <Notice
        tone="pollen"
        text={`${name} was marked ${worn.join(' and ')}. One fruit has one mark: take the other off, and say which is gone.`}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}>
        {worn.map((mark) => (
          <Button
            key={mark}
            title={`${mark} is off`}
            label={`${mark} is off ${name}`}
            small
            busy={busy}
            onPress={() => void save({ kind: 'markLost', flower: flower.id, mark })}
          />
        ))}
      </View>
    </>
  );
}

function fateWords({ pollinations, lost, harvested }: Flower, zone: string): readonly string[] {
  const day = (at: string) => shortDayText(localDateOf(Date.parse(at), zone));
  const worked = pollinations.at(-1);
  return [
    ...(worked ? [`worked ${day(worked.at)}`] : []),
    ...(lost ? [`lost ${day(lost.at)}: ${causeWords[lost.cause]}`] : []),
    ...(harvested ? [`picked ${day(harvested.at)}`] : []),
  ];
}
