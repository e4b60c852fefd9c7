import { kitchenTools, type Crop } from '@core/crops';
import type { GroupHow } from '@core/ledger';
import { walkOrder } from '@core/patch';
import { handWorkWithin } from '@core/fruitset';
import { addDays, shortDayText } from '@core/time';
import { countForm, type ReadCount, type TypedCount } from '@/data/forms/countForm';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Button, DateField, Notice, Sheet, Tile, Tiles } from '../controls';
import { TypedField } from '../forms/TypedField';
import { useTyped } from '../forms/useTyped';
import { Txt } from '../theme';
import { toolWords } from '../words';

const howTitle = (how: GroupHow): string =>
  how === 'insects' ? 'left to insects' : how === 'before' ? 'before hand work began' : toolWords[how];

/** The ways in which flowers of a crop that were only counted can have come to their pollen. */
const waysOf = (crop: Crop): readonly GroupHow[] => [...kitchenTools(crop), 'insects', 'before'];

/** A stand of no more plants than this lists them. */
const FEW = 12;

/** A count made together: of so many flowers, worked by hand or left alone, so many set. What hands bring is seen against the rest. */
export function CountSheet({ onClose }: { onClose: () => void }) {
  const { state, today, place } = useGarden();
  const { busy, problem, save } = useRecording();
  const stands = [...new Map(walkOrder(state).map((each) => [each.stand.id, each])).values()];
  const form = useTyped<TypedCount, ReadCount>(countForm, {
    stand: stands.length === 1 ? (stands[0]?.stand.id ?? null) : null,
    plant: null,
    how: null,
    from: addDays(today, -14),
    to: today,
    worked: '',
    set: '',
    bent: '',
  });
  const { value, wrong, set } = form;
  const chosen = stands.find(({ stand }) => stand.id === value.stand);
  const crop = chosen?.crop;
  const plants = chosen ? walkOrder(state).filter(({ stand }) => stand.id === chosen.stand.id) : [];
  const began =
    chosen && value.from !== null && value.to !== null
      ? handWorkWithin(state, chosen.stand, { ...value, from: value.from, to: value.to }, place.zone)
      : null;
  const keep = form.keep(async (read) => {
    if (await save({ kind: 'groupCounted', ...read })) onClose();
  });
  return (
    <Sheet open onClose={onClose} title="Count flowers together">
      <Txt size="label" tone="muted">
        Of so many flowers, how many set? Count those left to insects too, and what fell before you began:
        only against these does it show what your hands bring.
      </Txt>
      {problem ? <Notice tone="brick" text={problem} /> : null}
      {stands.length > 1 ? (
        <Tiles question="Of which stand">
          {stands.map((each) => (
            <Tile
              key={each.stand.id}
              title={each.variety.name}
              note={each.bed.name}
              small
              chosen={value.stand === each.stand.id}
              onPress={() => set({ stand: each.stand.id, plant: null, how: null })}
              minWidth={100}
            />
          ))}
        </Tiles>
      ) : null}
      {plants.length > 1 && plants.length <= FEW ? (
        <Tiles question="Of one plant alone (may be left out)">
          {plants.map(({ plant }) => (
            <Tile
              key={plant.id}
              title={plant.label}
              small
              chosen={value.plant === plant.id}
              onPress={() => set({ plant: value.plant === plant.id ? null : plant.id })}
              minWidth={52}
            />
          ))}
        </Tiles>
      ) : null}
      {crop ? (
        <Tiles question="How they came to their pollen">
          {waysOf(crop).map((each) => (
            <Tile
              key={each}
              title={howTitle(each)}
              small
              chosen={value.how === each}
              onPress={() => set({ how: each })}
              minWidth={100}
            />
          ))}
        </Tiles>
      ) : null}
      <DateField
        label="Open from (day)"
        value={value.from}
        onChange={(from) => set({ from })}
        most={today}
        error={wrong.from ?? null}
      />
      <DateField
        label="To (day)"
        value={value.to}
        onChange={(to) => set({ to })}
        most={today}
        error={wrong.to ?? null}
      />
      <TypedField of={form} name="worked" label="Flowers, about" keyboard="number-pad" />
      <TypedField of={form} name="set" label="Of these set" keyboard="number-pad" />
      <TypedField
        of={form}
        name="bent"
        label="Of those bent or small (may be left out)"
        keyboard="number-pad"
      />
      {(wrong.stand ?? wrong.how) ? <Notice tone="brick" text={wrong.stand ?? wrong.how ?? ''} /> : null}
      {began ? (
        <Notice
          tone="pollen"
          text={`Hand work is on record here from ${shortDayText(began)}, within these days. What set before it ends the day before.`}
        />
      ) : null}
      <Button
        title={began ? 'Keep it all the same' : 'Keep the count'}
        look="main"
        busy={busy}
        onPress={keep}
      />
    </Sheet>
  );
}
