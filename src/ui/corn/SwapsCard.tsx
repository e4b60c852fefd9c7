import { windowNow, type OpenWindow } from '@core/bloom';
import { pourDrafts, type CornDay } from '@core/corn';
import { cropOf } from '@core/crops';
import type { Draft } from '@core/ledger';
import { plantName } from '@core/patch';
import { workSteps } from '@core/rounds';
import { clockText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useNextMark } from '@/data/garden/nextMark';
import { Button, Card, Notice } from '../controls';
import { FlowerRow } from '../FlowerRow';
import { FEW_CARDS, LongList } from '../LongList';
import { Steps } from '../Steps';
import { Txt } from '../theme';
import { plural } from '../words';
import { WindTiles } from './WindTiles';

/** This morning's swaps, in order: which bag is poured over which ear. */
export function SwapsCard({
  corn,
  dry,
  wind,
  busy,
  onSave,
}: {
  corn: CornDay;
  /** When the dew is off and pollen lives. */
  dry: OpenWindow;
  wind: number | null;
  busy: boolean;
  onSave: (...drafts: Draft[]) => void;
}) {
  const { place, now, prefs } = useGarden();
  const nextMark = useNextMark();
  const crop = cropOf('corn');
  const time = (at: number) => clockText(at, place.zone, prefs.clock === '12');
  const over = windowNow(dry, now) === 'over';
  return (
    <Card>
      <Txt size="heading">This morning: swaps</Txt>
      {corn.pairs.length > 0 ? (
        <>
          {over ? (
            <Notice
              tone="pollen"
              text="The morning is over: pollen in yesterday’s bags is dead by now. Bag tassels again this afternoon; what was poured this morning can still be entered."
            />
          ) : (
            <Steps steps={workSteps(crop, 'pouring', 'shoot-bag')} />
          )}
          <Txt size="label" tone="muted">
            From about {time(dry.opens)} to {time(dry.closes)}: when the dew is off and before the breeze.
            Pollen lives minutes in the open.{' '}
            {wind === null ? '' : 'In this order: what is spilt drifts over ears already covered.'}
          </Txt>
          <WindTiles fromDeg={wind} busy={busy} onSave={onSave} />
          <Txt size="label" tone="muted">
            {crop.caution}
          </Txt>
        </>
      ) : (
        <Txt tone="muted">
          {corn.unpaired > 0
            ? `${plural(corn.unpaired, 'silked ear')} and no tassel bag from yesterday: bag as many tassels this afternoon.`
            : 'No ear with silk under its bag yet.'}
        </Txt>
      )}
      <LongList
        items={corn.pairs}
        keyOf={({ ear }) => ear.flower.id}
        about={140}
        short={FEW_CARDS}
        gap={10}
        row={(pair) => (
          <FlowerRow
            flower={pair.ear.flower}
            growing={pair.ear.growing}
            note={`${pair.turn}. from the tassel of ${plantName(pair.tassel.growing)} · silk ${pair.ear.silkDays === 0 ? 'since today' : plural(pair.ear.silkDays, 'day')}${pair.after > 0 ? ` · pour a part, keep it level and shut for ${plural(pair.after, 'more ear', 'more ears')}; a fresh bag over this one` : ''}`}
          >
            <Button
              title={`Both bags whole, poured, nothing else in, covered, mark ${nextMark}`}
              small
              label={`Both bags whole, poured over ${plantName(pair.ear.growing)} and covered, nothing else in, mark ${nextMark}`}
              disabled={busy}
              onPress={() => onSave(...pourDrafts(pair, nextMark))}
            />
            <Button
              title="Poured, can’t say what got in"
              look="quiet"
              small
              label={`Poured over ${plantName(pair.ear.growing)}, and what else got in nobody can say, mark ${nextMark}`}
              disabled={busy}
              onPress={() => onSave(...pourDrafts(pair, nextMark, null))}
            />
            <Button
              title="Bag torn"
              small
              label={`The tassel bag of ${plantName(pair.tassel.growing)} is torn`}
              disabled={busy}
              onPress={() =>
                onSave({ kind: 'closureChecked', flower: pair.tassel.flower.id, result: 'torn' })
              }
            />
          </FlowerRow>
        )}
      />
    </Card>
  );
}
