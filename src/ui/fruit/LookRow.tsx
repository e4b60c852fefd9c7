import { useState } from 'react';
import { View } from 'react-native';
import { overripeWords } from '@core/crops';
import { LOOK_RESULTS, type LookResult } from '@core/ledger';
import { expectOn } from '@core/fruitset';
import type { OwedLook } from '@core/rounds';
import { reasonFor } from '@core/patch';
import { DEMO_SEED, lookOn, trueOutcome } from '@core/simulation';
import { localDateOf, shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useNextMark } from '@/data/garden/nextMark';
import { BESIDE, Row, Badge, Card, Button, Tile, Tiles } from '../controls';
import { flowerAppearance } from '../drawings/appearance';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { Txt } from '../theme';
import { useFlowerText } from '../useFlowerText';
import { lookWords } from '../words';
import { GourdScale } from './GourdScale';
import { SizeTiles } from './SizeAsk';
import { useHarvest } from './useHarvest';

/** One fruit and the four things it can have done. */
export function LookRow({
  owed: { flower, growing, due },
  onAnswer,
  markWhenGrowing,
}: {
  owed: OwedLook;
  onAnswer: (result: LookResult, sizeMm: number | null, markRead: boolean | null) => void;
  markWhenGrowing: boolean;
}) {
  const { state, place, demo, prefs, record } = useGarden();
  const mark = useNextMark();
  const nameOf = useFlowerText();
  const harvest = useHarvest({ flower, growing });
  const [sizeMm, setSizeMm] = useState<number | null>(null);
  const [sizing, setSizing] = useState(false);
  const [markRead, setMarkRead] = useState<boolean | null>(null);
  const read = markRead === null ? {} : { markRead };
  const last = flower.looks.at(-1);
  const { crop, variety } = growing;
  const { shutAgain = null, purpose } = flower.pollinations.at(-1) ?? {};
  const overripe = due.verdict && purpose === 'seed' ? overripeWords(crop, variety.traits) : null;
  // Once the fruit plainly grows the cover comes off and the lasting mark goes on (common practice).
  const covered = due.verdict && flower.coverOffAt === null && shutAgain !== null && shutAgain !== 'open';
  const unmarked = flower.mark === null && purpose === 'seed' && (markWhenGrowing || due.verdict);
  const toDo = [covered ? 'cover off' : null, unmarked ? `mark ${mark} on` : null].filter(
    (each) => each !== null,
  );
  return (
    <Card>
      {harvest.sheet}
      <Row gap={10}>
        <FlowerDrawing
          {...flowerAppearance(flower, crop, place.zone)}
          shape={variety.shape}
          crop={crop.id}
          size={64}
        />
        <View style={BESIDE}>
          <Txt size="strong">{nameOf(growing, flower)}</Txt>
          <Txt size="label" tone="muted">
            {growing.bed.name}
            {flower.mark ? ` · mark ${flower.mark}` : ''}
            {flower.pollinations.length === 0 ? ' · left to insects' : ''}
            {last
              ? ` · last ${lookWords[last.result]}, ${shortDayText(localDateOf(Date.parse(last.at), place.zone))}`
              : ''}
          </Txt>
        </View>
        <Badge
          text={`day ${due.day}${due.verdict ? ' · verdict' : ''}`}
          tone={due.verdict ? 'pollen' : 'dusk'}
        />
      </Row>
      <Txt size="label" tone="muted">
        {expectOn(crop, due.day)}
      </Txt>
      {overripe ? (
        <Txt size="label" tone="muted">
          {overripe}
        </Txt>
      ) : null}
      {crop.id === 'bottle-gourd' && due.day >= 4 && due.day <= 6 ? (
        <GourdScale length={(mm) => (prefs.units === 'us' ? `${Math.round(mm / 25.4)} in` : `${mm} mm`)} />
      ) : null}
      {demo ? (
        <Txt
          size="label"
          tone="muted"
        >{`In the demo patch you see: ${lookWords[lookOn(DEMO_SEED, flower, growing, trueOutcome(state, DEMO_SEED, flower, growing, place.zone), due.day)]}.`}</Txt>
      ) : null}
      {sizing ? <SizeTiles us={prefs.units === 'us'} sizeMm={sizeMm} onSize={setSizeMm} /> : null}
      {flower.mark ? (
        <Tiles question={`The mark ${flower.mark}`}>
          <Tile
            title="read"
            label={`${nameOf(growing, flower)}: mark ${flower.mark} read`}
            small
            chosen={markRead === true}
            onPress={() => setMarkRead(markRead === true ? null : true)}
          />
          <Tile
            title="gone"
            label={`${nameOf(growing, flower)}: mark ${flower.mark} is gone`}
            small
            chosen={false}
            onPress={() => void record({ kind: 'markLost', flower: flower.id })}
          />
        </Tiles>
      ) : null}
      <Tiles question="It is" hideQuestion>
        {LOOK_RESULTS.map((result) => (
          <Tile
            key={result}
            title={lookWords[result]}
            chosen={false}
            onPress={() => onAnswer(result, sizeMm, markRead)}
            label={`${nameOf(growing, flower)}: ${lookWords[result]}`}
            minWidth={74}
          />
        ))}
        <Tile
          title="size …"
          label={`${nameOf(growing, flower)}: say its size first`}
          chosen={sizing}
          onPress={() => setSizing(!sizing)}
          minWidth={74}
        />
        {due.verdict ? (
          <Tile
            title="harvested"
            chosen={false}
            onPress={() =>
              harvest.pick({
                kind: 'harvested',
                flower: flower.id,
                harvestFor: reasonFor(flower, growing) === 'fruit' ? 'kitchen' : 'seed',
                weightG: null,
                ...read,
              })
            }
            label={`${nameOf(growing, flower)}: harvested for ${reasonFor(flower, growing) === 'fruit' ? 'the kitchen' : 'seed'}`}
            minWidth={74}
          />
        ) : null}
      </Tiles>
      {toDo.length > 0 ? (
        <Button
          title={`It grows: ${toDo.join(', ')}`}
          small
          onPress={() =>
            void record(
              { kind: 'lookedAt', flower: flower.id, result: 'growing', sizeMm: null, ...read },
              ...(covered ? [{ kind: 'coverOff' as const, flower: flower.id }] : []),
              ...(unmarked ? [{ kind: 'marked' as const, flower: flower.id, mark }] : []),
            )
          }
        />
      ) : null}
    </Card>
  );
}
