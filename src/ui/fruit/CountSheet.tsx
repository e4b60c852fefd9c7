import { useState } from 'react';
import { kitchenTools, type Crop } from '@core/crops';
import type { GroupHow } from '@core/ledger';
import { growing, walkOrder, type Growing } from '@core/patch';
import { addDays, type LocalDate } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Button, DateField, Notice, Sheet, Tile, Tiles } from '../controls';
import { Txt } from '../theme';
import { toolWords } from '../words';
import { WholeNumber } from './WholeNumber';

const howTitle = (how: GroupHow): string =>
  how === 'insects' ? 'left to insects' : how === 'before' ? 'before hand work began' : toolWords[how];

/** The ways in which flowers of a crop that were only counted can have come to their pollen. */
const waysOf = (crop: Crop): readonly GroupHow[] => [...kitchenTools(crop), 'insects', 'before'];

/** A count made together: of so many flowers, worked by hand or left alone, so many set. What hands bring is seen against the rest. */
export function CountSheet({ onClose }: { onClose: () => void }) {
  const { state, today } = useGarden();
  const { busy, problem, save } = useRecording();
  const stands = [...new Map(walkOrder(state).map((each) => [each.stand.id, each])).values()];
  const [chosen, setChosen] = useState<Growing | undefined>(stands.length === 1 ? stands[0] : undefined);
  const [how, setHow] = useState<GroupHow | null>(null);
  const [from, setFrom] = useState<LocalDate | null>(addDays(today, -14));
  const [to, setTo] = useState<LocalDate | null>(today);
  const [worked, setWorked] = useState<number | null>(null);
  const [set, setSet] = useState<number | null>(null);
  const [bent, setBent] = useState<number | null>(null);
  const crop = chosen?.crop;
  const turned = from !== null && to !== null && to < from;
  const ready =
    chosen !== undefined &&
    how !== null &&
    from !== null &&
    to !== null &&
    !turned &&
    worked !== null &&
    set !== null &&
    set <= worked &&
    (bent === null || bent <= set);
  const keep = async () => {
    if (!ready) return;
    const stand = growing(state, chosen.plant.id)?.stand.id ?? chosen.stand.id;
    if (await save({ kind: 'groupCounted', stand, plant: null, from, to, how, worked, set, bent })) onClose();
  };
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
              chosen={chosen?.stand.id === each.stand.id}
              onPress={() => {
                setChosen(each);
                setHow(null);
              }}
              minWidth={100}
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
              chosen={how === each}
              onPress={() => setHow(each)}
              minWidth={100}
            />
          ))}
        </Tiles>
      ) : null}
      <DateField label="Open from (day)" value={from} onChange={setFrom} most={today} />
      <DateField
        label="To (day)"
        value={to}
        onChange={setTo}
        most={today}
        error={turned ? 'The last day is before the first' : null}
      />
      <WholeNumber label="Flowers, about" value={worked} least={1} most={100_000} onChange={setWorked} />
      <WholeNumber label="Of these set" value={set} most={worked ?? 100_000} onChange={setSet} />
      <WholeNumber
        label="Of those bent or small (may be left out)"
        value={bent}
        most={set ?? 100_000}
        onChange={setBent}
      />
      <Button title="Keep the count" look="main" busy={busy} disabled={!ready} onPress={() => void keep()} />
    </Sheet>
  );
}
