import { useMemo, useState } from 'react';
import { isEdible } from '@core/crops';
import { expectOn, fateOf, sizesOf, usualSizes, workedOn } from '@core/fruitset';
import { LOOK_RESULTS, PROPS, type Flower, type LookResult } from '@core/ledger';
import { wantsBearing, type Growing } from '@core/patch';
import { daysBetween } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { Button, Notice, Row, Tile, Tiles } from '../controls';
import { GrowthChart } from '../charts/GrowthChart';
import { CauseSheet } from '../fruit/CauseSheet';
import { SizeAsk } from '../fruit/SizeAsk';
import { useHarvest } from '../fruit/useHarvest';
import { SprayNotice } from '../care/SprayNotice';
import { Txt } from '../theme';
import { flowerText, lookWords, propWords } from '../words';

/** A look at one worked flower: how it is, its size, its harvest; the cause is asked where it failed. */
export function HowIsIt({ flower, growing }: { flower: Flower; growing: Growing }) {
  const { state, place, today, prefs, record } = useGarden();
  const [asking, setAsking] = useState<LookResult | null>(null);
  const [sizeMm, setSizeMm] = useState<number | null>(null);
  const fate = fateOf(flower, growing.crop, place.zone, today);
  const day0 = workedOn(flower, place.zone);
  const day = day0 ? daysBetween(day0, today) : null;
  const harvest = useHarvest({ flower, growing });
  const us = prefs.units === 'us';
  const of = useMemo(() => ({ flower, growing }), [flower, growing]);
  const own = useMemo(() => sizesOf(flower, place.zone), [flower, place.zone]);
  const usual = useMemo(
    () => (own.length > 0 ? usualSizes(state, growing.variety.id, place.zone) : []),
    [own, state, growing.variety.id, place.zone],
  );
  const look = (result: LookResult) => {
    if (result === 'yellowing' || result === 'gone') setAsking(result);
    else {
      setSizeMm(null);
      void record({ kind: 'lookedAt', flower: flower.id, result, sizeMm });
    }
  };
  return (
    <>
      {day !== null && fate !== 'set' ? (
        <Txt size="label" tone="muted">
          {expectOn(growing.crop, day)}
        </Txt>
      ) : null}
      <SizeAsk us={us} sizeMm={sizeMm} onSize={setSizeMm} />
      <Tiles question={`How is it now${day === null ? '' : `, day ${day}`}?`}>
        {LOOK_RESULTS.map((result) => (
          <Tile key={result} title={lookWords[result]} chosen={false} onPress={() => look(result)} />
        ))}
      </Tiles>
      {fate === 'set' && wantsBearing(flower, growing.crop.id) ? (
        <Notice
          tone="pollen"
          text="It is as big as an apple by now. Where it hangs, give it a sling before its weight tears the stem; where it lies, put straw or a board under it."
        />
      ) : null}
      {fate === 'set' && growing.crop.family === 'cucurbit' ? (
        <Tiles question="What bears it?">
          {PROPS.map((prop) => (
            <Tile
              key={prop}
              title={propWords[prop]}
              small
              chosen={flower.propped?.prop === prop}
              onPress={() => void record({ kind: 'propped', flower: flower.id, prop })}
              minWidth={76}
            />
          ))}
        </Tiles>
      ) : null}
      {own.length > 0 ? <GrowthChart own={own} usual={usual} us={us} variety={growing.variety.name} /> : null}
      <SprayNotice stand={growing.stand} />
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
            harvest.pick({ kind: 'harvested', flower: flower.id, harvestFor: 'seed', weightG: null })
          }
        />
      </Row>
      <Txt size="label" tone="muted">
        {growing.crop.caution}
      </Txt>
      {harvest.sheet}
      <CauseSheet
        open={asking !== null}
        title={`${flowerText(growing, flower)}: what happened?`}
        of={of}
        onClose={() => {
          // What was seen is kept; its cause stays open.
          if (asking !== null) void record({ kind: 'lookedAt', flower: flower.id, result: asking, sizeMm });
          setAsking(null);
        }}
        onWait={
          asking === 'yellowing' && day !== null && day < growing.crop.verdictDay.value
            ? () => {
                setAsking(null);
                void record({ kind: 'lookedAt', flower: flower.id, result: 'yellowing', sizeMm });
              }
            : undefined
        }
        onCause={(cause) => {
          if (asking === null) return;
          setAsking(null);
          void record(
            { kind: 'lookedAt', flower: flower.id, result: asking, sizeMm: null },
            { kind: 'lost', flower: flower.id, cause },
          );
        }}
      />
    </>
  );
}
