import { MESHES, SHELTERS, type Bed } from '@core/ledger';
import { shelterOn } from '@core/patch';
import { shelterForm, type ReadShelter, type TypedShelter } from '@/data/forms/shelterForm';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { limitsOf } from '@/data/forms/limits';
import { Button, DateField, Notice, Sheet, Stepper, Tile, Tiles } from '../controls';
import { useTyped } from '../forms/useTyped';
import { Txt } from '../theme';
import { shelterWords } from '../words';

/** What stands over a bed, from when, and whether insects get in. */
export function ShelterSheet({ bed, onClose }: { bed: Bed; onClose: () => void }) {
  const { today } = useGarden();
  const { busy, problem, save } = useRecording();
  const now = shelterOn(bed, today);
  const form = useTyped<TypedShelter, ReadShelter>(shelterForm, {
    shelter: now?.shelter ?? null,
    insects: now?.insects ?? null,
    mesh: now?.mesh ?? null,
    lampHours: now?.lampHours ?? null,
    from: today,
    to: now?.to ?? null,
  });
  const { value, wrong, set } = form;
  const { shelter, insects, lampHours, mesh } = value;
  const netted = shelter === 'cage' || shelter === 'net';
  const keep = form.keep(async (read) => {
    const saved = await save({
      kind: 'shelterSet',
      bed: bed.id,
      shelter: read.shelter,
      insects: read.insects ?? 'in',
      lampHours: read.shelter === 'indoors' ? read.lampHours : null,
      ...(read.mesh !== null && netted ? { mesh: read.mesh } : {}),
      from: read.from,
      to: read.shelter === null ? null : read.to,
    });
    if (saved) onClose();
  });
  return (
    <Sheet open onClose={onClose} title={`What stands over ${bed.name}?`}>
      {problem ? <Notice tone="brick" text={problem} /> : null}
      <Tiles question="Over it">
        {([null, ...SHELTERS] as const).map((each) => (
          <Tile
            key={each ?? 'open'}
            title={each === null ? 'open air' : shelterWords[each]}
            chosen={shelter === each}
            onPress={() => set({ shelter: each })}
            minWidth={100}
          />
        ))}
      </Tiles>
      {shelter === null ? null : (
        <Tiles question="Insects">
          <Tile
            title="kept out"
            note="shut or netted everywhere"
            chosen={insects === 'out'}
            onPress={() => set({ insects: 'out' })}
            minWidth={140}
          />
          <Tile
            title="can get in"
            note={shelter === 'cage' ? 'it does not shut all round' : 'open vents or ends'}
            chosen={insects === 'in'}
            onPress={() => set({ insects: 'in' })}
            minWidth={140}
          />
          {shelter === 'cage' ? (
            <Tile
              title="bees put in"
              note="shut all round; kept a day or two without flowers first, or hatched inside"
              chosen={insects === 'put-in'}
              onPress={() => set({ insects: 'put-in' })}
              minWidth={140}
            />
          ) : null}
          {shelter === 'cage' ? (
            <Tile
              title="in turn"
              note="off every other day, while the other variety is caged"
              chosen={insects === 'in-turn'}
              onPress={() => set({ insects: 'in-turn' })}
              minWidth={140}
            />
          ) : null}
        </Tiles>
      )}
      {netted && insects !== 'in' ? (
        <Tiles question="Mesh (may be left out)">
          {MESHES.map((each) => (
            <Tile
              key={each}
              title={each === 'fine' ? '1 mm or less' : 'wider'}
              small
              chosen={mesh === each}
              onPress={() => set({ mesh: mesh === each ? null : each })}
            />
          ))}
        </Tiles>
      ) : null}
      {netted && mesh === 'wide' ? (
        <Notice
          tone="pollen"
          text="Small bees go through a mesh wider than 1 mm: for seed its flowers are shut as in the open."
        />
      ) : null}
      {shelter === 'indoors' ? (
        <Stepper
          label={lampHours === null ? 'Lamp, hours a day (may be left out)' : 'Lamp, hours a day'}
          value={lampHours ?? 14}
          unset={lampHours === null}
          {...limitsOf('shelterSet', 'lampHours')}
          onChange={(hours) => set({ lampHours: hours })}
        />
      ) : null}
      <DateField
        label="From which day on"
        value={value.from}
        onChange={(from) => set({ from })}
        error={wrong.from ?? null}
      />
      {shelter === null ? null : (
        <DateField
          label="Last day (may be left out)"
          value={value.to}
          onChange={(to) => set({ to })}
          error={wrong.to ?? null}
        />
      )}
      {shelter === 'tunnel' || shelter === 'closed-house' ? (
        <Txt size="label" tone="muted">
          It is hotter in there than outside: work it in the cool of the morning, and drink.
        </Txt>
      ) : null}
      {wrong.insects ? <Notice tone="brick" text={wrong.insects} /> : null}
      <Button title="Keep it" look="main" busy={busy} onPress={keep} />
    </Sheet>
  );
}
