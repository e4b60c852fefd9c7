import { useMemo, useState } from 'react';
import { isEdible, reasonsOf } from '@core/crops';
import { fateOf } from '@core/fruitset';
import { ripeNow, tooLateForSeed } from '@core/goals';
import { workedForKitchen, type Flower, type LedgerEvent } from '@core/ledger';
import { reasonFor, type Growing } from '@core/patch';
import { bearsSeed, markMissing } from '@core/purity';
import { shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useNextMark } from '@/data/garden/nextMark';
import { BETWEEN, Badge, Button, Card, Notice, Row, Tile, Tiles } from '../controls';
import { CauseSheet } from '../fruit/CauseSheet';
import { ripeLine, ripeWords } from '../fruit/ripeWords';
import { Txt } from '../theme';
import { useAskHour } from '../useAskHour';
import { fateText, flowerPlace, flowerText, reasonWords, partName } from '../words';
import { FitnessLine } from './FitnessLine';
import { Story } from './FlowerStory';
import { HowIsIt } from './HowIsIt';
import { MendSheet } from './MendSheet';

/** The story of one flower, entry by entry; what was wrong can be put right or taken back, and stays on record. */
export function FlowerCard({
  flower,
  growing,
  onProof,
}: {
  flower: Flower;
  growing: Growing;
  onProof?: () => void;
}) {
  const { state, place, today, patch, record } = useGarden();
  const [losing, setLosing] = useState(false);
  const [mending, setMending] = useState<LedgerEvent | null>(null);
  const fate = fateOf(flower, growing.crop, place.zone, today);
  const late = useMemo(
    () => tooLateForSeed(state, place, flower, growing.stand, today),
    [state, place, flower, growing.stand, today],
  );
  const ripe = useMemo(
    () => ripeNow(state, place, flower, growing, today),
    [state, place, flower, growing, today],
  );
  const hour = useAskHour(growing.crop);
  const mark = useNextMark();
  const owed = markMissing(flower, patch?.schools.marking === 'when-growing');
  const of = useMemo(() => ({ flower, growing }), [flower, growing]);
  const over = flower.lost !== null || flower.harvested !== null;
  const forSeed =
    flower.pollinations.at(-1)?.purpose === 'seed' ||
    (flower.pollinations.length === 0 && flower.left !== null && reasonFor(flower, growing) === 'seed');
  const mayMark = flower.mark === null && forSeed && !over;
  return (
    <Card>
      <Heading flower={flower} growing={growing} />
      {reasonFor(flower, growing) !== 'fruit' &&
      (flower.shuttings.length + flower.pollinations.length > 0 || bearsSeed(flower)) ? (
        <>
          <FitnessLine flower={flower} />
          {onProof && flower.sex !== 'male' && (flower.pollinations.length > 0 || bearsSeed(flower)) ? (
            <Button title="Its proof, link by link" look="quiet" small onPress={onProof} />
          ) : null}
        </>
      ) : null}
      {late ? (
        <Notice
          tone="pollen"
          text={`Worked after ${shortDayText(late.by)}: its seed would not be ripe by ${shortDayText(late.until)}. It counts for the kitchen.`}
        />
      ) : null}
      {ripe ? <Notice tone="leaf" text={`${ripeLine(ripe)}. ${ripeWords(ripe)}`} /> : null}
      <Story flower={flower} onMend={setMending} />
      {mayMark ? (
        <Notice
          tone={owed ? 'pollen' : 'leaf'}
          text={
            owed
              ? 'It has no mark yet: nothing else will tell it from the rest.'
              : 'It can have its mark now, or once it grows.'
          }
        >
          <Button
            title={`Put mark ${mark} on`}
            small
            onPress={() => void record({ kind: 'marked', flower: flower.id, mark })}
          />
        </Notice>
      ) : null}
      {flower.sex !== 'male' && !over && reasonsOf(growing.crop).length > 1 ? (
        <ReasonTiles flower={flower} growing={growing} />
      ) : null}
      {fate !== null && !flower.harvested ? <HowIsIt flower={flower} growing={growing} /> : null}
      {flower.sex !== 'male' && fate === null && !flower.lost && isEdible(growing.crop) ? (
        <Row>
          <Button
            title="Pollinated now, for the kitchen"
            small
            onPress={() => hour.ask(() => void record(workedForKitchen(flower.id)))}
          />
          {growing.crop.family === 'corn' ? null : (
            <Button
              title="Left to the insects"
              small
              onPress={() => void record({ kind: 'leftOpen', flower: flower.id })}
            />
          )}
        </Row>
      ) : null}
      {hour.sheet}
      {over ? null : <Button title="It was lost" look="danger" small onPress={() => setLosing(true)} />}
      <CauseSheet
        open={losing}
        title={`${flowerText(growing, flower)}: what happened?`}
        of={losing ? of : null}
        onClose={() => setLosing(false)}
        onCause={(cause) => {
          setLosing(false);
          void record({ kind: 'lost', flower: flower.id, cause });
        }}
      />
      {mending ? (
        <MendSheet event={mending} flower={flower} growing={growing} onClose={() => setMending(null)} />
      ) : null}
    </Card>
  );
}

interface Of {
  readonly flower: Flower;
  readonly growing: Growing;
}

function Heading({ flower, growing }: Of) {
  const { place, today } = useGarden();
  const fate = fateOf(flower, growing.crop, place.zone, today);
  return (
    <Row style={BETWEEN}>
      <Txt size="heading">
        {[partName(growing.crop, flower.sex), flowerPlace(flower)].filter(Boolean).join(', ')}
        {flower.mark ? ` · ${flower.mark}` : ''}
      </Txt>
      {fate ? (
        <Badge
          text={fateText(fate, growing)}
          tone={fate === 'set' ? 'leaf' : fate === 'waiting' || fate === 'not-looked-at' ? 'pollen' : 'brick'}
        />
      ) : null}
    </Row>
  );
}

function ReasonTiles({ flower, growing }: Of) {
  const { record } = useGarden();
  return (
    <Tiles question="This flower is for">
      {reasonsOf(growing.crop)
        .filter((reason) => reason !== 'cross' || growing.stand.reason === 'cross')
        .map((reason) => (
          <Tile
            key={reason}
            title={reasonWords[reason]}
            small
            chosen={reasonFor(flower, growing) === reason}
            onPress={() => void record({ kind: 'reasonSet', subject: flower.id, reason })}
          />
        ))}
    </Tiles>
  );
}
