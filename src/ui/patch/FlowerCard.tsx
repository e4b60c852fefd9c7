import { useState } from 'react';
import { View } from 'react-native';
import { isEdible } from '@core/crops';
import { fateOf, workedOn } from '@core/fruitset';
import {
  LOOK_RESULTS,
  standings,
  workedForKitchen,
  type Flower,
  type LedgerEvent,
  type LookResult,
  type State,
} from '@core/ledger';
import { growing as growingOf, plantName, reasonFor, type Growing } from '@core/patch';
import { clockText, daysBetween, localDateOf, shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { Badge, Card, Field, Button, Notice, Row, Sheet, Stepper, Tile, Tiles } from '../controls';
import { CauseSheet } from '../fruit/CauseSheet';
import { Txt, useColours } from '../theme';
import { FitnessLine } from './FitnessLine';
import {
  causeWords,
  checkWords,
  closureWords,
  shutWords,
  fateWords,
  flowerPlace,
  lookWords,
  plural,
  sexWords,
  stageWords,
  toolWords,
} from '../words';

const MM_PER_INCH = 25.4;

/** The story of one flower, entry by entry; what was wrong can be put right or taken back, and stays on record. */
export function FlowerCard({ flower, growing }: { flower: Flower; growing: Growing }) {
  const { state, place, today, prefs, record } = useGarden();
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
  const us = prefs.units === 'us';
  const typed = Number(size.replace(',', '.'));
  const sizeMm =
    size.trim() === '' || !(typed >= 0) ? null : Math.min(5000, us ? typed * MM_PER_INCH : typed);
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
            text={fateWords[fate]}
            tone={
              fate === 'set' ? 'leaf' : fate === 'waiting' || fate === 'not-looked-at' ? 'pollen' : 'brick'
            }
          />
        ) : null}
      </View>
      {reasonFor(flower, growing) !== 'fruit' && flower.shuttings.length + flower.pollinations.length > 0 ? (
        <FitnessLine flower={flower} />
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
      {fate !== null && !flower.harvested ? (
        <>
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
        onCause={(cause) => {
          const seen =
            asking === 'lost' || asking === null
              ? []
              : [{ kind: 'lookedAt' as const, flower: flower.id, result: asking, sizeMm: null }];
          setAsking(null);
          void record(...seen, { kind: 'lost', flower: flower.id, cause });
        }}
      />
      {mending ? <MendSheet event={mending} flower={flower} onClose={() => setMending(null)} /> : null}
    </Card>
  );
}

/** Takes an entry back, or puts its time or node right. What it said before stays in the log. */
function MendSheet({ event, flower, onClose }: { event: LedgerEvent; flower: Flower; onClose: () => void }) {
  const { state, record, now } = useGarden();
  const [minutes, setMinutes] = useState(0);
  const node = event.kind === 'flowerSeen' ? event.node : undefined;
  const [newNode, setNewNode] = useState(node ?? 0);
  const changes = {
    ...(minutes === 0 ? {} : { at: new Date(Date.parse(event.at) - minutes * 60_000).toISOString() }),
    ...(node === undefined || newNode === (node ?? 0) ? {} : { node: newNode }),
  };
  const late = Date.parse(event.at) - minutes * 60_000 > now + 60_000;
  const done = (work: Promise<unknown>) => void work.then(onClose);
  return (
    <Sheet open onClose={onClose} title="Mend this entry">
      <Txt>{storyWords(state, event)}</Txt>
      <Stepper
        label="It was earlier, by minutes"
        value={minutes}
        least={-600}
        most={600}
        onChange={setMinutes}
      />
      {node === undefined ? null : (
        <Stepper label="Node" value={newNode} least={0} most={200} onChange={setNewNode} />
      )}
      {late ? (
        <Notice
          tone="brick"
          text="That is later than now. A flower can only be written down once it was seen. When was it?"
        />
      ) : null}
      <Button
        title="Correct it"
        look="main"
        disabled={Object.keys(changes).length === 0 || late}
        onPress={() => done(record({ kind: 'corrected', subject: flower.id, target: event.id, changes }))}
      />
      <Button
        title="Take it back"
        look="danger"
        onPress={() => done(record({ kind: 'withdrawn', subject: flower.id, target: event.id }))}
      />
      <Txt size="label" tone="muted">
        Nothing is deleted: what it said before stays in the log, as the proof of purity may hang on it.
      </Txt>
    </Sheet>
  );
}

function storyWords(state: State, event: LedgerEvent): string {
  switch (event.kind) {
    case 'flowerSeen':
      return `Seen: ${sexWords[event.sex]}, ${stageWords[event.stage]}${event.node === null ? '' : `, node ${event.node}`}`;
    case 'flowerShut':
      return `Shut with ${closureWords[event.closure]}`;
    case 'closureChecked':
      return `Closure: ${checkWords[event.result]}`;
    case 'pollinated': {
      const fathers = event.fathers.map(({ plant, males }) => {
        const father = growingOf(state, plant);
        return `${father ? plantName(father) : 'a plant'} (${plural(males, 'male')})`;
      });
      return [
        `Pollinated from ${fathers.join(', ') || 'no father written down'}${event.tool ? ` with ${toolWords[event.tool]}` : ''}`,
        event.shutAgain === undefined
          ? 'shut again or not: not recorded'
          : shutWords(event.shutAgain ?? 'open'),
        ...(event.purpose === 'kitchen' ? ['for the kitchen'] : []),
      ].join('; ');
    }
    case 'marked':
      return `Marked ${event.mark}`;
    case 'coverOff':
      return 'Cover taken off';
    case 'lookedAt':
      return `Looked at: ${lookWords[event.result]}${event.sizeMm === null ? '' : `, ${Math.round(event.sizeMm)} mm`}`;
    case 'lost':
      return `Lost: ${causeWords[event.cause]}`;
    case 'harvested':
      return `Harvested for ${event.harvestFor === 'seed' ? 'seed' : 'the kitchen'}`;
    case 'noted':
      return event.text;
    default:
      return event.kind;
  }
}
