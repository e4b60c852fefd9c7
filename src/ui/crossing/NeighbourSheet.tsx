import { useState } from 'react';
import {
  CORN_KINDS,
  cornName,
  crossing,
  CROP_IDS,
  kindName,
  NEIGHBOUR_IDS,
  PEPPER_SPECIES,
  pollenPath,
} from '@core/crops';
import { BESIDES, BETWEEN, KNOWN_BY, type Neighbour } from '@core/ledger';
import { shortDayText } from '@core/time';
import {
  neighbourDraft,
  neighbourForm,
  sprayDays,
  typedNeighbour,
  type ReadNeighbour,
  type TypedNeighbour,
} from '@/data/forms/neighbourForm';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Button, DateField, Notice, Sheet, Tile, Tiles } from '../controls';
import { TypedField } from '../forms/TypedField';
import { useTyped } from '../forms/useTyped';
import { Txt } from '../theme';
import { WINDS } from '../weather/words';
import { groundUnit } from '../words';
import { besideWords, betweenWords, knownWords } from './words';

/** Kinds that could cross with one's own come first. */
function kindsFor(own: readonly (typeof CROP_IDS)[number][]) {
  // Beans, peas and lettuce are in both.
  const all = [...new Map([...CROP_IDS, ...NEIGHBOUR_IDS].map((id) => [kindName(id), id])).values()];
  const could = all.filter((crop) => own.some((each) => crossing({ crop: each }, { crop }).counts));
  return { could, others: all.filter((crop) => !could.includes(crop)) };
}

