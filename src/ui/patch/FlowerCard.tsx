import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { isEdible, reasonsOf } from '@core/crops';
import { expectOn, fateOf, workedOn } from '@core/fruitset';
import { tooLateForSeed } from '@core/goals';
import {
  LOOK_RESULTS,
  standings,
  workedForKitchen,
  type Flower,
  type LedgerEvent,
  type LookResult,
} from '@core/ledger';
import { plantName, reasonFor, type Growing } from '@core/patch';
import { markMissing } from '@core/purity';
import { clockText, daysBetween, localDateOf, shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useNextMark } from '@/data/garden/nextMark';
import { Badge, Card, Field, Button, Notice, Row, Tile, Tiles } from '../controls';
import { CauseSheet } from '../fruit/CauseSheet';
import { Txt, useColours } from '../theme';
import { FitnessLine } from './FitnessLine';
import { MendSheet } from './MendSheet';
import { storyWords } from './storyWords';
import { fateText, flowerPlace, lookWords, plural, reasonWords, sexWords } from '../words';

const MM_PER_INCH = 25.4;

/** The story of one flower, entry by entry; what was wrong can be put right or taken back, and stays on record. */
export function FlowerCard({ flower, growing }: { flower: Flower; growing: Growing }) {
  const { state, place, today, prefs, patch, record } = useGarden();
  const colours = useColours();
  const [asking, setAsking] = useState<LookResult | 'lost' | null>(null);
  const [mending, setMending] = useState<LedgerEvent | null>(null);
  const [size, setSize] = useState('');
  const fate = fateOf(flower, growing.crop, place.zone, today);
  const day0 = workedOn(flower, place.zone);
  const day = day0 ? daysBetween(day0, today) : null;
  const story = standings(state.log.get(flower.id) ?? []).filter(
    ({ event }) => event.kind !== 'withdrawn' && event.kind !== 'corrected',
  );
  const late = useMemo(
    () => tooLateForSeed(state, place, flower, growing.stand, today),
    [state, place, flower, growing.stand, today],
  );
  const us = prefs.units === 'us';
  const typed = Number(size.replace(',', '.'));
  const sizeMm =
    size.trim() === '' || !(typed >= 0) ? null : Math.min(5000, us ? typed * MM_PER_INCH : typed);
  const mark = useNextMark();
  const owed = markMissing(flower, patch?.schools.marking === 'when-growing');
  const mayMark =
    flower.mark === null &&
    flower.pollinations.at(-1)?.purpose === 'seed' &&
    !flower.lost &&
    !flower.harvested;
  const look = (result: LookResult) => {
    if (result === 'yellowing' || result === 'gone') setAsking(result);
    else {
      setSize('');
      void record({ kind: 'lookedAt', flower: flower.id, result, sizeMm });
    }
  };
  return (
    <Card>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center', gap: 8 }}>
        <Txt size="heading">
          {sexWords[flower.sex]}, {flowerPlace(flower)}
          {flower.mark ? ` · ${flower.mark}` : ''}
        </Txt>
        {fate ? (
          <Badge
            text={fateText(fate, growing)}
            tone={
              fate === 'set' ? 'leaf' : fate === 'waiting' || fate === 'not-looked-at' ? 'pollen' : 'brick'
            }
          />
        ) : null}
      </View>
      {reasonFor(flower, growing) !== 'fruit' && flower.shuttings.length + flower.pollinations.length > 0 ? (
        <FitnessLine flower={flower} />
      ) : null}
      {late ? (
        <Notice
          tone="pollen"
          text={`Worked after ${shortDayText(late.by)}: its seed would not be ripe by ${shortDayText(late.until)}. It counts for the kitchen.`}
        />
      ) : null}
      {story.length === 0 ? <Txt tone="muted">An old record: its entries are in the export.</Txt> : null}
      {story.map((standing) => {
        const { event, withdrawnBy, corrections } = standing;
        const at = Date.parse(event.at);
        return (
          <View
            key={standing.original.id}
            style={{
              flexDirection: 'row',
              gap: 8,
              alignItems: 'center',
              borderTopWidth: 1,
              borderTopColor: colours.rule,
              paddingTop: 6,
              opacity: withdrawnBy ? 0.75 : 1,
            }}
          >
            <View style={{ flex: 1 }}>
              <Txt style={withdrawnBy ? { textDecorationLine: 'line-through' } : null}>
                {storyWords(state, event)}
              </Txt>
              <Txt size="label" tone="muted">
                {shortDayText(localDateOf(at, place.zone))} {clockText(at, place.zone, prefs.clock === '12')}{' '}
                · {event.by}
                {corrections.length > 0 ? ` · corrected ${plural(corrections.length, 'time')}` : ''}
                {withdrawnBy ? ' · taken back' : ''}
              </Txt>
            </View>
            {withdrawnBy ? (
              <Button
                title="Bring back"
                look="quiet"
                small
                onPress={() => void record({ kind: 'withdrawn', subject: flower.id, target: withdrawnBy.id })}
              />
            ) : (
              <Button
                title="Mend"
                look="quiet"
                small
                label={`Mend: ${storyWords(state, event)}`}
                onPress={() => setMending(event)}
              />
            )}
          </View>
        );
      })}
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
      {flower.sex !== 'male' && !flower.lost && !flower.harvested && reasonsOf(growing.crop).length > 1 ? (
        <Tiles question="This flower is for">
          {reasonsOf(growing.crop)
            .filter((each) => each !== 'cross' || growing.stand.reason === 'cross')
            .map((each) => (
              <Tile
                key={each}
                title={reasonWords[each]}
                small
                chosen={reasonFor(flower, growing) === each}
                onPress={() => void record({ kind: 'reasonSet', subject: flower.id, reason: each })}
              />
            ))}
        </Tiles>
      ) : null}
      {fate !== null && !flower.harvested ? (
        <>
          {day !== null && fate !== 'set' ? (
            <Txt size="label" tone="muted">
              {expectOn(growing.crop, day)}
            </Txt>
          ) : null}
          <Tiles question={`How is it now${day === null ? '' : `, day ${day}`}?`}>
            {LOOK_RESULTS.map((result) => (
              <Tile key={result} title={lookWords[result]} chosen={false} onPress={() => look(result)} />
            ))}
          </Tiles>
          <Field
            label={`Size, ${us ? 'inches' : 'mm'} (may be left out; write it first)`}
            value={size}
            onChange={setSize}
            keyboard="decimal-pad"
          />
          <Row>
            {flower.coverOffAt ||
            [null, undefined, 'open'].includes(flower.pollinations.at(-1)?.shutAgain) ? null : (
              <Button
                title="Cover taken off"
                small
                onPress={() => void record({ kind: 'coverOff', flower: flower.id })}
              />
            )}
            {isEdible(growing.crop) ? (
              <Button
                title="Harvested for the kitchen"
                small
                onPress={() =>
                  void record({ kind: 'harvested', flower: flower.id, harvestFor: 'kitchen', weightG: null })
                }
              />
            ) : null}
            <Button
              title="Harvested for seed"
              small
              onPress={() =>
                void record({ kind: 'harvested', flower: flower.id, harvestFor: 'seed', weightG: null })
              }
            />
          </Row>
          <Txt size="label" tone="muted">
            {growing.crop.caution}
          </Txt>
        </>
      ) : null}
      {flower.sex !== 'male' && fate === null && !flower.lost && isEdible(growing.crop) ? (
        <Button
          title="Pollinated now, for the kitchen"
          small
          onPress={() => void record(workedForKitchen(flower.id))}
        />
      ) : null}
      {flower.lost || flower.harvested ? null : (
        <Button title="It was lost" look="danger" small onPress={() => setAsking('lost')} />
      )}
      <CauseSheet
        open={asking !== null}
        title={`${plantName(growing)}, ${flowerPlace(flower)}: what happened?`}
        crop={{ shape: growing.variety.shape }}
        onClose={() => setAsking(null)}
        onWait={
          asking === 'yellowing' && day !== null && day < growing.crop.verdictDay.value
            ? () => {
                setAsking(null);
                void record({ kind: 'lookedAt', flower: flower.id, result: 'yellowing', sizeMm });
              }
            : undefined
        }
        onCause={(cause) => {
          const seen =
            asking === 'lost' || asking === null
              ? []
              : [{ kind: 'lookedAt' as const, flower: flower.id, result: asking, sizeMm: null }];
          setAsking(null);
          void record(...seen, { kind: 'lost', flower: flower.id, cause });
        }}
      />
      {mending ? (
        <MendSheet event={mending} flower={flower} growing={growing} onClose={() => setMending(null)} />
      ) : null}
    </Card>
  );
}