/** What grows next door: which kind, how far, what lies between, and how it is known. Nothing is chosen beforehand. */
export function NeighbourSheet({ neighbour, onClose }: { neighbour: Neighbour | null; onClose: () => void }) {
  const { state, patch, newId, prefs } = useGarden();
  const unit = groundUnit(prefs.units);
  const { busy, problem, save } = useRecording();
  const form = useTyped<TypedNeighbour, ReadNeighbour>(
    neighbourForm(neighbour, unit),
    typedNeighbour(neighbour, unit.metres),
  );
  const { value: typed, wrong, set } = form;
  const [more, setMore] = useState(false);
  const { could, others } = kindsFor([...new Set([...state.varieties.values()].map(({ crop }) => crop))]);
  const toggle = <T,>(list: readonly T[], each: T) =>
    list.includes(each) ? list.filter((other) => other !== each) : [...list, each];
  const wind = typed.crop !== null && pollenPath({ crop: typed.crop }).value === 'wind';
  const keep = form.keep(async (read) => {
    if (!patch) return;
    const id = neighbour?.id ?? newId('neighbour');
    if (await save({ ...neighbourDraft(read, neighbour), neighbour: id, patch: patch.id })) onClose();
  });
  const shown = more || could.length === 0 ? [...could, ...others] : could;
  const kinds = typed.crop !== null && !shown.includes(typed.crop) ? [...shown, typed.crop] : shown;
  return (
    <Sheet open onClose={onClose} title="What grows next door?">
      {problem ? <Notice tone="brick" text={problem} /> : null}
      <Tiles question="Kind">
        {kinds.map((crop) => (
          <Tile
            key={crop}
            title={kindName(crop)}
            small
            minWidth={100}
            chosen={typed.crop === crop}
            onPress={() => set({ crop, species: null, corn: null })}
          />
        ))}
      </Tiles>
      {wrong.crop ? <Notice tone="brick" text={wrong.crop} /> : null}
      {more || could.length === 0 ? null : (
        <Button title="Another kind" look="quiet" small onPress={() => setMore(true)} />
      )}
      {typed.crop === 'pepper' ? (
        <Tiles question="Species, where you know it">
          {PEPPER_SPECIES.map((species) => (
            <Tile
              key={species}
              title={species}
              small
              minWidth={90}
              chosen={typed.species === species}
              onPress={() => set({ species: typed.species === species ? null : species })}
            />
          ))}
        </Tiles>
      ) : null}
      {typed.crop === 'corn' ? (
        <Tiles question="Grown as, where you know it">
          {CORN_KINDS.map((corn) => (
            <Tile
              key={corn}
              title={cornName(corn)}
              small
              minWidth={90}
              chosen={typed.corn === corn}
              onPress={() => set({ corn: typed.corn === corn ? null : corn })}
            />
          ))}
        </Tiles>
      ) : null}
      <TypedField of={form} name="variety" label="Variety (may be left out: unknown counts as another)" />
      <TypedField
        of={form}
        name="distance"
        label={`How far from your patch, ${unit.name}`}
        keyboard="decimal-pad"
      />
      <TypedField
        of={form}
        name="plants"
        label="About how many plants (may be left out)"
        keyboard="number-pad"
      />
      <Tiles question="Where, seen from your patch">
        {WINDS.map((name, i) => (
          <Tile
            key={name}
            title={name}
            small
            minWidth={64}
            chosen={typed.bearingDeg === i * 45}
            onPress={() => set({ bearingDeg: typed.bearingDeg === i * 45 ? null : i * 45 })}
          />
        ))}
      </Tiles>
      <Tiles question="What lies between">
        {BETWEEN.map((each) => (
          <Tile
            key={each}
            title={betweenWords[each]}
            small
            minWidth={90}
            chosen={typed.between.includes(each)}
            onPress={() => set({ between: toggle(typed.between, each) })}
          />
        ))}
      </Tiles>
      <Tiles question="And">
        {BESIDES.filter((each) => (each === 'upwind' ? wind : each === 'hives' ? !wind : true)).map(
          (each) => (
            <Tile
              key={each}
              title={besideWords[each]}
              small
              minWidth={110}
              chosen={typed.besides.includes(each)}
              onPress={() => set({ besides: toggle(typed.besides, each) })}
            />
          ),
        )}
      </Tiles>
      <DateField
        label="Flowers from (may be left out)"
        value={typed.from}
        onChange={(from) => set({ from })}
      />
      <DateField
        label="Flowers to (may be left out)"
        value={typed.to}
        onChange={(to) => set({ to })}
        error={wrong.to ?? null}
      />
      <SprayDays typed={typed} onChange={set} />
      <Tiles question="How do you know?">
        {KNOWN_BY.map((each) => (
          <Tile
            key={each}
            title={knownWords[each]}
            small
            minWidth={90}
            chosen={typed.knownBy === each}
            onPress={() => set({ knownBy: each })}
          />
        ))}
      </Tiles>
      {wrong.knownBy ? <Notice tone="brick" text={wrong.knownBy} /> : null}
      <Txt size="label" tone="muted">
        No names of people: what grows where is enough.
      </Txt>
      <Button title="Keep it" look="main" busy={busy} onPress={keep} />
    </Sheet>
  );
}

/** The days on which it was sprayed, one after the other; a press on one takes it out again. */
function SprayDays({
  typed,
  onChange,
}: {
  typed: TypedNeighbour;
  onChange: (part: Partial<TypedNeighbour>) => void;
}) {
  const { sprayed, sprayedToo } = typed;
  return (
    <>
      {sprayed.length > 0 ? (
        <Tiles question="Sprayed on (press one to take it out)">
          {sprayed.map((day) => (
            <Tile
              key={day}
              title={shortDayText(day)}
              small
              minWidth={80}
              chosen
              onPress={() => onChange({ sprayed: sprayed.filter((each) => each !== day) })}
            />
          ))}
        </Tiles>
      ) : null}
      <DateField
        key={sprayed.length}
        label={sprayed.length > 0 ? 'Sprayed again on' : 'Sprayed on (may be left out)'}
        value={sprayedToo}
        onChange={(day) => onChange({ sprayedToo: day })}
      />
      {sprayedToo ? (
        <Button
          title="And on another day"
          small
          onPress={() => onChange({ sprayed: sprayDays(typed), sprayedToo: null })}
        />
      ) : null}
    </>
  );
}
